import { defineConfig } from '@playwright/test'
import { headless } from './e2e/chromium'

/** The real interface, on the production build, in Debian's Chromium. */
export default defineConfig({
  testDir: 'e2e',
  testMatch: '*.e2e.ts',
  // Generous: a machine that is shared may give a sixth of its speed for a while.
  timeout: 300_000,
  expect: { timeout: 30_000 },
  // One more than the cores: a walk that waits for a server or a phone leaves its own idle.
  workers: 3,
  fullyParallel: true,
  // A slow machine may miss a moment once; what passes at the second try is told as flaky.
  retries: 1,
  reporter: 'list',
  use: {
    actionTimeout: 60_000,
    baseURL: 'http://127.0.0.1:4199',
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'Europe/Lisbon',
    contextOptions: { reducedMotion: 'reduce' },
    permissions: ['clipboard-read', 'clipboard-write'],
    launchOptions: headless,
  },
  webServer: {
    command: 'npx tsx e2e/serve.ts',
    url: 'http://127.0.0.1:4199',
    reuseExistingServer: !process.env['CI'],
    timeout: 60_000,
  },
})
