import fc from 'fast-check'
import { mergePeople, keepPerson, takeCards } from '../commands/people'
import {
  after,
  exampleContext,
  exampleEpisode,
  exampleRecords,
  exampleStep,
  refusalOf,
  valueOf,
} from '../examples'
import { readCards, writeCards } from '../formats/vcard'
import type { Records } from '../records'
import { mayBeSame } from './names'
import { everyone, likelySame } from './people'

const c = exampleContext()
const fields = { name: 'Ines Varga', roles: [], work: 'ferry pilot', ways: [], known: '', note: '' }
const world = (): Records => {
  const episodes = [
    exampleEpisode({ id: 'a', code: 'AB22', guests: ['Ines'], sponsor: 'Kelpline Rope' }),
    exampleEpisode({ id: 'b', code: 'AB23', guests: ['Ines Varga', 'Tomas Ek'] }),
  ]
  const step = exampleStep({
    id: 's',
    episode: 'a',
    owner: 'Pell',
    waiting: { who: 'ines varga', what: 'a portrait', since: '2026-11-19' },
  })
  return { ...exampleRecords(episodes), steps: new Map([['s', step]]) }
}
const names = (r: Records) => everyone(r).map((k) => k.name)

test('whose names stand somewhere are there without a record; a name in other letters is the same', () => {
  const all = everyone(world())
  expect(all.map((k) => [k.name, [...k.roles].join()])).toEqual([
    ['Ines', 'guest'],
    ['Ines Varga', 'guest'],
    ['Kelpline Rope', 'sponsor'],
    ['Pell', 'helper'],
    ['Tomas Ek', 'guest'],
  ])
  expect(all.find((k) => k.name === 'Ines Varga')?.holds.map((s) => s.id)).toEqual(['s'])
  expect(likelySame(all).map((p) => [p.keep.name, p.other.name])).toEqual([['Ines Varga', 'Ines']])
})

test.each([
  ['Ines', 'Ines Varga', true],
  ['I. Varga', 'Ines Varga', true],
  ['Tomas Ek', 'Thomas Ek', true],
  ['Kelpline Rope', 'Kelpline Ropes', true],
  ['Tomas Ek', 'Tomas Er', true],
  ['Ines Varga', 'Ines Varga', false],
  ['Ines Varga', 'Ivo Varga', false],
  ['Anna Holm', 'Tomas Ek', false],
  ['Jo', 'Bo', false],
])('%s and %s may be one: %s', (a, b, may) => {
  expect([mayBeSame(a, b), mayBeSame(b, a)]).toEqual([may, may])
})

test('two become one: episodes name the one, the other name stands for it, and nothing of either is lost', () => {
  let r = world()
  r = after(
    r,
    keepPerson(
      r,
      { fields: { ...fields, ways: [{ id: 'w', kind: 'mail', value: 'ines@ferry.example' }] } },
      c,
    ),
  )
  r = after(r, keepPerson(r, { fields: { ...fields, name: 'Ines', work: '', note: 'Met on the quay' } }, c))
  r = after(r, mergePeople(r, { keep: 'Ines Varga', other: 'Ines' }, c))
  expect(names(r)).toEqual(['Ines Varga', 'Kelpline Rope', 'Pell', 'Tomas Ek'])
  expect(r.episodes.get('a')?.guests).toEqual(['Ines Varga'])
  const [ines] = [...r.people.values()]
  expect(ines).toMatchObject({ also: ['Ines'], work: 'ferry pilot', note: 'Met on the quay' })
  expect(ines?.ways).toHaveLength(1)
  expect(refusalOf(mergePeople(r, { keep: 'Ines', other: 'Ines Varga' }, c))).toBe('They are one already.')
})

