import { readFile } from 'node:fs/promises'
import type { Page } from '@playwright/test'
import { demo, expect, stored, test } from './fixtures'

const pasted = `
<h1>Mending an oar</h1>
<h2>The break</h2><p>It broke in <b>the worst place</b>, a hand above the blade.</p>
<h2>The scarf</h2><p>Cut both ends at eight to one, and plane them together on one board until the joint closes.</p>
<ul><li>glue it warm</li><li>wrap it in tape</li></ul>
<h2>The water</h2><p>Row it hard before you varnish it. A joint that fails tells you on the first pull.</p>`

const script = (page: Page) => page.getByRole('textbox', { name: 'Script', exact: true })
const titles = (page: Page) => script(page).locator('.title').allTextContents()

/** Opens the script of an episode of the demo that has none yet. */
async function blank(page: Page): Promise<void> {
  await demo(page, '/schedule')
  await page.locator('tbody a', { hasText: 'Caulking' }).first().click()
  await page.getByRole('link', { name: /^Script/ }).click()
  await expect(script(page)).toBeVisible()
}

test('a pasted document becomes a script; sections move, cues are noted, it passes copy-edit and is ready', async ({
  desk: page,
}) => {
  await blank(page)
  await test.step('pasted over all that was there, with its headings, bold and list', async () => {
    await script(page).locator('.title').first().click()
    await page.keyboard.press('Control+a')
    await page.evaluate(async (html) => {
      const type = 'text/html'
      await navigator.clipboard.write([new ClipboardItem({ [type]: new Blob([html], { type }) })])
    }, pasted)
    await page.keyboard.press('Control+v')
    await expect.poll(() => titles(page)).toEqual(['Mending an oar', 'The break', 'The scarf', 'The water'])
    await expect(script(page).locator('strong')).toHaveText('the worst place')
    await expect(script(page)).toContainText('• glue it warm')
  })

  await test.step('a section moves by keys, and undo brings it back', async () => {
    await script(page).getByText('The water', { exact: true }).click()
    await page.keyboard.press('Alt+ArrowUp')
    await expect.poll(() => titles(page)).toEqual(['Mending an oar', 'The break', 'The water', 'The scarf'])
    await page.keyboard.press('Control+z')
    await expect.poll(() => titles(page)).toEqual(['Mending an oar', 'The break', 'The scarf', 'The water'])
    await page.keyboard.press('Alt+ArrowUp')
  })

  await test.step('by keys alone a section is spoken from points, and in full words again', async () => {
    await page.keyboard.press('Alt+s')
    await expect(page.getByLabel('How “The water” is spoken')).toBeFocused()
    await page.getByLabel('How “The water” is spoken').selectOption('points')
    await page.getByLabel('How “The water” is spoken').selectOption('')
    await page.keyboard.press('Escape')
    await expect(script(page)).toBeFocused()
  })

  await test.step('words are found and replaced over the whole', async () => {
    await page.keyboard.press('Control+f')
    const find = page.getByRole('search', { name: 'Find in the script' })
    await find.getByLabel('Find', { exact: true }).fill('joint')
    await expect(find.getByText('2 found')).toBeVisible()
    await find.getByLabel('Put in its place').fill('seam')
    await find.getByRole('button', { name: 'All' }).click()
    await page.keyboard.press('Escape')
    await expect(script(page)).toContainText('until the seam closes')
    await expect(script(page)).not.toContainText('joint')
  })

  await test.step('ten cues are noted by keys, each with its kind', async () => {
    await script(page)
      .getByText(/^Cut both ends/)
      .click()
    for (let i = 0; i < 10; i++) {
      await page.keyboard.press('Home')
      for (let n = 0; n < i; n++) await page.keyboard.press('Control+ArrowRight')
      await page.keyboard.press('Alt+c')
      const field = page.getByRole('textbox', { name: /^Cue \d+, / }).and(page.locator(':focus'))
      await expect(field).toHaveValue('')
      await page.keyboard.type(`Thing ${i + 1}`)
      if (i === 3) await page.keyboard.press('Alt+ArrowDown')
      await page.keyboard.press('Enter')
      await expect(script(page)).toBeFocused()
    }
    await expect(page.getByRole('list', { name: 'Cues' }).getByRole('listitem')).toHaveCount(10)
    await expect(page.getByRole('textbox', { name: /, to find$/ })).toHaveCount(7)
  })

  await test.step('blank beats are written, then it goes to copy-edit, is changed, and is ready', async () => {
    await script(page).getByText('Mending an oar', { exact: true }).click()
    await expect(page.getByText('section 1 of 4')).toBeVisible()
    await page.keyboard.press('Enter')
    await page.keyboard.type('Here is an oar in two pieces.')
    const how = page.getByRole('radiogroup', { name: 'How far the script is' })
    await how.getByRole('radio', { name: 'copy-edit' }).click()
    await script(page)
      .getByText(/^Row it hard/)
      .click()
    await page.keyboard.press('End')
    await page.keyboard.type(' Listen for it.')
    await expect(page.getByRole('region', { name: 'Copy-edit' }).getByText('changed')).toBeVisible()
    await page.getByRole('button', { name: 'Lay a checklist for copy-edits' }).click()
    await page.getByRole('checkbox', { name: 'Read aloud once, from start to end' }).check()
    await how.getByRole('radio', { name: 'ready to film' }).click()
    await expect(how.getByRole('radio', { name: 'ready to film' })).toBeChecked()
    await stored(page)
  })

  await test.step('after a reload all of it is there; the shots stand at Film and go out as a table', async () => {
    await page.reload()
    await expect.poll(() => titles(page)).toEqual(['Mending an oar', 'The break', 'The water', 'The scarf'])
    await expect(script(page).locator('strong')).toHaveText('the worst place')
    await page.getByRole('link', { name: /^Film/ }).click()
    await page.getByRole('checkbox', { name: /Thing 2/ }).check()
    await expect(
      page.getByRole('region', { name: 'To film' }).getByText('1 of 4', { exact: true }),
    ).toBeVisible()
    const saving = page.waitForEvent('download')
    await page.getByRole('button', { name: 'Save' }).click()
    await page.getByRole('button', { name: 'As a table (CSV)' }).click()
    const rows = (await readFile(await (await saving).path(), 'utf8')).trim().split('\r\n')
    expect(rows[0]).toBe('Number,Kind,What,Section,Words,Done,Source,Licence,Place,Time,Clip')
    expect(rows).toHaveLength(11)
    expect(rows.filter((r) => r.includes(',to find,'))).toHaveLength(7)
  })
})

