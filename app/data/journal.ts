import type { Table } from 'dexie'
import { merged } from '@core/commands/change'
import type { JournalLine } from '@core/model'

/** How many of the last lines keep what undo needs; older ones keep their sentence. */
const undoable = 200
/** Typing in one field within this time is one line. */
const together = 60_000

/** Adds a line to the journal inside the write's own transaction, or lengthens the last one where both have the same merge key. What was undone can no longer be done again. */
export async function writeLine(
  journal: Table<JournalLine, number>,
  line: Omit<JournalLine, 'seq' | 'state'>,
): Promise<void> {
  const lately = await journal.orderBy('seq').reverse().limit(20).toArray()
  const last = lately[0]
  if (
    last &&
    line.merge !== undefined &&
    last.merge === line.merge &&
    last.state === 'done' &&
    last.tab === line.tab &&
    Date.parse(line.at) - Date.parse(last.at) < together
  ) {
    await journal.put({ ...last, sentence: line.sentence, changes: merged(last.changes, line.changes) })
    return
  }
  const seq = (last?.seq ?? 0) + 1
  await Promise.all([
    journal.add({ ...line, seq, state: 'done' }),
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
}
