import Papa from 'papaparse'
import { guarded } from './formula'

/** A cell of a chart's table; nothing where it is not known. */
export type ChartCell = string | number | undefined

/** A chart's table as CSV (RFC 4180): numbers as they are, with up to four places; texts that no spreadsheet computes. */
export function chartCsv(columns: readonly string[], rows: readonly (readonly ChartCell[])[]): string {
  const cell = (value: ChartCell) =>
    value === undefined
      ? ''
      : typeof value === 'number'
        ? String(Math.round(value * 10_000) / 10_000)
        : guarded(value)
  return `${Papa.unparse({ fields: [...columns], data: rows.map((r) => r.map(cell)) })}\r\n`
}
