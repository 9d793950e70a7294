import { ApiProperty, IntersectionType } from '@nestjs/swagger';
import { LIMITS, TIMER_STARTS, type TimerStart } from '@olvet/core';
import { ChoiceField, IdField, NumberField, PartField, TextField } from '../common/fields';
import { RowView } from '../common/rows';
import { LINE_SCHEMA } from '../shots/shot.dto';
import { SecondsWindowDto } from '../common/target.dto';

/** The recipe itself, names of equipment included, so that a card reads the same after a grinder is renamed. */
export class RecipeDto {
  @NumberField(LIMITS.grind)
  grind!: number;

  @NumberField(LIMITS.doseGrams)
  doseGrams!: number;

  @NumberField(LIMITS.yieldGrams)
  yieldGrams!: number;

  @NumberField({ ...LIMITS.temperatureC, optional: true })
  temperatureC?: number | null;

  @NumberField({ ...LIMITS.valveGrams, optional: true, description: 'Water of the pre-brew valve in 30 s, g' })
  valveGrams?: number | null;

  @NumberField({ ...LIMITS.grindSeconds, optional: true, description: 'How long a timed grinder runs for it, s' })
  grindSeconds?: number | null;

  @NumberField({ ...LIMITS.phaseSeconds, optional: true, description: 'Water let in before full pressure, s' })
  soakSeconds?: number | null;

  @TextField({ max: 40, optional: true, description: 'The group it is pulled on, where that matters' })
  groupName?: string | null;

  @NumberField({ min: 1, max: 2, integer: true, optional: true, description: 'Cups that share the yield' })
  cups?: number | null;

  @PartField(() => SecondsWindowDto)
  timeSeconds!: SecondsWindowDto;

  @ChoiceField({ of: TIMER_STARTS, name: 'TimerStart' })
  timer!: TimerStart;

  @TextField({ max: 80 })
  grinderName!: string;

  @TextField({ max: 80 })
  machineName!: string;

  @TextField({ max: 80 })
  basketName!: string;
}

export class KeepCardDto {
  @IdField({ description: 'An existing card gets a new version, an unknown id makes a new card' })
  cardId!: string;

  @IdField()
  versionId!: string;

  @TextField({ min: 1, max: 80 })
  name!: string;

  @ChoiceField({ of: ['black', 'milk'], name: 'Purpose' })
  purpose!: 'black' | 'milk';

  @PartField(() => RecipeDto)
  recipe!: RecipeDto;

  @IdField({ optional: true, description: 'The shot of this dial-in that it keeps; null for what was only planned' })
  shotId?: string | null;

  @TextField({ max: 400, optional: true })
  tastesLike?: string | null;

  @TextField({ max: 80, optional: true })
  setBy?: string | null;

  @TextField({ max: 400, optional: true, description: 'Why it changed' })
  note?: string | null;
}

/** The time a recipe was found at. */
export class FoundTimeView {
  @ApiProperty() seconds!: number;
  @ApiProperty({ description: 'How far single shots lie from it, s' }) sd!: number;
  @ApiProperty({ type: 'integer', description: 'Shots that told its middle' }) shots!: number;
}

/** Only a dial-in or a person moves the time a recipe was found at. */
export class MoveFoundTimeDto {
  @IdField({ description: 'Of the version this makes' })
  versionId!: string;

  @NumberField(LIMITS.timeSeconds)
  seconds!: number;

  @TextField({ min: 1, max: 400, description: 'Why it is another' })
  note!: string;
}

/** A card on the wall is one of the things that change with it. */
export class PrintedDto {
  @NumberField({ min: 1, max: 1e6, integer: true, description: 'The version that was printed' })
  version!: number;
}

export class CardVersionView extends IntersectionType(RowView) {
  @ApiProperty() version!: number;
  @ApiProperty({ type: String, nullable: true }) runId!: string | null;
  @ApiProperty({ type: String, format: 'uuid', nullable: true, description: 'The shot it was kept from' })
  shotId!: string | null;
  @ApiProperty({ type: RecipeDto }) recipe!: RecipeDto;
  @ApiProperty({ type: FoundTimeView, nullable: true, description: 'Its spread goes on being learned in service' })
  found!: FoundTimeView | null;
  @ApiProperty() tastesLike!: string;
  @ApiProperty() setBy!: string;
  @ApiProperty() note!: string;
}

export class CardView extends RowView {
  @ApiProperty() name!: string;
  @ApiProperty({ format: 'uuid' }) coffeeId!: string;
  @ApiProperty({ format: 'uuid' }) stationId!: string;
  @ApiProperty({ enum: ['black', 'milk'], enumName: 'Purpose' }) purpose!: 'black' | 'milk';
  @ApiProperty() coffeeName!: string;
  @ApiProperty() stationName!: string;
  @ApiProperty({ type: CardVersionView }) latest!: CardVersionView;
  @ApiProperty({ type: Number, nullable: true, description: 'The version that was printed last' })
  printedVersion!: number | null;
}

/** A recipe that somebody would like the card to have. */
export class ProposeCardDto {
  @PartField(() => RecipeDto)
  recipe!: RecipeDto;

  @TextField({ max: 400, optional: true })
  tastesLike?: string | null;

  @TextField({ min: 1, max: 400, description: 'Why' })
  note!: string;
}

export const PROPOSAL_ANSWERS = ['taken', 'declined', 'withdrawn'] as const;
export type ProposalAnswer = (typeof PROPOSAL_ANSWERS)[number];

export class AnswerProposalDto {
  @ChoiceField({ of: PROPOSAL_ANSWERS, name: 'ProposalAnswer' })
  answer!: ProposalAnswer;

  @IdField({ optional: true, description: 'Of the version that taking it makes' })
  versionId?: string | null;

  @TextField({ max: 400, optional: true })
  note?: string | null;
}

export class CardProposalView extends RowView {
  @ApiProperty({ format: 'uuid' }) cardId!: string;
  @ApiProperty({ type: RecipeDto }) recipe!: RecipeDto;
  @ApiProperty() tastesLike!: string;
  @ApiProperty() note!: string;
  @ApiProperty() proposedBy!: string;
  @ApiProperty({ enum: PROPOSAL_ANSWERS, enumName: 'ProposalAnswer', nullable: true, description: 'null: open' })
  answer!: ProposalAnswer | null;
  @ApiProperty({ type: String, format: 'date-time', nullable: true }) answeredAt!: string | null;
  @ApiProperty() answeredBy!: string;
}

export class LastPulledQuery {
  @TextField({ min: 1, max: 80, description: 'First name' })
  person!: string;
}

/** The version somebody pulled by last; what changed since is news to them. */
export class LastPulledView {
  @ApiProperty({ type: 'integer', nullable: true, description: 'null: never by this card' }) version!: number | null;
  @ApiProperty({ type: String, format: 'date-time', nullable: true }) pulledAt!: string | null;
}

export class CardDetailView extends CardView {
  @ApiProperty({ ...LINE_SCHEMA, nullable: true, description: 'Grams at every second of its own shot' })
  reference!: (number | null)[] | null;
  @ApiProperty({ type: [CardProposalView], description: 'Not answered yet, oldest first' })
  proposals!: CardProposalView[];
  @ApiProperty({ type: [CardVersionView], description: 'Newest first' }) versions!: CardVersionView[];
}
