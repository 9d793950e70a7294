import { Module } from '@nestjs/common';
import { LearningModule } from '../learning/learning.module';
import { TastingsController } from './tastings.controller';
import { TastingsService } from './tastings.service';

@Module({
  imports: [LearningModule],
  controllers: [TastingsController],
  providers: [TastingsService],
  exports: [TastingsService],
})
export class TastingsModule {}
