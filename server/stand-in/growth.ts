/** A number between 0 and 1 that follows from a text alone. */
function chanceOf(text: string): number {
  let hash = 2166136261
  for (const c of text) hash = Math.imul(hash ^ (c.codePointAt(0) ?? 0), 16777619) >>> 0
  return hash / 2 ** 32
}

/** Of all that will ever see a thing, two thirds do within so many days. */
const slow = 9

/**
 * How often a thing has been seen so many days after it came out: quick at first, ever slower, never less than before;
 * each thing has a reach of its own, from its id. A few on the first evening.
 */
export function viewsAfter(id: string, days: number): number {
  if (days <= 0) return 0
  const reach = 900 + 6000 * chanceOf(id) ** 2
  return Math.floor(reach * (1 - Math.exp(-days / slow)) + 40 * (1 - Math.exp(-days * 8)))
}
