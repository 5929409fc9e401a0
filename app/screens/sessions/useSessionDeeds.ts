import {
  addShot,
  beginSession,
  checkSession,
  noteForEdit,
  putBehind,
  putOff,
  reorderSession,
  rollSession,
  strikeSession,
  takeBreak,
  takeInHand,
  turnTo,
} from '@core/commands/sessions'
import { sayDay } from '@core/rhythm/days'
import type { Id, Session } from '@core/records'
import { useLibrary } from '@app/stores/library'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { seekShotOrder } from '@app/stores/shot-order'
import type { SessionSeen } from './useSession'

/** What is done in a session while it is set up, runs and is struck. */
export function useSessionDeeds(session: () => Session, seen: SessionSeen) {
  const library = useLibrary()
  const cards = useCards()
  const moment = useMoment()
  const id = () => session().id
  const ids = () => seen.row.value.map((i) => i.id)
  const open = () => seen.open.value.map((i) => i.id)

  let gone: Session['run'] | undefined
  /** Begins it, goes on to the first shot, or back from a break; a second press before that shows does nothing. */
  async function go() {
    const { run } = session()
    if (gone === run) return
    gone = run
    const before = run
    await goOn()
    if (gone === before) gone = undefined
  }
  async function goOn() {
    const { run } = session()
    if (run.kind === 'planned') await library.perform(beginSession, { session: id(), order: open() })
    else if (run.kind === 'setting up') await library.perform(rollSession, { session: id(), order: open() })
    else if (run.kind === 'running' && run.pause !== undefined) await pause(false)
  }
  function pause(on: boolean) {
    return library.perform(takeBreak, { session: id(), on }, 'quietly')
  }
  function take(kept: boolean, reason = '') {
    return library.perform(takeInHand, { session: id(), kept, reason, open: open() }, 'quietly')
  }
  /** Puts it off, or takes it back; says what that means for when it is due. */
  async function off(item: Id, on: boolean) {
    const of = seen.row.value.find((i) => i.id === item)
    const done = await library.perform(putOff, { session: id(), item, on, open: open() }, 'quietly')
    if (!done.ok || !on || !of) return
    const card = cards.card(of.episode ?? '')
    const due = card?.standing.steps.find((s) => session().steps.includes(s.step.id))?.due
    const number = card?.number ?? ''
    const then =
      due === undefined
        ? 'it waits for another session'
        : due <= session().day
          ? `${number} needs another day for it, and was due ${sayDay(due, moment.today)}`
          : `${number} needs another day for it by ${sayDay(due, moment.today)}`
    library.say(`“${of.name}” is put off; ${then}.`, 'done', [done.value.line ?? 0])
  }
  function turn(by: 1 | -1) {
    const { run } = session()
    if (run.kind !== 'running') return
    const row = ids()
    const to = row[row.indexOf(run.at) + by]
    if (to !== undefined) void library.perform(turnTo, { session: id(), item: to }, 'quietly')
  }
  function move(item: Id, by: 1 | -1) {
    const row = ids()
    const rest = row.filter((i) => i !== item)
    const to = row.indexOf(item) + by
    if (to < 0 || to > rest.length) return
    void library.perform(putBehind, { session: id(), item, behind: rest[to - 1], order: row }, 'quietly')
  }
  /** The rest in the order in which least is changed from what is in hand on. */
  async function reorder() {
    const here = seen.here.value
    const rest = seen.open.value.filter((i) => i.id !== here?.id)
    const first = here ? [{ ...here.shot, after: [], behind: '' }] : []
    const order = await seekShotOrder([...first, ...rest.map((i) => i.shot)], seen.day.value)
    await library.perform(reorderSession, { session: id(), order })
  }
  function check(item: Id, on: boolean) {
    void library.perform(checkSession, { session: id(), item, on }, 'quietly')
  }
  return {
    go,
    pause,
    take,
    off,
    turn,
    to: (item: Id) => library.perform(turnTo, { session: id(), item }, 'quietly'),
    move,
    reorder,
    check,
    /** The next thing to look at that is not ticked: before the first shot, then before striking. */
    checkNext: () => {
      const list = session().run.kind === 'running' ? seen.after.value : seen.before.value
      const next = list.find((c) => !c.on && !c.known)
      if (next) check(next.id, true)
    },
    note: (text: string) => library.perform(noteForEdit, { session: id(), text }),
    add: (text: string, episode: Id | undefined) =>
      library.perform(addShot, { session: id(), text, episode, like: seen.here.value?.id }),
    strike: () => library.perform(strikeSession, { session: id() }),
  }
}

export type SessionDeeds = ReturnType<typeof useSessionDeeds>
