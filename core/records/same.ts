/**
 * Whether two records say the same, whatever the order of their fields; a field that says nothing is none.
 */
export function same(a: unknown, b: unknown): boolean {
  if (a === b) return true
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false
  if (Array.isArray(a) !== Array.isArray(b)) return false
  const [left, right] = [fieldsOf(a), fieldsOf(b)]
  return left.size === right.size && [...left].every(([key, value]) => same(value, right.get(key)))
}

function fieldsOf(value: object): Map<string, unknown> {
  return new Map(Object.entries(value).filter(([, v]) => v !== undefined))
}
