/**
 * The ends of a logarithmic axis for some figures, a decade apart at least, with some room on both sides; 1
 * to 10 for none.
 */
export function logDomain(values: readonly number[]): [number, number] {
  const known = values.filter((v) => Number.isFinite(v))
  const low = Math.max(1, Math.min(...(known.length > 0 ? known : [1])))
  const high = Math.max(low * 10, ...known)
  return [low / 1.8, high * 1.8]
}

/** The powers of ten between two figures, both included; none where an end is no positive number. */
export function decades([from, to]: readonly [number, number]): number[] {
  if (!(from > 0) || !Number.isFinite(to)) return []
  const [first, last] = [Math.ceil(Math.log10(from)), Math.floor(Math.log10(to))]
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => 10 ** (first + i))
}
