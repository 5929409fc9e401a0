import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { Id, Session, SessionKind } from '@core/records'
import { candidatesFor, togetherFor, type Together, type TogetherOf } from '@core/session/together'
import { useCards } from './cards'
import { useLibrary } from './library'
import { useMoment } from './moment'
import { useWorkload } from './workload'

/** Kinds for which going together is proposed by itself, what has set-up first. */
const proposed = ['film', 'record', 'edit', 'write', 'pictures', 'research'] as const

/** Sessions: those that are laid, those that were held, and who could go together. */
export const useSessions = defineStore('sessions', () => {
  const library = useLibrary()
  const cards = useCards()
  const moment = useMoment()
  const workload = useWorkload()
  const all = computed(() =>
    [...library.tables.sessions.values()].sort((a, b) =>
      a.day === b.day ? ((a.at ?? '') < (b.at ?? '') ? -1 : 1) : a.day < b.day ? -1 : 1,
    ),
  )
  /** Not struck yet, the next first. */
  const coming = computed(() => all.value.filter((s) => s.run.kind !== 'struck'))
  const held = computed(() => all.value.filter((s) => s.run.kind === 'struck').reverse())
  const running = computed(() => coming.value.find((s) => s.run.kind !== 'planned'))

  const of = computed((): TogetherOf => ({
    working: cards.working,
    sessions: all.value,
    hours: workload.hours,
    blocks: workload.load.blocks,
    settings: library.settings,
    today: moment.today,
  }))
  const together = computed(() =>
    proposed.flatMap((kind): Together[] => {
      const found = togetherFor(kind, of.value)
      return found ? [found] : []
    }),
  )
  const candidates = (kind: SessionKind) => candidatesFor(kind, of.value)
  const byId = (id: Id): Session | undefined => library.tables.sessions.get(id)
  /** Two episodes could be filmed or recorded together, or there are sessions: the screen stands in the bar. */
  const hasAny = computed(
    () => all.value.length > 0 || (['film', 'record'] as const).some((k) => candidates(k).length >= 2),
  )
  return { all, coming, held, running, together, candidates, byId, hasAny }
})
