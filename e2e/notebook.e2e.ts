import { readFile } from 'node:fs/promises'
import { strFromU8, unzipSync } from 'fflate'
import { begin, demo, expect, jot, png, stored, test, visit } from './fixtures'

/** What is known of an idea goes along into work, beside every stage. */
test('an idea’s knowledge is read and written in the script and in the edit, and goes out as Markdown', async ({
  page,
}) => {
  await begin(page)
  await jot(page, 'A mast from a fallen larch')
  await visit(page, '/ideas')
  await page.locator('[aria-label="Ideas"]').getByText('A mast from a fallen larch').first().click()
  await page.getByRole('button', { name: 'Its page' }).click()
  await expect(page.getByRole('toolbar', { name: 'Formatting' })).toBeVisible()
  const note = page.getByRole('textbox', { name: 'Note' })
  await note.click()
  await page.keyboard.type('## Before filming\n- [ ] borrow the long clamps\nask for the saw\n\n')
  await page.keyboard.type('The tree fell in March.')
  await page.getByRole('button', { name: 'Why now' }).click()
  await page.getByLabel('Why now').fill('The storm is a year ago')
  await stored(page)
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  await expect(page.getByRole('navigation', { name: 'Stages of the episode' })).toBeVisible()

  await page.getByRole('link', { name: /^Script/ }).click()
  await page.keyboard.press('n')
  const notebook = page.getByRole('complementary', { name: /Notebook/ })
  await expect(notebook.getByLabel('Why now')).toHaveValue('The storm is a year ago')
  await notebook.getByRole('checkbox', { name: 'Done: borrow the long clamps' }).check()
  // From within the script one chord opens and closes it.
  await page.locator('.beat .words').first().click()
  await page.keyboard.press('Alt+n')
  await expect(notebook).toHaveCount(0)
  await page.keyboard.press('Alt+n')
  await expect(notebook.getByRole('heading', { name: 'Before filming' })).toBeVisible()

  await page.getByRole('link', { name: /^Edit/ }).click()
  await notebook.getByRole('textbox', { name: 'Note' }).press('Control+End')
  await page.keyboard.type(' It is forty feet long.')
  await notebook.getByLabel('Why now').focus()
  await stored(page)
  const saving = page.waitForEvent('download')
  await notebook.getByRole('button', { name: 'Save it as Markdown' }).click()
  const file = await saving
  expect(file.suggestedFilename()).toMatch(/a-mast-from-a-fallen-larch-notebook\.md$/)
  const text = await readFile(await file.path(), 'utf8')
  expect(text).toContain('## Before filming')
  expect(text).toContain('- [x] borrow the long clamps')
  expect(text).toContain('- [ ] ask for the saw')
  expect(text).toContain('The tree fell in March. It is forty feet long.')
  expect(text).toContain('## Why now\n\nThe storm is a year ago')

  await page.reload()
  await expect(notebook.getByRole('textbox', { name: 'Note' })).toContainText('forty feet long')
  // Its words are found from anywhere.
  await page.getByRole('heading', { level: 1 }).click()
  await page.keyboard.press('/')
  await page.getByRole('combobox', { name: /Find an episode/ }).fill('forty feet')
  await expect(page.getByRole('option', { name: /A mast from a fallen larch/ }).first()).toBeVisible()
})

/** What is typed is written where it was typed, however fast one goes on. */
test('a note that is still being typed stays with its idea when another one is opened', async ({ page }) => {
  await begin(page)
  await jot(page, 'A mast from a fallen larch', 'Rowing home at night')
  await visit(page, '/ideas')
  const codes: string[] = []
  for (const title of ['A mast from a fallen larch', 'Rowing home at night']) {
    await page.locator('[aria-label="Ideas"]').getByText(title).first().click()
    await page.getByRole('button', { name: 'Its page' }).click()
    await expect(page.getByRole('heading', { level: 1, name: title })).toBeAttached()
    codes.push(new URL(page.url()).pathname)
    await page.getByRole('link', { name: 'Ideas' }).last().click()
  }
  const [mast = '', night = ''] = codes
  await visit(page, mast)
  await page.getByRole('textbox', { name: 'Note' }).click()
  await page.keyboard.type('The tree fell in March.')
  await page.evaluate((to) => {
    history.pushState({}, '', to)
    dispatchEvent(new PopStateEvent('popstate', { state: {} }))
  }, night)
  await expect(page.getByRole('heading', { level: 1, name: 'Rowing home at night' })).toBeAttached()
  await expect(page.getByRole('textbox', { name: 'Note' })).toHaveText('')
  await stored(page)
  await visit(page, mast)
  await expect(page.getByRole('textbox', { name: 'Note' })).toHaveText('The tree fell in March.')
  await visit(page, night)
  await expect(page.getByRole('textbox', { name: 'Note' })).toHaveText('')
})

