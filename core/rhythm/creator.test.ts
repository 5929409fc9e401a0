import { creatorZone, dayIn } from './creator'

const show = (id: string, zone: string, createdAt: string) => ({ id, zone, createdAt })

describe('the creator’s zone', () => {
  const first = show('b', 'America/Chicago', '2026-01-02T00:00:00.000Z')
  const second = show('a', 'Europe/Lisbon', '2026-03-01T00:00:00.000Z')

  test('is that of the show that was made first, in whatever order they are read', () => {
    expect(creatorZone([first, second])).toBe('America/Chicago')
    expect(creatorZone([second, first])).toBe('America/Chicago')
  })

  test('is told by the id where two were made at once, and by the browser while there is none', () => {
    const twin = show('a', 'Asia/Tokyo', first.createdAt)
    expect([creatorZone([first, twin]), creatorZone([twin, first])]).toEqual(['Asia/Tokyo', 'Asia/Tokyo'])
    expect([creatorZone([]), creatorZone([], 'Asia/Tokyo')]).toEqual(['UTC', 'Asia/Tokyo'])
  })

  test('makes the day of a moment: eight in the evening in Chicago is not the next day', () => {
    const evening = '2026-11-25T02:00:00.000Z'
    expect([dayIn(evening, 'America/Chicago'), dayIn(evening, 'UTC')]).toEqual(['2026-11-24', '2026-11-25'])
  })
})
