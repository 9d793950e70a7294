import { expect, test, type Page } from '@playwright/test';
import { DEMO_URL } from './browser';
import { openRunId } from './demo';

const FOLDER = 'docs/screenshots';

async function picture(page: Page, name: string): Promise<void> {
  await page.waitForLoadState('load');
  await page.waitForTimeout(1200);
  // What the worker still reckons at stands grey on the page.
  await expect(page.locator('.ant-skeleton')).toHaveCount(0);
  await page.screenshot({ path: `${FOLDER}/${name}.png` });
}

/** A shot in the middle of its flight. */
async function pullLive(page: Page): Promise<void> {
  await page.getByRole('button', { name: /Pull again/ }).click();
  await page.getByText('Bench scale').waitFor();
  await page.keyboard.press('Space');
  await page.waitForTimeout(7000);
  await page.getByRole('button', { name: 'Covered' }).click();
  await page.waitForTimeout(12_000);
}

/** A lever pulled by a steady hand, by then at full pressure. */
async function pullLever(page: Page, station: object & { id: string }): Promise<void> {
  const { request } = page;
  const {
    id,
    shopId: _shop,
    createdAt: _made,
    updatedAt: _written,
    changedBy: _by,
    ...stands
  } = station as Record<string, unknown>;
  await request.put(`${DEMO_URL}/api/stations/${String(id)}`, { data: { ...stands, methodId: 'hand-lever' } });
  const { items } = (await (await request.get(`${DEMO_URL}/api/devices`)).json()) as {
    items: { id: string; kind: string }[];
  };
  const machine = items.find(({ kind }) => kind === 'machine')!;
  const lever = (value: number) =>
    request.post(`${DEMO_URL}/api/devices/${machine.id}/commands`, { data: { command: 'lever', value } });
  await page.goto(`${DEMO_URL}/pull/${station.id}`);
  await page.getByText('Bench scale').waitFor();
  for (const bar of [0.8, 1.4, 1.8, 2, 2.1, 2]) {
    await lever(bar);
    await page.waitForTimeout(1300);
  }
  await page.getByRole('button', { name: 'Covered' }).click();
  for (const bar of [3.5, 5.5, 7, 7.5, 7.4, 7.6, 7.5, 7.5]) {
    await lever(bar);
    await page.waitForTimeout(1200);
  }
}

test('every main view', async ({ page, request }) => {
  const runId = await openRunId(request);
  const cards = (await (await request.get(`${DEMO_URL}/api/cards`)).json()) as { items: { id: string }[] };
  const coffees = (await (await request.get(`${DEMO_URL}/api/coffees`)).json()) as {
    items: { id: string; name: string }[];
  };
  const board = (await (await request.get(`${DEMO_URL}/api/board`)).json()) as {
    stations: { station: { id: string; name: string } }[];
  };
  const [, drifting, steady] = board.stations;
  const views: [string, string][] = [
    ['station', `/stations/${drifting!.station.id}`],
    ['dial-in', `/dial-in/${runId}`],
    ['cards', '/cards'],
    ['card', `/cards/${cards.items[0]!.id}`],
    ['care', '/care'],
    ['opening', '/opening'],
    ['shelf', '/shelf'],
    ['coffee', `/shelf/${coffees.items.find(({ name }) => name === 'Heron Bank')!.id}`],
    ['dose', '/measure/dose'],
    ['workshop', '/workshop?tab=grinders'],
    ['methods', '/workshop?tab=methods'],
    ['devices', '/workshop?tab=devices'],
    ['setup', '/setup'],
  ];
  for (const [name, path] of views) {
    await page.goto(DEMO_URL + path);
    await picture(page, name);
  }
  // The bar and a shot of service on one picture.
  await page.goto(DEMO_URL);
  await page.getByRole('button', { name: `Shot at ${steady!.station.name}` }).click();
  await page.getByRole('button', { name: '28', exact: true }).click();
  await picture(page, 'bar');
  await page.goto(`${DEMO_URL}/dial-in/${runId}`);
  await page.getByRole('button', { name: 'Why, in numbers' }).click();
  await page.getByRole('heading', { name: 'Predicted and measured' }).waitFor();
  await picture(page, 'why');
  await page.keyboard.press('Escape');
  await pullLive(page);
  await picture(page, 'pull');
  await page.keyboard.press('Space');
  await page.waitForTimeout(6000);
  await page.getByRole('button', { name: 'Back' }).click();
  await pullLever(page, board.stations[0]!.station);
  await picture(page, 'lever');
  await page.getByRole('button', { name: /^Stop/ }).click();
  const runs = (await (await request.get(`${DEMO_URL}/api/runs`)).json()) as {
    items: { id: string; status: string }[];
  };
  await page.goto(`${DEMO_URL}/dial-in/${runs.items.find(({ status }) => status === 'kept')!.id}`);
  await page.getByRole('heading', { name: 'What this dial-in taught' }).waitFor();
  await picture(page, 'learned');
  await page.goto(`${DEMO_URL}/dial-in/${runId}`);
  await page.getByRole('button', { name: 'Night' }).click();
  await picture(page, 'dial-in-night');
});
