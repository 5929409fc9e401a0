import fc from 'fast-check'
import { effectScope } from 'vue'
import { after, exampleContext, exampleNow, exampleScript } from '@core/examples'
import { planSession } from '@core/commands/sessions'
import { exampleWorld } from '@core/views/example-cards'
import type { Records, Script, Session } from '@core/records'
import { shotsToGet } from '@core/script/to-camera'
import { useCards } from '@app/stores/cards'
import { deskThatDoes } from '@app/stores/example-desk'
import { useSession } from './useSession'
import { useSessionDeeds } from './useSessionDeeds'
import { runs } from '@core/runs'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))
let clock = 0
jest.mock('@app/data/clock', () => ({
  now: () => clock,
  browserZone: () => 'Europe/Lisbon',
  newId: () => 'new',
}))

const places = ['Bench', 'Yard', 'Slip']
/** Words to camera and four shots of an episode, each at a place of its own, one after the other again. */
function scriptOf(episode: string): Script {
  const script = exampleScript(
    { Hook: ['The plane shaves.', 'It curls.'], End: ['It holds.', 'So.'] },
    episode,
  )
  let n = 0
  for (const section of script.sections)
    for (const beat of section.beats) {
      const place = places[n % places.length]
      const plan = { place, minutes: 5 + n, could: n === 3 }
      beat.cues = [{ id: `${episode}-${n}`, kind: 'shot', text: `Shot ${n}`, got: false, shot: plan }]
      n++
    }
  return script
}

/** The session of three episodes, laid on today, and what can be done in it. */
function session() {
  const bare = exampleWorld()
  const scripts = new Map([...bare.episodes.keys()].map((e) => [e, scriptOf(e)]))
  const world: Records = { ...bare, scripts }
  const steps = [...world.steps.values()].filter((s) => s.kind === 'film').map((s) => s.id)
  const wish = { id: 'day', kind: 'film' as const, day: '2026-11-24', steps }
  const desk = deskThatDoes(after(world, planSession(world, wish, exampleContext())))
  clock = exampleNow
  const scope = effectScope()
  const found = scope.run(() => {
    const here = (): Session => {
      const now = desk.library.records.sessions.get('day')
      if (!now) throw new Error('no session')
      return now
    }
    const seen = useSession(here)
    return { here, seen, deeds: useSessionDeeds(here, seen) }
  })
  if (!found) throw new Error('no scope')
  const pass = (minutes: number) => {
    desk.pass(minutes)
    clock = desk.moment.now
    found.seen.now.value = clock
  }
  return {
    ...found,
    desk,
    pass,
    end: () => {
      scope.stop()
    },
  }
}
type Life = ReturnType<typeof session>

/** What must hold at any moment. */
function holds({ seen, here, desk }: Life) {
  const row = seen.row.value.map((i) => i.id)
  const put = seen.put.value.map((i) => i.id)
  expect(new Set([...row, ...put]).size).toBe(row.length + put.length)
  expect(seen.got.value + seen.open.value.length).toBe(row.length)
  const { run } = here()
  if (run.kind === 'running') expect([...row, ...put]).toContain(run.at)
  // The film: one behind the other, nothing over another, everything of the row on it once.
  let end = 0
  for (const cell of seen.cells.value) {
    expect(cell.start).toBeGreaterThanOrEqual(end)
    end = cell.start + cell.minutes
  }
  const onFilm = seen.cells.value.flatMap((c) => c.item?.id ?? [])
  expect(onFilm).toEqual(row)
  // By set-up the same things in the same order, and as many changes as are said.
  expect(seen.setUps.value.flatMap((s) => s.items.map((i) => i.id))).toEqual(row)
  const clockNow = seen.clock.value
  if (clockNow) {
    expect(clockNow.ends).toBeGreaterThanOrEqual(seen.now.value)
    expect(clockNow.at).toBeLessThanOrEqual(end)
    expect(clockNow.breaks).toBeGreaterThanOrEqual(0)
  }
  // What is counted here is what Film counts.
  const listed = [...seen.row.value, ...seen.put.value]
  for (const card of seen.episodes.value) {
    const { got, needed } = shotsToGet(desk.library.records.scripts.get(card.episode.id), card.show)
    const mine = listed.filter((i) => i.episode === card.episode.id)
    expect([card.episode.id, mine.length, mine.filter((i) => i.got).length]).toEqual([
      card.episode.id,
      needed,
      got,
    ])
  }
}

