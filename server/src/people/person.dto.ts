import { ApiProperty, IntersectionType } from '@nestjs/swagger';
import { BooleanField, InstantField, TextField } from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';

export class PersonDto extends RevisionDto {
  @TextField({ min: 1, max: 80, description: 'First name, as it stands on shots and cards' })
  name!: string;

  @BooleanField({ optional: true, description: 'Says what the recipes of the shop are' })
  isLead?: boolean | null;

  @InstantField({ optional: true, description: 'When they left' })
  retiredAt?: string | null;
}

export class PersonView extends IntersectionType(PersonDto, RowView) {
  @ApiProperty() override revision!: number;
}
