import type { ClockTime, Day, Episode, Id, Show } from '../records'
import { dayOf, dayNumber } from './days'
import { datesOf, timeOn } from './rule'
import { dayAt, localAt, momentAt } from './zone'

/** One promised release moment that a rhythm yields. Its key keeps its identity when it is moved. */
export interface Slot {
  /** Show id and original local date. */
  key: string
  show: Id
  original: Day
  day: Day
  time: ClockTime
  /** ms since 1970. */
  at: number
  skipped: boolean
  moved: boolean
}

/** A slot's key. */
export function slotKey(show: Id, original: Day): string {
  return `${show}/${original}`
}

/**
 * A show's slots whose original dates lie from one local date to another, both included, by moment. The
 * clock time stays the same across clock changes of the show's zone.
 */
export function slotsOf(show: Show, from: Day, to: Day): readonly Slot[] {
  const known = expanded.get(show) ?? new Map<string, readonly Slot[]>()
  if (!expanded.has(show)) expanded.set(show, known)
  const key = `${from} ${to}`
  let slots = known.get(key)
  if (!slots) {
    if (known.size > 40) known.clear()
    known.set(key, (slots = expandedSlots(show, from, to)))
  }
  return slots
}

/**
 * Expansions by show record (a changed show is another record), since every screen asks for the same spans
 * again and again.
 */
const expanded = new WeakMap<Show, Map<string, readonly Slot[]>>()

function expandedSlots(show: Show, from: Day, to: Day): Slot[] {
  return datesOf(show.rhythm, from, to)
    .map((original) => slotOn(show, original))
    .sort((a, b) => a.at - b.at)
}

/**
 * The slot of an original date, moved or skipped as the show says; whether the rhythm yields the date is
 * the caller's to know.
 */
export function slotOn(show: Show, original: Day): Slot {
  const moved = show.moved[original]
  const day = moved?.day ?? original
  const time = moved?.time ?? timeOn(show.rhythm, original)
  return {
    key: slotKey(show.id, original),
    show: show.id,
    original,
    day,
    time,
    at: momentAt(day, time, show.zone),
    skipped: show.skipped.includes(original),
    moved: moved !== undefined,
  }
}

/** When an episode goes out (or went out): its local date, time and moment; nothing without a place. */
export function releaseOf(
  episode: Episode,
  show: Show,
): { day: Day; time: ClockTime; at: number } | undefined {
  if (episode.phase.kind === 'released') {
    const at = Date.parse(episode.phase.at)
    return { ...localAt(at, show.zone), at }
  }
  switch (episode.place.kind) {
    case 'slot':
      return slotOn(show, episode.place.day)
    case 'own':
      return {
        day: episode.place.day,
        time: episode.place.time,
        at: momentAt(episode.place.day, episode.place.time, show.zone),
      }
    case 'nothing':
      return undefined
  }
}

/** The original dates of a show's slots that hold an episode, with that episode. */
export function filledSlots(show: Pick<Show, 'id'>, episodes: Iterable<Episode>): Map<Day, Episode> {
  const filled = new Map<Day, Episode>()
  for (const e of episodes)
    if (e.show === show.id && e.place.kind === 'slot' && e.phase.kind !== 'dropped')
      filled.set(e.place.day, e)
  return filled
}

const known = new WeakMap<ReadonlyMap<Id, Episode>, Map<Id, ReadonlyMap<Day, Episode>>>()

/** `filledSlots` of all episodes, once for as long as they are the same: one deed asks for it several times. */
export function slotsTaken(
  show: Pick<Show, 'id'>,
  episodes: ReadonlyMap<Id, Episode>,
): ReadonlyMap<Day, Episode> {
  const byShow = known.get(episodes) ?? new Map<Id, ReadonlyMap<Day, Episode>>()
  known.set(episodes, byShow)
  const filled = byShow.get(show.id) ?? filledSlots(show, episodes.values())
  byShow.set(show.id, filled)
  return filled
}

/** The next slots without an episode, not skipped, whose moment is still to come; at most `count`. */
export function openSlots(show: Show, episodes: Iterable<Episode>, now: number, count: number): Slot[] {
  const filled = filledSlots(show, episodes)
  const today = dayNumber(dayAt(now, show.zone))
  const open: Slot[] = []
  const far = today + 3700
  for (let from = today - 40, span = 120; open.length < count && from < far; from += span + 1, span *= 2)
    for (const slot of slotsOf(show, dayOf(from), dayOf(from + span)))
      if (slot.at > now && !slot.skipped && !filled.has(slot.original)) open.push(slot)
  return open.sort((a, b) => a.at - b.at).slice(0, count)
}

/**
 * What a change of rhythm would do: the unreleased episodes whose slot the new rhythm does not yield. None
 * of them may be dropped silently; they are handed back to be placed again.
 */
export function displacedBy(show: Show, changed: Show, episodes: Iterable<Episode>): Episode[] {
  const placed = [...filledSlots(show, episodes)].filter(([, e]) => e.phase.kind !== 'released')
  if (placed.length === 0) return []
  const days = placed.map(([day]) => day).sort()
  const yielded = new Set(datesOf(changed.rhythm, days[0] ?? '', days.at(-1) ?? ''))
  return placed
    .filter(([day]) => !yielded.has(day))
    .map(([, e]) => e)
    .sort((a, b) => (releaseOf(a, show)?.at ?? 0) - (releaseOf(b, show)?.at ?? 0))
}
