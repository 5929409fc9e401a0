import { begin, expect, jot, stored, test, visit } from './fixtures'

/** An idea put on a near slot is not late at birth. */
test('an idea put on the nearest slot has its due dates pressed together, and says so everywhere', async ({
  page,
}) => {
  await begin(page)
  await jot(page, 'A letter answered')
  await visit(page, '/ideas')
  await page.locator('[aria-label="Ideas"]').getByText('A letter answered').first().click()
  await page.getByRole('button', { name: /^Put on a slot/ }).click()
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /Thu 26 Nov/ })
    .first()
    .click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(page.getByText(/^Put “A letter answered” on/)).toBeVisible()
  await stored(page)

  await visit(page, '/schedule')
  // An open slot may still offer it for a moment.
  const row = page.getByRole('row', { name: /^Thu 26 Nov/ })
  await expect(row).toContainText('A letter answered')
  await expect(row).toContainText('2 days for what usually takes')
  await expect(row).not.toContainText('late')
  await row.getByRole('link', { name: /A letter answered/ }).click()
  await expect(page.getByText(/2 days for what usually takes \d+/)).toBeVisible()
  await expect(page.getByText(/late \d+ d/)).toHaveCount(0)

  // Late is being behind that: two days on, it is.
  await page.clock.setFixedTime(new Date('2026-11-26T09:00:00Z'))
  await page.goto('/schedule')
  await expect(page.getByRole('row', { name: /^Thu 26 Nov/ })).toContainText(/late \d d/)
})
