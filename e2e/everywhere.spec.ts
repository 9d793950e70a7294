import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';
import { DEMO_URL, EMPTY_URL } from './browser';
import { openRunId } from './demo';
import { test } from './test';

test.describe.configure({ mode: 'parallel' });

/** What the page is called, once it is there. */
const heading = (page: Page) =>
  page
    .getByRole('heading', { level: 1 })
    .filter({ hasNotText: /^Loading$/ })
    .first();

/** The page as it will stay: its heading there, nothing still loading, the worker's answer on it. */
async function settle(page: Page): Promise<void> {
  await expect(heading(page)).toBeVisible();
  await expect(page.getByRole('status').filter({ hasText: /^Loading$/ })).toHaveCount(0);
}

/** To a place as its link would lead there: without loading the whole page again for every look. */
async function go(page: Page, path: string): Promise<void> {
  if (!page.url().startsWith(DEMO_URL)) return void (await page.goto(DEMO_URL + path));
  await page.evaluate((to) => {
    history.pushState({}, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
  }, path);
  // The address is there at once, the place once its part of the program is loaded.
  await expect(page.locator(`main[data-place="${path}"]`)).toBeVisible();
}

/** By night only the contrast is another than by day. */
async function expectAccessible(page: Page, where: string, theme: Theme = 'light'): Promise<void> {
  await settle(page);
  await expectNoViolation(page, where, theme === 'night' ? ['color-contrast'] : undefined);
}

async function expectNoViolation(page: Page, where: string, rules?: string[]): Promise<void> {
  const axe = new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).setLegacyMode();
  const { violations } = await (rules ? axe.withRules(rules) : axe).analyze();
  const found = violations.map(
    ({ id, nodes }) => `${where}: ${id} at ${nodes.map(({ target }) => target.join(' ')).join(' | ')}`,
  );
  expect(found).toEqual([]);
}

/** Nothing reaches beyond a phone's edge; afterwards the page is as wide as before. */
async function expectToFitAPhone(page: Page, where: string): Promise<void> {
  const before = page.viewportSize()!;
  await page.setViewportSize(PHONE);
  const overflow = await page.evaluate(() => {
    const room = document.querySelector('main')!;
    return Math.max(document.documentElement.scrollWidth, room.scrollWidth) - window.innerWidth;
  });
  expect(overflow, where).toBeLessThanOrEqual(0);
  await page.setViewportSize(before);
}

type Theme = 'light' | 'night';

const PHONE = { width: 390, height: 844 };

/** In parts, so that both workers take a share. */
const PLACES = {
  bar: ['/', '/dial-in', '/cards', '/shelf', '/opening', '/methods/open-light', '/setup', '/nowhere'],
  standard: ['/care', '/menu', '/book'],
  measuring: ['', '/dose', '/timed', '/hand', '/ratio', '/old', '/machine', '/valve'].map((tool) => `/measure${tool}`),
  workshop: ['', '?tab=grinders', '?tab=scales', '?tab=methods', '?tab=tasters', '?tab=tablets', '?tab=shop'].map(
    (tab) => `/workshop${tab}`,
  ),
};

/** One page of each make. */
const BY_NIGHT = ['/', '/cards', '/shelf', '/opening', '/measure/hand', '/workshop?tab=grinders', '/setup'];

async function choose(page: Page, theme: Theme): Promise<void> {
  await page.addInitScript(
    (chosen) => localStorage.setItem('olvet.settings', JSON.stringify({ theme: chosen })),
    theme,
  );
}

for (const [part, paths] of Object.entries(PLACES)) {
  test(`axe finds nothing, and a phone shows all of it: ${part}`, async ({ page }) => {
    await choose(page, 'light');
    for (const path of paths) {
      await go(page, path);
      await expectAccessible(page, path);
      await expectToFitAPhone(page, path);
    }
  });
}

test('axe finds nothing by night', async ({ page }) => {
  await choose(page, 'night');
  for (const path of BY_NIGHT) {
    await go(page, path);
    await expectAccessible(page, path, 'night');
  }
});

