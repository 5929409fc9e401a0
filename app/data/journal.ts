import type { Table } from 'dexie'
import { merged } from '@core/commands/change'
import type { JournalLine } from '@core/model'

/** How many of the last lines keep what undo needs; older ones keep their sentence. */
const undoable = 200
/** Typing in one field within this time is one line. */
const together = 60_000

/** Adds a line to the journal inside the write's own transaction, or lengthens the last one where both have the same merge key. What was undone can no longer be done again. */
export async function writeLine(journal: Table<JournalLine, number>, line: Omit<JournalLine, 'seq' | 'state'>): Promise<void> {
  const last = await journal.orderBy('seq').last()
  if (last && line.merge !== undefined && last.merge === line.merge && last.state === 'done' && last.tab === line.tab && Date.parse(line.at) - Date.parse(last.at) < together) {
    await journal.put({ ...last, sentence: line.sentence, changes: merged(last.changes, line.changes) })
    return
  }
  const seq = (last?.seq ?? 0) + 1
  if (last?.state === 'undone' || (await journal.where('seq').above(seq - 20).filter((l) => l.state === 'undone').count()) > 0)
    await journal.filter((l) => l.state === 'undone').modify({ state: 'dropped', changes: [] })
  await journal.add({ ...line, seq, state: 'done' })
  await journal.where('seq').equals(seq - undoable).modify({ changes: [] })
}
