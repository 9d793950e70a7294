import { ApiProperty, IntersectionType, OmitType } from '@nestjs/swagger';
import { LIMITS } from '@olvet/core';
import { ChoiceField, IdField, InstantField, NumberField, TextField } from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';
import { DAY_ANSWERS, type DayAnswered } from './dayMove.entity';

export class DayMoveDto extends RevisionDto {
  @IdField()
  stationId!: string;

  @InstantField()
  at!: string;

  @ChoiceField({ of: DAY_ANSWERS, name: 'DayAnswered', description: 'The grind was turned, or it was let be' })
  answer!: DayAnswered;

  @NumberField({ ...LIMITS.grind, optional: true, description: 'Where the grinder stands from now on; for a turn' })
  toGrind?: number | null;

  @NumberField({ ...LIMITS.grindSeconds, optional: true, description: 'What a timed grinder is to run from now on' })
  grindSeconds?: number | null;

  @TextField({ max: 400, optional: true })
  why?: string | null;

  @InstantField({ optional: true, description: 'Set when the grinder was turned back' })
  undoneAt?: string | null;
}

export class DayMoveView extends IntersectionType(OmitType(DayMoveDto, ['revision']), RowView) {
  @ApiProperty({ type: Number, nullable: true, description: 'Where the grinder stood' }) fromGrind!: number | null;
  @ApiProperty({ type: Number, nullable: true, description: 'What a timed grinder ran' })
  fromGrindSeconds!: number | null;
  @ApiProperty({ description: 'Turned by the closed loop' }) isKeeper!: boolean;
  @ApiProperty() override why!: string;
}
