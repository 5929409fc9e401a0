/** A picture as numbers: red, green, blue, opacity of each dot, 0 to 255, row by row; as a canvas gives it. */
export interface Pixels {
  readonly width: number
  readonly height: number
  readonly data: Uint8ClampedArray
}

/** One number a dot. */
export interface Plane {
  readonly width: number
  readonly height: number
  readonly data: Float32Array
}

/** sRGB value 0 to 255 to linear light 0 to 1 (IEC 61966-2-1). */
export const linear = Float64Array.from({ length: 256 }, (_, i) => {
  const c = i / 255
  return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4
})

/** Relative luminance 0 to 1 (WCAG 2.2) of an sRGB colour. */
export function luminance(r: number, g: number, b: number): number {
  return 0.2126 * (linear[r] ?? 0) + 0.7152 * (linear[g] ?? 0) + 0.0722 * (linear[b] ?? 0)
}

/** How bright each dot looks, 0 to 255: the weighted sum of its sRGB values (ITU-R BT.709). */
export function greyOf({ width, height, data }: Pixels): Plane {
  const grey = new Float32Array(width * height)
  for (let i = 0, at = 0; i < grey.length; i++, at += 4)
    grey[i] = 0.2126 * (data[at] ?? 0) + 0.7152 * (data[at + 1] ?? 0) + 0.0722 * (data[at + 2] ?? 0)
  return { width, height, data: grey }
}

/** A plane made smaller: each dot the mean of the area that it stands for. `width` and `height` at most its own. */
export function shrunk(of: Plane, width: number, height: number): Plane {
  // Sums over rows first, then over columns: each with the share of the dots at the ends.
  const wide = new Float32Array(width * of.height)
  const across = spans(of.width, width)
  for (let y = 0; y < of.height; y++)
    for (let x = 0; x < width; x++) wide[y * width + x] = meanOver(of.data, y * of.width, 1, across[x])
  const small = new Float32Array(width * height)
  const down = spans(of.height, height)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) small[y * width + x] = meanOver(wide, x, width, down[y])
  return { width, height, data: small }
}

/** From where to where each of `to` parts reaches on `from` dots. */
function spans(from: number, to: number): { start: number; end: number }[] {
  return Array.from({ length: to }, (_, i) => ({ start: (i * from) / to, end: ((i + 1) * from) / to }))
}

function meanOver(
  data: Float32Array,
  first: number,
  step: number,
  span: { start: number; end: number } | undefined,
): number {
  if (!span) return 0
  const { start, end } = span
  let sum = 0
  for (let i = Math.floor(start); i < end; i++) {
    const share = Math.min(end, i + 1) - Math.max(start, i)
    sum += (data[first + i * step] ?? 0) * share
  }
  return sum / (end - start)
}

/** A plane made larger, between dots in straight lines from middle to middle. */
export function grown(of: Plane, width: number, height: number): Plane {
  const data = new Float32Array(width * height)
  const columns = between(of.width, width)
  const rows = between(of.height, height)
  for (let y = 0; y < height; y++) {
    const row = rows[y]
    if (!row) continue
    const above = row.at * of.width
    const below = row.next * of.width
    for (let x = 0; x < width; x++) {
      const column = columns[x]
      if (!column) continue
      const { at, next, share } = column
      const up = (of.data[above + at] ?? 0) * (1 - share) + (of.data[above + next] ?? 0) * share
      const low = (of.data[below + at] ?? 0) * (1 - share) + (of.data[below + next] ?? 0) * share
      data[y * width + x] = up * (1 - row.share) + low * row.share
    }
  }
  return { width, height, data }
}

function between(from: number, to: number): { at: number; next: number; share: number }[] {
  return Array.from({ length: to }, (_, i) => {
    const middle = Math.min(from - 1, Math.max(0, ((i + 0.5) * from) / to - 0.5))
    const at = Math.floor(middle)
    return { at, next: Math.min(from - 1, at + 1), share: middle - at }
  })
}
