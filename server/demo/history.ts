import {
  advise,
  buildAdviceRequest,
  combineCoffee,
  combineSlopes,
  dialInBudget,
  foundTime,
  lessonOf,
  palateOf,
  parseAdviceRequest,
  pullShot,
  roundTo,
  STEADY_BARISTA,
  type Advice,
  type BrewSettings,
  type LearnedSlope,
  type Lesson,
  type PuckWorld,
  type Settings,
  type ShotKind,
  type ValidAdviceRequest,
} from '@olvet/core';
import dayjs from 'dayjs';
import { airSlows } from './air';
import { KEPT, letKeeperTurn } from './kept';
import { LEAD, PEOPLE, STATIONS, type DemoCoffee, type DemoStation } from './lanternQuay';
import { DAYS, HistoryMaker, type DemoRows } from './maker';
import { notedBy } from './palates';
import { addPreparation } from './preparation';
import { keepTrace } from './traces';

/** A new bag, and with it a dial-in, every so many days. */
const BAG_DAYS = 14;
const MAX_RUN_SHOTS = 7;
/** With a queue at the till nobody weighs: so often in service. */
const HURRIED = 4;
const HUMIDITY_SD = 0.012;

/**
 * Eight weeks at Lantern Quay, ending at `now`: made by the puck simulator and the advice themselves, so the history
 * obeys the model. The same `now` gives the same rows to the last digit.
 */
export function makeHistory(now: Date): DemoRows {
  const maker = new HistoryMaker(now);
  for (const [position, station] of STATIONS.entries()) new StationHistory(maker, station, position).make();
  for (const person of PEOPLE) {
    const palate = palateOf(maker.rows.tastings.filter((tasting) => tasting.person === person));
    maker.rows.palates.push({ person, palate, forgetBefore: null, updatedAt: now });
  }
  for (const name of PEOPLE) maker.add('people', { name, isLead: name === LEAD });
  addPreparation(maker);
  return maker.rows;
}

class StationHistory {
  private readonly grinderId: string;
  private readonly machineId: string;
  private readonly basketId: string;
  private readonly stationId: string;
  private readonly target: Record<string, unknown>;
  private readonly cardIds = new Map<string, { id: string; versionId: string; versions: number }>();
  private settings: Settings;
  private learned: LearnedSlope | null = null;
  private bagId: string | null = null;
  private readonly lessons: { coffee: string; lesson: Lesson }[] = [];
  /** Log resistance drift: weather and the age of the bag, a slow random walk. */
  private weather = 0;

  constructor(
    private readonly maker: HistoryMaker,
    private readonly demo: DemoStation,
    position: number,
  ) {
    const { grinder, machine, basket, target } = demo;
    this.grinderId = maker.once('grinders', grinder.name, { ...grinder, learnedSlope: null });
    this.machineId = maker.once('machines', machine.name, machine);
    this.basketId = maker.once('baskets', basket.name, basket);
    this.target = {
      doseGrams: target.doseGrams,
      yieldGrams: target.yieldGrams,
      temperatureC: target.temperatureC,
      timeSeconds: { min: target.min, max: target.max },
      timer: 'pump-on',
      balance: 0,
      body: 0,
    };
    this.settings = {
      grind: demo.firstGrind,
      doseGrams: target.doseGrams,
      yieldGrams: target.yieldGrams,
      temperatureC: target.temperatureC,
    };
    const coffeeId = this.coffeeId(demo.coffees.at(-1)!);
    this.stationId = maker.add('stations', {
      name: demo.name,
      position,
      grinderId: this.grinderId,
      machineId: this.machineId,
      basketId: this.basketId,
      coffeeId,
      methodId: demo.methodId,
      target: this.target,
      grind: demo.firstGrind,
    });
  }

