import { Controller, Sse, type MessageEvent } from '@nestjs/common';
import { ApiExcludeEndpoint } from '@nestjs/swagger';
import { filter, interval, map, merge, takeUntil, last, type Observable, defaultIfEmpty } from 'rxjs';
import { CurrentShop } from '../shop/shop.guard';
import { LiveService } from './live.service';

/** A page that hears nothing for two beats takes its line for cut, also where nobody closed it. */
const BEAT_MS = 2000;
/** Between two servers of the house only. */
const INTERNAL = new Set(['command', 'done']);

/** The event stream; docs/devices.md says what it tells. No client is generated for it: a page reads it as an EventSource. */
@Controller('live')
export class LiveController {
  constructor(private readonly live: LiveService) {}

  @Sse()
  @ApiExcludeEndpoint()
  stream(@CurrentShop() shopId: string): Observable<MessageEvent> {
    const told = this.live.events.pipe(
      filter((each) => each.shopId === shopId && !INTERNAL.has(each.event.kind)),
      map(({ event }) => ({ data: event })),
    );
    const ended = this.live.events.pipe(last(null, null), defaultIfEmpty(null));
    const beats = interval(BEAT_MS).pipe(
      map(() => ({ data: { kind: 'beat' } })),
      takeUntil(ended),
    );
    return merge(told, beats);
  }
}
