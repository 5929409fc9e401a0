import type { Day, Episode, Show } from '../records'
import { addDays, dayNumber } from './days'
import { releaseOf, slotsOf, type Slot } from './slots'

/**
 * One frame of a show's film: it reaches from the day after the release before (`from`) to its own release
 * day (`to`), both as day numbers, both included.
 */
export interface Frame {
  kind: 'exposed' | 'filled' | 'open' | 'skipped'
  key: string
  from: number
  to: number
  day: Day
  at: number
  episode?: Episode
  slot?: Slot
  /** Open frames in a row join into leader: this frame's place in its run, and how long the run is. */
  run?: { index: number; length: number; last: Day }
}

/**
 * The frames of a show whose releases lie between two dates, in the order of release: past releases
 * exposed, slots still to come filled, open or skipped. An episode that is overdue keeps its frame until it
 * is answered for.
 */
export function framesOf(show: Show, episodes: Iterable<Episode>, from: Day, to: Day, now: number): Frame[] {
  const first = dayNumber(from)
  const last = dayNumber(to)
  const frames: Frame[] = []
  const filled = new Set<Day>()
  // Most of the releases of years are told to be outside by their date alone, whatever the zone.
  const [early, late] = [addDays(from, -1), addDays(to, 2)]
  for (const episode of episodes) {
    const { phase, place } = episode
    if (episode.show !== show.id || phase.kind === 'dropped' || phase.kind === 'parked') continue
    if (place.kind === 'slot') filled.add(place.day)
    if (phase.kind === 'released' && (phase.at < early || phase.at >= late)) continue
    const release = releaseOf(episode, show)
    if (!release) continue
    const n = dayNumber(release.day)
    if (n < first || n > last) continue
    frames.push({
      kind: episode.phase.kind === 'released' ? 'exposed' : 'filled',
      key: episode.id,
      from: n,
      to: n,
      day: release.day,
      at: release.at,
      episode,
    })
  }
  for (const slot of slotsOf(show, from, to))
    if (!filled.has(slot.original) && slot.at > now)
      frames.push({
        kind: slot.skipped ? 'skipped' : 'open',
        key: slot.key,
        from: dayNumber(slot.day),
        to: dayNumber(slot.day),
        day: slot.day,
        at: slot.at,
        slot,
      })
  frames.sort((a, b) => a.at - b.at)
  stretch(frames)
  join(frames)
  return frames
}

/** Longest reach of a frame whose forerunner is far away, in days. */
const longest = 14

function stretch(frames: Frame[]): void {
  let before: number | undefined
  for (const frame of frames) {
    frame.from =
      before === undefined ? frame.to - 6 : Math.max(Math.min(before + 1, frame.to), frame.to - longest + 1)
    before = frame.to
  }
}

function join(frames: Frame[]): void {
  for (let i = 0; i < frames.length;) {
    let end = i
    while (frames[end]?.kind === 'open') end++
    const final = frames[end - 1]
    if (end - i > 1 && final)
      frames.slice(i, end).forEach((f, index) => {
        f.run = { index, length: end - i, last: final.day }
      })
    i = Math.max(end, i + 1)
  }
}
