import { Module } from '@nestjs/common';
import { FoundDosesController } from './foundDoses.controller';
import { FoundDosesService } from './foundDoses.service';

@Module({ controllers: [FoundDosesController], providers: [FoundDosesService], exports: [FoundDosesService] })
export class FoundDosesModule {}
