import { createServer } from 'node:http'
import { fileURLToPath } from 'node:url'
import { chromium, type Page } from '@playwright/test'
import { headless } from '../e2e/chromium'
import { lampReelServer } from '../server/app'

/** The application on a port with a back-up restored into it; `end` closes all of it. */
export async function restored(
  port: number,
  backup: Buffer,
): Promise<{ page: Page; base: string; end: () => Promise<void> }> {
  const server = createServer(lampReelServer(fileURLToPath(new URL('../dist', import.meta.url)), 'own'))
  await new Promise<void>((ready) => {
    server.listen(port, '127.0.0.1', ready)
  })
  const base = `http://127.0.0.1:${port}`
  const browser = await chromium.launch(headless)
  const page = await (
    await browser.newContext({ reducedMotion: 'reduce', viewport: { width: 1280, height: 800 } })
  ).newPage()
  await page.goto(base)
  await page.getByLabel('Name of the show').fill('Bench')
  await page.getByRole('button', { name: 'Begin' }).click()
  await page.getByRole('heading', { level: 1, name: /day/ }).waitFor()
  await page.goto(`${base}/settings`)
  await page
    .locator('input[type="file"]')
    .setInputFiles({ name: 'bench.zip', mimeType: 'application/zip', buffer: backup })
  await page
    .getByText(/^Restored/)
    .first()
    .waitFor({ timeout: 60_000 })
  return {
    page,
    base,
    end: async () => {
      await browser.close()
      server.close()
    },
  }
}
