import type { Table } from 'dexie'
import { merged } from '@core/commands/change'
import type { Change, Id, JournalLine } from '@core/records'

/** How many of the last lines keep what undo needs; older ones keep their sentence. */
const undoable = 200
/** Typing in one field within this time is one line. */
const together = 60_000

/**
 * The last lines, newest first: as many as say whether any was undone. What was undone stands behind all that is done
 * and has changes, so that one line is enough where it is such a one; lines of typing hold whole texts.
 */
async function latelyIn(journal: Table<JournalLine, number>): Promise<JournalLine[]> {
  const last = await journal.orderBy('seq').last()
  if (!last || (last.state === 'done' && last.changes.length > 0)) return last ? [last] : []
  return journal.orderBy('seq').reverse().limit(20).toArray()
}

/**
 * Adds a line to the journal inside the write's own transaction, or lengthens the last one where both have
 * the same merge key. What was undone can no longer be done again.
 */
export async function writeLine(
  journal: Table<JournalLine, number>,
  line: Omit<JournalLine, 'seq' | 'state' | 'from'>,
): Promise<number> {
  const lately = await latelyIn(journal)
  const last = lately[0]
  if (
    last &&
    line.merge !== undefined &&
    last.merge === line.merge &&
    last.state === 'done' &&
    last.tab === line.tab &&
    Date.parse(line.at) - Date.parse(last.at) < together
  ) {
    await journal.put({
      ...last,
      sentence: line.sentence,
      changes: merged(last.changes, line.changes),
      rev: line.rev,
    })
    return last.seq
  }
  const seq = (last?.seq ?? 0) + 1
  await Promise.all([
    journal.add({ ...line, from: line.rev, seq, state: 'done' }),
    lately.some((l) => l.state === 'undone')
      ? journal
          .where('seq')
          .below(seq)
          .filter((l) => l.state === 'undone')
          .modify((l) => {
            l.state = 'dropped'
            l.changes = []
          })
      : 0,
    seq > undoable
      ? journal
          .where('seq')
          .equals(seq - undoable)
          .modify((l) => {
            l.changes = []
          })
      : 0,
  ])
  return seq
}

/**
 * What was written since a count, as far as the journal still knows it: the changes, oldest first; nothing
 * where it has forgotten some of it. Lines that were lengthened or turned carry the counts from their first
 * to their last writing.
 */
export async function changesSince(
  journal: Table<JournalLine, number>,
  seen: number,
  rev: number,
): Promise<Change[] | undefined> {
  const lines = (await journal.orderBy('seq').reverse().limit(150).toArray()).filter(
    (l) => (l.rev ?? 0) > seen,
  )
  const known = new Set<number>()
  for (const l of lines)
    for (let n = Math.max(seen + 1, l.from ?? l.rev ?? 0); n <= (l.rev ?? 0); n++) known.add(n)
  for (let n = seen + 1; n <= rev; n++) if (!known.has(n)) return undefined
  if (lines.some((l) => l.state === 'dropped')) return undefined
  return lines.reverse().flatMap((l) => l.changes)
}

/** The lines of an episode's history, newest first. */
export async function linesOf(journal: Table<JournalLine, number>, episode: Id): Promise<JournalLine[]> {
  const lines = await journal.where('about').equals(episode).toArray()
  return lines
    .filter((l) => l.state !== 'dropped')
    .sort((a, b) => b.seq - a.seq)
    .slice(0, 200)
}
