import { computed } from 'vue'
import { changeCosts, counted } from '@core/plan/shots'
import type { Id, Session } from '@core/records'
import { momentAt } from '@core/rhythm/zone'
import { checksAfter, checksBefore } from '@core/session/checks'
import { cellsOf, clockOf, tookIn } from '@core/session/clock'
import { episodesIn, itemsIn, type Item } from '@core/session/items'
import { sessionKinds, setUpKind } from '@core/session/kinds'
import { bySetUp, inOrder, isSought, shotsToOrder } from '@core/session/order'
import { useCards } from '@app/stores/cards'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import { useSecondHand } from '@app/stores/second-hand'
import { useShotOrder } from '@app/stores/shot-order'

/** Minutes of light where nobody said when it ends. */
const endless = Infinity

/** A session as it is seen: what is to be got, in its order, how it keeps to its plan, and what is to be looked at. */
export function useSession(session: () => Session) {
  const library = useLibrary()
  const cards = useCards()
  const moment = useMoment()
  const now = useSecondHand()
  const setup = computed(() => library.settings.setup[setUpKind(session().kind)] ?? 0)
  const episodes = computed(() => episodesIn(session(), cards.stepIn))
  const costs = computed(() => changeCosts(episodes.value.map((c) => c.show)))
  const all = computed(() => itemsIn(session(), cards.stepIn))
  const isPut = (i: Item) => session().put.includes(i.id) && !i.got
  const put = computed(() => all.value.filter(isPut))
  const mine = computed(() => all.value.filter((i) => !isPut(i)))
  /** Minutes from its begin to the end of daylight. */
  const light = computed(() => {
    const { light: ends, at, day, run } = session()
    if (ends === undefined) return endless
    const until = momentAt(day, ends, moment.zone)
    const from = run.kind === 'planned' ? momentAt(day, at ?? '10:00', moment.zone) : Date.parse(run.begun)
    return Math.max(0, (until - from) / 60_000 - setup.value)
  })
  const day = computed(() => ({ costs: costs.value, light: light.value }))
  const { order: sought, seeking } = useShotOrder(
    () => (isSought(session()) ? shotsToOrder(session(), mine.value) : []),
    () => day.value,
  )
  const row = computed(() => inOrder(mine.value, isSought(session()) ? sought.value : session().order))
  const here = computed((): Item | undefined => {
    const { run } = session()
    return run.kind === 'running' ? all.value.find((i) => i.id === run.at) : undefined
  })
  const open = computed(() => row.value.filter((i) => !i.got))
  const nameOf = (episode: Id) => {
    const card = cards.card(episode)
    return card ? `${card.number} ${card.title}` : ''
  }
  return {
    now,
    costs,
    setup,
    episodes,
    words: computed(() => sessionKinds[session().kind]),
    day,
    seeking,
    /** What is of today, in its order; what is put off. */
    row,
    put,
    here,
    open,
    /** What comes after what is in hand, or before the first shot after what comes first. */
    next: computed(() => open.value.find((i) => i.id !== (here.value ?? open.value[0])?.id)),
    got: computed(() => row.value.filter((i) => i.got).length),
    setUps: computed(() => bySetUp(row.value, costs.value, nameOf)),
    /** What is changed in this order, and episode by episode. */
    changes: computed(() => ({
      now: counted(
        row.value.map((i) => i.shot),
        day.value,
      ),
      given: counted(
        mine.value.map((i) => i.shot),
        day.value,
      ),
    })),
    cells: computed(() => cellsOf(session(), row.value, setup.value, costs.value)),
    clock: computed(() => clockOf(session(), row.value, setup.value, costs.value, now.value)),
    took: computed(() => tookIn(session())),
    before: computed(() => checksBefore(session(), episodes.value)),
    after: computed(() => checksAfter(session(), row.value)),
    numberOf: (episode: Id | undefined) => (episode === undefined ? '' : (cards.card(episode)?.number ?? '')),
  }
}

export type SessionSeen = ReturnType<typeof useSession>
