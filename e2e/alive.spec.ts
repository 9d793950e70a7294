import AxeBuilder from '@axe-core/playwright';
import { expect, type APIRequestContext, type Page } from '@playwright/test';
import { House } from './house';
import { test } from './test';

/** Real shots take their real time: by its name this file begins first, so that all others run beside it. */
const house = new House();
test.describe.configure({ mode: 'serial' });
test.beforeAll(async () => {
  test.setTimeout(120_000);
  await house.open('e2e_pull');
});
test.afterAll(() => house.close());

interface Shot {
  id: string;
  timeSeconds: number | null;
  yieldGrams: number | null;
  coverSeconds: number | null;
  contactSeconds: number | null;
  doseGrams: number | null;
  unlevelledGrams: number | null;
  seen: { sign: string; clock?: number }[];
  looks: string[];
  traced: { line: number[]; summary: object | null } | null;
}

async function openRun(request: APIRequestContext): Promise<{ runId: string; stationId: string }> {
  const board = (await (await request.get(`${house.url}/api/board`)).json()) as {
    stations: { openRunId: string | null; station: { id: string } }[];
  };
  const found = board.stations.find(({ openRunId }) => openRunId !== null)!;
  return { runId: found.openRunId!, stationId: found.station.id };
}

async function shotsOf(request: APIRequestContext, runId: string): Promise<Shot[]> {
  const sheet = (await (await request.get(`${house.url}/api/runs/${runId}/sheet`)).json()) as { shots: Shot[] };
  return sheet.shots;
}

async function act(request: APIRequestContext, kind: string, command: string, value: number): Promise<void> {
  const { items } = (await (await request.get(`${house.url}/api/devices`)).json()) as {
    items: { id: string; kind: string }[];
  };
  const device = items.find((each) => each.kind === kind)!;
  await request.post(`${house.url}/api/devices/${device.id}/commands`, { data: { command, value } });
}

const grams = (page: Page) => page.locator('p.quiet:text-is("grams") + p');
const secondsShown = async (page: Page): Promise<number> => Number(await page.getByRole('timer').textContent());

async function openPull(page: Page, runId: string): Promise<void> {
  await page.goto(`${house.url}/dial-in/${runId}`);
  await page.getByRole('button', { name: /^Pull/ }).first().click();
  // The scale has said hello, and its cup is zero.
  await expect(page.getByText(/Bench scale, simulated/)).toBeVisible();
}

async function begin(page: Page, runId: string): Promise<void> {
  await openPull(page, runId);
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: /^Stop/ })).toBeVisible();
}

/** On the same scale, before and after levelling: neither is taken for a cup. */
async function weighDose(page: Page, request: APIRequestContext): Promise<void> {
  await act(request, 'grinder', 'grind', 5);
  await act(request, 'scale', 'cup', 2);
  await page.getByRole('button', { name: /^On the scale: 1[89]/ }).click();
  // Near enough to the plan that nobody asks whether it was meant.
  await act(request, 'grinder', 'grind', 4.65);
  await page.getByRole('button', { name: /^Levelled: 1[67]/ }).click();
}

/** A hand as quick on a busy machine as on any other: it presses in the page itself, the moment the words stand there. */
async function stopAtCue(page: Page): Promise<void> {
  await page.evaluate(
    () =>
      new Promise<void>((done) => {
        const look = (): void => {
          const isSaid = [...document.querySelectorAll('p')].some(({ textContent }) => textContent === 'Stop now.');
          if (!isSaid) return void requestAnimationFrame(look);
          document.body.dispatchEvent(new KeyboardEvent('keydown', { key: ' ', bubbles: true }));
          done();
        };
        look();
      }),
  );
}

