import { refusalOf, valueOf } from '../examples'
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

  test('refuse newer ones, broken versions and missing ways', () => {
    expect(refusalOf(migrate({}, schemaVersion + 1))).toMatch(/newer Lamp Reel/)
    expect(refusalOf(migrate({}, 0))).toMatch(/not one this program ever wrote/)
    expect(refusalOf(migrate({}, 1.5))).toMatch(/not one/)
    expect(refusalOf(migrate({}, 1, {}, 2))).toMatch(/no way from records of version 1/)
  })
})
