import type { Cue, Id, Script } from '../records'
import { orderShots } from '../plan/order-shots'
import { counted, type Shot, type ShotDay, type ShotOrder } from '../plan/shots'
import { numberedCues, type CueThere } from '../script/cues'

/** Minutes that a shot takes where nothing is said. */
export const usualShot = 8

/** Shots to film one behind the other without changing anything. */
export interface ShotSetUp {
  /** “Bench, close, window”; what nobody said is left out. */
  name: string
  shots: CueThere[]
  minutes: number
  got: number
}

/** The shots of a script in the order in which they are filmed, and what that saves against the script's order. */
export interface ShotList {
  setUps: ShotSetUp[]
  now: ShotOrder
  before: ShotOrder
}

/** A cue as a shot whose order is sought. */
export function shotOf({ id, shot = {} }: Cue): Shot {
  return {
    id,
    place: shot.place ?? '',
    framing: shot.framing ?? '',
    light: shot.light ?? '',
    clothes: shot.clothes ?? '',
    minutes: shot.minutes ?? usualShot,
    must: !(shot.could ?? false),
    after: shot.after === undefined ? [] : [shot.after],
    daylight: shot.daylight ?? false,
    behind: shot.behind,
  }
}

const sameSetUp = (a: Shot, b: Shot) =>
  a.place === b.place && a.framing === b.framing && a.light === b.light && a.clothes === b.clothes

const nameOf = (s: Shot) => [s.place, s.framing, s.light, s.clothes].filter((p) => p !== '').join(', ')

/** The shots of a script, ordered by set-up (`engine` 13). */
export function shotList(script: Pick<Script, 'sections'> | undefined, day: ShotDay): ShotList {
  const cues = new Map<Id, CueThere>()
  for (const c of numberedCues(script)) if (c.cue.kind === 'shot') cues.set(c.cue.id, c)
  const shots = [...cues.values()].map((c) => shotOf(c.cue))
  const byId = new Map(shots.map((s) => [s.id, s]))
  const now = orderShots(shots, day)
  const setUps: ShotSetUp[] = []
  let last: Shot | undefined
  for (const id of now.order) {
    const [shot, cue] = [byId.get(id), cues.get(id)]
    if (!shot || !cue) continue
    if (!last || !sameSetUp(last, shot)) setUps.push({ name: nameOf(shot), shots: [], minutes: 0, got: 0 })
    const here = setUps.at(-1)
    if (here) {
      here.shots.push(cue)
      here.minutes += shot.minutes
      if (cue.cue.got) here.got++
    }
    last = shot
  }
  return { setUps, now, before: counted(shots, day) }
}
