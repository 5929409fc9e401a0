import { exampleEpisode, exampleScript } from '../examples'
import { LibraryIndex, markedPieces, passageOf, textOfSpoken } from './library-index'

const none = new Map()
function index(): LibraryIndex {
  const made = new LibraryIndex()
  made.put(
    exampleEpisode({ id: 'ribs', title: 'Steaming oak ribs', note: 'A kettle does it', topics: ['Hulls'] }),
    none,
    exampleScript({ Hook: ['The lamp is lit. Mind the tide.'] }, 'ribs'),
  )
  made.put(exampleEpisode({ id: 'lamp', title: 'A lamp for the quay' }), none)
  made.put(
    exampleEpisode({ id: 'gone', title: 'Steaming oak ribs again', phase: { kind: 'dropped', why: '' } }),
    none,
  )
  made.ready()
  return made
}

test('search looks in titles, notes and scripts, for all words, the last as a beginning', () => {
  const it = index()
  expect(it.search('kettle').map((f) => f.id)).toEqual(['ribs'])
  expect(it.search('lam').map((f) => f.id)).toEqual(['lamp', 'ribs'])
  expect(it.search('tide')).toEqual([{ id: 'ribs', words: ['tide'], script: true }])
  expect(it.search('oak tide').map((f) => f.id)).toEqual(['ribs'])
  expect(it.search('oak quay')).toEqual([])
  expect(it.search(' ')).toEqual([])
})

test('a change replaces, a removal forgets; what was let go is never like', () => {
  const it = index()
  it.put(exampleEpisode({ id: 'ribs', title: 'Bending ash' }), none)
  expect(it.search('tide')).toEqual([])
  expect(it.search('ash').map((f) => f.id)).toEqual(['ribs'])
  it.remove('ribs')
  expect(it.search('ash')).toEqual([])
  expect(it.like('Steaming oak ribs').map((l) => l.id)).toEqual([])
  expect(index().like('Steam the oak rib', '', 5, new Set(['ribs']))).toEqual([])
})

test('what was heard is found as scripts are; what was made of a script is not there twice', () => {
  const it = index()
  const heard = (made: 'read' | 'script') => ({
    id: 'ribs',
    made,
    captions: [{ from: 0, to: 2, text: 'A periwinkle on the rail.' }],
    createdAt: '2026-11-24T09:00:00.000Z',
    updatedAt: '2026-11-24T09:00:00.000Z',
  })
  it.put(exampleEpisode({ id: 'ribs', title: 'Ribs' }), none, undefined, heard('read'))
  expect(it.search('periwinkle')).toMatchObject([{ id: 'ribs', script: true }])
  expect(passageOf(textOfSpoken(undefined, heard('read')), ['periwinkle'])).toContain('periwinkle')
  it.put(exampleEpisode({ id: 'ribs', title: 'Ribs' }), none, undefined, heard('script'))
  expect(it.search('periwinkle')).toEqual([])
})

test('passages and marks', () => {
  expect(passageOf('One two three the tide is out today', ['tide'])).toContain('tide')
  expect(passageOf('Nothing here', ['tide'])).toBe('')
  expect(markedPieces('The tides at low tide (sunk)', ['tide'])).toEqual([
    { text: 'The ', match: false },
    { text: 'tide', match: true },
    { text: 's at low ', match: false },
    { text: 'tide', match: true },
    { text: ' (sunk)', match: false },
  ])
  expect(markedPieces('a+b', ['+'])[0]?.match).toBe(false)
})