/** What is private stays private. */
test('a footage folder and a photograph are one press from Film, and not in the kit', async ({
  desk: page,
}) => {
  await demo(page, '/episode/ULP6/film')
  await page.keyboard.press('n')
  const notebook = page.getByRole('complementary', { name: /Notebook/ })
  await notebook.getByRole('button', { name: 'Links and files' }).click()
  await notebook.getByLabel('Add a link').fill('Footage /Volumes/Barge/42-ribs')
  await notebook.getByRole('button', { name: 'Add', exact: true }).click()
  await notebook
    .getByLabel('Add images or files')
    .setInputFiles({ name: 'secret-slip.png', mimeType: 'image/png', buffer: png(64, 36, [9, 99, 200]) })
  await expect(notebook.getByText('secret-slip.png')).toBeVisible()
  await stored(page)
  await page.keyboard.press('Escape')
  await notebook.getByRole('button', { name: 'Close the notebook' }).click()

  const hand = page.getByRole('region', { name: 'Steps of Film' })
  await hand.getByRole('button', { name: 'Copy the path of Footage' }).click()
  expect(await page.evaluate(() => navigator.clipboard.readText())).toBe('/Volumes/Barge/42-ribs')
  await expect(hand.getByRole('link', { name: 'secret-slip.png' })).toHaveAttribute('href', /^blob:/)

  await page.getByRole('link', { name: /^Release:/ }).click()
  await expect(page.getByText('/Volumes/Barge')).toHaveCount(0)
  const saving = page.waitForEvent('download')
  await page.getByRole('button', { name: /kit/i }).first().click()
  const zip = unzipSync(await readFile(await (await saving).path()))
  expect(Object.keys(zip)).toContain('description.txt')
  expect(Object.keys(zip).filter((name) => name.includes('slip'))).toEqual([])
  for (const bytes of Object.values(zip)) expect(strFromU8(bytes, true)).not.toMatch(/Volumes|secret-slip/)
})

/** Titles with scores, and several ideas for the picture. */
test('seven titles stand by their score, and two ideas for the picture arrive at the thumbnail', async ({
  page,
}) => {
  await begin(page)
  await jot(page, 'A mast from a fallen larch')
  await visit(page, '/ideas')
  await page.locator('[aria-label="Ideas"]').getByText('A mast from a fallen larch').first().click()
  await page.getByRole('button', { name: /^Start/ }).click()
  await page.getByRole('link', { name: /^Brief/ }).click()
  const scores = [41, 77, 12, 90, 63, 55, 30]
  for (const [i, score] of scores.entries()) {
    await page.getByLabel('A title candidate').fill(`Title ${i + 1}`)
    await page.keyboard.press('Enter')
    await page.getByLabel(`Score of “Title ${i + 1}”`).fill(String(score))
  }
  await page.getByRole('button', { name: 'Add a note to “Title 4”' }).click()
  await page.getByLabel('Note on “Title 4”').fill('best of both tries')
  await page.getByRole('radio', { name: 'Choose “Title 4”' }).check()
  await page.getByLabel('A title candidate').focus()
  await stored(page)
  await page.reload()
  const titles = page.getByLabel(/^Title candidate/)
  await expect(titles.first()).toHaveValue('Title 4')
  expect(
    await titles.evaluateAll((l) => l.map((x) => (x instanceof HTMLInputElement ? x.value : ''))),
  ).toEqual([4, 2, 5, 6, 1, 7, 3].map((n) => `Title ${n}`))
  await expect(page.getByRole('radio', { name: 'Choose “Title 4”' })).toBeChecked()
  await expect(page.getByLabel('Note on “Title 4”')).toHaveValue('best of both tries')

  await page.getByLabel('Idea for the picture').fill('The stump against the sky')
  await page.getByLabel('Words on the picture').fill('IT FELL')
  await page.getByRole('button', { name: 'another idea' }).click()
  await page.getByLabel('Another idea for the picture').fill('A hand on the bark')
  await page.getByLabel('Its words').fill('FORTY FEET')
  await page
    .getByLabel('Add a sketch')
    .last()
    .setInputFiles({ name: 'hand.png', mimeType: 'image/png', buffer: png(64, 36, [90, 60, 20]) })
  await expect(page.getByRole('img', { name: 'hand.png' })).toBeVisible()
  await stored(page)
  await page.getByRole('link', { name: /^Thumbnail/ }).click()
  const ideas = page.getByRole('list', { name: 'Ideas for the picture' }).getByRole('listitem')
  await expect(ideas).toHaveCount(2)
  await expect(ideas.nth(0)).toContainText('IT FELL')
  await page.getByRole('button', { name: 'Choose FORTY FEET' }).click()
  await expect(ideas.nth(0)).toContainText('FORTY FEET')
  await expect(ideas.nth(0).getByRole('img', { name: 'Sketch hand.png' })).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(ideas.nth(0)).toContainText('IT FELL')
})
