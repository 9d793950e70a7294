import { ApiProperty } from '@nestjs/swagger';

/** The dose law of a timed grinder, fitted to its own weighings. */
export class TimedDoseView {
  @ApiProperty({ description: 'g/s at atGrind' }) gramsPerSecond!: number;
  @ApiProperty() lagSeconds!: number;
  @ApiProperty({ description: 'Fall of ln rate for one unit finer' }) logRatePerFiner!: number;
  @ApiProperty() atGrind!: number;
  @ApiProperty({ enum: ['lower', 'higher'], enumName: 'FinerWay' }) finer!: 'lower' | 'higher';
  @ApiProperty() weighings!: number;
  @ApiProperty({ type: [Number], description: 'Of ln rate, lag and fall, row by row' }) covariance!: number[];
}

export class TimedWeighingView {
  @ApiProperty() seconds!: number;
  @ApiProperty() grams!: number;
  @ApiProperty() grind!: number;
  @ApiProperty() ageDays!: number;
  @ApiProperty({ enum: ['weighing', 'shot'], enumName: 'WeighedAs' }) from!: 'weighing' | 'shot';
}

/** Everything the timed-dose desk shows of one grinder. */
export class TimedDoseDeskView {
  @ApiProperty({ type: [TimedWeighingView], description: 'Oldest first' }) weighings!: TimedWeighingView[];
  @ApiProperty({ type: TimedDoseView, nullable: true }) model!: TimedDoseView | null;
  @ApiProperty({ type: String, nullable: true, enum: ['up', 'down', null], description: 'The dose wanders' })
  creep!: 'up' | 'down' | null;
}
