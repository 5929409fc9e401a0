import usual from '../playwright.config'

/** Takes the pictures of docs/screenshots anew: `npm run screenshots`, after a build. */
export default {
  ...usual,
  testDir: '.',
  testMatch: 'screenshots.ts',
  workers: 1,
  webServer: {
    command: 'npx tsx ../e2e/serve.ts',
    url: 'http://127.0.0.1:4199',
    reuseExistingServer: true,
    timeout: 60_000,
  },
}
