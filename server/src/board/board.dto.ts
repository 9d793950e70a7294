import { ApiProperty } from '@nestjs/swagger';
import type { StationState } from '@olvet/core';
import { StationView } from '../stations/station.dto';

const STATES: readonly StationState[] = ['dialled', 'drifting-fast', 'drifting-slow', 'unknown', 'dialling-in'];

export class BoardShotView {
  @ApiProperty({ format: 'uuid' }) id!: string;
  @ApiProperty({ format: 'date-time' }) pulledAt!: string;
  @ApiProperty({ type: Number, nullable: true }) grind!: number | null;
  @ApiProperty({ type: Number, nullable: true }) timeSeconds!: number | null;
}

export class DriftedStartView {
  @ApiProperty() grind!: number;
  @ApiProperty({ description: 'In units of the grinder' }) sd!: number;
}

export class BoardStationView {
  @ApiProperty({ type: StationView }) station!: StationView;
  @ApiProperty() coffeeName!: string;
  @ApiProperty() grinderName!: string;
  @ApiProperty({ enum: ['lower', 'higher'], enumName: 'FinerWay' }) finer!: 'lower' | 'higher';
  @ApiProperty() machineName!: string;
  @ApiProperty() basketName!: string;
  @ApiProperty({ type: Number, nullable: true }) ageDays!: number | null;
  @ApiProperty({ enum: STATES, enumName: 'StationState' }) state!: StationState;
  @ApiProperty({
    type: DriftedStartView,
    nullable: true,
    description: 'Where a dial-in begins after a drift; null: as it stands',
  })
  start!: DriftedStartView | null;
  @ApiProperty({ type: String, nullable: true, description: 'The open dial-in, if any' }) openRunId!: string | null;
  @ApiProperty({ type: String, nullable: true }) cardId!: string | null;
  @ApiProperty({ type: [BoardShotView], description: 'The last shots with a time, oldest first' })
  shots!: BoardShotView[];
}

export class BoardView {
  @ApiProperty({ type: [BoardStationView] }) stations!: BoardStationView[];
  @ApiProperty({ description: 'Coffee through the grinders since the day began, purges included, g' })
  gramsToday!: number;
  @ApiProperty() shotsToday!: number;
}
