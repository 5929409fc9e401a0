import { proxy, wrap, type Remote } from 'comlink'
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { certainOrder, untangled } from '@core/plan/order-shots'
import { searched } from '@core/plan/shots-search'
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

/** Orders that were sought to the end, by what was asked: who comes back to a session need not wait again. */
const sought = new Map<string, Id[]>()
const most = 30
function keep(of: string, order: Id[]): void {
  sought.delete(of)
  sought.set(of, order)
  const [oldest] = sought.keys()
  if (sought.size > most && oldest !== undefined) sought.delete(oldest)
}

/**
 * The order in which least is changed between shots, kept up while they change: at once where it is certain or was sought
 * before; else a first one at once, and a better one from the worker a moment later.
 */
export function useShotOrder(shots: () => readonly Shot[], day: () => ShotDay) {
  const found = shallowRef<{ of: string; order: Id[] }>({ of: '', order: [] })
  const seeking = ref(false)
  let isLeft = false
  const isSeeking = () => seeking.value
  const key = computed(() => JSON.stringify([shots(), day().costs, String(day().light)]))
  const certain = computed(() => certainOrder(shots(), day()))
  const first = computed(() => (certain.value ?? searched(untangled(shots()), day(), 0)).map((s) => s.id))
  watch(
    key,
    async (of) => {
      const known = certain.value ? undefined : sought.get(of)
      if (known) found.value = { of, order: known }
      seeking.value = !certain.value && !known
      if (!seeking.value) return
      const told = proxy((order: Id[]) => {
        if (key.value === of) found.value = { of, order }
      })
      const order = await at().order([...shots()], day(), patience, told)
      if (key.value !== of || isLeft) return
      found.value = { of, order }
      // What was stopped is not sought to the end.
      if (isSeeking()) keep(of, order)
      seeking.value = false
    },
    { immediate: true },
  )
  onScopeDispose(() => {
    isLeft = true
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

/** The order in which least is changed between shots, found once: at once where it is certain, else by the worker. */
export async function seekShotOrder(shots: readonly Shot[], day: ShotDay): Promise<Id[]> {
  const certain = certainOrder(shots, day)
  if (certain) return certain.map((s) => s.id)
  return await at().order(
    [...shots],
    day,
    patience,
    proxy(() => undefined),
  )
}
