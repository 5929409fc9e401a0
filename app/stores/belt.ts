import { defineStore } from 'pinia'
import { watch } from 'vue'
import { todayOf } from '@core/views/today'
import { isSought, shotsToOrder } from '@core/session/order'
import { episodesIn, itemsIn } from '@core/session/items'
import { changeCosts } from '@core/plan/shots'
import type { Session } from '@core/records'
import { callMailbox } from '@app/data/outbox'
import { now as clock } from '@app/data/clock'
import { useCards } from './cards'
import { useLibrary } from './library'
import { useMail } from './mail'
import { useMoment } from './moment'
import { useSessions } from './sessions'
import { seekShotOrder } from './shot-order'
import { useWorkload } from './workload'

/** Hands out to the belt what it shows, ciphered with the mailbox's key, a moment after each change. */
export const useBelt = defineStore('belt', () => {
  const library = useLibrary()
  const cards = useCards()
  const mail = useMail()
  const moment = useMoment()
  const sessions = useSessions()
  const workload = useWorkload()

  async function orderOf(session: Session) {
    if (!isSought(session)) return { session, order: session.order }
    const shots = shotsToOrder(session, itemsIn(session, cards.stepIn))
    const costs = changeCosts(episodesIn(session, cards.stepIn).map((c) => c.show))
    return { session, order: await seekShotOrder(shots, { costs, light: Infinity }) }
  }
  /** The desk hands out only where a phone can reach it, with the key that it has. */
  const isOpen = () => mail.mine && mail.address.open && mail.address.key !== ''

  async function handOut(): Promise<void> {
    if (!isOpen()) return
    const [{ snapshotOf }, { sealed }] = await Promise.all([
      import('@core/belt/snapshot-of'),
      import('@core/belt/seal'),
    ])
    const soon = sessions.coming.filter((s) => s.run.kind !== 'planned' || s.day >= moment.today).slice(0, 3)
    const day = todayOf({
      today: moment.today,
      working: cards.withWork,
      dated: [...cards.placed, ...cards.following],
      unplaced: cards.unplaced,
      released: [],
      episodes: new Map(),
      stepIn: cards.stepIn,
      blocks: workload.load.blocks,
      sessions: sessions.all,
      jobs: [],
      cuts: [],
      running: library.settings.running,
    })
    const snapshot = snapshotOf({
      now: clock(),
      today: moment.today,
      day,
      next: cards.coming[0],
      working: cards.working,
      ideas: [...cards.ideas].reverse(),
      sessions: await Promise.all(soon.map(orderOf)),
      stepIn: cards.stepIn,
      letters: library.tables.letters.values(),
    })
    const text = sealed(JSON.stringify(snapshot), mail.address.key, (n) =>
      crypto.getRandomValues(new Uint8Array(n)),
    )
    await callMailbox('PUT', '/belt', { at: snapshot.at, sealed: text })
  }

  let begun = false
  let waits: ReturnType<typeof setTimeout> | undefined
  /** Hands out from now on, by itself. */
  function start(): void {
    if (begun) return
    begun = true
    watch(
      [() => library.records, () => mail.address, () => mail.mine, () => moment.today],
      () => {
        clearTimeout(waits)
        waits = setTimeout(() => void handOut(), 1200)
      },
      { immediate: true },
    )
  }
  return { start, handOut }
})
