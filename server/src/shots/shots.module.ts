import { Module } from '@nestjs/common';
import { RunsModule } from '../runs/runs.module';
import { TastingsModule } from '../tastings/tastings.module';
import { ShotsController } from './shots.controller';
import { ShotsService } from './shots.service';

@Module({
  imports: [RunsModule, TastingsModule],
  controllers: [ShotsController],
  providers: [ShotsService],
  exports: [ShotsService],
})
export class ShotsModule {}
