import type { PersonMove } from './moves'
import { pressing } from './pressing'

const deal = { kind: 'deal', deal: 'd', move: { who: 'you', what: '', deed: { kind: 'write' } } } as const
const tell = { kind: 'visit', guest: 'Ines', next: 'tell' } as const
const move = (what: string, by: string | undefined, fields: Partial<PersonMove> = {}): PersonMove => ({
  ...{ who: 'you', what, deed: deal },
  ...(by === undefined ? {} : { by }),
  ...fields,
})
const said = (moves: PersonMove[]) =>
  pressing([{ known: { name: 'Kelpline' }, moves }], '2026-11-24').map((p) => p.move.what)

describe('what is owed to guests and sponsors', () => {
  test('is what is due by now or within three days, the longest due first', () => {
    expect(
      said([
        move('later', '2026-11-28'),
        move('soon', '2026-11-27'),
        move('overdue', '2026-11-12'),
        move('today', '2026-11-24', { deed: tell }),
      ]),
    ).toEqual(['overdue', 'today', 'soon'])
  })

  test('leaves out what lies with them, what has no day, and what stands among the work or with helpers', () => {
    expect(
      said([
        move('theirs', '2026-11-20', { who: 'they' }),
        move('some day', undefined, { since: '2026-11-01' }),
        move('a step', '2026-11-20', { deed: { kind: 'step', step: 's' } }),
        move('a cut', '2026-11-20', { deed: { kind: 'job', job: 'j', next: 'look' } }),
      ]),
    ).toEqual([])
  })

  test('goes over everybody', () => {
    const of = (name: string, by: string) => ({ known: { name }, moves: [move(name, by)] })
    const all = pressing([of('Ines', '2026-11-23'), of('Kelpline', '2026-11-22')], '2026-11-24')
    expect(all.map((p) => p.name)).toEqual(['Kelpline', 'Ines'])
  })
})
