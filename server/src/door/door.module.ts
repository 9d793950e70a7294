import { Module, type OnApplicationBootstrap } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { ThrottlerModule } from '@nestjs/throttler';
import { ShopModule } from '../shop/shop.module';
import { DoorController } from './door.controller';
import { DoorGuard } from './door.guard';
import { DoorService } from './door.service';

/** What one device may try in a minute. */
const TRIES = 5;
const MINUTE_MS = 60_000;

@Module({
  imports: [
    ShopModule,
    ThrottlerModule.forRoot({
      throttlers: [{ limit: TRIES, ttl: MINUTE_MS }],
      errorMessage: 'Too many tries from this device: wait a minute.',
    }),
  ],
  controllers: [DoorController],
  providers: [DoorService, { provide: APP_GUARD, useClass: DoorGuard }],
})
export class DoorModule implements OnApplicationBootstrap {
  constructor(private readonly door: DoorService) {}

  onApplicationBootstrap(): void {
    this.door.announce();
  }
}
