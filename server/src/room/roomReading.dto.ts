import { ApiProperty, IntersectionType, OmitType } from '@nestjs/swagger';
import { LIMITS } from '@olvet/core';
import { InstantField, NumberField } from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';

export class RoomReadingDto extends RevisionDto {
  @InstantField()
  at!: string;

  @NumberField({ ...LIMITS.roomC, optional: true })
  celsius?: number | null;

  @NumberField({ ...LIMITS.humidityPercent, optional: true, description: 'Relative' })
  humidityPercent?: number | null;
}

export class RoomReadingView extends IntersectionType(OmitType(RoomReadingDto, ['revision']), RowView) {
  @ApiProperty({ type: String, format: 'uuid', nullable: true, description: 'The sensor; null where it was typed' })
  deviceId!: string | null;
}
