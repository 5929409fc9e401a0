import type { Cut, Id, Records, Step } from '../../records'
import { ok, refused, type Result } from '../../result'
import { titleOf } from '../../release/parts'
import { type Context, momentOf, type Outcome, putRecord } from '../change'

/** The id of the step by which a further cut is made. */
export const roundId = (episode: Id, number: number): Id => `${episode}/round-${number}`
/** Whether a step is that of a further cut. */
export const isRound = (s: Step): boolean => s.id.includes('/round-')

/** A cut that is open for notes. */
export function openCut(records: Records, id: Id): Result<Cut> {
  const cut = records.cuts.get(id)
  if (!cut) return refused('This cut is no longer there.', 'cuts')
  if (cut.closed) return refused('The round of this cut is closed. Open it again first.', 'cuts.closed')
  return ok(cut)
}

/** A cut written anew, with a sentence. */
export function written(
  records: Records,
  cut: Cut,
  { sentence, merge }: { sentence: string; merge?: string },
  context: Context,
): Outcome {
  return {
    changes: [putRecord(records, 'cuts', { ...cut, updatedAt: momentOf(context) })],
    sentence,
    about: [cut.episode],
    ...(merge === undefined ? {} : { merge }),
  }
}

/** A cut as sentences call it: `cut 2 of “Ribs”`. */
export function nameOf(records: Records, cut: Pick<Cut, 'number' | 'episode'>): string {
  const episode = records.episodes.get(cut.episode)
  return `cut ${cut.number}${episode ? ` of “${titleOf(episode)}”` : ''}`
}
