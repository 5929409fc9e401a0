import type { Episode, Id, Show } from '../../records'
import { ok, refused } from '../../result'
import { displacedBy, releaseOf } from '../../rhythm/slots'
import { dayAt } from '../../rhythm/zone'
import { type Change, type Command, momentOf, putRecord } from '../change'
import { replaced } from '../schedule/replaced'
import { type Displaced, type RhythmChange, keptElsewhere, withRhythm } from './new-rhythm'

/**
 * Changes a show's rhythm. Episodes that lose their slot go, as the wish says, onto the nearest open slots
 * in order, keep their date as a one-off, go off the schedule, or back to Ideas; none is dropped.
 *
 * Refused:
 * - “This show is no longer there.”
 * - and what `withRhythm` refuses
 */
export const changeRhythm: Command<RhythmChange & { show: Id; displaced: Displaced }> = (
  records,
  wish,
  context,
) => {
  const show = records.shows.get(wish.show)
  if (!show) return refused('This show is no longer there.', 'shows')
  const changed = withRhythm(show, wish, dayAt(context.now, show.zone))
  if (!changed.ok) return changed
  const at = momentOf(context)
  const displaced = displacedBy(show, changed.value, records.episodes.values())
  const moves: Change[] =
    wish.displaced === 'nearest'
      ? replaced(records, changed.value, displaced, context)
      : displaced.map((e) =>
          putRecord(records, 'episodes', { ...withoutSlot(e, show, wish.displaced), updatedAt: at }),
        )
  const kept = keptElsewhere(records, changed.value, dayAt(context.now, show.zone)).map(
    ({ reservation, to }) =>
      putRecord(records, 'reservations', { ...reservation, kept: { kind: 'slot', day: to }, updatedAt: at }),
  )
  return ok({
    changes: [putRecord(records, 'shows', { ...changed.value, updatedAt: at }), ...moves, ...kept],
    sentence: `Changed the rhythm of ${show.title}`,
    about: displaced.map((e) => e.id),
  })
}

function withoutSlot(episode: Episode, show: Show, how: Displaced): Episode {
  const release = releaseOf(episode, show)
  if (how === 'keep' && release)
    return { ...episode, place: { kind: 'own', day: release.day, time: release.time } }
  return {
    ...episode,
    place: { kind: 'nothing' },
    ...(how === 'ideas' ? { phase: { kind: 'idea' as const } } : {}),
  }
}
