import type { Ref } from 'vue'
import { keysOn } from '@app/ui/keymap'
import { stripKeys } from './keymap'

/** Goes through the frames of the film by keys: along a lane, and across to the other. */
export function useStripKeys(film: Ref<HTMLElement | undefined>, toNow: () => void) {
  /** The frames that keys go through, the one in focus, and those of its show. */
  function framesAround() {
    const frames = [...(film.value?.querySelectorAll<HTMLElement>('[data-frame]') ?? [])]
    const here = frames.find((f) => f === document.activeElement)
    const lane = frames.filter((f) => f.dataset['lane'] === here?.dataset['lane'])
    return { frames, here, lane }
  }
  function focusFrame(goal: HTMLElement | undefined): boolean {
    if (!goal) return false
    goal.focus({ preventScroll: true })
    goal.scrollIntoView({ inline: 'center', block: 'nearest' })
    return true
  }
  return keysOn(stripKeys, {
    along: ({ which }) => {
      const { here, lane } = framesAround()
      return focusFrame(lane[lane.findIndex((f) => f === here) + (which === 0 ? -1 : 1)])
    },
    across: () => {
      const { frames, here } = framesAround()
      const other = frames.find(
        (f) =>
          f.dataset['lane'] !== here?.dataset['lane'] &&
          Number(f.dataset['to']) >= Number(here?.dataset['to']),
      )
      return focusFrame(other)
    },
    // A frame is a button, which answers to the key by itself.
    open: () => false,
    now: () => {
      toNow()
    },
  })
}
