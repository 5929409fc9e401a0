import { ascending } from 'd3-array'
import type { Day, Episode, Id, ReadNote, Records } from '../records'
import { promisedIn } from '../script/promised'
import { addDays } from '../rhythm/days'
import type { DealRead } from './deal-reads'
import type { DealView } from './deal-view'

/** What is next of a deal: whose move, until or since which day, and what does it. */
export interface DealMove {
  who: 'you' | 'they'
  /** `by` a day it should be done; `since` a day it waits. */
  by?: Day
  since?: Day
  what: string
  /** The episode it is about, where one is. */
  episode?: Episode
  deed:
    | { kind: 'keep dates' }
    | { kind: 'fill'; day: Day }
    | { kind: 'write' }
    | { kind: 'note'; note: keyof ReadNote }
    | { kind: 'settle' }
}

/** Days before its release by which a read is written, where nothing was agreed of showing it. */
const writtenBefore = 7
/** Days within which an invoice is paid, where nothing was agreed. */
export const usualPayment = 30

/** What is to be done of a deal and what is waited for, the next first. */
export function dealMoves({ scripts }: Pick<Records, 'scripts'>, view: DealView, today: Day): DealMove[] {
  const { deal, reads, toFill, dates, datesBy } = view
  const moves: DealMove[] = []
  if (dates.length > 0 && datesBy !== undefined)
    moves.push({
      who: 'you',
      by: datesBy,
      what: dates.length === 1 ? 'keep a date' : `keep ${countWord(dates.length)} dates`,
      deed: { kind: 'keep dates' },
    })
  for (const { slot, episode } of toFill)
    moves.push({
      who: 'you',
      by: addDays(slot.day, -(deal.shownBefore ?? 0) - writtenBefore),
      what: episode ? 'a read into what stands there' : 'an episode for the slot that is kept',
      ...(episode ? { episode } : {}),
      deed: { kind: 'fill', day: slot.original },
    })
  for (const read of reads) moves.push(...movesOf(scripts, view, read, today))
  const day = (m: DealMove) => m.by ?? m.since ?? '9'
  return moves.sort((a, b) => ascending(day(a), day(b)))
}

function movesOf(scripts: Records['scripts'], { deal }: DealView, read: DealRead, today: Day): DealMove[] {
  const { episode, day, note, standing } = read
  if (standing === 'to come') return comingMoves(scripts, deal.shownBefore, read)
  if (standing === 'cannot be told')
    return [
      {
        who: 'you',
        by: today,
        what: 'say whether the read was as agreed',
        episode,
        deed: { kind: 'settle' },
      },
    ]
  if (standing !== 'delivered' || (deal.fee ?? 0) === 0 || note.paid !== undefined) return []
  return note.invoiced === undefined
    ? [
        {
          who: 'you',
          by: day ?? today,
          what: 'write the invoice',
          episode,
          deed: { kind: 'note', note: 'invoiced' },
        },
      ]
    : [
        {
          who: 'they',
          since: note.invoiced,
          what: 'their fee',
          episode,
          deed: { kind: 'note', note: 'paid' },
        },
      ]
}

function comingMoves(
  scripts: Records['scripts'],
  shownBefore: number | undefined,
  { episode, day, note, checks }: DealRead,
): DealMove[] {
  const script = scripts.get(episode.id)
  const isWritten = script !== undefined && promisedIn(script).some((p) => p.promised.kind === 'read')
  const before = (days: number) => (day === undefined ? {} : { by: addDays(day, -days) })
  const moves: DealMove[] = []
  if (!isWritten)
    moves.push({
      who: 'you',
      ...before((shownBefore ?? 0) + writtenBefore),
      what: 'write the read',
      episode,
      deed: { kind: 'write' },
    })
  else if (checks.some((c) => c.decides && c.state === 'fails'))
    moves.push({
      who: 'you',
      ...before(shownBefore ?? writtenBefore),
      what: 'mend the read',
      episode,
      deed: { kind: 'write' },
    })
  if (shownBefore === undefined) return moves
  if (note.shown === undefined)
    moves.push({
      who: 'you',
      ...before(shownBefore),
      what: 'show them the read',
      episode,
      deed: { kind: 'note', note: 'shown' },
    })
  else if (note.agreed === undefined)
    moves.push({
      who: 'they',
      since: note.shown,
      what: 'their word on the read',
      episode,
      deed: { kind: 'note', note: 'agreed' },
    })
  return moves
}

const words = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
]
/** A small number in words, a large one in figures. */
export function countWord(n: number): string {
  return words[n] ?? String(n)
}

/** The day until which an invoice of a read is to be paid. */
export function payBy(invoiced: Day, payWithin: number | undefined): Day {
  return addDays(invoiced, payWithin ?? usualPayment)
}

/** The read of an episode in a view; nothing where it is not in it. */
export function readIn({ reads }: DealView, episode: Id): DealRead | undefined {
  return reads.find((r) => r.episode.id === episode)
}
