import { useEventListener, useIntervalFn } from '@vueuse/core'
import { computed, onMounted, ref, shallowRef } from 'vue'
import { HelperPage } from '@core/helpers/page'
import type { HelperDeed } from '@core/helpers/deeds'
import { withHelperDeeds } from '@core/helpers/with-deeds'
import { inTurn } from '@app/data/in-turn'
import { callMailbox } from '@app/data/outbox'
import { KeptDeeds, type KeptDeed } from './letters'

/**
 * A helper's page: what the desk shows, with what was done here since. What is done is kept in this browser at once, goes
 * to the mailbox in its order when that answers, and is let go when the desk says that it has it.
 */
export function useHelper() {
  const secret = location.pathname.split('/')[2] ?? ''
  const kept = new KeptDeeds(secret)
  const page = shallowRef<HelperPage>()
  const deeds = shallowRef<KeptDeed[]>([])
  const state = ref<'asking' | 'there' | 'away' | 'none'>('asking')
  const trouble = ref('')
  /** What the desk said of deeds of this page where its own word stood. */
  const over = ref<string[]>([])

  function took(found: HelperPage): void {
    page.value = found
    const waits = new Set(kept.all.map((d) => d.id))
    const mine = found.taken.filter((t) => waits.has(t.id))
    over.value = [...over.value, ...mine.map((t) => t.over).filter(Boolean)]
    kept.forget(mine.map((t) => t.id))
    deeds.value = kept.all
  }
  /** Sends what waits, one behind the other, so that the order stays. */
  async function send(): Promise<void> {
    for (const one of kept.all) {
      if (one.sent) continue
      const { id, n, at, deed } = one
      const answer = await callMailbox('PUT', `/for/${secret}/letters/${id}`, { n, at, deed })
      if (answer.kind === 'refused') trouble.value = answer.sentence
      if (answer.kind === 'refused' && answer.status === 400) {
        // It can never be taken: it must not hold up the others.
        kept.forget([id])
        deeds.value = kept.all
        continue
      }
      if (answer.kind !== 'answered') return
      trouble.value = ''
      kept.keep({ ...one, sent: true })
      deeds.value = kept.all
    }
  }

  const sync = inTurn(async () => {
    await send()
    const answer = await callMailbox('GET', `/for/${secret}`)
    if (answer.kind === 'refused' && answer.status === 404) {
      state.value = 'none'
      page.value = undefined
      return
    }
    state.value = answer.kind === 'answered' ? 'there' : 'away'
    const read = answer.kind === 'answered' ? HelperPage.safeParse(answer.body) : undefined
    if (read?.success) took(read.data)
  })
  function act(deed: HelperDeed): void {
    try {
      kept.add(deed)
    } catch {
      trouble.value = 'This browser stores nothing here, perhaps because the window is private.'
      return
    }
    deeds.value = kept.all
    void sync()
  }

  const again = () => {
    void sync()
  }
  useIntervalFn(again, 5000)
  useEventListener(window, 'online', again)
  useEventListener(document, 'visibilitychange', again)
  onMounted(() => {
    deeds.value = kept.all
    again()
  })
  return {
    /** As it is with what was done here. */
    seen: computed(() =>
      page.value
        ? withHelperDeeds(
            page.value,
            deeds.value.map((d) => ({ id: d.id, deed: d.deed })),
          )
        : undefined,
    ),
    waiting: computed(() => deeds.value.filter((d) => !d.sent).length),
    /** A cut that was handed back here, and that the desk has not taken yet. */
    isOnItsWay: computed(() => deeds.value.some((d) => d.deed.kind === 'back')),
    state,
    trouble,
    over,
    act,
    sync,
  }
}

export type HelperHere = ReturnType<typeof useHelper>
