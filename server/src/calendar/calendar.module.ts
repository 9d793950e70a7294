import { Module } from '@nestjs/common';
import { CareModule } from '../care/care.module';
import { ShelfModule } from '../shelf/shelf.module';
import { BoardModule } from '../board/board.module';
import { CalendarController } from './calendar.controller';
import { CalendarService } from './calendar.service';

@Module({
  imports: [CareModule, ShelfModule, BoardModule],
  controllers: [CalendarController],
  providers: [CalendarService],
})
export class CalendarModule {}
