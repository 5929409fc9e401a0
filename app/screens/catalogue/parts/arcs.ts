import type { Arc } from '@core/catalogue/links'
import type { Id } from '@core/records'
import { lanes, type FilmFrame } from './useFilm'

/** What of a canvas' pen is used. */
export type Pen = Pick<
  CanvasRenderingContext2D,
  | 'beginPath'
  | 'bezierCurveTo'
  | 'clearRect'
  | 'lineTo'
  | 'lineWidth'
  | 'moveTo'
  | 'quadraticCurveTo'
  | 'setLineDash'
  | 'stroke'
  | 'strokeStyle'
>

/** What the arcs are drawn from; `left` is how far the film is scrolled, px. */
export interface ArcScene {
  frames: ReadonlyMap<Id, FilmFrame>
  arcs: readonly Arc[]
  here: Id | undefined
  likely: readonly Id[]
  left: number
  width: number
  height: number
  ink: string
  faint: string
}

/** Where an arc meets a frame. */
const foot = (f: FilmFrame, left: number) => f.x + f.w / 2 - left

const topOf = (from: number, to: number) => lanes.first - 4 - Math.min(96, 14 + Math.abs(to - from) / 4)

/**
 * An arc between two frames, as high as they are apart; nothing where it is out of sight. One that is much longer than the
 * room is drawn as far as it is in it.
 */
function arc(pen: Pen, a: FilmFrame, b: FilmFrame, { left, width }: ArcScene): void {
  const [first, last] = a.x < b.x ? [a, b] : [b, a]
  const [from, to] = [foot(first, left), foot(last, left)]
  if (to < -20 || from > width + 20) return
  const top = topOf(from, to)
  if (to - from <= 2 * width) {
    pen.moveTo(from, first.y - 2)
    pen.bezierCurveTo(from, top, to, top, to, last.y - 2)
    return
  }
  const bend = width / 4
  if (from > -width) {
    pen.moveTo(from, first.y - 2)
    pen.quadraticCurveTo(from, top, from + bend, top)
  } else pen.moveTo(-10, top)
  pen.lineTo(Math.min(to - bend, width + 10), top)
  if (to < 2 * width) {
    pen.lineTo(to - bend, top)
    pen.quadraticCurveTo(to, top, to, last.y - 2)
  }
}

/** Draws all arcs: faint ones of all, strong ones of what is looked at, dashed to what is likely. */
export function drawArcs(pen: Pen, scene: ArcScene): void {
  const { frames, arcs, here, likely, ink, faint, width, height } = scene
  pen.clearRect(0, 0, width, height)
  const lines = (of: readonly Arc[]) => {
    pen.beginPath()
    for (const { from, to } of of) {
      const [a, b] = [frames.get(from), frames.get(to)]
      if (a && b) arc(pen, a, b, scene)
    }
    pen.stroke()
  }
  pen.setLineDash([])
  pen.lineWidth = 1
  pen.strokeStyle = faint
  lines(arcs.filter((a) => a.from !== here && a.to !== here))
  if (here === undefined) return
  pen.strokeStyle = ink
  pen.lineWidth = 2
  lines(arcs.filter((a) => a.from === here || a.to === here))
  pen.setLineDash([5, 4])
  lines(likely.map((to) => ({ from: here, to })))
}
