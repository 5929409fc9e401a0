import type { MadeOf } from '../records'
import type { Frame } from './frame'

/** Which part of a picture fills a frame; see `MadeOf`. */
export type Crop = Pick<MadeOf, 'x' | 'y' | 'zoom' | 'turn'>
type Size = Pick<Frame, 'width' | 'height'>

/** The whole of a picture as far as it goes into a frame. */
export const wholeCrop: Crop = { x: 0.5, y: 0.5, zoom: 1, turn: 0 }

/** How wide and high the frame is in the picture's own directions once that is turned, px of the frame. */
function reach(frame: Size, turn: number): Size {
  const angle = (Math.abs(turn) * Math.PI) / 180
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)]
  return {
    width: frame.width * cos + frame.height * sin,
    height: frame.width * sin + frame.height * cos,
  }
}

/** By how much a picture is made larger for a crop: at a zoom of 1 it just covers the frame, turned as it is. */
export function cropScale(base: Size, frame: Size, { zoom, turn }: Crop): number {
  const { width, height } = reach(frame, turn)
  return Math.max(width / base.width, height / base.height) * zoom
}

/** The crop nearest to one that leaves no corner of the frame bare. */
export function clampedCrop(base: Size, frame: Size, crop: Crop): Crop {
  const within = {
    ...crop,
    zoom: Math.min(8, Math.max(1, crop.zoom)),
    turn: Math.min(45, Math.max(-45, crop.turn)),
  }
  const scale = cropScale(base, frame, within)
  const { width, height } = reach(frame, within.turn)
  const half = { x: width / 2 / (base.width * scale), y: height / 2 / (base.height * scale) }
  return {
    ...within,
    x: Math.min(1 - half.x, Math.max(half.x, crop.x)),
    y: Math.min(1 - half.y, Math.max(half.y, crop.y)),
  }
}

/** Where a point of the frame lies in the picture, as shares of it. Test support and hit tests. */
export function inPicture(
  base: Size,
  frame: Size,
  crop: Crop,
  point: { x: number; y: number },
): { x: number; y: number } {
  const scale = cropScale(base, frame, crop)
  const angle = (-crop.turn * Math.PI) / 180
  const [dx, dy] = [point.x - frame.width / 2, point.y - frame.height / 2]
  return {
    x: crop.x + (dx * Math.cos(angle) - dy * Math.sin(angle)) / scale / base.width,
    y: crop.y + (dx * Math.sin(angle) + dy * Math.cos(angle)) / scale / base.height,
  }
}
