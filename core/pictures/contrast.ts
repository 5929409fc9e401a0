import { luminance, type Pixels } from './pixels'

/** A box in a picture, px. */
export interface PixelBox {
  x: number
  y: number
  w: number
  h: number
}

/** At most so many dots of a box are looked at. */
const enough = 9_000

/**
 * Contrast of the words in a box to what is round them, 1 to 21 (WCAG 2.2), as `engine` 14 has it: of the two clusters of
 * colours in the box grown by a fifth, the ink is the one that is not joined to the border; the median of the ink against
 * the median of the ring between box and grown box. Nothing where the box holds one colour.
 */
export function contrastIn(pixels: Pixels, box: PixelBox): number | undefined {
  const grown = clipped(pixels, {
    x: box.x - box.w / 10,
    y: box.y - box.h / 10,
    w: box.w * 1.2,
    h: box.h * 1.2,
  })
  if (grown.w < 3 || grown.h < 3) return undefined
  const step = Math.max(1, Math.floor(Math.sqrt((grown.w * grown.h) / enough)))
  const columns = Math.ceil(grown.w / step)
  const rows = Math.ceil(grown.h / step)
  const colours = new Uint8ClampedArray(columns * rows * 3)
  for (let y = 0; y < rows; y++)
    for (let x = 0; x < columns; x++) {
      const from = ((grown.y + y * step) * pixels.width + grown.x + x * step) * 4
      const to = (y * columns + x) * 3
      for (let c = 0; c < 3; c++) colours[to + c] = pixels.data[from + c] ?? 0
    }
  const second = twoClusters(colours)
  if (!second) return undefined
  const isInk = inkOf(second, columns, rows)
  const ink: number[] = []
  const ring: number[] = []
  for (let y = 0; y < rows; y++)
    for (let x = 0; x < columns; x++) {
      const i = y * columns + x
      const lit = luminance(colours[i * 3] ?? 0, colours[i * 3 + 1] ?? 0, colours[i * 3 + 2] ?? 0)
      const inBox =
        grown.x + x * step >= box.x &&
        grown.x + x * step < box.x + box.w &&
        grown.y + y * step >= box.y &&
        grown.y + y * step < box.y + box.h
      if (isInk[i] === 1 && inBox) ink.push(lit)
      else if (!inBox) ring.push(lit)
    }
  if (ink.length === 0 || ring.length === 0) return undefined
  const [a, b] = [middle(ink), middle(ring)]
  return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05)
}

function clipped({ width, height }: Pixels, box: PixelBox): PixelBox {
  const x = Math.max(0, Math.floor(box.x))
  const y = Math.max(0, Math.floor(box.y))
  return {
    x,
    y,
    w: Math.min(width, Math.ceil(box.x + box.w)) - x,
    h: Math.min(height, Math.ceil(box.y + box.h)) - y,
  }
}

/**
 * Which dots belong to the second of two clusters of colours (Lloyd's algorithm from the darkest and the brightest dot);
 * nothing where all are one colour.
 */
function twoClusters(colours: Uint8ClampedArray): Uint8Array | undefined {
  const count = colours.length / 3
  const brightness = (i: number) =>
    (colours[i * 3] ?? 0) * 0.2126 + (colours[i * 3 + 1] ?? 0) * 0.7152 + (colours[i * 3 + 2] ?? 0) * 0.0722
  let [low, high] = [0, 0]
  for (let i = 1; i < count; i++) {
    if (brightness(i) < brightness(low)) low = i
    if (brightness(i) > brightness(high)) high = i
  }
  if (brightness(high) - brightness(low) < 1) return undefined
  const centres = [low, high].map((i) => [
    colours[i * 3] ?? 0,
    colours[i * 3 + 1] ?? 0,
    colours[i * 3 + 2] ?? 0,
  ])
  const second = new Uint8Array(count)
  for (let turn = 0; turn < 12; turn++) {
    const sums = [
      [0, 0, 0, 0],
      [0, 0, 0, 0],
    ]
    let moved = 0
    for (let i = 0; i < count; i++) {
      const near = distance(colours, i, centres[1]) < distance(colours, i, centres[0]) ? 1 : 0
      if (second[i] !== near) moved++
      second[i] = near
      const sum = sums[near] ?? []
      for (let c = 0; c < 3; c++) sum[c] = (sum[c] ?? 0) + (colours[i * 3 + c] ?? 0)
      sum[3] = (sum[3] ?? 0) + 1
    }
    sums.forEach((sum, k) => {
      if ((sum[3] ?? 0) > 0) centres[k] = [0, 1, 2].map((c) => (sum[c] ?? 0) / (sum[3] ?? 1))
    })
    if (moved === 0) break
  }
  return second
}

function distance(colours: Uint8ClampedArray, i: number, centre: readonly number[] = []): number {
  let sum = 0
  for (let c = 0; c < 3; c++) sum += ((colours[i * 3 + c] ?? 0) - (centre[c] ?? 0)) ** 2
  return sum
}

/** Of two clusters the ink: the one with less of the border, without what is joined to the border. */
function inkOf(second: Uint8Array, columns: number, rows: number): Uint8Array {
  const border: number[] = []
  for (let x = 0; x < columns; x++) border.push(x, (rows - 1) * columns + x)
  for (let y = 1; y < rows - 1; y++) border.push(y * columns, y * columns + columns - 1)
  const onBorder = border.filter((i) => second[i] === 1).length
  const ink = onBorder * 2 < border.length ? 1 : 0
  const isInk = second.map((s) => (s === ink ? 1 : 0))
  // What reaches the border is ground of the same colour.
  const open = border.filter((i) => isInk[i] === 1)
  for (const i of open) isInk[i] = 0
  while (open.length > 0) {
    const i = open.pop() ?? 0
    const x = i % columns
    for (const next of [x > 0 ? i - 1 : i, x < columns - 1 ? i + 1 : i, i - columns, i + columns])
      if (isInk[next] === 1) {
        isInk[next] = 0
        open.push(next)
      }
  }
  return isInk
}

function middle(values: number[]): number {
  values.sort((a, b) => a - b)
  return values[Math.floor(values.length / 2)] ?? 0
}
