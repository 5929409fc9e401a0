import { defineStore } from 'pinia'
import { ref, shallowRef, watch } from 'vue'
import type { Id, Step } from '@core/records'
import type { Slot } from '@core/rhythm/slots'
import type { Ranked } from '@core/ideas/rank'
import type { Outlook } from '@core/plan/forecast'

const key = 'lamp-reel.capture'

function remembered(): Id | undefined {
  try {
    return localStorage.getItem(key) ?? undefined
  } catch {
    return undefined
  }
}

/** What lies open on the desk beside the screen: dialogs, the finder, and where capture sends ideas. */
export const useDesk = defineStore('desk', () => {
  /** An idea for which a slot is being chosen. */
  const placing = ref<Id>()
  /** An open slot for which an idea is being chosen. */
  const filling = shallowRef<Slot>()
  /** A pasted block of lines that is looked at before it is taken. */
  const pasted = ref<string>()
  /** An episode that is being parked. */
  const parking = ref<Id>()
  /**
   * The two ideas suggested for each of the next open slots, by the slot's key; filled when they have been
   * ranked.
   */
  const suggestions = shallowRef<ReadonlyMap<string, Ranked[]>>(new Map())
  /** How likely each release is to go out, by episode; filled when it has been forecast. */
  const outlooks = shallowRef<ReadonlyMap<Id, Outlook>>(new Map())
  /** Steps of what was released lately, by episode: what they took teaches the pace. */
  const past = shallowRef<ReadonlyMap<Id, Step[]>>(new Map())
  /** The episode whose forecast is open. */
  const forecast = ref<Id>()
  /** An episode that did not go out in time. */
  const missed = ref<Id>()
  /** A slot that is being kept for somebody or something. */
  const keeping = shallowRef<Slot>()
  /** Reminders have not been asked about yet. */
  const mayRemind = ref(false)
  const finder = ref(false)
  const shortcuts = ref(false)
  /** The episode whose history is open. */
  const history = ref<Id>()
  /** The show that captured ideas go to. */
  const captureShow = ref<Id | undefined>(remembered())
  watch(captureShow, (show) => {
    try {
      localStorage.setItem(key, show ?? '')
    } catch {
      /* it then lasts as long as the page */
    }
  })
  /** Counts up to ask the strip to come back to now, and the capture field to take the focus. */
  const toNow = ref(0)
  const toCapture = ref(0)
  return {
    missed,
    placing,
    filling,
    pasted,
    parking,
    suggestions,
    outlooks,
    past,
    forecast,
    keeping,
    mayRemind,
    finder,
    shortcuts,
    history,
    captureShow,
    toNow,
    toCapture,
  }
})
