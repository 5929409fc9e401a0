import { ascending } from 'd3-array'
import type { AskedRead, Episode, Id, Offer, Promised, ReadPlace, Records, Script, Wording } from '../records'
import { spokenIn } from './spoken'
import { beatSeconds, scriptFigures, type SpeechPace } from './timing'

/** Words of an offer or of a sponsor's read as they stand in a script. */
export interface PromisedBeat {
  promised: Promised
  beat: Id
  section: Id
}

const known = new WeakMap<Script, readonly PromisedBeat[]>()

/** The beats of a script whose words were promised, in their order; kept by script, since all are asked at once. */
export function promisedIn(script: Script): readonly PromisedBeat[] {
  let found = known.get(script)
  if (!found) {
    found = script.sections.flatMap((s) =>
      s.beats.flatMap((b) => (b.promised ? [{ promised: b.promised, beat: b.id, section: s.id }] : [])),
    )
    known.set(script, found)
  }
  return found
}

/** One use of an offer: in which episode, in which wording. */
export interface OfferUse {
  episode: Episode
  wording: Id
}

/** When an episode went out, for the order of uses; what is not out yet comes last, in the order of its making. */
const orderOf = ({ phase, createdAt }: Episode) =>
  phase.kind === 'released' ? phase.at : `later ${createdAt}`

/** Where an offer was used, the latest first; once an episode and wording. */
export function offerUses(
  { scripts, episodes }: Pick<Records, 'scripts' | 'episodes'>,
  offer: Id,
): OfferUse[] {
  const uses = new Map<string, OfferUse>()
  for (const script of scripts.values())
    for (const { promised } of promisedIn(script)) {
      const episode = episodes.get(script.id)
      if (promised.kind === 'offer' && promised.offer === offer && episode)
        uses.set(`${script.id} ${promised.wording}`, { episode, wording: promised.wording })
    }
  return [...uses.values()].sort((a, b) => ascending(orderOf(b.episode), orderOf(a.episode)))
}

/**
 * The wording that comes next: the first that was never used in another episode, else the one whose last use is longest
 * ago. Nothing where there is none.
 */
export function nextWording(
  { wordings }: Pick<Offer, 'wordings'>,
  uses: readonly OfferUse[],
  episode?: Id,
): Wording | undefined {
  const last = uses.filter((u) => u.episode.id !== episode).map((u) => u.wording)
  const ago = (w: Wording) => {
    const at = last.indexOf(w.id)
    return at < 0 ? Number.POSITIVE_INFINITY : at
  }
  return wordings.reduce<Wording | undefined>((a, b) => (a && ago(a) >= ago(b) ? a : b), undefined)
}

/**
 * Behind which beat something is said that was asked for at a place: behind the first section, at the end of the section
 * nearest to the middle of the running time, or behind all but the last section. Nothing in a script without a beat.
 */
export function beatBefore(script: Script, place: ReadPlace, pace: SpeechPace): Id | undefined {
  const sections = script.sections.filter((s) => s.beats.length > 0)
  const { seconds, sections: times } = scriptFigures(script, pace)
  const endOf = (id: Id) => {
    const time = times.find((t) => t.id === id)
    return (time?.start ?? 0) + (time?.seconds ?? 0)
  }
  const inner = sections.length > 1 ? sections.slice(0, -1) : sections
  const nearest = inner.reduce<(typeof inner)[number] | undefined>(
    (a, b) => (a && Math.abs(endOf(a.id) - seconds / 2) <= Math.abs(endOf(b.id) - seconds / 2) ? a : b),
    undefined,
  )
  const section = { opening: inner[0], middle: nearest, close: inner.at(-1) }[place]
  return section?.beats.at(-1)?.id
}

/** How the read of a script stands against what was asked: its seconds, and at which share of the running time it begins. */
export interface ReadStands {
  seconds: number
  at: number
  beat: Id
}

/** The read in a script; nothing where it is not there. */
export function readStands(script: Script, pace: SpeechPace): ReadStands | undefined {
  let [clock, seconds] = [0, 0]
  let first: { at: number; beat: Id } | undefined
  for (const section of script.sections) {
    const spoken = spokenIn(script, section)
    for (const beat of section.beats) {
      const lasts = beatSeconds(beat, pace, spoken)
      if (beat.promised?.kind === 'read') {
        first ??= { at: clock, beat: beat.id }
        seconds += lasts
      }
      clock += lasts
    }
  }
  return first && { seconds, at: clock > 0 ? first.at / clock : 0, beat: first.beat }
}

/** How far the length of a read may be from what was asked, as a share of it. */
const near = 0.15
const places: Readonly<Record<ReadPlace, { from: number; to: number; says: string }>> = {
  opening: { from: 0, to: 1 / 3, says: 'the first third' },
  middle: { from: 0.25, to: 0.75, says: 'the middle' },
  close: { from: 0.6, to: 1, says: 'the last third' },
}

/** What a place is called, and between which shares of the running time it lies. */
export function placeWords(place: ReadPlace): { from: number; to: number; says: string } {
  return places[place]
}

/** What the length of a read lacks or has too much, in words; nothing where it is near enough to what was asked. */
export function lengthDiffers(seconds: number, asked: number): string | undefined {
  const off = seconds - asked
  return Math.abs(off) <= asked * near
    ? undefined
    : `${Math.round(Math.abs(off))} s ${off > 0 ? 'longer' : 'shorter'} than asked`
}

/** On which side of its place something begins, at a share of the running time; nothing where it is in it. */
export function placeDiffers(share: number, place: ReadPlace): string | undefined {
  const { from, to, says } = places[place]
  return share < from ? `before ${says}` : share > to ? `past ${says}` : undefined
}

/** What is not as it was asked of a read, in a few words; nothing where all is. */
export function readDiffers({ seconds, place }: AskedRead, stands: ReadStands): string | undefined {
  const long = seconds === undefined ? undefined : lengthDiffers(stands.seconds, seconds)
  return long ?? (place === undefined ? undefined : placeDiffers(stands.at, place))
}
