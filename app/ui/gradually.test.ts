import { firstRows } from './gradually'

test('the first rows of groups: whole groups, a part of one, none of what comes after', () => {
  const groups = [
    { name: 'bench', items: [1, 2, 3] },
    { name: 'quay', items: [4, 5, 6, 7] },
    { name: 'sea', items: [8] },
  ]
  const shown = (count: number) => firstRows(groups, count).map((s) => [s.group.name, ...s.items])
  expect(shown(5)).toEqual([
    ['bench', 1, 2, 3],
    ['quay', 4, 5],
  ])
  expect(shown(3)).toEqual([['bench', 1, 2, 3]])
  expect(shown(0)).toEqual([])
  expect(shown(99)).toEqual(groups.map((g) => [g.name, ...g.items]))
})
