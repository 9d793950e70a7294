import { ApiProperty } from '@nestjs/swagger';
import { EFFECTS, type EffectName } from '@olvet/core';

export class LearnedEffectView {
  @ApiProperty({ enum: EFFECTS, enumName: 'EffectName' }) name!: EffectName;
  @ApiProperty({ description: 'ln time for one unit: a point of humidity, a °C, the usual ageing, an hour' })
  mean!: number;
  @ApiProperty() sd!: number;
  @ApiProperty({ description: 'On so many days it was known', type: 'integer' }) days!: number;
}

export class ForecastScoreView {
  @ApiProperty({ description: 'Mornings whose first shot fell where it was expected', type: 'integer' }) hits!: number;
  @ApiProperty({ description: 'Mornings that were forecast and poured', type: 'integer' }) mornings!: number;
}

/** What this station's own days have taught. */
export class LearnedHereView {
  @ApiProperty({ format: 'uuid' }) stationId!: string;
  @ApiProperty({ type: [LearnedEffectView], description: 'Of its grinder' }) effects!: LearnedEffectView[];
  @ApiProperty({ type: ForecastScoreView }) forecasts!: ForecastScoreView;
}
