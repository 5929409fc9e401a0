import type { ChangeMinutes, Id, Show } from '../records'

/** A shot as its order is sought: where and how it is filmed, how long that takes, and what it must follow. */
export interface Shot {
  id: Id
  place: string
  framing: string
  light: string
  clothes: string
  minutes: number
  /** It must be got; what is not could be left. */
  must: boolean
  /** Shots that are filmed before it. */
  after: readonly Id[]
  daylight: boolean
  /** The shot right behind which the hand has put it; empty for the first place. */
  behind?: Id | undefined
}

/** First values, until the show has its own (`engine` 13). */
export const usualCosts: ChangeMinutes = { place: 15, framing: 3, light: 10, clothes: 8 }

/**
 * Minutes that changes cost where shots of these shows are filmed together: of each the most that one of them says;
 * the first values where there is no show.
 */
export function changeCosts(shows: Iterable<Pick<Show, 'changeMinutes'>>): ChangeMinutes {
  const all = [...shows].map((s) => s.changeMinutes ?? usualCosts)
  if (all.length === 0) return usualCosts
  const most = (of: keyof ChangeMinutes) => Math.max(...all.map((c) => c[of]))
  return {
    place: most('place'),
    framing: most('framing'),
    light: most('light'),
    clothes: most('clothes'),
  }
}

/** Minutes from the first shot to the end of daylight; endless where nobody typed one. */
export interface ShotDay {
  costs: ChangeMinutes
  light: number
}

/** What an order costs, the first first (`engine` 13): shots after the light, minutes of change, must-haves late, order. */
export interface OrderCost {
  dark: number
  change: number
  musts: number
  turned: number
}

/** What may be another from one shot to the next. */
export const changeParts = ['place', 'framing', 'light', 'clothes'] as const
export type ChangePart = (typeof changeParts)[number]
export const changeNames: Readonly<Record<ChangePart, string>> = {
  place: 'Going elsewhere',
  framing: 'Framing anew',
  light: 'Lighting anew',
  clothes: 'Changing clothes',
}

/** What is changed from one shot to the next. */
export function changedParts(from: Shot, to: Shot): ChangePart[] {
  return changeParts.filter((part) => from[part] !== to[part])
}

/** Minutes that going from one shot to the next costs. */
export function changeBetween(from: Shot, to: Shot, costs: ChangeMinutes): number {
  let minutes = 0
  for (const part of changeParts) if (from[part] !== to[part]) minutes += costs[part]
  return minutes
}

/** An order with what it costs, how often anything changes, and the shots that the light does not reach. */
export interface ShotOrder {
  order: Id[]
  changes: number
  minutes: number
  dark: Id[]
}

/** Counts what an order comes to, as it stands. */
export function counted(order: readonly Shot[], { costs, light }: ShotDay): ShotOrder {
  let [changes, minutes, at] = [0, 0, 0]
  const dark: Id[] = []
  for (const [i, shot] of order.entries()) {
    const before = order[i - 1]
    const change = before ? changeBetween(before, shot, costs) : 0
    if (change > 0) changes++
    minutes += change
    at += change + shot.minutes
    if (shot.daylight && at > light) dark.push(shot.id)
  }
  return { order: order.map((s) => s.id), changes, minutes, dark }
}

/** What an order costs by the four, for the search and its tests. */
export function costOfOrder(order: readonly Shot[], day: ShotDay, given: ReadonlyMap<Id, number>): OrderCost {
  const { minutes: change, dark } = counted(order, day)
  let [musts, turned] = [0, 0]
  for (const [i, shot] of order.entries()) {
    if (shot.must) musts += i
    const at = given.get(shot.id) ?? 0
    for (const before of order.slice(0, i)) if ((given.get(before.id) ?? 0) > at) turned++
  }
  return { dark: dark.length, change, musts, turned }
}

/** Whether one cost is less than another, the first part that differs deciding. */
export function isLess(a: OrderCost, b: OrderCost): boolean {
  for (const part of ['dark', 'change', 'musts', 'turned'] as const)
    if (a[part] !== b[part]) return a[part] < b[part]
  return false
}

/** Whether an order keeps what must follow what, and what the hand has put. */
export function isKept(order: readonly Shot[], pinned = true): boolean {
  const at = new Map(order.map((s, i) => [s.id, i]))
  return order.every((s, i) => {
    const follows = s.after.every((id) => (at.get(id) ?? -1) < i)
    const stands = !pinned || s.behind === undefined || (order[i - 1]?.id ?? '') === s.behind
    return follows && stands
  })
}