  make(): void {
    for (let daysAgo = DAYS; daysAgo >= 0; daysAgo -= 1) {
      const coffee = this.coffeeOn(daysAgo);
      const bagDay = (DAYS - daysAgo) % BAG_DAYS === 0;
      if (bagDay && daysAgo > 0) {
        this.openBag(coffee, daysAgo);
        this.dialIn(coffee, daysAgo, 'keep');
      } else if (daysAgo === 0 && this.demo.ending === 'dialling-in') {
        this.openBag(coffee, 0);
        this.dialIn(coffee, 0, 'leave-open');
      } else {
        this.serve(coffee, daysAgo);
      }
    }
    const station = this.maker.row('stations', this.stationId);
    station.grind = this.settings.grind;
    const { doseGrams, yieldGrams, temperatureC } = this.settings;
    station.target = { ...this.target, doseGrams, yieldGrams, temperatureC };
    this.maker.row('grinders', this.grinderId).learnedSlope = this.learned;
  }

  /** The older coffee first, the newer one for the second half. */
  private coffeeOn(daysAgo: number): DemoCoffee {
    const { coffees } = this.demo;
    return daysAgo > DAYS / 2 ? coffees[0]! : coffees.at(-1)!;
  }

  private coffeeId(coffee: DemoCoffee): string {
    const { name, roaster, origin, process, altitudeM, roast, notes, wanted } = coffee;
    return this.maker.once('coffees', name, { roaster, origin, process, altitudeM, roast, notes, ...wanted });
  }

  private openBag(coffee: DemoCoffee, daysAgo: number): void {
    const opened = dayjs(this.maker.at(daysAgo, 0));
    if (this.bagId) this.maker.row('bags', this.bagId).finishedAt = opened.toDate();
    const weightGrams = this.bagGrams();
    this.bagId = this.maker.add('bags', {
      coffeeId: this.coffeeId(coffee),
      roastedOn: opened.subtract(10, 'day').format('YYYY-MM-DD'),
      openedOn: opened.format('YYYY-MM-DD'),
      weightGrams,
      priceCents: Math.round((coffee.priceCents * weightGrams) / 1000),
      createdAt: opened.toDate(),
    });
    // Every bag runs a little differently.
    this.weather += this.maker.draw(0, 0.05);
  }

  /** Bags are bought to last their fortnight with a little to spare, in quarters of a kilogram. */
  private bagGrams(): number {
    const { shotsPerDay, target } = this.demo;
    return Math.ceil((1.25 * shotsPerDay * target.doseGrams * BAG_DAYS) / 250) * 250;
  }

  private world(coffee: DemoCoffee): PuckWorld {
    return { ...this.demo.world, coffee: { ...this.demo.world.coffee, ...coffee.coffee } };
  }

  private serve(coffee: DemoCoffee, daysAgo: number): void {
    const drifting = this.demo.ending === 'drifting' && daysAgo === 0;
    this.weather = 0.8 * this.weather + this.maker.draw(0, HUMIDITY_SD);
    const isKept = this.demo.isKept && daysAgo === 0;
    // The last day is to tell its own story, not that of a spell of weather.
    if (daysAgo === 0) this.weather *= 0.3;
    const count = drifting ? 7 : isKept ? KEPT.shots : this.demo.shotsPerDay;
    for (let i = 0; i < count; i += 1) {
      // Beside the damp of the noon: a low hopper at the one station, warm burrs at the other.
      const wind = drifting && i >= 3 ? 0.12 + 0.015 * (i - 3) : isKept && i >= KEPT.driftsFrom ? KEPT.drift : 0;
      if (isKept && i === KEPT.turnsAt) {
        const { stationId, learned, settings } = this;
        const turn = { ...this.demo, stationId, learned, settings, at: this.maker.at(0, i / count) };
        this.settings = letKeeperTurn(this.maker, turn);
      }
      const at = this.maker.at(daysAgo, (i + 0.5) / count);
      // The first one of the day is pulled to see how the recipe stands.
      this.pour({
        coffee,
        at,
        kind: i === 0 ? 'check' : 'service',
        hurried: i > 0 && i % HURRIED === 0,
        runId: null,
        previousGrind: this.settings.grind,
        wind: wind + airSlows(daysAgo, (i + 0.5) / count),
        tasted: i === 0,
      });
    }
  }

