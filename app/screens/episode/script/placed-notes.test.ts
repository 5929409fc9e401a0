import { stackedNotes } from './placed-notes'

const words = (top: number) => ({ top, foot: top + 20, right: -40 })

test('notes stand beside their words, and below the one before where there is no room', () => {
  const placed = stackedNotes(
    [
      { id: 'a', words: words(100), height: 22 },
      { id: 'b', words: words(104), height: 22 },
      { id: 'c', words: words(300), height: 22 },
    ],
    0,
  )
  expect([...placed].map(([id, p]) => [id, p.top, p.isMoved])).toEqual([
    ['a', 100, false],
    ['b', 124, true],
    ['c', 300, false],
  ])
  expect(placed.get('b')?.line).toBe('M -40 124 H 0 L 20 136')
})