test('two tabs write in one script; each keeps what the other wrote, and a killed tab loses nothing that rested', async ({
  page,
  context,
}) => {
  await demo(page, '/schedule')
  await page.locator('tbody a', { hasText: 'Cutting a spar' }).first().click()
  await page.getByRole('link', { name: /^Script/ }).click()
  await script(page)
    .getByText(/^Six metres of trunk/)
    .click()
  await page.keyboard.press('End')
  await page.keyboard.type(' First tab.')
  await stored(page)
  const other = await context.newPage()
  await other.goto(page.url())
  await expect(script(other)).toContainText('First tab.')
  await script(other)
    .getByText(/^Then square becomes/)
    .click()
  await other.keyboard.press('End')
  await other.keyboard.type(' Second tab.')
  await expect(script(page)).toContainText('Second tab.')
  await page.keyboard.type(' Again.')
  await expect(script(other)).toContainText('First tab. Again.')
  await expect(script(other)).toContainText('Second tab.')
  await stored(other)
  // Killed, not left: what rested is on disk.
  await other.close({ runBeforeUnload: false })
  await page.reload()
  await expect(script(page)).toContainText('Second tab.')
  await expect(script(page)).toContainText('First tab. Again.')
})

test('undo in the script goes on into what was done before it was opened', async ({ desk: page }) => {
  await demo(page, '/schedule')
  await page.locator('tbody a', { hasText: 'Cutting a spar' }).first().click()
  await page.getByRole('link', { name: /^Brief/ }).click()
  await page.getByLabel('Add tags').fill('larch')
  await page.getByLabel('Add tags').press('Enter')
  await page.getByRole('link', { name: /^Script/ }).click()
  await script(page)
    .getByText(/^Six metres of trunk/)
    .click()
  await page.keyboard.press('End')
  await page.keyboard.type(' And more.')
  await stored(page)
  // As many steps as the pauses in typing made.
  await expect(async () => {
    await page.keyboard.press('Control+z')
    await expect(page.getByText(/^Taken back: .*tags/)).toBeVisible({ timeout: 1000 })
  }).toPass()
  await expect(script(page)).not.toContainText('And')
})

