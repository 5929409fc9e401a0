import type { Page } from '@playwright/test'

/** The moment at which all tests happen: Tuesday 24 November 2026, 09:00 in Lisbon. */
export const moment = new Date('2026-11-24T09:00:00Z')

/** Fixes a page's clock; gives back a list that fills with the errors it tells. */
export async function quiet(page: Page): Promise<string[]> {
  const errors: string[] = []
  page.on('pageerror', (e) => errors.push(e.message))
  page.on('console', (m) => {
    if (m.type() === 'error') errors.push(m.text())
  })
  await page.clock.install({ time: moment })
  return errors
}
