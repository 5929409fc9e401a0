import type { ReadPast } from '../past/row'
import type { Show } from '../records'
import { momentAt } from '../rhythm/zone'
import { readTime } from '../script/timecode'
import { readFigure } from './keyword-table'
import { readDay } from './read-day'
import type { Table } from './tables'

/** What a column of a table of past episodes may hold. */
export const pastColumns = {
  title: 'Title',
  on: 'Went out on',
  number: 'Number',
  length: 'Length',
  address: 'Address',
  views: 'Views so far',
  topics: 'Topics',
  tags: 'Tags',
  description: 'Description',
} as const
export type PastColumn = keyof typeof pastColumns
export type PastMapping = Partial<Record<PastColumn, string>>

const hints: readonly [PastColumn, RegExp][] = [
  ['title', /title|name|episode/i],
  ['on', /date|publish|released?|went out|\bout\b|\bon\b|\bday\b/i],
  ['number', /number|\bno\b|#/i],
  ['length', /length|duration|runtime|minutes/i],
  ['address', /address|url|link/i],
  ['views', /view|listen|play|download/i],
  ['topics', /topic|series|category/i],
  ['tags', /tag|keyword/i],
  ['description', /description|about|summary/i],
]

/** The columns as their names suggest; those chosen before for the same names are taken again. */
export function guessPastColumns(columns: readonly string[], remembered?: PastMapping): PastMapping {
  const known = Object.values(remembered ?? {})
  if (remembered && known.length > 0 && known.every((c) => columns.includes(c))) return remembered
  const taken = new Set<string>()
  const mapping: PastMapping = {}
  for (const [column, hint] of hints) {
    const found = columns.find((c) => !taken.has(c) && hint.test(c))
    if (found === undefined) continue
    taken.add(found)
    mapping[column] = found
  }
  return mapping
}

/**
 * The moment in a cell, ms: exact where it says its zone, at its clock time in the show's zone where it has one, else at
 * the show's usual time.
 */
export function momentIn(text: string, show: Pick<Show, 'zone' | 'rhythm'>): number | undefined {
  const clean = text.trim()
  const day = readDay(clean)
  if (day === undefined) return undefined
  if (/\d(Z|[+-]\d\d:?\d\d|\s(GMT|UTC|[+-]\d{4}))$/i.test(clean)) {
    const exact = Date.parse(clean)
    if (!Number.isNaN(exact)) return exact
  }
  const clock = /(?:^|[T\s,])([01]?\d|2[0-3]):([0-5]\d)(?::\d\d)?/.exec(clean)
  const time = clock ? `${(clock[1] ?? '').padStart(2, '0')}:${clock[2] ?? ''}` : show.rhythm.time
  return momentAt(day, time, show.zone)
}

const several = (text: string) =>
  text
    .split(/[,;|]/)
    .map((t) => t.trim())
    .filter(Boolean)

/** A length as tables write it: `9:51`, `1:02:05`, `591` seconds, `12 min`; nothing for a blank, `wrong` for anything else. */
function lengthIn(text: string, isMinutes: boolean): number | undefined | 'wrong' {
  if (text === '') return undefined
  if (isMinutes && /^\d+([.,]\d+)?$/.test(text)) return Math.round(Number(text.replace(',', '.')) * 60)
  const read = readTime(text)
  return read.ok ? (read.value > 0 ? read.value : undefined) : 'wrong'
}

/** A table read as episodes of the past, with any columns: good rows, and wrong ones by line. */
export function readPastTable(table: Table, mapping: PastMapping, show: Show, now: number): ReadPast {
  const read: ReadPast = { rows: [], faults: [] }
  const isMinutes = /minutes|\bmin\b/i.test(mapping.length ?? '')
  for (const { line, cells } of table.rows) {
    const cell = (column: PastColumn) => {
      const name = mapping[column]
      return name === undefined ? '' : (cells.get(name) ?? '').trim()
    }
    const fault = (sentence: string) => read.faults.push({ line, sentence })
    const title = cell('title')
    const at = momentIn(cell('on'), show)
    const number = cell('number').replace(/^[^\d]*/, '')
    const length = lengthIn(cell('length'), isMinutes)
    const views = readFigure(cell('views'))
    if (title === '') fault('It has no title.')
    else if (title.length > 300) fault('A title has at most 300 characters.')
    else if (at === undefined)
      fault(
        cell('on') === ''
          ? 'It does not say when it went out.'
          : `“${cell('on')}” is no date. Write it as year-month-day, for example 2026-11-24.`,
      )
    else if (at > now) fault('It went out later than now. What comes belongs into the Schedule.')
    else if (number !== '' && !/^\d{1,6}$/.test(number)) fault(`“${cell('number')}” is no number.`)
    else if (length === 'wrong') fault(`“${cell('length')}” is no length. Write it as 9:51 or 1:02:05.`)
    else if (views === 'wrong') fault(`“${cell('views')}” is no figure. Write it as 12400, 12,400 or 12.4k.`)
    else
      read.rows.push({
        ...{ line, title, at, topics: several(cell('topics')), tags: several(cell('tags')) },
        ...(number === '' || Number(number) === 0 ? {} : { number: Number(number) }),
        ...(length === undefined ? {} : { length }),
        ...(cell('address') === '' ? {} : { address: cell('address') }),
        ...(views === undefined ? {} : { views }),
        ...(cell('description') === '' ? {} : { description: cell('description') }),
      })
  }
  return read
}
