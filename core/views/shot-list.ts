import type { Id } from '../records'
import { counted, type ShotDay, type ShotOrder } from '../plan/shots'
import { bySetUp, inOrder, type SetUp } from '../session/order'
import type { Item } from '../session/items'

/** Shots in the order in which they are filmed, by set-up, and what that saves against the order they came in. */
export interface ShotList {
  setUps: SetUp[]
  now: ShotOrder
  before: ShotOrder
}

/** Shots by set-up in an order that was found for them (`engine` 13). */
export function shotList(items: readonly Item[], order: readonly Id[], day: ShotDay): ShotList {
  const row = inOrder(items, order)
  return {
    setUps: bySetUp(row, day.costs, () => ''),
    now: counted(
      row.map((i) => i.shot),
      day,
    ),
    before: counted(
      items.map((i) => i.shot),
      day,
    ),
  }
}
