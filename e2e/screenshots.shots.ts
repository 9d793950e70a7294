import { expect, test, type Page } from '@playwright/test';
import { DEMO_URL } from './browser';
import { openRunId } from './demo';

const FOLDER = 'docs/screenshots';

async function picture(page: Page, name: string): Promise<void> {
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(600);
  // What the worker still reckons at stands grey on the page.
  await expect(page.locator('.ant-skeleton')).toHaveCount(0);
  await page.screenshot({ path: `${FOLDER}/${name}.png` });
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
    ['dial-ins', '/dial-in'],
    ['cards', '/cards'],
    ['card', `/cards/${cards.items[0]!.id}`],
    ['opening', '/opening'],
    ['shelf', '/shelf'],
    ['coffee', `/shelf/${coffees.items.find(({ name }) => name === 'Heron Bank')!.id}`],
    ['dose', '/measure/dose'],
    ['workshop', '/workshop?tab=grinders'],
    ['methods', '/workshop?tab=methods'],
    ['tasters', '/workshop?tab=tasters'],
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
  await page.getByRole('button', { name: /Pull again/ }).click();
  await picture(page, 'pull');
  const runs = (await (await request.get(`${DEMO_URL}/api/runs`)).json()) as {
    items: { id: string; status: string }[];
  };
  await page.goto(`${DEMO_URL}/dial-in/${runs.items.find(({ status }) => status === 'kept')!.id}`);
  await page.getByRole('heading', { name: 'What this dial-in taught' }).waitFor();
  await picture(page, 'learned');
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${DEMO_URL}/dial-in/${runId}`);
  await picture(page, 'dial-in-phone');
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.getByRole('button', { name: 'Night' }).click();
  await picture(page, 'dial-in-night');
});
