import fc from 'fast-check'
import { valueOf, exampleNow } from '@core/examples'
import { withChanges, type Context } from '@core/commands/change'
import { withFollowOns } from '@core/commands/follow'
import { commandNames, doDeed } from '@core/commands/random-deeds'
import type { Records } from '@core/records'

/** A row of random deeds, each by name with the seed of its wish. */
export const someDeeds = fc.array(fc.record({ name: fc.constantFrom(...commandNames), seed: fc.nat() }), {
  minLength: 10,
  maxLength: 18,
})

/**
 * Does random deeds on records, one after the other, with what follows from each; tells of each that was not refused. Gives
 * back the moment of the last. Test support.
 */
export function liveThrough(
  row: readonly { name: string; seed: number }[],
  from: Records,
  tell: (records: Records) => void,
): number {
  let records = from
  let now = exampleNow
  let ids = 0
  for (const { name, seed } of row) {
    now += 61_000
    const context: Context = { now, id: () => `new${++ids}` }
    let n = seed
    const next = (most: number) => {
      n = (n * 1_103_515_245 + 12_345) % 2_147_483_648
      return Math.floor((n / 2_147_483_648) * most)
    }
    const result = doDeed(name, { r: records, c: context, n: next })
    if (!result.ok) continue
    records = withChanges(records, withFollowOns(records, valueOf(result), context).changes)
    tell(records)
  }
  return now
}
