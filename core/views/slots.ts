import { sixLamps, type Lamp, type StageState } from '../recipe/progress'
import type { Day, Id } from '../records'
import type { Card, SlotRow } from './card'

/** Whom an episode waits on, step by step. */
export function waitsOn(card: Card): string[] {
  return card.standing.steps.flatMap((s) => (s.left && s.step.waiting ? [s.step.waiting.who] : []))
}

/**
 * Whose move it is on an episode: of whom it waits on, of who does its next step, else `me`; nobody's once it is
 * ready.
 */
export function moveOf(card: Card): { who: string; waits: boolean } | undefined {
  const { next, ready } = card.standing
  if (ready || !next) return undefined
  if (next.step.waiting) return { who: next.step.waiting.who, waits: true }
  if (next.step.owner !== 'me') return { who: next.step.owner, waits: false }
  const waited = waitsOn(card)[0]
  return waited !== undefined && !next.free ? { who: waited, waits: true } : { who: 'me', waits: false }
}

/**
 * Everyone who can move an episode on now: oneself as `me`, whom it waits on, and who does one of its steps; none once it
 * is ready.
 */
export function moversOf(card: Card): string[] {
  const move = moveOf(card)
  if (!move) return []
  const free = card.standing.steps.filter((s) => s.left && (s.free || s.step.waiting))
  const who = free.map(({ step }) => step.waiting?.who ?? step.owner)
  return [...new Set([...(who.includes('me') ? ['me'] : []), move.who, ...who])]
}

/** What the rows of Slots are narrowed to. */
export type Narrowing =
  | { kind: 'all' | 'ready' | 'work' | 'late' | 'open' }
  /** It is this one's move; it waits on this one. */
  | { kind: 'move' | 'waits'; who: string }

/** Whether a row stands in Slots as they are narrowed. */
export function fits(row: SlotRow, by: Narrowing): boolean {
  const { card } = row
  switch (by.kind) {
    case 'all':
      return true
    case 'open':
      return card === undefined
    case 'ready':
      return card?.standing.ready === true
    case 'work':
      return card?.standing.ready === false
    case 'late':
      return card?.standing.late !== undefined
    case 'waits':
      return card !== undefined && waitsOn(card).includes(by.who)
    case 'move':
      return card !== undefined && moversOf(card).includes(by.who)
  }
}

/** Everyone whose move it is on something, but for oneself, and everyone who is waited on; by name. */
export function peopleOf(cards: readonly Card[]): { movers: string[]; waited: string[] } {
  const named = (names: string[]) => [...new Set(names)].sort()
  return {
    movers: named(cards.flatMap(moversOf).filter((w) => w !== 'me')),
    waited: named(cards.flatMap(waitsOn)),
  }
}

/** A row as a place to carry an episode of a show to: its slot's original date, and its day. */
export function goalOf(row: SlotRow, show: Id): { original: Day; day: Day } | undefined {
  if (row.show.id !== show || row.slot?.skipped) return undefined
  const place = row.card?.episode.place
  const original = row.slot?.original ?? (place?.kind === 'slot' ? place.day : undefined)
  return original === undefined ? undefined : { original, day: row.day }
}

/** One column of lamps: the kind of stage, its lamp, and whether it is joined to the next by a lit line. */
export interface LampColumn {
  kind: (typeof lampKinds)[number]
  lamp: Lamp | undefined
  stage: StageState | undefined
  joined: boolean
}
export const lampKinds = ['brief', 'script', 'film', 'edit', 'thumbnail', 'release'] as const

/** The six columns of an episode's lamps. */
export function lampColumns(card: Card): LampColumn[] {
  const lamps = sixLamps(card.standing)
  return lampKinds.map((kind, i) => ({
    kind,
    lamp: lamps[i],
    stage: card.standing.stages.find((s) => s.stage.kind === kind),
    joined: lamps[i]?.state === 'lit' && lamps[i + 1]?.state === 'lit',
  }))
}
