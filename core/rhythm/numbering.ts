import type { Day, Episode, Id, Show } from '../records'
import { dayOf, dayNumber } from './days'
import { filledSlots, releaseOf, slotsOf } from './slots'
import { dayAt } from './zone'

/** Release numbers of one show: of its episodes by id, and of its open slots by original date. */
export interface Numbers {
  episodes: ReadonlyMap<Id, number>
  open: ReadonlyMap<Day, number>
}

/**
 * Numbers by release order (`engine` 1). Fixed numbers (released, or out of the program in a kit) stay;
 * the others take, in order of their release, the least number that is free from the show's `nextNumber` on.
 * Open slots that are still to come count, so that filling a gap renumbers nobody behind it.
 * `ahead` is the horizon in days for open slots.
 */
export function numbersOf(show: Show, all: Iterable<Episode>, now: number, ahead = 400): Numbers {
  const mine = [...all].filter((e) => e.show === show.id)
  const episodes = new Map<Id, number>()
  const open = new Map<Day, number>()
  const taken = new Set<number>()
  for (const e of mine)
    if (e.number !== undefined) {
      taken.add(e.number)
      episodes.set(e.id, e.number)
    }
  const row: { at: number; set: (n: number) => void; fixed: number | undefined }[] = []
  for (const e of mine) {
    if (e.phase.kind === 'released' || e.phase.kind === 'dropped' || e.phase.kind === 'parked') continue
    const release = releaseOf(e, show)
    if (release) row.push({ at: release.at, fixed: e.number, set: (n) => episodes.set(e.id, n) })
  }
  const filled = filledSlots(show, mine)
  const today = dayNumber(dayAt(now, show.zone))
  for (const slot of slotsOf(show, dayOf(today - 40), dayOf(today + ahead)))
    if (slot.at > now && !slot.skipped && !filled.has(slot.original))
      row.push({ at: slot.at, fixed: undefined, set: (n) => open.set(slot.original, n) })
  row.sort((a, b) => a.at - b.at)
  let next = show.nextNumber
  for (const entry of row) {
    if (entry.fixed !== undefined) continue
    while (taken.has(next)) next++
    entry.set(next++)
  }
  return { episodes, open }
}

/** Whether two small records say the same; mostly they are the very same. */
function isSaid(a: object, b: object): boolean {
  return a === b || JSON.stringify(a) === JSON.stringify(b)
}

/** Whether two rows of episodes get the same numbers: each has the same place, phase and number as the other. */
export function isNumberedAlike(a: readonly Episode[], b: readonly Episode[]): boolean {
  return (
    a.length === b.length &&
    a.every((e, i) => {
      const o = b[i]
      return (
        e === o ||
        (o !== undefined &&
          e.id === o.id &&
          isSaid(e.phase, o.phase) &&
          isSaid(e.place, o.place) &&
          e.number === o.number)
      )
    })
  )
}

/**
 * An episode's number as it is shown: the show's prefix and the number, or its permanent code while it has
 * none.
 */
export function sayNumber(show: Show, number: number | undefined, code: string): string {
  return number === undefined ? code : `${show.prefix}${number}`
}

const letters = '23456789ABCDEFGHJKLMNPQRSTUVWXYZ'

/**
 * A permanent code of four letters and digits for an id, none of `taken`; the same id gives the same code
 * while it is free.
 */
export function codeFor(id: Id, taken: ReadonlySet<string>): string {
  let hash = 2166136261
  for (const c of id) hash = Math.imul(hash ^ (c.codePointAt(0) ?? 0), 16777619) >>> 0
  for (;;) {
    let code = ''
    let rest = hash
    for (let i = 0; i < 4; i++) {
      code += letters[rest % 32] ?? ''
      rest = Math.floor(rest / 32)
    }
    if (!taken.has(code) && /\d/.test(code)) return code
    hash = (Math.imul(hash, 1664525) + 1013904223) >>> 0
  }
}
