import Papa from 'papaparse'
import { MaterialStand, type Day, type Material } from '../records'
import { readDay } from '../rhythm/typed'
import { ok, refused, type Result } from '../result'
import { guarded } from './formula'
import type { Table } from './tables'

const columns = ['What', 'Price', 'Supplier', 'Link', 'State', 'Expected', 'Needed by', 'Required'] as const

/** Materials as CSV (RFC 4180), a row each; prices as plain numbers, days as YYYY-MM-DD. */
export function materialCsv(materials: readonly Material[]): string {
  const data = materials.map((m) =>
    [
      m.what,
      m.price === undefined ? '' : String(m.price),
      m.supplier ?? '',
      m.link ?? '',
      m.stand,
      m.expected ?? '',
      m.by ?? '',
      m.required ? 'yes' : 'no',
    ].map(guarded),
  )
  return `${Papa.unparse({ fields: [...columns], data })}\r\n`
}

const hints: Readonly<Record<(typeof columns)[number], RegExp>> = {
  What: /what|item|name|thing|material|product/i,
  Price: /price|cost|amount|total/i,
  Supplier: /supplier|shop|from|vendor|seller/i,
  Link: /link|url|address|web/i,
  State: /state|status/i,
  Expected: /expect|arriv|deliver|eta/i,
  'Needed by': /needed|by|due/i,
  Required: /required|must|needs/i,
}

/** A price as people write it: `12.50`, `12,50 €`, `1.200,00`; nothing where there is none, NaN where it is none. */
export function readPrice(text: string): number | undefined {
  const digits = text.replace(/[^\d.,-]/g, '')
  if (text.trim() === '') return undefined
  const last = Math.max(digits.lastIndexOf('.'), digits.lastIndexOf(','))
  const behind = digits.length - last - 1
  const isDecimal = last >= 0 && behind !== 3
  const plain = isDecimal
    ? `${digits.slice(0, last).replace(/[.,]/g, '')}.${digits.slice(last + 1)}`
    : digits.replace(/[.,]/g, '')
  return digits === '' ? Number.NaN : Number(plain)
}

/** What a table says is needed, and what is wrong in it, by line. */
export interface ReadMaterials {
  materials: Omit<Material, 'id'>[]
  faults: { line: number; sentence: string }[]
}

/**
 * Reads a table of any columns as materials: names are understood by what they mean, a column that is missing says
 * nothing. A row with a fault is left out whole and reported with its line.
 */
export function readMaterials(table: Table, today: Day): ReadMaterials {
  const taken = new Set<string>()
  const column = new Map(
    columns.map((c) => {
      const found =
        table.columns.find((name) => name.toLowerCase() === c.toLowerCase()) ??
        table.columns.find((name) => !taken.has(name) && hints[c].test(name))
      if (found !== undefined) taken.add(found)
      return [c, found] as const
    }),
  )
  const read: ReadMaterials = { materials: [], faults: [] }
  for (const { line, cells } of table.rows) {
    const cell = (c: (typeof columns)[number]) => (cells.get(column.get(c) ?? '') ?? '').trim()
    const made = rowOf(cell, today)
    if (made.ok) read.materials.push(made.value)
    else read.faults.push({ line, sentence: made.problem.sentence })
  }
  return read
}

function rowOf(cell: (c: (typeof columns)[number]) => string, today: Day): Result<Omit<Material, 'id'>> {
  if (cell('What') === '') return refused('It doesn’t say what is needed. Fill the column “What”.')
  const price = readPrice(cell('Price'))
  if (Number.isNaN(price))
    return refused(`“${cell('Price')}” is no price. Write a number, for example 12.50.`)
  const stand = MaterialStand.safeParse(cell('State').toLowerCase() || 'wanted')
  if (!stand.success) return refused(`“${cell('State')}” is no state. Write wanted, ordered or here.`)
  const days: Partial<Record<'expected' | 'by', Day>> = {}
  for (const [name, c] of [
    ['expected', 'Expected'],
    ['by', 'Needed by'],
  ] as const) {
    if (cell(c) === '') continue
    const day = readDay(cell(c), today)
    if (!day.ok) return day
    days[name] = day.value
  }
  const [supplier, address] = [cell('Supplier'), cell('Link')]
  return ok({
    what: cell('What'),
    stand: stand.data,
    required: /^(y|yes|true|1|x|must)/i.test(cell('Required')),
    ...(price === undefined ? {} : { price }),
    ...(supplier === '' ? {} : { supplier }),
    ...(address === '' ? {} : { link: address }),
    ...days,
  })
}

/** One line as it is typed: what is needed, and at its end its price where it has one. Nothing for a blank line. */
export function readLine(text: string): Omit<Material, 'id'> | undefined {
  const line = text.trim()
  const [, what = line, price] = /^(.*\S)\s+[^\d\s]?(\d+(?:[.,]\d{1,2})?)\s*[^\d\s]{0,3}$/.exec(line) ?? []
  if (what === '') return undefined
  const read = price === undefined ? undefined : readPrice(price)
  return { what, stand: 'wanted', required: false, ...(read === undefined ? {} : { price: read }) }
}
