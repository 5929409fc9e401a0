import { ref, type Ref } from 'vue'
import { useResizeObserver } from '@vueuse/core'

/** How wide each room was when it was last looked at, in pixels. */
const lastWidths = new Map<string, number>()

/**
 * The width of a room, in pixels, as the browser lays it out: until then what it was the last time (or `guess`), so that a
 * screen that comes again draws once and never makes the browser measure half of a page.
 */
export function useWidth(
  room: Readonly<Ref<HTMLElement | null>>,
  name: string,
  guess: number,
): Readonly<Ref<number>> {
  const width = ref(lastWidths.get(name) ?? guess)
  useResizeObserver(room, ([entry]) => {
    if (!entry || entry.contentRect.width === 0) return
    width.value = entry.contentRect.width
    lastWidths.set(name, width.value)
  })
  return width
}
