import { short } from '../plan/task'
import type { Outlook } from '../plan/outlook'
import type { Day, Stage } from '../records'
import { sayNotice } from '../recipe/due'
import { daysBetween } from '../rhythm/days'
import type { EpisodeProgress, Lamp, StepState } from '../recipe/progress'
import { sayState } from './state-words'

/** Whether a release goes out on time: a word, and the reason for it. Either may be empty. */
export interface Verdict {
  word: string
  why: string
}

/** What a verdict is made from. `days` lie between being ready as laid and the release, negative where it is short. */
export interface VerdictOf {
  standing: Pick<EpisodeProgress, 'ready' | 'scheduled' | 'missing' | 'late'> & {
    stages: readonly { stage: Pick<Stage, 'name'>; lamp: Lamp }[]
  }
  outlook: Pick<Outlook, 'is'> | undefined
  days: number | undefined
  /** What most often decides, in words; '' where nothing does. */
  decides: string
}

/**
 * What every screen says of a release: its word comes from chance alone, and what is late or how many days there are is
 * the reason, said only where it agrees with the word.
 */
export function verdictOf({ standing, outlook, days, decides }: VerdictOf): Verdict {
  if (standing.scheduled || standing.ready) return { word: sayState(standing), why: '' }
  const late = lateWhere(standing)
  const isLate = late === '' ? '' : `late on ${late}`
  const toSpare = days !== undefined && days >= 0 ? sayToSpare(days) : ''
  if (!outlook) return { word: '', why: isLate || (days === undefined ? '' : sayToSpare(days)) }
  switch (outlook.is) {
    case 'too far ahead':
      return { word: outlook.is, why: decides }
    case 'on track':
      return isLate ? { word: 'still on track', why: isLate } : { word: 'on track', why: toSpare }
    case 'tight':
    case 'unlikely': {
      const behind = days !== undefined && days < 0 ? sayToSpare(days) : isLate
      return { word: outlook.is, why: [behind, decides].filter(Boolean).join(', ') }
    }
  }
}

/** A verdict in one sentence, without a capital: `late on Film, still on track`,
 * `unlikely: 2 days short, depends on “First cut”`. */
export function sayVerdict({ word, why }: Verdict): string {
  if (word === 'still on track') return `${why}, ${word}`
  return [word, why].filter(Boolean).join(word === 'on track' ? ', ' : ': ')
}

/**
 * A slot that is nearer than its work usually takes, in words, in the first days after it was chosen; '' when that is no
 * news any more.
 */
export function sayFreshNotice({ notice }: Pick<EpisodeProgress, 'notice'>, today: Day): string {
  return notice && daysBetween(notice.from, today) < 3 ? sayNotice(notice) : ''
}

/** Days between being ready and the release: to spare, or short. */
export function sayToSpare(days: number): string {
  const many = Math.abs(days)
  if (days === 0) return 'ready on the day'
  return `${many} ${many === 1 ? 'day' : 'days'} ${days > 0 ? 'to spare' : 'short'}`
}

/** The stage whose required step is the most days late. */
function lateWhere({ late, stages }: VerdictOf['standing']): string {
  return late === undefined ? '' : (stages.find((s) => s.lamp.late === late)?.stage.name ?? '')
}

/** What most often decides, in words: who it waits on, with whom it is agreed, or the step where it is work worth naming. */
export function sayDecides(state: StepState | undefined): string {
  if (!state) return ''
  const { step, agreed, minutesLeft } = state
  if (step.waiting) return `waits on ${step.waiting.who}`
  if (agreed) return `depends on “${step.name}” with ${agreed.guest}`
  return step.owner === 'me' && minutesLeft < short ? '' : `depends on “${step.name}”`
}
