import type { Page } from '@playwright/test'
import { demo, expect, test, visit } from './fixtures'

const day = (page: Page, name: string) => page.getByRole('listitem', { name, exact: true })

test('a slot is kept for a sponsor: it shows on the open frame, and what doesn’t honour it says so', async ({
  desk: page,
}) => {
  await demo(page, '/schedule')
  await expect(
    page.getByRole('button', { name: /^#46 open, Thu 24 Dec.*kept for Kelpline Rope/ }),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Keep Thu 31 Dec for somebody or something' }).click()
  await page.getByRole('combobox', { name: 'The sponsor' }).fill('Brightwork Varnish')
  await page.getByRole('textbox', { name: 'Note' }).fill('Forty seconds')
  await page.getByRole('button', { name: 'Keep it', exact: true }).click()
  const row = page.getByRole('row', { name: /Thu 31 Dec/ })
  await expect(row).toContainText('Kept for Brightwork Varnish')
  await row.getByRole('button', { name: 'Choose' }).click()
  await expect(page.getByRole('dialog')).toContainText('Forty seconds')
  await page.getByRole('list', { name: 'Ideas to choose from' }).getByRole('button').first().click()
  await expect(page.getByText(/with the read for Brightwork Varnish/)).toBeVisible()
  await expect(row).not.toContainText('not honoured')
  await row.getByRole('link').first().click()
  await page.getByRole('button', { name: 'Kind and dates' }).click()
  await page.getByLabel('Sponsor with a read in it').fill('Kelpline Rope')
  await page.getByLabel('Sponsor with a read in it').press('Tab')
  await page.getByRole('navigation').getByRole('link', { name: 'Schedule', exact: true }).first().click()
  await expect(row).toContainText('kept for Brightwork Varnish, not honoured yet')
})

test('a launch says what is missing around it; the Month shows its run-up', async ({ desk: page }) => {
  await demo(page, '/schedule')
  const launches = page.getByRole('region', { name: /Launches/ })
  await expect(launches).toContainText('1 of 3 episodes chosen')
  await launches
    .getByLabel('An episode that supports Drawings of the dinghy')
    .selectOption({ label: '#45 Caulking, the quiet skill' })
  await expect(launches).toContainText('2 of 3 episodes chosen')
  await expect(launches).toContainText('#45 goes out Thu 17 Dec, before its run-up')
  await launches.getByRole('button', { name: 'Add a launch' }).click()
  await page.getByLabel('What is launched').fill('The spring course')
  await page.getByLabel('From', { exact: true }).fill('2027-02-01')
  await page.getByLabel('To', { exact: true }).fill('2027-01-01')
  await page.getByRole('button', { name: 'Keep it', exact: true }).click()
  await expect(page.getByRole('alert')).toContainText('ends on or after the day it begins')
  await page.getByLabel('To', { exact: true }).fill('2027-02-03')
  await page.getByRole('button', { name: 'Keep it', exact: true }).click()
  await expect(launches).toContainText('The spring course')
  await expect(page.getByText('Added the launch “The spring course”')).toBeVisible()
  await visit(page, '/schedule/month')
  await page.getByRole('button', { name: 'A month later' }).click()
  await expect(
    page.getByRole('region', { name: 'December 2026' }).getByTitle('Drawings of the dinghy: run-up').first(),
  ).toBeVisible()
})

test('Slots are narrowed to whose move it is, and a row is dragged and moved by keys', async ({
  desk: page,
}) => {
  await demo(page, '/schedule')
  const table = page.getByRole('table', { name: /Slots to come/ })
  await page.getByLabel('Narrow it to').selectOption('Waits on Ines Varga')
  await expect(table.getByRole('row')).toHaveCount(2)
  await expect(table).toContainText('The ferry pilot')
  await page.getByLabel('Narrow it to').selectOption('Late')
  await expect(table).toContainText('Why my keel bolts wept rust')
  await page.getByLabel('Narrow it to').selectOption('Every slot')
  await table.getByRole('link', { name: /Caulking/ }).focus()
  await page.keyboard.press('Alt+ArrowDown')
  await expect(
    page.getByRole('button', { name: /^#46 Caulking, the quiet skill, goes out Thu 24 Dec/ }),
  ).toBeVisible()
  await expect(table.getByRole('link', { name: /Caulking/ })).toBeFocused()
  await page.keyboard.press('Control+z')
  await table
    .getByRole('row', { name: /^Thu 10 Dec/ })
    .getByRole('rowheader')
    .dragTo(table.getByRole('row', { name: /^Thu 3 Dec/ }).getByRole('rowheader'))
  await expect(
    page.getByRole('button', { name: /^#43 Cutting a spar from a storm pine, goes out Thu 3 Dec/ }),
  ).toBeVisible()
})

test('a second rhythm in one show yields its own slots', async ({ desk: page }) => {
  await demo(page, '/shows')
  await page.getByRole('button', { name: 'Add another rhythm to this show' }).click()
  await page.getByLabel('Made by').selectOption('A letter answered')
  await page.getByRole('button', { name: 'Change the rhythm' }).click()
  await expect(
    page.getByText('every Thursday, 17:00, and first Saturday of the month, 17:00').first(),
  ).toBeVisible()
  await page.getByRole('button', { name: /open, Sat 5 Dec/ }).click()
  await page
    .getByRole('textbox', { name: 'Find an idea, or type a new one' })
    .fill('Which knot for a mooring')
  await page.getByRole('button', { name: /^Take “Which knot/ }).click()
  await expect(page.getByText(/on Sat 5 Dec, 17:00/)).toBeVisible()
  await visit(page, '/schedule')
  await page
    .getByRole('row', { name: /Sat 5 Dec/ })
    .getByRole('link')
    .first()
    .click()
  // The workspace takes the focus when it comes, and what had opened meanwhile closes.
  await expect(page.getByLabel('What the viewer should take away')).toBeVisible()
  await page.getByRole('button', { name: 'Kind and dates' }).click()
  await expect(page.getByLabel('Made by the recipe')).toHaveValue('recipe-short')
})

test('L opens the next late thing: why, and what would mend it, with before and after', async ({
  desk: page,
}) => {
  await demo(page)
  await expect(
    page.getByRole('region', { name: 'Next step' }).getByRole('button', { name: 'still on track' }),
  ).toBeVisible()
  await page.keyboard.press('l')
  const why = page.getByRole('region', { name: 'Why it is late' })
  await expect(why).toContainText(/Film the shots late 2 d, was due Sun 22 Nov: nothing holds it/)
  const mends = page.getByRole('table', { name: 'What if, with before and after' })
  await expect(mends.getByRole('row', { name: /^Moved to/ })).toContainText(/stays on track \d+ %/)
  await mends.getByRole('button', { name: /^Do it: Moved to Thu 24 Dec/ }).click()
  await expect(
    page.getByRole('button', { name: /Why my keel bolts wept rust, goes out Thu 24 Dec/ }),
  ).toBeVisible()
  await page.keyboard.press('l')
  await expect(page.getByText('Nothing is late.')).toBeVisible()
})

test('the Week: standing work is skipped this once, busy time is read from a calendar, a block gets a clock time and another place in its day', async ({
  desk: page,
}) => {
  await demo(page, '/week')
  const friday = day(page, 'Fri 27 Nov')
  await friday.getByRole('button', { name: /^Letters and comments/ }).click()
  await page.getByRole('button', { name: 'Skip this once' }).click()
  await expect(
    friday.getByRole('button', { name: 'Letters and comments, standing work, 30 min, skipped' }),
  ).toBeVisible()
  const calendar = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//quay//quay//EN',
    'BEGIN:VEVENT',
    'UID:choir@quay.example',
    'SUMMARY:Choir',
    'DTSTART:20261126T190000Z',
    'DTEND:20261126T200000Z',
    'END:VEVENT',
    'END:VCALENDAR',
    '',
  ].join('\r\n')
  await page.getByRole('button', { name: 'Busy time from a calendar' }).click()
  await page
    .getByLabel('Calendar file')
    .setInputFiles({ name: 'no.ics', mimeType: 'text/calendar', buffer: Buffer.from('nothing') })
  await expect(page.getByRole('alert')).toContainText('not a calendar file')
  await page
    .getByLabel('Calendar file')
    .setInputFiles({ name: 'quay.ics', mimeType: 'text/calendar', buffer: Buffer.from(calendar) })
  await expect(page.getByRole('list', { name: 'Busy times read' })).toContainText('Thu 26 Nov19:00Choir1 h')
  await page.getByRole('button', { name: 'Take 1' }).click()
  const thursday = day(page, 'Thu 26 Nov')
  await expect(thursday.getByRole('button', { name: 'Busy: Choir, 1 h' })).toBeVisible()
  const tuesday = day(page, 'Tue 24 Nov')
  await tuesday.getByRole('button', { name: /^Choose the thumbnail, #42/ }).focus()
  await page.keyboard.press('Alt+ArrowLeft')
  await expect(page.getByText('Changed the order of Tue 24 Nov')).toBeVisible()
  await expect(tuesday.locator('[data-block]').first()).toHaveAccessibleName(/^Choose the thumbnail/)
  await tuesday.getByRole('button', { name: /^More for Film the shots, #43/ }).click()
  await page.getByLabel('At a clock time, as with a guest').fill('15:00')
  await page.getByRole('button', { name: 'Set it' }).click()
  await expect(
    tuesday.getByRole('button', { name: /^Film the shots, #43, 2 h, at 15:00, pinned/ }),
  ).toBeVisible()
})

test('the Week: a whole episode goes onto a week, a block is split and its pieces joined', async ({
  desk: page,
}) => {
  await demo(page, '/week')
  await page.getByRole('button', { name: 'The week after' }).click()
  await page
    .getByRole('button', { name: 'Lay all of Lofting a stem on the kitchen floor on this week' })
    .click()
  await expect(
    page.getByText(/Laid “Lofting a stem on the kitchen floor” on the week of Mon 30 Nov/),
  ).toBeVisible()
  const laid = page.locator('.stint.pinned')
  expect(await laid.count()).toBeGreaterThan(3)
  await page.getByRole('button', { name: 'This week', exact: true }).click()
  const cut = day(page, 'Wed 25 Nov')
    .getByRole('button', { name: /^First cut, #43/ })
    .first()
  await cut.focus()
  await page.keyboard.press('s')
  await expect(page.getByText(/split between Wed 25 Nov and Thu 26 Nov/)).toBeVisible()
  await cut.focus()
  await page.keyboard.press('j')
  await expect(page.getByText('First cut in one piece on Wed 25 Nov')).toBeVisible()
})

test('a step is done yesterday by one choice; reminders are asked for once and said once', async ({
  page,
}) => {
  await page.addInitScript(() => {
    const said: string[] = []
    class Heard {
      static permission: NotificationPermission = 'granted'
      static requestPermission = () => Promise.resolve('granted')
      constructor(title: string) {
        said.push(title)
      }
      addEventListener() {
        /* nobody clicks here */
      }
      close() {
        /* nor closes */
      }
    }
    Reflect.set(window, 'Notification', Heard)
    Reflect.set(window, 'saidNotes', said)
  })
  await demo(page)
  await page.getByRole('button', { name: 'How long it took' }).click()
  await page.getByRole('button', { name: 'It was done yesterday' }).click()
  await expect(page.getByText(/^Done: Film the shots, as planned, Mon 23 Nov/)).toBeVisible()
  await visit(page, '/settings')
  await page.getByRole('checkbox', { name: 'Notifications in this browser' }).check()
  const notes = () =>
    page.evaluate(() => {
      const found: unknown = Reflect.get(window, 'saidNotes')
      return Array.isArray(found) ? found.map(String) : []
    })
  await expect.poll(notes).toEqual(['A nudge to Ines Varga?'])
  await page.clock.setSystemTime(new Date('2026-11-25T18:00:00Z'))
  await page.reload()
  await expect(page.getByRole('heading', { level: 1, name: 'Settings' })).toBeVisible({ timeout: 60_000 })
  await page.clock.runFor(65_000)
  await expect.poll(async () => (await notes()).join()).toMatch(/#42 goes out in (23 h|22 h 59)/)
  expect((await notes()).filter((n) => n.startsWith('#42'))).toHaveLength(1)
})
