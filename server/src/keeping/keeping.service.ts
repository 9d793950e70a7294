import { Injectable, Logger, type BeforeApplicationShutdown, type OnApplicationBootstrap } from '@nestjs/common';
import {
  clockTimeOf,
  FLUSH_SECONDS,
  keeperStep,
  type DeviceReport,
  type KeeperFacts,
  type KeeperStep,
} from '@olvet/core';
import { v5, v7, version } from 'uuid';
import type { BoardStationView } from '../board/board.dto';
import { BoardService } from '../board/board.service';
import { Clock } from '../clock/clock';
import { Problem } from '../common/problem';
import { Device } from '../devices/device.entity';
import { DevicesService } from '../devices/devices.service';
import { RecentService } from '../devices/recent.service';
import { DayMovesService } from '../judging/dayMoves.service';
import { LiveService } from '../live/live.service';
import { Pull } from '../pulls/pull.entity';
import { ShopService } from '../shop/shop.service';
import type { ShotDto } from '../shots/shot.dto';
import { Shot } from '../shots/shot.entity';
import { ShotsService } from '../shots/shots.service';
import { unseenOf } from './unseen';
import { Keeper } from './keeper.entity';
import { KeepersService } from './keepers.service';

/** A device that falls silent, or a bag that is opened, is noticed at least so often. */
const WATCH_EVERY_MS = 10_000;
/** After a start devices take a moment to come back. */
const WATCH_FROM_MS = 60_000;
/** A machine counts from its pump. */
const MACHINE_CLOCK = 'pump-on';
/** A turn takes no longer, answer included. */
const ACTS_MS = 8000;
/** Version of the ids made by `v5`. */
const TOLD = 5;
/** A person's shot of the same moment is theirs to keep, s. */
const SAME_SHOT_SECONDS = 20;

/**
 * The closed loop: a machine that tells its shots, a grinder that can be turned, and between them the judgement of the day. Every
 * server process hears of a shot; one of them claims the keeper's row and acts.
 */
@Injectable()
export class KeepingService implements OnApplicationBootstrap, BeforeApplicationShutdown {
  private readonly logger = new Logger(KeepingService.name);
  private watch: NodeJS.Timeout | null = null;
  private readonly began = performance.now();

  constructor(
    private readonly live: LiveService,
    private readonly clock: Clock,
    private readonly shops: ShopService,
    private readonly board: BoardService,
    private readonly keepers: KeepersService,
    private readonly devices: DevicesService,
    private readonly recent: RecentService,
    private readonly moves: DayMovesService,
    private readonly shots: ShotsService,
  ) {}

  onApplicationBootstrap(): void {
    this.live.events.subscribe(({ shopId, event }) => {
      if (event.kind === 'reports') this.safely(this.hear(shopId, event.deviceId, event.session, event.reports));
      if (event.kind === 'row' && event.type === 'Shots') this.safely(this.afterShot(shopId, event.id));
    });
    this.watch = setInterval(() => this.safely(this.lookAtAll()), WATCH_EVERY_MS);
    this.watch.unref();
  }

  beforeApplicationShutdown(): void {
    if (this.watch) clearInterval(this.watch);
  }

  /** A station's loop does what there is to do. */
  async step(shopId: string, stationId: string): Promise<void> {
    const keeper = await Keeper.findOne({ where: { shopId, id: stationId } });
    if (!keeper?.isOn || keeper.heldAt !== null || this.isActing(keeper)) return;
    const [shop, standing, at] = await Promise.all([
      this.shops.get(shopId),
      this.standing(shopId, stationId),
      this.devices.turnable(shopId, stationId),
    ]);
    if (!standing) return;
    const unseen = await unseenOf(shopId, standing, keeper.lookedAt ?? keeper.createdAt);
    const clock = clockTimeOf(this.clock.now(), shop);
    const step = keeperStep({ ...this.factsOf(standing, at), unseen, clock }, keeper);
    if (step.do === 'wait' || !(await this.claim(keeper))) return;
    try {
      await this.act(keeper, step, standing, at.grinder);
    } finally {
      await Keeper.update({ actingUntil: null }, { where: { shopId, id: stationId } });
    }
  }

  private async act(
    keeper: Keeper,
    step: Exclude<KeeperStep, { do: 'wait' }>,
    { day }: BoardStationView,
    grinder: Device | null,
  ): Promise<void> {
    const { shopId, id: stationId } = keeper;
    if (step.do === 'hold') return this.keepers.holdFor(keeper, step.why);
    if (!(await this.turn(shopId, grinder!.id, step.to))) return this.keepers.holdFor(keeper, 'grinder-refused');
    const { why, move } = day!;
    const turned = { toGrind: step.to, grindSeconds: move!.grindSeconds, why: why.join(' ') };
    await this.moves.turnByKeeper(shopId, v7(), {
      ...{ stationId, at: this.clock.now().toISOString(), answer: 'turned', ...turned },
    });
  }

  /** Whoever counts the revision up acts; another server process that saw the same finds it counted. */
  private async claim(keeper: Keeper): Promise<boolean> {
    const { shopId, id, revision } = keeper;
    const actingUntil = new Date(this.clock.now().getTime() + ACTS_MS);
    const [claimed] = await Keeper.update({ revision: revision + 1, actingUntil }, { where: { shopId, id, revision } });
    if (claimed === 1) keeper.set('revision', revision + 1, { raw: true });
    return claimed === 1;
  }

