import type { Day, Episode, Figure, Id, Show } from '../../records'
import { ok, refused } from '../../result'
import { titleOf } from '../../release/parts'
import { type Command, momentOf, putRecord } from '../change'

const isSame = (a: Figure, b: Figure) => a.age === b.age && a.outlet === b.outlet

/** The figures with one more: what it says of its age and outlet holds, what it does not say stays. */
function withFigure(figures: readonly Figure[], figure: Figure): Figure[] {
  const old = figures.find((f) => isSame(f, figure))
  return [...figures.filter((f) => f !== old), { ...old, ...figure }].sort(
    (a, b) => a.age - b.age || ((a.outlet ?? '') < (b.outlet ?? '') ? -1 : 1),
  )
}

/**
 * Keeps figures of episodes: one that is there for the same age and outlet is replaced, as far as the new one says
 * anything. The order of rows does not matter but for those of the same age and outlet, where the last holds; the same
 * twice changes nothing.
 *
 * Refused:
 * - “There is nothing new in these figures.”
 * - “An episode of these figures is no longer there.”
 */
export const keepFigures: Command<{ rows: readonly { episode: Id; figure: Figure }[] }> = (
  records,
  { rows },
  context,
) => {
  const kept = new Map<Id, Episode>()
  for (const { episode: id, figure } of rows) {
    const episode = kept.get(id) ?? records.episodes.get(id)
    if (!episode) return refused('An episode of these figures is no longer there.', 'episodes')
    kept.set(id, { ...episode, figures: withFigure(episode.figures, figure) })
  }
  const at = momentOf(context)
  const changed = [...kept.values()].filter(
    (e) => JSON.stringify(e.figures) !== JSON.stringify(records.episodes.get(e.id)?.figures),
  )
  const [first] = changed
  if (!first) return refused('There is nothing new in these figures.', 'episodes.figures')
  return ok({
    changes: changed.map((e) => putRecord(records, 'episodes', { ...e, updatedAt: at })),
    sentence: `Kept figures of ${changed.length === 1 ? `“${titleOf(first)}”` : `${changed.length} episodes`}`,
    about: changed.map((e) => e.id),
  })
}

/**
 * Takes a figure away.
 *
 * Refused:
 * - “This figure is no longer there.”
 */
export const dropFigure: Command<{ episode: Id; age: number; outlet?: Id | undefined }> = (
  records,
  { episode: id, age, outlet },
  context,
) => {
  const episode = records.episodes.get(id)
  const found = episode?.figures.find((f) => f.age === age && f.outlet === outlet)
  if (!episode || !found) return refused('This figure is no longer there.', 'episodes.figures')
  return ok({
    changes: [
      putRecord(records, 'episodes', {
        ...episode,
        figures: episode.figures.filter((f) => f !== found),
        updatedAt: momentOf(context),
      }),
    ],
    sentence: `Took the figures after ${age} d away`,
    about: [id],
  })
}

/**
 * Keeps how many follow a show on a date; one of the same date is replaced.
 *
 * Refused:
 * - “This show is no longer there.”
 */
export const keepFollowers: Command<{ show: Id; on: Day; count: number }> = (
  records,
  { show: id, on, count },
  context,
) => {
  const show = records.shows.get(id)
  if (!show) return refused('This show is no longer there.', 'shows')
  const followers: NonNullable<Show['followers']> = [
    ...(show.followers ?? []).filter((f) => f.on !== on),
    { on, count },
  ].sort((a, b) => (a.on < b.on ? -1 : 1))
  return ok({
    changes: [putRecord(records, 'shows', { ...show, followers, updatedAt: momentOf(context) })],
    sentence: `${count.toLocaleString('en')} follow ${show.title}`,
    about: [],
  })
}
