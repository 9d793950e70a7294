import { Module } from '@nestjs/common';
import { StationsController } from './stations.controller';
import { StationsService } from './stations.service';

@Module({ controllers: [StationsController], providers: [StationsService], exports: [StationsService] })
export class StationsModule {}
