import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { recipeFor } from '@core/commands/of-episode'
import type { Day, Episode, Id, Part, Show, Step } from '@core/records'
import { partMinutesOf } from '@core/plan/accuracy'
import { workedOn } from '@core/plan/worked'
import type { Outlook } from '@core/plan/forecast'
import { horizon, minutesByDay } from '@core/plan/load'
import { aheadOf, type Ahead } from '@core/plan/ready'
import { readyDays } from '@core/plan/work'
import { hoursIn, planOf } from '@core/plan/state'
import { reservedBetween } from '@core/commands/schedule/kept'
import type { Reserved } from '@core/rhythm/reserve'
import { workingDays } from '@core/recipe/due'
import { smallRecipe } from '@core/recipe/starters'
import { standingOf } from '@core/recipe/lamps'
import { titleOf } from '@core/release/parts'
import { timesUsual } from '@core/results/usual'
import { addDays, dayNumber, daysBetween } from '@core/rhythm/days'
import { framesOf, type Frame } from '@core/rhythm/film'
import { numbersOf, sayNumber, type Numbers } from '@core/rhythm/numbering'
import { filledSlots, releaseOf, slotsOf, type Slot } from '@core/rhythm/slots'
import { creatorZone, dayIn } from '@core/rhythm/creator'
import { dayAt } from '@core/rhythm/zone'
import { browserZone, now as clock } from '@app/data/clock'
import type { Card, SlotRow, StepIn } from '@core/views/card'
import { dayFigures, type DayFigures } from '@core/views/day'
import { useDesk } from './desk'
import { useLibrary } from './library'
import { useEventListener, useIntervalFn } from '@vueuse/core'

interface Kept {
  from: readonly unknown[]
  card: Card
}

/** The old row where the new one has the very same episodes. */
function unchanged(old: Episode[], fresh: Episode[]): Episode[] {
  return old.length === fresh.length && old.every((e, i) => e === fresh[i]) ? old : fresh
}

/** How many days back what is out still counts as lately. */
const lateDays = 35

const emptyRecipe = smallRecipe('none', 'video', '2026-01-01T00:00:00.000Z')

