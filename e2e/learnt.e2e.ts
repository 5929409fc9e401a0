import { readFileSync } from 'node:fs'
import { findings } from './axe'
import { demo, expect, stored, test, visit } from './fixtures'

test('a finding of Rhythm is carried out and undone; its chart is a table and a file with the same numbers', async ({
  desk: page,
}) => {
  await demo(page, '/rhythm')
  const estimates = page.getByRole('region', { name: 'Planned and taken' })
  const says = estimates.getByRole('heading')
  await expect(says).toContainText(/^Editing takes 1\.\d times what you plan/)
  await test.step('the recipe plans what it really takes, until that is taken back', async () => {
    await page.getByRole('button', { name: /^Plan it at/ }).click()
    await expect(page.getByText(/plans edit at 1\.\d times as much/)).toBeVisible()
    await expect(page.getByRole('button', { name: /^Plan it at/ })).toHaveCount(0)
    await stored(page)
    await page.keyboard.press('Control+z')
    await expect(page.getByText(/^Taken back: .* plans edit at/)).toBeVisible()
    await expect(page.getByRole('button', { name: /^Plan it at/ })).toBeVisible()
    await stored(page)
  })
  await test.step('what did well becomes an idea, once', async () => {
    await page.getByRole('button', { name: /^Plan what follows/ }).click()
    await expect(page.getByText(/^Kept the idea “After /).first()).toBeVisible()
    await page.getByRole('button', { name: /^Plan what follows/ }).click()
    await expect(page.getByText('There is an idea that follows it already.')).toBeVisible()
  })
  await test.step('the table on screen and the file say the same', async () => {
    await estimates.getByRole('button', { name: 'As a table' }).click()
    const cells = await estimates.getByRole('row').nth(1).getByRole('cell').allTextContents()
    const coming = page.waitForEvent('download')
    await estimates.getByRole('button', { name: 'Save the table of Planned and taken' }).click()
    const lines = readFileSync(await (await coming).path(), 'utf8')
      .trim()
      .split('\r\n')
    expect(lines[0]).toBe('Work,Episodes,"Planned, min","Taken, min",Times,Ran over,Share of hours')
    const written = (lines[1] ?? '').split(',')
    expect(cells.map((c) => c.trim()).slice(0, 4)).toEqual(written.slice(0, 4))
    expect(Number(written[4])).toBeCloseTo(Number(cells[4]), 1)
    expect(await findings(page)).toEqual([])
  })
  await test.step('and as a picture', async () => {
    const coming = page.waitForEvent('download')
    await page.getByRole('button', { name: 'Save the picture of Path of an episode' }).click()
    const bytes = readFileSync(await (await coming).path())
    expect(bytes.subarray(1, 4).toString()).toBe('PNG')
    expect(bytes.length).toBeGreaterThan(5000)
  })
})

test('figures are pasted down a column; what is odd is asked about; a table of other columns is read by line', async ({
  desk: page,
}) => {
  await demo(page, '/rhythm')
  await page.getByRole('button', { name: 'Type figures' }).click()
  const sheet = page.getByRole('dialog', { name: 'Type figures' })
  const first = sheet.getByRole('textbox', { name: /^Views of/ }).first()
  await test.step('three at once', async () => {
    await page.evaluate(() => navigator.clipboard.writeText('2.4k\n5,100\n900'))
    await first.click()
    await page.keyboard.press('Control+v')
    await expect(first).toHaveValue('2.4k')
    await expect(sheet.getByText('and now 900. Is this right?')).toBeVisible()
    await expect(sheet.getByRole('button', { name: 'Keep 2 episodes' })).toBeEnabled()
    expect(await findings(page)).toEqual([])
    await sheet.getByRole('button', { name: 'Keep it as it is' }).click()
    await sheet.getByRole('button', { name: 'Keep 3 episodes' }).click()
    await expect(sheet).toHaveCount(0)
    await stored(page)
  })
  await test.step('a file of any columns, its wrong rows by line', async () => {
    await page.getByRole('button', { name: 'Read a file' }).click()
    const read = page.getByRole('dialog', { name: 'Read figures' })
    await read.getByLabel('Choose a table of figures').setInputFiles({
      name: 'figures.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(
        'Name;Days;Plays;Hearts\n384 copper nails;26;9.900;210\n#37;33;12k;300\nNobody;7;1;1\n#36;40;many;1\n',
      ),
    })
    await expect(read.getByRole('status')).toContainText('2 rows can be taken, 2 cannot')
    await expect(read.getByText('Line 4: No released episode is called “Nobody”.')).toBeVisible()
    await expect(read.getByText(/Line 5: “many” is no figure/)).toBeVisible()
    await read.getByLabel('Likes').selectOption('Hearts')
    await read.getByRole('button', { name: 'Take 2 rows' }).click()
    await expect(page.getByText('Kept figures of 2 episodes')).toBeVisible()
  })
  await test.step('the catalogue has them', async () => {
    await page.getByRole('link', { name: 'Catalogue' }).click()
    await page.getByRole('button', { name: 'Look at #38' }).click()
    await expect(page.getByRole('region', { name: '384 copper nails' })).toContainText('28 days9,900')
  })
})

test('a line looking back comes back with the next of its kind; the hours of a month add up', async ({
  desk: page,
}) => {
  await demo(page, '/today')
  const form = page.getByRole('form', { name: /^Looking back on #41/ })
  await form.getByRole('textbox', { name: 'What to change' }).fill('sharpen before, not during')
  await form.getByRole('button', { name: 'Keep' }).click()
  await expect(form).toHaveCount(0)
  await stored(page)
  await visit(page, '/schedule')
  await page.getByRole('link', { name: /Cutting a spar/ }).click()
  await page.getByRole('link', { name: /^Brief/ }).click()
  await expect(page.getByRole('list', { name: 'Said of the last episodes' })).toContainText(
    '#41 change: sharpen before, not during.',
  )
  await visit(page, '/rhythm')
  await page.getByText(/Hours by day/).click()
  await page.getByLabel('How long').selectOption('month')
  await page.getByRole('button', { name: 'Before', exact: true }).click()
  await expect(page.getByText('October 2026')).toBeVisible()
  const coming = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as CSV' }).click()
  const lines = readFileSync(await (await coming).path(), 'utf8')
    .trim()
    .split('\r\n')
  const minutes = lines.slice(1).map((l) => l.split(',').slice(1).map(Number))
  const all = minutes.reduce((sum, row) => sum + (row.at(-1) ?? 0), 0)
  expect(all).toBeGreaterThan(600)
  for (const row of minutes) expect(row.slice(0, -1).reduce((a, b) => a + b, 0)).toBe(row.at(-1))
  const said = `${Math.floor(all / 60)} h ${String(all % 60).padStart(2, '0')}`.replace(/ 00$/, '')
  await expect(page.getByText(`Hours by day: ${said} this month`)).toBeVisible()
  expect(await findings(page)).toEqual([])
})
