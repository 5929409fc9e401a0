import { type Written } from './scripts'
import { type Subject } from './titles'

/** A picture that is wanted: painted beside the records, under the same id. */
export interface PictureOrder {
  id: string
  subject: Subject
  audio: boolean
  variant: number
  /** Released ones are painted at half the size. */
  half: boolean
}

/** How far an episode in work has come: the recipe lines done, and what is written. */
export interface Progress {
  done: string[]
  logged?: Record<string, number>
  written: Written
  got: 'all' | 'none' | number
  pictures: number
  chosen?: number
  brief: 'whole' | 'part' | 'none'
  title: 'chosen' | 'candidates'
  description: boolean
  tags: 'fit' | 'over' | 'none'
  length: boolean
  waiting?: { line: string; who: string; what: string; days: number }
}

export const everything = [
  'brief',
  'titles',
  'script',
  'prepare',
  'film',
  'rough',
  'sound',
  'pictures',
  'choose',
  'describe',
  'check',
]
export const whole: Progress = {
  done: everything,
  written: { sections: 'all' },
  got: 'all',
  pictures: 1,
  chosen: 0,
  brief: 'whole',
  title: 'chosen',
  description: true,
  tags: 'fit',
  length: true,
}
