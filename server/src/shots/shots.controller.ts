import { Controller, Get, Param, ParseUUIDPipe, Query } from '@nestjs/common';
import { ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { resourceController } from '../common/resource.controller';
import { CurrentShop } from '../shop/shop.guard';
import { PageQuery, pageOf, type Page } from '../common/rows';
import { validated } from '../common/validation';
import { ShotDto, ShotEditView, ShotView, TraceView } from './shot.dto';
import { ShotsService } from './shots.service';

const Base = resourceController({ one: 'Shot', many: 'Shots', dto: ShotDto, view: ShotView });

const ShotEditPage = pageOf(ShotEditView, 'ShotEditPage');

@Controller('shots')
export class ShotsController extends Base {
  constructor(private readonly shots: ShotsService) {
    super(shots.store);
  }

  @Get(':id/trace')
  @ApiOperation({ operationId: 'getShotTrace', summary: 'Read what scale and machine said while a shot ran' })
  @ApiOkResponse({ type: TraceView })
  trace(@CurrentShop() shopId: string, @Param('id', ParseUUIDPipe) id: string): Promise<TraceView> {
    return this.shots.trace(shopId, id);
  }

  @Get(':id/history')
  @ApiOperation({ operationId: 'getShotHistory', summary: 'List what a shot said before its corrections' })
  @ApiOkResponse({ type: ShotEditPage })
  history(
    @CurrentShop() shopId: string,
    @Param('id', ParseUUIDPipe) id: string,
    @Query(validated(PageQuery, { query: true })) query: PageQuery,
  ): Promise<Page<ShotEditView>> {
    return this.shots.history(shopId, id, query);
  }
}
