import type { Session, SessionKind, StepKind } from '../records'

/** A kind of session as it is said, with the kinds of step that are done in it. */
export interface SessionWords {
  /** What is done: “Filming”. */
  name: string
  /** What one does: “film”. */
  verb: string
  steps: readonly StepKind[]
  /** What is gone through one by one in it. */
  items: 'shots' | 'sections' | 'steps'
}

/** Every kind of session, in the order in which they are offered. */
export const sessionKinds: Readonly<Record<SessionKind, SessionWords>> = {
  film: { name: 'Filming', verb: 'film', steps: ['film'], items: 'shots' },
  record: { name: 'Recording', verb: 'record', steps: ['record'], items: 'sections' },
  write: { name: 'Writing', verb: 'write', steps: ['write'], items: 'steps' },
  edit: { name: 'Editing', verb: 'edit', steps: ['edit'], items: 'steps' },
  pictures: { name: 'Pictures', verb: 'make pictures of', steps: ['design'], items: 'steps' },
  research: { name: 'Research', verb: 'research', steps: ['research'], items: 'steps' },
  planning: { name: 'Planning', verb: 'plan', steps: ['prepare', 'admin'], items: 'steps' },
  stock: { name: 'Stock footage', verb: 'film stock', steps: [], items: 'shots' },
}

/** How an end is said of a kind of session: a set and a recording are struck with what was got, desk work is ended. */
export function endOf(kind: SessionKind): {
  end: 'strike' | 'end'
  ended: 'struck' | 'ended'
  got: 'got' | 'done'
} {
  return sessionKinds[kind].items === 'steps'
    ? { end: 'end', ended: 'ended', got: 'done' }
    : { end: 'strike', ended: 'struck', got: 'got' }
}

/** Minutes that a shot takes where nothing is said. */
export const usualShot = 8

/** Minutes of a session that has no steps and no length of its own. */
export const usualLength = 60

/** The kind of step whose set-up a session has. */
export function setUpKind(kind: SessionKind): StepKind {
  return kind === 'stock' ? 'film' : (sessionKinds[kind].steps[0] ?? 'film')
}

/** Minutes of its day that a session takes beside its steps: all of them where it has none. */
export function ownMinutes({ steps, minutes, shots }: Pick<Session, 'steps' | 'minutes' | 'shots'>): number {
  if (steps.length > 0) return 0
  return minutes ?? Math.max(usualLength, shots.length * usualShot)
}
