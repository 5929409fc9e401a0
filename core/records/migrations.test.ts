import { freshSettings } from '../commands/settings/fresh-settings'
import { exampleAt, exampleEpisode, exampleShow, exampleStep, refusalOf, valueOf } from '../examples'
import { JournalLine, tables } from '.'
import { migrate, schemaVersion } from './migrations'

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
        { table: 'episodes', id: first.id, after: first },
        { table: 'shows', id: show.id, before: show, after: show },
      ],
    }
    const now = valueOf(
      migrate(
        {
          episodes: [first],
          shows: [show],
          settings: [settings],
          steps: [step],
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

  test('refuse newer ones, broken versions and missing ways', () => {
    expect(refusalOf(migrate({}, schemaVersion + 1))).toMatch(/newer Lamp Reel/)
    expect(refusalOf(migrate({}, 0))).toMatch(/not one this program ever wrote/)
    expect(refusalOf(migrate({}, 1.5))).toMatch(/not one/)
    expect(refusalOf(migrate({}, 1, {}, 2))).toMatch(/no way from records of version 1/)
  })
})
