import {
  after,
  exampleAt,
  exampleContext,
  exampleEpisode,
  exampleNow,
  exampleRecords,
  exampleShow,
  refusalOf,
  valueOf,
} from '../../examples'
import { withChanges, inverse } from '../change'
import type { IdeaMail } from '../../formats/mail'
import { readLines } from '../../formats/lines'
import { rankOf } from '../../ideas/usable'
import type { Episode, Idea } from '../../records'
import { editMany } from './edit-many'
import { jotIdeas } from './jot'
import { keepMail } from './keep-mail'
import { intendForMonth } from './intend-for-month'
import { mergeIdeas } from './merge-ideas'
import { reorderIdea } from './reorder-idea'
import { restIdeas } from './rest-ideas'
import { sortIdeas } from './sort-ideas'
import { addKeyword } from '../keywords/add-keyword'
import { editKeyword } from '../keywords/edit-keyword'
import { importKeywords } from '../keywords/import-keywords'
import { removeKeyword } from '../keywords/remove-keyword'
import { parkEpisode } from '../schedule/park-episode'
import { placeOnSlot } from '../schedule/place-on-slot'
import { placeSeveral } from '../schedule/place-several'

const context = exampleContext()
const idea = (id: string, fields: Partial<Episode> = {}, known: Partial<Idea> = {}): Episode => {
  const e = exampleEpisode({
    id,
    title: id,
    code: `${id.toUpperCase().padEnd(3, 'X')}2`.slice(0, 4),
    ...fields,
  })
  return { ...e, idea: { ...e.idea, ...known } }
}
const get = (records: ReturnType<typeof exampleRecords>, id: string): Episode => {
  const e = records.episodes.get(id)
  if (!e) throw new Error(id)
  return e
}

test('pasted lines are kept in their order with codes of their own, notes, topics and sources', () => {
  const records = after(
    exampleRecords(),
    jotIdeas(
      exampleRecords(),
      { show: 'show', drafts: readLines('# Ropes\n- Tar\n  a note\n- Knots https://k.example') },
      context,
    ),
  )
  const kept = [...records.episodes.values()].sort((a, b) => rankOf(a) - rankOf(b))
  expect(kept.map((e) => e.title)).toEqual(['Tar', 'Knots'])
  expect(kept[0]).toMatchObject({ note: 'a note', topics: ['Ropes'] })
  expect(kept[1]?.idea.sources[0]?.url).toBe('https://k.example')
  expect(new Set(kept.map((e) => e.code)).size).toBe(2)
})

test('mail arrives once however often it is handed over, also when it was let go meanwhile', () => {
  const mail: IdeaMail[] = [
    { kind: 'jotted', id: 'phone-0001', at: exampleAt, line: 'From the quay', note: '', url: '', show: '' },
    {
      kind: 'wish',
      id: 'wish-0001',
      at: exampleAt,
      line: 'Knots, please',
      url: 'https://k.example',
      show: 'gone',
      name: 'Mara',
      mail: 'mara@post.example',
      tell: true,
    },
  ]
  let records = after(
    exampleRecords(),
    keepMail(exampleRecords(), { show: 'show', mail: [...mail, ...mail] }, context),
  )
  expect([...records.episodes.keys()]).toEqual(['phone-0001', 'wish-0001'])
  expect(get(records, 'wish-0001').idea.asked[0]).toMatchObject({
    name: 'Mara',
    tell: true,
    wish: 'Knots, please',
  })
  records = after(records, mergeIdeas(records, { into: 'wish-0001', from: 'phone-0001' }, context))
  expect(valueOf(keepMail(records, { show: 'show', mail }, context)).changes).toEqual([])
})

