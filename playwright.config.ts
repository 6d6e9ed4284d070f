import { defineConfig } from '@playwright/test';

const PORT = 4290;

/** The real build behind the real server, at both sizes. */
export default defineConfig({
  testDir: 'tests/e2e',
  // Generous: a shared machine can be ten times slower than itself. Nothing is waited for that does not come.
  timeout: 180_000,
  expect: { timeout: 30_000 },
  workers: 2,
  fullyParallel: true,
  forbidOnly: true,
  // Once more where a machine stalled; what needed it is named as flaky in the report.
  retries: process.env.CI ? 1 : 0,
  reporter: [
    ['list'],
    ['json', { outputFile: process.env.PLAYWRIGHT_JSON_OUTPUT_FILE ?? 'test-results/e2e.json' }],
  ],
  webServer: {
    command: 'node --import tsx server/index.ts',
    url: `http://127.0.0.1:${PORT}/healthz`,
    env: { PORT: String(PORT) },
    reuseExistingServer: false,
  },
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    locale: 'en-GB',
    timezoneId: 'Europe/Berlin',
    // A browser that keeps the app answers in the server's place: only its own tests are to meet that.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium-headless-shell',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  projects: [
    { name: 'phone', use: { viewport: { width: 390, height: 844 } } },
    // What is kept, reckoned and refused does not depend on the width of the screen; the ways through it that
    // a painter walks every day, and what only a wide screen has, are walked at both.
    {
      name: 'wide',
      testIgnore:
        /(keeping|refusals|bench|cabinet|climate|coats|offline|moving|stories|judging|touching|sessions)\.spec\.ts/,
      use: { viewport: { width: 1280, height: 800 } },
    },
  ],
});
