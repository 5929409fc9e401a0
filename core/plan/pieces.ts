import type { StepKind } from '../records'
import type { PlanFor } from './task'

/** Least minutes of a block that is part of a longer piece of work. */
export const chunk = 30

/** Below this nothing is cut off: no block so short stands beside another of the same work. */
export const shortest = 15

/** Days within which, or up to its release, work looks for a day that could take it whole. */
export const sight = 28

/**
 * The most minutes of a kind of work that one day between two takes, both counted from the first and included: its
 * room less what setting up costs there.
 */
export function capacityOf(of: PlanFor): (kind: StepKind, from: number, to: number) => number {
  const largest = new Map<string, number>()
  return (kind, from, to) => {
    const key = `${kind} ${from} ${to}`
    let most = largest.get(key)
    if (most === undefined) {
      const cost = of.setup[kind] ?? 0
      most = 0
      for (let n = from; n <= Math.min(to, of.minutes.length - 1); n++) {
        const free = (of.minutes[n] ?? 0) - (n === 0 && of.begun?.has(kind) ? 0 : cost)
        if (free > most) most = free
      }
      largest.set(key, most)
    }
    return most
  }
}

/**
 * The most of some minutes that a day's room takes so that the rest can still be cut into pieces between
 * `least` and `most`; 0 where none.
 */
function pieceOf(left: number, room: number, least: number, most: number): number {
  if (left <= room) return left
  if (room < least) return 0
  const rest = left - room
  const short = Math.ceil(rest / most) * least - rest
  const piece = room - Math.max(0, short)
  return piece >= least ? piece : 0
}

/** Minutes of a task on a day, counted from the first. */
export interface Piece {
  n: number
  minutes: number
}

/** All minutes on the first day from `start` on that has room for them; nothing where none has. */
export function inOneSitting(
  minutes: number,
  start: number,
  days: number,
  free: (n: number) => number,
): Piece[] | undefined {
  for (let n = start; n < days; n++) if (free(n) >= minutes) return [{ n, minutes }]
  return undefined
}

/**
 * Minutes in pieces, as early as can be from `start` on, none longer than `largest`; nothing where they find no room.
 */
export function inPieces(
  minutes: number,
  start: number,
  days: number,
  free: (n: number) => number,
  largest: number,
): Piece[] | undefined {
  const even = Math.floor(minutes / Math.ceil(minutes / largest))
  const least = largest < shortest ? even : Math.min(chunk, Math.max(shortest, even))
  const pieces: Piece[] = []
  let left = minutes
  for (let n = start; n < days && left > 0; n++) {
    const piece = pieceOf(left, Math.min(free(n), largest), least, largest)
    if (piece === 0) continue
    pieces.push({ n, minutes: piece })
    left -= piece
  }
  return left > 0 ? undefined : pieces
}

/** Blocks of a task, the earliest first, as far as there are minutes of it: no more is laid than is left to do. */
export function cutTo<B extends { minutes: number }>(row: readonly B[], minutes: number): B[] {
  let rest = minutes
  return row.flatMap((b) => {
    const mine = Math.min(b.minutes, rest)
    rest -= mine
    return mine > 0 ? [{ ...b, minutes: mine }] : []
  })
}
