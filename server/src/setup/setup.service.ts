import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { BagsService } from '../bags/bags.service';
import { BasketsService } from '../baskets/baskets.service';
import { CoffeesService } from '../coffees/coffees.service';
import { writeOnce } from '../common/writeOnce';
import { GrindersService } from '../grinders/grinders.service';
import { MachinesService } from '../machines/machines.service';
import { shown, type Shown } from '../database/owned.model';
import type { Run } from '../runs/run.entity';
import { RunsService } from '../runs/runs.service';
import { StationsService } from '../stations/stations.service';
import type { SetupDto } from './setup.dto';

/** Makes a whole station, or nothing. */
@Injectable()
export class SetupService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly grinders: GrindersService,
    private readonly machines: MachinesService,
    private readonly baskets: BasketsService,
    private readonly coffees: CoffeesService,
    private readonly bags: BagsService,
    private readonly stations: StationsService,
    private readonly runs: RunsService,
  ) {}

  put(shopId: string, stationId: string, dto: SetupDto): Promise<Shown<Run>> {
    const { grinder, machine, basket, coffee, bag, station, run, runId } = dto;
    return writeOnce(this.sequelize, async (transaction) => {
      if (grinder) await this.grinders.store.write(shopId, station.grinderId, grinder, transaction);
      if (machine) await this.machines.store.write(shopId, station.machineId, machine, transaction);
      if (basket) await this.baskets.store.write(shopId, station.basketId, basket, transaction);
      if (coffee) await this.coffees.store.write(shopId, station.coffeeId, coffee, transaction);
      if (bag) {
        const { id, ...values } = bag;
        await this.bags.store.write(shopId, id, values, transaction);
      }
      await this.stations.store.write(shopId, stationId, station, transaction);
      return shown(await this.runs.store.write(shopId, runId, run, transaction));
    });
  }
}
