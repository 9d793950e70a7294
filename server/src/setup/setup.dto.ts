import { BagDto } from '../bags/bag.dto';
import { BasketDto } from '../baskets/basket.dto';
import { CoffeeDto } from '../coffees/coffee.dto';
import { IdField, PartField } from '../common/fields';
import { GrinderDto } from '../grinders/grinder.dto';
import { MachineDto } from '../machines/machine.dto';
import { RunDto } from '../runs/run.dto';
import { StationDto } from '../stations/station.dto';

export class SetupBagDto extends BagDto {
  @IdField()
  id!: string;
}

/**
 * A first station in one go: equipment, coffee, station and its first dial-in. Parts that exist already are named by
 * the station and left out here.
 */
export class SetupDto {
  @PartField(() => GrinderDto, { optional: true })
  grinder?: GrinderDto | null;

  @PartField(() => MachineDto, { optional: true })
  machine?: MachineDto | null;

  @PartField(() => BasketDto, { optional: true })
  basket?: BasketDto | null;

  @PartField(() => CoffeeDto, { optional: true })
  coffee?: CoffeeDto | null;

  @PartField(() => SetupBagDto, { optional: true })
  bag?: SetupBagDto | null;

  @PartField(() => StationDto)
  station!: StationDto;

  @PartField(() => RunDto)
  run!: RunDto;

  @IdField()
  runId!: string;
}