test('a shot lived through: it flies, is marked, is stopped at the cue, and lands in the run sheet', async ({
  page,
  request,
}) => {
  const { runId } = await openRun(request);
  const before = (await shotsOf(request, runId)).length;
  await openPull(page, runId);
  await weighDose(page, request);
  await page.keyboard.press('Space');
  await page.waitForTimeout(4000);
  await page.getByRole('button', { name: 'Covered' }).click();
  await expect(page.getByText(/On course|Running/)).toBeVisible({ timeout: 30_000 });
  await page.getByRole('button', { name: /^Spurt/ }).click();
  const results = await new AxeBuilder({ page }).analyze();
  expect(results.violations.map(({ id }) => id)).toEqual([]);
  await page.getByRole('button', { name: 'Spurt at 2 o’clock' }).click();
  await stopAtCue(page);
  await expect(page.getByLabel('Phases').getByText('fell after the stop')).toBeVisible();
  const read = Number(await page.getByLabel(/^yield/).inputValue());
  expect(Math.abs(read - 36)).toBeLessThan(2);
  await page.getByRole('button', { name: 'thin, curling' }).click();
  // The cover was seen a little later than it was tapped: the arrow keys put it right.
  const cover = page.getByRole('slider', { name: 'covered, seconds' });
  await cover.focus();
  await page.keyboard.press('ArrowRight');
  await page.getByRole('button', { name: /^Save shot/ }).click();
  await expect(page.getByRole('button', { name: `Trace of shot ${before + 1}` })).toBeVisible();
  const shot = (await shotsOf(request, runId)).at(-1)!;
  expect(shot).toMatchObject({ seen: [{ sign: 'spurts', clock: 2 }], looks: ['tail-curling'], yieldGrams: read });
  expect(shot.unlevelledGrams! - shot.doseGrams!).toBeGreaterThan(0.1);
  expect(shot.coverSeconds).toBeGreaterThan(4);
  expect(shot.traced!.line.length).toBeGreaterThan(20);
  await page.getByRole('button', { name: `Trace of shot ${before + 1}` }).click();
  const drawer = page.getByRole('dialog');
  await expect(drawer.getByRole('img', { name: /Weight against seconds/ })).toBeVisible();
  const waiting = page.waitForEvent('download');
  await drawer.getByRole('button', { name: /CSV/ }).first().click();
  const file = await (await waiting).path();
  const csv = (await import('node:fs')).readFileSync(file, 'utf8');
  expect(csv).toMatch(/^seconds,grams,bar,celsius\r\n-?\d/);
  const broken = csv.replace(/\r\n.*\r\n/, '\r\n0,lots,9,93\r\n');
  const input = drawer.locator('input[type=file]');
  await input.setInputFiles({ name: 'trace.csv', mimeType: 'text/csv', buffer: Buffer.from(broken) });
  await expect(drawer.getByRole('alert')).toContainText('Line 2: grams must be a number');
  await input.setInputFiles({ name: 'trace.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
  await expect(drawer.getByRole('button', { name: 'Keep this trace' })).toBeEnabled();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: new RegExp(`^Shot ${before + 1}`) }).click();
  await page.getByRole('button', { name: 'Measure: Bench refractometer' }).click();
  await expect(page.getByLabel('TDS, %')).toHaveValue(/^\d+\.\d/);
});

test('a shot survives a page that is loaded again, a server that is started again, and a scale that is gone', async ({
  page,
  request,
}) => {
  const { runId } = await openRun(request);
  const before = (await shotsOf(request, runId)).length;
  await begin(page, runId);
  await page.waitForTimeout(2500);
  await page.reload();
  await expect(page.getByRole('button', { name: /^Stop/ })).toBeVisible();
  expect(await secondsShown(page)).toBeGreaterThan(2.5);
  await act(request, 'scale', 'battery', 0);
  await page.waitForTimeout(5000);
  await act(request, 'scale', 'battery', 80);
  await expect(grams(page)).not.toHaveText('0.0', { timeout: 30_000 });
  await house.stop();
  await page.waitForTimeout(1000);
  await house.start();
  const stood = Number(await grams(page).textContent());
  await expect
    .poll(async () => Number(await grams(page).textContent()), { timeout: 20_000 })
    .toBeGreaterThan(stood + 1);
  await page.keyboard.press('Space');
  await page.waitForTimeout(4500);
  await page.getByRole('button', { name: /^Save shot/ }).click();
  // Stopped long before its yield, as one does when a server has just gone, it may be asked after.
  const missed = page.getByRole('button', { name: /^Missed/ });
  await expect
    .poll(async () => {
      if (await missed.isVisible()) await missed.click();
      return (await shotsOf(request, runId)).length;
    })
    .toBe(before + 1);
  const shot = (await shotsOf(request, runId)).at(-1)!;
  const trace = (await (await request.get(`${house.url}/api/shots/${shot.id}/trace`)).json()) as {
    rows: number[][];
  };
  const seconds = trace.rows.map((row) => row[0]!).filter((at) => at > 0);
  const gaps = seconds.slice(1).map((at, i) => at - seconds[i]!);
  // The scale was silent for five seconds; nothing else is missing, and nothing is there twice.
  expect(gaps.filter((gap) => gap > 0.5)).toHaveLength(1);
  expect(Math.min(...gaps)).toBeGreaterThanOrEqual(0);
});

