import { ApiProperty } from '@nestjs/swagger';
import { CHECK_REASONS, type CheckReason, type StationState } from '@olvet/core';
import { FoundTimeView, RecipeDto } from '../cards/card.dto';
import { KeeperView } from '../keeping/keeper.dto';
import { JudgedDayView } from '../judging/judged.dto';
import { LINE_SCHEMA } from '../shots/shot.dto';
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

export class DueCheckView {
  @ApiProperty({ format: 'date-time' }) dueAt!: string;
  @ApiProperty({ enum: CHECK_REASONS, enumName: 'CheckReason' }) reason!: CheckReason;
  @ApiProperty() isDue!: boolean;
}

/** A card of the coffee that stands at a station. */
export class BoardCardView {
  @ApiProperty({ format: 'uuid' }) cardId!: string;
  @ApiProperty({ format: 'uuid' }) versionId!: string;
  @ApiProperty() version!: number;
  @ApiProperty() name!: string;
  @ApiProperty({ enum: ['black', 'milk'], enumName: 'Purpose' }) purpose!: 'black' | 'milk';
  @ApiProperty({ type: RecipeDto }) recipe!: RecipeDto;
  @ApiProperty({ type: FoundTimeView, nullable: true }) found!: FoundTimeView | null;
  @ApiProperty({ ...LINE_SCHEMA, nullable: true, description: 'Grams at every second of its own shot' })
  reference!: (number | null)[] | null;
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
  @ApiProperty({ type: [BoardCardView], description: 'Cards of this coffee here; the one last poured by comes first' })
  cards!: BoardCardView[];
  @ApiProperty({ type: String, format: 'uuid', nullable: true, description: 'The coffee that stood here before' })
  beforeCoffeeId!: string | null;
  @ApiProperty({ type: String, nullable: true }) beforeCoffeeName!: string | null;
  @ApiProperty({ type: JudgedDayView, nullable: true, description: 'null where no card has a found time yet' })
  day!: JudgedDayView | null;
  @ApiProperty({ type: KeeperView, nullable: true, description: 'The closed loop, where a lead has set it up' })
  keeper!: KeeperView | null;
  @ApiProperty({ type: DueCheckView, nullable: true, description: 'By the shop’s rule; null: no more today' })
  check!: DueCheckView | null;
  @ApiProperty({ type: String, format: 'date-time', nullable: true, description: 'The last check shot today' })
  checkedAt!: string | null;
  @ApiProperty({ type: [BoardShotView], description: 'The last shots with a time, oldest first' })
  shots!: BoardShotView[];
}

export class BoardView {
  @ApiProperty({ type: [BoardStationView] }) stations!: BoardStationView[];
  @ApiProperty({ description: 'Coffee through the grinders since the day began, purges included, g' })
  gramsToday!: number;
  @ApiProperty() shotsToday!: number;
}
