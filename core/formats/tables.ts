import Papa from 'papaparse'
import type { Episode } from '../records'
import { guarded, unguarded } from './formula'
import { textOf, type Field } from '../ideas/field'
import { refused, ok, type Result } from '../result'

/** One row of a read table, by its columns' names, with the line on which it begins. */
export interface TableRow {
  line: number
  cells: Map<string, string>
}

/** A table as it was read: its columns' names and rows. */
export interface Table {
  columns: string[]
  rows: TableRow[]
}

/** Episodes as CSV (RFC 4180): a header with the fields' labels, a row each. */
export function writeCsv(episodes: readonly Episode[], fields: readonly Field[]): string {
  return `${Papa.unparse({ fields: fields.map((f) => f.label), data: episodes.map((e) => fields.map((f) => guarded(textOf(f.of(e))))) })}\r\n`
}

const escapes: readonly [RegExp, string][] = [
  [/&/g, '&amp;'],
  [/</g, '&lt;'],
  [/\\/g, '&#92;'],
  [/\|/g, '&#124;'],
  [/\n/g, '<br>'],
]

/**
 * Episodes as a Markdown table; bars, angle brackets and line breaks in cells are written as entities and
 * `<br>`.
 */
export function writeMarkdown(episodes: readonly Episode[], fields: readonly Field[]): string {
  const cell = (text: string) =>
    escapes
      .reduce((t, [from, to]) => t.replace(from, to), text)
      .replace(/^\s|\s$|[\t\r]/g, (c) => `&#${c.charCodeAt(0)};`)
  const row = (cells: readonly string[]) => `| ${cells.join(' | ')} |`
  return (
    [
      row(fields.map((f) => cell(f.label))),
      row(fields.map(() => '---')),
      ...episodes.map((e) => row(fields.map((f) => cell(textOf(f.of(e)))))),
    ].join('\n') + '\n'
  )
}

