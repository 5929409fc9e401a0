import { sum } from 'd3-array'
import type { Card, StepIn } from '../views/card'
import type { Episode, Id, OwnShot, Session, ShotPlan, Take } from '../records'
import type { Shot } from '../plan/shots'
import { numberedCues, type CueThere } from '../script/cues'
import { isGot } from '../script/reading'
import { sectionSeconds } from '../script/timing'
import { sayTime } from '../script/timecode'
import { cameraId, toCamera } from '../script/to-camera'
import type { ItemKind } from './item-kinds'
import { ownMinutes, sessionKinds, usualShot } from './kinds'

/** One thing that is got in a session: a shot, the words to camera, a section that is recorded, a step. */
export interface Item {
  id: Id
  kind: ItemKind
  /** The episode it is for; nothing for footage of no episode. */
  episode: Id | undefined
  name: string
  /** What is said meanwhile, or what it is about. */
  words: string
  /** The section it stands in; empty where in none. */
  where: string
  /** Its number among the cues of its script. */
  number: number | undefined
  plan: ShotPlan
  /** The image that shows how it is meant, as long as that is kept. */
  picture: Id | undefined
  shot: Shot
  got: boolean
  takes: readonly Take[]
}

/** How something is filmed as a shot whose order is sought. */
export function shotFrom(id: Id, plan: ShotPlan, minutes = plan.minutes ?? usualShot): Shot {
  return {
    id,
    place: plan.place ?? '',
    framing: plan.framing ?? '',
    light: plan.light ?? '',
    clothes: plan.clothes ?? '',
    minutes,
    must: !(plan.could ?? false),
    after: plan.after ?? [],
    daylight: plan.daylight ?? false,
    behind: plan.behind,
  }
}

function pictureOf({ picture }: ShotPlan, { idea }: Episode): Id | undefined {
  return idea.images.find((i) => i.id === picture)?.id
}

function cueItem({ cue, number, section, words }: CueThere, episode: Episode): Item {
  const plan = cue.shot ?? {}
  return {
    id: cue.id,
    kind: 'shot',
    episode: episode.id,
    name: cue.text || 'A shot',
    words,
    where: section.title,
    number,
    plan,
    picture: pictureOf(plan, episode),
    shot: shotFrom(cue.id, plan),
    got: cue.got,
    takes: cue.takes ?? [],
  }
}

/** What an episode has to film: its words to camera as one shot, and the shots that its script asks for, in its order. */
export function shotsOf({ episode, script, show }: Pick<Card, 'episode' | 'script' | 'show'>): Item[] {
  const shots = numberedCues(script).flatMap((c) => (c.cue.kind === 'shot' ? [cueItem(c, episode)] : []))
  const words = toCamera(script, show.pace)
  if (!words || show.kind === 'audio') return shots
  const id = cameraId(episode.id)
  const camera: Item = {
    id,
    kind: 'camera',
    episode: episode.id,
    name: 'The words to camera',
    words: `${sayTime(words.seconds)} to say`,
    where: '',
    number: undefined,
    plan: words.plan,
    picture: pictureOf(words.plan, episode),
    shot: shotFrom(id, words.plan, words.minutes),
    got: words.got,
    takes: words.takes,
  }
  return [camera, ...shots]
}

/** What an episode has to record: its sections, one behind the other; questions where it is a talk. */
export function sectionsOf({ episode, script, show }: Pick<Card, 'episode' | 'script' | 'show'>): Item[] {
  return (script?.sections ?? []).map((s): Item => {
    const minutes = Math.max(1, Math.round(sectionSeconds(script, s, show.pace) / 60))
    return {
      id: s.id,
      kind: 'section',
      episode: episode.id,
      name: s.title,
      words: s.beats.map((b) => b.text).join('\n'),
      where: '',
      number: undefined,
      plan: {},
      picture: undefined,
      shot: shotFrom(s.id, {}, minutes),
      got: isGot(s),
      takes: s.takes ?? [],
    }
  })
}

/** A shot of no episode. */
export function ownItem(own: OwnShot): Item {
  const { id, text, got, shot: plan = {}, takes = [] } = own
  const shot = shotFrom(id, plan)
  return {
    id,
    kind: 'own',
    episode: undefined,
    name: text,
    words: '',
    where: '',
    number: undefined,
    plan,
    picture: undefined,
    shot,
    got,
    takes,
  }
}

function stepItem({ card, state }: StepIn): Item {
  const { step } = state
  return {
    id: step.id,
    kind: 'step',
    episode: card.episode.id,
    name: step.name,
    words: '',
    where: '',
    number: undefined,
    plan: {},
    picture: undefined,
    // What was left of it when the session began, also once it is done: its minutes are logged at the end.
    shot: shotFrom(step.id, {}, Math.max(0, step.minutes - step.logged) || step.minutes),
    got: state.done,
    takes: [],
  }
}

/**
 * The steps that are done in a session: those of its list that lie on its day, or that are done; all of them once it
 * has begun. What was laid elsewhere since is done there.
 */
export function stepsIn(session: Session, stepIn: ReadonlyMap<Id, StepIn>): StepIn[] {
  return session.steps.flatMap((id) => {
    const found = stepIn.get(id)
    if (!found) return []
    const here = session.run.kind !== 'planned' || found.state.step.blocks.some((b) => b.day === session.day)
    return here || found.state.done ? [found] : []
  })
}

/** The episodes of a session, each once, in its order. */
export function episodesIn(session: Session, stepIn: ReadonlyMap<Id, StepIn>): Card[] {
  return [...new Map(stepsIn(session, stepIn).map((s) => [s.card.episode.id, s.card])).values()]
}

/**
 * All that is to be got in a session, got or not, in the order of its episodes; what was got before the session began
 * is not of it.
 */
export function itemsIn(session: Session, stepIn: ReadonlyMap<Id, StepIn>): Item[] {
  const cards = episodesIn(session, stepIn)
  const { items } = sessionKinds[session.kind]
  const steps = stepsIn(session, stepIn)
  // An episode of which nothing is known but its step is gone through as that.
  const within = (card: Card, found: readonly Item[]): readonly Item[] =>
    found.length > 0 ? found : steps.filter((s) => s.card === card).map(stepItem)
  const all =
    items === 'shots'
      ? [...cards.flatMap((c) => within(c, shotsOf(c))), ...session.shots.map(ownItem)]
      : items === 'sections'
        ? cards.flatMap((c) => within(c, sectionsOf(c)))
        : steps.map(stepItem)
  const mine = new Set(session.order)
  return all.filter((i) => !i.got || mine.has(i.id))
}

/** Minutes that a session takes: what is left of its steps, or its own, and setting up. */
export function sessionMinutes(session: Session, stepIn: ReadonlyMap<Id, StepIn>, setup: number): number {
  return sum(stepsIn(session, stepIn), (s) => s.state.minutesLeft) + ownMinutes(session) + setup
}
