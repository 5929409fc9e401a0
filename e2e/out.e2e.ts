import type { Page } from '@playwright/test'
import { demo, expect, jot, stored, test, visit } from './fixtures'

/** Goes on to another moment, as if the browser had been closed meanwhile. */
async function later(page: Page, moment: string, path: string): Promise<void> {
  await stored(page)
  await page.clock.setFixedTime(new Date(moment))
  await page.goto(path)
}

/** What comes after the release stays in the day until it is done. */
test('after “it is out” the letters to answer stand on Today and in the Week until they are answered', async ({
  desk: page,
}) => {
  await demo(page)
  // A demo in which something was done is kept over midnight.
  await jot(page, 'A mast from a fallen larch')
  await later(page, '2026-11-26T18:00:00Z', '/today')
  await page.getByRole('button', { name: /^Yes, at/ }).click()
  await expect(page.getByRole('heading', { name: 'Is it out?' })).toHaveCount(0)

  // On the next day they stand there, and later, while nothing else of it is asked for.
  const letters = page.getByText('Answer the first letters').first()
  await later(page, '2026-11-27T09:00:00Z', '/today')
  await expect(letters).toBeVisible()
  await expect(page.getByRole('region', { name: 'After the release' })).toContainText('#42')
  await later(page, '2026-12-02T09:00:00Z', '/today')
  await expect(letters).toBeVisible()
  await visit(page, '/week')
  await expect(page.getByText('Answer the first letters').first()).toBeVisible()

  await visit(page, '/episode/ULP6/after')
  await page.getByRole('checkbox', { name: 'Answer the first letters is done' }).check()
  await stored(page)
  await visit(page, '/week')
  const inWeek = page.getByRole('button', { name: /^Answer the first letters, #42/ })
  await expect(inWeek).toHaveAccessibleName(/, done$/)
  await expect(inWeek).toHaveCount(1)
})

/** When it went out, where it lives, and not worrying in between. */
test('scheduled on Wednesday, answered for on Saturday, it was on time and its address is at hand', async ({
  page,
  context,
}) => {
  await demo(page)
  await later(page, '2026-11-25T10:00:00Z', '/episode/ULP6/release')
  await page.getByRole('button', { name: 'Uploaded and scheduled' }).click()
  // What is missing is named once, and stays on the list.
  const asked = page.getByRole('dialog', { name: 'Some things are still missing' })
  await expect(asked.getByRole('list', { name: 'Still missing' })).toContainText('Watch it once, whole')
  await asked.getByRole('button', { name: 'Schedule it anyway' }).click()
  await expect(page.getByText(/^Scheduled for .*still missing\.$/)).toBeVisible()
  await stored(page)
  await visit(page, '/schedule')
  await expect(page.getByRole('button', { name: /#42 .*scheduled/ })).toBeVisible()
  await expect(page.getByText('nothing left to do')).toHaveCount(0)
  await expect(page.getByRole('row').filter({ hasText: 'Steaming oak ribs' })).toContainText(/due \w{3} \d+/)

  await later(page, '2026-11-28T10:00:00Z', '/today')
  await page.getByRole('button', { name: 'When and where…' }).click()
  const sheet = page.getByRole('dialog', { name: 'It is out' })
  await sheet.getByRole('textbox', { name: 'Day' }).fill('26 nov')
  await sheet.getByLabel('Time').fill('17:02')
  const address = sheet.getByRole('textbox', { name: /site/i }).first()
  await address.fill('nowhere')
  await sheet.getByRole('button', { name: 'Yes, it is out' }).click()
  await expect(sheet.getByRole('alert')).toContainText('“nowhere” is not an address')
  await address.fill('video.example/watch/42')
  await sheet.getByRole('button', { name: 'Yes, it is out' }).click()
  await expect(sheet).toHaveCount(0)
  await stored(page)

  await visit(page, '/catalogue')
  const row = page.getByRole('row').filter({ hasText: 'Steaming oak ribs' })
  await expect(row).toContainText('on time')
  await row.getByRole('button', { name: 'Look at #42' }).click()
  const known = page.getByRole('region', { name: /Steaming oak ribs/ })
  await expect(known.getByRole('link', { name: /Open #42/ })).toHaveAttribute(
    'href',
    'https://video.example/watch/42',
  )
  await known.getByRole('button', { name: 'Copy the address of #42' }).click()
  expect(await page.evaluate(() => navigator.clipboard.readText())).toBe('https://video.example/watch/42')
  await page.keyboard.press('/')
  await page.getByRole('combobox', { name: /Find an episode/ }).fill('address steaming oak')
  await expect(page.getByRole('option', { name: /Copy the address of #42/ })).toBeVisible()
  await page.keyboard.press('Escape')

  // It can be corrected: it was two days late after all.
  await visit(page, '/episode/ULP6/release')
  await expect(page.getByText('Thu 26 Nov 17:02, on time')).toBeVisible()
  await page.getByRole('button', { name: 'When and where it went out' }).click()
  const corrected = page.getByRole('dialog', { name: 'When and where it went out' })
  await corrected.getByRole('textbox', { name: 'Day' }).fill('28 nov')
  await corrected.getByLabel('Time').fill('09:00')
  await corrected.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByText('Sat 28 Nov 09:00, 2 days late')).toBeVisible()
  expect(context.pages()).toHaveLength(1)
})
