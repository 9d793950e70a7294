import { Module } from '@nestjs/common';
import { LearningModule } from '../learning/learning.module';
import { LessonsModule } from '../lessons/lessons.module';
import { SheetModule } from '../sheet/sheet.module';
import { RunsController } from './runs.controller';
import { RunsService } from './runs.service';

@Module({
  imports: [LearningModule, LessonsModule, SheetModule],
  controllers: [RunsController],
  providers: [RunsService],
  exports: [RunsService],
})
export class RunsModule {}