test('under a new name somebody stands wherever the old one stood', () => {
  let r = world()
  r = after(r, keepPerson(r, { was: 'Ines', fields: { ...fields, name: 'Ines Vargas' } }, c))
  expect(r.episodes.get('a')?.guests).toEqual(['Ines Vargas'])
  const id = [...r.people.keys()][0] ?? ''
  r = after(r, keepPerson(r, { person: id, fields: { ...fields, name: 'Ines V.' } }, c))
  expect([r.episodes.get('a')?.guests, r.people.get(id)?.also]).toEqual([
    ['Ines V.'],
    ['Ines', 'Ines Vargas'],
  ])
  r = after(r, keepPerson(r, { fields: { ...fields, name: 'Tomas Ek' } }, c))
  expect(refusalOf(keepPerson(r, { person: id, fields: { ...fields, name: 'tomas  ek' } }, c))).toMatch(
    /is there already/,
  )
  expect(refusalOf(keepPerson(r, { fields: { ...fields, name: ' ' } }, c))).toBe('Somebody needs a name.')
  // Kept in another tab meanwhile: it is the same one, not a second under the same name.
  const twice = after(r, keepPerson(r, { was: 'Tomas Ek', fields: { ...fields, name: 'Tomas Ekk' } }, c))
  expect(twice.people.size).toBe(r.people.size)
  expect([...twice.people.values()].filter((p) => [p.name, ...p.also].includes('Tomas Ek'))).toHaveLength(1)
})

test('semicolons, commas and backslashes in a card come back as they were, also before each other and where a line is folded', () => {
  const r = exampleRecords()
  for (const words of ['Sail; Oar', 'A;', ';', 'a\\;b', 'one\\, two; three', `${'long '.repeat(13)}x;y\\`]) {
    const name = `A${words}`
    const kept = after(r, keepPerson(r, { fields: { ...fields, name, note: words, work: words } }, c))
    const cards = valueOf(readCards(writeCards([...kept.people.values()])))
    expect(cards.map((k) => [k.name, k.note, k.work])).toEqual([[name, words, words]])
  }
})

test('cards go out and come back the same, whatever stands in them', () => {
  const text = fc
    .string({ unit: 'grapheme', minLength: 1, maxLength: 60 })
    .map((t) => `A${t.replace(/\s+/gu, ' ').trim()}`)
  fc.assert(
    fc.property(fc.uniqueArray(text, { minLength: 1, maxLength: 4 }), text, (all, note) => {
      let r = exampleRecords()
      for (const name of all) {
        const done = keepPerson(
          r,
          {
            fields: {
              ...fields,
              name,
              note,
              ways: [{ id: 'w', kind: 'phone', value: '+351 555 0100' }],
              zone: 'Europe/Lisbon',
            },
          },
          c,
        )
        if (done.ok) r = after(r, done)
      }
      const people = [...r.people.values()]
      const cards = valueOf(readCards(writeCards(people)))
      expect(cards.map((k) => [k.name, k.note, k.work, k.zone, k.ways[0]?.value])).toEqual(
        people.map((p) => [p.name, p.note.trim(), p.work, p.zone, '+351 555 0100']),
      )
      expect(refusalOf(takeCards(r, { cards, role: 'guest' }, c))).toBe('All of this is kept already.')
    }),
  )
})

test('cards of others are read, older ones too; what is none is refused with its place', () => {
  const old =
    'BEGIN:VCARD\r\nVERSION:3.0\r\nN:Ek;Tomas;;;\r\nEMAIL;TYPE=INTERNET:tomas@light.example\r\nTITLE:lightship\r\n  keeper\r\nEND:VCARD\r\n'
  const firm =
    'BEGIN:VCARD\nVERSION:4.0\nKIND:org\nFN:Kelpline Rope\nTEL;VALUE=uri:tel:+1-555-0100\nEND:VCARD\n'
  const cards = valueOf(readCards(old + firm))
  expect(cards).toMatchObject([
    {
      name: 'Tomas Ek',
      work: 'lightship keeper',
      ways: [{ kind: 'mail', value: 'tomas@light.example' }],
      isFirm: false,
    },
    { name: 'Kelpline Rope', ways: [{ kind: 'phone', value: '+1-555-0100' }], isFirm: true },
  ])
  const r = after(world(), takeCards(world(), { cards, role: 'guest' }, c))
  expect([...r.people.values()].map((p) => [p.name, p.roles.join()])).toEqual([
    ['Tomas Ek', 'guest'],
    ['Kelpline Rope', 'sponsor'],
  ])
  expect(refusalOf(readCards('name,mail\nTomas,x'))).toMatch(/no card in it/)
  expect(refusalOf(readCards(`${firm}BEGIN:VCARD\nFN:Cut off`))).toMatch(/^Card 2: it has no end/)
  expect(refusalOf(readCards('BEGIN:VCARD\nVERSION:4.0\nNOTE:none\nEND:VCARD'))).toMatch(
    /^Card 1: it has no name/,
  )
})
