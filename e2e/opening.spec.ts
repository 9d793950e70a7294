import { expect, type Page } from '@playwright/test';
import { giveUp } from './barista';
import { DEMO_URL } from './browser';
import { test } from './test';

/** From a cold machine to the first advice, as one does it in the morning. */
async function openStation(page: Page, station: string, machine: string, step: string): Promise<void> {
  await page.goto(DEMO_URL);
  await page.getByRole('link', { name: 'Opening list' }).click();
  await expect(page.getByRole('heading', { name: 'Opening' })).toBeVisible();
  const strip = page.getByRole('listitem').filter({ hasText: `${station} · ` });
  await strip.getByRole('button', { name: new RegExp(`${machine} is on`) }).click();
  await expect(strip.getByText(/^Hot at /)).toBeVisible();
  // It was on for a while already when somebody came to the tablet.
  for (let i = 0; i < 5 && !(await strip.getByText('Hot', { exact: true }).isVisible()); i += 1) {
    const before = await strip.getByRole('status').textContent();
    await strip.getByRole('button', { name: /ten minutes earlier/ }).click();
    await expect(strip.getByRole('status')).not.toHaveText(before!);
  }
  await expect(strip.getByText('Hot', { exact: true })).toBeVisible();
  await strip.getByRole('button', { name: step }).click();
  await expect(strip.getByRole('button', { name: step })).toHaveAttribute('aria-pressed', 'true');
  await page.reload();
  await expect(strip.getByRole('button', { name: step })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('switch', { name: 'Only what is left' }).click();
  await expect(strip.getByRole('button', { name: step })).toBeHidden();
  await strip.getByRole('button', { name: /^Dial in/ }).click();
  await expect(page.getByText(/^Start at \d+\.$/)).toBeVisible();
  await expect(page.getByText(/shots, \d+ left/)).toBeVisible();
}

async function switchOff(page: Page, machine: string): Promise<void> {
  await page.goto(`${DEMO_URL}/opening`);
  await page
    .getByRole('button', { name: `${machine} is off` })
    .first()
    .click();
  await expect(page.getByRole('button', { name: new RegExp(`${machine} is on`) }).first()).toBeVisible();
}

for (const [size, width, height, step] of [
  ['tablet', 1280, 800, 'group flushed'],
  ['phone', 390, 844, 'cups warm'],
] as const) {
  test(`an opening from a cold machine to the first advice, ${size}`, async ({ page }) => {
    await page.setViewportSize({ width, height });
    await openStation(page, 'Small bar, decaf', 'Little cutter', step);
    await page.getByRole('link', { name: 'Check a pinch by hand' }).click();
    await page.getByRole('button', { name: /Pours apart/ }).click();
    const before = Number(/\d+/.exec(await startLine(page))![0]);
    expect(before).toBeGreaterThan(0);
    await giveUp(page);
    await switchOff(page, 'Little cutter');
  });
}

/** Tells what the pinch did, and reads where the advice starts then. */
async function startLine(page: Page): Promise<string> {
  await page.getByRole('button', { name: /^Tell the dial-in of / }).click();
  await expect(page.getByText(/like sand/).first()).toBeVisible();
  return (await page.getByText(/^Start at \d+\.$/).textContent())!;
}

test('a dose found, a label pasted, a method cloned and a weighing all reach the advice', async ({ page }) => {
  test.setTimeout(120_000);
  await page.goto(`${DEMO_URL}/shelf`);
  await page.getByRole('button', { name: 'Add a coffee' }).click();
  const label = 'Mole End\nMedium roast\n1650 masl\nWashed\nRoasted on 2026-01-05\n500 g';
  await page.getByLabel('The text of the bag, if you have it').fill(label);
  await page.getByRole('button', { name: 'Fill in from it' }).click();
  await expect(page.getByText(/^Recognised: name, /)).toBeVisible();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByLabel('Weight when full, g')).toHaveValue('500');
  await page.getByRole('button', { name: 'Save' }).last().click();
  await expect(page.getByRole('link', { name: 'Mole End' })).toBeVisible();

  await page.goto(`${DEMO_URL}/measure/timed`);
  await page.getByRole('spinbutton', { name: /^ran for/ }).fill('4.7');
  await page.getByRole('spinbutton', { name: /^gave/ }).fill('18.1');
  await page.getByRole('button', { name: 'Save weighing' }).click();
  await expect(page.getByText('weighed, today')).toBeVisible();

  await page.goto(`${DEMO_URL}/measure/dose`);
  await page.getByRole('button', { name: 'Faint print' }).click();
  await page.getByRole('button', { name: 'Faint print' }).click();
  await page.getByRole('button', { name: /^Keep .* for Saltmarsh/ }).click();
  await expect(page.getByText(/^Kept: .* by the coin/)).toBeVisible();

  await page.goto(`${DEMO_URL}/methods/one-lever`);
  await page.getByRole('button', { name: 'Make our own of it' }).click();
  await page.getByLabel('Name').fill('Night rule');
  await page.getByLabel('to, s').fill('20');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('must end later than it begins').first()).toBeVisible();
  await page.getByLabel('to, s').fill('29');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'Night rule' })).toBeVisible();
  await expect(page.getByRole('row', { name: /^shot 1 / })).toBeVisible();
});
