import type { Page } from '@playwright/test'
import { findings } from './axe'
import { demo, expect, stored, test, visit } from './fixtures'

const screens = [
  ['/today', 'Today'],
  ['/ideas', 'Ideas'],
  ['/ideas/sort', 'Sort ideas'],
  ['/schedule/months', 'Ideas by month'],
  ['/ideas/keywords', 'Keywords'],
  ['/ideas/balance', 'Balance'],
  ['/ideas/mailbox', 'Mailbox'],
  ['/schedule', 'Schedule'],
  ['/schedule/countdown', 'Countdown'],
  ['/schedule/month', 'Month'],
  ['/week', 'Week'],
  ['/scripts', 'Scripts'],
  ['/sessions', 'Sessions'],
  ['/release', 'Release'],
  ['/release/write', 'Write in one sitting'],
  ['/catalogue', 'Catalogue'],
  ['/rhythm', 'Rhythm'],
  ['/shows', 'Shows'],
  ['/shows/partners', 'People and partners'],
  ['/shows/partners/tomas', 'People and partners'],
  ['/shows/partners/pell', 'People and partners'],
  ['/shows/boats/recipe/recipe-boats', 'Recipe'],
  ['/settings', 'Settings'],
] as const
const stages = ['brief', 'script', 'film', 'edit', 'thumbnail', 'release', 'after'] as const

/**
 * What axe finds on a screen, in both themes: what is right in one is right in the other, but for its colours. Those of
 * the strip and the bars, which are the same on every screen, are looked at where `within` is the whole page.
 */
async function lookInBoth(page: Page, what: string, within = '#screen'): Promise<void> {
  expect.soft(await findings(page, { contrast: 'not' }), what).toEqual([])
  for (const theme of ['daylight', 'booth']) {
    await page.evaluate((to) => {
      document.documentElement.dataset['theme'] = to
    }, theme)
    const found = await findings(page, { within, contrast: 'alone' })
    expect.soft(found, `${what}, in ${theme}`).toEqual([])
  }
}

test('every screen has an address and a title in the tab, fits 1280 wide, and axe finds nothing on it in either theme', async ({
  desk: page,
}) => {
  test.slow()
  await demo(page, '/settings')
  await page.getByRole('radio', { name: 'Booth, dark' }).click()
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'booth')
  for (const [screen, title] of screens) {
    await visit(page, screen)
    await expect(page.locator('#screen h1')).toBeVisible()
    await expect(page).toHaveTitle(`${title} · Lamp Reel`)
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(1280)
    await lookInBoth(page, screen, screen === '/today' ? 'html' : '#screen')
  }
  await visit(page, '/read/ULP6')
  await expect(page.getByRole('list', { name: 'Words', exact: true })).toBeVisible()
  await lookInBoth(page, 'the reader')
})

test('axe finds nothing in a session, at any stage and in a cut, in either theme', async ({ desk: page }) => {
  test.slow()
  await demo(page, '/sessions')
  await page
    .getByRole('button', { name: /^Lay it on Wed 25 Nov/ })
    .first()
    .click()
  await page.getByRole('link', { name: /^Open Filming/ }).click()
  await page.getByRole('button', { name: /^Begin setting up/ }).click()
  await page.getByRole('button', { name: /^First one/ }).click()
  await page.getByRole('button', { name: /^Go on all the same/ }).click()
  await page.getByRole('button', { name: /^Got it/ }).click()
  await lookInBoth(page, 'a session')
  await visit(page, '/week')
  await expect(page.getByRole('button', { name: /^Session: Filming/ })).toBeVisible()
  await visit(page, '/schedule')
  const address = await page.getByRole('link', { name: /Cutting a spar/ }).getAttribute('href')
  for (const stage of stages) {
    await visit(page, `${address}/${stage}`)
    await expect(page.getByRole('heading', { level: 1, name: /Cutting a spar/ })).toBeVisible()
    await lookInBoth(page, stage)
  }
  await visit(page, '/schedule')
  const cut = await page.getByRole('link', { name: /The ferry pilot/ }).getAttribute('href')
  await visit(page, `${cut}/edit`)
  await expect(
    page.getByRole('list', { name: 'Notes on the cut' }).getByRole('listitem').first(),
  ).toBeVisible()
  await lookInBoth(page, 'a cut')
})

