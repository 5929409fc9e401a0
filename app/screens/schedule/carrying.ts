import { watch } from 'vue'
import type { Change } from '@core/commands/change'
import { moveToSlot, placeOnOwn } from '@core/commands/schedule'
import { honours, unhonoured } from '@core/rhythm/reserve'
import { outOfWindow } from '@core/ideas/usable'
import { sayDay } from '@core/rhythm/days'
import { releaseOf } from '@core/rhythm/slots'
import type { Outlook } from '@core/plan/outlook'
import type { Day, Episode } from '@core/records'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { usePromises } from '@app/stores/promises'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { usePlan } from '@app/stores/plan'
import { saying, sayNothing } from '@app/ui/drag/carry'

/** A place to carry an episode to: a slot, or without one a date on which it goes out by itself. */
export interface Goal {
  original?: Day | undefined
  day: Day
}

/**
 * Says what putting an episode on another slot would do: its new due date, who is pushed, what is not
 * honoured or stale, and (a moment after the hand rests) the outlook before and after of all that moves.
 */
export function useCarrying(): {
  over: (card: Card, goal: Goal | undefined, words?: string) => void
  put: (card: Card, goal: Goal) => Promise<unknown>
  end: () => void
} {
  const library = useLibrary()
  const cards = useCards()
  const moment = useMoment()
  const promises = usePromises()
  const plan = usePlan()
  let key = ''
  let rests: ReturnType<typeof setTimeout> | undefined
  let looked: { asked: string; after: ReadonlyMap<string, Outlook>; ids: readonly string[] } | undefined
  const most = 4

  /** Puts it there: who stands on a slot is pushed on, as `over` said. */
  function put(card: Card, { original, day }: Goal) {
    const { id } = card.episode
    return original === undefined
      ? library.perform(placeOnOwn, { episode: id, day, time: card.show.rhythm.time })
      : library.perform(moveToSlot, { episode: id, day: original })
  }
  /** What it would change. */
  function changesBy(card: Card, { original, day }: Goal): Change[] {
    const { id } = card.episode
    return original === undefined
      ? library.look(placeOnOwn, { episode: id, day, time: card.show.rhythm.time })
      : library.look(moveToSlot, { episode: id, day: original })
  }
  /** The episodes that are another by it: itself, and those that are pushed. */
  function movedBy(changes: readonly Change[]): Episode[] {
    const after = changes.flatMap((c) => (c.table === 'episodes' && c.after ? [c.after] : []))
    // One that is moved twice on the way stands where it comes to last.
    return [...new Map(after.map((e) => [e.id, e])).values()]
  }

  function over(card: Card, goal: Goal | undefined, words = ''): void {
    const next = goal ? `${card.episode.id} ${goal.original ?? ''} ${goal.day}` : words
    if (next === key) return
    key = next
    clearTimeout(rests)
    saying.outlook = ''
    const { place } = card.episode
    if (!goal || (place.kind === 'slot' && place.day === goal.original)) {
      saying.says = goal ? 'Back where it was' : words
      return
    }
    const changes = changesBy(card, goal)
    const then = movedBy(changes)
    const others = then.flatMap((e) => {
      const day = e.id === card.episode.id ? undefined : releaseOf(e, card.show)?.day
      return day === undefined ? [] : [{ id: e.id, day }]
    })
    const mine = then.find((e) => e.id === card.episode.id)
    const due = mine && cards.standingAs(mine)?.next?.due
    const kept = promises.keptFor(card.show.id, goal.original ?? '')
    const stale = outOfWindow(card.episode.nature, goal.day)
    saying.says = [
      `To ${sayDay(goal.day, moment.today)}`,
      due === undefined ? '' : `next step due ${sayDay(due)}`,
      others.length > 0
        ? `moves ${others
            .slice(0, most)
            .map((m) => `${cards.card(m.id)?.number ?? ''} to ${sayDay(m.day)}`)
            .join(', ')}${others.length > most ? ` and ${others.length - most} more` : ''}`
        : '',
      kept && !honours(kept.reservation, card.episode, library.tables.launches)
        ? unhonoured(kept.reservation)
        : '',
      stale === undefined ? '' : `it is then ${stale}`,
    ]
      .filter(Boolean)
      .join('; ')
    const asked = key
    rests = setTimeout(() => {
      void look(changes, [card.episode.id, ...others.map((m) => m.id)], asked)
    }, 140)
  }
  async function look(changes: readonly Change[], ids: readonly string[], asked: string): Promise<void> {
    const after = await plan.afterwards(changes)
    if (asked !== key) return
    looked = { asked, after, ids }
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
  return { over, put, end }
}
