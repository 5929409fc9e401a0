import { keymap } from '@app/ui/keymap'
import { numbered, places } from '../registry'

/** Keys that mean the same on every screen. */
export const shellKeys = keymap('Everywhere', {
  jot: ['I', 'jot an idea'],
  find: ['/', 'find or do'],
  go: [
    places
      .slice(0, numbered)
      .map((_, i) => i + 1)
      .join(' '),
    places
      .slice(0, numbered)
      .map((p) => p.title)
      .join(', '),
  ],
  now: ['0', 'the film at the top back to today'],
  late: ['L', 'the next late thing, why, and what mends it'],
  undo: ['Ctrl+Z', 'undo'],
  redo: ['Ctrl+Shift+Z', 'do again'],
  shortcuts: ['?', 'this sheet'],
})

/** On a frame of the strip. */
export const stripKeys = keymap('Strip', {
  along: ['ArrowLeft ArrowRight', 'from frame to frame'],
  across: ['ArrowUp ArrowDown', 'to the other show'],
  open: ['Enter', 'open it, or choose an idea for it'],
  now: ['Home', 'back to now'],
})

/** In the field for a jotted idea. */
export const captureKeys = keymap('Jotting', {
  keep: ['Enter', 'keep it'],
  leave: ['Escape', 'go back'],
  topic: ['ArrowRight', 'take the first topic that fits'],
  show: ['ArrowUp ArrowDown', 'the other show'],
})

/** In Find or do. */
export const finderKeys = keymap('Find or do', {
  move: ['ArrowUp ArrowDown', 'up and down what is found'],
  side: ['ArrowLeft ArrowRight', 'to the list beside it'],
  take: ['Enter', 'open it, do it'],
})
