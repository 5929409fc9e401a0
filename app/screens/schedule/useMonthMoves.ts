import { moveToSlot, placeOnOwn, placeOnSlot } from '@core/commands/schedule'
import { addDays } from '@core/rhythm/days'
import { slotsOf } from '@core/rhythm/slots'
import type { Card } from '@core/views/card'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useLibrary } from '@app/stores/library'
import type { Target } from '@app/ui/drag/carry'
import { keysOn } from '@app/ui/keymap'
import { useCarrying } from './carrying'
import { monthKeys } from './keymap'
import type { MonthSeen } from './useMonth'

/** What moves releases of the Month to other days, by hand and by keys. */
export function useMonthMoves({ open }: MonthSeen) {
  const library = useLibrary()
  const cards = useCards()
  const moment = useMoment()
  const { over, end } = useCarrying()
  /** The slot of an episode's show on a date, or the date itself as a release of its own. */
  function goalOn(card: Card, day: string) {
    const slot = slotsOf(card.show, addDays(day, -40), addDays(day, 40)).find(
      (s) => s.day === day && !s.skipped,
    )
    return slot ? { original: slot.original, day } : { original: `own ${day}`, day }
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
          drop: (c) => (c.kind === 'episode' ? put(c.id, day) : undefined),
        }
  /** Onto the show's slot of that day; on a day without one, as a release of its own. */
  async function put(id: string, day: string) {
    const card = cards.card(id)
    if (!card) return
    const slot = slotsOf(card.show, addDays(day, -40), addDays(day, 40)).find(
      (s) => s.day === day && !s.skipped,
    )
    if (slot)
      await library.perform(open.value.has(`${day} ${card.show.id}`) ? placeOnSlot : moveToSlot, {
        episode: id,
        day: slot.original,
      })
    else await library.perform(placeOnOwn, { episode: id, day, time: card.show.rhythm.time })
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
