import { execFileSync } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { readFile, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Page } from '@playwright/test'
import { unzipSync } from 'fflate'
import { film } from './film'
import { demo, expect, stored, test } from './fixtures'

/** Opens the edit of an episode of the demo of which no cut was reviewed. */
async function edit(page: Page): Promise<void> {
  await demo(page, '/schedule')
  await page.locator('a', { hasText: 'Lofting a stem' }).first().click()
  await page.getByRole('link', { name: /^Edit/ }).click()
}
const notes = (page: Page) => page.getByRole('list', { name: 'Notes on the cut' }).getByRole('listitem')
const field = (page: Page) => page.getByRole('textbox', { name: 'A note at this moment' })
/** Types lines as notes, one after the other, while the cut goes on. */
async function type(page: Page, lines: readonly string[]): Promise<void> {
  await page.keyboard.press('Enter')
  await expect(field(page)).toBeFocused()
  for (const line of lines) {
    await page.keyboard.type(line)
    await page.keyboard.press('Enter')
    await expect(field(page)).toHaveValue('')
  }
  await page.keyboard.press('Escape')
}
const frame = async (page: Page) => {
  const [h = 0, m = 0, s = 0, f = 0] = (await page.getByTestId('timecode').innerText()).split(':').map(Number)
  return ((h * 60 + m) * 60 + s) * 25 + f
}

test('two rounds are noted by keys while the film plays; what was not done comes again; the second is approved', async ({
  desk: page,
}) => {
  const path = film()
  await edit(page)
  await page.getByRole('button', { name: 'Review cut 1' }).click()
  const video = page.locator('video')
  await page.getByLabel('The file of this cut').setInputFiles(path)
  await expect(page.getByText('now 0:20')).toBeVisible()
  await page.keyboard.press('Space')
  await expect.poll(() => frame(page)).toBeGreaterThan(10)
  await type(page, [
    '! hold the bolt longer',
    'this is the pace',
    '! level it',
    '! less music',
    'good',
    '! again',
  ])
  await page.keyboard.press('k')
  expect(await video.evaluate((v) => v instanceof HTMLVideoElement && v.paused)).toBe(true)
  await expect(notes(page)).toHaveCount(6)
  await expect(page.getByText('4 to do · 2 remarks')).toBeVisible()

  // Frame by frame, and to the notes by the arrows.
  const at = await frame(page)
  for (const key of ['ArrowRight', 'ArrowRight', 'ArrowLeft']) await page.keyboard.press(key)
  expect(await frame(page)).toBe(at + 1)
  for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowUp')
  await page.keyboard.press('x')
  await expect(page.getByText('3 to do · 1 done · 2 remarks')).toBeVisible()

  await page.getByRole('button', { name: 'Ask for cut 2' }).click()
  await expect(page.getByText('Another round was asked for. Cut 2 comes next.')).toBeVisible()
  await page.getByRole('button', { name: 'Cut 2 is here' }).click()
  await expect(page.getByText('3 things to do, 3 of them again.')).toBeVisible()
  await expect(notes(page).first()).toContainText('again, asked first in cut 1')
  await page.getByLabel('The file of this cut').setInputFiles(path)
  await page.keyboard.press('l')
  await type(page, ['! one', '! two', '! three', 'four', 'five', 'six'])
  await page.keyboard.press('k')
  await expect(notes(page)).toHaveCount(9)
  for (const box of await notes(page).getByRole('checkbox').all()) await box.check()
  await expect(page.getByText('Nothing is left to do in cut 2.')).toBeVisible()
  await page.locator('h1').click()
  await page.keyboard.press('Shift+A')
  await expect(page.getByText('Cut 2 is approved, 0:20.')).toBeVisible()
  await expect(page.getByLabel('Length of the edit')).toHaveValue('0:20')
  await stored(page)
  await page.reload()
  await expect(page.getByText('Cut 2 is approved, 0:20.')).toBeVisible()
  await expect(notes(page)).toHaveCount(9)
  await expect(notes(page).first().getByRole('checkbox')).toBeDisabled()
})

