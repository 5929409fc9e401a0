import type { Card } from '@core/views/card'
import type { Carried } from '@app/ui/drag/carry'

/** An episode as what is carried: onto a slot, a date, a week. */
export function carriedEpisode(card: Card): Carried {
  return { kind: 'episode', id: card.episode.id, show: card.show.id, label: card.title }
}
