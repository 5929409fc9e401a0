import type { ChangeMinutes, Id, Session } from '../records'
import { changeBetween, type Shot } from '../plan/shots'
import { sessionKinds } from './kinds'
import type { Item } from './items'

const isAlike = (a: Shot, b: Shot) =>
  a.place === b.place && a.framing === b.framing && a.light === b.light && a.clothes === b.clothes

/** “Bench, close, window”; what nobody said is left out. */
export const setUpName = (s: Shot): string =>
  [s.place, s.framing, s.light, s.clothes].filter((p) => p !== '').join(', ')

/**
 * The shots of a session as their order is sought: what the hand has put in the session stands there, and what it has
 * put within a script as long as nothing else was put at the same place.
 */
export function shotsToOrder(session: Session, items: readonly Item[]): Shot[] {
  const ids = new Set(items.map((i) => i.id))
  const taken = new Set(Object.values(session.behind))
  return items.map(({ id, shot }) => {
    const own = session.behind[id]
    const inScript = shot.behind !== undefined && shot.behind !== '' && ids.has(shot.behind)
    const behind = own ?? (inScript && !taken.has(shot.behind ?? '') ? shot.behind : undefined)
    return { ...shot, behind }
  })
}

/** Items in an order of ids; what is not in it stands behind the last that is filmed the same way, else at the end. */
export function inOrder(items: readonly Item[], order: readonly Id[]): Item[] {
  const byId = new Map(items.map((i) => [i.id, i]))
  const row = order.flatMap((id) => byId.get(id) ?? [])
  const there = new Set(row.map((i) => i.id))
  for (const item of items) {
    if (there.has(item.id)) continue
    const at = item.kind === 'step' ? -1 : row.findLastIndex((i) => isAlike(i.shot, item.shot))
    row.splice(at < 0 ? row.length : at + 1, 0, item)
  }
  return row
}

/** Whether the order of a session is sought by what is changed between shots. */
export function isSought(session: Session): boolean {
  return sessionKinds[session.kind].items === 'shots' && session.order.length === 0
}

/** Things got one behind the other without changing anything. */
export interface SetUp {
  name: string
  items: Item[]
  minutes: number
  got: number
  /** Minutes that changing to it costs; 0 for the first. */
  change: number
}

/** Items in their order, by set-up; where nothing is set up between them, by episode. */
export function bySetUp(
  items: readonly Item[],
  costs: ChangeMinutes,
  names: (episode: Id) => string,
): SetUp[] {
  const rows: SetUp[] = []
  let last: Item | undefined
  for (const item of items) {
    const isShot = item.kind !== 'step' && item.kind !== 'section'
    const goesOn = last && (isShot ? isAlike(last.shot, item.shot) : last.episode === item.episode)
    if (!goesOn) {
      const name = isShot ? setUpName(item.shot) : names(item.episode ?? '')
      const change = last && isShot ? changeBetween(last.shot, item.shot, costs) : 0
      rows.push({ name, items: [], minutes: 0, got: 0, change })
    }
    const here = rows.at(-1)
    if (here) {
      here.items.push(item)
      here.minutes += item.shot.minutes
      if (item.got) here.got++
    }
    last = item
  }
  return rows
}
