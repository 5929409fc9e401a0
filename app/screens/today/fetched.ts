import { defineAsyncComponent } from 'vue'

/** Fetches the day with all that may stand in it. */
export const fetchDay = () => import('./Day.vue')
/** The day, once for every visit: fetched a first time, it is there at once. */
export const Day = defineAsyncComponent(fetchDay)
