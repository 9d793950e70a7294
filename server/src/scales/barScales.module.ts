import { Module } from '@nestjs/common';
import { BarScalesController } from './barScales.controller';
import { BarScalesService } from './barScales.service';

@Module({ controllers: [BarScalesController], providers: [BarScalesService], exports: [BarScalesService] })
export class BarScalesModule {}
