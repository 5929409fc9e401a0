import type { KeywordRow } from '../commands/keywords/import-keywords'
import { heldBy } from '../named'
import type { Table } from './tables'

const units: Readonly<Record<string, number>> = { k: 1e3, m: 1e6, mio: 1e6, b: 1e9, bn: 1e9 }

/**
 * A figure as people and tables write it: `12,400`, `12.400`, `12 400`, `1.2k`, `3M`; a range (`1k – 10k`)
 * is its geometric middle, an open one (`<10`, `1M+`) its bound. Nothing for a blank, a dash or `n/a`;
 * `wrong` for anything else.
 */
export function readFigure(text: string): number | undefined | 'wrong' {
  const clean = text.trim().toLowerCase().replaceAll('\u00a0', ' ').replaceAll('\u202f', ' ')
  if (/^(-|–|—|n\/?a|none)?$/.test(clean)) return undefined
  const range = /^(.*?\d.*?)\s*(?:-|–|—|\bto\b|…|\.\.\.?)\s*(.*\d.*)$/.exec(clean)
  if (range?.[1] !== undefined && range[2] !== undefined) {
    const high = single(range[2])
    // In `1–10k` the unit belongs to both.
    const unit = /[a-z]+$/.exec(range[2].trim())?.[0] ?? ''
    const low = single(/[a-z]/.test(range[1]) ? range[1] : `${range[1]}${unit}`)
    const [from, to] = [low ?? -1, high ?? -1]
    if (from < 0 || to < 0 || from > to) return 'wrong'
    return Math.round(from === 0 ? to / 2 : Math.sqrt(from * to))
  }
  return single(clean.replace(/^[<>~≈≤≥]+\s*/, '').replace(/\+$/, '')) ?? 'wrong'
}

function single(text: string): number | undefined {
  const match = /^([\d.,' ]*\d)\s*([a-z]*)\.?$/.exec(text.trim())
  const factor = match?.[2] === '' ? 1 : heldBy(units, match?.[2] ?? '')
  if (match?.[1] === undefined || factor === undefined) return undefined
  const digits = match[1].replace(/[' ]/g, '')
  const marks = digits.match(/[.,]/g) ?? []
  const last = Math.max(digits.lastIndexOf('.'), digits.lastIndexOf(','))
  const behind = digits.length - last - 1
  // A mark is one of thousands when there are several of its kind, or, without a unit, when three digits
  // follow it.
  const decimal =
    last >= 0 &&
    !(marks.length > 1 && new Set(marks).size === 1) &&
    (factor > 1 || behind !== 3 || new Set(marks).size > 1)
  const number = Number(
    decimal
      ? `${digits.slice(0, last).replace(/[.,]/g, '')}.${digits.slice(last + 1)}`
      : digits.replace(/[.,]/g, ''),
  )
  return Number.isFinite(number) ? Math.round(number * factor) : undefined
}

/** Which column of a table holds what. */
export interface KeywordColumns {
  words: string
  searches: string
  competing: string
  notes: string
}

const hints: Readonly<Record<keyof KeywordColumns, RegExp>> = {
  words: /keyword|query|phrase|term|search term|words/i,
  searches: /volume|searches|monthly|demand|search vol/i,
  competing: /compet|results|difficulty|supply|videos/i,
  notes: /note|comment|remark/i,
}

/** The columns as their names suggest; one chosen before for the same names is taken again. */
export function guessColumns(columns: readonly string[], remembered?: KeywordColumns): KeywordColumns {
  if (
    remembered &&
    [remembered.words, remembered.searches, remembered.competing, remembered.notes].every(
      (c) => c === '' || columns.includes(c),
    ) &&
    remembered.words !== ''
  )
    return remembered
  const taken = new Set<string>()
  const find = (of: keyof KeywordColumns) => {
    const found = columns.find((c) => !taken.has(c) && hints[of].test(c)) ?? ''
    if (found) taken.add(found)
    return found
  }
  const searches = find('searches')
  const competing = find('competing')
  const notes = find('notes')
  const words = find('words') || columns.find((c) => !taken.has(c)) || ''
  return { words, searches, competing, notes }
}

/**
 * A table read as keywords: good rows, and wrong ones by line. Words that stand twice are taken once, with
 * the last figures.
 */
export function readKeywords(
  table: Table,
  columns: KeywordColumns,
): { rows: (KeywordRow & { line: number })[]; faults: { line: number; sentence: string }[] } {
  const rows: (KeywordRow & { line: number })[] = []
  const faults: { line: number; sentence: string }[] = []
  for (const { line, cells } of table.rows) {
    const words = (cells.get(columns.words) ?? '').trim()
    const texts = {
      searches: cells.get(columns.searches) ?? '',
      competing: cells.get(columns.competing) ?? '',
    }
    const [searches, competing] = [readFigure(texts.searches), readFigure(texts.competing)]
    if (words === '') faults.push({ line, sentence: 'There are no words in it.' })
    else if (words.length > 120) faults.push({ line, sentence: 'A keyword has at most 120 characters.' })
    else if (searches === 'wrong' || competing === 'wrong')
      faults.push({
        line,
        sentence: `“${searches === 'wrong' ? texts.searches : texts.competing}” is no figure. Write it as 12400, 12,400, 12.4k or 10k–20k.`,
      })
    else
      rows.push({
        line,
        words,
        ...(searches === undefined ? {} : { searches }),
        ...(competing === undefined ? {} : { competing }),
        notes: (cells.get(columns.notes) ?? '').trim(),
      })
  }
  return { rows, faults }
}
