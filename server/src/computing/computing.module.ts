import { Module } from '@nestjs/common';
import { ComputePool } from './computePool';

@Module({ providers: [ComputePool], exports: [ComputePool] })
export class ComputingModule {}
