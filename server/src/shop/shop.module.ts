import { Global, Module } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { ShopController } from './shop.controller';
import { ShopGuard } from './shop.guard';
import { ShopService } from './shop.service';

@Global()
@Module({
  controllers: [ShopController],
  providers: [ShopService, ShopGuard, { provide: APP_GUARD, useExisting: ShopGuard }],
  exports: [ShopService],
})
export class ShopModule {}
