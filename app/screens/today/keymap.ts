import { keymap } from '@app/ui/keymap'

/** How a step ended, in the order of the keys. */
export const endings = ['shorter', 'as planned', 'longer'] as const
export type Ending = (typeof endings)[number]

export const todayKeys = keymap('Today', {
  open: ['Enter', 'go to the next step'],
  timer: ['T', 'start it, or stop what runs'],
  end: ['- = +', 'done: shorter, as planned, longer'],
  all: ['A', 'all of a step is done of which only a part is for today'],
  out: ['Y', 'yes, it is out'],
})
