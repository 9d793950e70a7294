import { ApiProperty } from '@nestjs/swagger';
import { InstantField } from '../common/fields';
import { NormalView } from '../common/normal.dto';

export class PalateDto {
  @InstantField({ description: 'Tastings before this no longer count' })
  forgetBefore!: string;
}

export class MarksView {
  @ApiProperty({ type: NormalView, description: 'Mark of ten for a cup as this person wants it' }) best!: NormalView;
  @ApiProperty({ type: NormalView, description: 'What a point away from it costs' }) loss!: NormalView;
  @ApiProperty() cups!: number;
}

export class TasterMarksView {
  @ApiProperty({ type: MarksView, nullable: true }) overall!: MarksView | null;
  @ApiProperty({ type: MarksView, nullable: true }) sweetness!: MarksView | null;
}

export class PalateView {
  @ApiProperty() person!: string;
  @ApiProperty({ description: 'Where this person likes the balance best, −3 … +3' }) balance!: number;
  @ApiProperty({ description: 'Where this person likes the body best, −3 … +3' }) body!: number;
  @ApiProperty() balanceSd!: number;
  @ApiProperty() bodySd!: number;
  @ApiProperty({ description: 'Marked cups this rests on' }) tastings!: number;
  @ApiProperty({ type: TasterMarksView, nullable: true, description: 'How this person uses the scales of ten' })
  marks!: TasterMarksView | null;
}
