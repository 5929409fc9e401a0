import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import type { Id, Step, WorkView } from '@core/records'
import type { Ranked } from '@core/ideas/rank'
import type { Outlook } from '@core/plan/outlook'
import { remembered } from '@app/stores/remembered'

/** What stands on the desk beside the screen: what has been looked ahead, and where capture sends ideas. */
export const useDesk = defineStore('desk', () => {
  /**
   * The two ideas suggested for each of the next open slots, by the slot's key; filled when they have been
   * ranked.
   */
  const suggestions = shallowRef<ReadonlyMap<string, Ranked[]>>(new Map())
  /** How likely each release is to go out, by episode; filled when it has been forecast. */
  const outlooks = shallowRef<ReadonlyMap<Id, Outlook>>(new Map())
  /** What is to be said of a release that is not on track: tight or unlikely; nothing of one beyond what is looked at. */
  function doubtOf(episode: Id | undefined): 'tight' | 'unlikely' | undefined {
    const is = outlooks.value.get(episode ?? '')?.is
    return is === 'tight' || is === 'unlikely' ? is : undefined
  }
  /** Steps of what was released lately, by episode: what they took teaches the pace. */
  const past = shallowRef<ReadonlyMap<Id, Step[]>>(new Map())
  /** Reminders have not been asked about yet. */
  const mayRemind = ref(false)
  /** The show that captured ideas go to. */
  const captureShow = remembered<Id | undefined>('lamp-reel.capture', undefined, (kept) =>
    typeof kept === 'string' ? kept : undefined,
  )
  /** The notebook stands open beside an episode's stages. */
  const notebook = remembered('lamp-reel.notebook', false, (kept) =>
    typeof kept === 'boolean' ? kept : undefined,
  )
  /** What the views of the schedule look at: everything, one show, or one kind of episode. */
  const only = ref<WorkView['only']>({ kind: 'all' })
  /** Counts up to ask the strip to come back to now, and the capture field to take the focus. */
  const toNow = ref(0)
  const toCapture = ref(0)
  return {
    suggestions,
    outlooks,
    doubtOf,
    past,
    mayRemind,
    captureShow,
    notebook,
    only,
    toNow,
    toCapture,
  }
})
