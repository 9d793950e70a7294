import AxeBuilder from '@axe-core/playwright';
import { expect } from '@playwright/test';
import { DEMO_URL } from './browser';
import { test } from './test';

/** As a spreadsheet elsewhere writes it: other names, a byte order mark, semicolons, decimal commas. */
const LOG = [
  '\ufeffDatum;Bohne;Mahlgrad;Dosis;Ertrag;Dauer;Wertung;Wetter',
  '03.02.2026 08:15;Kap Nord;11,5;18,1;36,4;0:28;7;Regen',
  '03.02.2026 08:20;Kap Nord;11,5;18,0;36,0;29,5;8;Regen',
  '04.02.2026;Kap Nord;11,5;18,2;zu viel;30;6;Sonne',
].join('\r\n');

test('a stranger’s CSV comes in within ten actions, and is taken back whole', async ({ page }) => {
  await page.goto(`${DEMO_URL}/workshop?tab=transfer`);
  let actions = 0;
  const act = async (work: Promise<unknown>): Promise<void> => {
    await work;
    actions += 1;
  };
  const file = { name: 'log.csv', mimeType: 'text/csv', buffer: Buffer.from(LOG) };
  await act(page.locator('input[type=file]').setInputFiles(file));
  await expect(page.getByRole('row', { name: /Datum/ })).toContainText('date and time');
  await expect(page.getByRole('row', { name: /Wetter/ })).toContainText('leave out');
  const axe = await new AxeBuilder({ page }).analyze();
  expect(axe.violations.map(({ id }) => id)).toEqual([]);
  await act(page.getByRole('combobox', { name: 'Coffees not on the shelf' }).click());
  await act(page.getByTitle('put there, medium roast').last().click());
  await act(page.getByRole('button', { name: 'Look what it brings' }).click());
  await expect(page.getByText('line 4: yield, g must be a number')).toBeVisible();
  await expect(page.getByRole('row', { name: /^shots/ })).toContainText('2');
  const seen = await new AxeBuilder({ page }).analyze();
  expect(seen.violations.map(({ id }) => id)).toEqual([]);
  await act(page.getByRole('button', { name: /^Take 5 rows/ }).click());
  expect(actions).toBeLessThanOrEqual(10);

  const taken = page.getByRole('region', { name: 'Brought in before' }).getByRole('listitem').first();
  await expect(taken).toContainText('5 rows');
  const coffees = async (): Promise<string> => (await page.request.get(`${DEMO_URL}/api/coffees?pageSize=200`)).text();
  expect(await coffees()).toContain('Kap Nord');
  await taken.getByRole('button', { name: 'Take back' }).click();
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(taken).toContainText('taken back');
  expect(await coffees()).not.toContain('Kap Nord');
});

test('the shop leaves as one ZIP and a table as CSV', async ({ page }) => {
  await page.goto(`${DEMO_URL}/workshop?tab=transfer`);
  const [zip] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'The whole shop as ZIP' }).click(),
  ]);
  expect(zip.suggestedFilename()).toBe('shop.zip');
  const [csv] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'CSV' }).click()]);
  expect(csv.suggestedFilename()).toBe('shots.csv');
});
