import { outOfWindow } from '../../ideas/usable'
import type { Day, Episode, Id, Records, Show } from '../../records'
import { titleOf } from '../../release/parts'
import { type Result, ok, refused } from '../../result'
import { addDays } from '../../rhythm/days'
import { type Slot, slotsTaken, slotsOf } from '../../rhythm/slots'
import { type Change, type Context, type Outcome, withChanges, momentOf, putRecord } from '../change'
import { keptAlong, unmetPromises } from './kept'
import { todayOf } from '../step-of'

/** A show's slots from a date on that may hold an episode, in order of release, with what stands on each. */
export function lane(
  records: Records,
  show: Show,
  from: Day,
  now: number,
): { slot: Slot; episode: Episode | undefined }[] {
  const filled = slotsTaken(show, records.episodes)
  return slotsOf(show, addDays(from, -40), addDays(from, 800))
    .filter((s) => !s.skipped && s.at > now)
    .map((slot) => ({ slot, episode: filled.get(slot.original) }))
}

export function onSlot(records: Records, id: Id): Result<{ episode: Episode; show: Show; day: Day }> {
  const episode = records.episodes.get(id)
  const show = episode && records.shows.get(episode.show)
  if (!episode || !show) return refused('This episode is no longer there.', 'episodes')
  if (episode.place.kind !== 'slot' || episode.phase.kind !== 'work')
    return refused(`“${titleOf(episode)}” is on no slot. Put it on one first.`, 'episodes.place')
  return ok({ episode, show, day: episode.place.day })
}

export function moved(
  records: Records,
  moves: readonly { episode: Episode; to: Slot }[],
  context: Context,
  sentence: string,
): Result<Outcome> {
  const stale = moves.flatMap(({ episode, to }) => {
    const why = outOfWindow(episode.nature, to.day)
    return why === undefined ? [] : [`“${titleOf(episode)}” is then ${why}`]
  })
  const changes: Change[] = moves.map(({ episode, to }) =>
    putRecord(records, 'episodes', {
      ...episode,
      place: { kind: 'slot', day: to.original },
      placedOn: todayOf(records, context),
      updatedAt: momentOf(context),
    }),
  )
  const show = records.shows.get(moves[0]?.episode.show ?? '')
  if (show) changes.push(...keptAlong(records, show, moves, context))
  const next = withChanges(records, changes)
  const unkeptThen = moves.flatMap(({ episode, to }) => (show ? unmetPromises(next, show, to, episode) : []))
  return ok({
    changes,
    sentence: [sentence, ...stale, ...unkeptThen].join('. '),
    about: moves.map((m) => m.episode.id),
  })
}

/** What a push would move, and where to: the episode and all in a row behind it, up to the next open slot. */
export function pushed(records: Records, id: Id, now: number): Result<{ episode: Episode; to: Slot }[]> {
  const read = onSlot(records, id)
  if (!read.ok) return read
  const { show, day } = read.value
  const row = lane(records, show, day, now)
  const at = row.findIndex((x) => x.slot.original === day)
  if (at < 0) return refused('Its slot has passed. Move it to the next open one.', 'episodes.place')
  const moves: { episode: Episode; to: Slot }[] = []
  for (let i = at; row[i]?.episode; i++) {
    const [here, next] = [row[i], row[i + 1]]
    if (!here?.episode || !next)
      return refused(`${show.title} has no later slot to push to.`, 'episodes.place')
    moves.push({ episode: here.episode, to: next.slot })
  }
  return ok(moves)
}
