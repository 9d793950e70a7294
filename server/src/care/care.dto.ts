import { ApiProperty, IntersectionType, OmitType } from '@nestjs/swagger';
import { CARE_CODES, LIMITS, type CareTaskCode } from '@olvet/core';
import { ChoiceField, IdField, InstantField, NumberField, TextField } from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';

class CareRowDto extends RevisionDto {
  @ChoiceField({ of: CARE_CODES, name: 'CareTaskCode' })
  task!: CareTaskCode;

  @IdField({ optional: true, description: 'For what is done to a machine' })
  machineId?: string | null;

  @IdField({ optional: true, description: 'For what is done to a grinder' })
  grinderId?: string | null;
}

const ID_OR_NULL = { type: String, format: 'uuid', nullable: true } as const;

export class CareDoneDto extends CareRowDto {
  @InstantField()
  at!: string;

  @TextField({ max: 400, optional: true })
  note?: string | null;

  @InstantField({ optional: true, description: 'Set when it was said by mistake' })
  removedAt?: string | null;
}

export class CareDoneView extends IntersectionType(OmitType(CareDoneDto, ['revision', 'note']), RowView) {
  @ApiProperty(ID_OR_NULL) override machineId!: string | null;
  @ApiProperty(ID_OR_NULL) override grinderId!: string | null;
  @ApiProperty() note!: string;
  @ApiProperty({ type: String, format: 'date-time', nullable: true }) override removedAt!: string | null;
}

export class CareRuleDto extends CareRowDto {
  @NumberField({ ...LIMITS.careDays, integer: true, optional: true })
  everyDays?: number | null;

  @NumberField({ ...LIMITS.careShots, integer: true, optional: true, description: 'Shots through it since the last' })
  everyShots?: number | null;

  @NumberField({ ...LIMITS.careKg, optional: true, description: 'Coffee ground since the last, kg' })
  everyKg?: number | null;
}

export class CareRuleView extends IntersectionType(
  OmitType(CareRuleDto, ['revision', 'everyDays', 'everyShots', 'everyKg']),
  RowView,
) {
  @ApiProperty(ID_OR_NULL) override machineId!: string | null;
  @ApiProperty(ID_OR_NULL) override grinderId!: string | null;
  @ApiProperty({ type: 'integer', nullable: true }) everyDays!: number | null;
  @ApiProperty({ type: 'integer', nullable: true }) everyShots!: number | null;
  @ApiProperty({ type: Number, nullable: true }) everyKg!: number | null;
}

export class CareIntervalView {
  @ApiProperty({ required: false }) days?: number;
  @ApiProperty({ required: false }) shots?: number;
  @ApiProperty({ required: false }) kg?: number;
}

export class CareSinceView {
  @ApiProperty() days!: number;
  @ApiProperty() shots!: number;
  @ApiProperty() kg!: number;
}

/** One task at one machine, one grinder or the whole bar. */
export class CareItemView {
  @ApiProperty({ enum: CARE_CODES, enumName: 'CareTaskCode' }) task!: CareTaskCode;
  @ApiProperty(ID_OR_NULL) machineId!: string | null;
  @ApiProperty(ID_OR_NULL) grinderId!: string | null;
  @ApiProperty({ description: 'Of the machine or grinder; empty for the bar' }) name!: string;
  @ApiProperty({ type: CareIntervalView, description: 'Whichever comes first; empty: never by itself' })
  every!: CareIntervalView;
  @ApiProperty({ type: CareSinceView, description: 'Since it was done last, or since it stands here' })
  since!: CareSinceView;
  @ApiProperty({ type: CareRuleView, nullable: true, description: 'The shop’s own interval' })
  rule!: CareRuleView | null;
  @ApiProperty({ type: CareDoneView, nullable: true }) last!: CareDoneView | null;
  @ApiProperty({ type: Number, nullable: true, description: 'Of its interval' }) share!: number | null;
  @ApiProperty() isDue!: boolean;
  @ApiProperty({ type: String, format: 'date', nullable: true, description: 'When it falls due at this pace' })
  dueOn!: string | null;
}

export class CareView {
  @ApiProperty({ type: [CareItemView], description: 'The most overdue first' }) items!: CareItemView[];
}
