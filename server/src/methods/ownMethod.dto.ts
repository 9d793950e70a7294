import { ApiProperty, IntersectionType } from '@nestjs/swagger';
import { METHOD_IDS, type Method } from '@olvet/core';
import { ChoiceField, InstantField } from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';
import { MethodField } from './method.field';

export class OwnMethodDto extends RevisionDto {
  @ChoiceField({ of: METHOD_IDS, name: 'ShippedMethod', description: 'The method it was cloned from' })
  basedOn!: string;

  @MethodField()
  method!: Method;

  @InstantField({ optional: true })
  retiredAt?: string | null;
}

export class OwnMethodView extends IntersectionType(OwnMethodDto, RowView) {
  @ApiProperty() override revision!: number;
}
