import { Inject, Injectable, type OnApplicationBootstrap } from '@nestjs/common';
import type { DeviceFigure, DeviceReport } from '@olvet/core';
import { CONFIG, type Config } from '../config';
import { LiveService } from '../live/live.service';
import type { RecentView } from './device.dto';

/** Two minutes of a fast scale. */
const MOST_KEPT = 2400;

/** What a grinder says of itself may be this much older than that it has turned. */
const SETTLE_MS = 2000;

interface Kept {
  session: string;
  reports: DeviceReport[];
}

/** What devices sent in the last two minutes, for a page that was away meanwhile. */
@Injectable()
export class RecentService implements OnApplicationBootstrap {
  private readonly kept = new Map<string, Kept>();
  /** The turn a grinder was asked for last, and the last one it did. */
  private readonly asked = new Map<string, { id: string; grind: number }>();
  private readonly turned = new Map<string, { grind: number; until: number }>();

  constructor(
    private readonly live: LiveService,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  onApplicationBootstrap(): void {
    this.live.events.subscribe(({ event }) => {
      if (event.kind === 'reports') this.keep(event.deviceId, event.session, event.reports);
      if (event.kind === 'command' && event.command === 'set-grind')
        this.asked.set(event.deviceId, { id: event.id, grind: event.value! });
      if (event.kind === 'done' && event.ok) this.settle(event.id);
    });
  }

  after(deviceId: string, session: string | undefined, seq = 0): RecentView {
    const kept = this.kept.get(deviceId);
    if (!kept) return { session: null, reports: [] };
    const from = kept.session === session ? seq : 0;
    return { session: kept.session, reports: kept.reports.filter((report) => report.seq > from) };
  }

  /** The newest such figure of the last two minutes. */
  last(deviceId: string, figure: DeviceFigure): number | null {
    const turned = figure === 'grind' ? this.turned.get(deviceId) : undefined;
    if (turned && this.config.now() < turned.until) return turned.grind;
    const told = this.kept.get(deviceId)?.reports.findLast(({ values }) => values?.[figure] !== undefined);
    return told?.values?.[figure] ?? null;
  }

  private settle(id: string): void {
    for (const [deviceId, asked] of this.asked) {
      if (asked.id !== id) continue;
      this.turned.set(deviceId, { grind: asked.grind, until: this.config.now() + SETTLE_MS });
      this.asked.delete(deviceId);
    }
  }

  private keep(deviceId: string, session: string, reports: DeviceReport[]): void {
    const kept = this.kept.get(deviceId);
    const known = kept?.session === session ? kept.reports : [];
    const last = known.at(-1)?.seq ?? 0;
    const all = [...known, ...reports.filter(({ seq }) => seq > last)];
    this.kept.set(deviceId, { session, reports: all.slice(-MOST_KEPT) });
  }
}
