import { Module } from '@nestjs/common';
import { ShelfModule } from '../shelf/shelf.module';
import { BoardModule } from '../board/board.module';
import { CalendarController } from './calendar.controller';
import { CalendarService } from './calendar.service';

@Module({ imports: [ShelfModule, BoardModule], controllers: [CalendarController], providers: [CalendarService] })
export class CalendarModule {}
