import { ApiProperty } from '@nestjs/swagger';
import { InstantField } from '../common/fields';

export class PalateDto {
  @InstantField({ description: 'Tastings before this no longer count' })
  forgetBefore!: string;
}

export class PalateView {
  @ApiProperty() person!: string;
  @ApiProperty({ description: 'Where this person likes the balance best, −3 … +3' }) balance!: number;
  @ApiProperty({ description: 'Where this person likes the body best, −3 … +3' }) body!: number;
  @ApiProperty() balanceSd!: number;
  @ApiProperty() bodySd!: number;
  @ApiProperty({ description: 'Marked cups this rests on' }) tastings!: number;
}
