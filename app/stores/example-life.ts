import fc from 'fast-check'
import { valueOf, exampleNow } from '@core/examples'
import { withChanges, type Context } from '@core/commands/change'
import { withFollowOns } from '@core/commands/follow'
import { commandNames, doDeed } from '@core/commands/random-deeds'
import type { Records } from '@core/records'
import type { deskThatDoes } from './example-desk'
import { runs } from '@core/runs'

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

/** How many lives are lived through a screen: few in every run, many where that is asked for. */
const lives = runs(9)

/** A screen under test: the desk at which it stands, and its end. */
interface Lived {
  desk: ReturnType<typeof deskThatDoes>
  end: () => void
}

/**
 * Lives random deeds of the whole program through a screen and looks at it after each; `look` gives back how much it
 * looked at, of which there must be enough in a life. Test support.
 */
export function afterAnyDeeds<L extends Lived>(
  open: () => L,
  look: (life: L) => number,
  { seed, enough }: { seed: number; enough: number },
): void {
  let looked = 0
  fc.assert(
    fc.property(someDeeds, (row) => {
      const life = open()
      life.desk.moment.now = liveThrough(row, life.desk.library.records, (records) => {
        life.desk.see(records)
        looked += look(life)
      })
      looked += look(life)
      life.end()
    }),
    { numRuns: lives, seed, endOnFailure: true },
  )
  expect(looked).toBeGreaterThan(enough * lives)
}

/**
 * Does random things of a screen itself, by their kinds, a minute apart, and looks at it after each; at the end undo takes
 * all of it back. Test support.
 */
export async function andAllOfItBack<L extends Lived>(
  open: () => L,
  kinds: readonly string[],
  act: (life: L, kind: string, n: number) => Promise<void>,
  look: (life: L) => unknown,
  { seed, times = 1 }: { seed: number; times?: number },
): Promise<void> {
  const acts = fc.array(fc.record({ kind: fc.constantFrom(...kinds), n: fc.nat(60) }), {
    minLength: 8,
    maxLength: 30,
  })
  await fc.assert(
    fc.asyncProperty(acts, async (row) => {
      const life = open()
      const before = life.desk.library.records
      for (const { kind, n } of row) {
        life.desk.pass(1)
        await act(life, kind, n)
        look(life)
      }
      while (life.desk.undo());
      expect(life.desk.library.records).toEqual(before)
      life.end()
    }),
    { numRuns: lives * times, seed, endOnFailure: true },
  )
}
