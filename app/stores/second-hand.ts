import { useIntervalFn } from '@vueuse/core'
import { ref, type Ref } from 'vue'
import { now as clock } from '@app/data/clock'

/** The moment, ms since 1970, anew every second: for what is watched while it runs. */
export function useSecondHand(): Ref<number> {
  const now = ref(clock())
  useIntervalFn(() => {
    now.value = clock()
  }, 1000)
  return now
}
