import { Module } from '@nestjs/common';
import { ShotsModule } from '../shots/shots.module';
import { DayController } from './day.controller';
import { DayService } from './day.service';

@Module({ imports: [ShotsModule], controllers: [DayController], providers: [DayService] })
export class DayModule {}
