import { Body, Controller, Get, HttpCode, Param, Put } from '@nestjs/common';
import { ApiBody, ApiNoContentResponse, ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { validated } from '../common/validation';
import { CurrentShop } from '../shop/shop.guard';
import { PalateDto, PalateView } from './palate.dto';
import { PalatesService } from './palates.service';

@Controller('palates')
export class PalatesController {
  constructor(private readonly palates: PalatesService) {}

  @Get()
  @ApiOperation({ operationId: 'listPalates', summary: 'List where each person likes a cup best' })
  @ApiOkResponse({ type: [PalateView] })
  list(@CurrentShop() shopId: string): Promise<PalateView[]> {
    return this.palates.list(shopId);
  }

  @Put(':person')
  @HttpCode(204)
  @ApiOperation({ operationId: 'forgetPalate', summary: 'Count a person’s tastings only from a time on' })
  @ApiBody({ type: PalateDto })
  @ApiNoContentResponse()
  forget(
    @CurrentShop() shopId: string,
    @Param('person') person: string,
    @Body(validated(PalateDto)) dto: PalateDto,
  ): Promise<void> {
    return this.palates.forget(shopId, person, dto);
  }
}
