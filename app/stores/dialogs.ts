import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import type { Id } from '@core/records'
import type { Slot } from '@core/rhythm/slots'

/** What can lie open over a screen, and what it is about. */
export type Dialog =
  | { kind: 'find' }
  | { kind: 'shortcuts' }
  /** A slot is chosen for an idea or an episode. */
  | { kind: 'place'; episode: Id }
  /** An idea is chosen for an open slot. */
  | { kind: 'fill'; slot: Slot }
  /** A slot is kept for somebody or something. */
  | { kind: 'keep'; slot: Slot }
  /** What becomes of an episode that did not go out in time. */
  | { kind: 'missed'; episode: Id }
  /** When and where an episode went out. */
  | { kind: 'released'; episode: Id }
  /** An episode is to be scheduled though things are missing. */
  | { kind: 'schedule'; episode: Id }
  | { kind: 'park'; episode: Id }
  | { kind: 'forecast'; episode: Id }
  | { kind: 'history'; episode: Id }
  /** A pasted block of lines is looked at before it is taken. */
  | { kind: 'lines'; text: string }

/** The dialog that is open, one at a time; `shell/DialogHost.vue` shows it. */
export const useDialogs = defineStore('dialogs', () => {
  const open = shallowRef<Dialog>()
  /** Opens a dialog in the place of the one that is open. */
  function show(dialog: Dialog): void {
    open.value = dialog
  }
  function close(): void {
    open.value = undefined
  }
  return { open, show, close }
})
