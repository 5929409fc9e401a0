import { max } from 'd3-array'
import { agreedOn } from '../partners/visits'
import { dayNumber, dayOf } from '../rhythm/days'
import { givesWay } from '../plan/task'
import { isOthers } from '../plan/work'
import { workedByDay } from '../plan/worked'
import type { Day, Id, Records } from '../records'
import { momentAt } from '../rhythm/zone'
import { runs } from '../runs'
import { creators, type Creator } from './creators'
import { Life, type Moment } from './life'
import { todayIn, type TodayIn } from './today-in'

/** What the day promises (`docs/day.md`), held over random lives of eight weeks of three creators. */
const weeks = 8
const lives = runs(1)

/** All that happened in the lives, each by whom and in which; lived once for all rules. */
const lived = creators.flatMap((creator) =>
  Array.from({ length: lives }, (_, seed) => {
    const moments: Moment[] = []
    new Life(creator, (seed + 1) * 7919, (moment) => {
      moments.push(moment)
    }).live(7 * weeks)
    return { creator, seed, moments }
  }),
)

function through(look: (moment: Moment & { today: Day }, creator: Creator) => void): Map<string, number> {
  const deeds = new Map<string, number>()
  for (const { creator, seed, moments } of lived)
    for (const moment of moments) {
      const { today } = moment.seen.state
      deeds.set(moment.deed, (deeds.get(moment.deed) ?? 0) + 1)
      try {
        look({ ...moment, today }, creator)
      } catch (error) {
        if (error instanceof Error)
          error.message = `${creator.name}, life ${seed}, ${today}, ${moment.deed}: ${error.message}`
        throw error
      }
    }
  return deeds
}
const enough = (deeds: Map<string, number>, ...names: string[]) => {
  for (const name of names) expect([name, (deeds.get(name) ?? 0) > 0]).toEqual([name, true])
}
/** The steps on Today, in whatever list that says to do them. */
const onToday = ({ day }: TodayIn) =>
  new Set([...day.blocks, ...day.following, day.running, day.first].flatMap((b) => b?.state.step.id ?? []))
const at = ({ seen }: Moment): TodayIn => seen
const needed = (standing: { steps: readonly { left: boolean; step: { id: Id } }[] }, ids: readonly Id[]) =>
  standing.steps.filter((s) => s.left && ids.includes(s.step.id))

test('nothing stands before a step of another episode that is due earlier', () => {
  const deeds = through((moment) => {
    const { blocks } = at(moment).day
    // What has a time of its own, and what that needs, stands where it was put.
    const put = new Set(blocks.flatMap((b) => (b.at === undefined ? [] : [b.state.step.id])))
    for (let n = -1; n !== put.size;) {
      n = put.size
      for (const b of blocks) if (put.has(b.state.step.id)) for (const need of b.state.needs) put.add(need)
    }
    const rows = blocks.filter((b) => !put.has(b.state.step.id))
    rows.forEach((row, i) => {
      for (const later of rows.slice(i + 1))
        if (later.card !== row.card)
          expect([row.state.step.id, (row.state.due ?? '9') <= (later.state.due ?? '9')]).toEqual([
            row.state.step.id,
            true,
          ])
    })
  })
  enough(deeds, 'ends', 'plans', 'releases')
})

test('what is due today and can be done is on Today; what is passed over says why, or what it needs does', () => {
  through((moment) => {
    const { day, state, figures, cards } = at(moment)
    const on = onToday(at(moment))
    const passed = new Set(day.notToday.map((s) => s.state.step.id))
    for (const s of day.notToday) expect(s.why).not.toBe('')
    const latest = max([...day.blocks, day.running, day.first], (r) => r?.state.due) ?? ''
    const until = latest > state.today ? latest : state.today
    for (const card of cards)
      for (const s of card.standing.steps) {
        const { step, due } = s
        if (!s.left || !step.required || due === undefined || due > until || on.has(step.id)) continue
        if (isOthers(step)) continue
        const holds = needed(card.standing, s.needs)
        if (holds.length > 0) continue
        expect([step.id, passed.has(step.id)]).toEqual([step.id, true])
        if (due > state.today || !s.free || (s.earliest ?? '') > state.today) continue
        // It could be done today: then a day that has hours has it, unless it lies elsewhere or is longer than the day.
        const setup = state.hours.begun?.has(step.kind) ? 0 : (state.hours.setup?.[step.kind] ?? 0)
        const fits = s.minutesLeft + setup <= figures.whole - figures.taken
        const elsewhere = step.blocks.some((b) => b.day > state.today)
        expect([step.id, fits && !elsewhere && s.minutesLeft > 0]).toEqual([step.id, false])
      }
  })
})

