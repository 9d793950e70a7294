import { ApiProperty, IntersectionType } from '@nestjs/swagger';
import { HAND_CHECKS, type HandCheck, type Method } from '@olvet/core';
import { BasketView } from '../baskets/basket.dto';
import { ReferenceView } from '../cards/reference';
import { CoffeeView } from '../coffees/coffee.dto';
import { ChoiceField, IdField, InstantField, NumberField, TextField } from '../common/fields';
import { GearDto } from '../common/gear.dto';
import { RowView } from '../common/rows';
import { FoundDoseView } from '../doses/foundDose.dto';
import { GrinderView } from '../grinders/grinder.dto';
import { PalateView } from '../lessons/palate.dto';
import { KeptSettingView } from '../lessons/start.dto';
import { METHOD_SCHEMA } from '../methods/method.field';
import { MachineView } from '../machines/machine.dto';
import { SheetShotView } from '../shots/shot.dto';
import { StationView } from '../stations/station.dto';
import { TimedDoseView } from '../weighings/timedDose.view';
import { RUN_STATUSES, type RunStatus } from './run.entity';

/** @see Run.startSd */
const START_SD = 'Spread of `startGrind` in units of the grinder, where the last shots gave it and nobody named it';

export class RunDto extends GearDto {
  @IdField()
  stationId!: string;

  @TextField({ max: 400, optional: true, description: 'The flavour aimed at, in words' })
  goal?: string | null;

  @NumberField({ min: -1000, max: 10000, optional: true })
  startGrind?: number | null;

  @NumberField({ min: 0, max: 10000, optional: true, description: START_SD })
  startSd?: number | null;

  @ChoiceField({ of: HAND_CHECKS, name: 'HandCheck', optional: true, description: 'What a pinch between fingers said' })
  handCheck?: HandCheck | null;

  @NumberField({ min: 1, max: 100, integer: true, optional: true, description: 'Shots this dial-in may take' })
  budgetShots?: number | null;

  @NumberField({ min: 1, max: 10000, optional: true, description: 'Coffee this dial-in may take, purges included, g' })
  budgetGrams?: number | null;

  @ChoiceField({ of: RUN_STATUSES, name: 'RunStatus' })
  status!: RunStatus;

  @InstantField()
  startedAt!: string;

  @InstantField({ optional: true })
  endedAt?: string | null;
}

class MessageView {
  @ApiProperty() mean!: number;
  @ApiProperty({ description: '1/variance' }) precision!: number;
}

/** Where a dial-in begins, from the recipes its grinder had kept. */
export class SuggestedStartView {
  @ApiProperty() grind!: number;
  @ApiProperty({ description: 'In units of the grinder' }) sd!: number;
  @ApiProperty({ type: [KeptSettingView], description: 'Most telling first' }) from!: KeptSettingView[];
}

/** What a finished dial-in taught by itself. */
export class LessonView {
  @ApiProperty({ type: MessageView, nullable: true, description: 'ln of the change of time for one unit finer' })
  slope!: MessageView | null;
  @ApiProperty({ type: MessageView, nullable: true }) balance!: MessageView | null;
  @ApiProperty({ type: MessageView, nullable: true }) body!: MessageView | null;
  @ApiProperty() ratio!: number;
  @ApiProperty() middleSeconds!: number;
  @ApiProperty({ type: Number, nullable: true }) temperatureC!: number | null;
  @ApiProperty() timedShots!: number;
  @ApiProperty() tastedShots!: number;
}

export class RunView extends IntersectionType(RunDto, RowView) {
  @ApiProperty() override revision!: number;
  @ApiProperty({ type: SuggestedStartView, nullable: true, description: 'Where nobody named a setting' })
  suggestedStart!: SuggestedStartView | null;
  @ApiProperty({ type: LessonView, nullable: true }) lesson!: LessonView | null;
}

/** A dial-in in a list, with the names of what it refers to. */
export class ListedRunView extends RunView {
  @ApiProperty() coffeeName!: string;
  @ApiProperty() stationName!: string;
  @ApiProperty() methodName!: string;
}

/** Everything the run sheet shows, in one answer. */
export class SheetView {
  @ApiProperty({ type: RunView }) run!: RunView;
  @ApiProperty({ type: StationView }) station!: StationView;
  @ApiProperty({ type: GrinderView }) grinder!: GrinderView;
  @ApiProperty({ type: MachineView }) machine!: MachineView;
  @ApiProperty({ type: BasketView }) basket!: BasketView;
  @ApiProperty({ type: CoffeeView }) coffee!: CoffeeView;
  @ApiProperty({
    type: Number,
    nullable: true,
    description: 'Days since the open bag was roasted, on the day the run began',
  })
  ageDays!: number | null;
  @ApiProperty({ type: Number, nullable: true, description: 'What a gram of the open bag costs, cents' })
  centsPerGram!: number | null;
  @ApiProperty({ ...METHOD_SCHEMA, nullable: true, description: 'Where it is one of your own' })
  method!: Method | null;
  @ApiProperty({ type: TimedDoseView, nullable: true, description: 'Where the grinder is timed and was weighed' })
  timedDose!: TimedDoseView | null;
  @ApiProperty({ type: FoundDoseView, nullable: true }) foundDose!: FoundDoseView | null;
  @ApiProperty({ description: 'false where doses are struck level and yields read in a glass' }) hasScale!: boolean;
  @ApiProperty({ type: ReferenceView, nullable: true, description: 'Of this coffee’s card here; null: there is none' })
  reference!: ReferenceView | null;
  @ApiProperty({ type: [PalateView], description: 'Of those who tasted' }) palates!: PalateView[];
  @ApiProperty({ type: [SheetShotView], description: 'Oldest first; removed ones left out' })
  shots!: SheetShotView[];
}
