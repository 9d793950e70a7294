import { Module } from '@nestjs/common';
import { TastingsModule } from '../tastings/tastings.module';
import { ShotsController } from './shots.controller';
import { ShotsService } from './shots.service';

@Module({
  imports: [TastingsModule],
  controllers: [ShotsController],
  providers: [ShotsService],
  exports: [ShotsService],
})
export class ShotsModule {}