test('a tablet that is offline for the whole shot keeps it and sends it once, also where the line hangs', async ({
  page,
  request,
  context,
}) => {
  const { runId } = await openRun(request);
  const before = (await shotsOf(request, runId)).length;
  const pullByHand = async (): Promise<void> => {
    await page.getByRole('button', { name: /^Pull/ }).first().click();
    await page.keyboard.press('Space');
    await page.waitForTimeout(1500);
    await page.keyboard.press('Space');
    await page.getByRole('button', { name: /^Save shot/ }).click();
  };
  await page.goto(`${house.url}/dial-in/${runId}`);
  await expect(page.getByRole('button', { name: /^Pull/ }).first()).toBeVisible();
  await context.setOffline(true);
  await pullByHand();
  await expect(page.getByText(/1 shot kept on this tablet/)).toBeVisible();
  await context.setOffline(false);
  await expect.poll(async () => (await shotsOf(request, runId)).length).toBe(before + 1);
  await expect(page.getByText(/kept on this tablet/)).toBeHidden();
  // A line that hangs instead of closing: the write reaches nobody, and nobody says so.
  await page.route('**/api/shots/*', () => {});
  await pullByHand();
  await expect(page.getByText(/1 shot kept on this tablet/)).toBeVisible({ timeout: 15_000 });
  await page.unroute('**/api/shots/*');
  await expect.poll(async () => (await shotsOf(request, runId)).length, { timeout: 30_000 }).toBe(before + 2);
  await expect(page.getByText(/kept on this tablet/)).toBeHidden({ timeout: 30_000 });
});

test('two tablets watch one shot; the second takes it over after asking', async ({ page, request, browser }) => {
  const { stationId } = await openRun(request);
  const before = ((await (await request.get(`${house.url}/api/stations/${stationId}/day`)).json()) as { shots: [] })
    .shots;
  const other = await (await browser.newContext()).newPage();
  await page.goto(`${house.url}/pull/${stationId}`);
  await expect(page.getByText(/Bench scale/)).toBeVisible();
  await page.keyboard.press('Space');
  await other.goto(house.url);
  await other.getByRole('link', { name: 'Watch it' }).click();
  await expect.poll(() => secondsShown(other)).toBeGreaterThan(2);
  expect(Math.abs((await secondsShown(other)) - (await secondsShown(page)))).toBeLessThan(1.5);
  await page.getByRole('button', { name: 'Covered' }).click();
  await expect(other.getByText('covered', { exact: true })).toBeVisible({ timeout: 3000 });
  await other.getByRole('button', { name: 'Ask to take it over' }).click();
  await page.getByRole('button', { name: 'Hand it over' }).click();
  await expect(page).toHaveURL(/\/watch\//);
  await expect(other).toHaveURL(/\/pull\//);
  await expect(other.getByRole('button', { name: /^Stop/ })).toBeVisible();
  await other.getByRole('button', { name: /^Stop/ }).click();
  await expect(page.getByText('has been stopped')).toBeVisible();
  await other.getByRole('button', { name: /^Save shot/ }).click();
  const asked = other.getByRole('button', { name: 'It was so' });
  await expect
    .poll(async () => {
      // So short a shot may be asked after.
      if (await asked.isVisible()) await asked.click();
      const day = await (await request.get(`${house.url}/api/stations/${stationId}/day`)).json();
      return (day as { shots: object[] }).shots.length;
    })
    .toBe(before.length + 1);
});

test('a drift is seen, answered with one tap, and the next shot confirms it', async ({ page, request, browser }) => {
  await page.goto(house.url);
  const strip = page.getByRole('listitem').filter({ hasText: 'Heron Bank' });
  await expect(strip.getByText('Drifting slow')).toBeVisible();
  const stands = async (): Promise<number> => {
    const board = (await (await request.get(`${house.url}/api/board`)).json()) as {
      stations: { coffeeName: string; station: { grind: number } }[];
    };
    return board.stations.find(({ coffeeName }) => coffeeName === 'Heron Bank')!.station.grind;
  };
  const before = await stands();
  // The sensor on the wall has told of the air by itself.
  await expect(strip.getByText(/humidity .* %/)).toBeVisible();
  const other = await (await browser.newContext()).newPage();
  await other.goto(house.url);
  const there = other.getByRole('listitem').filter({ hasText: 'Heron Bank' });
  await expect(there.getByText('Drifting slow')).toBeVisible();
  await strip.getByRole('button', { name: /^Coarser/ }).click();
  await expect(strip.getByText('Turned', { exact: true })).toBeVisible();
  // The other tablet hears of it through the stream.
  await expect(there.getByText('Turned', { exact: true })).toBeVisible({ timeout: 2000 });
  expect(await stands()).toBeGreaterThan(before);
  await strip.getByRole('button', { name: 'Turn back' }).click();
  await expect(strip.getByText('Drifting slow')).toBeVisible();
  expect(await stands()).toBe(before);
  await strip.getByRole('button', { name: /^Coarser/ }).click();
  await strip.getByRole('button', { name: 'Shot at Right bar' }).click();
  const entry = page.getByRole('form', { name: 'Shot at Right bar' });
  await entry.getByRole('button', { name: '30', exact: true }).click();
  await entry.getByRole('button', { name: /as planned$/ }).click();
  await entry.getByRole('button', { name: /^(Save|Save, no check)$/ }).click();
  await expect(strip.getByText('Steady', { exact: true })).toBeVisible();
});
