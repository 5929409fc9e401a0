import type { Episode } from '@core/records'
import type { Carried } from '@app/ui/drag/carry'

/** An idea as what is carried: onto an open frame of the strip, a month, a topic, a place in the order. */
export function carriedIdea(idea: Episode): Carried {
  return { kind: 'idea', id: idea.id, show: idea.show, label: idea.title }
}
