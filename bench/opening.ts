import type { Page } from '@playwright/test'

/**
 * From a press of `click` (a selector) on a page that has come to rest to the end of the frame in which `there` is
 * painted, in ms; and until so many of it stand (`all`), as long lists are drawn on in the frames after. A row is looked
 * for while a frame is being made; a task after it runs when that frame is painted.
 */
export async function openingMs(
  page: Page,
  click: string,
  there: string,
  all = 1,
): Promise<{ painted: number; whole: number }> {
  return await page.evaluate(
    // Nothing has a name of its own in here: what runs the bench would look for it outside the page.
    async ([from, to, count]) => {
      for (let quiet = 0; quiet < 2; quiet++)
        await new Promise((r) => {
          requestIdleCallback(r)
        })
      const begin = performance.now()
      document.querySelector<HTMLElement>(from)?.click()
      const ends: number[] = []
      for (const stand of [1, count]) {
        while (document.querySelectorAll(to).length < stand)
          await new Promise((r) => {
            requestAnimationFrame(r)
          })
        await new Promise((r) => {
          setTimeout(r, 0)
        })
        ends.push(performance.now() - begin)
      }
      return { painted: ends[0] ?? 0, whole: ends[1] ?? 0 }
    },
    [click, there, all] as const,
  )
}

/** The middle of some times. */
export function middleOf(times: readonly number[]): number {
  return [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0
}