/** What screens watch: everything derived from the records and the moment, each part once. */
export const useBoard = defineStore('board', () => {
  const library = useLibrary()
  const now = ref(clock())
  const tick = () => {
    now.value = clock()
  }
  useIntervalFn(tick, 15_000)
  useEventListener('focus', tick)

  const shows = computed(() =>
    [...library.records.shows.values()].sort((a, b) =>
      a.createdAt < b.createdAt ? -1 : a.createdAt > b.createdAt ? 1 : a.id < b.id ? -1 : 1,
    ),
  )
  /** Every day on screen is a day in this zone. */
  const zone = computed(() => creatorZone(shows.value, browserZone()))
  const today = computed(() => dayAt(now.value, zone.value))
  const settings = computed(() => library.settings)
  const works = computed(() => workingDays(settings.value))
  /** The creator's day of a kept moment. */
  const dayOn = (moment: string): Day => dayIn(moment, zone.value)
  /** The hours of days, less what standing work, busy time and what was worked take of them. */
  const standing = computed(() => library.records.standing)
  const busy = computed(() => library.records.busy)
  const everyStep = computed(() => library.records.steps)
  const hours = computed(() =>
    hoursIn(
      {
        settings: library.records.settings,
        shows: library.records.shows,
        standing: standing.value,
        busy: busy.value,
        steps: everyStep.value,
      },
      today.value,
    ),
  )
  /**
   * Every episode once over: which are in work, ideas or released, and each show's that have a place, a
   * number or are out.
   */
  let last: { work: Episode[]; ideas: Episode[]; released: Episode[]; byShow: Map<Id, Episode[]> } = {
    work: [],
    ideas: [],
    released: [],
    byShow: new Map(),
  }
  const sorted = computed(() => {
    const [work, ideas, released]: [Episode[], Episode[], Episode[]] = [[], [], []]
    const byShow = new Map<Id, Episode[]>()
    for (const e of library.records.episodes.values()) {
      const { name } = e.phase
      if (name === 'work') work.push(e)
      else if (name === 'idea') ideas.push(e)
      else if (name === 'released') released.push(e)
      if (name !== 'released' && e.place.on === 'nothing' && e.number === undefined) continue
      const mine = byShow.get(e.show)
      if (mine) mine.push(e)
      else byShow.set(e.show, [e])
    }
    last = { work, ideas: unchanged(last.ideas, ideas), released: unchanged(last.released, released), byShow }
    return last
  })
  // While one types, ten thousand ideas and the releases of years are the same ones: what follows from them
  // is not derived anew.
  const everyIdea = computed(() => sorted.value.ideas)
  const everyRelease = computed(() => sorted.value.released)
  const minute = computed(() => Math.floor(now.value / 60_000) * 60_000)

  const numbers = computed(
    () =>
      new Map<Id, Numbers>(
        shows.value.map((s) => [s.id, numbersOf(s, sorted.value.byShow.get(s.id) ?? [], minute.value)]),
      ),
  )
  const stepsBy = computed(() => {
    const by = new Map<Id, Step[]>()
    for (const step of library.records.steps.values()) {
      const row = by.get(step.episode)
      if (row) row.push(step)
      else by.set(step.episode, [step])
    }
    return by
  })

  const desk = useDesk()
  /**
   * Minutes that bringing a part takes in each show, as far as that was learnt; the same object while it
   * says the same.
   */
  let learnt = new Map<Id, Partial<Record<Part, number>>>()
  const partMinutes = computed(() => {
    const by = new Map<Id, Step[]>()
    const add = (s: Step) => {
      const show = library.records.episodes.get(s.episode)?.show ?? ''
      const row = by.get(show)
      if (row) row.push(s)
      else by.set(show, [s])
    }
    for (const row of desk.past.values()) row.forEach(add)
    for (const s of everyStep.value.values()) if (!desk.past.has(s.episode)) add(s)
    const fresh = new Map([...by].map(([show, steps]) => [show, partMinutesOf(steps)]))
    if (JSON.stringify([...fresh]) !== JSON.stringify([...learnt])) learnt = fresh
    return learnt
  })
  const kept = new Map<Id, Kept>()
  /** An episode's card; derived again only when something it is derived from is another. */
  function cardOf(episode: Episode): Card | undefined {
    const { records } = library
    const show = records.shows.get(episode.show)
    if (!show) return undefined
    const recipe = recipeFor(records, episode) ?? emptyRecipe
    const script = records.scripts.get(episode.id)
    const steps = stepsBy.value.get(episode.id) ?? []
    const number = sayNumber(
      show,
      episode.number ?? numbers.value.get(show.id)?.episodes.get(episode.id),
      episode.code,
    )
    const from = [
      episode,
      show,
      recipe,
      script,
      number,
      today.value,
      works.value,
      partMinutes.value.get(show.id),
      records.outlets,
      steps.length,
      ...steps,
    ]
    const old = kept.get(episode.id)
    if (old && old.from.length === from.length && old.from.every((x, i) => x === from[i])) return old.card
    const outlets = show.outlets.flatMap((id) => records.outlets.get(id) ?? [])
    const standing = standingOf({
      episode,
      show,
      recipe,
      script,
      outlets,
      steps,
      today: today.value,
      works: works.value,
      partMinutes: partMinutes.value.get(show.id),
    })
    const card: Card = {
      episode,
      show,
      recipe,
      outlets,
      script,
      steps,
      standing,
      number,
      title: titleOf(episode),
    }
    kept.set(episode.id, { from, card })
    return card
  }

  const card = (id: Id): Card | undefined => {
    const episode = library.records.episodes.get(id)
    return episode && cardOf(episode)
  }

  const working = computed(() => sorted.value.work.flatMap((e) => cardOf(e) ?? []))
  const ideas = computed(() =>
    [...everyIdea.value].sort((a, b) => (a.createdAt > b.createdAt ? -1 : a.createdAt < b.createdAt ? 1 : 0)),
  )
  const placed = computed(() =>
    working.value
      .filter((c) => c.standing.release)
      .sort((a, b) => (a.standing.release?.at ?? 0) - (b.standing.release?.at ?? 0)),
  )
  const unplaced = computed(() => working.value.filter((c) => !c.standing.release && !c.episode.spare))
  const spares = computed(() => working.value.filter((c) => c.episode.spare && !c.standing.release))
  /** Releases whose moment has passed and that nobody has answered for. */
  const overdue = computed(() =>
    placed.value.filter((c) => (c.standing.release?.at ?? Infinity) <= now.value),
  )
  const coming = computed(() => placed.value.filter((c) => (c.standing.release?.at ?? 0) > now.value))
  /** The one reason that an outlook gives: who is waited on, or the step that most often decides. */
  function reasonOf(outlook: Outlook | undefined): string {
    if (outlook?.is === 'too far ahead') return `only ${horizon / 7} weeks are looked at`
    const last = outlook?.last
    const step = stepIn.value.get(last ?? '')?.state.step
    return step === undefined ? '' : step.waiting ? `waits on ${step.waiting.who}` : step.name
  }
  /** What is late before its release, the most late first. */
  const late = computed(() =>
    coming.value
      .filter((c) => c.standing.late !== undefined)
      .sort((a, b) => (b.standing.late ?? 0) - (a.standing.late ?? 0)),
  )
  const released = computed(() =>
    [...everyRelease.value].sort((a, b) => (releasedAt(a) < releasedAt(b) ? 1 : -1)),
  )
  const multiples = computed(() => {
    const all = new Map<Id, number>()
    for (const show of shows.value)
      for (const [id, m] of timesUsual(released.value.filter((e) => e.show === show.id).reverse()))
        all.set(id, m)
    return all
  })

  /** All open work, and how it lies on days: the one plan that every screen shows. */
  const passed = computed(() =>
    Math.max(
      0,
      ...working.value.flatMap((c) =>
        c.standing.release && c.standing.release.at <= minute.value ? [c.standing.release.at] : [],
      ),
    ),
  )
  const plan = computed(() => planOf(working.value, hours.value, today.value, passed.value))
  const open = computed(() => plan.value.open)
  const load = computed(() => plan.value.load)
  const planned = computed(() => minutesByDay(load.value))

  /** What went out lately, with its steps: their work stands in the days on which it was done. */
  const lately = computed(() => {
    const from = addDays(today.value, -lateDays)
    return everyRelease.value.flatMap((e) =>
      e.phase.name === 'released' && dayIn(e.phase.at, zone.value) >= from ? (cardOf(e) ?? []) : [],
    )
  })
  /**
   * What was worked on lately and is neither in work nor out: parked, or an idea again. Its minutes are
   * gone from the days all the same.
   */
  const laidDown = computed(() => {
    const from = addDays(today.value, -lateDays)
    const shown = new Set([...working.value, ...lately.value].map((c) => c.episode.id))
    return [...workedOn(library.records.steps.values(), zone.value, from)].flatMap((id) => {
      const episode = shown.has(id) ? undefined : library.records.episodes.get(id)
      return episode ? (cardOf(episode) ?? []) : []
    })
  })
  /** The figures of a day. */
  const figuresOf = (day: Day): DayFigures => dayFigures(hours.value, planned.value, day)
  /** A step of an episode in work, out lately or worked on lately, with its card, by the step's id. */
  const stepIn = computed(() => {
    const by = new Map<Id, StepIn>()
    for (const c of [...working.value, ...lately.value, ...laidDown.value])
      for (const state of c.standing.steps) by.set(state.step.id, { card: c, state })
    return by
  })

  /** What was laid on days that have passed, is not done, and was not laid anew. */
  const leftOver = computed(() =>
    working.value.flatMap((card) =>
      card.standing.steps
        .filter((s) => !s.done && s.step.blocks.some((b) => b.day < today.value && !b.missed))
        .map((state) => ({ card, state })),
    ),
  )
  const readyOn = computed(() => readyDays(open.value.tasks, load.value))
  /**
   * The day an episode's work before release ends as it is laid now, and the days in hand between that and
   * its release; nothing where some of it finds no room, and no day for what is ready already.
   */
  function inHandOf(c: Card): { ready: Day; days: number } | undefined {
    const { release } = c.standing
    if (!release || c.standing.ready) return undefined
    const ready = readyOn.value.get(c.episode.id)
    return ready === undefined ? undefined : { ready, days: daysBetween(ready, release.day) }
  }

  const bySlot = computed(
    () =>
      new Map(
        placed.value.flatMap((c) =>
          c.episode.place.on === 'slot' ? [[`${c.show.id} ${c.episode.place.day}`, c] as const] : [],
        ),
      ),
  )
  /** What is in work on a slot, by its original date. */
  const onSlot = (show: Id, original: Day): Card | undefined => bySlot.value.get(`${show} ${original}`)

  function rowsOf(show: Show, days: number): SlotRow[] {
    const mine = placed.value.filter((c) => c.show.id === show.id)
    const bySlot = new Map(
      mine.flatMap((c) => (c.episode.place.on === 'slot' ? [[c.episode.place.day, c] as const] : [])),
    )
    const rows: SlotRow[] = slotsOf(show, addDays(today.value, -40), addDays(today.value, days)).flatMap(
      (slot) => {
        const on = bySlot.get(slot.original)
        return on || slot.at <= now.value
          ? []
          : [
              {
                key: slot.key,
                day: slot.day,
                time: slot.time,
                at: slot.at,
                show,
                slot,
                card: undefined,
                number: numbers.value.get(show.id)?.open.get(slot.original),
              },
            ]
      },
    )
    for (const c of mine)
      if (c.standing.release)
        rows.push({
          key: c.episode.id,
          day: c.standing.release.day,
          time: c.standing.release.time,
          at: c.standing.release.at,
          show,
          slot: undefined,
          card: c,
          number: undefined,
        })
    return rows
  }
  /**
   * Every slot and release to come for some weeks, open ones too, in order of release; overdue ones first.
   */
  const rows = computed(() => shows.value.flatMap((s) => rowsOf(s, 70)).sort((a, b) => a.at - b.at))

  /** The next open slots of a show. */
  function openOf(show: Show, count: number): Slot[] {
    return rowsOf(show, 400)
      .filter((r) => r.slot && !r.slot.skipped && !r.card)
      .slice(0, count)
      .flatMap((r) => r.slot ?? [])
  }

  /** A show's frames between two dates. */
  function frames(show: Show, from: Day, to: Day): Frame[] {
    return framesOf(show, byShow.value.get(show.id) ?? [], from, to, minute.value)
  }
  const byShow = computed(() => sorted.value.byShow)
  const firstDay = computed(() => {
    let first = dayNumber(today.value)
    for (const e of released.value.slice(-1))
      first = Math.min(first, dayNumber(dayIn(releasedAt(e), zone.value)))
    return first - 10
  })

  /** How a show stands against its wish, with what is on its next slots. */
  function readyRun(show: Show): Ahead & { next: (Card | undefined)[] } {
    const within = (days: number) =>
      rowsOf(show, days)
        .filter((r) => !r.slot?.skipped && r.at > now.value)
        .sort((a, b) => a.at - b.at)
    const near = within(190)
    const next = near.length > show.readyAhead ? near : within(800)
    const slots = next.map((r) => ({
      day: r.day,
      ready: r.card?.standing.ready ?? false,
      live: r.card?.standing.live ?? false,
      topical: r.card?.episode.nature.is === 'topical',
    }))
    const kept = spares.value
      .filter((c) => c.show.id === show.id)
      .map((c) => ({
        ready: c.standing.ready,
        ...(c.episode.nature.is === 'topical'
          ? { notBefore: c.episode.nature.notBefore, staleAfter: c.episode.nature.staleAfter }
          : {}),
      }))
    return {
      ...aheadOf(slots, kept, today.value, show.readyMost),
      next: next.slice(0, Math.max(show.readyAhead, 1)).map((r) => r.card),
    }
  }

  /** What slots are kept for, by show and original date, for the year to come. */
  const reserved = computed(
    () =>
      new Map<Id, Map<Day, Reserved>>(
        library.records.reservations.size === 0
          ? []
          : shows.value.map((s) => [
              s.id,
              reservedBetween(
                library.records,
                s,
                addDays(today.value, -40),
                addDays(today.value, 400),
                filledSlots(s, byShow.value.get(s.id) ?? []),
              ),
            ]),
      ),
  )
  const keptFor = (show: Id, original: Day | undefined): Reserved | undefined =>
    original === undefined ? undefined : reserved.value.get(show)?.get(original)

  return {
    now,
    minute,
    today,
    shows,
    settings,
    hours,
    works,
    reserved,
    keptFor,
    numbers,
    card,
    cardOf,
    working,
    ideas,
    placed,
    unplaced,
    spares,
    overdue,
    coming,
    late,
    released,
    multiples,
    load,
    planned,
    stepIn,
    onSlot,
    reasonOf,
    inHandOf,
    dayOn,
    leftOver,
    figuresOf,
    open,
    zone,
    partMinutes,
    lately,
    rows,
    openOf,
    frames,
    firstDay,
    readyRun,
    releaseOf,
    tick,
  }
})

function releasedAt(e: Episode): string {
  return e.phase.name === 'released' ? e.phase.at : ''
}
