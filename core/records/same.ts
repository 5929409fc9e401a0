const hasFields = (value: object): value is Record<string, unknown> => !Array.isArray(value)

/**
 * Whether two records say the same, whatever the order of their fields; a field that says nothing is none. Makes nothing
 * on the way: long scripts are compared at every write.
 */
export function same(a: unknown, b: unknown): boolean {
  if (a === b) return true
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false
  if (Array.isArray(a)) return Array.isArray(b) && a.length === b.length && a.every((v, i) => same(v, b[i]))
  if (!hasFields(a) || !hasFields(b)) return false
  let left = 0
  for (const key of Object.keys(b)) if (b[key] !== undefined) left++
  for (const key of Object.keys(a)) {
    const value = a[key]
    if (value === undefined) continue
    if (!Object.hasOwn(b, key) || !same(value, b[key])) return false
    left--
  }
  return left === 0
}