function readMarkdown(text: string): string[][] {
  const plain = (cell: string) =>
    cell
      .trim()
      .replaceAll('<br>', '\n')
      .replace(/&#(\d{1,5});/g, (_, n: string) => String.fromCharCode(Number(n)))
      .replaceAll('&lt;', '<')
      .replaceAll('&amp;', '&')
  return text.split('\n').map((line) =>
    line.trim().startsWith('|') && !/^\|[\s|:-]+\|?$/.test(line.trim())
      ? line
          .trim()
          .replace(/^\||\|$/g, '')
          .split('|')
          .map(plain)
      : [''],
  )
}

/** Largest table, and longest line of one, that is read. */
const most = { letters: 30_000_000, line: 1_000_000 }

/** Refuses what is no table a person works with, before anything is parsed. */
function withinBounds(text: string): Result<true> {
  if (text.length > most.letters)
    return refused(
      `The file has ${Math.round(text.length / 1_000_000)} MB; at most 30 MB of table are read.`,
      'file',
    )
  for (let at = 0, line = 1; at < text.length; line++) {
    const next = text.indexOf('\n', at)
    const end = next < 0 ? text.length : next
    if (end - at > most.line)
      return refused(
        `Line ${line} has over a million letters; this is no table. Choose another file.`,
        'file',
      )
    at = end + 1
  }
  return ok(true)
}

/** The delimiter that the first line has most of, outside quotes. */
function delimiterOf(text: string): string {
  let head = ''
  let inQuotes = false
  for (const c of text.slice(0, 100_000)) {
    if (c === '"') inQuotes = !inQuotes
    else if (c === '\n' && !inQuotes) break
    else if (!inQuotes) head += c
  }
  return [',', ';', '\t'].map((d) => ({ d, n: head.split(d).length })).sort((a, b) => b.n - a.n)[0]?.d ?? ','
}

/**
 * Reads CSV (comma, semicolon or tab) or a Markdown table, by its first row's names; blank rows are passed
 * over. Refused when there is no row below a header, or when quotes are never closed.
 */
export function readTable(text: string): Result<Table> {
  const bounded = withinBounds(text)
  if (!bounded.ok) return bounded
  // Spreadsheets put the delimiter in a line of its own before the header.
  const said = /^\uFEFF?\s*sep=(.)\r?\n/i.exec(text)
  const clean = text
    .slice(said?.[0].length ?? 0)
    .replace(/^\uFEFF/, '')
    .replace(/^(?:[ \t,;]*\r?\n)+/, '')
  const skipped = text.slice(0, text.length - clean.length).split('\n').length - 1
  const markdown = /^\s*\|/.test(clean)
  const parsed = markdown
    ? undefined
    : Papa.parse<string[]>(clean, { delimiter: said?.[1] ?? delimiterOf(clean) })
  const fault = parsed?.errors.find((e) => e.type === 'Quotes')
  const rows = parsed?.data ?? readMarkdown(clean)
  let line = 1 + skipped
  const placed = rows.map((cells) => {
    const at = line
    line += 1 + (markdown ? 0 : cells.reduce((n, c) => n + (c.match(/\n/g)?.length ?? 0), 0))
    return { line: at, cells }
  })
  if (fault)
    return refused(
      `Line ${placed[fault.row ?? 0]?.line ?? 1}: a quote is opened and never closed. Close it, then read the file again.`,
      'file',
    )
  const filled = placed.filter((r) => r.cells.some((c) => c.trim() !== ''))
  const [head, ...body] = filled
  if (!head || body.length === 0)
    return refused(
      'There is no table in it: a first line with the names of its columns, and a line for each row below.',
      'file',
    )
  const columns = head.cells.map((c) => c.trim())
  return ok({
    columns,
    rows: body.map((r) => ({
      line: r.line,
      cells: new Map(
        columns.map((name, i) => [name, markdown ? (r.cells[i] ?? '') : unguarded(r.cells[i] ?? '')]),
      ),
    })),
  })
}

/**
 * What a read table would do to ideas: rows that change one (by its code), new ones, and what is wrong, by
 * line.
 */
export interface TableChanges {
  changed: { line: number; before: Episode; after: Episode }[]
  fresh: { line: number; after: Episode }[]
  same: number
  faults: { line: number; sentence: string }[]
  /** Columns that are read by nobody: derived ones and unknown ones. */
  unread: string[]
}

/**
 * Reads a table's rows as changes to episodes: one with a known code changes it, one without makes a new
 * idea from `blank`. A row with a fault is left out whole and reported with its line.
 */
export function readRows(
  table: Table,
  fields: ReadonlyMap<string, Field>,
  byCode: ReadonlyMap<string, Episode>,
  blank: (title: string, line: number) => Episode,
): TableChanges {
  const byLabel = new Map(
    [...fields.values()].flatMap((f) =>
      [f.label, ...(f.formerly === undefined ? [] : [f.formerly])].map((l) => [l.toLowerCase(), f] as const),
    ),
  )
  const columns = table.columns.map((name) => ({ name, field: byLabel.get(name.toLowerCase()) }))
  const out: TableChanges = {
    changed: [],
    fresh: [],
    same: 0,
    faults: [],
    unread: columns.filter((c) => !c.field?.put && c.field?.name !== 'code').map((c) => c.name),
  }
  const codeColumn = columns.find((c) => c.field?.name === 'code')?.name
  const titleColumn = columns.find((c) => c.field?.name === 'title')?.name
  for (const { line, cells } of table.rows) {
    const code = (codeColumn === undefined ? '' : (cells.get(codeColumn) ?? '')).trim().toUpperCase()
    const before = byCode.get(code)
    const title = titleColumn === undefined ? '' : (cells.get(titleColumn) ?? '')
    if (code !== '' && !before) {
      out.faults.push({
        line,
        sentence: `There is no episode ${code}. Empty its code to take it in as a new idea.`,
      })
      continue
    }
    if (!before && title.trim() === '') {
      out.faults.push({ line, sentence: 'It has no title, and no code of an idea that is there.' })
      continue
    }
    let after = before ?? blank(title, line)
    let fault: string | undefined
    // The show comes first: own fields and keywords are read by it.
    for (const { name, field } of [...columns].sort(
      (a, b) => Number(b.field?.name === 'show') - Number(a.field?.name === 'show'),
    )) {
      const text = cells.get(name) ?? ''
      if (!field?.put || text === textOf(field.of(after)) || (!before && text.trim() === '')) continue
      const put = field.put(after, text)
      if (put.ok) after = put.value
      else fault ??= `${name}: ${put.problem.sentence}`
    }
    if (fault !== undefined) out.faults.push({ line, sentence: fault })
    else if (!before) out.fresh.push({ line, after })
    else if (after === before) out.same++
    else out.changed.push({ line, before, after })
  }
  return out
}
