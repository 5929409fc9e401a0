import { exampleContext, exampleEpisode, exampleRecords, refusalOf, valueOf } from '../examples'
import { withChanges } from '../commands/change'
import { lookedAt, noteFact } from '../commands/facts'
import type { Fact, Records } from '../records'
import { factsOf, factWords, isOutdated, nextLook, outdated, usualDay } from './facts'

const fact = (id: string, on: string, what = id): Fact => ({ id, what, on })
const noted = (records: Records, f: Fact): Records =>
  withChanges(records, valueOf(noteFact(records, { episode: 'episode', fact: f }, exampleContext())).changes)
const facts = (records: Records) => factsOf(records.episodes.get('episode') ?? {})

describe('what may change', () => {
  test('is looked at in the order of its days, and is out of date from its day on', () => {
    const r = [fact('later', '2027-12-01'), fact('sooner', '2026-12-01'), fact('now', '2026-11-24')].reduce(
      noted,
      exampleRecords([exampleEpisode()]),
    )
    expect(facts(r).map((f) => f.id)).toEqual(['now', 'sooner', 'later'])
    const episode = r.episodes.get('episode') ?? {}
    expect(outdated(episode, '2026-11-23')).toEqual([])
    for (const day of ['2026-11-23', '2026-11-24', '2026-12-01'])
      expect(isOutdated(episode, day)).toBe(outdated(episode, day).length > 0)
    expect(isOutdated({}, '2026-12-01')).toBe(false)
    expect(outdated(episode, '2026-11-24').map((f) => f.id)).toEqual(['now'])
    expect(outdated(episode, '2026-12-01').map((f) => f.id)).toEqual(['now', 'sooner'])
  })

  test('is looked at a year after it goes out, or a year from today', () => {
    expect(usualDay('2026-12-03', '2026-11-24')).toBe('2027-12-03')
    expect(usualDay('2026-01-01', '2026-11-24')).toBe('2027-11-24')
    expect(usualDay(undefined, '2026-11-24')).toBe('2027-11-24')
    expect(nextLook('2026-11-24')).toBe('2027-11-24')
  })

  test('is called by the words that are selected, else by the sentence at the caret', () => {
    const text = 'Bolts are bronze. One costs 14 crowns now! Ask first.'
    expect(factWords(text, 18, 37)).toBe('One costs 14 crowns')
    for (const at of [18, 25, 40]) expect(factWords(text, at, at)).toBe('One costs 14 crowns now')
    expect(factWords(text, 3, 3)).toBe('Bolts are bronze')
    expect(factWords('no stop here', 5, 5)).toBe('no stop here')
    const price = 'Ask at the mill. It costs 14.50 a metre.\nAnother line'
    for (const at of [17, 27, 30, 39]) expect(factWords(price, at, at)).toBe('It costs 14.50 a metre')
    expect(factWords(price, price.length, price.length)).toBe('Another line')
    expect(factWords('', 0, 0)).toBe('')
    expect(factWords('x'.repeat(400), 0, 400)).toHaveLength(300)
  })

  test('still true, it is looked at on a later day; taken out, never', () => {
    const r = noted(exampleRecords([exampleEpisode()]), fact('price', '2026-11-20', 'a bolt costs 14'))
    const again = valueOf(
      lookedAt(r, { episode: 'episode', fact: 'price', next: '2027-11-24' }, exampleContext()),
    )
    expect(again.sentence).toBe('Still true, looked at again Wed 24 Nov 2027: a bolt costs 14')
    expect(facts(withChanges(r, again.changes))).toEqual([fact('price', '2027-11-24', 'a bolt costs 14')])
    const out = valueOf(lookedAt(r, { episode: 'episode', fact: 'price', next: undefined }, exampleContext()))
    expect(facts(withChanges(r, out.changes))).toEqual([])
  })

  test('noted under the same id it is changed, not doubled; nothing, too much and too many are refused', () => {
    let r = noted(exampleRecords([exampleEpisode()]), fact('price', '2026-12-01', 'a bolt costs 14'))
    r = noted(r, fact('price', '2026-12-05', ' a bolt costs 15 '))
    expect(facts(r)).toEqual([fact('price', '2026-12-05', 'a bolt costs 15')])
    const note = (f: Fact) => noteFact(r, { episode: 'episode', fact: f }, exampleContext())
    expect(refusalOf(note(fact('x', '2026-12-01', '  ')))).toBe('Say what may change.')
    expect(refusalOf(note(fact('x', '2026-12-01', 'y'.repeat(301))))).toContain('at most 300')
    for (let i = 1; i < 60; i++) r = noted(r, fact(`f${i}`, '2026-12-01'))
    expect(refusalOf(note(fact('one more', '2026-12-01')))).toContain('At most 60')
    expect(valueOf(note(fact('f3', '2026-12-09'))).changes).toHaveLength(1)
    expect(
      refusalOf(lookedAt(r, { episode: 'episode', fact: 'gone', next: undefined }, exampleContext())),
    ).toBe('This is no longer noted in the episode.')
  })
})