const acts = fc.array(
  fc.record({
    act: fc.constantFrom(
      'got',
      'again',
      'off',
      'back',
      'turn',
      'move',
      'pause',
      'reorder',
      'add',
      'note',
      'undo',
    ),
    n: fc.nat(30),
    minutes: fc.integer({ min: 1, max: 20 }),
  }),
  { minLength: 8, maxLength: 25 },
)

/** Does one thing, as its key would; true where there was something to do. */
async function act({ seen, deeds, here, desk }: Life, what: string, n: number): Promise<void> {
  const item = seen.row.value[n % Math.max(1, seen.row.value.length)]?.id ?? ''
  const { run } = here()
  const paused = run.kind === 'running' && run.pause !== undefined
  switch (what) {
    case 'got':
      await (paused ? deeds.go() : deeds.take(true))
      break
    case 'again':
      await deeds.take(false, n % 2 ? 'focus' : '')
      break
    case 'off':
      await deeds.off(item, true)
      break
    case 'back':
      await deeds.off(seen.put.value[0]?.id ?? '', false)
      break
    case 'turn':
      deeds.turn(n % 2 ? 1 : -1)
      break
    case 'move':
      deeds.move(item, n % 2 ? 1 : -1)
      break
    case 'pause':
      await deeds.pause(!paused)
      break
    case 'reorder':
      await deeds.reorder()
      break
    case 'add':
      await deeds.add(`Gulls ${n}`, n % 2 ? seen.episodes.value[0]?.episode.id : undefined)
      break
    case 'note':
      await deeds.note('hold it')
      break
    default:
      desk.undo()
  }
}

/** Sets up, ticks what is looked at, and rolls. */
async function roll({ deeds, seen, pass }: Life) {
  await deeds.go()
  seen.before.value.forEach(() => {
    deeds.checkNext()
  })
  pass(30)
  await deeds.go()
  await deeds.go()
}

describe('a session, whatever is done in it', () => {
  test('says the same everywhere at any moment, and undo takes all of it back', async () => {
    let done = 0
    await fc.assert(
      fc.asyncProperty(acts, async (row) => {
        const life = session()
        const before = life.desk.library.records
        await roll(life)
        expect(life.here().run.kind).toBe('running')
        for (const { act: what, n, minutes } of row) {
          life.pass(minutes)
          await act(life, what, n)
          if (life.here().run.kind !== 'running') break
          holds(life)
          done++
        }
        while (life.desk.undo());
        expect(life.desk.library.records).toEqual(before)
        life.end()
      }),
      { numRuns: runs(10), seed: 20_261_127, endOnFailure: true },
    )
    expect(done).toBeGreaterThan(120)
  })

  test('struck, what was got stays got; a step is done exactly where all its must-haves are, else planned again', async () => {
    let [whole, broken] = [0, 0]
    await fc.assert(
      fc.asyncProperty(acts, async (row) => {
        const life = session()
        await roll(life)
        for (const { act: what, n, minutes } of row) {
          life.pass(minutes)
          if (what !== 'undo') await act(life, what, n)
        }
        // Most of the rest is got, so that some are whole.
        for (let i = 0; i < 12 && life.seen.open.value.length > 0; i++) await act(life, 'got', i)
        const got = new Set(life.seen.row.value.filter((i) => i.got).map((i) => i.id))
        const episodes = life.seen.episodes.value
        await life.deeds.strike()
        const { records } = life.desk.library
        const { run } = life.here()
        if (run.kind !== 'struck') throw new Error('not struck')
        expect(run.got).toBe(got.size)
        const cards = useCards()
        for (const { episode, show } of episodes) {
          const { shotsOf } = await import('@core/session/items')
          const shots = shotsOf({ episode, show, script: records.scripts.get(episode.id) })
          const isWhole = shots.every((s) => s.got || !s.shot.must)
          const film = cards.card(episode.id)?.standing.steps.find((s) => s.step.kind === 'film')
          expect([episode.id, film?.done]).toEqual([episode.id, isWhole])
          if (isWhole) whole++
          else {
            broken++
            expect(film?.minutesLeft).toBeGreaterThan(0)
          }
        }
        life.end()
      }),
      { numRuns: runs(10), seed: 20_261_128, endOnFailure: true },
    )
    expect(Math.min(whole, broken)).toBeGreaterThan(2)
  })
})
