import { demo, expect, stored, test, visit } from './fixtures'

test('how important something is, is said by one press in Slots, on its page and in Ideas; a sponsor raises it by itself', async ({
  desk: page,
}) => {
  await demo(page, '/schedule')
  const mark = page.getByRole('button', { name: /^Importance of Why my keel bolts wept rust/ })
  await expect(mark).toHaveAccessibleName(/: ordinary/)
  await mark.click()
  await expect(mark).toHaveAccessibleName(/: important/)
  await stored(page)
  await page.reload()
  await expect(mark).toHaveAccessibleName(/: important/)
  await page.keyboard.press('Control+z')
  await expect(mark).toHaveAccessibleName(/: ordinary/)
  await stored(page)

  await page
    .getByRole('link', { name: /Why my keel bolts wept rust/ })
    .first()
    .click()
  await expect(page.getByRole('heading', { level: 1, name: 'Why my keel bolts wept rust' })).toBeVisible()
  await page.getByRole('button', { name: /^Kind and dates/ }).click()
  await page.getByLabel('Sponsor with a read in it').fill('Kelpline Rope')
  await page.keyboard.press('Tab')
  await page.keyboard.press('Escape')
  await expect(mark).toHaveAccessibleName(/: important, sponsored by Kelpline Rope/)
  await mark.click()
  await expect(mark).toHaveAccessibleName(/: before all others, sponsored by Kelpline Rope/)
  await stored(page)

  await visit(page, '/ideas')
  const smell = page
    .getByRole('list', { name: 'Ideas' })
    .getByRole('listitem')
    .filter({ hasText: 'Why wooden boats smell' })
    .getByRole('button', { name: /^Importance/ })
  await smell.click()
  await expect(smell).toHaveAccessibleName(/: important/)
})
