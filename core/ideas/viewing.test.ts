import { exampleEpisode, exampleRecords, refusalOf, valueOf } from '../examples'
import type { Episode, Group, Idea, Test } from '../records'
import { fieldsOf } from './fields'
import { joinSeveral, splitSeveral } from './field'
import { viewIdeas, matcherFor } from './viewing'

const records = exampleRecords([], 'small', {
  topics: [],
  fields: [
    { id: 'f1', name: 'Mood', kind: 'choice', choices: ['calm', 'wild'] },
    { id: 'f2', name: 'Boat', kind: 'tick', choices: [] },
  ],
})
const fields = fieldsOf({
  shows: records.shows,
  recipes: records.recipes,
  keywords: new Map(),
  launches: new Map(),
  number: () => undefined,
})
const idea = (id: string, fields: Partial<Episode> = {}, known: Partial<Idea> = {}): Episode => {
  const e = exampleEpisode({ id, title: id, ...fields })
  return { ...e, idea: { ...e.idea, ...known } }
}
const is = (field: string, how: Test['how'], value = ''): Test => ({ kind: 'test', field, how, value })
const all = (...of: Group['of']): Group => ({ kind: 'group', join: 'all', of })
const any = (...of: Group['of']): Group => ({ kind: 'group', join: 'any', of })
const today = '2026-11-24'
const field = (name: string) => {
  const f = fields.get(name)
  if (!f) throw new Error(name)
  return f
}

const ideas = [
  idea(
    'a knot',
    { topics: ['Ropes'], createdAt: '2026-11-20T08:00:00.000Z' },
    { rating: 5, standing: 'promising' },
  ),
  idea(
    'b sail',
    { topics: ['Sails'], note: 'tanbark cloth', createdAt: '2026-10-01T08:00:00.000Z' },
    { rating: 2 },
  ),
  idea(
    'c oar',
    { topics: ['Sails', 'Ropes'], createdAt: '2026-09-01T08:00:00.000Z' },
    { own: { f1: 'wild', f2: true } },
  ),
]
const kept = (where: Group) =>
  ideas
    .filter(matcherFor(where, fields, today))
    .map((e) => e.title[0])
    .join('')

test('conditions by all, any and nested', () => {
  expect(kept(all())).toBe('abc')
  expect(kept(all(is('topics', 'has', 'ropes')))).toBe('ac')
  expect(kept(all(is('rating', 'least', '3')))).toBe('a')
  expect(kept(all(is('rating', 'most', '3')))).toBe('b')
  expect(kept(any(is('rating', 'least', '5'), is('note', 'has', 'Tanbark')))).toBe('ab')
  expect(
    kept(all(is('topics', 'lacks', 'Ropes'), any(is('rating', 'is', '2'), is('standing', 'is', 'next')))),
  ).toBe('b')
  expect(
    kept(
      all(
        any(all(is('topics', 'has', 'Sails'), is('rating', 'empty')), is('standing', 'is', 'promising')),
        is('jotted', 'least', '-60'),
      ),
    ),
  ).toBe('a')
  expect(kept(all(is('own:Mood', 'is', 'wild'), is('own:Boat', 'filled')))).toBe('c')
  expect(kept(all(is('jotted', 'most', '2026-10-01')))).toBe('bc')
  expect(kept(all(is('rating', 'least', ''), is('nobody', 'is', 'x')))).toBe('abc')
})

test('sorting: by a field either way with blanks last, by hand; groups with their heads', () => {
  const shown = (sort: { by: string; down: boolean }, group = '') =>
    viewIdeas({ where: all(), sort, group }, ideas, fields, today)
  expect(
    shown({ by: 'rating', down: false })
      .episodes.map((e) => e.title[0])
      .join(''),
  ).toBe('bac')
  expect(
    shown({ by: 'rating', down: true })
      .episodes.map((e) => e.title[0])
      .join(''),
  ).toBe('abc')
  expect(
    shown({ by: 'hand', down: false })
      .episodes.map((e) => e.title[0])
      .join(''),
  ).toBe('abc')
  expect(
    shown({ by: 'title', down: true }, 'topics').rows.map((r) =>
      r.kind === 'head' ? `${r.name} ${r.count}` : r.episode.title[0],
    ),
  ).toEqual(['Ropes 1', 'a', 'Sails 2', 'c', 'b'])
  expect(
    viewIdeas(
      { where: all(), sort: { by: 'hand', down: false }, group: '' },
      ideas,
      fields,
      today,
      new Map([[ideas[1]?.id ?? '', 1]]),
    ).episodes,
  ).toEqual([ideas[1]])
})

test('what was typed is read back by its field, or refused in words', () => {
  const e = ideas[0] ?? idea('x')
  const put = (name: string, text: string) => {
    const f = field(name)
    if (!f.put) throw new Error('derived')
    return f.put(e, text)
  }
  expect(valueOf(put('nature', 'topical from 2026-12-01 until 2026-12-20')).nature).toEqual({
    kind: 'topical',
    notBefore: '2026-12-01',
    staleAfter: '2026-12-20',
  })
  expect(refusalOf(put('nature', 'soon'))).toMatch(/Write evergreen/)
  expect(refusalOf(put('rating', '6'))).toMatch(/1 to 5/)
  expect(valueOf(put('own:Mood', 'calm')).idea.own).toEqual({ f1: 'calm' })
  expect(refusalOf(put('own:Mood', 'sad'))).toMatch(/calm, wild/)
  expect(refusalOf(put('keywords', 'oak'))).toMatch(/keyword table/)
  expect(valueOf(put('topics', joinSeveral(['a;b', 'c']))).topics).toEqual(['a;b', 'c'])
  expect(splitSeveral(joinSeveral(['x', 'y;', 'z']))).toEqual(['x', 'y;', 'z'])
})