  private dialIn(coffee: DemoCoffee, daysAgo: number, end: 'keep' | 'leave-open'): void {
    // The open run of the demo is only minutes old.
    const startedAt =
      end === 'keep' ? this.maker.at(daysAgo, 0) : dayjs(this.maker.now).subtract(11, 'minute').toDate();
    const runId = this.maker.add('runs', {
      stationId: this.stationId,
      grinderId: this.grinderId,
      machineId: this.machineId,
      basketId: this.basketId,
      coffeeId: this.coffeeId(coffee),
      methodId: this.demo.methodId,
      target: { ...this.target },
      goal: coffee.goal,
      ...this.budget(coffee),
      startGrind: this.roughGrind(end),
      status: 'open',
      startedAt,
      createdAt: startedAt,
    });
    const shots: ReturnType<StationHistory['pour']>[] = [];
    const ask = (): Advice => this.ask(runId, coffee, shots);
    let advice = ask();
    const wanted = end === 'leave-open' ? 3 : MAX_RUN_SHOTS;
    while (shots.length < wanted && advice.action !== 'dialled') {
      const previousGrind = shots.length === 0 ? advice.settings.grind : this.settings.grind;
      this.settings = advice.settings;
      const at = dayjs(startedAt)
        .add(3 * shots.length + 2, 'minute')
        .toDate();
      shots.push(
        this.pour({
          coffee,
          at,
          kind: 'dial-in',
          runId,
          previousGrind,
          wind: 0,
          tasted: true,
          planned: advice.settings,
        }),
      );
      advice = ask();
    }
    if (end === 'leave-open') return;
    this.learn(runId, coffee, shots);
    const endedAt = dayjs(startedAt)
      .add(3 * shots.length + 4, 'minute')
      .toDate();
    Object.assign(this.maker.row('runs', runId), { status: 'kept', endedAt, updatedAt: endedAt });
    this.keepCard(coffee, { runId, at: endedAt, shots });
  }

  /** What the server does when a dial-in ends. */
  private budget(coffee: DemoCoffee): { budgetShots: number; budgetGrams: number } {
    const tasted = this.lessons.some((taught) => taught.coffee === coffee.name);
    const known = (Number(this.lessons.length > 0) + Number(tasted)) as 0 | 1 | 2;
    const { doseGrams } = this.demo.target;
    const { shots, grams } = dialInBudget({ known, doseGrams, purgeGrams: this.demo.grinder.purgeGrams });
    return { budgetShots: shots, budgetGrams: grams };
  }

  private learn(runId: string, coffee: DemoCoffee, shots: ReturnType<StationHistory['pour']>[]): void {
    const lesson = lessonOf(this.request(runId, coffee, shots));
    this.maker.row('runs', runId).lesson = lesson;
    this.lessons.unshift({ coffee: coffee.name, lesson });
    this.learned = combineSlopes(
      this.demo.grinder,
      this.lessons.map((taught) => taught.lesson),
    );
    const ofCoffee = this.lessons.filter((taught) => taught.coffee === coffee.name);
    this.maker.row('coffees', this.coffeeId(coffee)).learnedTaste = combineCoffee(ofCoffee.map(({ lesson: l }) => l));
  }

  /** A new bag begins near the last setting; the open run of the demo begins well off it, to have something to show. */
  private roughGrind(end: 'keep' | 'leave-open'): number {
    const { grinder } = this.demo;
    if (end === 'keep') return this.settings.grind;
    const coarser = grinder.finer === 'lower' ? 1 : -1;
    return roundTo(this.settings.grind + coarser * 9 * (grinder.step || 0.5), 2);
  }

  private ask(runId: string, coffee: DemoCoffee, shots: ReturnType<StationHistory['pour']>[]): Advice {
    return advise(this.request(runId, coffee, shots));
  }

  private request(runId: string, coffee: DemoCoffee, shots: ReturnType<StationHistory['pour']>[]): ValidAdviceRequest {
    const { grinder, basket, machine } = this.demo;
    const run = this.maker.row('runs', runId);
    const parsed = parseAdviceRequest(
      buildAdviceRequest({
        run: {
          id: runId,
          methodId: this.demo.methodId,
          startGrind: run.startGrind as number,
          target: this.target as never,
        },
        grinder: { ...grinder, learnedSlope: this.learned },
        basket,
        machine,
        coffee: { ...coffee, learnedTaste: this.maker.row('coffees', this.coffeeId(coffee)).learnedTaste as never },
        ageDays: 10,
        shots,
      }),
    );
    if (!parsed.ok) throw new Error(`demo request: ${JSON.stringify(parsed.errors)}`);
    return parsed.request;
  }

