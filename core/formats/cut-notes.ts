import { ascending } from 'd3-array'
import Papa from 'papaparse'
import { frameAt, readMoment, timecode } from '../edit/frames'
import { readNotes, readWords, type LineFault, type ReadNote } from '../edit/notes'
import type { Cut, CutNote, FrameRate } from '../records'
import { ok, refused, type Result } from '../result'
import { sayTime } from '../script/timecode'
import { guarded } from './formula'
import type { Table } from './tables'

type Noted = Pick<Cut, 'notes' | 'number'>
const sorted = (cut: Noted) => cut.notes.toSorted((a, b) => ascending(a.at, b.at))
const box = (n: CutNote) => (n.kind === 'remark' ? '' : n.done === undefined ? '[ ] ' : '[x] ')
const columns = ['Time', 'Timecode', 'Kind', 'For', 'Done', 'Asked in cuts', 'Note']

/** Notes as CSV (RFC 4180), a row each. */
export function notesCsv(cut: Noted, rate: FrameRate): string {
  const data = sorted(cut).map((n) =>
    [
      sayTime(n.at),
      timecode(frameAt(n.at, rate), rate),
      n.kind,
      n.kind === 'remark' ? '' : n.mine ? 'me' : 'who cuts',
      n.done === undefined ? 'no' : 'yes',
      n.asked.join(' '),
      n.text,
    ].map(guarded),
  )
  return `${Papa.unparse({ fields: columns, data })}\r\n`
}

/** Notes as plain text, a line each, as they are read again. */
export function notesText(cut: Noted, rate: FrameRate): string {
  return sorted(cut)
    .map((n) => `${timecode(frameAt(n.at, rate), rate)} ${box(n)}${n.text.replace(/\s*\n\s*/g, ' ')}\n`)
    .join('')
}

/** Notes as Markdown: what is to be done as a list to tick, remarks below. */
export function notesMarkdown(title: string, cut: Noted, rate: FrameRate): string {
  const line = (n: CutNote) =>
    `- ${box(n)}${timecode(frameAt(n.at, rate), rate)} ${n.text.replace(/\s*\n\s*/g, ' ')}${n.asked.length > 1 ? ` (asked in cuts ${n.asked.join(', ')})` : ''}`
  const all = sorted(cut)
  const [todo, remarks] = [all.filter((n) => n.kind === 'to do'), all.filter((n) => n.kind === 'remark')]
  return [
    `# ${title}, cut ${cut.number}`,
    ...(todo.length > 0 ? ['', '## To do', '', ...todo.map(line)] : []),
    ...(remarks.length > 0 ? ['', '## Remarks', '', ...remarks.map(line)] : []),
    '',
  ].join('\n')
}

/** How long a note stands as a subtitle, seconds, where none follows sooner. */
const stands = 4

function clock(seconds: number): string {
  const ms = Math.round(seconds * 1000)
  const two = (n: number) => String(Math.floor(n)).padStart(2, '0')
  const [h, m, s] = [ms / 3_600_000, (ms / 60_000) % 60, (ms / 1000) % 60].map(two)
  return `${h}:${m}:${s}.${String(ms % 1000).padStart(3, '0')}`
}

/** Notes as WebVTT, to be seen over the cut in a player: what falls on one moment is one cue. */
export function notesVtt(cut: Noted): string {
  const moments = new Map<number, string[]>()
  for (const n of sorted(cut)) {
    const at = Math.round(n.at * 1000) / 1000
    const text = `${box(n)}${n.text}`.replace(/\s*\n\s*/g, ' ')
    const safe = text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;')
    moments.set(at, [...(moments.get(at) ?? []), safe])
  }
  const starts = [...moments.keys()]
  const cues = starts.map((at, i) => {
    const end = Math.min(at + stands, starts[i + 1] ?? Infinity)
    return `${clock(at)} --> ${clock(end)}\n${(moments.get(at) ?? []).join('\n')}\n`
  })
  return `WEBVTT\n\n${cues.join('\n')}`
}

/** Notes as an edit decision list (CMX 3600): an event of one frame each, with a marker. */
export function notesEdl(title: string, cut: Noted, rate: FrameRate): string {
  const plain = (text: string) => text.replace(/[\r\n]+/g, ' ').trim()
  const events = sorted(cut).flatMap((n, i) => {
    const frame = frameAt(n.at, rate)
    const [from, to] = [timecode(frame, rate), timecode(frame + 1, rate)]
    return [
      `${String(i + 1).padStart(3, '0')}  AX       V     C        ${from} ${to} ${from} ${to}`,
      `* LOC: ${from} ${n.kind === 'to do' ? 'RED  ' : 'GREEN'}   ${box(n)}${plain(n.text)}`,
      '',
    ]
  })
  return [
    `TITLE: ${plain(title)}`,
    `FCM: ${rate.endsWith('drop') ? 'DROP FRAME' : 'NON-DROP FRAME'}`,
    '',
    ...events,
  ].join('\r\n')
}

