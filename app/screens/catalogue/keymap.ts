import { keymap } from '@app/ui/keymap'

export const catalogueKeys = keymap('Catalogue', {
  go: ['ArrowUp ArrowDown', 'from episode to episode'],
  along: ['ArrowLeft ArrowRight', 'along the film'],
  open: ['Enter', 'open it'],
  link: ['A', 'add the links that are likely'],
  follow: ['F', 'follow it up: an idea that goes on from it'],
  ask: ['S', 'ask the catalogue'],
})
