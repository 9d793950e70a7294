import AxeBuilder from '@axe-core/playwright';
import { expect } from '@playwright/test';
import { DEMO_URL } from './browser';
import { test } from './test';

test('a changed card lists its drinks and buttons, to be ticked off', async ({ page, request }) => {
  const { items } = (await (await request.get(`${DEMO_URL}/api/cards`)).json()) as {
    items: { id: string; name: string; latest: { version: number } }[];
  };
  const card = items.find(({ name }) => name === 'Low Tide decaf')!;
  await page.goto(`${DEMO_URL}/cards/${card.id}`);
  await expect(page.getByRole('row', { name: /Evening bowl/ })).toContainText('thick foam');
  await page.getByRole('button', { name: 'Add a programmed button' }).click();
  const drawer = page.getByRole('dialog');
  await drawer.getByLabel('Name').fill('Small group, one cup');
  await drawer.getByLabel('Machine').click();
  await page.getByTitle('Little cutter').click();
  await drawer.getByRole('button', { name: 'Save' }).click();
  // 32 g of decaf read 45 to 51 ml with their crema.
  await expect(page.getByRole('listitem').filter({ hasText: 'Small group, one cup' })).toContainText(
    'Set to 48 ml (45–51',
  );
  // What hangs on the wall is told by what was printed.
  await page.evaluate(() => (window.print = () => {}));
  await page.getByRole('button', { name: 'Print' }).click();
  const group = page.getByRole('group', { name: 'To change with the card' });
  await expect(group).toBeHidden();
  await page.getByRole('button', { name: 'Move it' }).click();
  await page.getByLabel('Time, s').fill('28');
  await page.getByLabel('Why').fill('sweeter a little longer');
  await page.getByRole('button', { name: 'Make it a new version' }).click();
  await expect(group.getByRole('button')).toHaveCount(3);
  const results = await new AxeBuilder({ page }).analyze();
  expect(results.violations.map(({ id }) => id)).toEqual([]);
  await group.getByRole('button', { name: 'Evening bowl' }).click();
  await group.getByRole('button', { name: 'button Small group, one cup' }).click();
  await group.getByRole('button', { name: /^card on the wall/ }).click();
  await expect(group).toBeHidden();
  await page.goto(`${DEMO_URL}/menu`);
  await expect(page.getByRole('row', { name: /Evening bowl/ })).toContainText('Low Tide decaf');
});

test('what is due for cleaning is seen on the bar, done by its steps, and taken back', async ({ page }) => {
  await page.goto(DEMO_URL);
  await page.getByRole('link', { name: 'Due: backflush' }).click();
  const due = page.getByRole('region', { name: 'Due now' });
  await expect(due).toContainText('Harbour twin');
  await due.getByRole('button', { name: 'How: Backflush, Harbour twin' }).click();
  await expect(due).toContainText('wait for the pressure to drop');
  const results = await new AxeBuilder({ page }).analyze();
  expect(results.violations.map(({ id }) => id)).toEqual([]);
  await due.getByRole('button', { name: 'Done: Backflush, Harbour twin' }).click();
  await expect(page.getByRole('heading', { name: 'Nothing is due' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Take back: Fresh water', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Take back: Backflush, Harbour twin' }).first().click();
  await expect(due).toContainText('10 days ago');
  // The shop's own rule makes it wait.
  await due.getByRole('button', { name: 'How: Backflush, Harbour twin' }).click();
  await due.getByRole('button', { name: 'How often' }).click();
  await page.getByLabel('Days').fill('14');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'Nothing is due' })).toBeVisible();
});

test('a basket is corrected by hand, and goes back to what is worked out', async ({ page, request }) => {
  const { items } = (await (await request.get(`${DEMO_URL}/api/coffees`)).json()) as {
    items: { id: string; name: string }[];
  };
  await page.goto(`${DEMO_URL}/shelf/${items.find(({ name }) => name === 'Heron Bank')!.id}`);
  const triple = page.getByRole('row', { name: /21 g triple/ });
  await expect(triple).toContainText('by its size alone');
  await page.getByRole('button', { name: 'Change 21 g triple, short' }).click();
  await page.getByLabel('Yield, g').fill('30');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(triple).toContainText('→ 30 g');
  await page.getByRole('button', { name: 'Change 21 g triple, short' }).click();
  await page.getByRole('button', { name: 'As worked out' }).click();
  await expect(triple).not.toContainText('→ 30 g');
});

test('a proposal is made current by another, and whoever pulls next is told', async ({ page }) => {
  await page.goto(DEMO_URL);
  await page.getByRole('button', { name: /^Who/ }).click();
  await page
    .getByRole('menuitem', { name: 'Oda' })
    .or(page.getByRole('button', { name: 'Oda' }))
    .first()
    .click();
  await page.goto(`${DEMO_URL}/cards`);
  await page.getByRole('link', { name: /Heron Bank/ }).click();
  await expect(page.getByText('yield g 37 → 39')).toBeVisible();
  await page.getByRole('button', { name: 'Make it current' }).click();
  await expect(page.getByText('set by Oda: proposed by Tomas')).toBeVisible();
  const results = await new AxeBuilder({ page }).analyze();
  expect(results.violations.map(({ id }) => id)).toEqual([]);
  await page.goto(DEMO_URL);
  await page.getByRole('button', { name: 'Shot at Right bar' }).click();
  await expect(page.getByRole('note')).toContainText('yield g 37 → 39');
});

test('the bar book holds all the bar goes by, on either paper', async ({ page }) => {
  await page.goto(`${DEMO_URL}/book`);
  for (const part of ['What we want', 'Baskets', 'Reading a shot', 'Drinks', 'Care', 'Cautions'])
    await expect(page.getByRole('heading', { name: part, exact: true })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'When it is off' }).first()).toBeVisible();
  const box = async (): Promise<string | undefined> => {
    const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
    return /MediaBox \[0 0 (\d+)/.exec(pdf)?.[1];
  };
  expect(await box()).toMatch(/^59[45]/);
  await page.getByText('Letter').click();
  expect(await box()).toBe('612');
});
