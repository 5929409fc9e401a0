import { sum } from 'd3-array'
import fc from 'fast-check'
import { after, exampleEpisode, exampleRecords, valueOf } from '../examples'
import { withChanges, checked, inverse, type Change, type Context } from '../commands/change'
import { handStep } from '../commands/work/hand-step'
import { withFollowOns } from '../commands/follow'
import { commandNames, doDeed } from '../commands/random-deeds'
import { withSession } from '../commands/random/with-session'
import { placeOnSlot } from '../commands/schedule/place-on-slot'
import { startWork } from '../commands/schedule/start-work'
import { faultsOf } from '../formats/whole-check'
import { readBackup, writeBackup } from '../formats/backup'
import { recordsOf, rowsOf, type Day, type Id, type Records } from '../records'
import { addDays, dayNumber, weekday } from '../rhythm/days'
import { creatorZone } from '../rhythm/creator'
import { momentAt } from '../rhythm/zone'
import { dayFigures } from '../views/day'
import { weekRows, type WeekStep } from '../views/week'
import type { StepState } from '../recipe/progress'
import { forecast } from './forecast'
import { hoursOn, minutesByDay, minutesOn } from './load'
import { occurrencesOf } from './standing'
import { forecastOf, stateOf, type State } from './state'
import { runs } from '../runs'

/** A creator far from Greenwich, so that a day in UTC is another one for some hours of each. */
const zone = 'America/Chicago'
const start = momentAt('2026-10-26', '09:00', zone)

function world(): Records {
  const records = exampleRecords(
    ['Ribs', 'Keel', 'Spar', 'Oars', 'Tar'].map((title, i) =>
      exampleEpisode({ id: `e${i}`, code: `AB2${i + 2}`, title }),
    ),
    'full',
    { zone, rhythm: { rule: 'FREQ=WEEKLY;BYDAY=TH', start: '2026-10-01', time: '17:00' } },
  )
  const context = { now: start, id: () => 'x' }
  let r = after(records, placeOnSlot(records, { episode: 'e0', day: '2026-11-05' }, context))
  r = after(r, placeOnSlot(r, { episode: 'e1', day: '2026-11-12' }, context))
  r = after(r, startWork(r, { episode: 'e2' }, context))
  return withSession(r, 'e2', '2026-10-26', context)
}

/**
 * What a day's figures, the week's row and the plan say must be the same thing, and no step stand before
 * what it needs.
 */
function agree(records: Records, now: number): State {
  const state = stateOf(records, now)
  const { today, hours, load, open, working, following } = state
  const planned = minutesByDay(load)
  const days = Array.from({ length: 14 }, (_, i) => addDays(addDays(today, -weekday(today)), i))
  const steps = new Map<Id, WeekStep & { due: Day | undefined }>(
    [...working, ...following].flatMap((w) =>
      w.standing.steps.map((s) => [s.step.id, { step: s.step, needs: s.needs, due: s.due }] as const),
    ),
  )
  const elsewhere = [...records.steps.values()].flatMap((step) =>
    steps.has(step.id) ? [] : [[step.id, { step, needs: [], due: undefined }] as const],
  )
  const rows = weekRows({
    days,
    today,
    zone: creatorZone(records.shows.values()),
    hours,
    blocks: load.blocks,
    tasks: open.tasks,
    steps: new Map([...steps, ...elsewhere]),
    occurrences: occurrencesOf([...records.standing.values()], days[0] ?? today, days.at(-1) ?? today),
    busy: [...records.busy.values()],
    sessions: [...records.sessions.values()],
    running: undefined,
  })
  for (const row of rows) {
    if (row.past) continue
    const f = dayFigures(hours, planned, row.day)
    expect([row.day, row.used, row.room]).toEqual([row.day, f.taken + f.worked + f.planned, f.whole])
    expect([row.day, row.more]).toEqual([row.day, f.over])
    // A day's hours are never below what was worked, and what is laid by planning alone fits into what is
    // left.
    expect(f.left).toBe(minutesOn(hours, row.day))
    expect(f.left).toBe(Math.max(0, hoursOn(hours, row.day) - f.taken - f.worked))
    const fixed = load.blocks.some((b) => b.day === row.day && b.fixed)
    // Beyond them goes only what is due on the day itself.
    const due = sum(load.blocks, (b) =>
      b.day === today && (steps.get(b.id)?.due ?? '9') <= today ? b.minutes : 0,
    )
    if (!fixed && row.day === today) expect(f.planned - due).toBeLessThanOrEqual(f.left)
    else if (!fixed) expect(f.planned).toBeLessThanOrEqual(f.left)
  }
  const begins = new Map<Id, Day>()
  const ends = new Map<Id, Day>()
  for (const b of load.blocks) {
    if (b.day < (begins.get(b.id) ?? '9999')) begins.set(b.id, b.day)
    if (b.day > (ends.get(b.id) ?? '')) ends.set(b.id, b.day)
  }
  const needs = (at: ReadonlyMap<Id, Day>, until: ReadonlyMap<Id, Day>) => {
    for (const t of open.tasks)
      for (const n of t.needs) {
        const [first, last] = [at.get(t.id), until.get(n)]
        if (first !== undefined && last !== undefined)
          expect([t.id, n, last <= first]).toEqual([t.id, n, true])
      }
  }
  needs(begins, ends)
  for (const row of rows) {
    const place = new Map(row.mine.map((b, i) => [`${b.kind === 'done' ? 'done ' : ''}${b.step}`, i]))
    for (const b of row.mine)
      if (b.kind !== 'done')
        for (const n of b.needs) {
          const [mine, need] = [place.get(b.step) ?? 0, place.get(n)]
          if (need !== undefined) expect(need).toBeLessThan(mine)
        }
  }
  // One answer to what is next: a free step of the episode that is undone, and nothing free is due before it.
  for (const { standing } of following) {
    // Of what is out only what follows the release is work, and what lies on a day lies after it.
    for (const s of standing.steps.filter((x) => x.left)) {
      expect(standing.stages.find((x) => x.stage.id === s.step.stage)?.stage.kind).toBe('after')
      expect((begins.get(s.step.id) ?? '9999') >= (standing.release?.day ?? '')).toBe(true)
    }
    expect(standing.next?.left).toBe(true)
  }
  for (const { standing, episode } of working) {
    const undone = standing.steps.filter((s) => s.left)
    expect([episode.id, standing.next === undefined]).toEqual([episode.id, undone.length === 0])
    // One's own moves come before those of others.
    const isMine = (s: StepState) => s.free && s.step.owner === 'me' && !s.step.waiting
    const mine = undone.filter(isMine)
    const free = mine.length > 0 ? mine : undone.filter((s) => s.free)
    if (standing.next && free.length > 0) {
      expect(standing.next.free).toBe(true)
      expect(free.every((s) => (s.due ?? '') >= (standing.next?.due ?? ''))).toBe(true)
    }
    expect([episode.id, standing.ready]).toEqual([
      episode.id,
      undone.every((s) => !s.step.required || s.step.lead.kind === 'after') && standing.missing.length === 0,
    ])
  }
  // Without chance, what lies on a day is not done before it, so nothing is ready before its last block.
  const sure = new Map(
    (['research', 'write', 'prepare', 'film', 'record', 'edit', 'design', 'admin'] as const).map((k) => [
      k,
      { median: 1, sigma: 0, seen: 9 },
    ]),
  )
  const of = forecastOf(state, hours, today, { paces: sure, lost: 0 })
  const release = new Map(
    open.tasks.flatMap((t) => (t.release === undefined ? [] : [[t.id, t.episode] as const])),
  )
  for (const o of forecast({ ...of, draws: 1 })) {
    const lies = load.blocks.filter((b) => b.fixed && release.get(b.id) === o.episode).map((b) => b.day)
    expect([o.episode, o.p50 >= Math.max(0, ...lies.map(dayNumber))]).toEqual([o.episode, true])
  }
  return state
}

