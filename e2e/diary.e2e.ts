import type { Page } from '@playwright/test'
import { expect, jot, stored, test, visit } from './fixtures'

test.use({ timezoneId: 'America/Chicago' })

/** Minutes of what the program writes: `2 h 05`, `45 min`, `3 h`. */
function minutesOf(text: string): number {
  const hours = /(\d+) h(?: (\d\d))?/.exec(text)
  return hours ? Number(hours[1]) * 60 + Number(hours[2] ?? 0) : Number(/(\d+) min/.exec(text)?.[1] ?? 0)
}

/** Done, planned and left of today, as Today says them. */
async function todaySays(page: Page): Promise<{ done: number; planned: number; left: number }> {
  const label = (await page.getByRole('img', { name: /planned of/ }).getAttribute('aria-label')) ?? ''
  const [, done, planned, left] = /^(?:(.*) done, )?(.*) planned of (.*)$/.exec(label) ?? []
  return { done: minutesOf(done ?? ''), planned: minutesOf(planned ?? ''), left: minutesOf(left ?? '') }
}

/** Goes to a screen as a creator does, by a link. */
async function go(page: Page, name: string): Promise<void> {
  await page.getByRole('link', { name, exact: true }).first().click()
}

/** Comes back to Today on another day: to the tab that stayed open, or, once a week, to a new start. */
async function comeBack(page: Page, anew: boolean): Promise<void> {
  await stored(page)
  if (anew) await page.goto('/today')
  else await page.evaluate(() => dispatchEvent(new Event('focus')))
  await go(page, 'Lamp Reel, to Today')
}

/** The Week, Slots and Countdown say the same of each release in work: how likely it is, and when; gives its date. */
async function releasesAgree(page: Page, day: string): Promise<Map<string, string>> {
  await go(page, 'Week')
  const outlooks = page.getByRole('region', { name: 'Going out on time' }).getByRole('listitem')
  await expect(outlooks.filter({ hasText: '…' })).toHaveCount(0)
  const inWeek = await outlooks.evaluateAll((all) =>
    all.map((li) => [li.querySelector('.num')?.textContent, li.querySelector('strong')?.textContent.trim()]),
  )
  await go(page, 'Schedule')
  const on = new Map<string, string>()
  for (const [number = '', is] of inWeek) {
    const slot = page.getByRole('row').filter({ hasText: new RegExp(`${number} Tern`) })
    await expect(slot).toContainText(new RegExp(is ?? '', 'i'), { timeout: 2000 })
    const [date] = /\w{3} \d{1,2} \w{3}/.exec(await slot.innerText()) ?? []
    on.set(number, date ?? 'no date')
  }
  await go(page, 'Countdown')
  const cards = page.getByRole('list', { name: 'Releases by stage and days to go' })
  for (const [number = '', is = ''] of inWeek) {
    const card = cards.getByRole('button', { name: new RegExp(`^${number} `) })
    const said = (await card.getAttribute('aria-label')) ?? ''
    expect([day, number, said]).toEqual([day, number, expect.stringContaining(`out ${on.get(number)}`)])
    if (is === 'tight' || is === 'unlikely')
      expect([day, number, said]).toEqual([day, number, expect.stringContaining(is)])
  }
  return on
}

/**
 * At the day's end Today, the strip and the Week say the same of it, and Week, Slots, Countdown, Month and
 * episode of each release.
 */
async function agree(page: Page, day: string): Promise<number> {
  await go(page, 'Lamp Reel, to Today')
  const meter = page.getByRole('img', { name: /planned of/ })
  const nothing = page.getByRole('heading', { name: /Nothing is in work yet|waits? for a slot/ })
  await expect(meter.or(nothing)).toBeVisible()
  if (await nothing.isVisible()) return 0
  const now = await todaySays(page)
  const strip = (await page.locator(`[title^="${day}: "]`).first().getAttribute('title')) ?? ''
  const [, stripDone, stripPlanned, stripLeft] =
    /: (?:(.*?) done, )?(.*?) planned of ([^,]*)/.exec(strip) ?? []
  if (stripLeft !== undefined)
    expect([day, minutesOf(stripDone ?? ''), minutesOf(stripPlanned ?? ''), minutesOf(stripLeft)]).toEqual([
      day,
      now.done,
      now.planned,
      now.left,
    ])
  await go(page, 'Week')
  const row = page.getByRole('listitem', { name: day, exact: true })
  await expect(row).toBeVisible()
  const said = / of /.exec(await row.innerText())
    ? (await row.locator('.sub').first().innerText()).split(' of ')
    : []
  if (said.length === 2) expect([day, minutesOf(said[0] ?? '')]).toEqual([day, now.done + now.planned])
  // In a tab that stays open a forecast follows what was done a moment later: until then all say what they said before.
  let on = new Map<string, string>()
  await expect(async () => {
    on = await releasesAgree(page, day)
  }).toPass({ timeout: 120_000 })
  await go(page, 'Month')
  for (const [number, date] of on) {
    const cell = page.getByLabel(date, { exact: true }).first()
    if (await cell.isVisible()) await expect(cell).toContainText(number)
  }
  const [first] = on
  if (first) {
    const [number, date] = first
    await go(page, 'Slots')
    const slot = page.getByRole('row').filter({ hasText: new RegExp(`${number} Tern`) })
    await slot.getByRole('link').first().click()
    const head = page
      .locator('p, div')
      .filter({ hasText: /^\s*Tern & Tiller\s*· goes out/ })
      .last()
    await expect(head).toContainText(date)
  }
  return on.size
}

