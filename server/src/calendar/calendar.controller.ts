import { Controller, Get, Header } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiProduces } from '@nestjs/swagger';
import { CurrentShop } from '../shop/shop.guard';
import { CalendarService } from './calendar.service';

@Controller('calendar.ics')
export class CalendarController {
  constructor(private readonly calendar: CalendarService) {}

  @Get()
  @Header('Content-Type', 'text/calendar; charset=utf-8')
  @ApiOperation({
    operationId: 'getCalendar',
    summary: 'Read the reminders as iCalendar',
    description: 'Reminders as iCalendar: subscribe to this address',
  })
  @ApiProduces('text/calendar')
  @ApiOkResponse({ schema: { type: 'string' } })
  feed(@CurrentShop() shopId: string): Promise<string> {
    return this.calendar.feed(shopId);
  }
}
