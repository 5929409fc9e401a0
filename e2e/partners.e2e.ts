import { readFileSync } from 'node:fs'
import { findings } from './axe'
import { demo, expect, stored, test, visit } from './fixtures'

test('a guest, from wished for to told', async ({ page }) => {
  await demo(page, '/shows/partners')
  await page.getByRole('button', { name: /^Ansel Drury/ }).click()
  const talk = page.getByRole('article', { name: 'Ropewalk on tape' })
  const now = talk.locator('[aria-current="step"]')
  await expect(now).toHaveText('Wished for')
  await test.step('asked, in words that are filled in', async () => {
    await expect(page.locator('[data-message]')).toContainText('for an episode on Ropewalk on tape')
    await page.getByRole('button', { name: 'Copy', exact: true }).click()
    await talk.getByRole('button', { name: 'I asked them' }).click()
    await expect(now).toHaveText('Asked')
    expect(await page.evaluate(() => navigator.clipboard.readText())).toMatch(/^Dear Ansel Drury,/)
    await expect(page.getByRole('button', { name: /^Ansel Drury.*Theirs: their answer/ })).toBeVisible()
  })
  await test.step('a zone of their own, and a time in both', async () => {
    await page.getByRole('button', { name: 'Write', exact: true }).click()
    await page.getByLabel('Their time zone').selectOption('Europe/Stockholm')
    await talk.getByRole('button', { name: 'They come' }).click()
    await talk.getByRole('button', { name: 'Agree on a time…' }).click()
    await talk.getByLabel('Day').fill('2026-12-04')
    await talk.getByLabel('Time').fill('15:00')
    await talk.getByRole('button', { name: 'Keep this time' }).click()
    await expect(now).toHaveText('Time')
    await expect(talk).toContainText('Fri 4 Dec at 15:00')
    await expect(talk).toContainText('for them Friday 4 December, 16:00 (Stockholm time)')
    await expect(page.locator('[data-message]')).toContainText('15:00 (Lisbon time). For you that is Friday')
  })
  await test.step('it stands in the week, at its time', async () => {
    await stored(page)
    await visit(page, '/week')
    await page.keyboard.press(']')
    await expect(page.getByText('15:00').first()).toBeVisible()
  })
  await test.step('recorded, out, told', async () => {
    await visit(page, '/shows/partners')
    await page.getByRole('button', { name: /^Ansel Drury/ }).click()
    await talk.getByRole('button', { name: 'Give it a slot…' }).click()
    await page.getByRole('dialog').getByRole('button', { name: /HH 20/ }).first().click()
    await expect(talk.getByRole('button', { name: 'Give it a slot…' })).toHaveCount(0)
    await talk.getByRole('button', { name: 'It is recorded' }).click()
    await expect(now).toHaveText('Recorded')
    await stored(page)
    await page.clock.setFixedTime(new Date('2026-12-16T09:00:00Z'))
    await page.goto('/today')
    await page.getByRole('button', { name: /^Yes, all/ }).click()
    await stored(page)
    await visit(page, '/shows/partners')
    await page.getByRole('button', { name: /^Ansel Drury/ }).click()
    await expect(now).toHaveText('Out')
    await talk.getByRole('button', { name: 'I told them' }).click()
    await expect(now).toHaveText('Told')
  })
})

