import { remembered } from '@app/stores/remembered'
import type { ReadMode } from '@core/script/reading'

const between = (least: number, most: number) => (kept: unknown) =>
  typeof kept === 'number' && kept >= least && kept <= most ? kept : undefined

/** Limits of what can be chosen: the size of the words in pixels, words a minute, and where they stand in percent. */
export const limits = { size: [24, 140], speed: [60, 300], height: [8, 60] } as const

/** A choice one step further, within its limits. */
export function stepped(of: keyof typeof limits, value: number, by: number): number {
  const [least, most] = limits[of]
  return Math.min(most, Math.max(least, value + by))
}

/** How the reader looks, as this browser remembers it. */
export function useReaderChoices(usualSpeed: number) {
  const isNarrow = window.innerWidth < 640
  return {
    size: remembered('lamp-reel.reader-size', isNarrow ? 34 : 64, between(...limits.size)),
    speed: remembered('lamp-reel.reader-speed', usualSpeed, between(...limits.speed)),
    /** Where the words that are read stand: percent of the height from the top. */
    height: remembered('lamp-reel.reader-height', isNarrow ? 18 : 22, between(...limits.height)),
    mirrored: remembered('lamp-reel.reader-mirrored', false, (kept) =>
      typeof kept === 'boolean' ? kept : undefined,
    ),
    mode: remembered<ReadMode>('lamp-reel.reader-mode', 'camera', (kept) =>
      kept === 'camera' || kept === 'all' ? kept : undefined,
    ),
  }
}
