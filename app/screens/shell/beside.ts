import { onMounted } from 'vue'
import { prefetchBackups } from '@app/stores/library'
import { promiseTimeout, until, useWindowFocus } from '@vueuse/core'

/** What works beside the screens, fetched once they stand. */
const parts: readonly (() => Promise<unknown>)[] = [
  prefetchBackups,
  () =>
    import('@app/stores/plan').then(({ usePlan }) => {
      usePlan().want()
    }),
  () =>
    import('@app/stores/ranking').then(({ useRanking }) => {
      useRanking().want()
    }),
  () =>
    import('@app/stores/reminders').then(({ useReminders }) => {
      useReminders().start()
    }),
  () =>
    import('@app/stores/mail').then(({ useMail }) => {
      useMail().start()
    }),
  () =>
    import('@app/stores/belt').then(({ useBelt }) => {
      useBelt().start()
    }),
  () =>
    import('@app/stores/helpers').then(({ useHelpers }) => {
      useHelpers().start()
    }),
  () =>
    import('@app/stores/counts').then(({ useCounts }) => {
      useCounts().start()
    }),
]

/**
 * Fetches the plan, the ranking, the reminders and the mail a moment after the start. Where nobody answers, again
 * when the window is come back to, at the latest after ten seconds.
 */
export function useBeside(): void {
  const focused = useWindowFocus()
  async function fetched(part: () => Promise<unknown>): Promise<void> {
    try {
      await part()
    } catch {
      await Promise.race([promiseTimeout(10_000), until(focused).changed()])
      await fetched(part)
    }
  }
  onMounted(async () => {
    await promiseTimeout(1500)
    for (const part of parts) void fetched(part)
  })
}
