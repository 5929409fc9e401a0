import { begin, demo, expect, jot, stored, test, visit } from './fixtures'

test('a rhythm by the month, with a pause and a season, shows its next twelve dates before it is taken', async ({
  page,
}) => {
  await begin(page)
  await visit(page, '/shows')
  const dates = page.getByRole('list', { name: 'The next dates' }).getByRole('listitem')
  await expect(dates).toHaveCount(12)
  await page.getByLabel('In words').fill('every blursday')
  await expect(page.getByRole('alert')).toContainText('“blursday” was not understood')
  await page.getByLabel('In words').fill('every second Tuesday 6.30 pm')
  await expect(dates.nth(1)).toContainText('Tue 8 Dec')
  await expect(page.getByLabel('Time', { exact: true })).toHaveValue('18:30')
  await page.getByLabel('In words').fill('every Thursday 17:00')
  await page.getByLabel('How often').selectOption('on certain weekdays of the month')
  await page.getByLabel('Weekday', { exact: true }).selectOption('Saturday')
  await expect(dates.nth(0)).toContainText('Sat 5 Dec')
  await expect(dates.nth(1)).toContainText('Sat 19 Dec')
  await page.getByRole('button', { name: 'last', exact: true }).click()
  await expect(dates.nth(0)).toContainText('Sat 28 Nov')
  await page.getByText('Pauses and seasons').click()
  await page.getByLabel('Pause from').fill('2026-12-20')
  await page.getByLabel('to', { exact: true }).fill('2027-01-03')
  await page.getByRole('button', { name: 'Add the pause' }).click()
  await expect(dates.filter({ hasText: 'Sat 26 Dec' })).toHaveCount(0)
  await page.getByLabel('Ends after so many').fill('4')
  await page.getByLabel('Ends after so many').blur()
  await page.getByRole('button', { name: 'Change the rhythm' }).click()
  await expect(
    page.getByText('first, third and last Saturday of the month, 17:00, 4 times').first(),
  ).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(page.getByText('every Thursday, 17:00').first()).toBeVisible()
})