test('merging keeps both texts, sources and who asked; the other is let go, not lost; taking it back restores both', () => {
  const asked = { id: 'a', name: 'M', mail: '', tell: true, wish: 'w', at: exampleAt }
  const before = exampleRecords([
    idea(
      'one',
      { note: 'mine', topics: ['A'] },
      { sources: [{ id: 's', text: '', url: 'https://a.example' }] },
    ),
    idea(
      'two',
      { note: 'yours', topics: ['B'], facts: [{ id: 'f', what: 'a price', on: '2027-11-24' }] },
      { asked: [asked], rating: 4, premise: 'p' },
    ),
  ])
  const done = mergeIdeas(before, { into: 'one', from: 'two' }, context)
  const records = after(before, done)
  expect(get(records, 'one')).toMatchObject({
    note: 'mine\ntwo\nyours',
    topics: ['A', 'B'],
    facts: [{ what: 'a price' }],
    idea: { premise: 'p', rating: 4, asked: [asked], sources: [{ url: 'https://a.example' }] },
  })
  expect(get(records, 'two').phase).toEqual({ kind: 'dropped', why: 'merged into “one” (ONE2)' })
  expect(withChanges(records, inverse(valueOf(done).changes)).episodes).toEqual(before.episodes)
  expect(
    refusalOf(
      mergeIdeas(
        exampleRecords([idea('one'), idea('two', { phase: { kind: 'work', since: exampleAt } })]),
        { into: 'one', from: 'two' },
        context,
      ),
    ),
  ).toMatch(/more than an idea/)
})

test('sorting, resting and meaning for a month', () => {
  let records = exampleRecords([idea('one'), idea('two')])
  records = after(records, restIdeas(records, { episodes: ['one'], until: '2026-12-24' }, context))
  expect(get(records, 'one').idea).toMatchObject({ standing: 'unsorted', restUntil: '2026-12-24' })
  expect(refusalOf(restIdeas(records, { episodes: ['one'], until: '2026-11-24' }, context))).toMatch(
    /still to come/,
  )
  records = after(records, sortIdeas(records, { episodes: ['one', 'two'], standing: 'promising' }, context))
  expect(get(records, 'one').idea.restUntil).toBeUndefined()
  expect(
    valueOf(intendForMonth(records, { episodes: ['one', 'two'], month: '2027-03' }, context)).sentence,
  ).toBe('Meant 2 ideas for March 2027')
})

test('several are edited at once; what is in work stays with its show', () => {
  const records = {
    ...exampleRecords([
      idea('one', { topics: ['A'] }),
      idea('two', { phase: { kind: 'work', since: exampleAt } }),
    ]),
  }
  const next = after(
    records,
    editMany(
      records,
      { episodes: ['one', 'two'], edits: { topics: ['B'], without: ['A'], rating: 3, series: 'Winter' } },
      context,
    ),
  )
  expect(get(next, 'one')).toMatchObject({ topics: ['B'], idea: { rating: 3, series: 'Winter' } })
  const other = { ...next, shows: new Map([...next.shows, ['other', exampleShow({ id: 'other' })]]) }
  expect(refusalOf(editMany(other, { episodes: ['one', 'two'], edits: { show: 'other' } }, context))).toMatch(
    /Only ideas can go/,
  )
})

test('the order by hand: between, first, last, and between two of the same moment', () => {
  const at = (n: number) => new Date(exampleNow - n * 1000).toISOString()
  let records = exampleRecords([
    idea('a', { createdAt: at(0) }),
    idea('b', { createdAt: at(1) }),
    idea('c', { createdAt: at(1) }),
    idea('d', { createdAt: at(3) }),
  ])
  const order = () =>
    [...records.episodes.values()]
      .sort((x, y) => rankOf(x) - rankOf(y))
      .map((e) => e.id)
      .join('')
  const move = (episode: string, before?: string, behind?: string) => {
    records = after(records, reorderIdea(records, { episode, before, after: behind }, context))
  }
  expect(order()).toBe('abcd')
  move('d', 'a', 'b')
  expect(order()).toBe('adbc')
  move('c', undefined, 'a')
  expect(order()).toBe('cadb')
  move('a', 'b', undefined)
  expect(order()).toBe('cdba')
  records = exampleRecords([
    idea('x', { createdAt: at(1) }),
    idea('y', { createdAt: at(1) }),
    idea('z', { createdAt: at(5) }),
  ])
  move('z', 'x', 'y')
  expect(order()).toBe('xzy')
})

