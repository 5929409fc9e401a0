import { chanceFrom, type Chance } from './chance'
import type { PictureOrder } from './world'
import type { Motif } from './titles'

type Pen = OffscreenCanvasRenderingContext2D

/** Colours of one picture: ground dark and light, the thing, its shade, the words. */
interface Palette {
  far: string
  near: string
  thing: string
  shade: string
  words: string
  second: string
}

const palettes: readonly Palette[] = [
  {
    far: '#0e4350',
    near: '#1c6d7c',
    thing: '#dba45a',
    shade: '#8f5f2b',
    words: '#fff3d9',
    second: '#f9c25c',
  },
  {
    far: '#2a1710',
    near: '#5b3018',
    thing: '#d9a05b',
    shade: '#7a4a22',
    words: '#ffffff',
    second: '#f4be5a',
  },
  {
    far: '#1d2f27',
    near: '#41604a',
    thing: '#e2d2a8',
    shade: '#9c8a5c',
    words: '#fbf6e6',
    second: '#f0c66a',
  },
  {
    far: '#5c1f1c',
    near: '#a53c31',
    thing: '#ecc489',
    shade: '#a8743f',
    words: '#fff0dc',
    second: '#ffd58a',
  },
  {
    far: '#101b33',
    near: '#27406f',
    thing: '#d98350',
    shade: '#8b4527',
    words: '#f4f6ff',
    second: '#f5b266',
  },
  {
    far: '#a9c4c2',
    near: '#dfeae6',
    thing: '#b8783e',
    shade: '#6d4420',
    words: '#14323a',
    second: '#8c2f22',
  },
  {
    far: '#cdbb98',
    near: '#efe3c8',
    thing: '#2f5a66',
    shade: '#18363f',
    words: '#3a1d12',
    second: '#a23a22',
  },
  {
    far: '#221a33',
    near: '#4b3a66',
    thing: '#e6b86e',
    shade: '#93652c',
    words: '#fdf3e1',
    second: '#ffc97a',
  },
  {
    far: '#283238',
    near: '#566a72',
    thing: '#e8dcc2',
    shade: '#a39370',
    words: '#ffffff',
    second: '#ffbf5e',
  },
  {
    far: '#3a3116',
    near: '#77672d',
    thing: '#f0d79a',
    shade: '#a88842',
    words: '#fffbe9',
    second: '#ffdf85',
  },
]

const { PI } = Math

/**
 * Paints one picture of the demo: a ground, a motif in the trade's shapes, grain, and its words. 1280 ×
 * 720, covers 1000 × 1000, or half of it.
 */
