import { defineStore } from 'pinia'
import { watch } from 'vue'
import { isSought, shotsToOrder } from '@core/session/order'
import { episodesIn, itemsIn } from '@core/session/items'
import { changeCosts } from '@core/plan/shots'
import type { BeltPictures } from '@core/belt/pictures'
import type { Snapshot } from '@core/belt/snapshot'
import type { Session } from '@core/records'
import { callMailbox } from '@app/data/outbox'
import { now as clock } from '@app/data/clock'
import { useCards } from './cards'
import { useLibrary } from './library'
import { useMail } from './mail'
import { useMoment } from './moment'
import { useSessions } from './sessions'
import { seekShotOrder } from './shot-order'
import { useToday } from './today'

const random = (n: number) => crypto.getRandomValues(new Uint8Array(n))

/** Hands out to the belt what it shows, ciphered with the mailbox's key, a moment after each change. */
export const useBelt = defineStore('belt', () => {
  const library = useLibrary()
  const cards = useCards()
  const mail = useMail()
  const moment = useMoment()
  const sessions = useSessions()
  const today = useToday()

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
    const snapshot = snapshotOf({
      now: clock(),
      today: moment.today,
      day: today.day,
      next: cards.coming[0],
      working: cards.working,
      ideas: [...cards.ideas].reverse(),
      sessions: await Promise.all(soon.map(orderOf)),
      stepIn: cards.stepIn,
      letters: library.tables.letters.values(),
    })
    const text = sealed(JSON.stringify(snapshot), mail.address.key, random)
    await callMailbox('PUT', '/belt', { at: snapshot.at, sealed: text })
    await handOutPictures(snapshot)
  }

  /** Which pictures were handed out last, with which key. */
  let handed = ''
  /** Hands out how shots look, where those are others than last time. */
  async function handOutPictures(snapshot: Snapshot): Promise<void> {
    const [{ addressOfJpeg, picturesOf }, { smallPicture }, { sealed }] = await Promise.all([
      import('@core/belt/pictures'),
      import('./small-picture'),
      import('@core/belt/seal'),
    ])
    const ids = picturesOf(snapshot)
    const { key } = mail.address
    const wish = [key, ...ids].join(' ')
    // Where this page has handed out none, none has to be let go.
    if (wish === handed || (ids.length === 0 && handed === '')) return
    const pictures: BeltPictures = {}
    for (const [id, file] of await library.files(ids)) {
      const small = await smallPicture(file)
      if (small) pictures[id] = addressOfJpeg(small)
    }
    const text = sealed(JSON.stringify(pictures), key, random)
    const answer = await callMailbox('PUT', '/belt/pictures', { at: snapshot.at, sealed: text })
    if (answer.kind === 'answered') handed = wish
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
