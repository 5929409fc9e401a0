import { watch } from 'vue'
import { pushed } from '@core/commands/schedule/moved'
import { honours, unhonoured } from '@core/rhythm/reserve'
import { outOfWindow } from '@core/ideas/usable'
import { dayNumber, dayOf, daysBetween, sayDay } from '@core/rhythm/days'
import type { Outlook } from '@core/plan/outlook'
import type { Day } from '@core/records'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { usePromises } from '@app/stores/promises'
import { useSchedule } from '@app/stores/schedule'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { usePlan } from '@app/stores/plan'
import { saying, sayNothing } from '@app/ui/drag/carry'

/** A slot as a place to carry an episode to. */
export interface Goal {
  original: Day
  day: Day
}

/**
 * Says what putting an episode on another slot would do: its new due date, who is pushed, what is not
 * honoured or stale, and (a moment after the hand rests) the outlook before and after of all that moves.
 */
export function useCarrying(): {
  over: (card: Card, goal: Goal | undefined, words?: string) => void
  end: () => void
} {
  const library = useLibrary()
  const cards = useCards()
  const moment = useMoment()
  const promises = usePromises()
  const schedule = useSchedule()
  const plan = usePlan()
  let key = ''
  let rests: ReturnType<typeof setTimeout> | undefined
  let looked: { asked: string; after: ReadonlyMap<string, Outlook>; ids: readonly string[] } | undefined
  const most = 4

  function over(card: Card, goal: Goal | undefined, words = ''): void {
    const next = goal ? `${card.episode.id} ${goal.original} ${goal.day}` : words
    if (next === key) return
    key = next
    clearTimeout(rests)
    saying.outlook = ''
    const { place } = card.episode
    if (!goal || (place.kind === 'slot' && place.day === goal.original)) {
      saying.says = goal ? 'Back where it was' : words
      return
    }
    const there = schedule.onSlot(card.show.id, goal.original)
    const moves =
      there && there.episode.id !== card.episode.id
        ? pushed(library.records, there.episode.id, moment.now)
        : undefined
    const others = moves?.ok ? moves.value.filter((m) => m.episode.id !== card.episode.id) : []
    const shift = card.standing.release ? daysBetween(card.standing.release.day, goal.day) : undefined
    const due = card.standing.next?.due
    const kept = promises.keptFor(card.show.id, goal.original)
    const stale = outOfWindow(card.episode.nature, goal.day)
    saying.says = [
      `To ${sayDay(goal.day, moment.today)}`,
      due !== undefined && shift !== undefined
        ? `next step due ${sayDay(dayOf(dayNumber(due) + shift))}`
        : '',
      others.length > 0
        ? `moves ${others
            .slice(0, most)
            .map((m) => `${cards.card(m.episode.id)?.number ?? ''} to ${sayDay(m.to.day)}`)
            .join(', ')}${others.length > most ? ` and ${others.length - most} more` : ''}`
        : '',
      kept && !honours(kept.reservation, card.episode, library.records.launches)
        ? unhonoured(kept.reservation)
        : '',
      stale === undefined ? '' : `it is then ${stale}`,
    ]
      .filter(Boolean)
      .join('; ')
    const asked = key
    rests = setTimeout(() => {
      void look(
        card,
        goal,
        others.map((m) => [m.episode.id, m.to.day]),
        asked,
      )
    }, 140)
  }
  async function look(
    card: Card,
    goal: Goal,
    others: readonly [string, Day][],
    asked: string,
  ): Promise<void> {
    const after = await plan.whatIf({ moved: { ...Object.fromEntries(others), [card.episode.id]: goal.day } })
    if (asked !== key) return
    looked = { asked, after, ids: [card.episode.id, ...others.map(([id]) => id)] }
    tell()
  }
  /** Says what was looked ahead to beside what is; where the forecast of that is still to come, once it is there. */
  function tell(): void {
    if (looked?.asked !== key) return
    const { after, ids } = looked
    saying.outlook = ids
      .slice(0, most)
      .flatMap((id) => {
        const [before, next, of] = [plan.outlooks.get(id), after.get(id), cards.card(id)]
        return before && next && of
          ? [
              before.is === next.is
                ? `${of.number} stays ${next.is}`
                : `${of.number} ${before.is} → ${next.is}`,
            ]
          : []
      })
      .join(', ')
  }
  watch(() => plan.outlooks, tell)
  function end(): void {
    key = ''
    clearTimeout(rests)
    sayNothing()
  }
  return { over, end }
}
