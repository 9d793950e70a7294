import { test } from './test';
test('look', async ({ page }) => {
  const url = process.env.DEMO_URL!;
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(url);
  await page.getByRole('button', { name: /Shot at|Check shot at/ }).nth(1).click();
  await page.waitForTimeout(500);
  await page.screenshot({ path: '/tmp/look-bar.png' });
  await page.goto(url + '/dial-in');
  await page.getByRole('link', { name: /Saltmarsh/ }).first().click();
  await page.getByRole('button', { name: /Take it|Pull again/ }).first().click();
  await page.waitForTimeout(500);
  await page.screenshot({ path: '/tmp/look-pull.png' });
  await page.setViewportSize({ width: 390, height: 844 });
  await page.waitForTimeout(300);
  await page.screenshot({ path: '/tmp/look-pull-phone.png' });
});
