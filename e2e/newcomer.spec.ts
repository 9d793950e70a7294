import { expect } from '@playwright/test';
import { Barista, inShorthand, writeShot } from './barista';
import { EMPTY_URL } from './browser';
import { test } from './test';

test('a newcomer on an empty shop gets the first advice in under two minutes, and dials in to a card', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await page.goto(EMPTY_URL);
  await expect(page.getByRole('heading', { name: 'Your bar starts here' })).toBeVisible();
  await page.getByRole('button', { name: 'Set up the first station' }).click();
  await page.getByLabel('Its name').fill('Kelp Street');
  await page.getByLabel('What you call it').fill('Little grinder');
  await page.getByLabel('Where it stands now').fill('15');
  await page.getByRole('button', { name: 'First advice' }).click();
  await expect(page.getByText('Start at 15.')).toBeVisible();

  const barista = new Barista(page, 'newcomer');
  for (let shots = 0; shots < 9; shots += 1) {
    if (await page.getByText('Dialled in.').isVisible()) break;
    await writeShot(page, inShorthand(barista.pull(await barista.nextSettings())));
    await expect(page.getByText(/Expect|It pours/).first()).toBeVisible();
  }
  await expect(page.getByText('Dialled in.')).toBeVisible();
  await page.getByRole('button', { name: /Keep as card/ }).click();
  await page.getByLabel('Tastes like').fill('plum and cocoa');
  await page.getByRole('button', { name: 'Keep the card' }).click();
  // The run sheet bears the coffee's name too: only the address tells that the card was kept.
  await expect(page).toHaveURL(/\/cards\//);
  await page.reload();
  await expect(page.getByText('Tastes like plum and cocoa')).toBeVisible();
  await page.getByRole('link', { name: 'its dial-in' }).click();
  await expect(page.getByText('This dial-in is done; its recipe is on a card.')).toBeVisible();
  await page.getByRole('link', { name: 'Workshop' }).click();
  await page.getByRole('tab', { name: 'Grinders' }).click();
  await expect(page.getByText(/learned: one unit finer adds/)).toBeVisible();

  // The next coffee on that grinder begins where its first recipe stood, surer than the first one did.
  await page.goto(`${EMPTY_URL}/setup`);
  await page.getByRole('combobox', { name: 'Coffee' }).click();
  await page.getByTitle('a new one').first().click();
  await page.getByLabel('Its name').fill('Lamp Street');
  await page.getByRole('button', { name: 'First advice' }).click();
  await expect(page.getByText(/is what the recipes kept on this grinder come to/)).toBeVisible();
  await expect(page.getByText(/Little grinder has kept Kelp Street at/)).toBeVisible();
});

test('setting up says what is wrong with a scale, and keeps what was typed', async ({ page }) => {
  await page.goto(`${EMPTY_URL}/setup`);
  await expect(page.getByRole('button', { name: 'First advice' })).toBeVisible();
  const asNew = async (label: string): Promise<void> => {
    const select = page.getByRole('combobox', { name: label, exact: true });
    if (!(await select.isVisible())) return;
    await select.click();
    await page.getByTitle('a new one').last().click();
  };
  await asNew('Grinder');
  await asNew('Coffee');
  await page.getByLabel('Its name').fill('Second coffee');
  await page.getByLabel('What you call it').fill('Wrong way round');
  await page.getByLabel('Scale from').fill('40');
  await page.getByLabel('to', { exact: true }).fill('10');
  await page.getByRole('textbox', { name: 'Station' }).fill('Wrong station');
  await page.getByRole('button', { name: 'First advice' }).click();
  await expect(page.getByText('must be above the lower end of the scale').first()).toBeVisible();
  await expect(page.getByLabel('What you call it')).toHaveValue('Wrong way round');
});
