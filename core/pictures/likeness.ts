import { greyOf, linear, shrunk, type Pixels, type Plane } from './pixels'

/** What a picture is known again by: 64 differences of brightness between neighbours, and 16 mean colours (Oklab). */
export interface Signature {
  readonly bits: readonly boolean[]
  readonly colours: readonly (readonly [number, number, number])[]
}

/** Oklab's lightness and two axes of colour of linear light (B. Ottosson's published matrices). */
export function oklab(r: number, g: number, b: number): [number, number, number] {
  const l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b)
  const m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b)
  const s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b)
  return [
    0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s,
    1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s,
    0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s,
  ]
}

/** The signature of a picture of any size. */
export function signatureOf(pixels: Pixels, grey: Plane = greyOf(pixels)): Signature {
  const nine = shrunk(grey, 9, 8).data
  const bits: boolean[] = []
  for (let y = 0; y < 8; y++)
    for (let x = 0; x < 8; x++) bits.push((nine[y * 9 + x] ?? 0) < (nine[y * 9 + x + 1] ?? 0))
  return { bits, colours: meanColours(pixels) }
}

/** Mean colour of each cell of four by four, from every fourth dot each way. */
function meanColours({ width, height, data }: Pixels): [number, number, number][] {
  const sums = Array.from({ length: 16 }, (): [number, number, number, number] => [0, 0, 0, 0])
  for (let y = 0; y < height; y += 4)
    for (let x = 0; x < width; x += 4) {
      const cell = sums[Math.floor((y * 4) / height) * 4 + Math.floor((x * 4) / width)]
      if (!cell) continue
      const at = (y * width + x) * 4
      cell[0] += linear[data[at] ?? 0] ?? 0
      cell[1] += linear[data[at + 1] ?? 0] ?? 0
      cell[2] += linear[data[at + 2] ?? 0] ?? 0
      cell[3]++
    }
  return sums.map(([r, g, b, n]) => oklab(r / (n || 1), g / (n || 1), b / (n || 1)))
}

/**
 * How alike two pictures are, 0 to 1 (`engine` 14): 1 less half the sum of the share of differences that are not the
 * same and of the mean distance of colours, a distance of 0.5 being the whole.
 */
export function alike(a: Signature, b: Signature): number {
  const other = a.bits.filter((bit, i) => bit !== b.bits[i]).length / 64
  const distances = a.colours.map(([l, m, n], i) => {
    const [x, y, z] = b.colours[i] ?? [0, 0, 0]
    return Math.hypot(l - x, m - y, n - z)
  })
  const apart = Math.min(1, distances.reduce((sum, d) => sum + d, 0) / distances.length / 0.5)
  return 1 - (other + apart) / 2
}