const deed = fc.record({
  name: fc.constantFrom(...commandNames),
  numbers: fc.array(fc.nat({ max: 10_000 }), { minLength: 7, maxLength: 7 }),
  minutes: fc.constantFrom(20, 90, 240, 600, 1440, 2880),
  turn: fc.nat({ max: 14 }).map((x) => (x === 0 ? 'undo' : x === 1 ? 'restore' : 'go on')),
})

/** The records as they come back from a back-up. */
function restored(records: Records): Records {
  const whole = { tables: rowsOf(records), journal: [], files: [] }
  const { tables } = valueOf(readBackup(writeBackup(whole, '2026-11-24T09:00:00.000Z')))
  return recordsOf(tables)
}

test('through random days of work, loss, release and undo every screen says the same, and nothing stands before what it needs', () => {
  const done = new Map<string, number>()
  fc.assert(
    fc.property(fc.array(deed, { minLength: 4, maxLength: 22 }), (row) => {
      let records = world()
      let now = start
      let made = 0
      const past: Change[][] = []
      for (const d of row) {
        now += d.minutes * 60_000
        const context: Context = { now, id: () => `id${++made}` }
        if (d.turn === 'restore') records = restored(records)
        else if (d.turn === 'undo' && past.length > 0)
          records = withChanges(records, inverse(past.pop() ?? []))
        else {
          let at = 0
          const n = (most: number) => (d.numbers[at++ % 7] ?? 0) % most
          const result = doDeed(d.name, { r: records, c: context, n })
          if (!result.ok) continue
          const whole = checked(withFollowOns(records, result.value, context))
          if (!whole.ok) continue
          const full = whole.value
          records = withChanges(records, full.changes)
          past.push(full.changes)
          done.set(d.name, (done.get(d.name) ?? 0) + 1)
        }
        agree(records, now)
      }
      // What commands leave behind breaks no rule between records, and comes back from a back-up as it was.
      expect(faultsOf(rowsOf(records))).toEqual([])
      expect(restored(records)).toEqual(records)
    }),
    { numRuns: runs(16), endOnFailure: true },
  )
  // Many commands were really done, not only refused; that each can be is held by the registry's own test.
  expect(done.size).toBeGreaterThan(commandNames.length * 0.22)
})

test('others’ work holds back what needs it until it is expected', () => {
  const r = world()
  const film = [...r.steps.values()].find((s) => s.episode === 'e0' && s.line === 'film')
  const handed = after(r, handStep(r, { step: film?.id ?? '', owner: 'Jo' }, { now: start, id: () => 'x' }))
  const state = agree(handed, start)
  const cut = state.load.blocks.find((b) => b.id === 'e0/rough')
  expect(state.open.tasks.filter((t) => t.hold !== undefined).map((t) => t.id)).toEqual([film?.id])
  expect(cut && cut.day >= addDays(state.today, 4)).toBe(true)
})
