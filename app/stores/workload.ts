import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { Outlook } from '@core/plan/outlook'
import { horizon, minutesByDay } from '@core/plan/load'
import { hoursIn, planOf } from '@core/plan/state'
import { isReadId } from '@core/plan/reads'
import { readyDays } from '@core/plan/work'
import type { Day, Id } from '@core/records'
import { daysBetween } from '@core/rhythm/days'
import type { Card } from '@core/views/card'
import { dayFigures, type DayFigures } from '@core/views/day'
import { sayDecides, verdictOf, type Verdict } from '@core/views/verdict'
import { useCards } from './cards'
import { useDesk } from './desk'
import { useLibrary } from './library'
import { useMoment } from './moment'

/** The hours there are and the work that lies on them: the one plan that every screen shows. */
export const useWorkload = defineStore('workload', () => {
  const library = useLibrary()
  const moment = useMoment()
  const cards = useCards()
  const desk = useDesk()
  /** The hours of days, less what standing work, busy time and what was worked take of them. */
  const standing = computed(() => library.tables.standing)
  const busy = computed(() => library.tables.busy)
  const sessions = computed(() => library.tables.sessions)
  const everyStep = computed(() => library.tables.steps)
  const hours = computed(() =>
    hoursIn(
      {
        settings: library.tables.settings,
        shows: library.tables.shows,
        standing: standing.value,
        busy: busy.value,
        sessions: sessions.value,
        steps: everyStep.value,
      },
      moment.today,
    ),
  )

  /** All open work, and how it lies on days: the one plan that every screen shows. */
  const passed = computed(() =>
    Math.max(
      0,
      ...cards.working.flatMap((c) =>
        c.standing.release && c.standing.release.at <= moment.minute ? [c.standing.release.at] : [],
      ),
    ),
  )
  const plan = computed(() =>
    planOf(cards.withWork, hours.value, moment.today, passed.value, {
      launches: library.tables.launches,
      jobs: library.tables.jobs,
    }),
  )
  const open = computed(() => plan.value.open)
  const load = computed(() => plan.value.load)
  const planned = computed(() => minutesByDay(load.value))

  /** The figures of a day. */
  const figuresOf = (day: Day): DayFigures => dayFigures(hours.value, planned.value, day)

  /** What was laid on days that have passed, is not done, and was not laid anew. */
  const leftOver = computed(() =>
    cards.withWork.flatMap((card) =>
      card.standing.steps
        .filter((s) => s.left && s.step.blocks.some((b) => b.day < moment.today && !b.missed))
        .map((state) => ({ card, state })),
    ),
  )
  const firstDays = computed(() => {
    const first = new Map<Id, Day>()
    for (const { id, day } of load.value.blocks) if (day < (first.get(id) ?? '9')) first.set(id, day)
    return first
  })
  /** The first day on which work on a step lies. */
  const firstDayOf = (step: Id): Day | undefined => firstDays.value.get(step)
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

  /** The one reason that an outlook gives: who is waited on, or the step that most often decides. */
  function reasonOf(outlook: Outlook | undefined): string {
    if (outlook?.is === 'too far ahead') return `only the next ${horizon / 7} weeks are forecast`
    if (isReadId(outlook?.last)) return 'depends on the sponsor’s read'
    return sayDecides(cards.stepIn.get(outlook?.last ?? '')?.state)
  }
  /** Whether a release goes out on time, and why: what every screen says of it. */
  function verdict(card: Card): Verdict {
    const outlook = desk.outlooks.get(card.episode.id)
    return verdictOf({
      standing: card.standing,
      outlook,
      days: inHandOf(card)?.days,
      decides: reasonOf(outlook),
    })
  }

  return { hours, load, open, planned, figuresOf, firstDayOf, leftOver, inHandOf, verdict }
})
