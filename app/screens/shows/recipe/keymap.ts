import { keymap } from '@app/ui/keymap'

/** On a step's dot in the score. */
export const scoreKeys = keymap('Recipe', {
  due: ['ArrowLeft ArrowRight', 'due a day earlier, a day later'],
})
