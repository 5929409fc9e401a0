import type { Day, Episode, Id, Records, Show } from '../records'
import { outOfWindow } from '../ideas/usable'
import { titleOf } from '../release/parts'
import { fine, refused, type Result } from '../result'
import { addDays, sayDay } from '../rhythm/days'
import { filledSlots, slotsOf, type Slot } from '../rhythm/slots'
import { applied, momentOf, putting, type Change, type Command, type Context, type Done } from './change'
import { keptAlong, unkept } from './promise'
import { placeOnSlot } from './schedule'

/** A show's slots from a date on that may hold an episode, in order of release, with what stands on each. */
function lane(
  records: Records,
  show: Show,
  from: Day,
  now: number,
): { slot: Slot; episode: Episode | undefined }[] {
  const filled = filledSlots(show, records.episodes.values())
  return slotsOf(show, addDays(from, -40), addDays(from, 800))
    .filter((s) => !s.skipped && s.at > now)
    .map((slot) => ({ slot, episode: filled.get(slot.original) }))
}

function onSlot(records: Records, id: Id): Result<{ episode: Episode; show: Show; day: Day }> {
  const episode = records.episodes.get(id)
  const show = episode && records.shows.get(episode.show)
  if (!episode || !show) return refused('This episode is no longer there.', 'episodes')
  if (episode.place.on !== 'slot' || episode.phase.name !== 'work')
    return refused(`“${titleOf(episode)}” is on no slot. Put it on one first.`, 'episodes.place')
  return fine({ episode, show, day: episode.place.day })
}

function moved(
  records: Records,
  moves: readonly { episode: Episode; to: Slot }[],
  context: Context,
  sentence: string,
): Result<Done> {
  const stale = moves.flatMap(({ episode, to }) => {
    const why = outOfWindow(episode.nature, to.day)
    return why === undefined ? [] : [`“${titleOf(episode)}” is then ${why}`]
  })
  const changes: Change[] = moves.map(({ episode, to }) =>
    putting(records, 'episodes', {
      ...episode,
      place: { on: 'slot', day: to.original },
      updatedAt: momentOf(context),
    }),
  )
  const show = records.shows.get(moves[0]?.episode.show ?? '')
  if (show) changes.push(...keptAlong(records, show, moves, context))
  const next = applied(records, changes)
  const unkeptThen = moves.flatMap(({ episode, to }) => (show ? unkept(next, show, to, episode) : []))
  return fine({
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
  return fine(moves)
}

/** Pushes an episode and all in a row behind it one slot later, up to the next open slot. */
export const pushEpisode: Command<{ episode: Id }> = (records, { episode }, context) => {
  const moves = pushed(records, episode, context.now)
  if (!moves.ok) return moves
  const first = moves.value[0]
  return moved(
    records,
    moves.value,
    context,
    `Pushed “${first ? titleOf(first.episode) : ''}” to ${sayDay(first?.to.day ?? '')}${moves.value.length > 1 ? `, ${moves.value.length - 1} more one slot later` : ''}`,
  )
}

/** Closes a gap: the episodes in a row behind an open slot each move one slot earlier. */
export const pullEpisodes: Command<{ show: Id; day: Day }> = (records, { show: id, day }, context) => {
  const show = records.shows.get(id)
  if (!show) return refused('This show is no longer there.', 'shows')
  const row = lane(records, show, day, context.now)
  const at = row.findIndex((x) => x.slot.original === day)
  const gap = row[at]
  if (!gap || gap.episode) return refused('This slot is not open.', 'episodes.place')
  const begin = row.findIndex((x, i) => i > at && x.episode)
  if (begin < 0) return refused('No episode stands behind it.', 'episodes.place')
  const moves: { episode: Episode; to: Slot }[] = []
  for (let i = begin, to = at; row[i]?.episode; i++, to++) {
    const [here, there] = [row[i], row[to]]
    if (here?.episode && there) moves.push({ episode: here.episode, to: there.slot })
  }
  return moved(
    records,
    moves,
    context,
    `Closed the gap on ${sayDay(gap.slot.day)}: ${moves.length} ${moves.length === 1 ? 'episode' : 'episodes'} earlier`,
  )
}

/** Swaps the slots of two episodes of one show. */
export const swapEpisodes: Command<{ episode: Id; other: Id }> = (records, { episode, other }, context) => {
  const [a, b] = [onSlot(records, episode), onSlot(records, other)]
  if (!a.ok) return a
  if (!b.ok) return b
  if (a.value.show.id !== b.value.show.id)
    return refused('They belong to different shows, each with its own rhythm.', 'episodes.place')
  const slot = (day: Day) => slotsOf(a.value.show, day, day)[0]
  const [toA, toB] = [slot(b.value.day), slot(a.value.day)]
  if (!toA || !toB) return refused('One of the slots is no longer there.', 'episodes.place')
  return moved(
    records,
    [
      { episode: a.value.episode, to: toA },
      { episode: b.value.episode, to: toB },
    ],
    context,
    `Swapped “${titleOf(a.value.episode)}” and “${titleOf(b.value.episode)}”`,
  )
}

/** Moves an episode to a slot of its show; who stands there is pushed on, so that nobody loses a place. */
export const moveToSlot: Command<{ episode: Id; day: Day }> = (records, { episode: id, day }, context) => {
  const episode = records.episodes.get(id)
  const show = episode && records.shows.get(episode.show)
  if (!episode || !show) return refused('This episode is no longer there.', 'episodes')
  const there = filledSlots(show, records.episodes.values()).get(day)
  if (!there || there.id === id) return placeOnSlot(records, { episode: id, day }, context)
  // Its own slot is free for those that are pushed.
  const lifted = new Map(records.episodes)
  lifted.set(id, { ...episode, place: { on: 'nothing' } })
  const push = pushEpisode({ ...records, episodes: lifted }, { episode: there.id }, context)
  if (!push.ok) return push
  const placed = placeOnSlot(applied(records, push.value.changes), { episode: id, day }, context)
  if (!placed.ok) return placed
  return fine({
    changes: [...push.value.changes, ...placed.value.changes],
    sentence: `${placed.value.sentence}; ${push.value.sentence.replace(/^P/, 'p')}`,
    about: [...new Set([...placed.value.about, ...push.value.about])],
  })
}