for (const theme of ['light', 'night'] as const) {
  test(`axe finds nothing in a dial-in, on a coffee or a card, ${theme}`, async ({ page, request }) => {
    await choose(page, theme);
    await go(page, '/shelf');
    await page.getByRole('link', { name: 'Saltmarsh' }).click();
    await expect(page.getByRole('heading', { name: 'Where to start' })).toBeVisible();
    await expectAccessible(page, 'coffee', theme);
    await go(page, '/cards');
    await page
      .getByRole('link', { name: /version/ })
      .first()
      .click();
    await expect(page.getByRole('heading', { name: 'Versions' })).toBeVisible();
    await expectAccessible(page, 'card', theme);
    await go(page, `/dial-in/${await openRunId(request)}`);
    await expect(page.getByText(/Expect|It pours/).first()).toBeVisible();
    await expectAccessible(page, 'run sheet', theme);
    await page.getByRole('button', { name: 'Why, in numbers' }).click();
    await expect(page.getByRole('heading', { name: 'Predicted and measured' })).toBeVisible();
    await expectAccessible(page, 'why', theme);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: /^Shot 1/ }).click();
    await expect(page.getByRole('button', { name: 'Save correction' })).toBeVisible();
    await expectAccessible(page, 'correction', theme);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: /Pull again/ }).click();
    await expectAccessible(page, 'pull', theme);
  });
}

test('empty places teach and offer the one action that fills them', async ({ page }) => {
  await page.goto(`${EMPTY_URL}/nowhere-yet`);
  await expect(page.getByRole('heading', { name: 'There is nothing at this address' })).toBeVisible();
  await expectAccessible(page, 'not here');
});

test('at phone width the next move can be read and taken', async ({ page, request }) => {
  await page.setViewportSize(PHONE);
  await page.goto(`${DEMO_URL}/dial-in/${await openRunId(request)}`);
  await settle(page);
  await expectToFitAPhone(page, 'run sheet');
  // The answer stays in sight above the sheet, and what it opens comes to the hand.
  const pullAgain = page.getByRole('button', { name: /Pull again/ });
  await expect(page.getByText(/Expect|It pours/).first()).toBeInViewport();
  await expect(pullAgain).toBeInViewport({ ratio: 1 });
  await pullAgain.click();
  await expect(page.getByRole('button', { name: 'Start', exact: true })).toBeInViewport({ ratio: 1 });
  await page.getByLabel('More time').click();
  await expect(page.getByLabel(/^time/)).not.toHaveValue('');
  await page.getByRole('button', { name: 'Back' }).click();
  await expect(page.getByText(/Expect|It pours/).first()).toBeVisible();
  // On its side, too, with every place within reach.
  await page.setViewportSize({ width: 844, height: 390 });
  await page.reload();
  await expect(page.getByText(/Expect|It pours/).first()).toBeInViewport({ ratio: 1 });
  await expect(pullAgain).toBeInViewport({ ratio: 1 });
  await expect(page.getByRole('button', { name: 'Night' })).toBeInViewport({ ratio: 1 });
});

test('shortcuts go to places and list themselves', async ({ page }) => {
  await page.goto(DEMO_URL);
  await expect(page.getByText('Lantern Quay')).toBeVisible();
  await page.keyboard.press('3');
  await expect(page.getByRole('heading', { name: 'Cards' })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Shortcuts' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog', { name: 'Shortcuts' })).toBeHidden();
  await page.keyboard.press('1');
  await expect(page.getByText('Lantern Quay')).toBeVisible();
});

test('while the server is out of reach the page says so, and it fills itself once it is back', async ({ page }) => {
  await page.goto(DEMO_URL);
  await expect(page.getByText('Lantern Quay')).toBeVisible();
  await page.route('**/api/**', (route) => route.abort('internetdisconnected'));
  await page.getByRole('link', { name: 'Cards' }).click();
  const notice = page.getByRole('alert').filter({ hasText: 'server does not answer' });
  await expect(notice).toBeInViewport();
  await expectNoViolation(page, 'out of reach');
  await page.unroute('**/api/**');
  await expect(page.getByRole('link', { name: /version/ }).first()).toBeVisible();
  await expect(notice).toBeHidden();
});

test('a new grinder with a bad step is refused at its field, then accepted', async ({ page }) => {
  await page.goto(`${DEMO_URL}/workshop?tab=grinders`);
  await page.getByRole('button', { name: 'Add a grinder' }).click();
  await page.getByLabel('Name').fill('Bench grinder');
  await page.getByLabel('Smallest step').fill('99');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('must not be larger than the whole scale').first()).toBeVisible();
  await page.getByLabel('Smallest step').fill('1');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('0–40, step 1, lower is finer')).toBeVisible();
});
