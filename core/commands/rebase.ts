import type { Change } from '../records'
import { same } from '../records/same'

function isPlain(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}
function idOf(value: unknown): string | undefined {
  return isPlain(value) && typeof value['id'] === 'string' ? value['id'] : undefined
}

/**
 * Three versions of a value as one: what was changed here (`base` to `mine`) upon what stands by now
 * (`theirs`), field by field. Lists of things with ids are merged by id, lists of the same length place by
 * place; where both changed the same, what was changed here holds.
 */
export function merge3(base: unknown, mine: unknown, theirs: unknown): unknown {
  if (same(mine, base)) return theirs
  if (same(theirs, base) || same(mine, theirs)) return mine
  if (isPlain(base) && isPlain(mine) && isPlain(theirs)) {
    const keys = new Set([...Object.keys(mine), ...Object.keys(theirs)])
    const out: [string, unknown][] = []
    for (const key of keys) {
      const value = merge3(base[key], mine[key], theirs[key])
      if (value !== undefined) out.push([key, value])
    }
    return Object.fromEntries(out)
  }
  if (Array.isArray(mine) && Array.isArray(theirs) && (Array.isArray(base) || base === undefined))
    return lists(base ?? [], mine, theirs)
  return mine
}

function lists(base: readonly unknown[], mine: readonly unknown[], theirs: readonly unknown[]): unknown[] {
  const all = [...base, ...mine, ...theirs]
  if (all.length > 0 && all.every((x) => idOf(x) !== undefined)) {
    const [was, now, other] = [base, mine, theirs].map((l) => new Map(l.map((x) => [idOf(x), x])))
    const out: unknown[] = []
    for (const x of mine) {
      const id = idOf(x)
      // What they took away and nobody changed here is gone.
      if (was?.has(id) && !other?.has(id) && same(was.get(id), x)) continue
      out.push(merge3(was?.get(id), x, other?.has(id) ? other.get(id) : was?.get(id)))
    }
    for (const x of theirs) {
      const id = idOf(x)
      if (!was?.has(id) && !now?.has(id)) out.push(x)
    }
    return out
  }
  if (base.length === mine.length && mine.length === theirs.length)
    return mine.map((x, i) => merge3(base[i], x, theirs[i]))
  return [...mine]
}

/**
 * What was typed here upon what stands in the store by now: each change with the stored record as its
 * `before`, and in its `after` only those
 * fields altered that were altered here. `stored` says what stands there; nothing where a record was made
 * here and is not there yet. A record
 * that is gone by now, or that was made elsewhere and never read here, is left out; but for a script:
 * of an episode there is one, so that two pages may begin the same, and what either wrote is of it.
 */
export function rebased(
  changes: readonly Change[],
  stored: (change: Change) => unknown,
): { change: Change; after: unknown }[] {
  return changes.flatMap((change) => {
    const theirs = stored(change)
    if (change.before === undefined) {
      if (theirs === undefined) return [{ change, after: change.after }]
      return change.table === 'scripts' ? [{ change, after: merge3({}, theirs, change.after) }] : []
    }
    if (theirs === undefined) return []
    return [{ change, after: merge3(change.before, change.after, theirs) }]
  })
}
