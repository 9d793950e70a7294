import { ApiProperty } from '@nestjs/swagger';
import {
  DAY_ACTIONS,
  DAY_EVENTS,
  DAY_REASONS,
  DAY_STATES,
  SHOT_KINDS,
  SUSPECTS,
  type DayAction,
  type DayEventKind,
  type DayReasonCode,
  type DayState,
  type ShotKind,
  type Suspect,
} from '@olvet/core';
import { DayMoveView } from './dayMove.dto';

export class DayShotView {
  @ApiProperty({ format: 'uuid' }) id!: string;
  @ApiProperty({ format: 'date-time' }) pulledAt!: string;
  @ApiProperty() timeSeconds!: number;
  @ApiProperty({ enum: SHOT_KINDS, enumName: 'ShotKind' }) kind!: ShotKind;
  @ApiProperty({ description: 'A known fault: it counts for little' }) isSpoilt!: boolean;
}

export class DayAirView {
  @ApiProperty({ format: 'date-time' }) at!: string;
  @ApiProperty({ type: Number, nullable: true }) celsius!: number | null;
  @ApiProperty({ type: Number, nullable: true }) humidityPercent!: number | null;
}

export class DayMarkView {
  @ApiProperty({ format: 'date-time' }) at!: string;
  @ApiProperty({ enum: DAY_EVENTS, enumName: 'DayEventKind' }) kind!: DayEventKind;
  @ApiProperty({ type: Number, nullable: true, description: 'Where the grinder stands from then on' })
  grind!: number | null;
}

class DayIntervalView {
  @ApiProperty() mean!: number;
  @ApiProperty() p10!: number;
  @ApiProperty() p90!: number;
}

class DayTurnView {
  @ApiProperty() from!: number;
  @ApiProperty() to!: number;
}

class ProposedMoveView {
  @ApiProperty({ type: DayTurnView }) grind!: DayTurnView;
  @ApiProperty({ type: Number, nullable: true }) grindSeconds!: number | null;
  @ApiProperty({ type: Number, nullable: true }) purgeGrams!: number | null;
  @ApiProperty({ type: DayIntervalView }) expectSeconds!: DayIntervalView;
}

/** A station against the time its card was found at, today. */
export class JudgedDayView {
  @ApiProperty() cardName!: string;
  @ApiProperty() foundSeconds!: number;
  @ApiProperty() toleranceSeconds!: number;
  @ApiProperty({ type: 'integer', description: 'Shots it was judged by, those of the evening before included' })
  judgedShots!: number;
  @ApiProperty({ type: [DayShotView], description: 'Of today, by this card, oldest first' }) shots!: DayShotView[];
  @ApiProperty({ type: [DayAirView], description: 'Of the room today, oldest first' }) air!: DayAirView[];
  @ApiProperty({ type: [DayMarkView] }) marks!: DayMarkView[];
  @ApiProperty({ enum: DAY_STATES, enumName: 'DayState' }) state!: DayState;
  @ApiProperty({ enum: DAY_ACTIONS, enumName: 'DayAction' }) action!: DayAction;
  @ApiProperty({ type: DayIntervalView }) shiftSeconds!: DayIntervalView;
  @ApiProperty({ type: ProposedMoveView, nullable: true }) move!: ProposedMoveView | null;
  @ApiProperty({ enum: SUSPECTS, enumName: 'Suspect', isArray: true }) suspects!: Suspect[];
  @ApiProperty({ type: [String] }) why!: string[];
  @ApiProperty({ enum: DAY_REASONS, enumName: 'DayReasonCode', isArray: true, description: 'Why, each as its code' })
  codes!: DayReasonCode[];
  @ApiProperty({ description: 'The smallest turn that tells, in units of the grinder' }) turnUnits!: number;
  @ApiProperty({ description: 'What of the turns a day may take was taken today, in units' }) unitsToday!: number;
  @ApiProperty({ description: 'The most that may be turned in a day, in units' }) unitsPerDay!: number;
  @ApiProperty({ type: String, format: 'date-time', nullable: true, description: 'When to look again' })
  checkAt!: string | null;
  @ApiProperty({ type: DayMoveView, nullable: true, description: 'What was answered last today' })
  lastMove!: DayMoveView | null;
  @ApiProperty({ description: 'Shots since that answer', type: 'integer' }) shotsSince!: number;
}
