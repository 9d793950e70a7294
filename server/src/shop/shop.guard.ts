import { createParamDecorator, Injectable, type CanActivate, type ExecutionContext } from '@nestjs/common';
import type { Request } from 'express';
import { ShopService } from './shop.service';

interface WithShop extends Request {
  shopId?: string;
}

/**
 * Resolves the shop every request acts for. On loopback there is one shop and no sign-in; sign-in will decide here,
 * and nowhere else, whose rows a request may see.
 */
@Injectable()
export class ShopGuard implements CanActivate {
  constructor(private readonly shops: ShopService) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const request = context.switchToHttp().getRequest<WithShop>();
    request.shopId = await this.shops.currentId();
    return true;
  }
}

/** The shop id the guard resolved. */
export const CurrentShop = createParamDecorator((_: unknown, context: ExecutionContext): string => {
  const { shopId } = context.switchToHttp().getRequest<WithShop>();
  if (!shopId) throw new TypeError('CurrentShop needs the shop guard');
  return shopId;
});
