import type { Show } from '../records'

/** A size at which a picture is seen in lists, px wide, and where that is. */
export interface SmallSize {
  w: number
  what: string
}

/** What a show's pictures are made and measured at. */
export interface Frame {
  width: number
  height: number
  /** Sizes at which it is seen, the largest first. */
  sizes: readonly SmallSize[]
  /** The size at which letters are measured. */
  list: SmallSize
  /** Where the length stands over it, px. */
  stamp?: { x: number; y: number; w: number; h: number }
}

const wide: Frame = {
  width: 1280,
  height: 720,
  sizes: [
    { w: 160, what: 'phone list' },
    { w: 96, what: 'beside a video' },
    { w: 53, what: 'mail' },
  ],
  list: { w: 168, what: 'beside a video' },
  stamp: { x: 1116, y: 656, w: 148, h: 48 },
}
const square: Frame = {
  width: 1400,
  height: 1400,
  sizes: [
    { w: 120, what: 'in a player' },
    { w: 56, what: 'in a list' },
  ],
  list: { w: 120, what: 'in a player' },
}

/** The frame of a show's pictures: 1280 × 720 with the length in its corner, a square cover for talks. */
export function frameOf(show: Pick<Show, 'kind'>): Frame {
  return show.kind === 'audio' ? square : wide
}