  private isActing({ actingUntil }: Keeper): boolean {
    return actingUntil !== null && actingUntil > this.clock.now();
  }

  private factsOf(
    { day, station, openRunId, cards }: BoardStationView,
    { machine, grinder }: { machine: Device | null; grinder: Device | null },
  ): Omit<KeeperFacts, 'unseen' | 'clock'> {
    const now = this.clock.now().getTime();
    const silent = (device: Device | null): number | null =>
      device?.seenAt ? (now - device.seenAt.getTime()) / 1000 : null;
    return {
      judged: day && { action: day.action, move: day.move, codes: day.codes },
      foundSeconds: day?.foundSeconds ?? 0,
      shots: day?.shots ?? [],
      shotsSinceMove: day?.lastMove?.answer === 'turned' ? day.shotsSince : null,
      silentSeconds: { machine: silent(machine), grinder: silent(grinder) },
      stands: grinder && this.recent.last(grinder.id, 'grind'),
      grind: station.grind ?? null,
      nearness: (day?.turnUnits ?? 0) / 2,
      isItsClock: cards[0]?.recipe.timer === MACHINE_CLOCK,
      isDiallingIn: openRunId !== null,
    };
  }

  private async turn(shopId: string, deviceId: string, to: number): Promise<boolean> {
    try {
      return (await this.devices.command(shopId, deviceId, 'set-grind', to)).ok;
    } catch (error) {
      if (error instanceof Problem) return false;
      throw error;
    }
  }

  /** What a machine tells of its shots becomes shots of its station, where the loop is on. */
  private async hear(
    shopId: string,
    deviceId: string,
    session: string,
    reports: readonly DeviceReport[],
  ): Promise<void> {
    const ended = reports.filter((report) => report.type === 'event' && report.event === 'pump-off');
    if (ended.length === 0) return;
    const device = await Device.findOne({ where: { shopId, id: deviceId } });
    if (!device?.letInAt || device.stationId === null || device.kind !== 'machine') return;
    const keeper = await Keeper.findOne({ where: { shopId, id: device.stationId } });
    if (!keeper?.isOn) return;
    for (const { seq, values } of ended) {
      if (values?.shotSeconds === undefined) await this.holdUnread(keeper);
      else await this.keep(shopId, device.stationId, v5(`${session} ${seq}`, deviceId), values.shotSeconds);
    }
  }

  private async holdUnread(keeper: Keeper): Promise<void> {
    if (keeper.heldAt === null) await this.keepers.holdFor(keeper, 'no-machine');
  }

  private async keep(shopId: string, stationId: string, id: string, timeSeconds: number): Promise<void> {
    if (timeSeconds < FLUSH_SECONDS) return;
    // Somebody pulls it on a tablet and keeps it from there, with all that was seen of it.
    if (await Pull.count({ where: { shopId, stationId, endedAt: null } })) return;
    const [standing, now] = [await this.standing(shopId, stationId), this.clock.now()];
    const card = standing?.cards[0];
    if (!standing || !card) return;
    const last = standing.shots.at(-1);
    // What the machine told itself has an id made of its words.
    const isSaid =
      last &&
      version(last.id) !== TOLD &&
      Math.abs(now.getTime() - Date.parse(last.pulledAt)) < SAME_SHOT_SECONDS * 1000;
    if (isSaid && last.timeSeconds != null && Math.abs(last.timeSeconds - timeSeconds) <= 1) return;
    const turned = standing.day?.lastMove?.isKeeper && standing.day.shotsSince === 0;
    const poured = { cardVersionId: card.versionId, grind: standing.station.grind, timeSeconds, timer: MACHINE_CLOCK };
    // Nobody purged after the loop turned.
    const shot = { stationId, kind: 'service' as const, pulledAt: now.toISOString(), ...poured, purged: !turned };
    await this.shots.store.put(shopId, id, shot as ShotDto).catch((error: unknown) => {
      // Another server process has kept it.
      if (!(error instanceof Problem) || error.kind !== 'conflict') throw error;
    });
  }

  private async standing(shopId: string, stationId: string): Promise<BoardStationView | undefined> {
    return (await this.board.read(shopId)).stations.find(({ station }) => station.id === stationId);
  }

  private async afterShot(shopId: string, shotId: string): Promise<void> {
    const keepers = await Keeper.findAll({ where: { shopId, isOn: true, heldAt: null } });
    if (keepers.length === 0) return;
    const shot = await Shot.findOne({ attributes: ['stationId'], where: { shopId, id: shotId } });
    if (shot && keepers.some(({ id }) => id === shot.stationId)) await this.step(shopId, shot.stationId);
  }

  private async lookAtAll(): Promise<void> {
    if (performance.now() - this.began < WATCH_FROM_MS) return;
    const keepers = await Keeper.findAll({ where: { isOn: true, heldAt: null } });
    for (const { shopId, id } of keepers) await this.step(shopId, id);
  }

  private safely(work: Promise<void>): void {
    work.catch((error: unknown) => this.logger.warn(String(error)));
  }
}