test('keywords: added once, figures dated, imported over what is there, taken off episodes', () => {
  let records = exampleRecords([idea('one')])
  records = after(records, addKeyword(records, { show: 'show', words: ' Steam bending ' }, context))
  expect(refusalOf(addKeyword(records, { show: 'show', words: 'steam  BENDING' }, context))).toMatch(
    /already/,
  )
  const id = [...records.keywords.keys()][0] ?? ''
  records = after(records, editKeyword(records, { keyword: id, fields: { searches: 900 } }, context))
  expect(records.keywords.get(id)).toMatchObject({ searches: 900, measured: '2026-11-24' })
  const took = importKeywords(
    records,
    {
      show: 'show',
      rows: [
        { words: 'STEAM bending', searches: 1200, notes: '' },
        { words: 'oak', notes: 'n' },
      ],
      measured: '2026-10-01',
    },
    context,
  )
  expect(valueOf(took).sentence).toBe('Took in 2 keywords, 1 of them new')
  records = after(records, took)
  expect(records.keywords.get(id)).toMatchObject({
    words: 'Steam bending',
    searches: 1200,
    measured: '2026-10-01',
  })
  records = { ...records, episodes: new Map([['one', idea('one', {}, { keywords: [id] })]]) }
  expect(get(after(records, removeKeyword(records, { keyword: id }, context)), 'one').idea.keywords).toEqual(
    [],
  )
})

describe('placing several', () => {
  test('fills the next open slots in the order given, keeps natures, and is one step back', () => {
    let records = exampleRecords([
      idea('a'),
      idea('b', { nature: { kind: 'topical', notBefore: '2026-12-10' } }),
      idea('c'),
      idea('there'),
    ])
    records = after(records, placeOnSlot(records, { episode: 'there', day: '2026-12-03' }, context))
    const done = placeSeveral(records, { episodes: ['b', 'a', 'c'] }, context)
    const next = after(records, done)
    const day = (id: string) => {
      const { place } = get(next, id)
      return place.kind === 'slot' ? place.day : ''
    }
    expect([day('a'), day('b'), day('c')]).toEqual(['2026-11-26', '2026-12-10', '2026-12-17'])
    expect(withChanges(next, inverse(valueOf(done).changes)).steps).toEqual(records.steps)
  })
  test('refused for mixed shows and for what fits no slot', () => {
    const records = exampleRecords([
      idea('a'),
      idea('b', { show: 'else' }),
      idea('old', { nature: { kind: 'topical', staleAfter: '2026-01-01' } }),
    ])
    expect(refusalOf(placeSeveral(records, { episodes: ['a', 'b'] }, context))).toMatch(/more than one show/)
    expect(refusalOf(placeSeveral(records, { episodes: ['a', 'old'] }, context))).toMatch(/“old” fits none/)
  })
})

test('parking needs a reason or an episode to follow, and keeps the work', () => {
  let records = exampleRecords([idea('a'), idea('b')])
  records = after(records, placeOnSlot(records, { episode: 'a', day: '2026-12-03' }, context))
  expect(refusalOf(parkEpisode(records, { episode: 'a', why: ' ' }, context))).toMatch(/Say why/)
  expect(refusalOf(parkEpisode(records, { episode: 'a', why: 'x', after: 'a' }, context))).toMatch(
    /for itself/,
  )
  const next = after(records, parkEpisode(records, { episode: 'a', why: 'no oak', after: 'b' }, context))
  expect(get(next, 'a')).toMatchObject({
    phase: { kind: 'parked', why: 'no oak', after: 'b' },
    place: { kind: 'nothing' },
  })
  expect(next.steps).toBe(records.steps)
})