test('axe finds nothing in what opens over the screens', async ({ page }) => {
  test.slow()
  const look = async (what: string) => {
    expect.soft(await findings(page), what).toEqual([])
  }
  await demo(page, '/today')
  await visit(page, '/schedule/countdown')
  await page.getByRole('button', { name: 'In rows' }).click()
  await expect(page.getByRole('table', { name: 'Everything in work' })).toBeVisible()
  await look('all work in rows')
  await visit(page, '/ideas')
  await page.getByRole('button', { name: 'Conditions 1' }).click()
  await look('conditions')
  await page.keyboard.press('Escape')
  const wall = page.getByLabel('As a wall of notes')
  await page.getByRole('button', { name: 'Order', exact: true }).click()
  await wall.check()
  await page.keyboard.press('Escape')
  await look('wall')
  await page.getByRole('button', { name: 'Order', exact: true }).click()
  await wall.uncheck()
  await page.keyboard.press('Escape')
  await page
    .getByRole('button', { name: /Building a steam box/ })
    .last()
    .click()
  await page.keyboard.press('e')
  await page.getByRole('button', { name: 'Draft a start' }).click()
  await expect(page.getByText('Hashtags')).toBeVisible()
  for (const facet of ['Occasion', 'Guests', 'Own fields', 'Topical'])
    await page.getByRole('button', { name: facet, exact: true }).click()
  await look('an idea’s page')
  await visit(page, '/shows/boats/recipe/recipe-boats')
  await page.getByRole('button', { name: 'Step First cut' }).click()
  await page.getByRole('button', { name: 'Let something follow' }).click()
  await look('a step of a recipe')
  await page.getByRole('button', { name: 'Stage Film' }).click()
  await look('a stage of a recipe')
  await visit(page, '/week')
  await page.getByRole('button', { name: 'Standing work', exact: true }).click()
  await look('standing work')
  await page.keyboard.press('Escape')
  await page.keyboard.press('l')
  await expect(page.getByRole('heading', { name: 'Why it is late' })).toBeVisible()
  await look('why it is late')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await visit(page, '/schedule')
  await page.getByRole('button', { name: 'Keep Thu 31 Dec for somebody or something' }).click()
  await look('keeping a slot')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: /^#46 open/ }).click()
  await page
    .getByRole('button', { name: /^Why \d+ of 100/ })
    .first()
    .click()
  await look('ranking')
  await page.keyboard.press('Escape')
  await visit(page, '/schedule')
  const address = await page.getByRole('link', { name: /Cutting a spar/ }).getAttribute('href')
  await visit(page, `${address}/release`)
  await expect(page.getByRole('heading', { level: 1, name: /Cutting a spar/ })).toBeVisible()
  await page.keyboard.press('n')
  const notebook = page.getByRole('complementary', { name: /Notebook/ })
  await expect(notebook.getByRole('textbox', { name: 'Note' })).toBeVisible()
  await notebook.getByRole('button', { name: 'Links and files' }).click()
  await look('notebook')
  await notebook.getByRole('button', { name: 'Close the notebook' }).click()
  await page.keyboard.press('/')
  await expect(page.getByRole('combobox', { name: /Find an episode/ })).toBeFocused()
  await look('find or do')
  await page.keyboard.press('Escape')
  await page.keyboard.press('?')
  await expect(page.getByRole('heading', { name: 'Shortcuts' })).toBeVisible()
  await look('shortcuts')
  for (const small of ['/jot', '/post']) {
    await page.goto(small)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await look(small)
  }
})

test('axe finds nothing on the first screen, and it fits without sideways scrolling', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByLabel('Name of the show')).toBeVisible()
  expect(await findings(page)).toEqual([])
  await page.getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByRole('alert')).toContainText('A show needs a name')
  expect(await findings(page)).toEqual([])
})

