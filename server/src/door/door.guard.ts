import { Injectable, SetMetadata, type CanActivate, type ExecutionContext } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import { parse } from 'cookie';
import type { Request } from 'express';
import { Problem } from '../common/problem';
import { DoorService } from './door.service';
import { isAtThisMachine } from './ownPages';

export const TABLET_COOKIE = 'olvet_tablet';
const BEFORE_THE_DOOR = 'before-the-door';

/** Answered to whoever asks: what one needs to be let in, and whether the house is up. */
export const BeforeTheDoor = () => SetMetadata(BEFORE_THE_DOOR, true);

/** Who sits at the machine itself is in; others show that they were let in. Sign-in will stand on this. */
@Injectable()
export class DoorGuard implements CanActivate {
  constructor(
    private readonly reflector: Reflector,
    private readonly door: DoorService,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    if (this.reflector.get<boolean>(BEFORE_THE_DOOR, context.getHandler())) return true;
    if (await isLetIn(this.door, context.switchToHttp().getRequest<Request>())) return true;
    throw new Problem('not-let-in', 'This device has not been let in yet: type the code of this Olvet.');
  }
}

export async function isLetIn(door: DoorService, request: Request): Promise<boolean> {
  if (isAtThisMachine(request)) return true;
  return door.isLetIn(parse(request.headers.cookie ?? '')[TABLET_COOKIE]);
}
