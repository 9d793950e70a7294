import { Module } from '@nestjs/common';
import { RunsModule } from '../runs/runs.module';
import { CardsController } from './cards.controller';
import { CardsService } from './cards.service';

@Module({ imports: [RunsModule], controllers: [CardsController], providers: [CardsService] })
export class CardsModule {}