test('the theme is kept and set before the first paint', async ({ desk: page }) => {
  await demo(page, '/settings')
  await page.getByRole('radio', { name: 'Daylight' }).click()
  await expect(page.getByRole('radio', { name: 'Daylight' })).toBeChecked()
  await stored(page)
  await page.reload()
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'daylight')
  await expect(page.getByRole('radio', { name: 'Daylight' })).toBeChecked()
})

test('every stage has an address and a title in the tab; what is not there is said', async ({
  desk: page,
}) => {
  await demo(page, '/schedule')
  const address = await page.getByRole('link', { name: /Steaming oak ribs/ }).getAttribute('href')
  for (const stage of ['Thumbnail', 'Release']) {
    await visit(page, `${address}/${stage.toLowerCase()}`)
    await expect(page).toHaveTitle(`#42 ${stage}: Steaming oak ribs without a steam box · Lamp Reel`)
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(1280)
  }
  await visit(page, `${address}/edit`)
  await expect(page.locator('link[rel="icon"]')).toHaveAttribute('href', /^data:image\/svg/)
  await visit(page, '/episode/ZZZZ')
  await expect(page.getByRole('heading', { name: 'No episode has the code ZZZZ' })).toBeVisible()
  await visit(page, '/nowhere/at/all')
  await expect(page.getByRole('heading', { name: 'Nothing is here' })).toBeVisible()
})

test('the demo: Today, the strip, Slots and the episode say the same', async ({ desk: page }) => {
  await demo(page)
  await expect(page.getByRole('region', { name: 'Next step' })).toContainText('Film the shots')
  await expect(page.getByRole('complementary', { name: 'Next out' })).toContainText(
    'Thu 26 Nov 17:00, 2 d 8 h',
  )
  await expect(page.getByRole('complementary', { name: 'Next out' })).toContainText('still missing')
  await page
    .getByRole('complementary', { name: 'Next out' })
    .getByRole('button', { name: /^Drop the last/ })
    .click()
  await expect(
    page.getByRole('complementary', { name: 'Next out' }).getByRole('button', { name: /^Drop the last/ }),
  ).toHaveCount(0)
  await page.keyboard.press('3')
  const row = page.getByRole('row', { name: /Why my keel bolts wept rust/ })
  await expect(row.getByRole('button', { name: '#43 Film: working, late 2 d' })).toBeVisible()
  await page
    .getByRole('button', {
      name: /^#43 Why my keel bolts wept rust, goes out Thu 3 Dec, in 9 d, late on Film/,
    })
    .click()
  await expect(page.getByRole('checkbox', { name: /is done/ }).first()).toBeVisible()
  for (const box of await page.getByRole('checkbox').all()) await box.check()
  await expect(page.getByRole('link', { name: 'Film: lit' })).toBeVisible()
  await page.keyboard.press('3')
  await expect(row.getByRole('button', { name: '#43 Film: lit' })).toBeVisible()
  await expect(
    page.getByRole('button', {
      name: /^#43 Why my keel bolts wept rust, goes out Thu 3 Dec, in 9 d, story$/,
    }),
  ).toBeVisible()
})

test('the strip winds by wheel, keys and drag, and comes back to now', async ({ desk: page }) => {
  await demo(page)
  const film = page.locator('.reel')
  const left = () => film.evaluate((e) => e.scrollLeft)
  const now = await left()
  await film.hover()
  await page.mouse.wheel(0, -900)
  await expect.poll(left).toBeLessThan(now - 500)
  await expect(page.getByRole('button', { name: /#38 384 copper nails, released/ })).toBeAttached()
  await page.keyboard.press('0')
  await expect.poll(left).toBe(now)
  const box = await film.boundingBox()
  if (!box) throw new Error('no strip')
  await page.mouse.move(box.x + 900, box.y + 48)
  await page.mouse.down()
  await page.mouse.move(box.x + 300, box.y + 48, { steps: 6 })
  await page.mouse.up()
  await expect.poll(left).toBeGreaterThan(now + 500)
  await expect(page).toHaveURL(/today/)
  await page.getByRole('button', { name: 'Now' }).click()
  await expect.poll(left).toBe(now)
  await page.getByRole('button', { name: /^#42 Steaming/ }).focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('button', { name: /^#43 Why my keel/ })).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1, name: 'Why my keel bolts wept rust' })).toBeVisible()
})
