import { keymap } from '@app/ui/keymap'

export const releaseKeys = keymap('Release', {
  turn: ['ArrowUp ArrowDown', 'what goes out before, after'],
  move: ['Enter', 'do the first move'],
  copy: ['C', 'copy the next field of what is looked at'],
  hand: ['H', 'hand over what is looked at, where the program speaks to its outlet'],
  state: ['U S V T K', 'it is uploaded, scheduled, seen live; people were told; its footage is kept safe'],
  anew: ['Shift+C', 'all fields are to be copied anew'],
})

/** The states that have a key, in the order of the keys. */
export const keyed = ['uploaded', 'scheduled', 'live', 'told', 'safe'] as const

export const writeKeys = keymap('Write in one sitting', {
  next: ['Ctrl+Enter', 'on to the next words'],
})
