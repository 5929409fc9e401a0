import { onBeforeUnmount, watch } from 'vue'
import type { Lamp } from '@core/recipe/progress'

/**
 * The glyph of some lamps as a picture for the browser's tab: six holes clockwise from the top, those that
 * are lit filled.
 */
export function tabMark(lamps: readonly (Lamp | undefined)[]): string {
  const lit = lamps.every((l) => l === undefined || l.state === 'lit')
  const holes = lamps.map((lamp, i) => {
    const angle = (i * Math.PI) / 3
    const [x, y] = [16 + 8.4 * Math.sin(angle), 16 - 8.4 * Math.cos(angle)]
    return `<circle cx="${x.toFixed(1)}" cy="${y.toFixed(1)}" r="3" fill="${lamp?.state === 'lit' ? '#f9b94e' : '#57505f'}"/>`
  })
  return `data:image/svg+xml,${encodeURIComponent(`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 32 32"><circle cx="16" cy="16" r="14.5" fill="#17131c" stroke="${lit ? '#f9b94e' : '#8a8392'}" stroke-width="2"/>${holes.join('')}${lit ? '<circle cx="16" cy="16" r="3.4" fill="#f9b94e"/>' : ''}</svg>`)}`
}

/** Shows the glyph of an episode in the browser's tab while the component is there. */
export function useTabMark(lamps: () => (Lamp | undefined)[] | undefined): void {
  const link = document.querySelector<HTMLLinkElement>('link[rel="icon"]')
  const usual = '/mark.svg'
  watch(
    lamps,
    (now) => {
      if (link && now) link.href = tabMark(now)
    },
    { immediate: true },
  )
  onBeforeUnmount(() => {
    if (link) link.href = usual
  })
}
