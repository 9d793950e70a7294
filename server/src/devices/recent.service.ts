import { Injectable, type OnApplicationBootstrap } from '@nestjs/common';
import type { DeviceFigure, DeviceReport } from '@olvet/core';
import { LiveService } from '../live/live.service';
import type { RecentView } from './device.dto';

/** Two minutes of a fast scale. */
const MOST_KEPT = 2400;

interface Kept {
  session: string;
  reports: DeviceReport[];
}

/** What devices sent in the last two minutes, for a page that was away meanwhile. */
@Injectable()
export class RecentService implements OnApplicationBootstrap {
  private readonly kept = new Map<string, Kept>();

  constructor(private readonly live: LiveService) {}

  onApplicationBootstrap(): void {
    this.live.events.subscribe(({ event }) => {
      if (event.kind === 'reports') this.keep(event.deviceId, event.session, event.reports);
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
    const told = this.kept.get(deviceId)?.reports.findLast(({ values }) => values?.[figure] !== undefined);
    return told?.values?.[figure] ?? null;
  }

  private keep(deviceId: string, session: string, reports: DeviceReport[]): void {
    const kept = this.kept.get(deviceId);
    const known = kept?.session === session ? kept.reports : [];
    const last = known.at(-1)?.seq ?? 0;
    const all = [...known, ...reports.filter(({ seq }) => seq > last)];
    this.kept.set(deviceId, { session, reports: all.slice(-MOST_KEPT) });
  }
}