test('by mouse: words are selected, a beat moves by its grip, a section on the spine', async ({
  desk: page,
}) => {
  await demo(page, '/schedule')
  await page.locator('tbody a', { hasText: 'Cutting a spar' }).first().click()
  await page.getByRole('link', { name: /^Script/ }).click()
  const beats = script(page).locator('.beat')
  const placeOf = async (of: ReturnType<typeof page.locator>) => {
    const box = await of.boundingBox()
    if (!box) throw new Error('not drawn')
    return box
  }
  const drag = async (from: { x: number; y: number }, to: { x: number; y: number }) => {
    await page.mouse.move(from.x, from.y)
    await page.mouse.down()
    await page.mouse.move(from.x + 9, from.y + 9, { steps: 3 })
    await page.mouse.move(to.x, to.y, { steps: 8 })
    await page.mouse.up()
  }
  const words = await placeOf(beats.nth(2).locator('.words'))
  await drag({ x: words.x + 2, y: words.y + 12 }, { x: words.x + 160, y: words.y + 12 })
  expect(await page.evaluate(() => getSelection()?.toString())).toMatch(/^Bark spade/)

  await beats.nth(2).hover()
  const grip = await placeOf(beats.nth(2).locator('.grip'))
  const goal = await placeOf(beats.nth(4).locator('.words'))
  await drag({ x: grip.x + 5, y: grip.y + 8 }, { x: goal.x + 40, y: goal.y + goal.height + 4 })
  await expect(beats.nth(4)).toContainText('Bark spade')

  const sections = page
    .getByRole('complementary', { name: 'Running time' })
    .getByRole('listitem')
    .getByRole('button')
  const [hook, third] = [await placeOf(sections.nth(0)), await placeOf(sections.nth(2))]
  await drag({ x: hook.x + 20, y: hook.y + 8 }, { x: third.x + 20, y: third.y + 8 })
  await expect.poll(async () => (await titles(page)).indexOf('Hook')).toBe(2)
})

test('a sponsor’s read goes where it was asked for, an offer in the words not heard for longest', async ({
  desk: page,
}) => {
  await demo(page, '/schedule')
  await page.locator('a', { hasText: 'Lofting a stem' }).first().click()
  await page.getByRole('link', { name: /^Script/ }).click()
  const owed = page.getByRole('region', { name: 'Offers and reads' })
  await expect(owed).toContainText('25 s asked')
  await owed.getByRole('button', { name: 'Put in Kelpline Rope’s read' }).click()
  await expect(owed).toContainText('25 s of 25 s asked')
  const beat = (text: string) => script(page).locator('.beat', { hasText: text })
  await expect(beat('This one is made with Kelpline Rope.').locator('.promise')).toHaveText(
    'Kelpline Rope’s read',
  )
  await expect(owed).toContainText('next: “Somebody asked for the lines of her.')
  await owed.getByRole('button', { name: 'Put in The drawings' }).click()
  await expect(beat('all nine sheets').locator('.promise')).toHaveText('The drawings, wording 3 of 3')
  await expect(owed).toContainText('last in “Painting below the line, still wet”')
  await owed.getByRole('button', { name: 'Say The drawings in other words' }).click()
  await expect(beat('The drawings of this boat').locator('.promise')).toHaveText(
    'The drawings, wording 1 of 3',
  )
  await expect(beat('all nine sheets')).toHaveCount(0)
  await page.getByRole('link', { name: 'Shows' }).click()
  const offer = page.getByRole('group', { name: 'The drawings' })
  await expect(offer).toContainText('7 times, last in “Lofting a stem on the kitchen floor”, not out yet')
})
