/** Seeded chance (mulberry32): the same seed gives the same world. */
export interface Chance {
  /** From 0 up to but not 1. */
  next: () => number
  /** One of some, never none. */
  pick: <T>(from: readonly [T, ...T[]] | readonly T[]) => T
  /** A whole number, both ends included. */
  between: (low: number, high: number) => number
  /** A multiple round 1, log-normal. */
  about: (sigma: number) => number
}

export function chanceFrom(seed: number): Chance {
  let state = seed >>> 0
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
  const pick = <T>(from: readonly T[]): T => {
    const found = from[Math.floor(next() * from.length)]
    if (found === undefined) throw new Error('Nothing to pick from')
    return found
  }
  return {
    next,
    pick,
    between: (low, high) => low + Math.floor(next() * (high - low + 1)),
    about: (sigma) => Math.exp(sigma * Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next())),
  }
}
