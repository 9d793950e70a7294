import { Module } from '@nestjs/common';
import { PalatesController } from './palates.controller';
import { PalatesService } from './palates.service';
import { StartsController } from './starts.controller';
import { StartsService } from './starts.service';

@Module({
  controllers: [PalatesController, StartsController],
  providers: [PalatesService, StartsService],
  exports: [PalatesService, StartsService],
})
export class LessonsModule {}
