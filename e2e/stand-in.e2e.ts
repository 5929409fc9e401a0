import type { APIRequestContext, Page } from '@playwright/test'
import { demo, expect, moment, secondTab, stored, test } from './fixtures'

/** Says on the stand-in's page what is to go wrong, and what its clock shows. */
async function set(request: APIRequestContext, at: Date, kind = 'none', tag = ''): Promise<void> {
  const ahead = String((at.getTime() - Date.now()) / 3_600_000)
  const answer = await request.post('/stand-in/trouble', { form: { kind, tag, ahead } })
  expect(answer.ok()).toBe(true)
}
const handing = (page: Page) => page.getByRole('region', { name: 'Handing over' })
async function look(page: Page, name: RegExp): Promise<void> {
  await page.getByRole('button', { name }).click()
}
/** Looks at a thing, and lets the program speak to its outlet. */
async function join(page: Page, name: RegExp): Promise<void> {
  await look(page, name)
  await page.getByRole('button', { name: 'Try handing over with the stand-in' }).click()
  await expect(handing(page)).toBeVisible()
}

test('a release fans out over the stand-in: one refuses, one loses its answer, and all are out on time with the browser closed', async ({
  context,
  request,
}) => {
  await set(request, moment)
  // What an outlet refuses stands in the console too.
  const page = await secondTab(context, 'about:blank')
  await demo(page, '/release')
  await join(page, /^#42 .* at Video site/)
  await page.keyboard.press('h')
  await expect(handing(page).getByRole('alert')).toContainText('Refused, tags. The tags take 560 characters')
  await page.getByRole('button', { name: /^Drop the last tags/ }).click()
  await page.keyboard.press('h')
  await expect(handing(page)).toContainText('Taken Tue 24 Nov 09:00; it goes out Thu 26 Nov 17:00')
  await expect(page.getByRole('button', { name: /^Scheduled/ })).toHaveAttribute('aria-pressed', 'true')
  await expect(page.getByRole('button', { name: /^Seen live/ })).toHaveAttribute('aria-pressed', 'false')

  await set(request, moment, 'lose the answer')
  await join(page, /^#42 .* at Newsletter/)
  await page.keyboard.press('h')
  await expect(handing(page).getByRole('alert')).toContainText('it may have been taken')
  await page.keyboard.press('h')
  await expect(handing(page)).toContainText('it goes out Thu 26 Nov 17:30')

  await set(request, moment, 'refuse a tag', '#boatbuilding')
  await join(page, /^#42 Excerpt 1 at Excerpts/)
  await page.keyboard.press('h')
  await expect(handing(page).getByRole('alert')).toContainText('The tag “#boatbuilding” is not taken here')
  await set(request, moment)
  await page.keyboard.press('h')
  await expect(handing(page)).toContainText('it goes out Fri 27 Nov 12:00')
  await join(page, /^#42 .* at Own site/)
  await page.keyboard.press('h')
  await expect(handing(page)).toContainText('it goes out Wed 25 Nov 21:00')

  // Handed over twice, the letter is one.
  const list = await (await request.get('/stand-in')).text()
  expect(list.match(/Steaming oak ribs without a steam box/g)).toHaveLength(4)
  await stored(page)
  await page.close()

  // Nobody has a browser open while it goes out.
  const out = new Date('2026-11-26T17:01:00Z')
  const watch = '/stand-in/watch/ULP6-outlet-video'
  expect((await request.get(watch)).status()).toBe(404)
  await set(request, out)
  expect(await (await request.get(watch)).text()).toContain('Steaming oak ribs without a steam box')
  expect((await request.get('/stand-in/watch/ULP6-outlet-letter')).status()).toBe(404)

  const later = await context.newPage()
  await later.clock.install({ time: out })
  await later.goto('/release')
  await look(later, /^#42 .* at Video site/)
  await expect(handing(later)).toContainText('Live, says the outlet')
  await later.keyboard.press('v')
  await expect(later.getByText(/^Released #42/).first()).toBeVisible()
  await later.goto('/episode/ULP6/release')
  await expect(later.getByRole('link', { name: /Video site/ }).first()).toHaveAttribute(
    'href',
    new RegExp(watch),
  )
})
