import { keymap } from '@app/ui/keymap'

export const episodeKeys = keymap('Episode', {
  stage: ['[ ]', 'the stage before, the stage after'],
  notebook: ['N Alt+N', 'its notebook, beside the work; Alt also while typing'],
  history: ['H', 'its history'],
})

/** In a beat of the script. */
export const scriptKeys = keymap('Script', {
  split: ['Enter', 'a new beat'],
  join: ['Backspace', 'at the start: join it to the beat before'],
  deliver: ['Alt+V', 'to camera or voice-over'],
  shot: ['Alt+S', 'note a shot'],
  move: ['Alt+ArrowUp Alt+ArrowDown', 'move the beat'],
  go: ['ArrowUp ArrowDown', 'at its end: to the beat before, the beat after'],
})
