import { type Chance } from './chance'
import type { Motif } from './titles'

import { PI, bend, disc, line, slab, wave, type Palette, type Pen } from './pen'

export const motifs: Record<Motif, (pen: Pen, p: Palette, chance: Chance) => void> = {
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
