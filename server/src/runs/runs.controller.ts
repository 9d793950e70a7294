import { Controller, Get, Param, ParseUUIDPipe } from '@nestjs/common';
import { ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { resourceController } from '../common/resource.controller';
import { shown } from '../database/owned.model';
import { CurrentShop } from '../shop/shop.guard';
import { ListedRunView, RunDto, RunView, SheetView } from './run.dto';
import { SheetReader } from '../sheet/sheet.reader';
import { RunsService } from './runs.service';

const Base = resourceController({ one: 'Run', many: 'Runs', dto: RunDto, view: RunView, listed: ListedRunView });

@Controller('runs')
export class RunsController extends Base {
  constructor(
    runs: RunsService,
    private readonly sheets: SheetReader,
  ) {
    super(runs.store);
  }

  @Get(':id/sheet')
  @ApiOperation({ operationId: 'getSheet', summary: 'Read everything one dial-in shows' })
  @ApiOkResponse({ type: SheetView })
  async sheet(@CurrentShop() shopId: string, @Param('id', ParseUUIDPipe) id: string): Promise<SheetView> {
    return shown(await this.sheets.read(shopId, id));
  }
}
