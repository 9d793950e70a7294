import { Body, Controller, Get, HttpCode, Param, ParseUUIDPipe, Post, Query } from '@nestjs/common';
import { ApiBody, ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { resourceController } from '../common/resource.controller';
import { validated } from '../common/validation';
import { CurrentShop } from '../shop/shop.guard';
import { DeviceCommandDto, DeviceDoneView, DeviceDto, DeviceView, RecentQuery, RecentView } from './device.dto';
import { DevicesService } from './devices.service';
import { RecentService } from './recent.service';

const Base = resourceController({ one: 'Device', many: 'Devices', dto: DeviceDto, view: DeviceView });

@Controller('devices')
export class DevicesController extends Base {
  constructor(
    private readonly devices: DevicesService,
    private readonly recent: RecentService,
  ) {
    super(devices.store);
  }

  @Post(':id/commands')
  @HttpCode(200)
  @ApiOperation({ operationId: 'commandDevice', summary: 'Ask a device to do something, and hear what became of it' })
  @ApiBody({ type: DeviceCommandDto })
  @ApiOkResponse({ type: DeviceDoneView })
  command(
    @CurrentShop() shopId: string,
    @Param('id', ParseUUIDPipe) id: string,
    @Body(validated(DeviceCommandDto)) { command, value }: DeviceCommandDto,
  ): Promise<DeviceDoneView> {
    return this.devices.command(shopId, id, command, value ?? undefined);
  }

  @Get(':id/reports')
  @ApiOperation({ operationId: 'getRecentReports', summary: 'What a device sent in the last two minutes' })
  @ApiOkResponse({ type: RecentView })
  async reports(
    @CurrentShop() shopId: string,
    @Param('id', ParseUUIDPipe) id: string,
    @Query(validated(RecentQuery, { query: true })) { session, after }: RecentQuery,
  ): Promise<RecentView> {
    await this.devices.store.get(shopId, id);
    return this.recent.after(id, session, after);
  }
}
