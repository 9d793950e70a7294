import { Module } from '@nestjs/common';
import { DayMovesController } from './dayMoves.controller';
import { DayMovesService } from './dayMoves.service';
import { JudgeService } from './judge.service';

@Module({ controllers: [DayMovesController], providers: [DayMovesService, JudgeService], exports: [JudgeService] })
export class JudgingModule {}
