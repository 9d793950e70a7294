import { Module } from '@nestjs/common';
import { LearningModule } from '../learning/learning.module';
import { CardsController } from './cards.controller';
import { ProposalsService } from './proposals.service';
import { CardsService } from './cards.service';

@Module({ imports: [LearningModule], controllers: [CardsController], providers: [CardsService, ProposalsService] })
export class CardsModule {}
