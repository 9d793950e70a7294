import { ApiProperty, IntersectionType, PickType } from '@nestjs/swagger';
import { LIMITS, PULL_MARKS, SHOT_KINDS, type PullMarkKind, type ShotKind } from '@olvet/core';
import { RecipeDto } from '../cards/card.dto';
import { ChoiceField, IdField, IdListField, InstantField, NumberField, PartField, TextField } from '../common/fields';
import { RowView } from '../common/rows';

const MOST_MARKS = 60;
const MOST_DEVICES = 6;

export class PullMarkDto {
  @ChoiceField({ of: PULL_MARKS, name: 'PullMarkKind' })
  kind!: PullMarkKind;

  @NumberField({ min: -600, max: 3600, description: 'From the start of the shot' })
  seconds!: number;

  @NumberField({ min: 1, max: 12, integer: true, optional: true, description: 'Clock hour, basket seen from below' })
  clock?: number | null;
}

/** What the shot is meant to be. */
export class PullPlanDto extends PickType(RecipeDto, [
  'doseGrams',
  'yieldGrams',
  'temperatureC',
  'timeSeconds',
  'timer',
]) {
  @NumberField({ ...LIMITS.grind, optional: true, description: 'null where nobody knows where the grinder stands' })
  grind?: number | null;
}

export class PullDto {
  @IdField()
  stationId!: string;

  @IdField({ optional: true })
  runId?: string | null;

  @ChoiceField({ of: SHOT_KINDS, name: 'ShotKind' })
  kind!: ShotKind;

  @IdField({ description: 'The tablet that pulls it: only that one may write' })
  ownerId!: string;

  @TextField({ max: 80, optional: true, description: 'First name of whoever stands there' })
  ownerName?: string | null;

  @PartField(() => PullPlanDto)
  plan!: PullPlanDto;

  @InstantField({ optional: true, description: 'null before the pump runs' })
  startedAt?: string | null;

  @InstantField({ optional: true, description: 'When it was saved or left' })
  endedAt?: string | null;

  @PartField(() => PullMarkDto, { many: true, maxItems: MOST_MARKS })
  marks!: PullMarkDto[];

  @IdListField({ maxItems: MOST_DEVICES, description: 'The devices that tell of it' })
  deviceIds!: string[];
}

export class PullView extends IntersectionType(PullDto, RowView) {
  @ApiProperty({ type: String, format: 'uuid', nullable: true }) askedById!: string | null;
  @ApiProperty() askedByName!: string;
  @ApiProperty({ type: String, format: 'date-time', nullable: true }) askedAt!: string | null;
}

export class AskPullDto {
  @IdField({ description: 'The tablet that asks' })
  tabletId!: string;

  @TextField({ max: 80, optional: true, description: 'First name of whoever stands there' })
  name?: string | null;
}

export class GivePullDto {
  @IdField({
    description: 'The tablet that says so: the one that holds it, or the one that has asked and got no answer',
  })
  tabletId!: string;

  @IdField({ description: 'The tablet that holds it from now on; the holder itself says no' })
  toId!: string;
}
