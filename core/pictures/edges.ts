import { grown, shrunk, type Plane } from './pixels'

/** Sum of the strength of edges (Sobel's operator) over a plane, its border apart. */
export function edgeStrength({ width, height, data }: Plane): number {
  let sum = 0
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const at = y * width + x
      const a = data[at - width - 1] ?? 0
      const b = data[at - width] ?? 0
      const c = data[at - width + 1] ?? 0
      const d = data[at - 1] ?? 0
      const f = data[at + 1] ?? 0
      const g = data[at + width - 1] ?? 0
      const h = data[at + width] ?? 0
      const i = data[at + width + 1] ?? 0
      const dx = c + 2 * f + i - a - 2 * d - g
      const dy = g + 2 * h + i - a - 2 * b - c
      sum += Math.sqrt(dx * dx + dy * dy)
    }
  return sum
}

/**
 * Share of a picture's edges that are left when it is `small` px wide (`engine` 14): the strength of edges after making
 * it small and large again, over that of the whole; 1 where it has none to lose.
 */
export function edgesLeft(grey: Plane, small: number): number {
  const whole = edgeStrength(grey)
  if (whole === 0) return 1
  const height = Math.max(2, Math.round((small * grey.height) / grey.width))
  const again = grown(shrunk(grey, small, height), grey.width, grey.height)
  return Math.min(1, edgeStrength(again) / whole)
}