test('a diary of four weeks in Chicago, over the clock change: its days end with screens that agree', async ({
  page,
}) => {
  test.setTimeout(600_000)
  const at = (day: number, hour: number) => new Date(Date.UTC(2026, 9, 19 + day, hour + (day >= 13 ? 6 : 5)))
  const names = (day: number) => {
    const d = new Date(Date.UTC(2026, 9, 19 + day))
    const [weekday] = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'].slice(d.getUTCDay())
    const month = d.getUTCMonth() === 9 ? 'Oct' : 'Nov'
    return `${weekday ?? ''} ${d.getUTCDate()} ${month}`
  }
  const headings = (day: number) =>
    new Date(Date.UTC(2026, 9, 19 + day)).toLocaleDateString('en-GB', {
      weekday: 'long',
      day: 'numeric',
      month: 'long',
      timeZone: 'UTC',
    })
  await page.clock.setSystemTime(at(0, 9))
  await page.goto('/')
  await page.getByLabel('Name of the show').fill('Tern & Tiller')
  await page.getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Monday 19 October' })).toBeVisible()
  await jot(page, 'Steaming oak ribs', 'Keel bolts', 'A spar from a storm pine', 'Leathering a pair of oars')
  const place = async (idea: string) => {
    await visit(page, '/ideas')
    await page.getByRole('list', { name: 'Ideas' }).getByText(idea).first().click()
    await page.keyboard.press('p')
    await page
      .getByRole('list', { name: /Open slots/ })
      .getByRole('button')
      .first()
      .click()
    await expect(page.getByText(`Put “${idea}” on`)).toBeVisible()
  }
  for (const idea of ['Steaming oak ribs', 'Keel bolts', 'A spar from a storm pine']) await place(idea)
  let compared = 0
  for (let day = 0; day < 28; day++) {
    // Late in the evening it is another day in UTC already.
    await page.clock.setSystemTime(at(day, 20))
    await comeBack(page, day % 7 === 0)
    await expect(page.getByRole('heading', { level: 1, name: headings(day) })).toBeVisible()
    const out = page.getByRole('button', { name: /^Yes/ }).first()
    if (await out.isVisible()) await page.keyboard.press('y')
    if (day === 8) {
      await visit(page, '/week')
      await page.getByRole('checkbox', { name: `Choose ${names(9)}` }).check()
      await page.getByRole('button', { name: 'Lost, no hours' }).click()
      await expect(page.getByRole('listitem', { name: names(9), exact: true })).toContainText('lost')
    } else {
      const next = page.getByRole('region', { name: 'Next step' })
      if (
        (await next.isVisible()) &&
        (await next.getByRole('button', { name: 'Done', exact: true }).isVisible())
      ) {
        const before = await todaySays(page)
        await page.keyboard.press('=')
        // What ends with its part says what is missing instead.
        const said = page.getByText(/^Done: |isn’t done yet/).first()
        await expect(said).toBeVisible()
        if ((await said.innerText()).startsWith('Done'))
          await expect.poll(async () => (await todaySays(page)).done).toBeGreaterThan(before.done)
      }
    }
    if (day === 10) {
      await visit(page, '/shows')
      await page.getByRole('button', { name: 'Add a show' }).click()
      await page.getByRole('dialog').getByLabel('Name of the show').fill('Harbour Hours')
      await page.getByRole('button', { name: 'Add the show' }).click()
      await expect(page.getByRole('dialog')).toHaveCount(0)
    }
    if (day === 14) {
      await visit(page, '/schedule')
      await page.getByRole('button', { name: 'Keep Thu 19 Nov for somebody or something' }).click()
      await page.getByLabel('The sponsor').fill('Kelpline Rope')
      await page.getByRole('button', { name: 'Keep it', exact: true }).click()
      await expect(page.getByRole('row', { name: /Thu 19 Nov/ })).toContainText('Kept for Kelpline Rope')
    }
    if (day === 16) await place('Leathering a pair of oars')
    if (day === 20) {
      await visit(page, '/shows')
      await page.getByLabel('In words').first().fill('every Friday 18:00')
      await page
        .getByRole('button', { name: /^(Change the rhythm|Keep their dates as one-offs)$/ })
        .first()
        .click()
      await expect(page.getByText('every Friday, 18:00').first()).toBeVisible()
    }
    // Every other day, each day on which something befell, and those of the clock change.
    if (day % 2 === 0 || (day > 8 && day < 16)) compared += await agree(page, names(day))
  }
  // Most days had releases to hold against each other.
  expect(compared).toBeGreaterThan(20)
})
