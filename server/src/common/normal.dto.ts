import { ApiProperty } from '@nestjs/swagger';

/** A normal belief about one number. */
export class NormalView {
  @ApiProperty() mean!: number;
  @ApiProperty() sd!: number;
}
