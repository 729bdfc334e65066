import { defineConfig } from '@playwright/test';

const args = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export default defineConfig({
  testDir: '.',
  outputDir: '../.data/browser',
  workers: 2,
  fullyParallel: false,
  timeout: 120_000,
  expect: { timeout: 20_000 },
  reporter: process.env.RESULTS ? [['list'], ['json', { outputFile: process.env.RESULTS }]] : [['list']],
  use: {
    actionTimeout: 20_000,
    viewport: { width: 1280, height: 800 },
    // What a test does to a request would not reach one of the service worker; the tests without a server allow it.
    serviceWorkers: 'block',
    permissions: ['clipboard-read', 'clipboard-write'],
    launchOptions: { executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium-headless-shell', args },
  },
  projects: [
    { name: 'tests', testMatch: /.*\.spec\.ts/ },
    { name: 'screenshots', testMatch: /screenshots\.ts/ },
  ],
});
