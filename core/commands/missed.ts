import type { Id } from '../records'
import { titleOf } from '../release/parts'
import { fine, refused } from '../result'
import { sayDay } from '../rhythm/days'
import { openSlots, releaseOf } from '../rhythm/slots'
import { applied, merged, momentOf, putting, type Change, type Command } from './change'
import { moveToSlot } from './moves'
import { markReleased } from './release'

/**
 * Puts an episode whose release has passed on the next slot to come, open or not; what stands there and
 * behind it moves one slot later, up to the next open one. Refused for what is not placed, or is out.
 */
export const putOnNext: Command<{ episode: Id }> = (records, { episode: id }, context) => {
  const episode = records.episodes.get(id)
  const show = episode && records.shows.get(episode.show)
  if (!episode || !show) return refused('This episode is no longer there.', 'episodes')
  const next = openSlots(show, [], context.now, 1)[0]
  return next
    ? moveToSlot(records, { episode: id, day: next.original }, context)
    : refused(`${show.title} has no slot in the next ten years.`, 'episodes.place')
}

/**
 * Skips the slot that an episode has missed: the slot is left out, the episode stays in work without a
 * date. Refused for what is on no slot.
 */
export const skipMissed: Command<{ episode: Id }> = (records, { episode: id }, context) => {
  const episode = records.episodes.get(id)
  const show = episode && records.shows.get(episode.show)
  if (!episode || !show) return refused('This episode is no longer there.', 'episodes')
  if (episode.phase.name !== 'work' || episode.place.on !== 'slot')
    return refused('It is on no slot that could be skipped.', 'episodes.place')
  const { day } = episode.place
  const at = momentOf(context)
  return fine({
    changes: [
      putting(records, 'episodes', { ...episode, place: { on: 'nothing' }, updatedAt: at }),
      putting(records, 'shows', {
        ...show,
        skipped: [...new Set([...show.skipped, day])].sort(),
        updatedAt: at,
      }),
    ],
    sentence: `Skipped ${sayDay(releaseOf(episode, show)?.day ?? day)}; “${titleOf(episode)}” has no date now`,
    about: [id],
  })
}

/**
 * Answers “is it out?” with yes for several at once, each released at its own moment, in order of release.
 * Refused when none of them can be.
 */
export const markAllReleased: Command<{ episodes: Id[] }> = (records, { episodes }, context) => {
  const at = (id: Id) => {
    const e = records.episodes.get(id)
    const show = e && records.shows.get(e.show)
    return (e && show && releaseOf(e, show)?.at) ?? 0
  }
  let now = records
  let changes: Change[] = []
  const done: Id[] = []
  for (const id of [...episodes].sort((a, b) => at(a) - at(b))) {
    const one = markReleased(now, { episode: id }, context)
    if (!one.ok) continue
    changes = merged(changes, one.value.changes)
    now = applied(now, one.value.changes)
    done.push(id)
  }
  return done.length === 0
    ? refused('They are out already, or no longer there.', 'episodes.phase')
    : fine({
        changes,
        sentence: `Released ${done.length} ${done.length === 1 ? 'episode' : 'episodes'}, each on its day`,
        about: done,
      })
}
