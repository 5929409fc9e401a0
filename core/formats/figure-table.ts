import { matchEpisode, type EpisodeNames } from '../results/match'
import { Figure, type FigureName, type Id } from '../records'
import { readFigure } from './keyword-table'
import { readDay } from './read-day'
import type { Table } from './tables'

/** What a column of a table of figures may hold. */
export const figureColumns: Readonly<Record<FigureName | 'episode' | 'age' | 'on', string>> = {
  episode: 'Which episode',
  age: 'Age in days',
  on: 'Counted on',
  views: 'Views',
  watch: 'Minutes watched',
  impressions: 'Times shown',
  pressed: 'Share that pressed',
  seen: 'Average seen',
  likes: 'Likes',
  comments: 'Comments',
  gained: 'Followers gained',
}
export type FigureColumn = keyof typeof figureColumns
export type FigureMapping = Partial<Record<FigureColumn, string>>

const hints: readonly [FigureColumn, RegExp][] = [
  ['on', /\b(counted|date|as of|on)\b/i],
  ['age', /\b(age|days?)\b/i],
  ['impressions', /impression|times shown|shown/i],
  ['pressed', /press|click|ctr|rate/i],
  ['seen', /average.*(seen|view|percent)|seen|retention/i],
  ['watch', /watch|minutes|hours|heard/i],
  ['gained', /gain|subscriber|follower/i],
  ['views', /view|listen|play|download/i],
  ['likes', /like/i],
  ['comments', /comment/i],
  ['episode', /title|episode|name|address|url|number|code/i],
]

/** The columns as their names suggest; those chosen before for the same names are taken again. */
export function guessFigureColumns(columns: readonly string[], remembered?: FigureMapping): FigureMapping {
  const known = Object.values(remembered ?? {})
  if (remembered && known.length > 0 && known.every((c) => columns.includes(c))) return remembered
  const taken = new Set<string>()
  const mapping: FigureMapping = {}
  for (const [column, hint] of hints) {
    const found = columns.find((c) => !taken.has(c) && hint.test(c))
    if (found === undefined) continue
    taken.add(found)
    mapping[column] = found
  }
  return mapping
}

/** One row that can be kept, or the line of one that can't, and why. */
export interface ReadFigures {
  rows: { line: number; episode: Id; figure: Figure }[]
  faults: { line: number; sentence: string }[]
}

/** A share as tables write it: `4.2%`, `4.2 %`, `0.042`; a bare number above 1 is per cent. */
function readShare(text: string): number | undefined | 'wrong' {
  const clean = text.trim().replace(',', '.')
  if (/^(-|–|—|n\/?a)?$/i.test(clean)) return undefined
  const match = /^(\d+(?:\.\d+)?)\s*(%?)$/.exec(clean)
  if (!match) return 'wrong'
  const number = Number(match[1])
  const value = match[2] === '%' || number > 1 ? number / 100 : number
  return value <= 1 ? value : 'wrong'
}

const shares: ReadonlySet<FigureColumn> = new Set(['pressed', 'seen'])
const counted: readonly FigureName[] = [
  'views',
  'watch',
  'impressions',
  'pressed',
  'seen',
  'likes',
  'comments',
  'gained',
]

/**
 * A table read as figures, with any columns: good rows, and wrong ones by line. The age is in a column of its own, or
 * follows from the date on which it was counted, else from `today`. `releasedOn`: the local date of an episode's release.
 */
export function readFigures(
  table: Table,
  mapping: FigureMapping,
  of: {
    names: EpisodeNames
    outlet?: Id
    ageOn: (episode: Id, day: string) => number | undefined
    today: string
  },
): ReadFigures {
  const read: ReadFigures = { rows: [], faults: [] }
  for (const { line, cells } of table.rows) {
    const cell = (column: FigureColumn) => {
      const name = mapping[column]
      return name === undefined ? '' : (cells.get(name) ?? '').trim()
    }
    const fault = (sentence: string) => read.faults.push({ line, sentence })
    const asked = cell('episode')
    const episode = matchEpisode(of.names, asked)
    if (episode === undefined) {
      fault(asked === '' ? 'It names no episode.' : `No released episode is called “${asked}”.`)
      continue
    }
    const age = ageOf(cell('age'), cell('on'), of, episode)
    if (typeof age === 'string') {
      fault(age)
      continue
    }
    const figure = figureOf(cell, age, of.outlet, /hour/i.test(mapping.watch ?? ''))
    if (typeof figure === 'string') fault(figure)
    else read.rows.push({ line, episode, figure })
  }
  return read
}

function ageOf(
  age: string,
  on: string,
  of: { ageOn: (episode: Id, day: string) => number | undefined; today: string },
  episode: Id,
): number | string {
  if (age !== '') {
    const days = Number(age.replace(/\s*d(ays?)?$/i, ''))
    return Number.isInteger(days) && days >= 0 ? days : `“${age}” is no age. Write whole days, for example 7.`
  }
  const day = on === '' ? of.today : readDay(on)
  if (day === undefined) return `“${on}” is no date. Write it as year-month-day, for example 2026-11-24.`
  const days = of.ageOn(episode, day)
  return days === undefined || days < 0 ? `It was not out on ${day}.` : days
}

function figureOf(
  cell: (c: FigureColumn) => string,
  age: number,
  outlet: Id | undefined,
  isHours: boolean,
): Figure | string {
  const figure: Record<string, number | string> = { age, ...(outlet === undefined ? {} : { outlet }) }
  for (const name of counted) {
    const text = cell(name)
    if (text === '') continue
    const isLoss = name === 'gained' && /^[-−]\d/.test(text)
    const value = shares.has(name) ? readShare(text) : readFigure(isLoss ? text.slice(1) : text)
    if (value === 'wrong') return `“${text}” is no figure. Write it as 12400, 12,400 or 12.4k.`
    if (value !== undefined) figure[name] = isLoss ? -value : name === 'watch' && isHours ? value * 60 : value
  }
  const kept = Figure.safeParse(figure)
  if (!kept.success) return kept.error.issues[0]?.message ?? 'These are no figures.'
  return Object.keys(figure).length > (outlet === undefined ? 1 : 2) ? kept.data : 'There is no figure in it.'
}
