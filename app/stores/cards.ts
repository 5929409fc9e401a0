import { group } from 'd3-array'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { recipeFor } from '@core/commands/of-episode'
import { dealFor } from '@core/partners/deal-of'
import { partMinutesOf } from '@core/plan/accuracy'
import { workedOn } from '@core/plan/worked'
import { smallRecipe } from '@core/recipe/starters'
import { progressOf } from '@core/recipe/lamps'
import { followDays, hasWork, type EpisodeProgress } from '@core/recipe/progress'
import type { Episode, Id, Part, Show, Step } from '@core/records'
import { titleOf } from '@core/release/parts'
import { timesUsual } from '@core/results/usual'
import { dayIn } from '@core/rhythm/creator'
import { addDays } from '@core/rhythm/days'
import { isNumberedAlike, numbersOf, sayNumber, type Numbers } from '@core/rhythm/numbering'
import type { Card, StepIn } from '@core/views/card'
import { useDesk } from './desk'
import { useLibrary } from './library'
import { useMoment } from './moment'

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

/** Every episode with all that is derived of it, and where each stands: ideas, in work, coming, out. */
export const useCards = defineStore('cards', () => {
  const library = useLibrary()
  const moment = useMoment()
  const desk = useDesk()
  const everyStep = computed(() => library.tables.steps)
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
    for (const e of library.tables.episodes.values()) {
      const { kind } = e.phase
      if (kind === 'work') work.push(e)
      else if (kind === 'idea') ideas.push(e)
      else if (kind === 'released') released.push(e)
      if (kind !== 'released' && e.place.kind === 'nothing' && e.number === undefined) continue
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

  let counted: { shows: readonly Show[]; minute: number; of: Episode[][]; numbers: Map<Id, Numbers> } = {
    shows: [],
    minute: 0,
    of: [],
    numbers: new Map(),
  }
  /** Numbers by show; the same ones while what is typed into an episode moves nothing. */
  const numbers = computed(() => {
    const { shows, minute } = moment
    const of = shows.map((s) => sorted.value.byShow.get(s.id) ?? [])
    const isSame =
      minute === counted.minute &&
      shows.length === counted.shows.length &&
      shows.every((s, i) => s === counted.shows[i] && isNumberedAlike(of[i] ?? [], counted.of[i] ?? []))
    const found = isSame
      ? counted.numbers
      : new Map(shows.map((s, i) => [s.id, numbersOf(s, of[i] ?? [], minute)]))
    counted = { shows, minute, of, numbers: found }
    return found
  })
  const stepsBy = computed(() => group(library.tables.steps.values(), (s) => s.episode))

  /**
   * Minutes that bringing a part takes in each show, as far as that was learnt; the same object while it
   * says the same.
   */
  let learnt = new Map<Id, Partial<Record<Part, number>>>()
  let learntFrom: readonly unknown[] = []
  const partMinutes = computed(() => {
    // What has steps stays with its show, so that these alone can change what was learnt.
    const from = [desk.past, everyStep.value]
    if (from.every((x, i) => x === learntFrom[i])) return learnt
    learntFrom = from
    const by = new Map<Id, Step[]>()
    const add = (s: Step) => {
      const show = library.tables.episodes.get(s.episode)?.show ?? ''
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
  /** What an episode’s standing is read from, as the records are; nothing where its show is gone. */
  function sourcesOf(episode: Episode) {
    const { tables } = library
    const show = tables.shows.get(episode.show)
    return (
      show && {
        episode,
        show,
        recipe: recipeFor(tables, episode) ?? emptyRecipe,
        script: tables.scripts.get(episode.id),
        outlets: show.outlets.flatMap((id) => tables.outlets.get(id) ?? []),
        steps: stepsBy.value.get(episode.id) ?? [],
        deal: dealFor(tables.deals, episode, show),
        today: moment.today,
        works: moment.works,
        partMinutes: partMinutes.value.get(show.id),
      }
    )
  }
  /** How an episode would stand if it were so, with the steps that it has. */
  function standingAs(episode: Episode): EpisodeProgress | undefined {
    const sources = sourcesOf(episode)
    return sources && progressOf(sources)
  }
  const kept = new Map<Id, Kept>()
  /** An episode's card; derived again only when something it is derived from is another. */
  function cardOf(episode: Episode): Card | undefined {
    const sources = sourcesOf(episode)
    if (!sources) return undefined
    const { show, recipe, script, outlets, steps, deal } = sources
    const number = sayNumber(
      show,
      episode.number ?? numbers.value.get(show.id)?.episodes.get(episode.id),
      episode.code,
    )
    const from = [
      episode,
      deal,
      show,
      recipe,
      script,
      number,
      sources.today,
      sources.works,
      sources.partMinutes,
      library.tables.outlets,
      steps.length,
      ...steps,
    ]
    const old = kept.get(episode.id)
    if (old && old.from.length === from.length && old.from.every((x, i) => x === from[i])) return old.card
    const standing = progressOf(sources)
    const card: Card = {
      episode,
      show,
      recipe,
      outlets,
      script,
      steps,
      deal,
      standing,
      number,
      title: titleOf(episode),
    }
    kept.set(episode.id, { from, card })
    return card
  }

  const card = (id: Id): Card | undefined => {
    const episode = library.tables.episodes.get(id)
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
    placed.value.filter((c) => (c.standing.release?.at ?? Infinity) <= moment.now),
  )
  const coming = computed(() => placed.value.filter((c) => (c.standing.release?.at ?? 0) > moment.now))

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
    for (const show of moment.shows)
      for (const [id, m] of timesUsual(released.value.filter((e) => e.show === show.id).reverse()))
        all.set(id, m)
    return all
  })

  const outSince = (days: number) => {
    const from = addDays(moment.today, -days)
    // Of the releases of years most are told apart by their date alone, whatever the zone.
    const near = addDays(from, -1)
    return everyRelease.value.flatMap((e) =>
      e.phase.kind === 'released' && e.phase.at >= near && dayIn(e.phase.at, moment.zone) >= from
        ? (cardOf(e) ?? [])
        : [],
    )
  }
  /** Out, with work left that follows the release. */
  const following = computed(() => outSince(followDays + 1).filter((c) => hasWork(c.standing)))
  /** What went out lately, with its steps: their work stands in the days on which it was done. */
  const lately = computed(() => outSince(lateDays))
  /** Everything with work in it: in work, or out with something left to do. */
  const withWork = computed(() => [...working.value, ...following.value])
  /**
   * What was worked on lately and is neither in work nor out: parked, or an idea again. Its minutes are
   * gone from the days all the same.
   */
  const laidDown = computed(() => {
    const from = addDays(moment.today, -lateDays)
    const shown = new Set([...working.value, ...lately.value].map((c) => c.episode.id))
    return [...workedOn(library.tables.steps.values(), moment.zone, from)].flatMap((id) => {
      const episode = shown.has(id) ? undefined : library.tables.episodes.get(id)
      return episode ? (cardOf(episode) ?? []) : []
    })
  })

  /** A step of an episode in work, out lately or worked on lately, with its card, by the step's id. */
  const stepIn = computed(() => {
    const by = new Map<Id, StepIn>()
    for (const c of [...lately.value, ...laidDown.value, ...withWork.value])
      for (const state of c.standing.steps) by.set(state.step.id, { card: c, state })
    return by
  })

  /** What of each show has a place, a number or is out. */
  const byShow = computed(() => sorted.value.byShow)

  return {
    numbers,
    byShow,
    partMinutes,
    card,
    cardOf,
    standingAs,
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
    lately,
    following,
    withWork,
    stepIn,
  }
})

/** The moment at which an episode went out; empty where it did not. */
export function releasedAt(e: Episode): string {
  return e.phase.kind === 'released' ? e.phase.at : ''
}
