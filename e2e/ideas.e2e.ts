import { readFile } from 'node:fs/promises'
import { begin, demo, expect, jot, stored, test, visit } from './fixtures'

const list = { name: 'Ideas' }

test('thirty mixed lines are pasted, looked at, joined, split, left out, and kept as one step', async ({
  page,
}) => {
  await begin(page)
  const lines = [
    '# Ropes',
    '- Tarring a rope',
    '  the old way',
    '- [ ] Ten knots',
    '- [x] A bowline, done',
    '* https://rope.example/splicing-steel-wire',
    '## Hulls',
    '1. Reading rot',
    '2. A keel, and what it weighs',
    '',
    ...Array.from({ length: 22 }, (_, i) => `Plain line ${i + 1}`),
  ]
  await page.keyboard.press('i')
  await page.evaluate((text) => {
    const data = new DataTransfer()
    data.setData('text/plain', text)
    document.activeElement?.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
    )
  }, lines.join('\n'))
  await expect(page.getByRole('heading', { name: '28 lines pasted' })).toBeVisible()
  const rows = page.getByRole('list', { name: 'Lines to keep as ideas' }).getByRole('listitem')
  await expect(rows.nth(0)).toContainText('the old way')
  await expect(page.getByRole('checkbox', { name: 'Keep “A bowline, done”' })).not.toBeChecked()
  await expect(rows.nth(3).getByRole('textbox')).toHaveValue('Splicing steel wire')
  await page.getByRole('button', { name: 'Join line 8 to the one above' }).click()
  await expect(rows.nth(6)).toContainText('Plain line 2')
  await page.getByRole('button', { name: 'Split line 6 at the cursor' }).click()
  await expect(rows.nth(6).getByRole('textbox')).toHaveValue('and what it weighs')
  await page.getByRole('checkbox', { name: 'Keep “Plain line 22”' }).uncheck()
  await page.getByRole('button', { name: 'Keep 26 ideas' }).click()
  await expect(page.getByText('Kept 26 ideas')).toBeVisible()
  await visit(page, '/ideas')
  await expect(page.getByText('26 shown')).toBeVisible()
  await expect(page.getByRole('list', list).getByRole('listitem').first()).toContainText('Tarring a rope')
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('heading', { name: 'No ideas are kept yet' })).toBeVisible()
})

