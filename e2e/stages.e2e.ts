import { demo, expect, stored, test, visit } from './fixtures'

/** All work by stage, what has no date among it. */
test('the script in hand is found at one glance; two without a date are there; an order by hand and a view are kept', async ({
  desk: page,
}) => {
  await demo(page, '/schedule/countdown')
  const dock = page.getByRole('complementary', { name: 'Without a date, and spares' })
  await expect(dock).toContainText('Lofting a stem on the kitchen floor')
  await expect(dock).toContainText('The net loft in February')
  await page.getByRole('button', { name: 'In rows' }).click()
  const scripts = page.getByRole('rowgroup', { name: 'Script', exact: true })
  await expect(scripts.getByRole('rowheader').first()).toContainText(/Script 2.*left/)
  await expect(scripts.locator('a')).toHaveText(['Cutting a spar from a storm pine', 'Night tides'])
  await expect(scripts.getByRole('row').filter({ hasText: 'Cutting a spar' })).toContainText(
    'Write the script',
  )
  const briefs = page.getByRole('rowgroup', { name: 'Brief', exact: true })
  await expect(briefs.getByRole('row').filter({ hasText: 'The net loft' })).toContainText('no date')

  // By hand, within its stage; it stays so.
  const titles = briefs.locator('a')
  await expect(titles.last()).toHaveText('The net loft in February')
  const rows = await titles.count()
  await titles.last().focus()
  await page.keyboard.press('Alt+ArrowUp')
  await expect(titles.nth(rows - 2)).toHaveText('The net loft in February')
  await expect(titles.nth(rows - 2)).toBeFocused()
  for (let at = rows - 3; at >= 1; at--) {
    await page.keyboard.press('Alt+ArrowUp')
    await expect(titles.nth(at)).toHaveText('The net loft in February')
  }
  await stored(page)
  await page.reload()
  await expect(titles.nth(1)).toHaveText('The net loft in February')

  // Whose move it is, of one kind, under a name of one's own.
  await page.getByLabel('Grouped').selectOption('by whose move')
  await page.getByLabel('Which show or kind').selectOption('talk')
  await expect(page.getByRole('rowgroup', { name: 'My move' })).toContainText('The ferry pilot')
  await expect(page.getByRole('table').getByText('Cutting a spar from a storm pine')).toHaveCount(0)
  await page.getByRole('button', { name: 'Views', exact: true }).click()
  await page.getByLabel('Keep what is shown as').fill('Talks by move')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await stored(page)
  await page.reload()
  await page.getByLabel('Grouped').selectOption('by stage')
  await page.getByRole('button', { name: 'Views', exact: true }).click()
  await page.getByRole('button', { name: 'Talks by move', exact: true }).click()
  await expect(page.getByLabel('Grouped')).toHaveValue('move')
  await expect(page.getByLabel('Which show or kind')).toHaveValue('form talk')
  await page.getByLabel('Which show or kind').selectOption('Every show')
})

/** Only talks in Month, read without pointing at anything. */
test('a month is read as it stands, and narrowed to one kind', async ({ desk: page }) => {
  await demo(page, '/schedule/month')
  const november = page.getByRole('region', { name: 'November 2026' })
  await expect(november).toContainText(/out.*planned.*\(Tern & Tiller \d+, Harbour Hours \d+; .*talk \d+/)
  await expect(november.getByRole('button', { name: /^#42/ })).toContainText(/tutorial \d+ missing/)
  await page.getByRole('checkbox', { name: 'due dates' }).check()
  await page.getByRole('checkbox', { name: 'work' }).check()
  await expect(november).toContainText(/Excerpt .*, #42/)
  await page.getByLabel('Which show or kind').selectOption('talk')
  // Neither what is made of others, nor what is due and worked on for them.
  await expect(november).not.toContainText('#4')
  await expect(november).toContainText(/, HH 19/)
  await expect(november).toContainText(/\d+ h of all work in \d+ h/)
  // What a day lists of one show, it sums up of that show.
  await page.getByLabel('Which show or kind').selectOption({ label: 'Tern & Tiller' })
  await expect(november.getByRole('listitem', { name: 'Wed 25 Nov' })).toContainText(/more, 4 h 40 in all/)
  await page.getByLabel('Which show or kind').selectOption('talk')
  await expect(
    november.getByRole('button', { name: /^HH 18 The lock at low water, talk, out/ }),
  ).toBeVisible()
  await expect(november.getByRole('button', { name: /Steaming oak ribs/ })).toHaveCount(0)
  // The same in Slots and in the rows.
  await page.getByRole('link', { name: 'Slots' }).click()
  await expect(page.getByRole('row').filter({ hasText: 'The ferry pilot' })).toContainText('talk')
  const spar = page.getByRole('table').getByText('Cutting a spar from a storm pine')
  await expect(spar).toHaveCount(0)
  await page.getByLabel('Which show or kind').selectOption('Every show')
  await expect(spar).toHaveCount(1)
})

/** A show's own kinds, each with its recipe. */
test('a kind of episode is added to a show, and one with its own recipe brings its steps', async ({
  desk: page,
}) => {
  await demo(page, '/shows')
  await page.getByLabel('Another kind of episode').fill('news')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByLabel('Name of the kind news')).toBeVisible()
  await stored(page)
  await visit(page, '/ideas')
  await page.locator('[aria-label="Ideas"]').getByText('A folding thwart').first().click()
  await page.keyboard.press('e')
  const kind = page.getByRole('combobox', { name: 'Kind of episode' })
  await kind.selectOption('news')
  await expect(kind).toHaveValue('news')
  await kind.selectOption('letter')
  await stored(page)
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'A folding thwart' })).toBeVisible()
  await page.getByRole('button', { name: 'Kind and dates' }).click()
  await expect(page.getByLabel('Made by the recipe')).toHaveValue('recipe-short')
  await page.getByRole('link', { name: /^Edit/ }).click()
  await expect(page.getByRole('region', { name: 'Steps of Edit' }).getByRole('checkbox')).toHaveCount(1)
})
