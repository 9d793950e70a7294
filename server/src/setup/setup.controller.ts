import { Body, Controller, Param, ParseUUIDPipe, Put } from '@nestjs/common';
import { ApiBody, ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { validated } from '../common/validation';
import { RunView } from '../runs/run.dto';
import { CurrentShop } from '../shop/shop.guard';
import { SetupDto } from './setup.dto';
import { SetupService } from './setup.service';

@Controller('setup')
export class SetupController {
  constructor(private readonly setup: SetupService) {}

  @Put(':stationId')
  @ApiOperation({ operationId: 'setUpStation', summary: 'Make a station with all it needs and its first dial-in' })
  @ApiBody({ type: SetupDto })
  @ApiOkResponse({ type: RunView })
  put(
    @CurrentShop() shopId: string,
    @Param('stationId', ParseUUIDPipe) stationId: string,
    @Body(validated(SetupDto)) body: SetupDto,
  ): Promise<RunView> {
    return this.setup.put(shopId, stationId, body);
  }
}
