import type { Lamp } from '@core/recipe/progress'
import type { PartAt } from '@core/release/part-at'

/** A field as a lamp: there, begun, to make; what an outlet refuses carries a flag. */
export function lampOfPart(part: PartAt, waits = false): Lamp {
  if (part.state === 'there') return { state: 'lit', share: 1 }
  if (waits) return { state: 'waiting', share: 0 }
  if (part.state === 'begun') return { state: 'working', share: 0.5 }
  if (part.state === 'failing') return { state: 'open', share: 0, late: 1 }
  return { state: part.isRequired ? 'open' : 'dark', share: 0 }
}