test('while a line is typed its show and topics are offered, taken with one key, and what is like it is said', async ({
  desk: page,
}) => {
  await demo(page)
  await page.keyboard.press('i')
  await page.keyboard.type('Steaming oak ribs in a plastic sleeve')
  const offer = page.getByRole('group', { name: 'Topics that fit' })
  await expect(offer.getByRole('button').first()).toBeVisible()
  const topic = (await offer.getByRole('button').first().innerText()).replace('→', '').trim()
  await expect(page.getByText(/#42 Steaming oak ribs without a steam box/).last()).toBeVisible()
  await page.keyboard.press('ArrowRight')
  await expect(offer.getByRole('button', { name: `${topic} ×` })).toBeVisible()
  await page.keyboard.press('Enter')
  await page.keyboard.press('Escape')
  await page.keyboard.press('2')
  const aside = page.getByRole('complementary', { name: 'The chosen idea' })
  await expect(aside.getByLabel('Working title')).toHaveValue('Steaming oak ribs in a plastic sleeve')
  await expect(aside).toContainText(topic)
  await page.keyboard.press('i')
  await page.keyboard.type('the harbour pilot and the ferry')
  await expect(page.getByRole('radio', { name: 'Harbour Hours' })).toHaveAttribute('aria-checked', 'true')
  // What is typed stays in the field until it is kept or cleared.
  await page.keyboard.press('Escape')
  await expect(page.getByRole('textbox', { name: 'Jot an idea' })).toHaveValue(/^the harbour pilot/)
  await page.getByRole('textbox', { name: 'Jot an idea' }).fill('')
})

test('twenty are sorted by keys alone, one is merged into its twin, the last is taken back', async ({
  desk: page,
}) => {
  await demo(page, '/ideas/sort')
  const left = page.getByRole('region', { name: 'The idea to sort' })
  const title = page.getByTestId('sorting')
  await expect(left).toContainText('20 left')
  const keys = ['n', 'g', 'd', 'l', 'r']
  const sorted: string[] = []
  for (let i = 0; i < 19; i++) {
    sorted.push(await title.innerText())
    await page.keyboard.press(keys[i % keys.length] ?? 'n')
    await expect(left).toContainText(`${19 - i} left`)
  }
  await page.keyboard.press('z')
  await expect(left).toContainText('2 left')
  await page.keyboard.press('t')
  await page.keyboard.type('with a lamp')
  await page.keyboard.press('Enter')
  await expect(left).toContainText('with a lamp')
  await page.keyboard.press('n')
  await page.keyboard.press('n')
  await expect(page.getByRole('heading', { name: 'Everything is sorted' })).toBeVisible()
  await jot(page, 'Ten knots that I actually use')
  await expect(title).toHaveText('Ten knots that I actually use')
  const twin = page.getByRole('complementary', { name: 'A likely duplicate' })
  await expect(twin).toContainText('Ten knots I actually use')
  await page.keyboard.press('m')
  await expect(page.getByRole('heading', { name: 'Everything is sorted' })).toBeVisible()
  await stored(page)
  await visit(page, '/ideas')
  await page.getByLabel('Find in ideas').fill('ten knots')
  const row = page
    .getByRole('list', list)
    .getByRole('listitem')
    .filter({ hasText: 'Ten knots I actually use' })
  await row.getByRole('button').first().click()
  await expect(page.getByRole('complementary', { name: 'The chosen idea' }).getByLabel('Note')).toHaveValue(
    /Knots with cold hands only[^]*Ten knots that I actually use/,
  )
  await page.getByLabel('View', { exact: true }).selectOption('Next and promising')
  await expect(page.getByRole('list', list)).toContainText(sorted[0] ?? '')
})

test('a view with nested conditions, columns, groups and an order is kept under a name and found again', async ({
  desk: page,
}) => {
  await demo(page, '/ideas')
  await page.getByRole('button', { name: 'Conditions 1' }).click()
  const conditions = page.getByRole('group', { name: 'Conditions', exact: true })
  await conditions.getByRole('button', { name: 'Group' }).click()
  const inner = conditions.getByRole('group', { name: 'Conditions within' })
  await expect(inner.getByLabel('How the conditions join')).toHaveValue('any')
  await inner.getByLabel('Value').fill('Oars')
  await inner.getByRole('button', { name: 'Condition', exact: true }).click()
  await inner.getByLabel('Field').nth(1).selectOption('Rating')
  await inner.getByLabel('Comparison').nth(1).selectOption('is at least')
  await inner.getByLabel('Value').nth(1).fill('5')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Columns' }).click()
  await page.getByRole('checkbox', { name: 'Rating' }).check()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Order' }).click()
  await page.getByLabel('Sorted by').selectOption('Rating')
  await page.getByLabel('Largest or latest first').check()
  await page.getByLabel('In groups by').selectOption('Show')
  await page.keyboard.press('Escape')
  const rows = page.getByRole('list', list).getByRole('listitem')
  const seen = await rows.allInnerTexts()
  expect(seen[0]).toMatch(/^Tern & Tiller\s+\d+/)
  expect(seen.filter((t) => t.includes('★★★★★')).length).toBeGreaterThan(3)
  for (const t of seen.filter((x) => x.includes('unsorted') || x.includes('next') || x.includes('promising')))
    expect(t.includes('★★★★★') || t.includes('Oars')).toBe(true)
  await page.getByRole('button', { name: 'Keep view' }).click()
  await page.getByLabel('Keep it under a name of your own').fill('Loved, or on oars')
  await page.getByRole('button', { name: 'Keep as new' }).click()
  await expect(page.getByLabel('View', { exact: true }).locator('option:checked')).toHaveText(
    'Loved, or on oars',
  )
  await page.getByLabel('View', { exact: true }).selectOption('Every phase')
  await expect(rows.first()).not.toHaveText(seen[0] ?? '')
  await page.reload()
  await page.getByLabel('View', { exact: true }).selectOption('Loved, or on oars')
  await expect
    .poll(async () => (await rows.allInnerTexts()).map((t) => t.split('\n')[0]))
    .toEqual(seen.map((t) => t.split('\n')[0]))
})

test('full-text search finds words in scripts and marks them; the same list shows every phase', async ({
  desk: page,
}) => {
  await demo(page, '/ideas')
  await page.getByLabel('View', { exact: true }).selectOption('Every phase')
  await page.getByLabel('Find in ideas').fill('steamed plank hurr')
  const row = page
    .getByRole('list', list)
    .getByRole('listitem')
    .filter({ hasText: 'My first steamed plank broke' })
  await expect(row.locator('mark').first()).toHaveText(/steamed/i)
  await expect(row.locator('mark').filter({ hasText: /hurried/i })).toHaveCount(1)
  await page.getByLabel('Find in ideas').fill('steamed plank zebra')
  await expect(page.getByText('Nothing has these words.')).toBeVisible()
})

test('keywords come from a table with any column names; wrong rows are said by line; the plot answers to keys', async ({
  page,
}) => {
  await begin(page)
  await visit(page, '/ideas/keywords')
  await page.getByRole('button', { name: 'Import a table' }).click()
  const csv =
    'Search term;Volume;Results;Remark\nsteam bending;4.4k;310 000;try\n;5;5;\noak ribs;lots;9;\ncopper rivets;1k–10k;24,000;\n'
  const choose = page.getByLabel('Choose a table of keywords')
  await choose.setInputFiles({
    name: 'broken.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('Term;Note\nA;"never closed\n'),
  })
  await expect(page.getByRole('alert')).toContainText('a quote is opened and never closed')
  await choose.setInputFiles({ name: 'words.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) })
  const rows = page.getByRole('list', { name: 'Rows' })
  await expect(rows).toContainText('Line 3: There are no words in it.')
  await expect(rows).toContainText('Line 4: “lots” is no figure')
  await page.getByRole('button', { name: 'Take 2 keywords' }).click()
  await expect(page.getByLabel('Keyword copper rivets')).toBeVisible()
  await expect(page.getByLabel('Searches a month for copper rivets')).toHaveValue('3.2K')
  const dots = page.getByRole('group', { name: /Keywords by competing/ }).getByRole('button')
  await dots.first().focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('figure', { name: 'Demand against competition' })).toContainText(
    'steam bending: 4.4K searches, 310K results, an opportunity of 19, roughly',
  )
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-keyword]:focus')).toHaveCount(1)
  await page.getByRole('button', { name: 'An idea on steam bending' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Steam bending' })).toBeAttached()
  await visit(page, '/ideas/keywords')
  await page.getByRole('button', { name: 'Import a table' }).click()
  await choose.setInputFiles({ name: 'words.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) })
  await expect(page.getByRole('combobox', { name: /^Searches a month/ })).toHaveValue('Volume')
})

test('the ideas for an open slot are ranked, each with its reason; its parts make its score; weights move it', async ({
  desk: page,
}) => {
  await demo(page, '/schedule')
  await expect(page.getByRole('button', { name: /^Put “.*” on Thu 24 Dec: / })).toHaveCount(2)
  await page.getByRole('button', { name: /^#46 open, Thu 24 Dec/ }).click()
  const ideas = page.getByRole('list', { name: 'Ideas to choose from' })
  const why = ideas.getByRole('button', { name: /^Why \d+ of 100/ })
  const score = Number(await why.first().innerText())
  await why.first().click()
  const parts = ideas.getByRole('table', { name: 'The parts of this score' })
  await expect(parts.getByRole('row')).toHaveCount(7)
  const sum = (await parts.locator('td.num').allInnerTexts()).reduce((s, t) => s + Number(t), 0)
  expect(Math.abs(sum - score)).toBeLessThan(1)
  const scores = async () => (await why.allInnerTexts()).map(Number)
  expect(await scores()).toEqual([...(await scores())].sort((a, b) => b - a))
  await page.getByText('What weighs how much').click()
  const before = await why.first().getAttribute('aria-label')
  for (const part of [
    'Demand',
    'Topic need',
    'Past results',
    'Fit to your hours',
    'Your rating',
    'Occasion',
    'Spacing',
  ])
    await page
      .getByLabel(part, { exact: false })
      .last()
      .fill(part === 'Demand' ? '50' : '0')
  await expect.poll(() => why.first().getAttribute('aria-label')).not.toBe(before)
  await page.getByText(/should not go on this date/).click()
  await expect(page.getByText('put off to some day').first()).toBeVisible()
})

test('three are placed at once onto the next open slots, best first, and taken back as one', async ({
  desk: page,
}) => {
  await demo(page, '/ideas')
  await page.getByLabel('Which show').selectOption('Tern & Tiller')
  const rows = page.getByRole('list', list).getByRole('listitem')
  for (const title of ['Why wooden boats smell', 'A folding thwart', 'The tool roll my aunt left me'])
    await page.getByRole('checkbox', { name: `Choose “${title}”` }).check()
  const count = await rows.count()
  await page.getByRole('button', { name: 'Place on the next open slots' }).click()
  await page.getByRole('button', { name: 'Best first' }).click()
  await expect(page.getByText('Put 3 ideas on the next open slots')).toBeVisible()
  for (const [number, day] of [
    ['#46', 'Thu 24 Dec'],
    ['#47', 'Thu 31 Dec'],
    ['#48', 'Thu 7 Jan'],
  ])
    await expect(
      page.getByRole('button', {
        name: new RegExp(
          `^${number} (Why wooden boats smell|A folding thwart|The tool roll my aunt left me), goes out ${day}`,
        ),
      }),
    ).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('button', { name: /^#46 open, Thu 24 Dec/ })).toBeVisible()
  await expect(rows).toHaveCount(count)
})

test('the view goes out as CSV and comes back changed, with its wrong rows said', async ({ desk: page }) => {
  await demo(page, '/ideas')
  await page.getByRole('button', { name: 'Import and export' }).click()
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as CSV' }).click(),
  ])
  const text = await readFile(await file.path(), 'utf8')
  expect(text.split('\r\n')[0]).toBe('Code,Title,State,Topics,Show,Jotted')
  const changed =
    text.replace('A folding thwart,promising', 'A folding thwart that folds,next') +
    ',A fresh one,promising,Hulls; Oars,Tern & Tiller,\r\nZZZ9,Nobody,next,,Tern & Tiller,\r\n'
  await page.getByRole('button', { name: 'Import and export' }).click()
  await page
    .getByLabel('Read a table')
    .setInputFiles({ name: 'ideas.csv', mimeType: 'text/csv', buffer: Buffer.from(changed) })
  await expect(page.getByText('1 change, 1 are new, 59 are as they are here.')).toBeVisible()
  await expect(page.getByRole('list', { name: 'What the table changes' })).toContainText(
    'There is no episode ZZZ9',
  )
  await page.getByRole('button', { name: 'Take 2 rows' }).click()
  await page.getByLabel('Find in ideas').fill('folds')
  await expect(page.getByRole('list', list)).toContainText('A folding thwart that folds')
  await page.getByLabel('Find in ideas').fill('fresh one')
  await expect(page.getByRole('list', list).getByRole('listitem')).toContainText('Hulls, Oars')
})

test('an idea’s own page: folded until wanted, own fields, a guest who is away, and a start taken piece by piece', async ({
  desk: page,
}) => {
  await demo(page, '/ideas')
  await page.getByLabel('Find in ideas').fill('steam box after')
  await expect(page.getByRole('list', list).getByRole('listitem')).toHaveCount(1)
  await page.getByRole('list', list).getByRole('button').first().click()
  await page.keyboard.press('e')
  await expect(page.getByLabel('Why now')).toHaveCount(0)
  await page.getByRole('button', { name: 'Why now' }).click()
  await page.getByLabel('Why now').fill('The kettle is on anyway')
  await page.getByRole('button', { name: 'Own fields' }).click()
  await page.getByRole('button', { name: 'A new field' }).click()
  await page.getByLabel('Name of the field').fill('Weather')
  await page.getByLabel('Kind of field').selectOption('choice')
  await page.getByLabel('Choices, parted by commas').fill('dry, any')
  await page.getByRole('button', { name: 'Add the field' }).click()
  await page.getByRole('combobox', { name: 'Weather' }).selectOption('dry')
  await page.getByRole('button', { name: 'Draft a start' }).click()
  await expect(page.getByText(/Made on this machine by plain rules, offline/)).toBeVisible()
  await expect(
    page.getByText(/Most of your earlier episodes on this also had a part on What it costs/),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Take “Hook” into the script' }).click()
  await expect(page.getByText('in the script', { exact: true })).toHaveCount(1)
  await page.getByRole('button', { name: /^Take the title What building/ }).click()
  await expect(page.getByText('a candidate', { exact: true })).toHaveCount(1)
  await page.reload()
  await expect(page.getByLabel('Why now')).toHaveValue('The kettle is on anyway')
  await expect(page.getByRole('combobox', { name: 'Weather' })).toHaveValue('dry')
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  await page.waitForURL(/\/episode\//)
  await visit(page, page.url().replace(/\/episode\/(\w+).*/, '/episode/$1/script'))
  await expect(page.getByRole('textbox', { name: 'Script', exact: true })).toContainText(
    '• The end result or the trouble, in one breath.',
  )
})

test('months: an idea is meant for one by drag and by keys; balance leads from a starved topic to its ideas', async ({
  desk: page,
}) => {
  await demo(page, '/schedule/months')
  const month = (name: string) => page.getByRole('list', { name: `Meant for ${name}` })
  await page
    .getByRole('button', { name: /^Ten knots I actually use, meant/ })
    .or(page.getByRole('complementary').getByRole('button', { name: /^Ten knots/ }))
    .dragTo(page.getByRole('listitem', { name: 'February 2027' }))
  await expect(month('February 2027')).toContainText('Ten knots I actually use')
  await month('February 2027')
    .getByRole('button', { name: /^Ten knots/ })
    .press('ArrowUp')
  await expect(month('January 2027')).toContainText('Ten knots I actually use')
  await visit(page, '/ideas/balance')
  const starved = page
    .getByRole('list', { name: 'What stands out' })
    .getByRole('button', { name: /starved/ })
    .first()
  const topic = (await starved.innerText()).split(' is ')[0]?.split(' are ')[0] ?? ''
  await starved.click()
  await expect(page.getByRole('complementary', { name: `Ideas on ${topic}` })).toBeVisible()
})
