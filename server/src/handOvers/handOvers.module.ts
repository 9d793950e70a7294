import { Controller, Get, Injectable, Module, Query } from '@nestjs/common';
import { ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { Sequelize } from 'sequelize-typescript';
import { Clock } from '../clock/clock';
import { resourceController } from '../common/resource.controller';
import { createStore, type Store } from '../common/store';
import { validated } from '../common/validation';
import { shown } from '../database/owned.model';
import { CurrentShop } from '../shop/shop.guard';
import { HandOver } from './handOver.entity';
import { HandOverDto, HandOverView, HappenedListView, HappenedQuery } from './handOver.dto';
import { happenedSince } from './happened';

/** Whoever was away for longer is told of the last two weeks. */
const LONGEST_MS = 14 * 24 * 3600_000;

@Injectable()
export class HandOversService {
  readonly store: Store<HandOver, HandOverDto>;

  constructor(
    private readonly sequelize: Sequelize,
    private readonly clock: Clock,
  ) {
    this.store = createStore<HandOver, HandOverDto>({
      sequelize,
      model: HandOver,
      what: 'hand-over',
      order: [['at', 'DESC']],
    });
  }

  async happened(shopId: string, since: Date): Promise<HappenedListView> {
    const earliest = new Date(this.clock.now().getTime() - LONGEST_MS);
    const [items, last] = await Promise.all([
      happenedSince(this.sequelize, shopId, since < earliest ? earliest : since),
      HandOver.findOne({ where: { shopId }, order: [['at', 'DESC']] }),
    ]);
    return shown({ items, lastHandOver: last ? (last.toJSON() as unknown as HandOverView) : null });
  }
}

const Base = resourceController({ one: 'HandOver', many: 'HandOvers', dto: HandOverDto, view: HandOverView });

@Controller('hand-overs')
export class HandOversController extends Base {
  constructor(service: HandOversService) {
    super(service.store);
  }
}

@Controller('happened')
export class HappenedController {
  constructor(private readonly service: HandOversService) {}

  @Get()
  @ApiOperation({ operationId: 'getHappened', summary: 'What happened at the bar since then' })
  @ApiOkResponse({ type: HappenedListView })
  happened(
    @CurrentShop() shopId: string,
    @Query(validated(HappenedQuery, { query: true })) { since }: HappenedQuery,
  ): Promise<HappenedListView> {
    return this.service.happened(shopId, new Date(since));
  }
}

@Module({ controllers: [HandOversController, HappenedController], providers: [HandOversService] })
export class HandOversModule {}
