import fc from 'fast-check'
import { merge3 } from './rebase'

describe('three versions of a record', () => {
  test('fields of one brief typed in two tabs are both kept', () => {
    const base = { brief: { takeaway: '', points: ['', '', ''], description: '' }, title: 'a' }
    const mine = { ...base, brief: { ...base.brief, takeaway: 'mine', points: ['one', '', ''] } }
    const theirs = { ...base, brief: { ...base.brief, description: 'theirs', points: ['', '', 'three'] } }
    expect(merge3(base, mine, theirs)).toEqual({
      brief: { takeaway: 'mine', points: ['one', '', 'three'], description: 'theirs' },
      title: 'a',
    })
  })

  test('lists of things are merged by id: what either added stays, what either took away goes', () => {
    const t = (id: string, text = id) => ({ id, text })
    expect(merge3([t('a'), t('b')], [t('a', 'mine'), t('b'), t('c')], [t('a'), t('d')])).toEqual([
      t('a', 'mine'),
      t('c'),
      t('d'),
    ])
  })

  test('a list that neither had: what either put in it is in it, each once', () => {
    const t = (id: string) => ({ id })
    expect(merge3({}, { list: [t('a'), t('b')] }, { list: [t('b'), t('c')] })).toEqual({
      list: [t('a'), t('b'), t('c')],
    })
    // Where things have no ids, what was put in here holds.
    expect(merge3({}, { list: ['a'] }, { list: ['b', 'c'] })).toEqual({ list: ['a'] })
  })

  test('one side alone changed is that side; the same on both is itself', () => {
    const value = fc.jsonValue({ maxDepth: 3 })
    fc.assert(
      fc.property(value, value, (base, changed) => {
        expect(merge3(base, changed, base)).toEqual(changed)
        expect(merge3(base, base, changed)).toEqual(changed)
        expect(merge3(base, changed, changed)).toEqual(changed)
      }),
    )
  })

  test('nothing that was typed here is lost', () => {
    const record = fc.record({ a: fc.string(), b: fc.string(), c: fc.record({ d: fc.string() }) })
    fc.assert(
      fc.property(record, fc.string(), record, (base, typed, theirs) => {
        const out: unknown = merge3(base, { ...base, a: typed }, theirs)
        expect(out).toMatchObject(typed === base.a ? theirs : { ...theirs, a: typed })
      }),
    )
  })
})
