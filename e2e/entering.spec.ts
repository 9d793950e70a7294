import { expect } from '@playwright/test';
import { EMPTY_URL, NETWORK_NAME } from './browser';
import { test } from './test';

test('a tablet of the network is let in once by the code, and let out in the Workshop', async ({ page, browser }) => {
  const tablet = await (await browser.newContext()).newPage();
  await tablet.goto(EMPTY_URL.replace('127.0.0.1', NETWORK_NAME));
  await expect(tablet.getByRole('heading', { name: 'Let this tablet in' })).toBeVisible();
  await tablet.getByLabel('Code').fill('not it');
  await tablet.getByLabel('Name of this tablet').fill('Window seat');
  await tablet.getByRole('button', { name: 'Let it in' }).click();
  await expect(tablet.getByText(/is another one/)).toBeVisible();

  await page.goto(`${EMPTY_URL}/workshop?tab=tablets`);
  const shown = page.getByRole('region', { name: 'Let a tablet in' });
  const code = /\d{3}\s\d{3}/.exec(await shown.innerText())![0];
  await tablet.getByLabel('Code').fill(code);
  await tablet.getByRole('button', { name: 'Let it in' }).click();
  await expect(tablet.getByRole('link', { name: 'Shelf' })).toBeVisible();
  await tablet.reload();
  await expect(tablet.getByRole('link', { name: 'Shelf' })).toBeVisible();

  await page.reload();
  await expect(shown).toBeVisible();
  await expect(shown).not.toContainText(code);
  await page.getByRole('button', { name: 'Let Window seat out' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Let it out' }).click();
  await tablet.reload();
  await expect(tablet.getByRole('heading', { name: 'Let this tablet in' })).toBeVisible();
});