test('short work and what follows a release push out nothing that a coming release waits for', () => {
  through((moment) => {
    const { day, state, figures, cards } = at(moment)
    const tasks = new Map(state.open.tasks.map((t) => [t.id, t]))
    const isNeeded = (id: Id): boolean =>
      state.open.tasks.some((t) => t.needs.includes(id) && (!givesWay(t) || isNeeded(t.id)))
    const giving = state.load.blocks.filter((b) => {
      const task = tasks.get(b.id)
      return (
        b.day === state.today &&
        !b.fixed &&
        task &&
        givesWay(task) &&
        (task.due ?? '9') > state.today &&
        !isNeeded(b.id)
      )
    })
    const mine = giving.reduce((sum, b) => sum + b.minutes, 0)
    if (mine === 0) return
    const room = figures.left - figures.planned + mine
    const on = new Set(day.blocks.map((b) => b.state.step.id))
    for (const card of cards)
      for (const s of card.standing.steps) {
        const task = tasks.get(s.step.id)
        if (!task || givesWay(task) || !s.free || isOthers(s.step) || on.has(s.step.id)) continue
        if ((s.earliest ?? '') > state.today || s.step.blocks.some((b) => b.day > state.today)) continue
        const setup = state.hours.begun?.has(task.kind) ? 0 : (state.hours.setup?.[task.kind] ?? 0)
        expect([s.step.id, s.minutesLeft, room, task.minutes + setup > room]).toEqual([
          s.step.id,
          s.minutesLeft,
          room,
          true,
        ])
      }
  })
})

test('due dates that had come stand when days are lost, and none ahead goes behind the day of the loss', () => {
  const dues = (records: Records, now: number) =>
    new Map(
      todayIn(records, now).cards.flatMap((c) =>
        c.standing.steps.flatMap((s) => (s.due === undefined ? [] : [[s.step.id, s.due] as const])),
      ),
    )
  const deeds = through(({ before, records, deed, now, today }) => {
    if (deed !== 'loses days') return
    const [was, is] = [dues(before, now), dues(records, now)]
    for (const [id, due] of was) {
      const next = is.get(id) ?? ''
      if (due <= today) expect([id, next]).toEqual([id, due])
      else expect([id, due, next, next >= today]).toEqual([id, due, next, true])
    }
  })
  enough(deeds, 'loses days')
})

test('what is agreed with a guest stays, whatever else is done', () => {
  const deeds = through(({ before, records, deed, today }) => {
    const ahead = Array.from({ length: 30 }, (_, n) => dayOf(dayNumber(today) + n))
    const is = agreedOn(records, ahead, today)
    for (const a of agreedOn(before, ahead, today)) {
      const same = is.find((b) => b.step.id === a.step.id && b.guest === a.guest)
      const ended = records.steps.get(a.step.id)?.doneAt !== undefined
      const isOut = records.episodes.get(a.episode.id)?.phase.kind === 'released'
      if (ended || isOut || deed === 'agrees') continue
      expect([a.guest, same?.day, same?.at]).toEqual([a.guest, a.day, a.at])
    }
  })
  enough(deeds, 'agrees', 'loses days')
})

test('no day has more worked than the clock allows without a word, a part leaves the rest, and a helper’s hours are theirs', () => {
  const deeds = through(({ before, records, deed, sentence, now, today }, { zone }) => {
    let worked = 0
    for (const step of records.steps.values()) worked += workedByDay(step, zone).get(today) ?? 0
    const passed = Math.ceil((now - momentAt(today, '00:00', zone)) / 60_000)
    if (worked > passed && deed === 'ends') expect(sentence).toContain('more than the day has had')
    for (const step of records.steps.values()) {
      const old = before.steps.get(step.id)
      if (!old || step.doneAt !== undefined || deed !== 'ends') continue
      if (step.logged > old.logged)
        expect(Object.values(step.worked ?? {}).reduce((a, b) => a + b, 0)).toBe(step.logged)
      if (step.owner !== 'me') expect(step.logged).toBe(old.logged)
    }
    if (deed !== 'looks') return
    const mine = (r: Records) => [...r.steps.values()].filter((s) => s.owner !== 'me')
    for (const s of mine(records))
      expect([...workedByDay(s, zone)]).toEqual([...workedByDay(before.steps.get(s.id) ?? s, zone)])
  })
  enough(deeds, 'ends', 'gives', 'comes back', 'looks')
})

test('what came back from a helper is mine to look at, on Today, and nowhere once it was looked at', () => {
  const deeds = through((moment) => {
    const { records } = moment
    const { cards } = at(moment)
    for (const job of records.jobs.values()) {
      const card = cards.find((c) => c.episode.id === job.episode)
      if (!card || card.episode.phase.kind !== 'work') continue
      const looks = card.standing.steps.filter((s) => s.step.id.includes('/look-') && s.left)
      const isBack = job.ended === undefined && job.back !== undefined
      expect([job.id, looks.length]).toEqual([job.id, isBack ? 1 : 0])
      const due = looks.filter((s) => (s.due ?? '9') <= at(moment).state.today)
      const named = new Set([...onToday(at(moment)), ...at(moment).day.notToday.map((b) => b.state.step.id)])
      for (const s of due) expect([s.step.id, named.has(s.step.id)]).toEqual([s.step.id, true])
      for (const s of looks) expect([s.step.owner, s.free]).toEqual(['me', true])
    }
  })
  enough(deeds, 'comes back', 'looks')
})
