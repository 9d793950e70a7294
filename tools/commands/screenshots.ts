import { findChromium, installDebian } from '../lib/debian';
import { withDemoServer } from '../lib/demoServer';
import { runShown } from '../lib/processes';
import { orStop, Stop } from '../lib/say';

/** Makes docs/screenshots from the demo shop. */
export function run(): Promise<void> {
  return orStop(async () => {
    if (!findChromium()) installDebian('chromium', 'Chromium');
    await withDemoServer('screenshots', async ({ url }) => {
      const code = await runShown(
        'npx',
        ['--no-install', 'playwright', 'test', '--config', 'e2e/screenshots.config.ts'],
        {
          env: { ...process.env, DEMO_URL: url },
        },
      );
      if (code !== 0) throw new Stop('Not every picture could be made: see above.');
    });
  });
}
