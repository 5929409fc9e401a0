import { keymap } from '@app/ui/keymap'

export const weekKeys = keymap('Week', {
  go: ['ArrowUp ArrowDown', 'from block to block'],
  day: ['Alt+ArrowUp Alt+ArrowDown', 'a day earlier, a day later'],
  order: ['Alt+ArrowLeft Alt+ArrowRight', 'earlier, later in the day'],
  join: ['J', 'join its pieces'],
  pin: ['P', 'pin it, or let it go; with no block, plan it for me'],
  split: ['S', 'split it'],
  off: ['Delete', 'back to the plan'],
  timer: ['T', 'start or stop it'],
})
