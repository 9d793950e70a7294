import { expect, type Locator, type Page } from '@playwright/test';
import { DEMO_URL } from './browser';
import { test } from './test';

interface Board {
  stations: { station: { id: string; name: string; coffeeId: string; grind: number | null }; coffeeName: string }[];
}

const boardOf = async (page: Page): Promise<Board> =>
  (await (await page.request.get(`${DEMO_URL}/api/board`)).json()) as Board;

/** Shots of service at a station today; other walks pour at the same bar meanwhile. */
async function servedAt(page: Page, stationId: string): Promise<number> {
  const { shots } = (await (await page.request.get(`${DEMO_URL}/api/stations/${stationId}/day`)).json()) as {
    shots: { kind: string }[];
  };
  return shots.filter(({ kind }) => kind !== 'dial-in').length;
}

/** Counts what a finger does. */
class Finger {
  taps = 0;

  async tap(target: Locator): Promise<void> {
    this.taps += 1;
    await target.click();
  }
}

test('ten shots of service at three stations, at most four taps each', async ({ page }) => {
  await page.goto(DEMO_URL);
  const { stations } = await boardOf(page);
  expect(stations.length).toBeGreaterThanOrEqual(3);
  const served = async (): Promise<number[]> =>
    Promise.all(stations.slice(0, 3).map(({ station }) => servedAt(page, station.id)));
  const before = await served();
  for (let i = 0; i < 10; i += 1) {
    const { name, id } = stations[i % 3]!.station;
    const finger = new Finger();
    await finger.tap(page.getByRole('button', { name: `Shot at ${name}` }));
    const entry = page.getByRole('form', { name: `Shot at ${name}` });
    await finger.tap(entry.getByRole('button', { name: String(28 + (i % 3)), exact: true }));
    await finger.tap(entry.getByRole('button', { name: /as planned$/ }));
    await finger.tap(entry.getByRole('button', { name: /^(Save|Save, no check)$/ }));
    await expect(page.getByText(`${28 + (i % 3)} s saved.`)).toBeVisible();
    await expect(entry).toBeHidden();
    expect(finger.taps).toBeLessThanOrEqual(4);
    const day = await (await page.request.get(`${DEMO_URL}/api/stations/${id}/day`)).json();
    expect(day.shots[0]).toMatchObject({
      kind: 'service',
      timeSeconds: 28 + (i % 3),
      assumed: ['doseGrams', 'yieldGrams'],
    });
    expect(day.shots[0].cardVersionId).not.toBeNull();
  }
  expect(await served()).toEqual(before.map((count, i) => count + (i === 0 ? 4 : 3)));
});

test('a saved shot is taken back within ten seconds, after a reload, too', async ({ page }) => {
  await page.goto(DEMO_URL);
  const { stations } = await boardOf(page);
  const { name, id } = stations[2]!.station;
  const before = await servedAt(page, id);
  await page.getByRole('button', { name: `Shot at ${name}` }).click();
  const line = page.getByLabel('or in one line');
  await line.fill('16 > 15.8+16.3 in 27.5 sour');
  await expect(page.getByText('16 g → 15.8 + 16.3 g · 27.5 s · sour')).toBeVisible();
  await line.press('Enter');
  await expect(page.getByText('27.5 s saved.')).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('27.5 s saved.')).toBeHidden();
  expect(await servedAt(page, id)).toBe(before);
});

test('twelve pasted lines, two of them wrong, are stored once they are right', async ({ page }) => {
  await page.goto(DEMO_URL);
  const { stations } = await boardOf(page);
  const { id } = stations[2]!.station;
  const before = await servedAt(page, id);
  await page.getByRole('link', { name: stations[2]!.coffeeName, exact: true }).click();
  await page.getByRole('button', { name: 'Paste shots' }).click();
  const lines = Array.from(
    { length: 12 },
    (_, i) => `${i < 10 ? `0${i % 8}:1${i % 6} ` : ''}16 > ${32 + i / 10} in ${27 + i / 4}`,
  );
  const wrong = lines.map((line, i) => (i === 3 ? `${line} splendid` : i === 8 ? line.replace('16 >', '160 >') : line));
  await page.getByLabel(/One shot a line/).fill(wrong.join('\n'));
  const preview = page.getByRole('list', { name: 'How they are read' }).getByRole('listitem');
  await expect(preview).toHaveCount(12);
  await expect(preview.nth(3)).toContainText('“splendid” is not a word I know here');
  await expect(preview.nth(8)).toContainText('expected a dose of 1–60 g');
  await expect(preview.nth(11)).toContainText('hour unknown');
  await expect(page.getByText('2 lines to correct; nothing is stored before.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Store 12 shots' })).toBeDisabled();
  expect(await servedAt(page, id)).toBe(before);
  await page.getByLabel(/One shot a line/).fill(lines.join('\n'));
  await page.getByRole('button', { name: 'Store 12 shots' }).click();
  await expect(page.getByText('12 shots saved.')).toBeVisible();
  await expect(page.getByText('hour unknown').first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('12 shots saved.')).toBeHidden();
  expect(await servedAt(page, id)).toBe(before);
});

test('another coffee goes in with its reasons, and the one before comes back with one tap', async ({ page }) => {
  await page.goto(DEMO_URL);
  const before = (await boardOf(page)).stations[2]!;
  const { name } = before.station;
  await page.getByRole('button', { name: `Another coffee at ${name}` }).click();
  const panel = page.getByRole('region', { name: `Another coffee at ${name}` });
  await panel.getByRole('button', { name: 'Sand Spit' }).click();
  await expect(panel.getByText(/^Grind [\d.]+ · \d+ → \d+ g/)).toBeVisible();
  await expect(panel.getByRole('listitem')).not.toHaveCount(0);
  await panel.getByRole('spinbutton').fill('40');
  await panel.getByRole('button', { name: 'Put it in', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Sand Spit', exact: true })).toBeVisible();
  await page.getByRole('button', { name: `Back to ${before.coffeeName} at ${name}` }).click();
  await expect(page.getByText(`${before.coffeeName} is back at grind`)).toBeVisible();
  await expect(page.getByRole('link', { name: before.coffeeName, exact: true })).toBeVisible();
  const after = (await boardOf(page)).stations[2]!;
  expect(after.station.coffeeId).toBe(before.station.coffeeId);
});

test('whoever stands at the tablet is chosen with one tap, and shots carry the name', async ({ page }) => {
  await page.goto(DEMO_URL);
  await page.getByRole('button', { name: /stands at this tablet/ }).click();
  await page.getByRole('button', { name: 'Ines', exact: true }).click();
  const { stations } = await boardOf(page);
  const { name, id } = stations[2]!.station;
  await page.getByRole('button', { name: `Shot at ${name}` }).click();
  await page.getByLabel('or in one line').fill('28s check');
  await page.getByLabel('or in one line').press('Enter');
  await expect(page.getByText('28 s saved.')).toBeVisible();
  const day = await (await page.request.get(`${DEMO_URL}/api/stations/${id}/day`)).json();
  expect(day.shots[0]).toMatchObject({ pulledBy: 'Ines', changedBy: 'Ines', kind: 'check' });
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('28 s saved.')).toBeHidden();
});