test('from a date on: those before keep their slots, those behind it are named with four ways out', async ({
  desk: page,
}) => {
  await demo(page, '/shows')
  await page.getByRole('button', { name: 'Thursday' }).click()
  await page.getByRole('button', { name: 'Friday' }).click()
  await page.getByLabel('From', { exact: true }).fill('2026-12-08')
  await expect(page.locator('p').filter({ hasText: /3 episodes lose their slots:/ })).toContainText(
    'Cutting a spar from a storm pine (Thu 10 Dec)',
  )
  await page.getByRole('button', { name: 'Keep their dates as one-offs' }).click()
  await expect(
    page.getByRole('button', { name: /^#42 Steaming oak ribs.*goes out Thu 26 Nov/ }),
  ).toBeVisible()
  await expect(
    page.getByRole('button', { name: /Why my keel bolts wept rust, goes out Thu 3 Dec/ }),
  ).toBeVisible()
  await expect(
    page.getByRole('button', { name: /Cutting a spar from a storm pine, goes out Thu 10 Dec/ }),
  ).toBeVisible()
  await expect(page.getByRole('button', { name: /open, Fri 11 Dec/ })).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(
    page.getByRole('button', { name: /^#44 Cutting a spar from a storm pine, goes out Thu 10 Dec/ }),
  ).toBeVisible()
})

test('an idea whose guest is away is not offered for that time, and says why; two are merged; one is parked until after another', async ({
  page,
}) => {
  await begin(page)
  await jot(page, 'The ferry pilot', 'A talk with the pilot', 'Ribs')
  await visit(page, '/ideas')
  const list = page.getByRole('list', { name: 'Ideas' })
  for (const title of ['The ferry pilot', 'A talk with the pilot'])
    await page.getByRole('checkbox', { name: `Choose “${title}”` }).check()
  await page.getByRole('button', { name: 'Merge the two' }).click()
  await expect(list.getByRole('listitem')).toHaveCount(2)
  await list.getByRole('button', { name: /pilot/ }).click()
  await page.keyboard.press('e')
  await page.getByRole('button', { name: 'Guests', exact: true }).click()
  await page.getByLabel('Add a guest').fill('Ines Varga')
  await page.getByLabel('Add a guest').press('Enter')
  await page.getByRole('button', { name: 'Not free…' }).click()
  await page.getByLabel('Ines Varga is not free from').fill('2026-11-25')
  await page.getByLabel('Ines Varga is not free until').fill('2026-12-20')
  await page.getByRole('button', { name: 'Set', exact: true }).click()
  await expect(page.getByText('away Wed 25 Nov to Sun 20 Dec')).toBeVisible()
  await page.getByRole('button', { name: /^#2 open, Thu 3 Dec/ }).click()
  await page.getByText('1 should not go on this date').click()
  await expect(page.getByText(/Ines Varga is not free from Wed 25 Nov/)).toBeVisible()
  await page
    .getByRole('list', { name: 'Ideas to choose from' })
    .getByRole('button', { name: /Ribs/ })
    .first()
    .click()
  await expect(page.getByRole('button', { name: /^#2 Ribs, goes out Thu 3 Dec/ })).toBeVisible()
  await stored(page)
  await visit(page, '/schedule')
  await page.getByRole('button', { name: 'More for Ribs' }).click()
  await page.getByRole('menuitem', { name: 'Park it…' }).click()
  await page.getByRole('button', { name: 'Park it', exact: true }).click()
  await expect(page.getByText(/Say why/)).toBeVisible()
  await page.getByLabel('Why').fill('No oak before spring')
  await page.getByRole('button', { name: 'Park it', exact: true }).click()
  await expect(page.getByText('Parked “Ribs”')).toBeVisible()
  await stored(page)
  await visit(page, '/ideas')
  await page.getByLabel('View', { exact: true }).selectOption('Parked')
  await expect(list).toContainText('Ribs')
  await list.getByRole('button', { name: /Ribs/ }).click()
  await page.keyboard.press('p')
  await page
    .getByRole('list', { name: /Open slots/ })
    .getByRole('button')
    .first()
    .click()
  await expect(page.getByRole('button', { name: /Ribs, goes out Thu 26 Nov/ })).toBeVisible()
})

test('ideas come over as a file, twice over kept once; a broken file changes nothing', async ({ page }) => {
  await begin(page)
  await visit(page, '/ideas/mailbox')
  const take = page.getByLabel('Take a file of ideas')
  const file = (text: string) => ({
    name: 'ideas.json',
    mimeType: 'application/json',
    buffer: Buffer.from(text),
  })
  const idea = (id: string, line: string) => ({
    kind: 'jotted',
    id,
    at: '2026-11-23T18:00:00.000Z',
    line,
    note: 'on the quay',
    url: 'https://quay.example/a',
    show: '',
  })
  await take.setInputFiles(file('{"format":"something else"}'))
  await expect(page.getByText(/ideas.json: .*Nothing was taken/)).toBeVisible()
  await take.setInputFiles(
    file(
      JSON.stringify({
        format: 'lamp-reel ideas',
        ideas: [idea('phone-0001', 'From the phone'), idea('phone-0002', 'Another')],
      }),
    ),
  )
  await expect(page.getByText('Took in 2 ideas')).toBeVisible()
  await take.setInputFiles(
    file(JSON.stringify({ format: 'lamp-reel ideas', ideas: [idea('phone-0001', 'From the phone')] })),
  )
  await expect(page.getByText('All of these are here already.')).toBeVisible()
  await page.getByRole('link', { name: 'All', exact: true }).click()
  await expect(page.getByRole('list', { name: 'Ideas' }).getByRole('listitem')).toHaveCount(2)
  await page
    .getByRole('list', { name: 'Ideas' })
    .getByRole('button', { name: /From the phone/ })
    .click()
  await page.keyboard.press('e')
  await expect(page.getByRole('link', { name: 'https://quay.example/a' })).toBeVisible()
})
