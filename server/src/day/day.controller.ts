import { Body, Controller, Get, Param, ParseUUIDPipe, Put, Query } from '@nestjs/common';
import { ApiBody, ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { validated } from '../common/validation';
import { CurrentShop } from '../shop/shop.guard';
import { ShotsService } from '../shots/shots.service';
import { DayQuery, DayView, SeveralShotsDto, SeveralShotsView } from './day.dto';
import { DayService } from './day.service';

@Controller()
export class DayController {
  constructor(
    private readonly days: DayService,
    private readonly shots: ShotsService,
  ) {}

  @Get('stations/:id/day')
  @ApiOperation({ operationId: 'getStationDay', summary: 'Read what a station poured on one day' })
  @ApiOkResponse({ type: DayView })
  day(
    @CurrentShop() shopId: string,
    @Param('id', ParseUUIDPipe) id: string,
    @Query(validated(DayQuery, { query: true })) { day }: DayQuery,
  ): Promise<DayView> {
    return this.days.read(shopId, id, day);
  }

  @Put('several-shots')
  @ApiOperation({ operationId: 'putSeveralShots', summary: 'Make several shots, all of them or none' })
  @ApiBody({ type: SeveralShotsDto })
  @ApiOkResponse({ type: SeveralShotsView })
  async putAll(
    @CurrentShop() shopId: string,
    @Body(validated(SeveralShotsDto)) { shots }: SeveralShotsDto,
  ): Promise<SeveralShotsView> {
    return { shots: await this.shots.putAll(shopId, shots) };
  }
}
