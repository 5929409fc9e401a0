import type { Pixels } from './pixels'

/** How different two colours must be to stand beside each other in a palette, as a distance in sRGB. */
const apart = 60

/**
 * The colours that a picture is made of, `#rrggbb`, the most frequent first: dots counted in cubes of 32 steps, each
 * cube's mean, those too near to one already taken left out. At most `most`.
 */
export function coloursOf({ width, height, data }: Pixels, most: number): string[] {
  const cubes = new Map<number, [number, number, number, number]>()
  const step = Math.max(1, Math.floor(Math.sqrt((width * height) / 20_000)))
  for (let y = 0; y < height; y += step)
    for (let x = 0; x < width; x += step) {
      const at = (y * width + x) * 4
      const [r = 0, g = 0, b = 0] = [data[at], data[at + 1], data[at + 2]]
      const cube = ((r >> 5) << 10) | ((g >> 5) << 5) | (b >> 5)
      const sum = cubes.get(cube)
      if (sum) {
        sum[0] += r
        sum[1] += g
        sum[2] += b
        sum[3]++
      } else cubes.set(cube, [r, g, b, 1])
    }
  const taken: (readonly [number, number, number])[] = []
  for (const [r, g, b, n] of [...cubes.values()].sort((one, other) => other[3] - one[3])) {
    const mean = [r / n, g / n, b / n] as const
    if (taken.every((t) => Math.hypot(t[0] - mean[0], t[1] - mean[1], t[2] - mean[2]) >= apart))
      taken.push(mean)
    if (taken.length === most) break
  }
  return taken.map((c) => `#${c.map((v) => Math.round(v).toString(16).padStart(2, '0')).join('')}`)
}
