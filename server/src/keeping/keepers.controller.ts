import { Controller, HttpCode, Param, ParseUUIDPipe, Post } from '@nestjs/common';
import { ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { resourceController } from '../common/resource.controller';
import { CurrentShop } from '../shop/shop.guard';
import { KeeperDto, KeeperView } from './keeper.dto';
import { KeepersService } from './keepers.service';

const Base = resourceController({ one: 'Keeper', many: 'Keepers', dto: KeeperDto, view: KeeperView });

@Controller('keepers')
export class KeepersController extends Base {
  constructor(private readonly keepers: KeepersService) {
    super(keepers.store);
  }

  /** Needs no revision: to stop is never too late. */
  @Post(':id/hold')
  @HttpCode(200)
  @ApiOperation({ operationId: 'holdKeeper', summary: 'Stop the loop at once' })
  @ApiOkResponse({ type: KeeperView })
  hold(@CurrentShop() shopId: string, @Param('id', ParseUUIDPipe) id: string): Promise<KeeperView> {
    return this.keepers.hold(shopId, id);
  }

  @Post(':id/go-on')
  @HttpCode(200)
  @ApiOperation({ operationId: 'goOnKeeping', summary: 'A person has looked: the loop goes on' })
  @ApiOkResponse({ type: KeeperView })
  goOn(@CurrentShop() shopId: string, @Param('id', ParseUUIDPipe) id: string): Promise<KeeperView> {
    return this.keepers.goOn(shopId, id);
  }
}
