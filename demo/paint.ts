import { chanceFrom, type Chance } from './chance'
import type { PictureOrder } from './progress'

import { motifs } from './motifs'
import { palettes } from './palettes'
import { line, type Palette, type Pen } from './pen'
import type { PictureWords } from '@core/records'

/** A picture of the demo and the words that were laid over it. */
export interface Painted {
  canvas: OffscreenCanvas
  words: PictureWords[]
}

/**
 * Paints one picture of the demo: a ground, a motif in the trade's shapes, grain, and its words. 1280 ×
 * 720, covers 1000 × 1000, or half of it.
 */
export function paint(
  order: PictureOrder,
  index: number,
  make: (w: number, h: number) => OffscreenCanvas,
): Painted {
  const w = order.audio ? 1000 : 1280
  const h = order.audio ? 1000 : 720
  const part = order.half ? 0.5 : 1
  const canvas = make(w * part, h * part)
  const pen = canvas.getContext('2d')
  if (!pen) return { canvas, words: [] }
  pen.scale(part, part)
  const chance = chanceFrom(index * 977 + order.variant * 31 + 5)
  const p = palettes[(index * 3 + order.variant * 2 + (order.audio ? 1 : 0)) % palettes.length] ?? palettes[0]
  if (!p) return { canvas, words: [] }
  ground(pen, w, h, p, chance)
  pen.save()
  const right = order.audio ? 0.5 : 0.62 + chance.next() * 0.06
  pen.translate(w * right, h * (order.audio ? 0.6 : 0.52))
  pen.scale(h / 720, h / 720)
  pen.rotate((chance.next() - 0.5) * 0.24)
  if (chance.next() < 0.5 && order.subject.motif !== 'tower') pen.scale(-1, 1)
  motifs[order.subject.motif](pen, p, chance)
  pen.restore()
  grain(pen, w, h, chance)
  return { canvas, words: words(pen, order, w, h, p, chance) }
}

function ground(pen: Pen, w: number, h: number, p: Palette, chance: Chance): void {
  const x = w * (0.4 + chance.next() * 0.4)
  const glow = pen.createRadialGradient(x, h * 0.35, 40, x, h * 0.5, w * 0.8)
  glow.addColorStop(0, p.near)
  glow.addColorStop(1, p.far)
  pen.fillStyle = glow
  pen.fillRect(0, 0, w, h)
  pen.globalAlpha = 0.16
  pen.strokeStyle = p.far
  pen.lineWidth = 5
  const lean = 60 + chance.next() * 120
  const step = 90 + chance.next() * 70
  for (let i = -4; i < w / step + 4; i++)
    line(pen, [
      [i * step, 0],
      [i * step + lean, h],
    ])
  pen.globalAlpha = 1
}

function grain(pen: Pen, w: number, h: number, chance: Chance): void {
  for (const colour of ['rgba(255,255,255,0.06)', 'rgba(0,0,0,0.09)']) {
    pen.fillStyle = colour
    pen.beginPath()
    for (let i = 0; i < 700; i++) pen.rect(chance.next() * w, chance.next() * h, 2.4, 2.4)
    pen.fill()
  }
  const edge = pen.createRadialGradient(w / 2, h / 2, h * 0.5, w / 2, h / 2, w * 0.72)
  edge.addColorStop(0, 'rgba(0,0,0,0)')
  edge.addColorStop(1, 'rgba(0,0,0,0.42)')
  pen.fillStyle = edge
  pen.fillRect(0, 0, w, h)
}

/**
 * The words: up to three lines, as large as they fit; a lesser candidate gets them small or low, as first
 * tries are.
 */
function words(
  pen: Pen,
  order: PictureOrder,
  w: number,
  h: number,
  p: Palette,
  chance: Chance,
): PictureWords[] {
  const text = order.variant === 2 ? order.subject.title : order.subject.words
  const parts = text.split(' ')
  const perLine = order.variant === 2 ? 3 : parts.length > 2 ? 2 : 1
  const lines: string[] = []
  for (let i = 0; i < parts.length; i += perLine) lines.push(parts.slice(i, i + perLine).join(' '))
  let size = order.variant === 2 ? h * 0.075 : h * 0.24
  const font = () => {
    pen.font = `800 ${Math.round(size)}px "Bricolage Grotesque Variable", "Bricolage Grotesque", sans-serif`
  }
  font()
  const room = w * (order.audio ? 0.86 : 0.56)
  const widest = Math.max(...lines.map((l) => pen.measureText(l).width))
  if (widest > room) {
    size *= room / widest
    font()
  }
  const low = order.variant === 1 || (order.variant === 0 && !order.audio && chance.next() < 0.35)
  const x = order.variant === 2 ? w * 0.6 : w * 0.055
  const y = low ? h * 0.93 - (lines.length - 1) * size * 0.98 : h * 0.06 + size * 0.84
  pen.shadowColor = 'rgba(0,0,0,0.35)'
  pen.shadowBlur = size * 0.12
  const laid = lines.map((l, i): PictureWords => {
    pen.fillStyle = i % 2 ? p.second : p.words
    const at = y + i * size * 0.98
    pen.fillText(l, x, at)
    const box = pen.measureText(l)
    return {
      text: l,
      x: (x - box.actualBoundingBoxLeft) / w,
      y: (at - box.actualBoundingBoxAscent) / h,
      w: (box.actualBoundingBoxLeft + box.actualBoundingBoxRight) / w,
      h: (box.actualBoundingBoxAscent + box.actualBoundingBoxDescent) / h,
      known: 'laid',
    }
  })
  pen.shadowBlur = 0
  return laid
}
