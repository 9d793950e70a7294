import { Body, Controller, Get, Put } from '@nestjs/common';
import { ApiBody, ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { validated } from '../common/validation';
import { ShopDto, ShopView } from './shop.dto';
import { CurrentShop } from './shop.guard';
import { ShopService } from './shop.service';

@Controller('shop')
export class ShopController {
  constructor(private readonly shops: ShopService) {}

  @Get()
  @ApiOperation({ operationId: 'getShop', summary: 'Read the shop' })
  @ApiOkResponse({ type: ShopView })
  get(@CurrentShop() shopId: string): Promise<ShopView> {
    return this.shops.get(shopId);
  }

  @Put()
  @ApiOperation({ operationId: 'putShop', summary: 'Change the shop' })
  @ApiBody({ type: ShopDto })
  @ApiOkResponse({ type: ShopView })
  put(@CurrentShop() shopId: string, @Body(validated(ShopDto)) body: ShopDto): Promise<ShopView> {
    return this.shops.put(shopId, body);
  }
}
