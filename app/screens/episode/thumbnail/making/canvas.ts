import Konva from 'konva'
import { cropScale } from '@core/pictures/crop'
import type { Frame } from '@core/pictures/frame'
import type { LaidWords, MadeOf, PictureWords, Show } from '@core/records'

/** Faces of words over a picture, as they are shipped. */
const faces = {
  heavy: { family: 'Bricolage Grotesque Variable', style: '800' },
  plain: { family: 'Instrument Sans Variable', style: '700' },
  fixed: { family: 'JetBrains Mono Variable', style: '700' },
} as const
export type Face = keyof typeof faces
export const faceOf = (show: Show): Face => show.lettering ?? 'heavy'
/** From line to line, as a multiple of the letters' size. */
const leading = 0.98

/** Waits until the letters of a face are there, so that nothing is drawn in another. */
export async function faceReady(face: Face): Promise<void> {
  await document.fonts.load(`${faces[face].style} 40px "${faces[face].family}"`, 'Ag')
}

/** Puts a picture under a frame as its crop says. */
export function placeBase(node: Konva.Image, made: MadeOf, frame: Frame): void {
  const scale = cropScale(made.base, frame, made)
  node.setAttrs({
    image: node.image(),
    width: made.base.width,
    height: made.base.height,
    offsetX: made.x * made.base.width,
    offsetY: made.y * made.base.height,
    x: frame.width / 2,
    y: frame.height / 2,
    rotation: made.turn,
    scaleX: scale,
    scaleY: scale,
  })
}

/** Sets a text as words say. */
export function placeWords(node: Konva.Text, words: LaidWords, face: Face, frame: Frame): void {
  const size = words.size * frame.height
  node.setAttrs({
    text: words.text,
    x: words.x * frame.width,
    y: words.y * frame.height,
    fontSize: size,
    fontFamily: `"${faces[face].family}"`,
    fontStyle: faces[face].style,
    lineHeight: leading,
    fill: words.colour,
    stroke: words.outline,
    strokeWidth: words.outline === undefined ? 0 : size * 0.1,
    fillAfterStrokeEnabled: true,
    lineJoin: 'round',
    shadowColor: '#000',
    shadowOpacity: words.outline === undefined ? 0.35 : 0,
    shadowBlur: size * 0.12,
  })
}

/** The box round the letters of each line of words, as they are drawn; lines without ink apart. */
export function boxesOf(all: readonly LaidWords[], face: Face, frame: Frame): PictureWords[] {
  return all.flatMap((words) =>
    words.text.split('\n').flatMap((text, i) => {
      const node = new Konva.Text()
      const { outline: _outline, ...plain } = words
      placeWords(node, { ...plain, text }, face, frame)
      node.setAttrs({ x: 0, y: 0, shadowOpacity: 0 })
      const size = words.size * frame.height
      const ink = text.trim() === '' ? undefined : inkOf(node, size)
      node.destroy()
      if (!ink) return []
      return {
        text: text.trim(),
        x: words.x + ink.x / frame.width,
        y: words.y + (ink.y + i * size * leading) / frame.height,
        w: ink.w / frame.width,
        h: ink.h / frame.height,
        known: 'laid',
      }
    }),
  )
}

/** Where a text has ink, from its own corner; `room` px round it are looked at too. */
function inkOf(node: Konva.Text, room: number): { x: number; y: number; w: number; h: number } | undefined {
  const area = {
    x: -room / 4,
    y: -room / 4,
    width: node.width() + room / 2,
    height: node.height() + room / 2,
  }
  const canvas = node.toCanvas({ ...area, pixelRatio: 1 })
  const dots = canvas.getContext('2d')?.getImageData(0, 0, canvas.width, canvas.height).data
  if (!dots) return undefined
  let [left, top, right, bottom] = [canvas.width, canvas.height, -1, -1]
  for (let y = 0; y < canvas.height; y++)
    for (let x = 0; x < canvas.width; x++)
      if ((dots[(y * canvas.width + x) * 4 + 3] ?? 0) > 96) {
        left = Math.min(left, x)
        right = Math.max(right, x)
        top = Math.min(top, y)
        bottom = Math.max(bottom, y)
      }
  return right < 0
    ? undefined
    : { x: left + area.x, y: top + area.y, w: right - left + 1, h: bottom - top + 1 }
}

/** A picture as it is made, at its frame's size. */
export function drawMade(
  image: HTMLImageElement,
  made: MadeOf,
  face: Face,
  frame: Frame,
): { canvas: HTMLCanvasElement; words: PictureWords[] } {
  const stage = new Konva.Stage({
    container: document.createElement('div'),
    width: frame.width,
    height: frame.height,
  })
  const layer = new Konva.Layer({ listening: false })
  stage.add(layer)
  const base = new Konva.Image({ image })
  placeBase(base, made, frame)
  layer.add(base)
  for (const words of made.words) {
    const node = new Konva.Text()
    placeWords(node, words, face, frame)
    layer.add(node)
  }
  layer.draw()
  const canvas = stage.toCanvas({ pixelRatio: 1 })
  stage.destroy()
  return { canvas, words: boxesOf(made.words, face, frame) }
}
