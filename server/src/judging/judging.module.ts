import { Module } from '@nestjs/common';
import { DevicesModule } from '../devices/devices.module';
import { DayMovesController } from './dayMoves.controller';
import { DayMovesService } from './dayMoves.service';
import { JudgeService } from './judge.service';

@Module({
  imports: [DevicesModule],
  controllers: [DayMovesController],
  providers: [DayMovesService, JudgeService],
  exports: [JudgeService, DayMovesService],
})
export class JudgingModule {}
