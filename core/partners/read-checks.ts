import { sum } from 'd3-array'
import { beatTimes, type BeatTime } from '../edit/times'
import type { Day, Deal, Episode, ReadNote, Script } from '../records'
import { addDays, sayAway, sayDay } from '../rhythm/days'
import { lengthDiffers, placeDiffers, placeWords, promisedIn } from '../script/promised'
import { sayTime } from '../script/timecode'
import type { SpeechPace } from '../script/timing'
import { readAsked } from './deal-of'
import { folded } from './names'

/** One thing that was asked of a read, and how it stands. */
export interface ReadCheck {
  id: string
  /** What was asked: “A read of 45 s”. */
  asked: string
  /** `open`: not there yet, or nothing to tell it by. */
  state: 'passes' | 'fails' | 'open'
  /** How it stands, a few words. */
  says: string
  /** What was measured: a time, a line; '' where nothing was. */
  measure: string
  /** It decides whether the read counts as delivered. */
  decides: boolean
}

/** What a read is checked by. */
export interface ReadOf {
  deal: Deal
  episode: Episode
  script: Script | undefined
  pace: SpeechPace
  /** The description as it goes out. */
  description: string
  note: ReadNote
  /** The day of its release, if it has one. */
  day: Day | undefined
  today: Day
}

/** Where a read stands in its cut, or in its script as far as there is no cut: seconds. */
export interface ReadStandsAt {
  from: number
  seconds: number
  whole: number
  /** By the edit's own times rather than by the script's. */
  isTimed: boolean
}

/** The beats of the read in a script, as they stand in the cut. */
function readBeats({ script, pace, episode }: ReadOf): { all: BeatTime[]; read: BeatTime[] } {
  const all = beatTimes(script, pace, episode.cut)
  const ids = new Set(
    (script ? promisedIn(script) : []).flatMap((p) => (p.promised.kind === 'read' ? [p.beat] : [])),
  )
  return { all, read: all.filter((b) => ids.has(b.id)) }
}

/** Where the read of an episode stands; nothing where it is not written, nor heard by anybody. */
export function readStandsAt(of: ReadOf): ReadStandsAt | undefined {
  const { all, read } = readBeats(of)
  const first = read[0]
  const { heardAt } = of.note
  if (!first && heardAt === undefined) return undefined
  return {
    from: heardAt ?? first?.from ?? 0,
    seconds: sum(read, (b) => b.to - b.from),
    whole: of.episode.cut.length ?? all.at(-1)?.to ?? 0,
    isTimed: of.episode.cut.length !== undefined,
  }
}

/** Text as words are looked for in it: case, quotes, spaces and stops apart, so that “TILLER 10.” is no other than “Tiller10”. */
function plain(text: string): string {
  return folded(text).replace(/[‘’]/gu, "'").replace(/[“”„]/gu, '"')
}
const tight = (text: string) => plain(text).replace(/[\s\-_.]+/gu, '')

function isSaid(text: string, words: string): boolean {
  return plain(text).includes(plain(words))
}
const isCodeSaid = (text: string, code: string) => tight(text).includes(tight(code))

/** The line of a text, from 1, in which all of some words stand as near as may be: the last of them; nothing where one is missing. */
function lineWith(text: string, wanted: readonly string[]): number | undefined {
  const lines = text.split('\n')
  const at = wanted.map((w) => lines.findIndex((line) => line.toLowerCase().includes(w.toLowerCase())))
  return at.some((i) => i < 0) ? undefined : Math.max(...at) + 1
}

function check(id: string, asked: string, state: ReadCheck['state'], says: string, measure = ''): ReadCheck {
  return { id, asked, state, says, measure, decides: true }
}

/** How long a read is, against the seconds that were asked. */
function lengthOf({ episode, pace }: ReadOf, seconds: number, stands: ReadStandsAt | undefined): ReadCheck {
  const asked = `A read of ${seconds} s`
  if (!stands || stands.seconds === 0) {
    const words = Math.round((seconds * pace.camera) / 60)
    const isOut = episode.phase.kind === 'released'
    return check(
      'length',
      asked,
      'open',
      isOut ? 'no script to tell it by' : `not written, about ${words} words`,
    )
  }
  const off = lengthDiffers(stands.seconds, seconds)
  const says = off ?? (stands.isTimed ? 'in the cut' : 'by the script')
  return check('length', asked, off === undefined ? 'passes' : 'fails', says, sayTime(stands.seconds))
}

