import { Controller, Get, Param, ParseUUIDPipe } from '@nestjs/common';
import { ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { resourceController } from '../common/resource.controller';
import { CurrentShop } from '../shop/shop.guard';
import { ShotDto, ShotEditView, ShotView } from './shot.dto';
import { ShotsService } from './shots.service';

const Base = resourceController({ one: 'Shot', many: 'Shots', dto: ShotDto, view: ShotView });

@Controller('shots')
export class ShotsController extends Base {
  constructor(private readonly shots: ShotsService) {
    super(shots);
  }

  @Get(':id/history')
  @ApiOperation({ operationId: 'getShotHistory' })
  @ApiOkResponse({ type: [ShotEditView] })
  history(@CurrentShop() shopId: string, @Param('id', ParseUUIDPipe) id: string): Promise<unknown> {
    return this.shots.history(shopId, id);
  }
}
