import { keymap } from '@app/ui/keymap'

/** On the title of an episode in Slots. */
export const slotsKeys = keymap('Slots', {
  move: ['Alt+ArrowUp Alt+ArrowDown', 'to the slot before, the slot after'],
})

/** On a card of the Countdown. */
export const countdownKeys = keymap('Countdown', {
  move: ['ArrowLeft ArrowRight', 'to the slot before, the slot after'],
  stage: ['ArrowUp ArrowDown', 'open a stage again, finish one'],
  forecast: ['Enter', 'why, and what if'],
})

/** On the title of an episode among all work in rows. */
export const workKeys = keymap('All work in rows', {
  order: ['Alt+ArrowUp Alt+ArrowDown', 'before, behind its neighbour'],
})

/** On a card of the Month. */
export const monthKeys = keymap('Month', {
  move: ['Alt+ArrowLeft Alt+ArrowRight Alt+ArrowUp Alt+ArrowDown', 'to the slot before, the slot after'],
})

/** In a list of open slots. */
export const openSlotsKeys = keymap('Choosing a slot', {
  go: ['ArrowUp ArrowDown', 'from slot to slot'],
})

/** On an idea among those by month. */
export const monthsKeys = keymap('Ideas by month', {
  move: ['ArrowUp ArrowDown', 'to the month before, the month after'],
  place: ['P', 'put it on a slot'],
})
