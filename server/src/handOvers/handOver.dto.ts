import { ApiProperty, IntersectionType, OmitType } from '@nestjs/swagger';
import { HOLD_REASONS, type HoldReason } from '@olvet/core';
import { InstantField, TextField } from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';

export class HandOverDto extends RevisionDto {
  @InstantField({ description: 'When the turn began' })
  since!: string;

  @InstantField()
  at!: string;

  @TextField({ max: 2000, optional: true, description: 'What whoever comes next should know' })
  note?: string | null;
}

export class HandOverView extends IntersectionType(OmitType(HandOverDto, ['revision']), RowView) {
  @ApiProperty() override note!: string;
}

export class HappenedQuery {
  @InstantField({ description: 'From then on; at most two weeks back' })
  since!: string;
}

export const HAPPENINGS = ['turned', 'left', 'card', 'coffee', 'bag', 'hopper-filled', 'cleaned', 'held'] as const;
export type Happening = (typeof HAPPENINGS)[number];

/** One thing that happened at the bar. */
export class HappenedView {
  @ApiProperty({ format: 'date-time' }) at!: string;
  @ApiProperty({ enum: HAPPENINGS, enumName: 'Happening' }) kind!: Happening;
  @ApiProperty({ type: String, nullable: true }) stationName!: string | null;
  @ApiProperty({ type: String, nullable: true, description: 'Of the card or the coffee' }) name!: string | null;
  @ApiProperty({ type: Number, nullable: true }) fromGrind!: number | null;
  @ApiProperty({ type: Number, nullable: true }) toGrind!: number | null;
  @ApiProperty({ type: Number, nullable: true, description: 'Of the card' }) version!: number | null;
  @ApiProperty() isKeeper!: boolean;
  @ApiProperty({ enum: HOLD_REASONS, enumName: 'HoldReason', nullable: true }) heldWhy!: HoldReason | null;
  @ApiProperty({ description: 'As it was said then; empty where nothing was' }) why!: string;
  @ApiProperty({ description: 'First name of whoever did it; empty where nobody said so' }) by!: string;
}

export class HappenedListView {
  @ApiProperty({ type: [HappenedView], description: 'Oldest first' }) items!: HappenedView[];
  @ApiProperty({ type: HandOverView, nullable: true, description: 'The last one before now' })
  lastHandOver!: HandOverView | null;
}