/** All that was asked of a read of a deal, and how each stands (what was not asked is not in it). */
export function readChecks(of: ReadOf): ReadCheck[] {
  const { deal, episode, note } = of
  const { all, read } = readBeats(of)
  const stands = readStandsAt(of)
  const isOut = episode.phase.kind === 'released'
  const isWritten = read.length > 0
  const readText = read.map((b) => b.text).join('\n')
  /** Something that must be in the words of the script. */
  const inWords = (id: string, asked: string, found: (text: string) => boolean): ReadCheck => {
    const beat = [...read, ...all].find((b) => found(b.text)) ?? (found(readText) ? read[0] : undefined)
    if (beat) return check(id, asked, 'passes', 'in the script', sayTime(beat.from))
    const nowhere = all.length === 0 ? 'no script to tell it by' : 'not in the script'
    return check(id, asked, isWritten ? 'fails' : 'open', nowhere)
  }
  const checks: ReadCheck[] = []
  // What was said of the episode itself goes before its deal.
  const { seconds, place } = readAsked(episode, deal) ?? deal
  if (seconds !== undefined) checks.push(lengthOf(of, seconds, stands))
  if (place !== undefined) {
    const asked = `Begins in ${placeWords(place).says}`
    if (!stands || stands.whole <= 0) checks.push(check('place', asked, 'open', 'no place in the script yet'))
    else {
      const off = placeDiffers(stands.from / stands.whole, place)
      const whole = `${stands.isTimed ? 'of' : 'of about'} ${sayTime(stands.whole)}`
      const says = off === undefined ? whole : `${off}, ${whole}`
      checks.push(check('place', asked, off === undefined ? 'passes' : 'fails', says, sayTime(stands.from)))
    }
  }
  for (const [i, words] of deal.say.entries())
    checks.push(inWords(`say ${i}`, `“${words}” said`, (text) => isSaid(text, words)))
  if (deal.code !== '')
    checks.push(inWords('code', `Code ${deal.code} said`, (text) => isCodeSaid(text, deal.code)))
  const wanted = [deal.code, deal.link.replace(/^https?:\/\//u, '')].filter((w) => w !== '')
  if (wanted.length > 0) {
    const line = lineWith(of.description, wanted)
    const asked =
      deal.link === '' ? 'Code written' : deal.code === '' ? 'Link written' : 'Code and link written'
    checks.push(
      line === undefined
        ? check('written', asked, isOut ? 'fails' : 'open', 'not in the description')
        : check('written', asked, 'passes', `line ${line} of the description`, `line ${line}`),
    )
  }
  if (deal.disclosure !== '')
    checks.push(inWords('disclosed', 'Said to be paid for', (text) => isSaid(text, deal.disclosure)))
  if (deal.without.length > 0) checks.push(alone(of, all))
  if (deal.shownBefore !== undefined) checks.push(shown(of, deal.shownBefore, note))
  return checks
}

/** That nothing else of its kind comes up in the same episode: brief, script and links. */
function alone({ deal, episode }: ReadOf, beats: readonly BeatTime[]): ReadCheck {
  const { takeaway, points, description } = episode.brief
  const places = [
    { says: 'the brief', text: [takeaway, ...points, description].join('\n') },
    ...beats.map((b) => ({ says: `the script, ${sayTime(b.from)}`, text: b.text })),
    ...episode.links.map((l) => ({ says: 'the links', text: `${l.label}\n${l.url}` })),
  ]
  const found = deal.without.flatMap((w) => {
    const place = places.find((p) => isSaid(p.text, w))
    return place ? [{ w, place: place.says }] : []
  })[0]
  return {
    id: 'alone',
    asked: deal.without.length === 1 ? `No ${deal.without[0] ?? ''}` : 'Nothing of other makers',
    state: found ? 'fails' : 'passes',
    says: found ? `“${found.w}” in ${found.place}` : 'none in brief, script or links',
    measure: found ? '' : 'none',
    decides: true,
  }
}

/** That they saw it before it went out. It does not decide whether the read counts. */
function shown({ day, today, episode }: ReadOf, before: number, note: ReadNote): ReadCheck {
  const by = day === undefined ? undefined : addDays(day, -before)
  const asked = `Shown to them ${before === 7 ? 'a week' : `${before} days`} before`
  const base = { id: 'shown', asked, decides: false, measure: '' }
  if (note.shown !== undefined)
    return {
      ...base,
      state: 'passes',
      says: note.agreed === undefined ? 'shown' : 'shown and agreed',
      measure: sayDay(note.shown).replace(/^\w+ /u, ''),
    }
  if (by === undefined) return { ...base, state: 'open', says: 'no date yet' }
  const isLate = by < today && episode.phase.kind !== 'released'
  return {
    ...base,
    state: isLate ? 'fails' : 'open',
    says: episode.phase.kind === 'released' ? 'nothing noted' : `by ${sayDay(by)}, ${sayAway(by, today)}`,
  }
}

/** How a read stands as a whole. */
export type ReadStanding = 'delivered' | 'fails' | 'cannot be told' | 'to come'

/**
 * Whether a read counts: it is out, and all that decides passes, or it was settled by hand. What is out and has nothing to tell it by is
 * for somebody to settle.
 */
export function readStanding(
  { episode, note }: Pick<ReadOf, 'episode' | 'note'>,
  checks: readonly ReadCheck[],
): ReadStanding {
  if (episode.phase.kind !== 'released') return 'to come'
  if (note.ruled !== undefined) return note.ruled === 'counts' ? 'delivered' : 'fails'
  const deciding = checks.filter((c) => c.decides)
  if (deciding.some((c) => c.state === 'fails')) return 'fails'
  return deciding.some((c) => c.state === 'open') ? 'cannot be told' : 'delivered'
}
