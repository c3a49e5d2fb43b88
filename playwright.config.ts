import { defineConfig } from '@playwright/test';

const PORT = 4319;

/** Against the production build, in the system's Chromium: laptop and phone. */
export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results/browser',
  fullyParallel: true,
  workers: 2,
  retries: 0,
  // A guard against a page that hangs, far from what any machine needs: no test is about speed.
  timeout: 300_000,
  expect: { timeout: 60_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  use: {
    // Most stories need no copy kept for offline: those that do ask for it.
    serviceWorkers: 'block',
    baseURL: `http://127.0.0.1:${PORT}`,
    launchOptions: {
      executablePath: '/usr/bin/chromium-headless-shell',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  projects: [
    { name: 'laptop', use: { viewport: { width: 1280, height: 800 } } },
    { name: 'tablet', grep: /@tablet/, use: { viewport: { width: 768, height: 1024 }, hasTouch: true } },
    { name: 'phone', grepInvert: /@once/, use: { viewport: { width: 390, height: 844 }, hasTouch: true } },
  ],
  webServer: {
    command: 'node scripts/serve.mjs',
    url: `http://127.0.0.1:${PORT}`,
    env: { PORT: String(PORT), HOST: '127.0.0.1', NODE_ENV: 'production' },
    reuseExistingServer: false,
    stdout: 'ignore',
  },
});
