import { exampleAt } from '../examples'
import { fullRecipe, smallRecipe } from '../recipe/starters'
import { lanesOf, rampOf } from './ramp'

test('the ramp of the full recipe: each stage by the last of its steps, never rising', () => {
  expect(rampOf(fullRecipe('r', 'video', exampleAt)).map((r) => [r.name, r.days])).toEqual([
    ['Brief', 20],
    ['Script', 14],
    ['Film', 11],
    ['Edit', 4],
    ['Thumbnail', 2],
    ['Release', 1],
  ])
  expect(rampOf(smallRecipe('r', 'video', exampleAt)).map((r) => r.days)).toEqual([7, 7, 4, 1, 1, 1])
})

test('cards are packed into lanes; what finds none becomes a pin', () => {
  const lanes = lanesOf(
    [
      { id: 'a', from: 0, to: 10 },
      { id: 'b', from: 5, to: 15 },
      { id: 'c', from: 10, to: 20 },
      { id: 'd', from: 8, to: 12 },
    ],
    2,
  )
  expect([...lanes]).toEqual([
    ['a', 0],
    ['b', 1],
    ['c', 0],
    ['d', undefined],
  ])
})
