import { Module } from '@nestjs/common';
import { RunsModule } from '../runs/runs.module';
import { TastingsController } from './tastings.controller';
import { TastingsService } from './tastings.service';

@Module({
  imports: [RunsModule],
  controllers: [TastingsController],
  providers: [TastingsService],
  exports: [TastingsService],
})
export class TastingsModule {}
