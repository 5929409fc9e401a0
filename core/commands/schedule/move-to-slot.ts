import type { Day, Id } from '../../records'
import { ok, refused } from '../../result'
import { slotsTaken } from '../../rhythm/slots'
import { type Command, withChanges } from '../change'
import { placeOnSlot } from './place-on-slot'
import { pushEpisode } from './push-episode'

/**
 * Moves an episode to a slot of its show; who stands there is pushed on, so that nobody loses a place.
 *
 * Refused:
 * - “This episode is no longer there.”
 * - and what `pushEpisode`, `placeOnSlot` refuse
 */
export const moveToSlot: Command<{ episode: Id; day: Day }> = (records, { episode: id, day }, context) => {
  const episode = records.episodes.get(id)
  const show = episode && records.shows.get(episode.show)
  if (!episode || !show) return refused('This episode is no longer there.', 'episodes')
  const there = slotsTaken(show, records.episodes).get(day)
  if (!there || there.id === id) return placeOnSlot(records, { episode: id, day }, context)
  // Its own slot is free for those that are pushed.
  const lifted = new Map(records.episodes)
  lifted.set(id, { ...episode, place: { kind: 'nothing' } })
  const push = pushEpisode({ ...records, episodes: lifted }, { episode: there.id }, context)
  if (!push.ok) return push
  const placed = placeOnSlot(withChanges(records, push.value.changes), { episode: id, day }, context)
  if (!placed.ok) return placed
  return ok({
    changes: [...push.value.changes, ...placed.value.changes],
    sentence: `${placed.value.sentence}; ${push.value.sentence.replace(/^P/, 'p')}`,
    about: [...new Set([...placed.value.about, ...push.value.about])],
  })
}
