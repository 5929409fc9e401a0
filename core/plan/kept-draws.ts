import type { Id } from '../records'
import { manyDraws, manyNormals, seedOf } from './chance'

/** What the numbers of a forecast depend on: its seed, how many draws, and the share of days that are lost. */
interface Drawing {
  seed: string
  draws: number
  lost: number
}

/** How many tasks' numbers are kept from one forecast to the next. */
const most = 1000
const known = new Map<string, Float64Array>()

/** A task's normal numbers; they depend on the seed and its id alone, so that the next forecast finds them. */
export function normalsOf(id: Id, { seed, draws }: Drawing): Float64Array {
  const key = `${seed} ${id}`
  const found = known.get(key)
  if (found?.length === draws) return found
  if (known.size >= most) known.clear()
  const made = manyNormals(seedOf(key), draws)
  known.set(key, made)
  return made
}

const lostBy = new Map<string, Uint32Array>()

/** The draws that lose a day, by its number; kept as a task's numbers are. */
export function losing(day: number, { seed, draws, lost }: Drawing): Uint32Array {
  const key = `${seed} ${day} ${draws} ${lost}`
  const found = lostBy.get(key)
  if (found) return found
  if (lostBy.size >= most) lostBy.clear()
  const drawn = manyDraws(seedOf(`${seed} day ${day}`), draws)
  const made: number[] = []
  for (let d = 0; d < draws; d++) if ((drawn[d] ?? 1) < lost) made.push(d)
  const all = Uint32Array.from(made)
  lostBy.set(key, all)
  return all
}
