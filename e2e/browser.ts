import type { PlaywrightTestOptions, PlaywrightWorkerOptions } from '@playwright/test';

export const NETWORK_NAME = 'bar.local';

/** Debian's Chromium, quiet and offline. */
export const browserOptions: Partial<PlaywrightTestOptions & PlaywrightWorkerOptions> = {
  viewport: { width: 1280, height: 800 },
  locale: 'en-GB',
  colorScheme: 'light',
  launchOptions: {
    executablePath: '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      // A name of the shop's own network, as a tablet there would ask for it.
      `--host-resolver-rules=MAP ${NETWORK_NAME} 127.0.0.1`,
    ],
  },
};

export const DEMO_URL = process.env.DEMO_URL ?? 'http://127.0.0.1:4790';
export const EMPTY_URL = process.env.EMPTY_URL ?? '';