  private pour(input: {
    coffee: DemoCoffee;
    at: Date;
    kind: ShotKind;
    /** Only its time was read; the rest is taken as planned. */
    hurried?: boolean;
    runId: string | null;
    previousGrind: number;
    wind: number;
    tasted: boolean;
    planned?: Settings;
  }) {
    const { coffee, at, kind, hurried = false, runId, previousGrind, wind, tasted } = input;
    const person = PEOPLE[at.getDate() % 3]!;
    const brewed: BrewSettings = { ...this.settings, temperatureC: this.settings.temperatureC ?? 92.5 };
    const pulled = pullShot({
      world: this.world(coffee),
      settings: brewed,
      barista: { ...STEADY_BARISTA, puckSd: runId ? 0.05 : 0.035, channelChance: 0.05, unpurgedChance: 0.03 },
      previousGrind,
      drift: Math.exp(this.weather + wind),
      random: this.maker.uniform,
    });
    const clock = { clock: 1 + Math.floor(this.maker.uniform() * 4) };
    const shot = {
      runId,
      kind,
      coffeeId: this.coffeeId(coffee),
      cardVersionId: runId ? null : (this.cardIds.get(coffee.name)?.versionId ?? null),
      pulledBy: person,
      changedBy: person,
      stationId: this.stationId,
      pulledAt: at,
      createdAt: at,
      grind: this.settings.grind,
      doseGrams: hurried ? this.settings.doseGrams : pulled.doseGrams,
      yieldGrams: hurried ? this.settings.yieldGrams : pulled.yieldGrams,
      assumed: hurried ? (['doseGrams', 'yieldGrams'] as const) : [],
      temperatureC: this.settings.temperatureC,
      planned: { ...this.settings },
      timeSeconds: pulled.pumpOnSeconds,
      timer: 'pump-on' as const,
      firstDripSeconds: runId ? pulled.firstDripSeconds : null,
      seen: pulled.seen.map((sign) => (sign === 'spurts' ? { sign, ...clock } : { sign })),
      purged: pulled.purged,
      verdict: pulled.taste.overall >= 6.5 ? ('serve' as const) : ('discard' as const),
    };
    const shotId = this.maker.add('shots', shot);
    // What the scale of a dial-in said; in service nobody watched.
    if (runId) keepTrace(this.maker, shotId, pulled);
    if (!tasted) return { ...shot, id: shotId, tastings: [] };
    const taste = notedBy(person, pulled.taste);
    this.maker.add('tastings', { shotId, person, changedBy: person, ...taste, createdAt: at });
    return { ...shot, id: shotId, tastings: [taste] };
  }

  private keepCard(
    coffee: DemoCoffee,
    { runId, at, shots }: { runId: string; at: Date; shots: ReturnType<StationHistory['pour']>[] },
  ): void {
    const known = this.cardIds.get(coffee.name);
    const cardId =
      known?.id ??
      this.maker.add('cards', {
        name: coffee.name,
        coffeeId: this.coffeeId(coffee),
        stationId: this.stationId,
        purpose: this.demo.key === 'small' ? 'milk' : 'black',
        createdAt: at,
      });
    const version = (known?.versions ?? 0) + 1;
    this.maker.row('cards', cardId).updatedAt = at;
    const { grinder, machine, basket, target } = this.demo;
    const recipe = {
      ...this.settings,
      timeSeconds: { min: target.min, max: target.max },
      timer: 'pump-on',
      grinderName: grinder.name,
      machineName: machine.name,
      basketName: basket.name,
      cups: 2,
    };
    const versionId = this.maker.add('card_versions', {
      cardId,
      version,
      runId,
      shotId: shots.at(-1)?.id ?? null,
      recipe,
      found: foundTime(shots, recipe),
      tastesLike: coffee.tastesLike,
      setBy: PEOPLE[version % 3],
      note: version === 1 ? 'first bag' : 'new bag',
      createdAt: at,
    });
    this.cardIds.set(coffee.name, { id: cardId, versionId, versions: version });
  }
}
