import { findings } from './axe'
import { demo, expect, test } from './fixtures'

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })

test('Today and capture are fully usable on a phone', async ({ page }) => {
  await demo(page)
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await expect(page.getByRole('button', { name: /Steaming oak ribs/ }).first()).toBeVisible()
  await page.getByRole('textbox', { name: 'Jot an idea' }).tap()
  await page.keyboard.type('From the ferry')
  await page.getByRole('button', { name: 'Keep the idea' }).tap()
  await expect(page.getByText('From the ferry')).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByRole('link', { name: 'Ideas' }).tap()
  await expect(page.getByRole('list', { name: 'Ideas' })).toContainText('From the ferry')
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  // No name in the bar lies over another.
  const names = page.getByRole('navigation', { name: 'Screens' }).locator('a span')
  const boxes = await names.evaluateAll((all) => all.map((name) => name.getBoundingClientRect()))
  expect(boxes.length).toBeGreaterThan(7)
  for (const [i, box] of boxes.entries()) expect(box.left).toBeGreaterThanOrEqual(boxes[i - 1]?.right ?? 0)
  await page.getByRole('link', { name: 'Today', exact: true }).tap()
  await page
    .getByRole('region', { name: 'Next step' })
    .getByRole('button', { name: /Go to it/ })
    .tap()
  await expect(page.getByRole('heading', { level: 1, name: /keel bolts/ })).toBeVisible()
  await page.getByRole('checkbox').first().check()
  expect(await findings(page)).toEqual([])
  // Where one is stays in sight in the bar, also after a start.
  await page.goto('/shows')
  await expect(page.getByRole('link', { name: 'Shows', exact: true })).toBeInViewport({ ratio: 1 })
})
