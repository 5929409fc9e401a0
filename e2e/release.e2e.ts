import { readFile } from 'node:fs/promises'
import type { Page } from '@playwright/test'
import { demo, expect, stored, test, visit } from './fixtures'

const thing = (page: Page, name: RegExp) => page.getByRole('button', { name })
const copied = () => navigator.clipboard.readText()

test('what goes out at five outlets: the best move is done, fields are copied by a key, what hangs on a release moves with it', async ({
  desk: page,
}) => {
  await demo(page, '/release')
  await expect(page.getByText('Choose the thumbnail next: 2 of the 6 unready things need it.')).toBeVisible()
  const moves = page.getByRole('list', { name: 'Moves, best first' }).getByRole('listitem')
  await expect(moves.first()).toContainText('#42, 10 min, mends 2')

  await test.step('the tags are mended where they stand', async () => {
    await moves.getByRole('button', { name: /^Drop the last tags/ }).click()
    await expect(moves.getByRole('button', { name: /^Drop the last tags/ })).toHaveCount(0)
  })

  await test.step('Enter leads to the thumbnail; chosen, it is there at both outlets', async () => {
    await page.keyboard.press('Enter')
    await expect(page.getByRole('heading', { name: '3 candidates' })).toBeVisible()
    await expect(page.getByText('A passes all 7.')).toBeVisible()
    await page.keyboard.press('Enter')
    await expect(page.getByText('A is chosen.')).toBeVisible()
    await visit(page, '/release')
    await expect(
      page.getByText('Write the description next: 3 of the 6 unready things need it.'),
    ).toBeVisible()
    await expect(
      thing(page, /^#42 Steaming oak ribs .* at Own site, Wed 25 Nov 21:00: missing description$/),
    ).toBeVisible()
  })

  await test.step('its fields are copied one after the other, counted, and stay counted', async () => {
    await thing(page, /^#42 Steaming oak ribs .* at Video site/).click()
    await page.keyboard.press('c')
    await expect(page.getByText('1 of 3 copied')).toBeVisible()
    expect(await page.evaluate(copied)).toBe('Steaming oak ribs without a steam box')
    await page.keyboard.press('c')
    await expect(page.getByText('2 of 3 copied')).toBeVisible()
    expect(await page.evaluate(copied)).toContain('oak')
    await page.keyboard.press('u')
    await expect(page.getByRole('button', { name: /^Uploaded/ })).toHaveAttribute('aria-pressed', 'true')
    await page.keyboard.press('s')
    await page.getByRole('button', { name: 'Schedule it anyway' }).click()
    await expect(page.getByRole('button', { name: /^Scheduled/ })).toHaveAttribute('aria-pressed', 'true')
    await stored(page)
    await page.reload()
    await thing(page, /^#42 Steaming oak ribs .* at Video site/).click()
    await expect(page.getByText('2 of 3 copied')).toBeVisible()
  })

  await test.step('scheduled at the first outlet is scheduled everywhere it is said', async () => {
    await visit(page, '/episode/ULP6/release')
    await expect(page.getByText(/^Scheduled for /)).toBeVisible()
    await page.getByRole('button', { name: 'Not after all' }).click()
    await visit(page, '/release')
    await thing(page, /^#42 Steaming oak ribs .* at Video site/).click()
    await expect(page.getByRole('button', { name: /^Scheduled/ })).toHaveAttribute('aria-pressed', 'false')
  })

  await test.step('said otherwise for the letter; its moment is fixed, and stays when the release goes', async () => {
    await thing(page, /^#42 Steaming oak ribs .* at Newsletter/).click()
    await page.getByText('Say it otherwise here').click()
    await page.getByLabel('Title at Newsletter').fill('Oak, bent cold')
    await page.getByLabel('Title at Newsletter').press('Enter')
    await expect(page.getByRole('row', { name: /Title/ })).toContainText('14 of 120 characters')
    await page.getByRole('button', { name: /^Fix its moment/ }).click()
    await expect(page.getByText('fixed by hand')).toBeVisible()
    await visit(page, '/episode/ULP6/release')
    await page.getByRole('button', { name: 'Thu 26 Nov 17:00' }).click()
    await expect(page.getByRole('dialog')).toContainText(
      'Newsletter on Thu 26 Nov 17:30 stays: fixed by hand',
    )
    await expect(page.getByRole('dialog')).toContainText('Own site 1 day before, 21:00')
    await page
      .getByRole('list', { name: /Open slots/ })
      .getByRole('button')
      .last()
      .click()
    await expect(page.getByRole('dialog')).toHaveCount(0)
    await visit(page, '/release')
    await expect(thing(page, /Oak, bent cold at Newsletter, Thu 26 Nov 17:30/)).toBeVisible()
    await expect(thing(page, /Steaming oak ribs.* at Own site/)).toHaveCount(0)
  })
})

test('an outlet is added to a show, with its own moment and parts, and Release joins the bar', async ({
  desk: page,
}) => {
  await demo(page, '/shows/talks')
  const feed = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save its feed as a file' }).click()
  expect(await readFile(await (await feed).path(), 'utf8')).toMatch(
    /^<\?xml[\s\S]*<title>Harbour Hours<\/title>/,
  )
  await page.getByLabel('Its name').fill('Harbour board')
  await page.getByRole('button', { name: 'Add it', exact: true }).click()
  const card = page.getByRole('region', { name: /^Harbour board/ })
  await card.getByRole('heading').click()
  await card.getByLabel('It goes out').selectOption('days after it, at a time')
  await card.getByLabel('Days after (− before)').fill('-2')
  await card.getByLabel('Days after (− before)').press('Enter')
  await expect(card.getByRole('heading')).toContainText('2 days before, 12:00')
  await card.getByText('What it has a place for').click()
  await card.getByRole('group', { name: 'It has a place for' }).getByLabel('Chapters').uncheck()
  await visit(page, '/release')
  await thing(page, /^HH 19 The ferry pilot.* at Harbour board, Sun 29 Nov 12:00/).click()
  const fields = page.getByRole('region', { name: /Harbour board/ }).getByRole('rowheader')
  await expect(fields).toHaveText(['Title', 'Description', 'Tags', 'Cover', 'Links'])
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('region', { name: /Harbour board/ }).getByRole('rowheader')).toContainText([
    'Chapters',
  ])
})
