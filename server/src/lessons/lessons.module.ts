import { Module } from '@nestjs/common';
import { PalatesController } from './palates.controller';
import { PalatesService } from './palates.service';

@Module({ controllers: [PalatesController], providers: [PalatesService], exports: [PalatesService] })
export class LessonsModule {}
