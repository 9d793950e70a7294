import AxeBuilder from '@axe-core/playwright';
import type { DeviceKind } from '@olvet/core';
import { expect, type APIRequestContext, type Page } from '@playwright/test';
import { DeviceLink, type LinkOptions } from '../standins/src/link';
import { House } from './house';
import { test } from './test';

const house = new House();
let second = '';
test.describe.configure({ mode: 'serial' });
test.beforeAll(async () => {
  test.setTimeout(120_000);
  await house.open('e2e_keeper', { devices: false });
  // Both server processes hear of every shot.
  second = await house.beside();
});
test.afterAll(() => house.close());

interface Standing {
  station: { id: string; name: string; grind: number };
  day: { foundSeconds: number; turnUnits: number; shots: { timeSeconds: number }[] };
  keeper: { heldWhy: string | null } | null;
}

const standingOf = async (request: APIRequestContext, name: string): Promise<Standing> => {
  const board = (await (await request.get(`${house.url}/api/board`)).json()) as { stations: Standing[] };
  return board.stations.find(({ station }) => station.name === name)!;
};

/** A machine and a grinder at a station, and the coffee between them: what the loop lives with. */
class SimulatedBar {
  /** ln of how much longer shots take than they were found at. */
  drift = 0;
  private stands = 0;
  private readonly links: DeviceLink[] = [];
  private poured = 0;

  constructor(
    private readonly request: APIRequestContext,
    private readonly name: string,
  ) {}

  async open(): Promise<void> {
    const { station } = await standingOf(this.request, this.name);
    this.stands = station.grind;
    const machine = { unit: 'bar', capabilities: ['start', 'stop'] } satisfies Partial<LinkOptions>;
    await this.connect('machine', station.id, machine);
    await this.connect('grinder', station.id, {
      ...{ unit: 'units', capabilities: ['set-grind'] },
      onCommand: (_command, value) => {
        this.stands = value!;
        this.tellGrind();
        return Promise.resolve(null);
      },
    });
    this.tellGrind();
  }

  close(): void {
    for (const link of this.links) link.end();
  }

  get grind(): number {
    return this.stands;
  }

  /** One shot, as grinder and drift make it, and until the page's server has kept it. */
  async pour(): Promise<void> {
    const before = await standingOf(this.request, this.name);
    const { foundSeconds } = before.day;
    const away = this.stands - this.cardGrind;
    // A puck strays by a little, the same at every run.
    const stray = 0.03 * Math.sin(7 * this.poured);
    this.poured += 1;
    const shotSeconds = foundSeconds * Math.exp(this.drift - this.perUnit * away + stray);
    this.links[0]!.happen('pump-off', { shotSeconds: Math.round(10 * shotSeconds) / 10 });
    await expect
      .poll(async () => (await standingOf(this.request, this.name)).day.shots.length)
      .toBe(before.day.shots.length + 1);
  }

  /** ln time for a unit coarser, and the setting of the card. */
  perUnit = 0.25;
  cardGrind = 0;

  private tellGrind(): void {
    this.links[1]!.report({ grind: this.stands });
  }

  private async connect(kind: DeviceKind, stationId: string, change: Partial<LinkOptions>): Promise<void> {
    const address = `${house.url.replace(/^http/, 'ws')}/api/devices/socket`;
    const name = `Walked ${kind}`;
    this.links.push(
      new DeviceLink({
        ...{ kind, name, key: `the key of a walked ${kind}`, address, simulated: true, unit: '', capabilities: [] },
        ...change,
      }),
    );
    let id = '';
    await expect
      .poll(async () => {
        const { items } = (await (await this.request.get(`${house.url}/api/devices`)).json()) as {
          items: { id: string; name: string; revision: number }[];
        };
        const found = items.find((each) => each.name === name);
        if (!found) return false;
        id = found.id;
        const data = { name, stationId, letInAt: new Date().toISOString(), revision: found.revision };
        return (await this.request.put(`${house.url}/api/devices/${id}`, { data })).ok();
      })
      .toBe(true);
  }
}

const STATION = 'Right bar';
const strip = (page: Page) => page.getByRole('listitem').filter({ hasText: 'Heron Bank' });

