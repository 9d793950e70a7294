import { ApiProperty, IntersectionType, OmitType } from '@nestjs/swagger';
import {
  CAUSES,
  LIMITS,
  MOST_SIGNS,
  SIGNS,
  TIMER_STARTS,
  VERDICTS,
  type Cause,
  type Sign,
  type TimerStart,
  type Verdict,
} from '@olvet/core';
import { BooleanField, ChoiceField, IdField, InstantField, NumberField, PartField, TextField } from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';
import { TasteScalesDto } from '../tastings/tasteScales.dto';
import { TastingView } from '../tastings/tasting.dto';

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

  @InstantField()
  pulledAt!: string;

  @PartField(() => PlannedDto, { optional: true })
  planned?: PlannedDto | null;

  @NumberField({ ...LIMITS.timeSeconds, optional: true })
  timeSeconds?: number | null;

  @ChoiceField({ of: TIMER_STARTS, name: 'TimerStart' })
  timer!: TimerStart;

  @NumberField({ ...LIMITS.firstDripSeconds, optional: true })
  firstDripSeconds?: number | null;

  @NumberField({ ...LIMITS.tdsPercent, optional: true })
  tdsPercent?: number | null;

  @PartField(() => SeenDto, { many: true, maxItems: MOST_SIGNS })
  seen!: SeenDto[];

  @BooleanField({ description: 'Were old grounds thrown out after the last grind change?' })
  purged!: boolean;

  @ChoiceField({ of: CAUSES, name: 'Cause', optional: true, description: 'What went wrong with this shot, once known' })
  cause?: Cause | null;

  @ChoiceField({ of: VERDICTS, name: 'VersusLast', optional: true, description: 'The cup against the one before' })
  versusLast?: Verdict | null;

  @ChoiceField({ of: ['sink', 'serve'], name: 'Verdict', optional: true })
  verdict?: 'sink' | 'serve' | null;

  @TextField({ max: 1000, optional: true })
  note?: string | null;

  @InstantField({ optional: true, description: 'Set when the shot was entered by mistake' })
  discardedAt?: string | null;
}

export class ShotDto extends ShotFieldsDto {
  @PartField(() => FirstTastingDto, { optional: true, description: 'Saved with the shot, all or nothing' })
  tasting?: FirstTastingDto | null;
}

export class ShotView extends IntersectionType(ShotFieldsDto, RowView) {
  @ApiProperty() override revision!: number;
}

export class SheetShotView extends ShotView {
  @ApiProperty({ type: [TastingView] }) tastings!: TastingView[];
}

export class ShotEditView {
  @ApiProperty() revision!: number;
  @ApiProperty({ format: 'date-time' }) editedAt!: string;
  @ApiProperty({ type: ShotView }) before!: ShotView;
}
