import { Controller, Module } from '@nestjs/common';
import { resourceController } from '../common/resource.controller';
import { RoomReadingDto, RoomReadingView } from './roomReading.dto';
import { RoomReadingsService } from './roomReadings.service';

const Base = resourceController({
  one: 'RoomReading',
  many: 'RoomReadings',
  dto: RoomReadingDto,
  view: RoomReadingView,
});

@Controller('room-readings')
export class RoomReadingsController extends Base {
  constructor(service: RoomReadingsService) {
    super(service.store);
  }
}

@Module({ controllers: [RoomReadingsController], providers: [RoomReadingsService] })
export class RoomModule {}
