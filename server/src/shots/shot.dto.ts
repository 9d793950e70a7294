import { ApiProperty, ApiPropertyOptional, IntersectionType, OmitType } from '@nestjs/swagger';
import {
  ASSUMABLE,
  CAUSES,
  LIMITS,
  LOOKS,
  MOST_SIGNS,
  PULL_MARKS,
  SERVINGS,
  SHOT_KINDS,
  SIGNS,
  TIMER_STARTS,
  TRACE_COLUMNS,
  VERDICTS,
  type Assumable,
  type Cause,
  type Look,
  type PullMarkKind,
  type Serving,
  type ShotKind,
  type Sign,
  type StoredTrace,
  type TimerStart,
  type TraceSummary,
  type Verdict,
} from '@olvet/core';
import {
  BooleanField,
  ChoiceField,
  ChoiceListField,
  IdField,
  InstantField,
  NumberField,
  NumberListField,
  PartField,
  TextField,
  TraceField,
} from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';
import { TasteScalesDto } from '../tastings/tasteScales.dto';
import { TastingView } from '../tastings/tasting.dto';

/** Grams at every second; null before the first reading. */
export const LINE_SCHEMA = { type: 'array', items: { type: 'number', nullable: true } } as const;

export class SeenDto {
  @ChoiceField({ of: SIGNS, name: 'Sign' })
  sign!: Sign;

  @NumberField({ min: 1, max: 12, integer: true, optional: true, description: 'Clock hour, basket seen from below' })
  clock?: number | null;
}

/** A shot's own taste note, saved together with it. */
export class FirstTastingDto extends OmitType(TasteScalesDto, ['revision']) {
  @IdField()
  id!: string;

  @TextField({ max: 80, optional: true, description: 'Who tasted; empty for the one at the bar' })
  person?: string | null;

  @NumberField({ min: 0, max: 1e9, integer: true, optional: true, description: 'Where the note stands already' })
  revision?: number | null;
}

/** The four settings of a shot, each as far as it is known. */
class SettingsDto extends RevisionDto {
  @NumberField({ ...LIMITS.grind, optional: true })
  grind?: number | null;

  @NumberField({ ...LIMITS.doseGrams, optional: true })
  doseGrams?: number | null;

  @NumberField({ ...LIMITS.yieldGrams, optional: true })
  yieldGrams?: number | null;

  @NumberField({ ...LIMITS.temperatureC, optional: true })
  temperatureC?: number | null;
}

export class PlannedDto extends OmitType(SettingsDto, ['revision']) {}

export class ShotFieldsDto extends SettingsDto {
  @NumberField({ ...LIMITS.grindSeconds, optional: true, description: 'How long a timed grinder ran' })
  grindSeconds?: number | null;

  @IdField({ optional: true, description: 'null for a shot pulled outside a dial-in' })
  runId?: string | null;

  @IdField()
  stationId!: string;

  @ChoiceField({
    of: SHOT_KINDS,
    name: 'ShotKind',
    optional: true,
    description: 'Left out: of a dial-in where it has one, else of service',
  })
  kind?: ShotKind | null;

  @IdField({
    optional: true,
    description: 'What was in the hopper; where left out, of the dial-in, the card or the station',
  })
  coffeeId?: string | null;

  @IdField({ optional: true, description: 'The version of the card it was pulled by' })
  cardVersionId?: string | null;

  @InstantField()
  pulledAt!: string;

  @BooleanField({ optional: true, description: 'false where only the day is known' })
  hourKnown?: boolean | null;

  @TextField({ max: 80, optional: true, description: 'First name of whoever pulled it' })
  pulledBy?: string | null;

  @NumberListField({
    ...LIMITS.cupGrams,
    maxItems: 2,
    optional: true,
    description: 'What each cup of a double weighed; one alone where it stands for both',
  })
  cupGrams?: number[] | null;

  @NumberField({ ...LIMITS.yieldMl, optional: true, description: 'Read in a glass where nothing was weighed, ml' })
  yieldMl?: number | null;

  @ChoiceListField({
    of: ASSUMABLE,
    name: 'Assumable',
    optional: true,
    description: 'Figures nobody measured, taken as planned',
  })
  assumed?: Assumable[] | null;

  @PartField(() => PlannedDto, { optional: true })
  planned?: PlannedDto | null;

  @NumberField({ ...LIMITS.timeSeconds, optional: true })
  timeSeconds?: number | null;

  @ChoiceField({ of: TIMER_STARTS, name: 'TimerStart' })
  timer!: TimerStart;

  @NumberField({ ...LIMITS.firstDripSeconds, optional: true })
  firstDripSeconds?: number | null;

  @NumberField({ ...LIMITS.phaseSeconds, optional: true, description: 'Water let in before full pressure' })
  soakSeconds?: number | null;

