import { keymap } from '@app/ui/keymap'

/** The standings that N, G and D give, in the order of their keys. */
export const sortings = ['next', 'promising', 'someday'] as const

export const ideasKeys = keymap('Ideas', {
  go: ['ArrowUp ArrowDown', 'from idea to idea'],
  ends: ['Home End', 'to the first, to the last'],
  move: ['Alt+ArrowUp Alt+ArrowDown', 'move it in your order'],
  open: ['E Enter', 'its own page'],
  pick: ['X', 'choose it, Shift for all between'],
  all: ['A', 'choose all, or none'],
  none: ['Escape', 'choose none'],
  place: ['P', 'put it on a slot'],
  start: ['S', 'start it without a slot'],
  sort: ['N G D', 'next, promising, some day'],
  rest: ['R', 'rest four weeks'],
  drop: ['Delete', 'let it go'],
})

export const sortKeys = keymap('Sort', {
  sort: ['N G D', 'next, promising, some day'],
  drop: ['L Delete', 'let it go'],
  rest: ['R', 'rest four weeks'],
  merge: ['M', 'merge into the one beside it'],
  place: ['P', 'put it on a slot'],
  add: ['T', 'add a line'],
  later: ['ArrowRight Space', 'leave it for later'],
  back: ['Z Backspace', 'take back'],
})

/** On a keyword of the plot. */
export const plotKeys = keymap('Keywords', {
  back: ['ArrowLeft ArrowUp', 'the keyword before'],
  on: ['ArrowRight ArrowDown', 'the keyword after'],
  choose: ['Enter Space', 'choose it'],
})
