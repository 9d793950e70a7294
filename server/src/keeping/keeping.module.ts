import { Module } from '@nestjs/common';
import { BoardModule } from '../board/board.module';
import { DevicesModule } from '../devices/devices.module';
import { JudgingModule } from '../judging/judging.module';
import { ShotsModule } from '../shots/shots.module';
import { KeepersController } from './keepers.controller';
import { KeepersService } from './keepers.service';
import { KeepingService } from './keeping.service';

@Module({
  imports: [BoardModule, DevicesModule, JudgingModule, ShotsModule],
  controllers: [KeepersController],
  providers: [KeepersService, KeepingService],
})
export class KeepingModule {}
