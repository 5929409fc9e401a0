import type { Id } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'

/** The headings of a note in Markdown, of any level. */
const headingsIn = (note: string) =>
  new Set([...note.matchAll(/^#{1,6}\s+(.+?)\s*$/gm)].map((m) => (m[1] ?? '').toLowerCase()))

/**
 * Lays what was drafted for a start below what the notebook says, each part under its own heading. A part whose
 * heading is there already is left out: nothing is written over.
 *
 * Refused:
 * - “This episode is no longer there.”
 * - “All of this is in the notebook already.”
 */
export const layStart: Command<{ episode: Id; parts: readonly { heading: string; text: string }[] }> = (
  records,
  { episode: id, parts },
  context,
) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  const there = headingsIn(episode.note)
  const fresh = parts.filter((p) => p.text.trim() !== '' && !there.has(p.heading.toLowerCase()))
  if (fresh.length === 0) return refused('All of this is in the notebook already.', 'episodes.note')
  const before = episode.note.trim() === '' ? [] : [episode.note.trimEnd()]
  const note = [...before, ...fresh.map((p) => `## ${p.heading}\n\n${p.text.trim()}`)].join('\n\n')
  return ok({
    changes: [
      putRecord(records, 'episodes', { ...episode, note: `${note}\n`, updatedAt: momentOf(context) }),
    ],
    sentence: 'Laid a start into the notebook',
    about: [id],
  })
}
