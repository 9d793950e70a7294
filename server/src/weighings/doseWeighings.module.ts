import { Module } from '@nestjs/common';
import { DoseWeighingsController } from './doseWeighings.controller';
import { DoseWeighingsService } from './doseWeighings.service';

@Module({ controllers: [DoseWeighingsController], providers: [DoseWeighingsService], exports: [DoseWeighingsService] })
export class DoseWeighingsModule {}
