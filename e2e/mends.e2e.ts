import type { Page } from '@playwright/test'
import { begin, demo, expect, jot, test, visit } from './fixtures'

const day = (page: Page, name: string) => page.getByRole('listitem', { name, exact: true })

test('days that are lost come with what would mend it, the loss counted in; one choice does both, each a step of undo', async ({
  desk: page,
}) => {
  await demo(page, '/week')
  await expect(page.getByRole('button', { name: /^HH 19 .*: (tight|unlikely)/ })).toBeVisible()
  for (const d of ['Wed 25 Nov', 'Thu 26 Nov'])
    await page.getByRole('checkbox', { name: `Choose ${d}` }).check()
  const breaks = page.getByRole('list', { name: 'What it does to the releases' })
  const bolts = breaks.getByRole('listitem').filter({ hasText: '#43' })
  await expect(bolts).toContainText(/on track \d+ % → (unlikely|tight)/)
  await bolts.getByRole('button', { name: /^and move it to Thu 24 Dec: on track/ }).click()
  await expect(page.getByText(/The days are set, and: move it to Thu 24 Dec/)).toBeVisible()
  await expect(day(page, 'Wed 25 Nov')).toContainText('lost')
  await expect(
    page.getByRole('button', { name: /Why my keel bolts wept rust, goes out Thu 24 Dec/ }),
  ).toBeVisible()
  await page.locator('h2').first().click()
  await page.keyboard.press('Control+z')
  await expect(
    page.getByRole('button', { name: /^#43 Why my keel bolts wept rust, goes out Thu 3 Dec/ }),
  ).toBeVisible()
  await expect(day(page, 'Wed 25 Nov')).toContainText('lost')
  await page.keyboard.press('Control+z')
  await expect(day(page, 'Wed 25 Nov')).not.toContainText('lost')
})

test('a freed evening is looked at with its hours before it is taken, and the plan follows', async ({
  desk: page,
}) => {
  await demo(page, '/week')
  await expect(page.getByRole('button', { name: /^HH 19 .*: (tight|unlikely)/ })).toBeVisible()
  await page.getByRole('checkbox', { name: 'Choose Sat 28 Nov' }).check()
  await page.getByLabel('Hours on each day chosen').fill('5')
  await expect(page.getByText('With 5 h each:')).toBeVisible()
  await expect(page.getByRole('list', { name: 'What it does to the releases' })).toContainText(
    /HH 19 .*(tight|unlikely) \d+ % →/,
  )
  await page.getByRole('button', { name: '5 h each' }).click()
  await expect(day(page, 'Sat 28 Nov')).toContainText('of 5 h')
  await expect(day(page, 'Sat 28 Nov').locator('.stint').first()).toBeVisible()
})

test('Countdown: a spare is carried from its dock onto an open slot; Month says what a drag would do', async ({
  desk: page,
}) => {
  await demo(page, '/schedule/countdown')
  await page
    .getByRole('button', { name: /^Leathering a pair of oars, spare/ })
    .dragTo(page.getByRole('button', { name: /^#46 open, Thu 24 Dec/ }).last())
  await expect(
    page.getByText(/Put “Leathering a pair of oars” on Thu 24 Dec, 17:00, with the read for Kelpline Rope/),
  ).toBeVisible()
  await visit(page, '/schedule/month')
  const monday = page
    .getByRole('region', { name: 'November 2026' })
    .getByRole('listitem', { name: 'Mon 30 Nov' })
  const card = page.getByRole('button', { name: /^#42 Steaming oak ribs.*Alt/ })
  await expect(card).toBeVisible()
  // Away from the edges, near which what is carried scrolls the months.
  await monday.evaluate((e) => {
    e.scrollIntoView({ block: 'center' })
  })
  await card.hover()
  await page.mouse.down()
  await page.mouse.move(600, 560, { steps: 4 })
  await monday.hover()
  await monday.hover()
  await expect(page.getByRole('status').filter({ hasText: 'To Mon 30 Nov' })).toContainText(
    'next step due Fri 27 Nov',
  )
  await page.mouse.up()
  await expect(page.getByText(/Put “Steaming oak ribs without a steam box” on Mon 30 Nov/)).toBeVisible()
})

test('a forecast tries another step than the one that decides, and more hours on days of one’s own choosing', async ({
  desk: page,
}) => {
  await demo(page, '/schedule')
  await page.getByRole('button', { name: /^HH 19: (tight|unlikely).*Open its forecast$/ }).click()
  const rows = page.getByRole('table', { name: 'What if, with before and after' })
  await page.getByText('Other days, another step').click()
  await page.getByLabel('Which step').selectOption('First cut')
  await expect(rows.getByRole('row', { name: /Half the time for “First cut”/ })).toContainText('→')
  await page.getByRole('button', { name: 'Fri 27 Nov', exact: true }).click()
  await page.getByRole('button', { name: 'Sun 29 Nov', exact: true }).click()
  await page.getByRole('spinbutton', { name: 'More hours' }).fill('3')
  await expect(rows.getByRole('row', { name: /^3 more hours on Fri 27 Nov, Sun 29 Nov/ })).toContainText('→')
  await page.getByRole('button', { name: /^Do it: 3 more hours/ }).click()
  await expect(page.getByText('180 min more on Fri 27 Nov, Sun 29 Nov')).toBeVisible()
  await visit(page, '/week')
  await expect(day(page, 'Fri 27 Nov')).toContainText('of 6 h')
  await expect(day(page, 'Sun 29 Nov')).toContainText('of 5 h')
})

test('a topical episode warns where its window and its slot disagree, and can’t be made too early', async ({
  desk: page,
}) => {
  await demo(page, '/schedule')
  const address = await page.getByRole('link', { name: /Cutting a spar/ }).getAttribute('href')
  await visit(page, `${address ?? ''}/brief`)
  await page.getByRole('button', { name: 'Kind and dates' }).click()
  await page.getByLabel('Nature').selectOption('topical')
  await page.getByLabel('Stale after').fill('2026-12-08')
  await page.getByLabel('Stale after').press('Tab')
  await expect(page.getByText('On its slot it is stale after Tue 8 Dec.')).toBeVisible()
  await page.getByLabel('No work earlier than, days before release').fill('3')
  await page.getByLabel('No work earlier than, days before release').press('Tab')
  await page.getByRole('navigation').getByRole('link', { name: 'Schedule', exact: true }).first().click()
  const row = page.getByRole('row', { name: /^Thu 10 Dec/ })
  await expect(row).toContainText('stale after Tue 8 Dec')
  await expect(row).toContainText('due Mon 7 Dec')
  await page.getByRole('button', { name: 'More for Cutting a spar from a storm pine' }).click()
  await page.getByRole('menuitem', { name: 'Put on another slot' }).click()
  await expect(
    page
      .getByRole('list', { name: /Open slots/ })
      .getByRole('listitem')
      .first(),
  ).toContainText('stale after Tue 8 Dec')
})

test('a newcomer: three steps, a first recipe of one’s own making, a deal, standing work; all of it comes back from a back-up', async ({
  page,
}) => {
  await begin(page)
  await jot(page, 'Steaming oak ribs')
  await visit(page, '/schedule')
  await page.getByRole('button', { name: 'Keep Thu 3 Dec for somebody or something' }).click()
  await page.getByLabel('The sponsor').fill('Kelpline Rope')
  await page.getByLabel('So many of every month, by a standing deal').check()
  await page.getByRole('button', { name: 'Keep them' }).click()
  await expect(page.getByText('Kept one slot a month for Kelpline Rope')).toBeVisible()
  await expect(page.getByRole('row', { name: /Thu 3 Dec/ })).toContainText('Kept for Kelpline Rope')
  await expect(page.getByRole('row', { name: /Thu 10 Dec/ })).not.toContainText('Kelpline')
  await expect(page.getByRole('row', { name: /Thu 7 Jan/ })).toContainText('Kept for Kelpline Rope')
  await visit(page, '/week')
  await page.getByRole('button', { name: 'Standing work', exact: true }).click()
  await page.getByLabel('What', { exact: true }).fill('Accounts')
  await page.getByLabel('How often').selectOption('once a month')
  await page.getByRole('button', { name: 'Add it' }).click()
  await expect(
    day(page, 'Tue 24 Nov').getByRole('button', { name: /^Accounts, standing work, 30 min/ }),
  ).toBeVisible()
  await expect(page.getByText('Added “Accounts”')).toBeVisible()
  await visit(page, '/shows')
  await page.getByRole('link', { name: 'Change the recipe Three steps' }).click()
  await page.getByRole('button', { name: 'Another recipe' }).click()
  await page.getByLabel('Its name').fill('Interview')
  await page.getByRole('button', { name: 'The fuller one, 12 steps' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Recipe “Interview”' })).toBeAttached()
  await page.getByRole('button', { name: 'Make it the first' }).click()
  await expect(page.getByText('is made by “Interview” from now on')).toBeVisible()
  await visit(page, '/settings')
  await page.getByLabel('A day off').fill('2026-12-07')
  await page.getByLabel('The last day off, of a holiday').fill('2026-12-05')
  await page.getByRole('button', { name: 'Add the holiday' }).click()
  await expect(page.getByRole('alert')).toContainText('on or after the first')
  await page.getByLabel('The last day off, of a holiday').fill('2026-12-09')
  await page.getByRole('button', { name: 'Add the holiday' }).click()
  await expect(page.getByText('Mon 7 Dec to Wed 9 Dec')).toBeVisible()
  const saved = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Download a back-up' }).first().click()
  const path = await (await saved).path()
  await page.getByRole('button', { name: 'Erase everything' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Erase everything' }).click()
  await expect(page.getByLabel('Name of the show')).toBeVisible()
  await page.getByLabel('Back-up file').setInputFiles(path)
  await expect(page.getByText('Restored 1 episodes and ideas.')).toBeVisible()
  await visit(page, '/schedule')
  await expect(page.getByRole('row', { name: /Thu 3 Dec/ })).toContainText('Kept for Kelpline Rope')
  await visit(page, '/today')
  await expect(page.getByRole('region', { name: 'Besides' })).toContainText('Accounts')
  await page.getByRole('button', { name: 'Accounts is done' }).click()
  await expect(page.getByRole('region', { name: 'Besides' })).toHaveCount(0)
})
