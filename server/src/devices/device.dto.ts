import { ApiProperty, IntersectionType } from '@nestjs/swagger';
import { DEVICE_COMMANDS, DEVICE_KINDS, type DeviceCommand, type DeviceKind } from '@olvet/core';
import { ChoiceField, IdField, InstantField, NumberField, TextField } from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';

export class DeviceDto extends RevisionDto {
  @TextField({ min: 1, max: 80 })
  name!: string;

  @IdField({ optional: true, description: 'null: shared, and chosen when a shot is pulled' })
  stationId?: string | null;

  @InstantField({ optional: true, description: 'Set once a person has compared the code; null: it waits' })
  letInAt?: string | null;

  @InstantField({ optional: true, description: 'When it was put away: it is not let in again' })
  retiredAt?: string | null;
}

export class DeviceView extends IntersectionType(DeviceDto, RowView) {
  @ApiProperty() override revision!: number;
  @ApiProperty({ enum: DEVICE_KINDS, enumName: 'DeviceKind' }) kind!: DeviceKind;
  @ApiProperty() unit!: string;
  @ApiProperty({ enum: DEVICE_COMMANDS, enumName: 'DeviceCommand', isArray: true }) capabilities!: DeviceCommand[];
  @ApiProperty({ description: 'No real device stands behind it' }) isSimulated!: boolean;
  @ApiProperty({ type: String, nullable: true, description: 'What the device must show, while it waits' })
  code!: string | null;
  @ApiProperty() isConnected!: boolean;
}

export class DeviceCommandDto {
  @ChoiceField({ of: DEVICE_COMMANDS, name: 'DeviceCommand' })
  command!: DeviceCommand;

  @NumberField({ min: -1000, max: 10_000, optional: true, description: 'Its size: seconds, units, bar or percent' })
  value?: number | null;
}

export class DeviceDoneView {
  @ApiProperty() ok!: boolean;
  @ApiProperty({ type: String, nullable: true, description: 'Why not, in words' }) message!: string | null;
}

export class RecentQuery {
  @TextField({ max: 80, optional: true, description: 'The session of the last report one has' })
  session?: string;

  @NumberField({ min: 0, max: 1e12, integer: true, optional: true, description: 'Its number' })
  after?: number;
}

export class RecentView {
  @ApiProperty({ type: String, nullable: true }) session!: string | null;
  @ApiProperty({ type: 'array', items: { type: 'object', additionalProperties: true } })
  reports!: object[];
}
