import 'temporal-polyfill/global'
import { writeBackup } from '../core/formats/backup'
import type { Cue, Script, Session } from '../core/records'
import { dayAt } from '../core/rhythm/zone'
import { demoWorld } from '../demo/world'
import { line } from './measure'
import { middleOf, openingMs } from './opening'
import { restored } from './restored'

/**
 * Lists of a session with 200 shots of four episodes, and the script of 6,000 words in 40 sections with 120 cues: from
 * a click to the painted screen, and from a key to its letter.
 */
const now = Date.now()
const stamp = { createdAt: new Date(now).toISOString(), updatedAt: new Date(now).toISOString() }
const words = 'The keel lies on its side and waits for the plane to come round again. '

/** A script of so many sections, beats of 50 words, and cues with plans to film them. */
function longScript(id: string, sections: number, cues: number): Script {
  let made = 0
  return {
    id,
    sections: Array.from({ length: sections }, (_, s) => ({
      id: `${id}/s${s}`,
      title: `Section ${s + 1}`,
      beats: Array.from({ length: 3 }, (__, b) => ({
        id: `${id}/s${s}b${b}`,
        delivery: b % 2 === 0 ? ('camera' as const) : ('voice' as const),
        text: words.repeat(3.5).trim(),
        hold: 0,
        cues: Array.from({ length: Math.ceil((cues / sections - b) / 3) }, (___, c): Cue => {
          const n = made++
          return {
            id: `${id}/c${n}`,
            kind: 'shot',
            text: `Shot ${n}`,
            got: false,
            from: c * 15,
            to: c * 15 + 8,
            shot: {
              place: `Place ${n % 5}`,
              framing: ['wide', 'close', 'hands'][n % 3] ?? 'wide',
              light: ['lamp', 'window'][n % 2] ?? 'lamp',
            },
          }
        }),
      })),
    })),
    ...stamp,
  }
}

const { whole } = demoWorld(now)
const { tables } = whole
const boats = tables.episodes.filter((e) => e.show === 'boats' && e.phase.kind === 'work').slice(0, 5)
const [long, ...filmed] = boats
if (!long || filmed.length < 4) throw new Error('The demo lacks episodes in work.')
const ids = new Set(boats.map((e) => e.id))
const isFilming = new Set(filmed.map((e) => e.id))
const filming = tables.steps.filter((s) => isFilming.has(s.episode) && s.kind === 'film')
const session: Session = {
  id: 'bench',
  kind: 'film',
  day: dayAt(now, 'Europe/Lisbon'),
  steps: filming.map((s) => s.id),
  behind: {},
  order: [],
  put: [],
  shots: [],
  checked: [],
  stretches: [],
  run: { kind: 'planned' },
  ...stamp,
}
const open = new Set(filming.map((s) => s.id))
const { page, base, end } = await restored(
  4195,
  Buffer.from(
    writeBackup(
      {
        ...whole,
        tables: {
          ...tables,
          episodes: tables.episodes.map((e) => {
            const { chosenPicture: _chosen, ...rest } = e
            return { ...rest, pictures: [], idea: { ...e.idea, images: [] } }
          }),
          steps: tables.steps.map(({ doneAt, ...s }) =>
            open.has(s.id)
              ? { ...s, blocks: [{ day: session.day, minutes: 60, pinned: true }] }
              : doneAt === undefined
                ? s
                : { ...s, doneAt },
          ),
          scripts: [
            ...tables.scripts.filter((s) => !ids.has(s.id)),
            longScript(long.id, 40, 120),
            ...filmed.map((e) => longScript(e.id, 10, 50)),
          ],
          sessions: [session],
        },
      },
      new Date(now).toISOString(),
    ),
  ),
)

const times: { painted: number; whole: number }[] = []
const things = 204
for (let i = 0; i < 7; i++) {
  if (i === 0) await page.goto(`${base}/sessions`)
  else await page.getByRole('link', { name: 'Sessions', exact: true }).click()
  await page.locator('a[href="/sessions/bench"]').first().waitFor()
  times.push(await openingMs(page, 'a[href="/sessions/bench"]', '.items li.row', things))
}
const middle = (each: (t: { painted: number; whole: number }) => number) => middleOf(times.map(each))
console.log(
  line(
    `a session of ${things} things opens: its screen, middle of 7`,
    middle((t) => t.painted),
  ),
)
console.log(
  line(
    `a session of ${things} things opens: its last row, middle of 7`,
    middle((t) => t.whole),
  ),
)

await page.goto(`${base}/episode/${long.code}/script`)
// What the program fetches once it stands, in its idle moments, is not typing.
await page.waitForTimeout(2500)
await page.locator('.beat .words').nth(60).click()
const letters: number[] = []
for (let i = 0; i < 41; i++) {
  const begin = await page.evaluate(() => performance.now())
  await page.keyboard.press('a')
  letters.push(
    await page.evaluate(
      (from) =>
        new Promise<number>((r) => {
          requestAnimationFrame(() => {
            setTimeout(() => {
              r(performance.now() - from)
            }, 0)
          })
        }),
      begin,
    ),
  )
}
letters.sort((a, b) => a - b)
console.log(line('a script of 6,000 words, key to painted letter: middle', letters[20] ?? 0))
console.log(line('a script of 6,000 words, key to painted letter: slowest of 41', letters.at(-1) ?? 0))
await end()
