import { freshSettings } from '../commands/settings/fresh-settings'
import {
  exampleAt,
  exampleEpisode,
  exampleRecords,
  exampleScript,
  exampleShow,
  exampleStep,
  refusalOf,
  valueOf,
} from '../examples'
import { JournalLine, tableNames, tables, type Rows } from '.'
import { asVersion4, tablesAsVersion4 } from './as-version-4'
import { migrate } from './migrations'
import { schemaVersion } from './version'

const stamps = { createdAt: exampleAt, updatedAt: exampleAt }
const ways = {
  1: (t: Record<string, unknown[]>) => ({ ...t, shows: [...(t['shows'] ?? []), 'two'] }),
  2: (t: Record<string, unknown[]>) => ({ ...t, shows: [...(t['shows'] ?? []), 'three'] }),
}

describe('migrations', () => {
  test('go one version at a time, in order', () => {
    expect(valueOf(migrate({ shows: ['one'] }, 1, ways, 3))).toEqual({ shows: ['one', 'two', 'three'] })
    expect(valueOf(migrate({ shows: ['one'] }, 2, ways, 3))).toEqual({ shows: ['one', 'three'] })
  })

  test('leave records of this version as they are', () => {
    const tables = { shows: ['one'] }
    expect(valueOf(migrate(tables, schemaVersion))).toBe(tables)
  })

  test('from version 1: an episode gets what is known of ideas, in the tables and in the journal; what undo needs stays right', () => {
    const { idea, ...first } = exampleEpisode({ note: 'kept' })
    const { fields, ...show } = exampleShow()
    const { weights, views, away, exceptions, setup, preferred, ...settings } = freshSettings(exampleAt)
    const { blocks, ...step } = exampleStep({ id: 's' })
    const line = {
      seq: 1,
      at: exampleAt,
      sentence: 'Kept',
      about: [],
      state: 'done',
      tab: 't',
      changes: [
        { table: 'episodes', id: first.id, after: asVersion4('episodes', first) },
        { table: 'shows', id: show.id, before: show, after: show },
      ],
    }
    const now = valueOf(
      migrate(
        {
          episodes: [asVersion4('episodes', first)],
          shows: [show],
          settings: [settings],
          steps: [asVersion4('steps', step)],
          journal: [line, { ...line, changes: [] }],
        },
        1,
      ),
    )
    expect(tables.episodes.schema.parse(now['episodes']?.[0])).toEqual({ ...first, idea })
    expect(tables.shows.schema.parse(now['shows']?.[0])).toEqual({ ...show, fields })
    expect(tables.settings.schema.parse(now['settings']?.[0])).toEqual({
      ...settings,
      weights,
      views,
      away,
      exceptions,
      setup,
      preferred,
    })
    expect(tables.steps.schema.parse(now['steps']?.[0])).toEqual({ ...step, blocks })
    for (const table of ['keywords', 'standing', 'busy', 'reservations', 'launches'])
      expect(now[table]).toEqual([])
    expect(now['journal']?.map((l) => JournalLine.parse(l).changes.length)).toEqual([2, 0])
  })

  test('from version 4: which form a record has is said under one name, in tables, in what undo needs and in what was set aside', () => {
    const now = {
      episodes: [
        exampleEpisode({ place: { kind: 'own', day: '2026-12-03', time: '17:00' } }),
        exampleEpisode({ id: 'two', nature: { kind: 'topical', notBefore: '2026-12-01' } }),
      ],
      steps: [exampleStep({ id: 's', lead: { kind: 'ahead', step: 'other', days: 2 } })],
      recipes: [...exampleRecords().recipes.values()].map((r): typeof r => ({
        ...r,
        follow: [
          {
            id: 'f',
            when: { kind: 'lit', stage: 'film' },
            then: { kind: 'hand', line: 'cut', to: 'Ines' },
          },
        ],
      })),
      standing: [
        {
          ...stamps,
          id: 'letters',
          name: 'Letters',
          kind: 'admin',
          minutes: 30,
          when: { kind: 'once', day: '2026-12-01' },
          skipped: [],
          done: [],
        },
      ],
      reservations: [
        {
          ...stamps,
          id: 'kept',
          show: 'show',
          name: 'Kelpline Rope',
          kind: 'sponsor',
          kept: { kind: 'deal', perMonth: 1, from: '2026-12-01' },
          note: '',
        },
      ],
      settings: [
        {
          ...freshSettings(exampleAt),
          views: [
            {
              id: 'v',
              name: 'Talks',
              layout: 'list',
              columns: [],
              sort: { by: 'title', down: false },
              group: '',
              where: {
                kind: 'group',
                join: 'all',
                of: [
                  { kind: 'test', field: 'show', how: 'is', value: 'Harbour Hours' },
                  { kind: 'group', join: 'any', of: [] },
                ],
              },
              words: '',
            },
          ],
        },
      ],
    } satisfies Partial<Rows>
    const was = tablesAsVersion4(now)
    expect(was['reservations']?.[0]).toMatchObject({ is: 'sponsor', kept: { by: 'deal' } })
    expect(was['settings']?.[0]).toMatchObject({
      views: [{ where: { of: [{ is: 'test' }, { is: 'group' }] } }],
    })
    const changes = Object.entries(was).flatMap(([table, rows]) =>
      rows.map((row) => ({ table, id: 'x', before: row, after: row })),
    )
    const aside = [
      { key: 'steps/s', table: 'steps', row: was['steps']?.[0] },
      { key: 'steps/t', table: 'steps', row: { lead: 7, broken: true } },
    ]
    const turned = valueOf(migrate({ ...was, journal: [{ changes }], aside }, 4))
    for (const name of tableNames)
      if (name in now) {
        expect(turned[name]).toEqual(Reflect.get(now, name))
        for (const row of turned[name] ?? []) tables[name].schema.parse(row)
      }
    expect(turned['journal']).toEqual([
      {
        changes: Object.entries(now).flatMap(([table, rows]) =>
          rows.map((row) => ({ table, id: 'x', before: row, after: row })),
        ),
      },
    ])
    expect(turned['aside']).toEqual([{ ...aside[0], row: now.steps[0] }, aside[1]])
  })

  test('from version 5: a shot may follow several, in the table and in the journal; damaged rows stay as they are', () => {
    const script = (after: unknown) => ({
      ...exampleScript({ Hook: ['The plane.'] }),
      sections: [{ id: 'h', beats: [{ id: 'b', cues: [{ id: 'c', shot: { place: 'Bench', after } }] }] }],
    })
    const odd = { id: 'x', sections: [{ beats: 'none' }, 7] }
    const was = script('other')
    const journal = [{ changes: [{ table: 'scripts', id: 'episode', before: was, after: was }] }]
    const now = valueOf(migrate({ scripts: [was, odd], journal }, 5))
    expect(now['scripts']).toEqual([script(['other']), odd])
    expect(now['journal']).toMatchObject([{ changes: [{ before: script(['other']) }] }])
    expect(now['sessions']).toEqual([])
  })

  test('from version 9: the one thing to look at again is the first of several, also in what undo needs', () => {
    const episode = exampleEpisode({ id: 'e' })
    const old = { ...episode, again: { on: '2027-11-24', what: 'a price' } }
    const change = { table: 'episodes', id: 'e', before: episode, after: old }
    const line = { seq: 1, at: exampleAt, sentence: 'Noted', about: [], state: 'done', tab: 't' }
    const now = valueOf(
      migrate({ episodes: [old, episode, 'damaged'], journal: [{ ...line, changes: [change] }] }, 9),
    )
    const kept = { ...episode, facts: [{ id: 'e-again', on: '2027-11-24', what: 'a price' }] }
    expect(now['episodes']).toEqual([kept, episode, 'damaged'])
    const unsaid = { ...old, again: { on: '2027-11-24', what: ' ' } }
    const [said] = valueOf(migrate({ episodes: [unsaid] }, 9))['episodes'] ?? []
    expect(tables.episodes.schema.safeParse(said).success).toBe(true)
    expect(tables.episodes.schema.safeParse(kept).success).toBe(true)
    expect(now['journal']).toMatchObject([{ changes: [{ before: episode, after: kept }] }])
  })

  test('refuse newer ones, broken versions and missing ways', () => {
    expect(refusalOf(migrate({}, schemaVersion + 1))).toMatch(/newer Lamp Reel/)
    expect(refusalOf(migrate({}, 0))).toMatch(/not one this program ever wrote/)
    expect(refusalOf(migrate({}, 1.5))).toMatch(/not one/)
    expect(refusalOf(migrate({}, 1, {}, 2))).toMatch(/no way from records of version 1/)
  })
})
