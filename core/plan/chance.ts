/** A 32-bit hash of a text (FNV-1a), for seeds. */
export function seedOf(text: string): number {
  let hash = 2166136261
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 16777619) >>> 0
  return hash
}

/** Numbers from 0 to 1 that only the seed decides (mulberry32). */
export function drawsOf(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/**
 * Standard normal numbers from uniform ones (Box and Muller), the second of each pair thrown away so that
 * the n-th stays the n-th.
 */
export function normal(draw: () => number): number {
  const u = Math.max(draw(), 1e-12)
  return Math.sqrt(-2 * Math.log(u)) * Math.cos(2 * Math.PI * draw())
}
