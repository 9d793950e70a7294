import { ApiProperty, IntersectionType, OmitType } from '@nestjs/swagger';
import {
  PREPARATION,
  PREPARATION_PARTS,
  type Preparation,
  type PreparationPart,
  type PuckComparison,
} from '@olvet/core';
import { ChoiceField, IdField, InstantField, TextField } from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';

const COMPARISONS: readonly PuckComparison[] = ['steadier', 'less-steady', 'alike', 'unknown'];

export class PreparationDto extends RevisionDto {
  @IdField()
  stationId!: string;

  @InstantField({ description: 'From when on' })
  at!: string;

  @ChoiceField({ of: PREPARATION.distribution, name: 'Distribution' })
  distribution!: Preparation['distribution'];

  @ChoiceField({ of: PREPARATION.levelling, name: 'Levelling' })
  levelling!: Preparation['levelling'];

  @ChoiceField({ of: PREPARATION.tamp, name: 'Tamp' })
  tamp!: Preparation['tamp'];

  @ChoiceField({ of: PREPARATION.mist, name: 'YesOrNo' })
  mist!: Preparation['mist'];

  @ChoiceField({ of: PREPARATION.tap, name: 'YesOrNo' })
  tap!: Preparation['tap'];

  @TextField({ max: 400, optional: true })
  note?: string | null;

  @InstantField({ optional: true, description: 'Set when it was said by mistake' })
  removedAt?: string | null;
}

export class PreparationView extends IntersectionType(OmitType(PreparationDto, ['revision', 'note']), RowView) {
  @ApiProperty() note!: string;
  @ApiProperty({ type: String, format: 'date-time', nullable: true }) override removedAt!: string | null;
}

/** One way of preparing, and how it poured. */
export class PreparedView {
  @ApiProperty({ type: PreparationView }) preparation!: PreparationView;
  @ApiProperty({
    enum: PREPARATION_PARTS,
    enumName: 'PreparationPart',
    isArray: true,
    description: 'Against the way before',
  })
  changed!: PreparationPart[];
  @ApiProperty({ type: 'integer' }) shots!: number;
  @ApiProperty({
    type: Number,
    nullable: true,
    description: 'Of single shots among their like, as a share of the time',
  })
  spread!: number | null;
  @ApiProperty({ type: 'integer', description: 'Shots somebody looked at' }) looked!: number;
  @ApiProperty({ type: 'integer', description: 'Of these: spurts, dead spots, a channel' }) uneven!: number;
  @ApiProperty({ enum: COMPARISONS, enumName: 'PuckComparison', description: 'Against the way before' })
  comparison!: PuckComparison;
}
