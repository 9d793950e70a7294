import { Body, Get, Param, ParseUUIDPipe, Put, Query, type Type } from '@nestjs/common';
import { ApiBody, ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { CurrentShop } from '../shop/shop.guard';
import { ListQuery, pageOf, type Page } from './rows';
import type { Resource, Written } from './store';
import { validated } from './validation';

export interface ResourceNames<D, V, L> {
  /** "Grinder": names of operations and schemas. */
  one: string;
  many: string;
  dto: Type<D>;
  view: Type<V>;
  /** What a list shows of each row, where that is more than the row. */
  listed?: Type<L>;
}

/** List, get and put of one kind of row: the routes every such resource shares. */
export function resourceController<D extends Written, V, L = V>(names: ResourceNames<D, V, L>) {
  const { one, many, dto, view } = names;
  const listed = (names.listed ?? view) as Type<L>;
  const pageView = pageOf(listed, `${one}Page`);

  abstract class ResourceController {
    constructor(readonly store: Resource<D, V, L>) {}

    @Get()
    @ApiOperation({ operationId: `list${many}`, summary: `List ${many}, a page at a time` })
    @ApiOkResponse({ type: pageView })
    list(
      @CurrentShop() shopId: string,
      @Query(validated(ListQuery, { query: true })) query: ListQuery,
    ): Promise<Page<L>> {
      return this.store.list(shopId, query);
    }

    @Get(':id')
    @ApiOperation({ operationId: `get${one}`, summary: `Read one of ${many}` })
    @ApiOkResponse({ type: view })
    get(@CurrentShop() shopId: string, @Param('id', ParseUUIDPipe) id: string): Promise<V> {
      return this.store.get(shopId, id);
    }

    @Put(':id')
    @ApiOperation({ operationId: `put${one}`, summary: `Make or change one of ${many}` })
    @ApiBody({ type: dto })
    @ApiOkResponse({ type: view })
    put(
      @CurrentShop() shopId: string,
      @Param('id', ParseUUIDPipe) id: string,
      @Body(validated(dto)) body: D,
    ): Promise<V> {
      return this.store.put(shopId, id, body);
    }
  }
  return ResourceController;
}
