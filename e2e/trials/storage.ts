import { begin, browser, end, folder, jotLine, openField, serve } from './stage'

/**
 * Records are damaged behind the program's back: it says so, every screen still draws, and its own back-up
 * can be made.
 */
const base = 'http://127.0.0.1:4463'
const server = await serve(4463, folder('mail'))
const damages: [string, string, unknown][] = [
  ['shows', 'rhythm', null],
  ['shows', 'zone', 'Nowhere/Here'],
  ['shows', 'pace', 'fast'],
  ['recipes', 'lines', 'none'],
  ['recipes', 'stages', []],
  ['outlets', 'required', 5],
  ['episodes', 'title', 7],
  ['episodes', 'phase', undefined],
  ['episodes', 'place', { kind: 'slot', day: 'never' }],
  ['episodes', 'idea', null],
  ['episodes', 'brief', 'x'],
  ['steps', 'lead', { by: 'never' }],
  ['steps', 'needs', 'all'],
  ['steps', 'blocks', [{ day: 1 }]],
  ['scripts', 'sections', null],
  ['settings', 'hours', [1]],
  ['settings', 'setup', 'x'],
  ['shows', 'title', ''],
  ['shows', 'recipe', 3],
  ['shows', 'outlets', 'all'],
  ['shows', 'aim', { from: 11, to: 8 }],
  ['shows', 'moved', []],
  ['recipes', 'name', null],
  ['recipes', 'pattern', {}],
  ['recipes', 'outline', [{}]],
  ['outlets', 'name', ''],
  ['outlets', 'titleLimit', 'long'],
  ['episodes', 'code', 'no'],
  ['episodes', 'priority', 9],
  ['episodes', 'titles', [null]],
  ['episodes', 'pictures', {}],
  ['episodes', 'cut', null],
  ['steps', 'minutes', -5],
  ['steps', 'name', ' '],
  ['scripts', 'sections', [{ id: 'a', title: 'b', beats: 'c' }]],
  ['settings', 'weights', { demand: 900 }],
]
const screens = [
  'today',
  'ideas',
  'schedule',
  'schedule/countdown',
  'schedule/month',
  'week',
  'shows',
  'settings',
]
let [told, blank] = [0, 0]
try {
  for (const [table, field, value] of damages) {
    const context = await browser(folder('profile'))
    const page = context.pages()[0] ?? (await context.newPage())
    await begin(page, base)
    await openField(page)
    await jotLine(page, 'Steaming oak ribs')
    await page.keyboard.press('Escape')
    await page.waitForTimeout(600)
    await page.goto(`${base}/ideas`)
    await page.getByText('Steaming oak ribs').first().click()
    await page.keyboard.press('p')
    await page
      .getByRole('list', { name: /Open slots/ })
      .getByRole('button')
      .first()
      .click()
    await page.waitForTimeout(600)
    await page.evaluate(
      ([t, f, v]) =>
        new Promise<void>((done) => {
          const open = indexedDB.open('lamp-reel')
          open.onsuccess = () => {
            const store = open.result.transaction(String(t), 'readwrite').objectStore(String(t))
            const all = store.getAll()
            all.onsuccess = () => {
              const put = store.put({ ...all.result[0], [String(f)]: v })
              put.onsuccess = () => {
                open.result.close()
                done()
              }
            }
          }
        }),
      [table, field, value],
    )
    await page.goto(`${base}/today`)
    const isTold = await page
      .getByText(/could not be read/)
      .first()
      .waitFor({ timeout: 8000 })
      .then(
        () => true,
        () => false,
      )
    if (isTold) told++
    else console.log(`  not told: ${table}.${field}`)
    for (const screen of screens) {
      await page.goto(`${base}/${screen}`)
      await page.waitForTimeout(350)
      const text = await page.locator('body').innerText()
      if (text.trim().length < 40) {
        blank++
        console.log(`  blank: ${screen} with ${table}.${field}`)
      }
    }
    await context.close()
  }
} finally {
  end(server)
}
console.log(
  `storage: ${damages.length} damaged records, told ${told} times; ${blank} of ${damages.length * screens.length} screens blank`,
)
process.exitCode = blank > 0 || told < damages.length ? 1 : 0
