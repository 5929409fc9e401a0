import { type Id, ReadNote } from '../../records'
import { titleOf } from '../../release/parts'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'

/**
 * Notes of a deal's read: shown, agreed, heard at, on an invoice, paid, settled by hand. What is `undefined` in the note is taken away.
 *
 * Refused:
 * - “This deal is no longer there.” and “This episode is no longer there.”
 * - what a date or a second refuses
 */
export const noteRead: Command<{
  deal: Id
  episode: Id
  note: { [K in keyof ReadNote]?: ReadNote[K] | undefined }
}> = (records, { deal: id, episode: of, note }, context) => {
  const deal = records.deals.get(id)
  if (!deal) return refused('This deal is no longer there.', 'deals')
  const episode = records.episodes.get(of)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  const said: [string, unknown][] = Object.entries({ ...deal.noted[of], ...note })
  const next = Object.fromEntries(said.filter(([, value]) => value !== undefined))
  const read = ReadNote.safeParse(next)
  if (!read.success) return refused(read.error.issues[0]?.message ?? 'This cannot be noted.', 'deals.noted')
  return ok({
    changes: [
      putRecord(records, 'deals', {
        ...deal,
        noted: { ...deal.noted, [of]: read.data },
        updatedAt: momentOf(context),
      }),
    ],
    sentence: `${deal.sponsor}, “${titleOf(episode)}”: ${sayNote(note)}`,
    about: [of],
  })
}

const words: Record<keyof ReadNote, string> = {
  shown: 'shown to them',
  agreed: 'agreed to',
  heardAt: 'heard at',
  invoiced: 'on an invoice',
  paid: 'paid',
  ruled: 'settled by hand',
}
function sayNote(note: { [K in keyof ReadNote]?: ReadNote[K] | undefined }): string {
  const all: [string, unknown][] = Object.entries(note)
  const said = all.map(([name, value]) => {
    const word = Object.entries(words).find(([key]) => key === name)?.[1] ?? name
    return value === undefined ? `not ${word}` : word
  })
  return said.join(', ') || 'nothing'
}
