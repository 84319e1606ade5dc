import { defineConfig, devices } from '@playwright/test';
import { CHROMIUM } from './test/chromium';

const port = (process.env.E2E_PORT ??= '4391');
const demoPort = (process.env.E2E_DEMO_PORT ??= '4392');
const serve = (on: string, demo: string) => ({
  command: `node node_modules/next/dist/bin/next start -p ${on}`,
  url: `http://localhost:${on}/settings`,
  reuseExistingServer: false,
  timeout: 180_000,
  env: { COPPER_NOON_DEMO: demo, NEXT_TELEMETRY_DISABLED: '1' },
});

/** Browser tests against the production build, one server that begins empty and one with the demo. */
export default defineConfig({
  testDir: 'e2e',
  timeout: 150_000,
  expect: { timeout: 40_000 }, // workers share two cores with their servers, and cores differ
  workers: 3, // on two cores: tests also wait
  forbidOnly: true,
  reporter: [['list'], ['json']],
  use: {
    baseURL: `http://localhost:${port}`,
    locale: 'en-GB',
    trace: 'off',
    contextOptions: { reducedMotion: 'reduce' }, // what moves is drawn without a graphics card here
    // Each test begins with an empty browser: only those that ask for it keep the application in it.
    serviceWorkers: 'block',
    launchOptions: {
      ...CHROMIUM,
      args: [
        ...CHROMIUM.args,
        // A page lives for seconds here: the slowest of V8's compilers, which works for those that stay, would take a quarter of the processor.
        // What collects garbage beside the page finds no core that is idle.
        '--js-flags=--no-turbofan --single-threaded-gc',
      ],
    },
  },
  projects: [
    { name: 'laptop', use: { viewport: { width: 1280, height: 800 } }, testIgnore: /phone\.spec/ },
    { name: 'phone', use: { ...devices['Pixel 7'], viewport: { width: 390, height: 844 } }, testMatch: /phone\.spec/ },
  ],
  webServer: [serve(port, '0'), serve(demoPort, '1')],
});