  @NumberField({ ...LIMITS.phaseSeconds, optional: true, description: 'Until the filter below was wet all over' })
  coverSeconds?: number | null;

  @NumberField({ ...LIMITS.phaseSeconds, optional: true, description: 'Until ten grams were out' })
  tenGramsSeconds?: number | null;

  @NumberField({ ...LIMITS.phaseSeconds, optional: true, description: 'From the first water to the stop' })
  contactSeconds?: number | null;

  @NumberField({ ...LIMITS.valveGrams, optional: true, description: 'Water of the pre-brew valve in 30 s, g' })
  valveGrams?: number | null;

  @NumberField({ ...LIMITS.unlevelledGrams, optional: true, description: 'The dose before it was levelled off' })
  unlevelledGrams?: number | null;

  @NumberField({ ...LIMITS.tdsPercent, optional: true })
  tdsPercent?: number | null;

  @PartField(() => SeenDto, { many: true, maxItems: MOST_SIGNS })
  seen!: SeenDto[];

  @ChoiceListField({ of: LOOKS, name: 'Look', optional: true, description: 'Tail and crema: no sign of a fault' })
  looks?: Look[] | null;

  @BooleanField({ description: 'Was it purged after the last grind change?' })
  purged!: boolean;

  @ChoiceField({ of: CAUSES, name: 'Cause', optional: true, description: 'What went wrong with this shot, once known' })
  cause?: Cause | null;

  @ChoiceField({ of: VERDICTS, name: 'VersusLast', optional: true, description: 'The cup against the one before' })
  versusLast?: Verdict | null;

  @ChoiceField({ of: SERVINGS, name: 'Verdict', optional: true, description: 'What the cup was good for' })
  verdict?: Serving | null;

  @TextField({ max: 1000, optional: true })
  note?: string | null;

  @InstantField({ optional: true, description: 'Set when the shot was entered by mistake' })
  removedAt?: string | null;
}

export class ShotDto extends ShotFieldsDto {
  @TraceField({ optional: true, description: 'What scale and machine said; left out, a kept one stays' })
  trace?: StoredTrace | null;

  @PartField(() => FirstTastingDto, { optional: true, description: 'Saved with the shot, all or nothing' })
  tasting?: FirstTastingDto | null;
}

export class ShotView extends IntersectionType(ShotFieldsDto, RowView) {
  @ApiProperty() override revision!: number;
  @ApiProperty({ enum: SHOT_KINDS, enumName: 'ShotKind' }) override kind!: ShotKind;
  @ApiProperty({ type: () => TracedView, nullable: true, description: 'What its trace says; null: nothing was traced' })
  traced!: TracedView | null;
}

class TraceSummaryView implements TraceSummary {
  @ApiProperty() yieldGrams!: number;
  @ApiProperty({ type: Number, nullable: true }) timeSeconds!: number | null;
  @ApiProperty({ description: 'What fell after the stop' }) dripGrams!: number;
  @ApiProperty({ description: 'g/s' }) meanFlow!: number;
  @ApiProperty({ description: 'g/s' }) peakFlow!: number;
  @ApiProperty({ type: Number, nullable: true }) flowLateOverMid!: number | null;
  @ApiProperty() isLateRush!: boolean;
  @ApiProperty({ type: Number, nullable: true }) contactSeconds!: number | null;
}

export class TracedView {
  @ApiProperty({ type: TraceSummaryView, nullable: true }) summary!: TraceSummaryView | null;
  @ApiProperty({ ...LINE_SCHEMA, description: 'Grams at every second from the start' })
  line!: (number | null)[];
  @ApiProperty({ type: Number, nullable: true, description: 'From the cue to the stop' }) stopDelaySeconds!:
    number | null;
}

class TraceMarkView {
  @ApiProperty({ enum: PULL_MARKS, enumName: 'PullMarkKind' }) kind!: PullMarkKind;
  @ApiProperty() seconds!: number;
  @ApiPropertyOptional({ type: Number, nullable: true }) clock?: number | null;
}

export class TraceView {
  @ApiProperty({ enum: TRACE_COLUMNS, enumName: 'TraceColumn', isArray: true }) columns!: StoredTrace['columns'];
  @ApiProperty({ type: 'array', items: { type: 'array', items: { type: 'number', nullable: true } } })
  rows!: (number | null)[][];
  @ApiProperty({ type: [TraceMarkView] }) marks!: TraceMarkView[];
}

export class SheetShotView extends ShotView {
  @ApiProperty({ type: [TastingView] }) tastings!: TastingView[];
}

export class ShotEditView {
  @ApiProperty() revision!: number;
  @ApiProperty({ format: 'date-time' }) editedAt!: string;
  @ApiProperty({ type: ShotView }) before!: ShotView;
}