/** What was read of a file of notes, and the lines that could not be. */
export interface ReadNotes {
  notes: ReadNote[]
  faults: LineFault[]
}

const marker = /^\*\s*LOC:\s*(\d{2,3}:\d{2}:\d{2}[:;.]\d{2})\s+(?:([A-Z]+)\s+)?(.*)$/i
const hour = 3600

/**
 * Reads the markers of an edit decision list. A list that begins at one hour, as many do, is counted from there where
 * the cut is shorter.
 */
export function readEdl(text: string, rate: FrameRate, length?: number): Result<ReadNotes> {
  const faults: LineFault[] = []
  const notes: ReadNote[] = []
  text.split(/\r\n|\r|\n/).forEach((line, i) => {
    const [, at, colour, said = ''] = marker.exec(line.trim()) ?? []
    if (at === undefined) return
    const read = readMoment(at, rate)
    const words = readWords(said)
    if (!read.ok) faults.push({ line: i + 1, sentence: read.problem.sentence })
    else if (words.text === '') faults.push({ line: i + 1, sentence: 'The marker has no words.' })
    else
      notes.push({
        at: read.value,
        ...words,
        ...(colour?.toUpperCase() === 'RED' ? { kind: 'to do' as const } : {}),
      })
  })
  if (notes.length + faults.length === 0)
    return refused('There is no marker in it: lines that begin with “* LOC:” are read as notes.', 'file')
  const isLater = notes.every((n) => n.at >= hour) && (length === undefined || length < hour)
  return ok({ notes: isLater ? notes.map((n) => ({ ...n, at: n.at - hour })) : notes, faults })
}

const called = (names: readonly string[], columns: readonly string[]) =>
  columns.find((c) => names.includes(c.trim().toLowerCase()))

/** Reads notes from a table: a column with the time, one with the words, and what else it says. */
export function readNoteTable(table: Table, rate: FrameRate): Result<ReadNotes> {
  const time =
    called(
      ['timecode', 'time', 'at', 'in', 'start', 'position'],
      ['Timecode', ...table.columns].filter((c) => table.columns.includes(c)),
    ) ?? ''
  const words =
    called(['note', 'notes', 'text', 'comment', 'comments', 'name', 'description'], table.columns) ?? ''
  if (time === '' || words === '')
    return refused(
      `A table of notes has a column “Time” and a column “Note”. This one has ${table.columns.map((c) => `“${c}”`).join(', ')}.`,
      'file',
    )
  const kind = called(['kind', 'type'], table.columns) ?? ''
  const done = called(['done', 'completed'], table.columns) ?? ''
  const notes: ReadNote[] = []
  const faults: LineFault[] = []
  for (const { line, cells } of table.rows) {
    const at = readMoment(cells.get(time) ?? '', rate)
    const said = readWords(cells.get(words) ?? '')
    if (!at.ok) faults.push({ line, sentence: at.problem.sentence })
    else if (said.text === '') faults.push({ line, sentence: 'It has no words.' })
    else {
      const isTask = said.kind === 'to do' || /^(to ?do|action|task)/i.test(cells.get(kind) ?? '')
      const isDone = said.isDone ?? /^(yes|x|true|done|1)$/i.test((cells.get(done) ?? '').trim())
      notes.push({
        at: at.value,
        kind: isTask ? 'to do' : 'remark',
        text: said.text,
        ...(isTask && isDone ? { isDone } : {}),
      })
    }
  }
  return ok({ notes, faults })
}

/** Reads notes from a file's text by its name: a list of edits, a table, else lines. */
export function readNoteFile(
  { name, text, rate, length }: { name: string; text: string; rate: FrameRate; length?: number | undefined },
  tableOf: (text: string) => Result<Table>,
): Result<ReadNotes> {
  if (/\.edl$/i.test(name) || /^TITLE:/m.test(text.slice(0, 500))) return readEdl(text, rate, length)
  if (/\.(csv|tsv)$/i.test(name)) {
    const table = tableOf(text)
    return table.ok ? readNoteTable(table.value, rate) : table
  }
  const read = readNotes(text, rate)
  return read.notes.length + read.faults.length === 0
    ? refused('There is no line in it to read.', 'file')
    : ok(read)
}
