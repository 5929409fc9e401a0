import { proxy, wrap, type Remote } from 'comlink'
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { orderShots } from '@core/plan/order-shots'
import { exactly } from '@core/plan/shots-exact'
import type { Shot, ShotDay } from '@core/plan/shots'
import type { Id } from '@core/records'
import type { ShotWork } from '@app/workers/shots.worker'

let worker: Remote<ShotWork> | undefined
const at = (): Remote<ShotWork> =>
  (worker ??= wrap<ShotWork>(
    new Worker(new URL('../workers/shots.worker.ts', import.meta.url), { type: 'module' }),
  ))

/** How long an order of many is sought, ms. */
const patience = 1200

/**
 * The order in which least is changed between shots, kept up while they change: at once and exactly for as many as
 * `exactly`; for more a first one at once, and a better one from the worker a moment later.
 */
export function useShotOrder(shots: () => readonly Shot[], day: () => ShotDay) {
  const found = shallowRef<{ of: string; order: Id[] }>({ of: '', order: [] })
  const seeking = ref(false)
  const key = computed(() => JSON.stringify([shots(), day().costs, String(day().light)]))
  const isMany = computed(() => shots().length > exactly)
  const first = computed(() => orderShots(shots(), day(), 0).order)
  watch(
    key,
    async (of) => {
      seeking.value = isMany.value
      if (!isMany.value) return
      const told = proxy((order: Id[]) => {
        if (key.value === of) found.value = { of, order }
      })
      const order = await at().order([...shots()], day(), patience, told)
      if (key.value !== of) return
      found.value = { of, order }
      seeking.value = false
    },
    { immediate: true },
  )
  onScopeDispose(() => {
    if (seeking.value) void worker?.stop()
  })
  return {
    order: computed(() => (found.value.of === key.value ? found.value.order : first.value)),
    /** A better one may still come. */
    seeking,
    stop: () => {
      seeking.value = false
      void at().stop()
    },
  }
}

/** The order in which least is changed between shots, found once: exactly for few, by the worker for many. */
export async function seekShotOrder(shots: readonly Shot[], day: ShotDay): Promise<Id[]> {
  if (shots.length <= exactly) return orderShots(shots, day).order
  return await at().order(
    [...shots],
    day,
    patience,
    proxy(() => undefined),
  )
}
