import { ascending } from 'd3-array'
import type { Day } from '../records'
import { addDays } from '../rhythm/days'
import type { Known } from './people'
import type { PersonMove } from './moves'

/** Days ahead for which Today says what was promised to somebody. */
const soon = 3

/** What the creator owes a guest or a sponsor by now, or within some days. */
export interface Pressing {
  name: string
  move: PersonMove & { by: Day }
}

/**
 * What lies with the creator towards guests and sponsors and is due within three days, the longest due first. Steps and hand-overs
 * are not among it: they stand among the work and with the helpers.
 */
export function pressing(
  people: readonly { known: Pick<Known, 'name'>; moves: readonly PersonMove[] }[],
  today: Day,
): Pressing[] {
  const until = addDays(today, soon)
  return people
    .flatMap(({ known, moves }) =>
      moves.flatMap((move): Pressing[] =>
        move.who === 'you' &&
        move.by !== undefined &&
        move.by <= until &&
        (move.deed.kind === 'visit' || move.deed.kind === 'deal')
          ? [{ name: known.name, move: { ...move, by: move.by } }]
          : [],
      ),
    )
    .sort((a, b) => ascending(a.move.by, b.move.by))
}