test('without a film a clock runs; lines are pasted, markers read, sections timed by a key, notes saved', async ({
  desk: page,
}) => {
  await edit(page)
  await page.getByRole('button', { name: 'Review cut 1' }).click()
  await page.keyboard.press('Space')
  await expect.poll(() => frame(page)).toBeGreaterThan(20)
  await page.keyboard.press('Space')
  await page.keyboard.press('Shift+ArrowRight')
  await page.keyboard.press('s')
  const sections = page.getByRole('list', { name: 'Sections in the cut' })
  await expect(sections.getByRole('listitem').first()).toContainText(/0:20 → 0:0[5-9]/)
  await expect(page.getByLabel('Start of What you will need')).toHaveValue(/^0:0[5-9]$/)

  await field(page).focus()
  await page.evaluate(async () => {
    await navigator.clipboard.writeText('0:09 - [x] Open on the lead\n1m10 ! wind\n0:75 no\n2:01 keep')
  })
  await page.keyboard.press('Control+v')
  await expect(page.getByText('Line 3: “0:75” is not a time.')).toBeVisible()
  await expect(notes(page)).toHaveCount(3)
  await page.getByRole('button', { name: 'More', exact: true }).click()
  const edl = 'TITLE: Cut 1\n* LOC: 01:00:30:12 RED     hold the string\n'
  await page
    .getByLabel('Read notes from a file')
    .setInputFiles({ name: 'markers.edl', mimeType: 'text/plain', buffer: Buffer.from(edl) })
  await expect(notes(page)).toHaveCount(4)
  await expect(notes(page).nth(1)).toContainText('0:30')
  const saving = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Plain text' }).click()
  const text = await readFile(await (await saving).path(), 'utf8')
  expect(text.split('\n').slice(0, 3)).toEqual([
    '00:00:09:00 [x] Open on the lead',
    '00:00:30:12 [ ] hold the string',
    '00:01:10:00 [ ] wind',
  ])

  // Handed over to somebody, as one package.
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Hand over' }).click()
  await page.getByLabel('Who cuts it').fill('Pell Orring')
  await page.getByLabel('Who cuts it').press('Tab')
  await page.getByText(/^What goes along/).click()
  await page.getByLabel('how the show looks and sounds').uncheck()
  const zipping = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save the package' }).click()
  const zip = unzipSync(await readFile(await (await zipping).path()))
  expect(Object.keys(zip)).toEqual(
    expect.arrayContaining(['start.html', 'script.md', 'shots.csv', 'notes.edl']),
  )
  expect(Object.keys(zip)).not.toContain('guide.txt')
  await page.getByRole('button', { name: 'Copy the message' }).click()
  await expect(page.getByRole('button', { name: 'Copied' })).toBeVisible()
  expect(await page.evaluate(() => navigator.clipboard.readText())).toMatch(/^Pell Orring, here is “Lofting/)
  await page.keyboard.press('Escape')
  await expect(notes(page).nth(1)).toContainText('for Pell Orring')
})

test('subtitles are made from the script, corrected, saved, and read from a file with its faults said', async ({
  desk: page,
}) => {
  await edit(page)
  await page.getByRole('button', { name: 'Review cut 1' }).click()
  await page.getByText('Subtitles none yet').click()
  await page.getByRole('button', { name: 'Make them from the script' }).click()
  const list = page.getByRole('list', { name: 'Subtitles' })
  await expect(list.getByRole('listitem').nth(20)).toBeVisible()
  await expect(page.getByText(/estimated from the script/)).toBeVisible()
  const first = list.getByRole('textbox').first()
  await first.fill('A line that is a good deal longer than any line may be')
  await first.press('Tab')
  await expect(list.getByRole('listitem').first()).toContainText('more than 42')
  await first.fill('Paper from stove to door.')
  await first.press('Tab')
  await expect(list.getByRole('listitem').first()).not.toContainText('more than 42')
  await list.getByRole('button').nth(8).click()
  await expect(page.getByTestId('cut-time')).not.toHaveText('0:00')
  await page.getByText('passages that could go out by themselves').click()
  const proposed = page.getByRole('list', { name: 'Proposed excerpts' }).getByRole('listitem')
  const span = /(\d+:\d\d) to (\d+:\d\d), \d+ s/.exec(await proposed.first().innerText())
  await proposed.first().getByRole('button', { name: 'Take it' }).click()
  const taken = page.getByRole('list', { name: 'Taken excerpts' })
  await expect(taken.getByLabel('in', { exact: true })).toHaveValue(span?.[1] ?? 'none')
  await taken.getByLabel('out', { exact: true }).fill('9:50')
  await taken.getByLabel('out', { exact: true }).press('Tab')
  await expect(page.getByText('1 taken')).toBeVisible()
  await expect(taken.getByLabel('out', { exact: true })).toHaveValue('9:50')
  await taken.getByRole('button', { name: 'Play excerpt 1' }).click()
  await expect(page.getByRole('button', { name: 'Stop', exact: true })).toBeVisible()
  await page.keyboard.press('k')
  const clip = page.getByLabel('A clip found: what, by whom, licence')
  await clip.fill('Harbour at dawn, R. Teal')
  await clip.press('Enter')
  await expect(page.getByRole('region', { name: 'Found for it' })).toContainText('no licence')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  const saving = page.waitForEvent('download')
  await page.getByRole('button', { name: 'SubRip' }).click()
  const srt = await readFile(await (await saving).path(), 'utf8')
  expect(srt.split('\n').slice(0, 3)).toEqual([
    '1',
    expect.stringMatching(/^00:00:00,000 --> 00:00:\d\d,\d{3}$/),
    'Paper from stove to door.',
  ])
  const broken = '1\n00:00:01,000 --> 00:00:03,000\nkept\n\n2\n00:00:04 --> soon\nlost\n'
  await page
    .getByLabel('Read subtitles from a file')
    .setInputFiles({ name: 'a.srt', mimeType: 'text/plain', buffer: Buffer.from(broken) })
  await expect(page.getByText(/^Line 6: .*has no two times/)).toBeVisible()
  await expect(list.getByRole('listitem')).toHaveCount(1)
  // The program reads what a player of subtitles reads.
  const path = join(mkdtempSync(join(tmpdir(), 'lamp-reel-srt-')), 'a.srt')
  await writeFile(path, srt)
  const seen = execFileSync('ffprobe', [
    '-v',
    'error',
    '-show_entries',
    'packet=pts_time',
    '-of',
    'csv',
    path,
  ])
  expect(seen.toString().trim().split('\n')).toHaveLength(srt.split('-->').length - 1)
})
