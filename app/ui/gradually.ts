import { computed, ref, watch, type Ref } from 'vue'
import { useRafFn } from '@vueuse/core'

/** How many rows stand at once, and how many more with each frame after. */
const first = 18
const more = 96

/**
 * How much of a long list is drawn: what fits a screen at once, the rest with the frames that follow, so that it opens
 * without a wait. `total`: how many rows there are.
 */
export function useGradually(total: () => number): Ref<number> {
  const drawn = ref(first)
  let isPainted = false
  const frames = useRafFn(
    () => {
      // The first frame paints the screen with nothing more to do.
      if (!isPainted) isPainted = true
      else drawn.value += more
      if (drawn.value >= total()) frames.pause()
    },
    { immediate: false },
  )
  watch(
    total,
    (rows) => {
      if (rows > drawn.value) frames.resume()
    },
    { immediate: true },
  )
  return computed(() => Math.min(drawn.value, total()))
}

/** The first so many rows of a list in groups; groups of which none is among them are left out. */
export function firstRows<R, G extends { items: readonly R[] }>(
  groups: readonly G[],
  count: number,
): { group: G; items: readonly R[] }[] {
  let left = count
  return groups.flatMap((group) => {
    if (left <= 0) return []
    const items = group.items.slice(0, left)
    left -= group.items.length
    return [{ group, items }]
  })
}