export function paint(
  order: PictureOrder,
  index: number,
  make: (w: number, h: number) => OffscreenCanvas,
): OffscreenCanvas {
  const w = order.audio ? 1000 : 1280
  const h = order.audio ? 1000 : 720
  const part = order.half ? 0.5 : 1
  const canvas = make(w * part, h * part)
  const pen = canvas.getContext('2d')
  if (!pen) return canvas
  pen.scale(part, part)
  const chance = chanceFrom(index * 977 + order.variant * 31 + 5)
  const p = palettes[(index * 3 + order.variant * 2 + (order.audio ? 1 : 0)) % palettes.length] ?? palettes[0]
  if (!p) return canvas
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
  words(pen, order, w, h, p, chance)
  return canvas
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

function line(pen: Pen, points: readonly (readonly [number, number])[]): void {
  pen.beginPath()
  points.forEach(([x, y], i) => {
    if (i === 0) pen.moveTo(x, y)
    else pen.lineTo(x, y)
  })
  pen.stroke()
}

function disc(pen: Pen, x: number, y: number, r: number, colour: string): void {
  pen.fillStyle = colour
  pen.beginPath()
  pen.arc(x, y, r, 0, 2 * PI)
  pen.fill()
}

/** A bent timber: an arc of a ring with its edge in shade and grain along it. */
function bend(pen: Pen, p: Palette, r: number, thick: number, from: number, to: number): void {
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

function slab(pen: Pen, p: Palette, x: number, y: number, w: number, h: number, chance: Chance): void {
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

function wave(pen: Pen, y: number, colour: string, size: number, shift: number): void {
  pen.fillStyle = colour
  pen.beginPath()
  pen.moveTo(-900, y)
  for (let x = -900; x <= 900; x += 20) pen.lineTo(x, y + Math.sin(x / size + shift) * 15)
  pen.lineTo(900, 600)
  pen.lineTo(-900, 600)
  pen.fill()
}

const motifs: Record<Motif, (pen: Pen, p: Palette, chance: Chance) => void> = {
  ribs(pen, p, chance) {
    const n = chance.between(3, 5)
    for (let i = 0; i < n; i++) {
      pen.save()
      pen.translate(-130 + i * 70, 190 - i * 26)
      bend(pen, p, 250 + i * 22, 40, PI * 1.02, PI * 1.86)
      pen.restore()
    }
    pen.fillStyle = '#1b1d22'
    for (let i = 0; i < 2; i++) {
      pen.save()
      pen.rotate(-0.5 + i * 0.7)
      pen.fillRect(120 + i * 60, -150, 22, 150)
      pen.fillRect(92 + i * 60, -160, 78, 20)
      pen.restore()
    }
  },
  plank(pen, p, chance) {
    pen.rotate(-0.32)
    for (let i = 0; i < chance.between(2, 4); i++)
      slab(pen, p, -330 + i * 40, -150 + i * 105, 640 - i * 60, 78, chance)
  },
  rings(pen, p, chance) {
    const r = 230 + chance.next() * 50
    disc(pen, 8, 14, r + 16, p.shade)
    disc(pen, 0, 0, r, p.thing)
    pen.strokeStyle = p.shade
    for (let i = r - 14; i > 8; i -= 12 + chance.next() * 9) {
      pen.lineWidth = 2 + chance.next() * 3
      pen.beginPath()
      pen.ellipse(-18 + chance.next() * 5, 8, i, i * 0.95, 0.2, 0, 2 * PI)
      pen.stroke()
    }
    pen.lineWidth = 6
    line(pen, [
      [-16, 8],
      [r * 0.84, -r * 0.45],
    ])
  },
  rope(pen, p, chance) {
    const turn = chance.between(2, 4)
    const at = (t: number): [number, number] => [
      Math.sin(t * turn) * 240 + t * 14 - 40,
      Math.cos(t * (turn - 1)) * 150,
    ]
    for (const [colour, width] of [
      [p.shade, 58],
      [p.thing, 48],
    ] as const) {
      pen.strokeStyle = colour
      pen.lineWidth = width
      pen.lineCap = 'round'
      line(
        pen,
        Array.from({ length: 130 }, (_, i) => at((i / 130) * 2 * PI)),
      )
    }
    pen.strokeStyle = p.shade
    pen.lineWidth = 5
    for (let i = 0; i < 130; i += 2) {
      const [x, y] = at((i / 130) * 2 * PI)
      line(pen, [
        [x - 15, y - 15],
        [x + 15, y + 15],
      ])
    }
  },
  nails(pen, p, chance) {
    const [cols, gap] = [chance.between(5, 7), 74]
    for (let r = -3; r < 4; r++)
      for (let c = 0; c < cols; c++) {
        const [x, y] = [c * gap - 190 + (r % 2) * 30, r * 66 + Math.sin(c) * 12]
        disc(pen, x + 4, y + 7, 25, p.shade)
        disc(pen, x, y, 23, p.thing)
        disc(pen, x - 6, y - 7, 8, p.words)
      }
  },
  oars(pen, p) {
    for (const side of [-1, 1]) {
      pen.save()
      pen.rotate(side * 0.62)
      pen.fillStyle = p.shade
      pen.fillRect(-10, -330, 26, 620)
      pen.fillStyle = p.thing
      pen.fillRect(-16, -330, 26, 620)
      pen.beginPath()
      pen.moveTo(-16, 90)
      pen.bezierCurveTo(-66, 150, -62, 300, -40, 340)
      pen.lineTo(34, 340)
      pen.bezierCurveTo(56, 300, 60, 150, 10, 90)
      pen.fill()
      pen.fillStyle = '#4a2318'
      pen.fillRect(-19, -140, 32, 110)
      pen.restore()
    }
  },
  sail(pen, p, chance) {
    wave(pen, 190, p.shade, 60 + chance.next() * 30, chance.next() * 6)
    pen.fillStyle = p.thing
    pen.beginPath()
    pen.moveTo(-40, -310)
    pen.bezierCurveTo(180, -200, 230, 20, 200, 120)
    pen.lineTo(-60, 120)
    pen.fill()
    pen.fillStyle = p.words
    pen.globalAlpha = 0.85
    pen.beginPath()
    pen.moveTo(-75, -230)
    pen.bezierCurveTo(-190, -80, -220, 30, -210, 120)
    pen.lineTo(-80, 120)
    pen.fill()
    pen.globalAlpha = 1
    pen.fillStyle = '#2a1810'
    pen.fillRect(-64, -320, 12, 470)
    pen.beginPath()
    pen.moveTo(-240, 140)
    pen.lineTo(240, 140)
    pen.bezierCurveTo(200, 230, -160, 240, -240, 140)
    pen.fill()
    wave(pen, 215, p.near, 70, 2)
  },
  hull(pen, p, chance) {
    for (let i = 0; i < 6; i++) {
      pen.fillStyle = i % 2 ? p.thing : p.shade
      pen.beginPath()
      pen.moveTo(-310 + i * 22, -120 + i * 44)
      pen.bezierCurveTo(-120, -60 + i * 46, 130, -60 + i * 46, 320 - i * 24, -150 + i * 46)
      pen.lineTo(300 - i * 24, -104 + i * 44)
      pen.bezierCurveTo(130, -10 + i * 44, -120, -10 + i * 44, -296 + i * 22, -72 + i * 44)
      pen.fill()
    }
    if (chance.next() < 0.6) wave(pen, 190, p.far, 80, chance.next() * 5)
  },
  waves(pen, p, chance) {
    disc(pen, 150 - chance.next() * 240, -130, 96, p.second)
    for (let i = 0; i < 6; i++) {
      pen.globalAlpha = 0.9
      wave(pen, -30 + i * 62, i % 2 ? p.thing : p.shade, 48 + i * 14, chance.next() * 6)
    }
    pen.globalAlpha = 1
  },
  lamp(pen, p) {
    const glow = pen.createRadialGradient(0, -40, 20, 0, -40, 380)
    glow.addColorStop(0, p.second)
    glow.addColorStop(1, 'transparent')
    pen.fillStyle = glow
    pen.fillRect(-600, -500, 1200, 1000)
    pen.fillStyle = p.shade
    pen.fillRect(-120, 130, 240, 50)
    pen.fillRect(-90, -220, 180, 34)
    pen.fillStyle = p.thing
    for (let i = -2; i <= 2; i++) pen.fillRect(i * 42 - 6, -190, 12, 320)
    disc(pen, 0, -30, 56, p.words)
  },
  moon(pen, p, chance) {
    disc(pen, -20, -120, 120, p.words)
    disc(pen, 34 + chance.next() * 24, -146, 112, p.near)
    for (let i = 0; i < 5; i++)
      wave(pen, 70 + i * 52, i % 2 ? p.far : p.shade, 60 + i * 20, i * 1.7 + chance.next())
    pen.fillStyle = p.second
    for (let i = 0; i < 7; i++) pen.fillRect(-70 + chance.next() * 70, 90 + i * 32, 90 - i * 9, 5)
  },
  spiral(pen, p, chance) {
    pen.lineCap = 'round'
    const turns = 3 + chance.next() * 2
    for (const [colour, off] of [
      [p.shade, 10],
      [p.thing, 0],
    ] as const) {
      pen.strokeStyle = colour
      pen.lineWidth = 34
      line(
        pen,
        Array.from({ length: 160 }, (_, i): [number, number] => {
          const t = (i / 160) * turns * 2 * PI
          const r = 18 + i * 1.55
          return [Math.cos(t) * r + off, Math.sin(t) * r - 20 + off]
        }),
      )
    }
    slab(pen, p, -430, 235, 900, 70, chance)
  },
  bolt(pen, p, chance) {
    pen.rotate(-0.4)
    pen.fillStyle = p.shade
    pen.fillRect(-250, -42, 420, 96)
    pen.fillStyle = p.thing
    pen.fillRect(-250, -52, 420, 92)
    pen.strokeStyle = p.shade
    pen.lineWidth = 8
    for (let i = -240; i < 20; i += 24)
      line(pen, [
        [i, -52],
        [i + 16, 40],
      ])
    pen.fillStyle = p.thing
    pen.beginPath()
    for (let k = 0; k < 6; k++)
      pen.lineTo(230 + Math.cos((k * PI) / 3) * 130, -6 + Math.sin((k * PI) / 3) * 130)
    pen.fill()
    for (let i = 0; i < 26; i++) {
      pen.globalAlpha = 0.35
      disc(pen, -220 + chance.next() * 520, 60 + chance.next() * 190, 4 + chance.next() * 14, '#b4542a')
    }
    pen.globalAlpha = 1
  },
  ferry(pen, p, chance) {
    wave(pen, 130, p.shade, 70, chance.next() * 6)
    pen.fillStyle = p.thing
    pen.beginPath()
    pen.moveTo(-270, 40)
    pen.lineTo(270, 40)
    pen.lineTo(220, 150)
    pen.lineTo(-230, 150)
    pen.fill()
    pen.fillStyle = p.words
    pen.fillRect(-150, -60, 280, 100)
    pen.fillStyle = p.far
    for (let i = 0; i < 5; i++) pen.fillRect(-130 + i * 52, -38, 34, 42)
    pen.fillStyle = p.second
    pen.fillRect(-20, -160, 52, 100)
    pen.fillStyle = '#20242b'
    pen.fillRect(-20, -176, 52, 24)
    wave(pen, 160, p.near, 60, 1 + chance.next() * 4)
  },
  net(pen, p, chance) {
    pen.strokeStyle = p.thing
    pen.lineWidth = 5
    const bow = 40 + chance.next() * 60
    for (let i = -8; i <= 8; i++) {
      pen.beginPath()
      pen.moveTo(-320, i * 48 - 160)
      pen.quadraticCurveTo(0, i * 48 + bow, 320, i * 48 + 160)
      pen.stroke()
      pen.beginPath()
      pen.moveTo(320, i * 48 - 160)
      pen.quadraticCurveTo(0, i * 48 + bow, -320, i * 48 + 160)
      pen.stroke()
    }
    for (let i = 0; i < 6; i++) disc(pen, -260 + i * 105, -190 + Math.abs(2.5 - i) * -14, 26, p.second)
  },
  tower(pen, p, chance) {
    pen.fillStyle = p.second
    pen.globalAlpha = 0.32
    pen.beginPath()
    pen.moveTo(0, -200)
    pen.lineTo(620, -330 + chance.next() * 80)
    pen.lineTo(620, -90)
    pen.fill()
    pen.globalAlpha = 1
    for (let i = 0; i < 5; i++) {
      pen.fillStyle = i % 2 ? p.shade : p.thing
      pen.beginPath()
      pen.moveTo(-58 - i * 9, -160 + i * 84)
      pen.lineTo(58 + i * 9, -160 + i * 84)
      pen.lineTo(66 + i * 9, -76 + i * 84)
      pen.lineTo(-66 - i * 9, -76 + i * 84)
      pen.fill()
    }
    pen.fillStyle = '#20242b'
    pen.fillRect(-74, -178, 148, 20)
    disc(pen, 0, -212, 36, p.words)
    wave(pen, 250, p.far, 60, chance.next() * 5)
  },
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
function words(pen: Pen, order: PictureOrder, w: number, h: number, p: Palette, chance: Chance): void {
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
  lines.forEach((l, i) => {
    pen.fillStyle = i % 2 ? p.second : p.words
    pen.fillText(l, x, y + i * size * 0.98)
  })
  pen.shadowBlur = 0
}
