const { imul } = Math

/** A 32-bit hash of a text (FNV-1a), for seeds. */
export function seedOf(text: string): number {
  let hash = 2166136261
  for (let i = 0; i < text.length; i++) hash = imul(hash ^ text.charCodeAt(i), 16777619) >>> 0
  return hash
}

/** The next state of a generator, and the number from 0 to 1 that a state gives (mulberry32); all in 32 bits. */
const step = 0x6d2b79f5
function numberOf(state: number): number {
  let t = imul(state ^ (state >>> 15), state | 1)
  t ^= (t + imul(t ^ (t >>> 7), t | 61)) | 0
  return ((t ^ (t >>> 14)) >>> 0) / 4294967296
}

/** Numbers from 0 to 1 that only the seed decides. */
export function drawsOf(seed: number): () => number {
  let state = seed | 0
  return () => {
    state = (state + step) | 0
    return numberOf(state)
  }
}

/** The first so many of a seed's numbers at once, many times faster than one by one. */
export function manyDraws(seed: number, count: number): Float64Array {
  const all = new Float64Array(count)
  let state = seed | 0
  for (let i = 0; i < count; i++) {
    state = (state + step) | 0
    all[i] = numberOf(state)
  }
  return all
}

const normalFrom = (u: number, v: number) =>
  Math.sqrt(-2 * Math.log(Math.max(u, 1e-12))) * Math.cos(2 * Math.PI * v)

/**
 * Standard normal numbers from uniform ones (Box and Muller), the second of each pair thrown away so that
 * the n-th stays the n-th.
 */
export function normal(draw: () => number): number {
  const u = draw()
  return normalFrom(u, draw())
}

/** The first so many standard normal numbers of a seed, as `normal` draws them one by one. */
export function manyNormals(seed: number, count: number): Float64Array {
  const draws = manyDraws(seed, 2 * count)
  const all = new Float64Array(count)
  for (let i = 0; i < count; i++) all[i] = normalFrom(draws[2 * i] ?? 0, draws[2 * i + 1] ?? 0)
  return all
}
