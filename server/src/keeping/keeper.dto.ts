import { ApiProperty, IntersectionType, OmitType } from '@nestjs/swagger';
import { HOLD_REASONS, LIMITS, type HoldReason } from '@olvet/core';
import { BooleanField, ClockTimeField, NumberField } from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';

export class KeeperDto extends RevisionDto {
  @BooleanField({ description: 'May Olvet turn the grinder of this station by itself?' })
  isOn!: boolean;

  @NumberField({ ...LIMITS.turnUnits, description: 'The most it turns at once, in units of the grinder' })
  unitsPerMove!: number;

  @NumberField({ ...LIMITS.turnUnits, description: 'The most it turns in a day, there and back added up' })
  unitsPerDay!: number;

  @NumberField({ ...LIMITS.keeperShots, integer: true, description: 'Never within so many shots of the last turn' })
  shotsBetween!: number;

  @NumberField({ ...LIMITS.keeperShots, integer: true, description: 'Never on fewer shots of the day' })
  fewestShots!: number;

  @ClockTimeField({ optional: true, description: 'Nothing is turned from then on, HH:MM' })
  quietFrom?: string | null;

  @ClockTimeField({ optional: true, description: 'until then, HH:MM' })
  quietUntil?: string | null;
}

export class KeeperView extends IntersectionType(OmitType(KeeperDto, ['revision']), RowView) {
  @ApiProperty({ type: String, format: 'date-time', nullable: true, description: 'It holds since then' })
  heldAt!: string | null;
  @ApiProperty({ enum: HOLD_REASONS, enumName: 'HoldReason', nullable: true })
  heldWhy!: HoldReason | null;
  @ApiProperty({ type: String, nullable: true }) override quietFrom!: string | null;
  @ApiProperty({ type: String, nullable: true }) override quietUntil!: string | null;
}
