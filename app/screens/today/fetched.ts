import { defineAsyncComponent } from 'vue'

const fetchDay = () => import('./Day.vue')
/** The day with all that may stand in it, once for every visit: fetched a first time, it is there at once. */
export const Day = defineAsyncComponent(fetchDay)
/** Fetches it ahead; where nobody answers it is asked for again when it is to be shown. */
export function prefetchDay(): void {
  fetchDay().catch(() => undefined)
}
