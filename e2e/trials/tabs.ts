import { begin, browser, end, folder, jotLine, openField, serve, titles } from './stage'

/**
 * Three tabs jot at once, then each places another idea on the same slot: nothing is lost, no slot is taken
 * twice.
 */
const base = 'http://127.0.0.1:4462'
const server = await serve(4462, folder('mail'))
const rounds = 6
let [missing, doubles] = [0, 0]
try {
  const context = await browser(folder('profile'))
  const first = context.pages()[0] ?? (await context.newPage())
  await begin(first, base)
  const tabs = [first, await context.newPage(), await context.newPage()]
  for (const t of tabs) {
    await t.goto(`${base}/ideas`)
    await t.getByRole('heading', { level: 1 }).waitFor()
  }
  const lines: string[] = []
  for (let r = 0; r < rounds; r++)
    for (const [i, t] of tabs.entries()) {
      await t.bringToFront()
      await openField(t)
      for (let n = 0; n < 5; n++) {
        const line = `tab ${i} round ${r} line ${n}`
        lines.push(line)
        await jotLine(t, line)
      }
      await t.keyboard.press('Escape')
    }
  await first.waitForTimeout(1500)
  const there = new Set(await titles(first))
  missing = lines.filter((l) => !there.has(l)).length
  await Promise.all(
    tabs.map(async (t, i) => {
      await t.goto(`${base}/ideas`)
      await t
        .getByText(`tab ${i} round ${rounds - 1} line 4`)
        .first()
        .click()
      await t.keyboard.press('p')
      await t
        .getByRole('list', { name: /Open slots/ })
        .getByRole('button')
        .first()
        .click()
    }),
  )
  await first.waitForTimeout(1500)
  const places = await first.evaluate(
    () =>
      new Promise<string[]>((done) => {
        const open = indexedDB.open('lamp-reel')
        open.onsuccess = () => {
          const all = open.result.transaction('episodes').objectStore('episodes').getAll()
          all.onsuccess = () => {
            open.result.close()
            done(
              all.result.flatMap((e: { phase: { kind: string }; place: { kind: string; day?: string } }) =>
                e.phase.kind === 'work' && e.place.kind === 'slot' ? [e.place.day ?? ''] : [],
              ),
            )
          }
        }
      }),
  )
  doubles = places.length - new Set(places).size
  await context.close()
} finally {
  end(server)
}
console.log(
  `tabs: ${rounds * 15} lines jotted in three tabs, ${missing} missing; ${doubles} slots taken twice`,
)
process.exitCode = missing + doubles > 0 ? 1 : 0
