import { effectScope } from 'vue'
import { exampleAt, exampleNow } from '@core/examples'
import { firstOutlet } from '@core/commands/shows/first-outlet'
import { handStates } from '@core/commands/release/hand-over'
import { moveKey } from '@core/release/moves'
import type { Outlet, Records } from '@core/records'
import { exampleWorld } from '@core/views/example-cards'
import { deskThatDoes } from '@app/stores/example-desk'
import { afterAnyDeeds, andAllOfItBack } from '@app/stores/example-life'
import { useCards } from '@app/stores/cards'
import { useDialogs } from '@app/stores/dialogs'
import { useRelease } from './useRelease'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))
const pushed: { name: string; params: object }[] = []
jest.mock('vue-router', () => ({
  useRouter: () => ({ push: (to: { name: string; params: object }) => pushed.push(to) }),
}))
jest.mock('@app/data/stand-in-line', () => ({ StandInLine: jest.fn(), standInKey: jest.fn() }))

const outlet = (id: string, fields: Partial<Outlet>): Outlet => ({
  ...firstOutlet(id, 'video', exampleAt),
  ...fields,
})
/** The example’s show at three outlets: the first, a letter half an hour after, and excerpts at noon of two days. */
function world(): Records {
  const records = exampleWorld()
  const letter = outlet('letter', {
    name: 'Newsletter',
    required: ['title', 'description'],
    takes: ['title', 'description'],
    titleLimit: 40,
    when: { kind: 'minutes', minutes: 30 },
  })
  const short = outlet('short', {
    name: 'Short films',
    required: ['title', 'thumbnail'],
    takes: ['title', 'tags', 'thumbnail'],
    when: { kind: 'days', days: 1, time: '12:00' },
  })
  const shows = [...records.shows.values()].map((s) => ({ ...s, outlets: [...s.outlets, 'letter', 'short'] }))
  return {
    ...records,
    outlets: new Map([...records.outlets, ['letter', letter], ['short', short]]),
    shows: new Map(shows.map((s) => [s.id, s])),
  }
}

function screen(records: Records, now = exampleNow) {
  const desk = deskThatDoes(records, now)
  const scope = effectScope()
  const of = scope.run(useRelease)
  if (!of) throw new Error('no screen')
  return {
    desk,
    of,
    end: () => {
      scope.stop()
    },
  }
}
type Life = ReturnType<typeof screen>
const things = ({ of }: Life) => of.view.value.rows.flatMap((r) => r.things)

/** What must hold of the screen, whatever was done. Gives back how many things it looked at. */
function holds(life: Life): number {
  const { of, desk } = life
  const { rows, week, moves } = of.view.value
  const now = desk.moment.now
  for (const row of rows) {
    const soon = row.things.filter((t) => t.at <= now + 7 * 86_400_000)
    expect([row.outlet.name, row.soon, row.ready]).toEqual([
      row.outlet.name,
      soon.length,
      soon.filter((t) => t.isReady).length,
    ])
    expect(row.things.map((t) => t.at)).toEqual(row.things.map((t) => t.at).sort((a, b) => a - b))
  }
  const all = things(life)
  expect(new Set(all.map(of.idOf)).size).toBe(all.length)
  for (const t of all) {
    const open = t.parts.filter((p) => p.isRequired && p.state !== 'there')
    expect([of.idOf(t), t.isReady]).toEqual([of.idOf(t), open.length === 0])
  }
  // Each unready thing of the week is mended by doing all the moves that name it.
  for (const t of week.filter((x) => !x.isReady)) {
    const mine = new Set(moves.filter((m) => m.mends.includes(t)).map((m) => m.key))
    for (const part of t.lacking)
      if (part.mend)
        expect([of.idOf(t), part.field, mine.has(moveKey(t, part))]).toEqual([of.idOf(t), part.field, true])
  }
  for (const m of moves) expect(m.mends.length).toBeGreaterThan(0)
  const unready = week.filter((t) => !t.isReady).length
  if (moves.length > 0) expect(of.lead.value).toContain(`of the ${unready} unready`)
  else expect(of.lead.value).toMatch(/ready\.$|^Nothing goes out/)
  if (all.length > 0) expect(of.here.value).toBeDefined()
  return all.length
}

