import { Module } from '@nestjs/common';
import { LearningModule } from '../learning/learning.module';
import { TastingsModule } from '../tastings/tastings.module';
import { ShotsController } from './shots.controller';
import { ShotsService } from './shots.service';

@Module({
  imports: [LearningModule, TastingsModule],
  controllers: [ShotsController],
  providers: [ShotsService],
  exports: [ShotsService],
})
export class ShotsModule {}
