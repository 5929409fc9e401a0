import { Part, type Id, type Outlet } from '../records'
import type { Card } from '../views/card'
import { partsAt, type PartAt } from './part-at'
import { spinParts } from './spin-parts'
import type { PartState } from './parts'
import type { Thing } from './when'

/** Something that goes out, with its episode and its fields. */
export interface Going extends Thing {
  card: Card
  parts: PartAt[]
  /** Required fields that are not there yet. */
  lacking: PartAt[]
  isReady: boolean
}

/** Cards and outlets are never changed in place: several things of an episode at one outlet have the same fields. */
const known = new WeakMap<Card, Map<Outlet, PartAt[]>>()
function partsOf(card: Card, { outlet, spin }: Thing): PartAt[] {
  if (spin) return spinParts(outlet, card, spin)
  const mine = known.get(card) ?? new Map<Outlet, PartAt[]>()
  known.set(card, mine)
  const parts = mine.get(outlet) ?? partsAt(outlet, card)
  mine.set(outlet, parts)
  return parts
}

/** A thing with what is there of it (`engine` 15: ready when its outlet's required parts pass). */
export function going(card: Card, thing: Thing): Going {
  const parts = partsOf(card, thing)
  const lacking = parts.filter((p) => p.isRequired && p.state !== 'there')
  return { ...thing, card, parts, lacking, isReady: lacking.length === 0 }
}

/**
 * How many things are still missing of one thing that goes out: of the episode itself, at its show's first outlet, all that
 * every other screen counts as well; elsewhere its fields.
 */
export function missingAt({ card, outlet, spin, lacking }: Going): number {
  return spin === undefined && outlet.id === card.show.outlets[0]
    ? card.standing.missing.length
    : lacking.length
}

/** What mends a part of an episode, wherever it goes out. */
export interface Move {
  key: string
  card: Card
  part: Part
  /** What is done: `Choose the thumbnail`. */
  label: string
  minutes: number
  /** Where it is done, or what does it at once. */
  mend: PartState['mend']
  /** On whom it waits, if on anybody. */
  waits?: string
  /** The things that it mends, the earliest first. */
  mends: Going[]
}

function isPart(field: PartAt['field']): field is Part {
  return Part.safeParse(field).success
}

/** What a move is called, by the part and how that stands. */
function labelOf(part: PartAt): string {
  const isBroken = part.state === 'failing'
  switch (part.field) {
    case 'title':
      return isBroken ? 'Shorten the title' : part.state === 'begun' ? 'Choose the title' : 'Write the title'
    case 'description':
      return isBroken ? 'Shorten the description' : 'Write the description'
    case 'tags':
      return isBroken ? 'Drop the last tags' : 'Choose the tags'
    case 'chapters':
      return isBroken ? 'Mend the chapters' : 'Make the chapters'
    case 'thumbnail': {
      const name = part.name.toLowerCase()
      return part.state === 'begun' ? `Choose the ${name}` : `Make the ${name}`
    }
    case 'length':
      return 'Finish the file'
    case 'links':
      return 'Add the links'
    default:
      return `Settle the ${part.name.toLowerCase()}`
  }
}

/** Whether a field of a spin-off is its own, not the episode's. */
function isOwnWord({ field }: PartAt): boolean {
  return field === 'title' || field === 'description' || field === 'length'
}

/** What a move is called that mends a spin-off's own; nothing where it is another's. */
function spinLabel({ spin }: Thing, part: PartAt): string | undefined {
  if (!spin || !isOwnWord(part)) return undefined
  return part.field === 'length' ? `Cut the ${spin.kind}` : `${labelOf(part)} of the ${spin.kind}`
}

/** Which move mends a part of a thing: the same one for all things that have it from the same place. */
export function moveKey({ card, spin }: Pick<Going, 'card' | 'spin'>, part: PartAt): string {
  const of = spin && isOwnWord(part) ? spin.id : card.episode.id
  return `${of} ${part.field}`
}

/**
 * The moves that mend what is lacking (`engine` 15): each part of an episode once, with all that waits for it; those that
 * mend what goes out soonest first, then those that mend most a minute.
 */
export function movesFor(all: readonly Going[]): Move[] {
  const moves = new Map<Id, Move>()
  for (const thing of all)
    for (const part of thing.lacking) {
      const { field, mend } = part
      if (!mend || !isPart(field)) continue
      const key = moveKey(thing, part)
      const known = moves.get(key)
      if (known) {
        known.mends.push(thing)
        continue
      }
      const step = thing.card.standing.steps.find((s) =>
        thing.spin && isOwnWord(part)
          ? s.left && s.step.spin === thing.spin.id
          : s.left && s.step.part === field,
      )
      moves.set(key, {
        key,
        card: thing.card,
        part: field,
        mend,
        label: spinLabel(thing, part) ?? labelOf(part),
        minutes: step?.minutesLeft ?? (field === 'tags' || field === 'chapters' ? 1 : 10),
        ...(step?.step.waiting ? { waits: step.step.waiting.who } : {}),
        mends: [thing],
      })
    }
  const soonest = (m: Move) => Math.min(...m.mends.map((t) => t.at))
  const worth = (m: Move) => m.mends.length / Math.max(1, m.minutes)
  return [...moves.values()].sort((a, b) => soonest(a) - soonest(b) || worth(b) - worth(a))
}
