import fc from 'fast-check'
import { firstOutlet } from '../commands/shows/first-outlet'
import { exampleAt, exampleEpisode, exampleShow } from '../examples'
import type { Outlet, When } from '../records'
import { descriptionAt, hashtag, tagsAt, takesPart } from './at-outlet'
import { hangingOn, momentOfThing, sayWhen, scheduledSince, thingName, thingsOf } from './when'

const zone = 'Europe/Lisbon'
const at = Date.parse('2026-11-26T17:00:00.000Z')
const iso = (when: When, of = at, where = zone) => {
  const moment = momentOfThing(when, of, where)
  return moment === undefined ? undefined : new Date(moment).toISOString().slice(0, 16)
}
const outlet = (id: string, fields: Partial<Outlet> = {}): Outlet => ({
  ...firstOutlet(id, 'video', exampleAt),
  ...fields,
})

describe('the moment at an outlet', () => {
  test.each<[When, string]>([
    [{ kind: 'with' }, '2026-11-26T17:00'],
    [{ kind: 'minutes', minutes: 30 }, '2026-11-26T17:30'],
    [{ kind: 'minutes', minutes: -90 }, '2026-11-26T15:30'],
    [{ kind: 'days', days: -1, time: '21:00' }, '2026-11-25T21:00'],
    [{ kind: 'days', days: 2, time: '12:00' }, '2026-11-28T12:00'],
    // Its own Saturdays at nine: the first one that is not before the release.
    [
      { kind: 'rhythm', rule: 'FREQ=WEEKLY;INTERVAL=1;BYDAY=SA', start: '2026-11-07', time: '09:00' },
      '2026-11-28T09:00',
    ],
    // On the very day, but earlier than the release: the next one.
    [
      { kind: 'rhythm', rule: 'FREQ=WEEKLY;INTERVAL=1;BYDAY=TH', start: '2026-11-05', time: '09:00' },
      '2026-12-03T09:00',
    ],
  ])('%j', (when, moment) => {
    expect(iso(when)).toBe(moment)
  })

  test('a local time stays what the clock shows, over the change of the clock', () => {
    // Chicago goes back on Sunday 1 November 2026: noon is 17:00 UTC before it and 18:00 after.
    const friday = Date.parse('2026-10-30T22:00:00.000Z')
    expect(iso({ kind: 'days', days: 0, time: '12:00' }, friday, 'America/Chicago')).toBe('2026-10-30T17:00')
    expect(iso({ kind: 'days', days: 2, time: '12:00' }, friday, 'America/Chicago')).toBe('2026-11-01T18:00')
  })

  test('whatever its rhythm, it is never before the release, and moving the release later never makes it earlier', () => {
    const days = fc.integer({ min: 0, max: 300 })
    const by = fc.constantFrom('MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU')
    fc.assert(
      fc.property(days, days, by, (a, b, weekday) => {
        const when: When = {
          kind: 'rhythm',
          rule: `FREQ=WEEKLY;INTERVAL=1;BYDAY=${weekday}`,
          start: '2026-01-01',
          time: '08:15',
        }
        const [one, other] = [Math.min(a, b), Math.max(a, b)].map((n) => at + n * 86_400_000)
        const [first, second] = [one ?? 0, other ?? 0].map((n) => momentOfThing(when, n, zone) ?? 0)
        expect(first).toBeGreaterThanOrEqual(one ?? 0)
        expect((first ?? 0) - (one ?? 0)).toBeLessThanOrEqual(8 * 86_400_000)
        expect(second).toBeGreaterThanOrEqual(first ?? 0)
      }),
    )
  })
})

