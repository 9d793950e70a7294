import { Controller, Get, Query } from '@nestjs/common';
import { ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { validated } from '../common/validation';
import { CurrentShop } from '../shop/shop.guard';
import { StartQuery, StartView } from './start.dto';
import { StartsService } from './starts.service';

@Controller('start')
export class StartsController {
  constructor(private readonly starts: StartsService) {}

  @Get()
  @ApiOperation({ operationId: 'getStart', summary: 'Suggest where to set a grinder' })
  @ApiOkResponse({ type: StartView })
  async read(
    @CurrentShop() shopId: string,
    @Query(validated(StartQuery, { query: true })) query: StartQuery,
  ): Promise<StartView> {
    return (await this.starts.suggest(shopId, query)) ?? { grind: null, sd: null, from: [] };
  }
}
