import { Module } from '@nestjs/common';
import { ComputingModule } from '../computing/computing.module';
import { LessonsModule } from '../lessons/lessons.module';
import { SheetModule } from '../sheet/sheet.module';
import { Learner } from './learner';
import { LearningService } from './learning.service';

@Module({
  imports: [ComputingModule, LessonsModule, SheetModule],
  providers: [Learner, LearningService],
  exports: [LearningService],
})
export class LearningModule {}
