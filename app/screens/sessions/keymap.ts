import { keymap } from '@app/ui/keymap'

export const sessionsKeys = keymap('Sessions', {
  lay: ['Enter', 'lay the session that is proposed'],
  open: ['O', 'open the next session'],
})

/** Why a take is not kept, in the order of its keys. */
export const reasons = ['', 'focus', 'sound', 'words'] as const

/** What is marked in a recording, in the order of the keys. */
export const marks = ['good', 'cut this', 'name to check'] as const

export const sessionKeys = keymap('Session', {
  go: ['Enter', 'begin; on to the first shot; back from a break'],
  check: ['K', 'tick the next thing to look at'],
  got: ['Space', 'got it, on to the next'],
  again: ['T F S W', 'again: no reason, focus, sound, words'],
  off: ['N', 'not today'],
  turn: ['ArrowUp ArrowDown', 'the one before, the one after in hand'],
  move: ['Alt+ArrowUp Alt+ArrowDown', 'put what is in hand earlier, later'],
  remark: ['E', 'a remark for the edit'],
  mark: ['G X V', 'mark a recording: good, cut this, name to check'],
  add: ['A', 'add what came to mind'],
  read: ['R', 'its words in the reader'],
  pause: ['B', 'a break'],
  order: ['O', 'order the rest anew'],
  strike: ['Shift+Enter', 'strike, or end desk work'],
})
