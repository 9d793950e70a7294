import { Controller, Get, Module, Query } from '@nestjs/common';
import { ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { resourceController } from '../common/resource.controller';
import { validated } from '../common/validation';
import { CurrentShop } from '../shop/shop.guard';
import { BasketRowDto, BasketRowView, BasketTableQuery, BasketTableView } from './basketTable.dto';
import { BasketTableService } from './basketTable.service';

@Controller('basket-table')
export class BasketTableController {
  constructor(private readonly table: BasketTableService) {}

  @Get()
  @ApiOperation({ operationId: 'getBasketTable', summary: 'Read a coffee in every basket: short, normal, long' })
  @ApiOkResponse({ type: BasketTableView })
  read(
    @CurrentShop() shopId: string,
    @Query(validated(BasketTableQuery, { query: true })) query: BasketTableQuery,
  ): Promise<BasketTableView> {
    return this.table.read(shopId, query);
  }
}

const Base = resourceController({ one: 'BasketRow', many: 'BasketRows', dto: BasketRowDto, view: BasketRowView });

@Controller('basket-rows')
export class BasketRowsController extends Base {
  constructor(service: BasketTableService) {
    super(service.rows);
  }
}

@Module({
  controllers: [BasketTableController, BasketRowsController],
  providers: [BasketTableService],
})
export class BasketTableModule {}
