import { ApiProperty } from '@nestjs/swagger';
import { TextField } from '../common/fields';

export class EnterDto {
  @TextField({ min: 1, max: 20, description: 'The six digits shown where Olvet was started and in the Workshop' })
  code!: string;

  @TextField({ min: 1, max: 40, description: 'What to call this tablet' })
  name!: string;
}

export class DoorView {
  @ApiProperty({ description: 'Whether whoever asks may use Olvet' }) letIn!: boolean;
  @ApiProperty({ description: 'Whether tablets of the shop’s network may be let in' }) network!: boolean;
  @ApiProperty({ type: String, nullable: true, description: 'For the next tablet; only for those let in already' })
  code!: string | null;
  @ApiProperty({ type: [String], description: 'Where tablets find Olvet' }) addresses!: string[];
}

export class TabletView {
  @ApiProperty({ format: 'uuid' }) id!: string;
  @ApiProperty() name!: string;
  @ApiProperty({ format: 'date-time' }) letInAt!: string;
  @ApiProperty({ format: 'date-time' }) seenAt!: string;
}
