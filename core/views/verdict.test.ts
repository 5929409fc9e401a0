import fc from 'fast-check'
import type { Outlook } from '../plan/outlook'
import { sayVerdict, verdictOf, type VerdictOf } from './verdict'

const stage = (name: string, late?: number) => ({
  stage: { name },
  lamp: { state: 'open' as const, share: 0, ...(late ? { late } : {}) },
})
const standing = (late?: number): VerdictOf['standing'] => ({
  ...{ ready: false, scheduled: false, missing: [], stages: [stage('Script'), stage('Film', late)] },
  ...(late ? { late } : {}),
})
const of = (
  is: Outlook['is'] | undefined,
  days?: number,
  late?: number,
  decides = 'depends on “First cut”',
) => sayVerdict(verdictOf({ standing: standing(late), outlook: is && { is }, days, decides }))

test('one sentence reconciles what is late, the days there are, and the chance', () => {
  expect(of('on track', 6)).toBe('on track, 6 days to spare')
  expect(of('on track', 6, 2)).toBe('late on Film, still on track')
  expect(of('tight', 0)).toBe('tight: depends on “First cut”')
  expect(of('unlikely', -1, 2)).toBe('unlikely: 1 day short, depends on “First cut”')
  expect(of('unlikely', 3)).toBe('unlikely: depends on “First cut”')
  expect(of('unlikely', 3, 2)).toBe('unlikely: late on Film, depends on “First cut”')
  expect(of('unlikely', undefined, undefined, '')).toBe('unlikely')
  expect(of(undefined, 0)).toBe('ready on the day')
  expect(of(undefined, -2)).toBe('2 days short')
})

test('the word is that of the chance alone, and no days to spare stand beside a doubt, none that are short beside a hope', () => {
  const is = fc.constantFrom<Outlook['is'][]>('on track', 'tight', 'unlikely', 'too far ahead')
  fc.assert(
    fc.property(is, fc.option(fc.integer({ min: -9, max: 9 })), fc.nat(5), (is, days, late) => {
      const said = of(is, days ?? undefined, late || undefined)
      expect(said).toContain(is)
      if (is === 'tight' || is === 'unlikely') expect(said).not.toMatch(/spare/)
      else expect(said).not.toMatch(/short/)
    }),
  )
})

test('what is ready or scheduled is nothing but that', () => {
  const ready = { ...standing(2), ready: true }
  const decides = { outlook: { is: 'unlikely' as const }, days: -2, decides: 'First cut' }
  expect(sayVerdict(verdictOf({ standing: ready, ...decides }))).toBe('ready')
  expect(sayVerdict(verdictOf({ standing: { ...standing(), scheduled: true }, ...decides }))).toBe(
    'scheduled, 0 missing',
  )
})
