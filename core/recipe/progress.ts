import type { Day, Deal, Id, Part, Stage, Step } from '../records'
import { type PartSources, type PartState } from '../release/parts'
import type { AgreedTime } from '../partners/visits'
import type { Notice, WorkingDays } from './due'

/**
 * The state of one stage of one episode, always derived (`engine` 3). `share` is of its minutes (or parts)
 * done, 0 to 1.
 */
export interface Lamp {
  state: 'dark' | 'open' | 'working' | 'waiting' | 'lit'
  share: number
  /** Days that its most overdue required step is late; nothing when none is. */
  late?: number
}

/** Days after a release for which what was to follow it is asked for. */
export const followDays = 120
/** The same for what was answered for before it was kept when it was to go out. */
export const followDaysOnce = 14

/** One step with what is derived of it. */
export interface StepState {
  step: Step
  done: boolean
  /**
   * It is still work: not done, and not let be, as is what was undone before a release that went out, and what was
   * to follow one that is long ago (`followDays`).
   */
  left: boolean
  /** What it needs: by itself, and by the stages that it builds on. */
  needs: readonly Id[]
  /** No record: the work of bringing a required part that no step brings. */
  derived?: boolean
  /** Everything it needs is done. */
  free: boolean
  due?: Day
  /** When it was agreed with a guest. */
  agreed?: AgreedTime
  /** Days late: due is past and it isn't done. */
  late?: number
  minutesLeft: number
  /** No work on it before this date: its own, or its stage's so many days before release. */
  earliest?: Day
}

export interface StageState {
  stage: Stage
  lamp: Lamp
  /** Its steps that are records. */
  steps: StepState[]
  parts: PartState[]
  /**
   * Required items of its checklists that are open; before filming also materials that are not here, before a release
   * licences that are not noted.
   */
  items: readonly { kind: 'item' | 'licence' | 'material' | 'read'; id: Id; text: string; list: string }[]
  /** Parts that must be there before it may begin, and aren't. */
  unsettled: PartState[]
}

/** One thing that stands between an episode and ready, with the action that mends it. */
export type Missing =
  | { kind: 'part'; part: Part; name: string; sentence: string; mend: PartState['mend'] }
  | { kind: 'step'; step: Step; name: string; sentence: string; stage: Id }
  | { kind: 'item'; item: Id; name: string; sentence: string; stage: Id }
  /** Something that filming can't do without, and that is not here; a licence that is not noted, of something of another's that the script uses. */
  | { kind: 'material'; material: Id; name: string; sentence: string; stage: Id }
  | { kind: 'licence'; cue: Id; name: string; sentence: string; stage: Id }
  /** A sponsor's read that is not as it was agreed, or not there. */
  | { kind: 'read'; check: Id; name: string; sentence: string; stage: Id }

/** Where an episode stands. */
export interface EpisodeProgress {
  release?: { day: Day; at: number; time: string }
  stages: StageState[]
  steps: StepState[]
  /** The step that is next, the same on every screen; none when all is done. */
  next?: StepState
  /** The stage of the step that is next; where none is, the first that isn't lit. */
  where?: StageState
  ready: boolean
  /** It was put on a slot that is nearer than its work usually takes. */
  notice?: Notice
  /** Uploaded, and comes out by itself, whatever is still missing. */
  scheduled: boolean
  missing: Missing[]
  /** Days late of the most overdue required step before release. */
  late?: number
  /** Parts of its work can't be made early (news, live): its slot doesn't count against ready ahead. */
  live: boolean
}

/** All that a standing is derived from. `steps` are the episode's own, in any order. */
export interface StandingOf extends PartSources {
  steps: readonly Step[]
  today: Day
  works: WorkingDays
  /** Minutes that bringing a part takes, as far as that was learnt. */
  partMinutes?: Partial<Record<Part, number>> | undefined
  /** What was agreed with its sponsor. */
  deal?: Deal | undefined
}

/**
 * The six lamps of the glyph and of the matrix, by the trade's order; a stage that the recipe leaves out
 * has none.
 */
export function sixLamps(standing: EpisodeProgress): (Lamp | undefined)[] {
  return (['brief', 'script', 'film', 'edit', 'thumbnail', 'release'] as const).map(
    (kind) => standing.stages.find((s) => s.stage.kind === kind)?.lamp,
  )
}

/** Whether any step of it is still work. */
export function hasWork({ steps }: Pick<EpisodeProgress, 'steps'>): boolean {
  return steps.some((s) => s.left)
}
