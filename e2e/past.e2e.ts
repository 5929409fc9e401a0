import { findings } from './axe'
import { begin, demo, expect, stored, test } from './fixtures'

/** A table of two thousand past episodes, a week apart, some of its rows wrong. */
function table(count: number): string {
  const rows = Array.from({ length: count }, (_, i) => {
    const day =
      new Date(Date.parse('2026-11-19T00:00:00Z') - i * 86_400_000).toISOString().split('T')[0] ?? ''
    return `${count - i};Part ${count - i} of the long build;${day};9:51;https://video.example/watch/${count - i};${1000 + i}`
  })
  rows[3] = '1997;;2026-11-16;9:51;;'
  rows[4] = '1996;Part with no day;soon;9:51;;'
  return `No;Title;Published;Duration;URL;Views\n${rows.join('\n')}\n`
}

test('a newcomer takes in two thousand episodes from a table, then asks the catalogue; the same again changes nothing', async ({
  page,
}) => {
  test.slow()
  await page.goto('/')
  await page.getByLabel('Name of the show').fill('The long build')
  await page.getByRole('checkbox', { name: /^Episodes are out already/ }).check()
  await page.getByRole('button', { name: 'Begin' }).click()
  const sheet = page.getByRole('dialog', { name: 'Take in what is out already' })
  const file = { name: 'past.csv', mimeType: 'text/csv', buffer: Buffer.from(table(2000)) }
  await test.step('looked at first, wrong rows by line', async () => {
    await sheet.getByLabel('Choose a table, a feed, or subtitles').setInputFiles(file)
    await expect(sheet.getByRole('status')).toHaveText('1998 new, 2 cannot be taken')
    await expect(sheet.getByText('Line 5: It has no title.')).toBeVisible()
    await expect(sheet.getByText('Line 6: “soon” is no date.', { exact: false })).toBeVisible()
    expect(await findings(page)).toEqual([])
    await sheet.getByRole('button', { name: 'Take in 1998' }).click()
    await expect(sheet).toHaveCount(0, { timeout: 60_000 })
    await expect(page.getByText('1998 released')).toBeVisible({ timeout: 60_000 })
    await stored(page)
  })
  await test.step('the catalogue answers', async () => {
    await page.getByRole('searchbox', { name: 'Ask the catalogue' }).fill('part 1234')
    await expect(page.getByRole('link', { name: 'Part 1234 of the long build' })).toBeVisible()
    await expect(page.getByText(/^Part 1234: made once, #1234/)).toBeVisible()
  })
  await test.step('the same file again has nothing new', async () => {
    await page.getByRole('button', { name: 'Take in more' }).click()
    await sheet.getByLabel('Choose a table, a feed, or subtitles').setInputFiles(file)
    await expect(sheet.getByRole('status')).toHaveText('0 new, 1998 are here already, 2 cannot be taken')
    await expect(sheet.getByRole('button', { name: 'Take in 0' })).toBeDisabled()
  })
})

test('three hundred talks come from a feed, and subtitles find theirs', async ({ page }) => {
  await begin(page, 'Slow water')
  await page.getByRole('link', { name: 'Shows' }).click()
  await page.goto('/catalogue')
  const items = Array.from({ length: 300 }, (_, i) => {
    const at = new Date(Date.parse('2026-11-19T06:30:00Z') - i * 7 * 86_400_000).toUTCString()
    return `<item><title>Talk ${300 - i} &amp; tea</title><pubDate>${at}</pubDate><link>https://talks.example/${300 - i}</link><podcast:episode>${300 - i}</podcast:episode></item>`
  })
  const xml = `<?xml version="1.0"?><rss version="2.0" xmlns:podcast="https://podcastindex.org/namespace/1.0"><channel><title>Slow water</title>${items.join('')}</channel></rss>`
  await page.getByRole('button', { name: 'Take in what is out already' }).click()
  const sheet = page.getByRole('dialog', { name: 'Take in what is out already' })
  const choose = sheet.getByLabel('Choose a table, a feed, or subtitles')
  await choose.setInputFiles({
    name: 'feed.xml',
    mimeType: 'text/xml',
    buffer: Buffer.from('<rss><channel>'),
  })
  await expect(sheet.getByRole('alert')).toContainText('feed.xml: Line 1: this is not whole XML')
  await choose.setInputFiles({ name: 'feed.xml', mimeType: 'text/xml', buffer: Buffer.from(xml) })
  await expect(sheet.getByRole('status')).toHaveText('300 new')
  await sheet.getByRole('button', { name: 'Take in 300' }).click()
  await expect(page.getByText('300 released')).toBeVisible()
  await stored(page)
  const heard = '1\n00:00:01,000 --> 00:00:04,000\nThe lock keeper counts the eels.\n'
  await page.getByRole('button', { name: 'Take in more' }).click()
  await choose.setInputFiles([
    { name: '#212.en.srt', mimeType: 'text/plain', buffer: Buffer.from(heard) },
    { name: 'holiday.srt', mimeType: 'text/plain', buffer: Buffer.from(heard) },
  ])
  await expect(sheet.getByRole('status')).toHaveText('1 found their episode, 1 did not')
  await sheet.getByRole('button', { name: 'Take in 1' }).click()
  await expect(sheet).toHaveCount(0)
  await stored(page)
  await page.getByRole('searchbox', { name: 'Ask the catalogue' }).fill('eels')
  await expect(page.getByRole('link', { name: 'Talk 212 & tea' })).toBeVisible()
  await expect(page.getByText('Eels: not made yet; spoken of in 1 more')).toBeVisible()
})

test('the demo takes a further feed of its own without doubling anything', async ({ desk: page }) => {
  await demo(page, '/catalogue')
  await page.getByRole('button', { name: 'Take in more' }).click()
  const sheet = page.getByRole('dialog', { name: 'Take in what is out already' })
  const text = 'Title,Date\n384 copper nails,2026-10-29\nA lost first episode,2025-01-02\n'
  await sheet
    .getByLabel('Choose a table, a feed, or subtitles')
    .setInputFiles({ name: 'old.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await expect(sheet.getByRole('status')).toHaveText('1 new, 1 are here already')
})
