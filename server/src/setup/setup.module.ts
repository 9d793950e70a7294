import { Module } from '@nestjs/common';
import { BagsModule } from '../bags/bags.module';
import { BasketsModule } from '../baskets/baskets.module';
import { CoffeesModule } from '../coffees/coffees.module';
import { GrindersModule } from '../grinders/grinders.module';
import { MachinesModule } from '../machines/machines.module';
import { RunsModule } from '../runs/runs.module';
import { StationsModule } from '../stations/stations.module';
import { SetupController } from './setup.controller';
import { SetupService } from './setup.service';

@Module({
  imports: [GrindersModule, MachinesModule, BasketsModule, CoffeesModule, BagsModule, StationsModule, RunsModule],
  controllers: [SetupController],
  providers: [SetupService],
})
export class SetupModule {}
