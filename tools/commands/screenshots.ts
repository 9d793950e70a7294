import { findChromium, installDebian } from '../lib/debian';
import { withDemoServer } from '../lib/demoServer';
import { runShown } from '../lib/processes';
import { orStop, Stop } from '../lib/say';

/** Makes docs/screenshots from the demo shop. */
export function run(): Promise<void> {
  return orStop(async () => {
    if (!findChromium()) installDebian('chromium', 'Chromium');
    const takePictures = async ({ url }: { url: string }): Promise<void> => {
      const args = ['--no-install', 'playwright', 'test', '--config', 'e2e/screenshots.config.ts'];
      const code = await runShown('npx', args, { env: { ...process.env, DEMO_URL: url } });
      if (code !== 0) throw new Stop('Not every picture could be made: see above.');
    };
    await withDemoServer('screenshots', takePictures, { devices: true });
  });
}
