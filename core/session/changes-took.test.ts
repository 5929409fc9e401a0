import { usualCosts } from '../plan/shots'
import type { Session } from '../records'
import { changesTook } from './changes-took'
import { shotFrom } from './items'

const at = (minute: number) => new Date(Date.UTC(2026, 10, 24, 9, minute)).toISOString()
/** A session in which things were in hand one behind the other, for so many minutes each. */
function filmed(...went: [of: string, minutes: number][]): Pick<Session, 'stretches'> {
  let minute = 0
  return {
    stretches: went.map(([of, minutes]) => {
      const from = at(minute)
      minute += minutes
      return { kind: of === '' ? 'break' : 'done', of, from, to: at(minute) }
    }),
  }
}
const shots = new Map(
  [
    shotFrom('wide', { place: 'Bench', light: 'window' }, 10),
    shotFrom('hands', { place: 'Bench', light: 'window' }, 10),
    shotFrom('night', { place: 'Bench', light: 'lamp' }, 10),
    shotFrom('blink', { place: 'Bench', light: 'window' }, 0),
    shotFrom('quay', { place: 'Quay', light: 'day' }, 10),
  ].map((shot) => [shot.id, shot]),
)
const took = (...went: [of: string, minutes: number][]) => changesTook(filmed(...went), shots, usualCosts)

test('what a shot took beyond filming is its change; filming counts as quick as where nothing was changed', () => {
  expect(took(['wide', 10], ['night', 24])).toEqual({ light: 14 })
  // The shot without a change took twice its time, so the other one's filming did too.
  expect(took(['wide', 30], ['hands', 20], ['night', 34])).toEqual({ light: 14 })
  expect(took(['wide', 10], ['night', 8])).toEqual({ light: 0 })
  // Where no time was given to what was filmed so, it says nothing of how quick that is.
  expect(took(['wide', 10], ['blink', 3], ['night', 24])).toEqual({ light: 14 })
})

test('several changes at once share it as they count till now', () => {
  // Going elsewhere counts 15, lighting anew 10.
  expect(took(['wide', 10], ['quay', 60])).toEqual({ place: 30, light: 20 })
  const free = { ...usualCosts, place: 0, light: 0 }
  expect(changesTook(filmed(['wide', 10], ['quay', 60]), shots, free)).toEqual({ place: 25, light: 25 })
})

test('of several the mean is taken, without breaks', () => {
  const stretches = filmed(['wide', 10], ['night', 20], ['hands', 40])
  const [, , last] = stretches.stretches
  const rest = { kind: 'break' as const, of: '', from: last?.from ?? '', to: at(40) }
  const session = { stretches: [...stretches.stretches, rest] }
  expect(changesTook(stretches, shots, usualCosts)).toEqual({ light: 20 })
  expect(changesTook(session, shots, usualCosts)).toEqual({ light: 15 })
})

test('what was left at once, come back to, ticked when long got, or forgotten says nothing', () => {
  expect(took(['wide', 10])).toEqual({})
  expect(took(['wide', 10], ['night', 2], ['hands', 12])).toEqual({})
  expect(took(['wide', 10], ['night', 20], ['wide', 15])).toEqual({})
  expect(took(['wide', 10], ['elsewhere', 20], ['night', 20])).toEqual({})
  expect(took(['wide', 10], ['night', 300])).toEqual({})
  // Clearing up after the last one is no change of it.
  expect(took(['wide', 10], ['night', 20], ['night', 45])).toEqual({ light: 10 })
})