describe('what goes out of an episode', () => {
  const show = exampleShow()
  const episode = exampleEpisode({ place: { kind: 'slot', day: '2026-11-26' } })
  const outlets = [
    outlet('site', { name: 'Own site', when: { kind: 'days', days: -1, time: '21:00' } }),
    outlet('video'),
    outlet('cut', {
      thing: 'Excerpt',
      when: { kind: 'days', days: 1, time: '12:00' },
      more: [{ kind: 'days', days: 2, time: '12:00' }],
    }),
  ]

  test('is a thing an outlet, several where it says so, the earliest first', () => {
    expect(
      thingsOf(episode, show, outlets).map((t) => [t.key, thingName(t), new Date(t.at).getUTCDate()]),
    ).toEqual([
      ['site', '', 25],
      ['video', '', 26],
      ['cut', 'Excerpt 1', 27],
      ['cut/1', 'Excerpt 2', 28],
    ])
  })
  test('goes with the release where that moves, but for what was fixed by hand', () => {
    const moved = thingsOf(
      {
        ...episode,
        place: { kind: 'slot', day: '2026-12-03' },
        handed: { cut: { fixed: { day: '2026-11-27', time: '12:00' } } },
      },
      show,
      outlets,
    )
    expect(moved.map((t) => [t.key, t.isFixed, new Date(t.at).toISOString().slice(5, 10)])).toEqual([
      ['cut', true, '11-27'],
      ['site', false, '12-02'],
      ['video', false, '12-03'],
      ['cut/1', false, '12-05'],
    ])
  })
  test('is scheduled no longer once its moment is another: the outlet has the old one', () => {
    const scheduled = '2026-11-24T09:00:00.000Z'
    expect(scheduledSince({ at, handed: { scheduled, going: new Date(at).toISOString() } })).toBe(scheduled)
    expect(
      scheduledSince({ at: at + 60_000, handed: { scheduled, going: new Date(at).toISOString() } }),
    ).toBeUndefined()
    expect(scheduledSince({ at, handed: {} })).toBeUndefined()
  })
  test('says before a move what goes with it and what stays', () => {
    const along = hangingOn(
      {
        ...episode,
        handed: { site: { live: exampleAt }, cut: { fixed: { day: '2026-11-27', time: '12:00' } } },
      },
      show,
      [outlet('outlet'), ...outlets],
    )
    expect(along).toEqual([
      { says: 'Own site 1 day before, 21:00', stays: 'out already' },
      { says: 'Video site with the release', stays: undefined },
      { says: 'Excerpt 1 on Fri 27 Nov 12:00', stays: 'fixed by hand' },
      { says: 'Excerpt 2 2 days after, 12:00', stays: undefined },
    ])
  })
  test('is nothing while there is no release', () => {
    expect(thingsOf({ ...episode, place: { kind: 'nothing' } }, show, outlets)).toEqual([])
  })
})

test('in words', () => {
  expect(sayWhen({ kind: 'minutes', minutes: 30 })).toBe('30 min after')
  expect(sayWhen({ kind: 'days', days: -1, time: '21:00' })).toBe('1 day before, 21:00')
  expect(sayWhen({ kind: 'days', days: 0, time: '21:00' })).toBe('the same day, 21:00')
})

describe('the same words at another outlet', () => {
  const tagged = exampleEpisode({ tags: ['oak ribs', 'boat-building', 'Oak Ribs'] })
  test('hashtags join their words, standing ones first, each once, at most so many', () => {
    const letter = outlet('l', { tagForm: 'hashtags', tagMost: 2, standing: { hashtags: ['tern'] } })
    expect(tagsAt(letter, tagged)).toEqual(['#tern', '#oakRibs'])
    expect(hashtag('Größe 12 mm!')).toBe('#Größe12Mm')
    expect(hashtag('…')).toBe('')
  })
  test('closing lines and hashtags stand below what is said; what is said otherwise stands alone there', () => {
    const letter = outlet('l', { tagForm: 'hashtags', tagMost: 1, standing: { closing: 'Write back.' } })
    expect(descriptionAt(letter, tagged, 'Long words.')).toBe('Long words.\n\nWrite back.\n\n#oakRibs')
    const said = { ...tagged, otherwise: { l: { description: 'Short.' } } }
    expect(descriptionAt(letter, said, 'Long words.')).toBe('Short.\n\nWrite back.\n\n#oakRibs')
    expect(descriptionAt(outlet('v'), said, 'Long words.')).toBe('Long words.')
  })
  test('an outlet takes everything unless it says what; what it requires it takes', () => {
    expect(takesPart(outlet('v'), 'links')).toBe(true)
    const feed = outlet('f', { takes: ['title'], required: ['description'] })
    expect((['title', 'description', 'tags'] as const).map((p) => takesPart(feed, p))).toEqual([
      true,
      true,
      false,
    ])
  })
})
