import { Module, RequestMethod, type DynamicModule } from '@nestjs/common';
import { LoggerModule } from 'nestjs-pino';
import { AdviceModule } from './advice/advice.module';
import { BagsModule } from './bags/bags.module';
import { BasketsModule } from './baskets/baskets.module';
import { BarScalesModule } from './scales/barScales.module';
import { DoseWeighingsModule } from './weighings/doseWeighings.module';
import { FoundDosesModule } from './doses/foundDoses.module';
import { OwnMethodsModule } from './methods/ownMethods.module';
import { OpeningsModule } from './openings/openings.module';
import { RoomModule } from './room/room.module';
import { HandOversModule } from './handOvers/handOvers.module';
import { EffectsModule } from './effects/effects.module';
import { BasketTableModule } from './basketTable/basketTable.module';
import { PreparationsModule } from './preparations/preparations.module';
import { CareModule } from './care/care.module';
import { DrinksModule } from './drinks/drinks.module';
import { KeepingModule } from './keeping/keeping.module';
import { StationEventsModule } from './stationEvents/stationEvents.module';
import { JudgingModule } from './judging/judging.module';
import { CoffeeChangesModule } from './coffeeChanges/coffeeChanges.module';
import { DevicesModule } from './devices/devices.module';
import { LiveModule } from './live/live.module';
import { PullsModule } from './pulls/pulls.module';
import { DayModule } from './day/day.module';
import { PeopleModule } from './people/people.module';
import { ShelfModule } from './shelf/shelf.module';
import { CalendarModule } from './calendar/calendar.module';
import { BoardModule } from './board/board.module';
import { CardsModule } from './cards/cards.module';
import { CoffeesModule } from './coffees/coffees.module';
import { Clock } from './clock/clock';
import { CONFIG, type Config } from './config';
import { CorrectionsModule } from './corrections/corrections.module';
import { DatabaseModule } from './database/database.module';
import { DoorModule } from './door/door.module';
import { GrindersModule } from './grinders/grinders.module';
import { HealthModule } from './health/health.module';
import { quietLog } from './common/quietLog';
import { LessonsModule } from './lessons/lessons.module';
import { MachinesModule } from './machines/machines.module';
import { RunsModule } from './runs/runs.module';
import { SetupModule } from './setup/setup.module';
import { ShopModule } from './shop/shop.module';
import { ShotsModule } from './shots/shots.module';
import { StationsModule } from './stations/stations.module';
import { TransferModule } from './transfer/transfer.module';
import { TastingsModule } from './tastings/tastings.module';

@Module({})
export class AppModule {
  static with(config: Config): DynamicModule {
    return {
      module: AppModule,
      global: true,
      imports: [
        LoggerModule.forRoot({
          pinoHttp: quietLog(config.logLevel),
          // The default pattern of the package is one the router no longer knows.
          forRoutes: [{ path: '{*all}', method: RequestMethod.ALL }],
        }),
        DatabaseModule,
        DoorModule,
        ShopModule,
        GrindersModule,
        MachinesModule,
        BasketsModule,
        CoffeesModule,
        BagsModule,
        StationsModule,
        RunsModule,
        LessonsModule,
        ShotsModule,
        TastingsModule,
        CardsModule,
        BoardModule,
        SetupModule,
        BarScalesModule,
        DoseWeighingsModule,
        FoundDosesModule,
        OwnMethodsModule,
        OpeningsModule,
        ShelfModule,
        CalendarModule,
        AdviceModule,
        HealthModule,
        CorrectionsModule,
        PeopleModule,
        DayModule,
        CoffeeChangesModule,
        JudgingModule,
        StationEventsModule,
        KeepingModule,
        BasketTableModule,
        CareModule,
        PreparationsModule,
        DrinksModule,
        EffectsModule,
        HandOversModule,
        RoomModule,
        LiveModule,
        DevicesModule,
        PullsModule,
        TransferModule,
      ],
      providers: [{ provide: CONFIG, useValue: config }, Clock],
      exports: [CONFIG, Clock],
    };
  }
}
