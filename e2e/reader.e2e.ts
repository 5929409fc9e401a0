import type { Page } from '@playwright/test'
import { demo, expect, stored, test, visit } from './fixtures'

/** Opens the reader for the script that is being written in the demo. */
async function read(page: Page): Promise<void> {
  await demo(page, '/schedule')
  await page.locator('tbody a', { hasText: 'Cutting a spar' }).first().click()
  await page.getByRole('link', { name: /^Script/ }).click()
  await expect(page.getByRole('textbox', { name: 'Script', exact: true })).toBeVisible()
  await page.getByRole('button', { name: /^Read/ }).click()
  await expect(words(page)).toBeVisible()
}
const words = (page: Page) => page.getByRole('list', { name: 'Words', exact: true })
const here = (page: Page) => words(page).locator('[aria-current="true"]')
/** As long as one reads at least, so that a beat counts as read and not as skipped. */
const breath = (page: Page) => page.clock.runFor(3000)

test('a script is read by a pedal, takes and remarks by keys; a second window follows', async ({
  desk: page,
}) => {
  await read(page)
  await expect(here(page)).toHaveText(/^On the ninth of October/)
  await expect(words(page).getByText('voice-over, 0:14, read later')).toHaveCount(1)

  const opening = page.context().waitForEvent('page')
  await page.keyboard.press('w')
  const second = await opening
  await expect(here(second)).toHaveText(/^On the ninth of October/)
  await expect(second.getByRole('complementary')).toHaveCount(0)

  await page.keyboard.press('PageDown')
  await expect(here(page)).toHaveText(/^Bark spade/)
  await expect(here(second)).toHaveText(/^Bark spade/)
  await breath(page)
  await page.keyboard.press('Space')
  // The section’s last beat to camera was passed: it is got.
  const sections = page.getByRole('list', { name: 'Sections' })
  await expect(
    sections.getByRole('listitem').filter({ hasText: 'What you will need' }).getByLabel('got'),
  ).toBeVisible()
  await expect(page.getByText('1 of 3 sections got')).toBeVisible()

  await breath(page)
  await page.keyboard.press('t')
  const takes = page.getByRole('region', { name: 'Takes of this section' })
  await takes.getByLabel('Why take 1 is not kept').selectOption('looked away')
  await page.keyboard.press('e')
  await page.getByLabel('Remark for the edit').fill('Lost the light here')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('list', { name: 'Cues of these words' })).toContainText('Lost the light here')
  await page.keyboard.press('a')
  await expect(words(page).getByText(/read later/)).toHaveCount(0)
  await stored(page)
  await page.keyboard.press('Escape')

  // The remark waits for the edit; what was read stays.
  await page.getByRole('link', { name: /^Edit/ }).click()
  await expect(page.getByRole('checkbox', { name: /Lost the light here/ })).toBeVisible()
})

test('the reader scrolls by itself at a speed, and is usable on a phone', async ({ desk: page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await demo(page, '/today')
  await visit(page, '/schedule')
  const href = await page
    .locator('a[href*="/episode/"]', { hasText: 'Cutting a spar' })
    .first()
    .getAttribute('href')
  await visit(page, `/read/${href?.split('/')[2] ?? ''}`)
  await expect(here(page)).toHaveText(/^On the ninth of October/)
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await page.getByRole('button', { name: 'Next' }).click()
  await expect(here(page)).toHaveText(/^Bark spade/)
  await page.getByRole('button', { name: 'Back' }).click()
  await page.getByRole('button', { name: 'Scroll' }).click()
  await expect(async () => {
    await breath(page)
    await expect(here(page)).toHaveText(/^Bark spade/, { timeout: 500 })
  }).toPass()
  await page.getByRole('button', { name: 'Stop' }).click()
  await page.getByRole('button', { name: 'Leave' }).click()
  await expect(page).toHaveURL(/\/script$/)
})