test('a lead lets Olvet keep a station; it turns, is held, goes on, and its turn is taken back', async ({
  page,
  request,
}) => {
  test.setTimeout(120_000);
  const bar = new SimulatedBar(request, STATION);
  const { station, day } = await standingOf(request, STATION);
  bar.cardGrind = station.grind;
  bar.drift = 0.15;
  await bar.open();
  await page.goto(`${house.url}/stations/${station.id}`);
  await page.getByRole('button', { name: 'Change what is allowed' }).click();
  await page.getByRole('switch', { name: 'May turn this grinder' }).click();
  const form = page.locator('form').filter({ hasText: 'By Olvet itself' });
  await form.getByLabel('At most at once, in units').fill('1');
  await form.getByLabel('At most in a day').fill('3');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(/^Olvet turns this grinder/)).toBeVisible();
  // The day had drifted already: the first shot the machine tells lets the loop turn.
  await page.goto(house.url);
  const before = bar.grind;
  const elsewhere = await page.context().newPage();
  await elsewhere.goto(second);
  await bar.pour();
  await expect(strip(page).getByText(/^Olvet turned to/)).toBeVisible();
  // A tablet at the other server process hears of it, and one of the two has turned.
  await expect(strip(elsewhere).getByText(/^Olvet turned to/)).toBeVisible({ timeout: 2000 });
  await elsewhere.close();
  expect(bar.grind).toBeGreaterThan(before);
  const moves = await request.get(`${house.url}/api/day-moves`, { params: { stationId: station.id } });
  expect(((await moves.json()) as { items: object[] }).items).toHaveLength(1);
  const turned = bar.grind;
  // Within three shots of its turn it waits, whatever they run.
  await bar.pour();
  await bar.pour();
  expect(bar.grind).toBe(turned);
  await expect(strip(page).getByText('Steady', { exact: true })).toBeVisible();
  const results = await new AxeBuilder({ page }).analyze();
  expect(results.violations.map(({ id }) => id)).toEqual([]);
  // Held, it turns nothing, however long the shots run.
  await strip(page)
    .getByRole('button', { name: `Hold the grinder of ${STATION}` })
    .click();
  await expect(strip(page).getByText('You stopped it.')).toBeVisible();
  bar.drift += 0.15;
  for (let i = 0; i < 5; i += 1) await bar.pour();
  expect(bar.grind).toBe(turned);
  await strip(page)
    .getByRole('button', { name: `Let Olvet go on at ${STATION}` })
    .click();
  await bar.pour();
  await expect.poll(() => bar.grind).toBeGreaterThan(turned);
  await expect(strip(page).getByText(new RegExp(`^Olvet turned to ${bar.grind} `))).toBeVisible();
  // A person disagrees: the grinder goes back by itself, and the loop holds.
  await strip(page).getByRole('button', { name: 'Take back' }).click();
  await expect(strip(page).getByText('Its last turn was taken back.')).toBeVisible();
  expect(bar.grind).toBe(turned);
  expect((await standingOf(request, STATION)).station.grind).toBe(turned);
  expect(day.foundSeconds).toBeGreaterThan(0);
  // What it did stands on the page that is handed over.
  await page.goto(`${house.url}/hand-over`);
  await expect(page.getByText(/^Olvet turned/).first()).toBeVisible();
  await page.getByRole('textbox', { name: 'Note for whoever comes next' }).fill('The right one runs long in the damp.');
  await page.getByRole('button', { name: 'Hand over', exact: true }).click();
  await expect(page.getByText('“The right one runs long in the damp.”')).toBeVisible();
  bar.close();
});

test('a bag, a hopper, a cleaning: one tap on the bar, marked on the strip, and taken back', async ({ page }) => {
  await page.goto(house.url);
  const decaf = page.getByRole('listitem').filter({ hasText: 'Low Tide decaf' });
  await decaf.getByRole('button', { name: 'Filled or cleaned at Small bar, decaf' }).click();
  await decaf.getByRole('button', { name: 'Hopper filled' }).click();
  await expect(decaf.getByRole('status').filter({ hasText: 'Hopper filled at' })).toBeVisible();
  await expect(decaf.getByText('hopper', { exact: true })).toBeVisible();
  await decaf.getByRole('button', { name: 'Undo' }).click();
  await expect(decaf.getByText('hopper', { exact: true })).toBeHidden();
});
