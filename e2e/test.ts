import { test as base } from '@playwright/test';

/** Playwright's test; one that fails says what the server refused, what did not get through and what the page showed. */
export const test = base.extend<{ evidence: void }>({
  evidence: [
    async ({ page }, use, info) => {
      const found: string[] = [];
      page.on('requestfailed', (request) => {
        // What a page no longer loads because one has left it tells nothing.
        if (request.url().includes('/api/'))
          found.push(`${request.method()} ${request.url()}: ${request.failure()?.errorText}`);
      });
      page.on('response', async (response) => {
        if (response.status() < 400) return;
        const request = `${response.request().method()} ${response.url()}: ${response.status()}`;
        found.push(`${request} ${await response.text().catch(() => '')}`);
      });
      page.on('pageerror', (error) => found.push(String(error)));
      await use();
      if (info.status === info.expectedStatus) return;
      const shown = await page.locator('body').ariaSnapshot().catch(String);
      console.log([`What "${info.title}" left behind:`, ...found, shown].join('\n'));
    },
    { auto: true },
  ],
});
