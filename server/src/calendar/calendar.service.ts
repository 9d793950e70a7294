import { Injectable } from '@nestjs/common';
import { careTask, clockTimeOf, dayAfter, restOf, shopDay, stockOf } from '@olvet/core';
import dayjs, { type Dayjs } from 'dayjs';
import ical, { ICalEventRepeatingFreq, type ICalCalendar } from 'ical-generator';
import { Clock } from '../clock/clock';
import { BoardService } from '../board/board.service';
import type { CareItemView } from '../care/care.dto';
import { CareService } from '../care/care.service';
import { Bag } from '../bags/bag.entity';
import { Coffee } from '../coffees/coffee.entity';
import { Machine } from '../machines/machine.entity';
import { Shop } from '../shop/shop.entity';
import { ShelfService } from '../shelf/shelf.service';
import { Station } from '../stations/station.entity';

/** The bar opens at seven where nothing else is known; a reader moves the event to its own hour. */
const OPENING_HOUR = 7;
const USUAL_WARM_UP_MINUTES = 30;
const CHECK_MINUTES = 10;
/** Further ahead nobody knows the pace. */
const CARE_DAYS = 60;

/** Reminders as iCalendar (RFC 5545): switching on, check shots, care, coffees coming into their own, bags running out. */
@Injectable()
export class CalendarService {
  constructor(
    private readonly shelf: ShelfService,
    private readonly board: BoardService,
    private readonly care: CareService,
    private readonly clock: Clock,
  ) {}

  async feed(shopId: string): Promise<string> {
    const [shop, machines, stations, coffees, bags, stock] = await Promise.all([
      Shop.findByPk(shopId, { rejectOnEmpty: true }),
      Machine.findAll({ where: { shopId, retiredAt: null } }),
      Station.findAll({ where: { shopId, retiredAt: null } }),
      Coffee.findAll({ where: { shopId, retiredAt: null } }),
      Bag.findAll({ where: { shopId, finishedAt: null } }),
      this.shelf.stock(shopId),
    ]);
    const today = shopDay(this.clock.now(), shop);
    const calendar = ical({ name: `${shop.name}: Olvet`, prodId: { company: 'Olvet', product: 'Reminders' } });
    const used = new Set(stations.map(({ machineId }) => machineId));
    for (const machine of machines.filter(({ id }) => used.has(id))) addSwitchOn(calendar, machine, today);
    if (stations.length > 0) addCheckShots(calendar, shop, today);
    for (const { station, check } of (await this.board.read(shopId)).stations) {
      if (check?.reason === 'drift')
        addDriftCheck(calendar, station, dayjs(`${today}T${clockTimeOf(new Date(check.dueAt), shop)}:00`));
    }
    for (const item of (await this.care.read(shopId)).items) addCare(calendar, item, today);
    for (const bag of bags) {
      const coffee = coffees.find(({ id }) => id === bag.coffeeId);
      if (!coffee) continue;
      addRest(calendar, bag, coffee, today);
      const left = stock.bags.find(({ bagId }) => bagId === bag.id)?.leftGrams ?? bag.weightGrams;
      const gramsPerDay = stock.pace.find(({ coffeeId }) => coffeeId === coffee.id)?.gramsPerDay ?? 0;
      if (bag.openedOn)
        addRunningOut(calendar, bag, coffee, stockOf({ weightGrams: left, usedGrams: 0, gramsPerDay }).daysLeft, today);
    }
    return calendar.toString();
  }
}

function addSwitchOn(calendar: ICalCalendar, machine: Machine, today: string): void {
  const minutes = machine.warmUpMinutes ?? USUAL_WARM_UP_MINUTES;
  const start = dayjs(today).hour(OPENING_HOUR).subtract(minutes, 'minute');
  calendar.createEvent({
    id: `switch-on-${machine.id}`,
    start: start.toDate(),
    end: start.add(minutes, 'minute').toDate(),
    floating: true,
    summary: `Switch on ${machine.name}`,
    description: `Hot after ${minutes} minutes. A ready light is not a hot group.`,
    repeating: { freq: ICalEventRepeatingFreq.DAILY },
  });
}

/** Every day at the hours the shop has set. */
function addCheckShots(calendar: ICalCalendar, { id, checkTimes }: Shop, today: string): void {
  for (const time of checkTimes) {
    const start = dayjs(`${today}T${time}:00`);
    calendar.createEvent({
      id: `check-shot-${time}-${id}`,
      start: start.toDate(),
      end: start.add(CHECK_MINUTES, 'minute').toDate(),
      floating: true,
      summary: 'Check shot at every station',
      repeating: { freq: ICalEventRepeatingFreq.DAILY },
    });
  }
}

/** Once, where the shots of the day ask for another. */
function addDriftCheck(calendar: ICalCalendar, { id, name }: { id: string; name: string }, start: Dayjs): void {
  calendar.createEvent({
    id: `drift-check-${id}`,
    start: start.toDate(),
    end: start.add(CHECK_MINUTES, 'minute').toDate(),
    floating: true,
    summary: `Check shot at ${name}`,
    description: 'By how its shots ran today.',
  });
}

/** The day a task falls due; what is done each day would fill every one of them. */
function addCare(
  calendar: ICalCalendar,
  { task, machineId, grinderId, name, every, dueOn }: CareItemView,
  today: string,
): void {
  if (dueOn === null || every.days === 1 || dueOn > dayAfter(today, CARE_DAYS)) return;
  const { title, steps, cautions } = careTask(task);
  calendar.createEvent({
    id: `care-${task}-${machineId ?? grinderId ?? 'bar'}`,
    start: dayjs(dueOn).toDate(),
    allDay: true,
    summary: name === '' ? title : `${title}: ${name}`,
    description: [...cautions, ...steps].join('\n'),
  });
}

/** The day a bag comes into its own and the day it leaves. */
function addRest(calendar: ICalCalendar, bag: Bag, coffee: Coffee, today: string): void {
  if (!bag.roastedOn) return;
  const { bestFrom, bestUntil } = restOf({ roastedOn: bag.roastedOn, today, roast: coffee.roast, frozen: bag.frozen });
  const days: [string, string | null, string][] = [
    ['best-from', bestFrom, `${coffee.name} comes into its own`],
    ['best-until', bestUntil, `Last of the best days of ${coffee.name}`],
  ];
  for (const [kind, day, summary] of days) {
    if (day === null || day < today) continue;
    calendar.createEvent({ id: `${kind}-${bag.id}`, start: dayjs(day).toDate(), allDay: true, summary });
  }
}

function addRunningOut(calendar: ICalCalendar, bag: Bag, coffee: Coffee, daysLeft: number | null, today: string): void {
  if (daysLeft === null || daysLeft > 60) return;
  const day = dayAfter(today, Math.floor(daysLeft));
  const summary = `The open bag of ${coffee.name} runs out about now`;
  calendar.createEvent({ id: `runs-out-${bag.id}`, start: dayjs(day).toDate(), allDay: true, summary });
}
