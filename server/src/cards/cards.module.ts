import { Module } from '@nestjs/common';
import { LearningModule } from '../learning/learning.module';
import { CardsController } from './cards.controller';
import { CardsService } from './cards.service';

@Module({ imports: [LearningModule], controllers: [CardsController], providers: [CardsService] })
export class CardsModule {}
