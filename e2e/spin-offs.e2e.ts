import { findings } from './axe'
import { demo, expect, stored, test, visit } from './fixtures'

/** Words every five seconds for two minutes, some of which make a point of the brief. */
const heard = Array.from({ length: 24 }, (_, i) => {
  const at = (n: number) => `00:0${Math.floor(n / 60)}:${String(n % 60).padStart(2, '0')},000`
  const says =
    i >= 8 && i < 15 ? 'The sleeve keeps the steam where the rib is.' : 'And so on it goes for a while.'
  return `${i + 1}\n${at(i * 5)} --> ${at(i * 5 + 5)}\n${says}\n`
}).join('\n')

test('an excerpt, from a passage of what is heard to out', async ({ desk: page }) => {
  await demo(page, '/episode/ULP6/edit')
  await test.step('a passage is taken, and made one that goes out', async () => {
    await page.getByText('Subtitles', { exact: false }).first().click()
    await page
      .locator('input[type="file"][accept*=".srt"]')
      .first()
      .setInputFiles({
        name: 'ribs.srt',
        mimeType: 'application/x-subrip',
        buffer: Buffer.from(heard),
      })
    await page.locator('summary', { hasText: 'Excerpts' }).click()
    await page
      .getByRole('list', { name: 'Proposed excerpts' })
      .getByRole('button', { name: 'Take it' })
      .first()
      .click()
    const taken = page.getByRole('list', { name: 'Taken excerpts' })
    await taken.getByRole('button', { name: 'Make it one that goes out' }).click()
    await expect(taken).toContainText('made: ULP6-B')
    await stored(page)
  })
  const row = page
    .getByRole('region', { name: /^Made from it/ })
    .getByRole('listitem')
    .filter({ hasText: 'ULP6-B' })
  await test.step('it has a title, an outlet that has such things, and a step of its own', async () => {
    await visit(page, '/episode/ULP6/release')
    await row.getByRole('button', { name: /ULP6-B/ }).click()
    await row.getByLabel('Title').fill('Where the steam stays')
    await row.getByLabel('Title').press('Tab')
    await expect(row).toContainText('Excerpts, 2 days after, 12:00')
    await row.getByRole('checkbox', { name: 'Cut the excerpt B' }).click()
    await expect(page.getByText('Done: Cut the excerpt B')).toBeVisible()
    expect(await findings(page)).toEqual([])
    await stored(page)
  })
  await test.step('it stands in Release, the Month and the strip', async () => {
    await visit(page, '/schedule/month')
    await expect(page.getByText('Excerpt ULP6-B, #42').first()).toBeVisible()
    await expect(page.getByRole('button', { name: /^#42 Steaming oak ribs.*2 made from it/ })).toBeVisible()
    await visit(page, '/release')
    await expect(page.getByRole('heading', { level: 1, name: 'Release' })).toBeVisible()
    await page
      .getByRole('button', { name: /#42.*Excerpt.*Excerpts/ })
      .last()
      .click()
    await expect(page.getByRole('region', { name: /at Excerpts/ })).toContainText('Where the steam stays')
    await page
      .getByRole('region', { name: /at Excerpts/ })
      .getByRole('button', { name: /^Seen live/ })
      .click()
    await stored(page)
  })
  await test.step('and is out on its episode too', async () => {
    await visit(page, '/episode/ULP6/release')
    await expect(row.getByRole('img', { name: /^out/ })).toBeVisible()
  })
})

test('several are written in one sitting; one is turned off for an episode by one move', async ({
  desk: page,
}) => {
  await demo(page, '/episode/ULP6/release')
  const made = page.getByRole('region', { name: /^Made from it/ })
  for (const kind of ['Post', 'Letter']) {
    await made.getByRole('button', { name: 'Make something' }).click()
    await made.getByRole('button', { name: kind }).click()
  }
  await stored(page)
  await visit(page, '/release/write')
  const post = page.getByRole('listitem', { name: /^Post/ })
  const first = page.getByRole('listitem', { name: /^Letter/ })
  await first.getByLabel('Words').fill('Dear all')
  await first.getByLabel('Words').press('Control+Enter')
  await expect(page.getByRole('listitem', { name: /^Excerpt/ }).getByLabel('Words')).toBeFocused()
  await page.keyboard.press('Control+Enter')
  await expect(post.getByLabel('Words')).toBeFocused()
  await page.keyboard.type('Green oak bends for four minutes.')
  await page.keyboard.press('Tab')
  await expect(post.getByRole('img', { name: /^ready/ })).toBeVisible()
  expect(await findings(page)).toEqual([])
  await stored(page)
  await visit(page, '/episode/ULP6/release')
  const letter = made.getByRole('listitem').filter({ hasText: 'Dear all' })
  await letter.getByRole('button', { name: /Dear all/ }).click()
  await letter.getByRole('button', { name: 'Let it go' }).click()
  await expect(letter).toHaveCount(0)
  await page.keyboard.press('Control+z')
  await expect(letter).toBeVisible()
})
