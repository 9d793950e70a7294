import { Module } from '@nestjs/common';
import { TastingsController } from './tastings.controller';
import { TastingsService } from './tastings.service';

@Module({ controllers: [TastingsController], providers: [TastingsService], exports: [TastingsService] })
export class TastingsModule {}
