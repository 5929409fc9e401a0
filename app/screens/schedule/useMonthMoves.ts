import { moveToSlot } from '@core/commands/schedule'
import { addDays } from '@core/rhythm/days'
import { slotsOf } from '@core/rhythm/slots'
import type { Card } from '@core/views/card'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useLibrary } from '@app/stores/library'
import type { Target } from '@app/ui/drag/carry'
import { keysOn } from '@app/ui/keymap'
import { useCarrying, type Goal } from './carrying'
import { monthKeys } from './keymap'

/** What moves releases of the Month to other days, by hand and by keys. */
export function useMonthMoves() {
  const library = useLibrary()
  const cards = useCards()
  const moment = useMoment()
  const { over, put, end } = useCarrying()
  /** The slot of an episode's show on a date, or the date itself as a release of its own. */
  function goalOn(card: Card, day: string): Goal {
    const slot = slotsOf(card.show, addDays(day, -40), addDays(day, 40)).find(
      (s) => s.day === day && !s.skipped,
    )
    return { original: slot?.original, day }
  }
  const target = (day: string): Target | undefined =>
    day < moment.today
      ? undefined
      : {
          takes: (c) => c.kind === 'episode',
          over: (c) => {
            const card = c.kind === 'episode' ? cards.card(c.id) : undefined
            if (card) over(card, goalOn(card, day))
          },
          left: end,
          drop: (c) => {
            const card = c.kind === 'episode' ? cards.card(c.id) : undefined
            return card && put(card, goalOn(card, day))
          },
        }
  /** By keys it goes from slot to slot of its show. */
  async function moveBy(card: Card, by: 1 | -1) {
    const day = card.standing.release?.day
    if (!day || card.episode.phase.kind === 'released') return
    const slots = slotsOf(card.show, moment.today, addDays(day, 200)).filter(
      (s) => !s.skipped && s.at > moment.now,
    )
    const to = slots[slots.findIndex((s) => s.day === day) + by]
    if (to) await library.perform(moveToSlot, { episode: card.episode.id, day: to.original })
    document.querySelector<HTMLElement>(`[data-month-card="${card.episode.id}"]`)?.focus()
  }
  const keyed = keysOn<'move', [Card]>(monthKeys, {
    move: ({ which }, card) => {
      void moveBy(card, which % 2 === 0 ? -1 : 1)
    },
  })
  return { target, keyed }
}
