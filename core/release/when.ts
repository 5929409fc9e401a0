import type { Episode, Handed, Id, Outlet, Show, SpinKind, SpinOff, When } from '../records'
import { addDays, sayDay } from '../rhythm/days'
import { datesOf } from '../rhythm/rule'
import { releaseOf } from '../rhythm/slots'
import { dayAt, momentAt } from '../rhythm/zone'

/** How far ahead an outlet's own rhythm is looked through for its next moment, days. */
const reach = 400

/**
 * The moment (ms since 1970) of something that goes out `when`, of a release at `at`; local times in `zone`, across
 * changes of the clock (`engine` 15). Nothing where a rhythm has no date within a year and a month.
 */
export function momentOfThing(when: When, at: number, zone: Show['zone']): number | undefined {
  if (when.kind === 'with') return at
  if (when.kind === 'minutes') return at + when.minutes * 60_000
  const day = dayAt(at, zone)
  if (when.kind === 'days') return momentAt(addDays(day, when.days), when.time, zone)
  const dates = datesOf({ rule: when.rule, start: when.start, time: when.time }, day, addDays(day, reach))
  return dates.map((d) => momentAt(d, when.time, zone)).find((moment) => moment >= at)
}

/** One thing that goes out: an episode, or what is made of it, at one outlet. */
export interface Thing {
  /** The key of how far it was handed over: the outlet's id, a further thing with `/1`, `/2` behind it. */
  key: Id
  outlet: Outlet
  at: number
  when: When
  /** What it is of the episode, where it isn't the episode itself or an outlet's own thing. */
  spin?: SpinOff
  /** Its moment was fixed by hand: it stays when the release moves. */
  isFixed: boolean
  handed: Handed
}

/** Everything of an episode that goes out at the outlets given, the earliest first; none while it has no release. */
export function thingsOf(episode: Episode, show: Show, outlets: readonly Outlet[]): Thing[] {
  const release = releaseOf(episode, show)
  if (!release) return []
  return outlets
    .flatMap((outlet) =>
      waysAt(episode, outlet).flatMap(({ key, when, spin }): Thing[] => {
        const handed = episode.handed?.[key] ?? {}
        const { fixed } = handed
        const at = fixed
          ? momentAt(fixed.day, fixed.time, show.zone)
          : momentOfThing(when, release.at, show.zone)
        const isFixed = fixed !== undefined
        return at === undefined ? [] : [{ key, outlet, at, when, isFixed, handed, ...(spin ? { spin } : {}) }]
      }),
    )
    .sort((a, b) => a.at - b.at)
}

/** The key under which it stands with the episode how far a spin-off was handed over; nothing while it has no outlet. */
export function spinKey({ id, outlet }: Pick<SpinOff, 'id' | 'outlet'>): Id | undefined {
  return outlet === undefined ? undefined : `${outlet}/${id}`
}

/**
 * What of an episode goes out at an outlet: the outlet's own things, and what was made of the episode for it. Where the outlet's things
 * are not the episode itself (excerpts) each that was made takes the place of one of them, the last first.
 */
export function waysAt(
  episode: Pick<Episode, 'spinOffs'>,
  outlet: Outlet,
): { key: Id; when: When; spin: SpinOff | undefined }[] {
  const own = [outlet.when ?? { kind: 'with' as const }, ...(outlet.more ?? [])].map((when, i) => ({
    key: i === 0 ? outlet.id : `${outlet.id}/${i}`,
    when,
    spin: undefined,
  }))
  const made = (episode.spinOffs ?? [])
    .filter((s) => s.outlet === outlet.id && s.off !== true)
    .map((spin) => ({ key: `${outlet.id}/${spin.id}`, when: spin.when, spin }))
  const isItself = outlet.thing === undefined || outlet.thing.trim() === ''
  return [...own.slice(0, isItself ? own.length : Math.max(0, own.length - made.length)), ...made]
}

/** Since when a thing is scheduled at its outlet; nothing where its moment is another by now, since the outlet has the old one. */
export function scheduledSince({ handed, at }: Pick<Thing, 'handed' | 'at'>): string | undefined {
  const { scheduled, going } = handed
  return going !== undefined && Date.parse(going) !== at ? undefined : scheduled
}

const kinds: Record<SpinKind, string> = {
  excerpt: 'Excerpt',
  short: 'Short',
  post: 'Post',
  letter: 'Letter',
  article: 'Article',
}
/** What a kind of spin-off is called. */
export function sayKind(kind: SpinKind): string {
  return kinds[kind]
}

/** What it is called where it stands: “Excerpt 2” at an outlet with several, nothing where it is the episode itself. */
export function thingName({ outlet, key, spin }: Pick<Thing, 'outlet' | 'key' | 'spin'>): string {
  if (spin) return sayKind(spin.kind)
  const [, further] = key.slice(outlet.id.length).split('/')
  if (outlet.thing === undefined || outlet.thing.trim() === '') return ''
  return (outlet.more ?? []).length === 0 ? outlet.thing : `${outlet.thing} ${Number(further ?? 0) + 1}`
}

const time = (days: number) =>
  days === 0
    ? 'the same day'
    : `${Math.abs(days)} ${Math.abs(days) === 1 ? 'day' : 'days'} ${days < 0 ? 'before' : 'after'}`

/** When something goes out, in words: `30 min after`, `1 day before, 21:00`. */
export function sayWhen(when: When): string {
  switch (when.kind) {
    case 'with':
      return 'with the release'
    case 'minutes':
      return when.minutes === 0
        ? 'with the release'
        : `${Math.abs(when.minutes)} min ${when.minutes < 0 ? 'before' : 'after'}`
    case 'days':
      return `${time(when.days)}, ${when.time}`
    case 'rhythm':
      return `its own rhythm, ${when.time}`
  }
}

/** What hangs on an episode's release at its show's further outlets: in words, and whether it stays when that moves. */
export function hangingOn(
  episode: Episode,
  show: Show,
  outlets: readonly Outlet[],
): { says: string; stays: 'fixed by hand' | 'out already' | undefined }[] {
  return outlets
    .filter((o) => o.id !== show.outlets[0])
    .flatMap((outlet) =>
      waysAt(episode, outlet).map(({ key, when, spin }) => {
        const { live, fixed } = episode.handed?.[key] ?? {}
        const name = thingName({ outlet, key, ...(spin ? { spin } : {}) })
        return {
          says: `${name === '' ? outlet.name : name} ${fixed ? `on ${sayDay(fixed.day)} ${fixed.time}` : sayWhen(when)}`,
          stays: live !== undefined ? 'out already' : fixed ? 'fixed by hand' : undefined,
        }
      }),
    )
}
