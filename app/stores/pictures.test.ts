import { exampleRecords } from '@core/examples'
import type { Id } from '@core/records'
import { exampleDesk } from './example-desk'
import { usePictures } from './pictures'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))

const file = { type: 'image/png', bytes: new Uint8Array([1, 2, 3]) }
const settled = () => new Promise((done) => setTimeout(done, 0))

/** Pictures of a desk whose store has these files; `asked` are the readings, each with what it read. */
function pictures(there: Set<Id>) {
  const asked: Id[][] = []
  const { library } = exampleDesk(exampleRecords([]))
  library.files = (ids) => {
    asked.push([...ids])
    return Promise.resolve(new Map(ids.flatMap((id) => (there.has(id) ? [[id, file] as const] : []))))
  }
  return { library, asked, of: usePictures() }
}

describe('pictures', () => {
  test('asked for at once are read at once, and each once', async () => {
    const { asked, of } = pictures(new Set(['a', 'b']))
    expect(['a', 'b', 'a', undefined].map((id) => of.url(id))).toEqual([
      undefined,
      undefined,
      undefined,
      undefined,
    ])
    await settled()
    expect(asked).toEqual([['a', 'b']])
    expect(of.url('a')).toMatch(/^blob:/)
    expect(of.url('b')).not.toBe(of.url('a'))
    await settled()
    expect(asked).toHaveLength(1)
  })

  test('one that is not there is asked for again only after something was done', async () => {
    const there = new Set<Id>()
    const { library, asked, of } = pictures(there)
    of.url('late')
    await settled()
    of.url('late')
    await settled()
    expect(asked).toEqual([['late']])
    there.add('late')
    library.turns++
    expect(of.url('late')).toBeUndefined()
    await settled()
    expect(of.url('late')).toMatch(/^blob:/)
    expect(asked).toEqual([['late'], ['late']])
  })

  test('forgotten for another world, none is shown from before, also not what was on its way', async () => {
    const { of } = pictures(new Set(['a', 'b']))
    of.url('a')
    await settled()
    of.url('b')
    of.forget()
    await settled()
    expect(of.url('a')).toBeUndefined()
    expect(of.url('b')).toBeUndefined()
  })
})
