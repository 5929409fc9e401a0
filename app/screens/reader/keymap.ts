import { keymap } from '@app/ui/keymap'

/** In the reader; a foot pedal or clicker sends some of them. */
export const readerKeys = keymap('Reader', {
  next: ['Space PageDown ArrowDown ArrowRight AudioVolumeDown', 'got it, the next beat'],
  back: ['ArrowUp PageUp ArrowLeft AudioVolumeUp', 'back to the beat before'],
  again: ['T', 'again: a new take of the section'],
  remark: ['E', 'a remark for the edit'],
  smaller: ['-', 'smaller words'],
  larger: ['+ =', 'larger words'],
  slower: [',', 'slower'],
  faster: ['.', 'faster'],
  run: ['Enter', 'scroll steadily, and stop'],
  mirror: ['M', 'mirrored'],
  mode: ['A', 'to camera alone, or everything'],
  higher: ['Shift+ArrowUp', 'words higher on the screen'],
  lower: ['Shift+ArrowDown', 'words lower on the screen'],
  second: ['W', 'a second window that follows'],
  leave: ['Escape', 'leave'],
})
