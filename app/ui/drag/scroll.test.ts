import { towards } from './scroll'

test('near an end of a stretch it goes on that way; in the middle, outside and in a narrow one it stays', () => {
  expect([0, 39, 41, 300, 359, 361, 400].map((at) => towards(at, 0, 400))).toEqual([-1, -1, 0, 0, 0, 1, 1])
  expect([towards(-5, 0, 400), towards(405, 0, 400), towards(3, 0, 100)]).toEqual([0, 0, 0])
})
