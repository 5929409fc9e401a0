import { keymap } from '@app/ui/keymap'

export const partnersKeys = keymap('People and partners', {
  go: ['ArrowUp ArrowDown', 'from one to the next'],
  keep: ['K', 'keep the dates that are offered'],
  add: ['A', 'add somebody'],
})
