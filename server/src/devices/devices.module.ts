import { Module } from '@nestjs/common';
import { ShopModule } from '../shop/shop.module';
import { DeviceGateway } from './device.gateway';
import { DevicesController } from './devices.controller';
import { DevicesService } from './devices.service';
import { RecentService } from './recent.service';

@Module({
  imports: [ShopModule],
  controllers: [DevicesController],
  providers: [DevicesService, RecentService, DeviceGateway],
  exports: [DevicesService, RecentService],
})
export class DevicesModule {}
