import { Module } from '@nestjs/common';
import { LessonsModule } from '../lessons/lessons.module';
import { CoffeeChangesController, ProposalsController } from './coffeeChanges.controller';
import { CoffeeChangesService } from './coffeeChanges.service';
import { ProposalsService } from './proposals.service';

@Module({
  imports: [LessonsModule],
  controllers: [CoffeeChangesController, ProposalsController],
  providers: [CoffeeChangesService, ProposalsService],
})
export class CoffeeChangesModule {}
