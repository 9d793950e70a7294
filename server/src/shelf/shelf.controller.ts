import { Controller, Get } from '@nestjs/common';
import { ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { CurrentShop } from '../shop/shop.guard';
import { StockView, TastedTodayView, WearView } from './shelf.dto';
import { ShelfService } from './shelf.service';

@Controller()
export class ShelfController {
  constructor(private readonly shelf: ShelfService) {}

  @Get('stock')
  @ApiOperation({ operationId: 'getStock', summary: 'Read what is left of every open bag' })
  @ApiOkResponse({ type: StockView })
  stock(@CurrentShop() shopId: string): Promise<StockView> {
    return this.shelf.stock(shopId);
  }

  @Get('wear')
  @ApiOperation({ operationId: 'getWear', summary: 'Read what each grinder’s burrs have ground' })
  @ApiOkResponse({ type: [WearView] })
  wear(@CurrentShop() shopId: string): Promise<WearView[]> {
    return this.shelf.wear(shopId);
  }

  @Get('tasted-today')
  @ApiOperation({ operationId: 'getTastedToday', summary: 'Read who tasted how much today' })
  @ApiOkResponse({ type: [TastedTodayView] })
  tasted(@CurrentShop() shopId: string): Promise<TastedTodayView[]> {
    return this.shelf.tastedToday(shopId);
  }
}
