import { ApiProperty } from '@nestjs/swagger';

const KINDS = ['shots', 'runs', 'stations', 'grinders', 'baskets', 'bags', 'coffees', 'shops'] as const;

/** A row stored before there was the rule it breaks. */
export class CorrectionView {
  @ApiProperty({ enum: KINDS, enumName: 'CorrectionKind' }) kind!: (typeof KINDS)[number];
  @ApiProperty({ format: 'uuid' }) id!: string;
  @ApiProperty({ description: 'Its field that cannot be right' }) path!: string;
  @ApiProperty({ description: 'What must hold' }) message!: string;
  @ApiProperty({ type: String, nullable: true, description: 'Name of the row, or the day it was pulled' })
  name!: string | null;
  @ApiProperty({ type: String, nullable: true, description: 'The dial-in of a shot, the coffee of a bag' })
  within!: string | null;
}