/** Takes a step of the screen: one state of one thing, a field copied, or back. */
async function act(life: Life, kind: string, n: number): Promise<void> {
  const { of, desk } = life
  const all = things(life)
  const t = all[n % Math.max(1, all.length)]
  if (kind === 'undo') desk.undo()
  if (!t) return
  of.look(t)
  expect(of.here.value && of.idOf(of.here.value)).toBe(of.idOf(t))
  const part = of.copyable(t).find((p) => !of.isCopied(t, p))
  if (kind === 'copy' && part) {
    await of.copy(t, part)
    const now = things(life).find((x) => of.idOf(x) === of.idOf(t))
    expect(now && of.isCopied(now, part)).toBe(true)
  }
  if (kind === 'state') {
    const state = handStates[n % handStates.length] ?? 'prepared'
    const before = of.since(t, state)
    of.say(t, state)
    const after = things(life).find((x) => of.idOf(x) === of.idOf(t))
    // What was seen live is asked about no more; at the first outlet a dialog asks since when.
    if (useDialogs().open) useDialogs().close()
    else if (after && desk.refused.length === 0)
      expect([of.idOf(t), state, of.since(after, state) === undefined]).toEqual([
        of.idOf(t),
        state,
        before !== undefined,
      ])
    desk.refused.length = 0
  }
}

Object.assign(globalThis, { navigator: { clipboard: { writeText: () => Promise.resolve() } } })

describe('Release, whatever is done', () => {
  test('its rows, frames, moves and its sentence say the same after any deeds of the program', () => {
    afterAnyDeeds(() => screen(world()), holds, { seed: 20_261_130, enough: 12 })
  })

  test('what is said of a thing stands there, is copied once, and goes away by undo', async () => {
    const kinds = ['state', 'state', 'copy', 'undo']
    await andAllOfItBack(() => screen(world()), kinds, act, holds, { seed: 20_261_131 })
  })

  test('a move leads to where it is done, or does it: tags that are too many are dropped for all at once', () => {
    const many = Array.from({ length: 60 }, (_, i) => `wooden boats ${i}`)
    const records = world()
    const [first] = records.episodes.values()
    if (!first) throw new Error('no episode')
    const life = screen({
      ...records,
      episodes: new Map([...records.episodes, [first.id, { ...first, tags: many }]]),
    })
    const tags = life.of.view.value.moves.find((m) => m.part === 'tags')
    if (!tags) throw new Error('no move')
    life.of.mend(tags)
    expect(pushed).toEqual([])
    expect(life.of.view.value.moves.some((m) => m.part === 'tags')).toBe(false)
    const left = life.desk.library.records.episodes.get(first.id)?.tags ?? []
    expect(left.length).toBeGreaterThan(5)
    expect(many.slice(0, left.length)).toEqual(left)
    const title = life.of.view.value.moves.find((m) => m.part === 'title')
    if (title) life.of.mend(title)
    expect(pushed.at(-1)).toMatchObject({ name: 'episode', params: { code: first.code, stage: 'brief' } })
    life.end()
  })

  test('out at its moment: the first outlet’s thing leaves the row, what hangs on it stays, and follows', () => {
    const life = screen(world())
    const main = life.of.view.value.rows[0]?.things[0]
    if (!main) throw new Error('nothing goes out')
    life.desk.moment.now = main.at + 60_000
    life.of.say(main, 'live')
    expect(useCards().released.map((e) => e.id)).toEqual([main.card.episode.id])
    const still = things(life).filter((t) => t.card.episode.id === main.card.episode.id)
    expect(still.map((t) => t.outlet.name)).toEqual(['Newsletter', 'Short films'])
    const [letter] = still
    if (!letter) throw new Error('no letter')
    life.of.say(letter, 'live')
    expect(things(life).filter((t) => t.card.episode.id === main.card.episode.id)).toHaveLength(1)
    expect(life.of.isSeen({ ...letter, card: useCards().card(main.card.episode.id) ?? letter.card })).toBe(
      true,
    )
    life.end()
  })
})