test('a deal of twelve reads: one fails and is made up, dates are kept, the statement adds up', async ({
  desk: page,
}) => {
  await demo(page, '/shows/partners')
  await expect(page.getByText('5 of 12', { exact: true })).toBeVisible()
  expect(await findings(page)).toEqual([])
  const asked = page.getByRole('region', { name: 'What they asked for' })
  await test.step('what failed says where, and does not count until they let it', async () => {
    await page.getByRole('button', { name: /^#27 .*does not count/ }).click()
    await expect(asked.getByRole('listitem').filter({ hasText: 'Begins in the first third' })).toContainText(
      /5:\d\d, past the first third, of 11:\d\d/,
    )
    await expect(page.getByText(/another makes it up/)).toBeVisible()
    await asked.getByRole('button', { name: 'They let it count' }).click()
    await expect(page.getByText('6 of 12', { exact: true })).toBeVisible()
    await asked.getByRole('button', { name: 'Go by the checks again' }).click()
    await expect(page.getByText('5 of 12', { exact: true })).toBeVisible()
    await stored(page)
  })
  await test.step('dates for the rest, by one key; the strip says for whom they are kept', async () => {
    await page.locator('body').press('k')
    await expect(page.getByText('Kept Thu 7 Jan, Thu 11 Feb, Thu 11 Mar for Kelpline Rope')).toBeVisible()
    await expect(page.getByText('4 kept, to fill')).toBeVisible()
    await stored(page)
    await visit(page, '/schedule')
    await expect(page.getByRole('row', { name: /Thu 7 Jan/ })).toContainText('Kept for Kelpline Rope')
  })
  await test.step('the read that is not there is missing of its release, until it stands in the script as agreed', async () => {
    await visit(page, '/shows/partners')
    await page.getByRole('link', { name: 'Caulking, the quiet skill' }).click()
    await expect(page).toHaveURL(/\/script$/)
    await visit(page, new URL(page.url()).pathname.replace(/script$/, 'release'))
    await expect(page.getByText('The read for Kelpline Rope')).toBeVisible()
  })
  await test.step('an invoice and its payment; table and sums say the same', async () => {
    await visit(page, '/today')
    const owed = page.getByRole('region', { name: 'With guests and sponsors' })
    await expect(owed.getByRole('listitem').first()).toContainText('write the invoice, #40')
    await owed.getByRole('link', { name: /^Kelpline Rope/ }).click()
    await page.getByRole('button', { name: 'Written: write the invoice #40' }).click()
    await page.getByRole('button', { name: 'Paid: their fee #40' }).click()
    await page.getByRole('button', { name: 'Statement' }).click()
    const year = page.getByRole('row', { name: /^2026 / }).last()
    await expect(year.getByRole('cell')).toHaveText(['2026', '7', '5', '1,200', ''])
    const coming = page.waitForEvent('download')
    await page.getByRole('button', { name: 'Save as CSV' }).click()
    const lines = readFileSync(await (await coming).path(), 'utf8')
      .trim()
      .split('\r\n')
    const paid = lines.slice(1).filter((l) => l.includes(',paid,'))
    expect(paid.map((l) => Number(/,(\d+),paid,/.exec(l)?.[1])).reduce((a, b) => a + b, 0)).toBe(1200)
    await page.keyboard.press('Escape')
    await stored(page)
    await visit(page, '/today')
    await expect(owed.getByRole('listitem').first()).toContainText('Tomas Ek')
    await expect(owed).not.toContainText('write the invoice')
  })
})

test('somebody is added and invited by keys alone', async ({ desk: page }) => {
  await demo(page, '/shows/partners')
  await expect(page.getByText('5 of 12', { exact: true })).toBeVisible()
  await page.keyboard.press('a')
  await expect(page.getByRole('dialog').getByLabel('Name')).toBeFocused()
  await page.keyboard.type('Bram Teller')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Bram Teller' })).toBeVisible()
  const invite = page.getByLabel('A guest of which episode or idea?')
  await invite.fill('the net loft')
  await page.keyboard.press('Enter')
  const talk = page.getByRole('article', { name: 'The net loft in February' })
  await expect(talk.locator('[aria-current="step"]')).toHaveText('Wished for')
  // In a field that key takes back letters.
  await page.keyboard.press('Tab')
  await page.keyboard.press('Control+z')
  await expect(talk).toHaveCount(0)
})

test('two names become one; cards are read once and again', async ({ desk: page }) => {
  await demo(page, '/shows/partners')
  const card = (name: string) =>
    `BEGIN:VCARD\r\nVERSION:4.0\r\nFN:${name}\r\nEMAIL:quill@sea.example\r\nEND:VCARD\r\n`
  await page.getByRole('button', { name: 'Cards' }).click()
  const file = { name: 'people.vcf', mimeType: 'text/vcard', buffer: Buffer.from(card('M. Quill')) }
  await page.getByLabel('Read cards (.vcf)').setInputFiles(file)
  await expect(page.getByText('Took 1 from cards, 1 of them new')).toBeVisible()
  await page.getByLabel('Read cards (.vcf)').setInputFiles(file)
  await expect(page.getByText('All of this is kept already.')).toBeVisible()
  await page.keyboard.press('Escape')
  const same = page.getByRole('list', { name: 'May be the same' })
  await expect(same).toContainText('M. Quill and Maren Quill may be the same.')
  await same.getByRole('button', { name: 'Make them one' }).click()
  await expect(same).toHaveCount(0)
  await page.getByRole('button', { name: /^Maren Quill/ }).click()
  await expect(page.getByRole('region', { name: 'How to reach them' })).toContainText('quill@sea.example')
})

test('a campaign with its posts: sums on screen are those of the table; an offer is the show’s first', async ({
  desk: page,
}) => {
  await demo(page, '/schedule')
  await test.step('a second campaign, over its budget', async () => {
    await page.getByRole('button', { name: 'Add a campaign' }).click()
    const sheet = page.getByRole('dialog', { name: 'A campaign' })
    await sheet.getByLabel('What it is called').fill('Postcards')
    await sheet.getByLabel('Where it runs').fill('chandlers')
    await sheet.getByLabel('Budget').fill('40')
    await sheet.getByLabel('Spent').fill('52')
    await sheet.getByLabel('State').selectOption('running')
    for (const words of ['The first fifty', 'The rest']) {
      await sheet.getByRole('button', { name: 'Add a post' }).click()
      await sheet
        .getByLabel(/^Words of post/)
        .last()
        .fill(words)
    }
    await sheet.getByRole('checkbox', { name: 'out' }).first().check()
    expect(await findings(page)).toEqual([])
    await sheet.getByRole('button', { name: 'Keep it' }).click()
    const row = page.getByRole('row', { name: /^Postcards/ })
    await expect(row).toContainText('12 over its budget')
    await expect(row).toContainText('1 of 2')
  })
  await test.step('together, on screen and in the file', async () => {
    const campaigns = page.getByRole('region', { name: 'Campaigns' })
    const sums = await campaigns
      .getByRole('row', { name: /^Together/ })
      .getByRole('cell')
      .allTextContents()
    const coming = page.waitForEvent('download')
    await campaigns.getByRole('button', { name: 'Save as CSV' }).click()
    const lines = readFileSync(await (await coming).path(), 'utf8')
      .trim()
      .split('\r\n')
      .map((l) => l.split(','))
    const total = (name: string) =>
      lines.slice(1).reduce((n, l) => n + Number(l[lines[0]?.indexOf(name) ?? 0]), 0)
    expect(sums.slice(1)).toEqual([
      `${total('Posts out')} of ${total('Posts')}`,
      String(total('Budget')),
      String(total('Spent')),
    ])
  })
  await test.step('what the show asks first stands in the brief, in the words that come next', async () => {
    await stored(page)
    await visit(page, '/shows/boats')
    const offer = page.getByRole('group', { name: 'The drawings' })
    await offer.getByText('file, figures').click()
    await offer.getByRole('checkbox', { name: /ask first/ }).click()
    await offer.getByLabel('Taken').fill('31')
    await offer.getByRole('button', { name: 'Note' }).click()
    await expect(offer).toContainText('taken 31 times')
    await stored(page)
    await visit(page, '/episode/ULP6/brief')
    await page.getByRole('button', { name: 'Put The drawings into the description' }).click()
    await expect(page.getByLabel(/^Description, the words/)).toHaveValue(
      /Somebody asked for the lines of her.*\/drawings$/,
    )
  })
})
