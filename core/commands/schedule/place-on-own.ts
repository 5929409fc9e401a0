import { ClockTime as Clock, type ClockTime, Day, type Id } from '../../records'
import { titleOf } from '../../release/parts'
import { ok, refused } from '../../result'
import { sayDay } from '../../rhythm/days'
import { momentAt } from '../../rhythm/zone'
import { type Command, putRecord } from '../change'
import { begun, found, working } from './placing'
import { todayOf } from '../step-of'

/**
 * Gives an episode a release moment of its own, off the rhythm. Refused for an impossible date or one that
 * has passed.
 *
 * Refused:
 * - “It has already been released.”
 * - “… … has passed. Choose a moment still to come.”
 * - and what `found` refuses
 */
export const placeOnOwn: Command<{ episode: Id; day: Day; time: ClockTime }> = (
  records,
  { episode: id, day, time },
  context,
) => {
  const read = found(records, id)
  if (!read.ok) return read
  const { episode, show } = read.value
  if (episode.phase.kind === 'released') return refused('It has already been released.', 'episodes.phase')
  const date = Day.safeParse(day)
  if (!date.success) return refused(date.error.issues[0]?.message ?? '', 'episodes.place.day')
  const clock = Clock.safeParse(time)
  if (!clock.success) return refused(clock.error.issues[0]?.message ?? '', 'episodes.place.time')
  if (momentAt(day, time, show.zone) <= context.now)
    return refused(`${sayDay(day)} ${time} has passed. Choose a moment still to come.`, 'episodes.place.day')
  return ok({
    changes: [
      putRecord(records, 'episodes', {
        ...working(records, episode, context),
        place: { kind: 'own', day, time },
        placedOn: todayOf(records, context),
        spare: false,
      }),
      ...begun(records, episode, context),
    ],
    sentence: `Put “${titleOf(episode)}” on ${sayDay(day)}, ${time}`,
    about: [id],
  })
}
