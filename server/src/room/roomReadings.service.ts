import { Injectable, Logger, type OnApplicationBootstrap } from '@nestjs/common';
import type { DeviceReport } from '@olvet/core';
import { Sequelize } from 'sequelize-typescript';
import { v5 } from 'uuid';
import { Clock } from '../clock/clock';
import { Problem } from '../common/problem';
import { createStore, type Store } from '../common/store';
import { Device } from '../devices/device.entity';
import { LiveService } from '../live/live.service';
import type { RoomReadingDto } from './roomReading.dto';
import { RoomReading } from './roomReading.entity';

/** The air changes slowly: one reading of a sensor in so long is kept. */
const KEPT_EVERY_MS = 10 * 60_000;

/** The air of the room, typed at any time of the day or told by a sensor. */
@Injectable()
export class RoomReadingsService implements OnApplicationBootstrap {
  readonly store: Store<RoomReading, RoomReadingDto>;
  private readonly logger = new Logger(RoomReadingsService.name);
  /** By sensor, the span of time its last kept reading is of. */
  private readonly kept = new Map<string, number>();

  constructor(
    sequelize: Sequelize,
    private readonly live: LiveService,
    private readonly clock: Clock,
  ) {
    this.store = createStore<RoomReading, RoomReadingDto>({
      sequelize,
      model: RoomReading,
      what: 'reading of the room',
      order: [['at', 'DESC']],
      check: ({ dto }) => {
        if (dto.celsius != null || dto.humidityPercent != null) return Promise.resolve();
        throw new Problem('invalid', 'Nothing was read.', [
          { path: 'celsius', message: 'or humidityPercent must be given' },
        ]);
      },
    });
  }

  onApplicationBootstrap(): void {
    this.live.events.subscribe(({ shopId, event }) => {
      if (event.kind !== 'reports') return;
      this.keep(shopId, event.deviceId, event.reports).catch((error: unknown) => this.logger.warn(String(error)));
    });
  }

  /** Every server process hears it: by its id it is kept once. */
  private async keep(shopId: string, deviceId: string, reports: readonly DeviceReport[]): Promise<void> {
    const values = reports.findLast((report) => report.values?.humidityPercent !== undefined)?.values;
    if (!values) return;
    const at = this.clock.now();
    const span = Math.floor(at.getTime() / KEPT_EVERY_MS);
    if (this.kept.get(deviceId) === span) return;
    this.kept.set(deviceId, span);
    const device = await Device.findOne({ where: { shopId, id: deviceId } });
    if (device?.kind !== 'room') return;
    const { celsius = null, humidityPercent = null } = values;
    const id = v5(String(span), deviceId);
    await RoomReading.bulkCreate([{ shopId, id, at, celsius, humidityPercent, deviceId } as never], {
      ignoreDuplicates: true,
    });
  }
}
