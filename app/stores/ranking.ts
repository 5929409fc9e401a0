import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { rankIdeas, whyNot, type Ranked, type Ruled } from '@core/ideas/rank'
import { backlogOf, outOfWindow, type Backlog } from '@core/ideas/usable'
import type { Day, Episode, Id, Show } from '@core/records'
import { addDays } from '@core/rhythm/days'
import { useCards } from './cards'
import { keptSame } from './kept-same'
import { useMoment } from './moment'
import { useSchedule } from './schedule'
import { useWorkload } from './workload'
import { useDesk } from './desk'
import { useLibrary } from './library'

/**
 * Which idea next: ideas ranked for a slot, two suggestions for every open slot in sight, and how long the
 * ideas last.
 */
export const useRanking = defineStore('ranking', () => {
  const library = useLibrary()
  const cards = useCards()
  const moment = useMoment()
  const schedule = useSchedule()
  const workload = useWorkload()
  const desk = useDesk()
  const episodes = computed(() => [...library.tables.episodes.values()])
  /** Weights while a slider moves, before they are kept. */
  const trying = shallowRef<typeof library.settings.weights>()
  const weights = computed(() => trying.value ?? library.settings.weights)
  const asked = keptSame(() => ({ weights: library.settings.weights, away: library.settings.away }))

  /** Minutes that are still free from today up to a date, that date's own left out. */
  function freeUpTo(day: Day): number {
    let free = 0
    for (let d = moment.today; d < day; d = addDays(d, 1)) free += workload.figuresOf(d).free
    return free
  }

  const rankFor = (show: Show, day: Day) => ({
    show,
    recipe: library.tables.recipes.get(show.recipe),
    day,
    today: moment.today,
    multiples: cards.multiples,
    keywords: library.tables.keywords,
    settings: { weights: weights.value, away: library.settings.away },
    free: freeUpTo(day),
  })
  function rank(show: Show, day: Day): { ranked: Ranked[]; ruled: Ruled[] } {
    return rankIdeas({ ...rankFor(show, day), episodes: episodes.value })
  }
  /** Why an idea, or an episode, should not go on a date; nothing where it may. */
  function why(show: Show, day: Day, episode: Episode): string | undefined {
    return episode.phase.kind === 'idea'
      ? whyNot(episode, rankFor(show, day))
      : outOfWindow(episode.nature, day)
  }

  let request = 0
  const idle = () =>
    new Promise<void>((done) => {
      if ('requestIdleCallback' in window)
        requestIdleCallback(
          () => {
            done()
          },
          { timeout: 1500 },
        )
      else setTimeout(done, 200)
    })
  /**
   * Two ideas for each of the next open slots of every show, none suggested twice; a slot at a time, when
   * the browser is idle, so that nothing is held up.
   */
  async function suggest(): Promise<void> {
    const mine = ++request
    const next = new Map<string, Ranked[]>()
    for (const show of moment.shows) {
      const used = new Set<Id>()
      for (const slot of schedule.openOf(show, 4)) {
        await idle()
        if (mine !== request) return
        const best = rank(show, slot.day)
          .ranked.filter((r) => !used.has(r.episode.id))
          .slice(0, 2)
        for (const r of best) used.add(r.episode.id)
        next.set(slot.key, best)
      }
    }
    desk.suggestions = next
  }
  const wanted = ref(false)
  let waits: ReturnType<typeof setTimeout> | undefined
  /** Waits for a pause in what is being changed. */
  function later(): void {
    clearTimeout(waits)
    waits = setTimeout(() => {
      void suggest()
    }, 250)
  }
  watch(
    [
      () => library.tables.episodes,
      () => library.tables.shows,
      () => library.tables.keywords,
      () => moment.days,
      asked,
      () => moment.today,
      wanted,
    ],
    () => {
      if (wanted.value) later()
    },
  )

  /** Asks for suggestions from now on. */
  function want(): void {
    wanted.value = true
  }
  const backlog = (show: Show): Backlog => backlogOf(show, episodes.value, moment.today)

  return { rank, why, backlog, trying, weights, want, freeUpTo }
})
