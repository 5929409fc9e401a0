import { type Chance } from './chance'

export type Pen = OffscreenCanvasRenderingContext2D

/** Colours of one picture: ground dark and light, the thing, its shade, the words. */
export interface Palette {
  far: string
  near: string
  thing: string
  shade: string
  words: string
  second: string
}

export const { PI } = Math

export function line(pen: Pen, points: readonly (readonly [number, number])[]): void {
  pen.beginPath()
  points.forEach(([x, y], i) => {
    if (i === 0) pen.moveTo(x, y)
    else pen.lineTo(x, y)
  })
  pen.stroke()
}

export function disc(pen: Pen, x: number, y: number, r: number, colour: string): void {
  pen.fillStyle = colour
  pen.beginPath()
  pen.arc(x, y, r, 0, 2 * PI)
  pen.fill()
}

/** A bent timber: an arc of a ring with its edge in shade and grain along it. */
export function bend(pen: Pen, p: Palette, r: number, thick: number, from: number, to: number): void {
  pen.lineCap = 'butt'
  pen.strokeStyle = p.shade
  pen.lineWidth = thick
  pen.beginPath()
  pen.arc(6, 10, r, from, to)
  pen.stroke()
  pen.strokeStyle = p.thing
  pen.beginPath()
  pen.arc(0, 0, r, from, to)
  pen.stroke()
  pen.strokeStyle = p.shade
  pen.lineWidth = 2
  pen.globalAlpha = 0.45
  for (let g = -thick / 2 + 8; g < thick / 2; g += 9) {
    pen.beginPath()
    pen.arc(0, 0, r + g, from + 0.03, to - 0.02)
    pen.stroke()
  }
  pen.globalAlpha = 1
}

export function slab(pen: Pen, p: Palette, x: number, y: number, w: number, h: number, chance: Chance): void {
  pen.fillStyle = p.shade
  pen.fillRect(x + 7, y + 12, w, h)
  pen.fillStyle = p.thing
  pen.fillRect(x, y, w, h)
  pen.strokeStyle = p.shade
  pen.lineWidth = 2
  pen.globalAlpha = 0.5
  for (let g = y + 9; g < y + h; g += 11) {
    const knot = x + chance.next() * w
    pen.beginPath()
    pen.moveTo(x, g)
    pen.bezierCurveTo(knot - 80, g, knot - 40, g + 9 * (chance.next() - 0.5), knot, g + 5)
    pen.bezierCurveTo(knot + 40, g + 9, knot + 90, g, x + w, g)
    pen.stroke()
  }
  pen.globalAlpha = 1
}

export function wave(pen: Pen, y: number, colour: string, size: number, shift: number): void {
  pen.fillStyle = colour
  pen.beginPath()
  pen.moveTo(-900, y)
  for (let x = -900; x <= 900; x += 20) pen.lineTo(x, y + Math.sin(x / size + shift) * 15)
  pen.lineTo(900, 600)
  pen.lineTo(-900, 600)
  pen.fill()
}
