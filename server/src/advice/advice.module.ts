import { Module } from '@nestjs/common';
import { ComputingModule } from '../computing/computing.module';
import { AdviceController } from './advice.controller';

@Module({ imports: [ComputingModule], controllers: [AdviceController] })
export class AdviceModule {}
