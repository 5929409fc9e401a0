import { ok } from '../result'
import { after, exampleContext, exampleEpisode, exampleRecords, refusalOf, valueOf } from '../examples'
import type { Episode, Records } from '../records'
import { changeRhythm } from '../commands/shows/change-rhythm'
import { withRhythm } from '../commands/shows/new-rhythm'
import { keepSlots, removeReservation } from '../commands/schedule/keep-slots'
import { putLaunch, removeLaunch } from '../commands/schedule/launch'
import { reservedBetween } from '../commands/schedule/kept'
import { supportLaunch } from '../commands/schedule/support-launch'
import { placeOnSlot } from '../commands/schedule/place-on-slot'
import { launchStanding, type Supporter } from '../plan/launch'
import { extraRhythmOn, datesOf, sayRhythm, timeOn } from './rule'
import { openSlots, slotsOf } from './slots'

const context = exampleContext()
const records = exampleRecords([exampleEpisode(), exampleEpisode({ id: 'other', title: 'Pine tar' })])
const show = (r: Records) => {
  const found = r.shows.get('show')
  if (!found) throw new Error('no show')
  return found
}
const kept = (r: Records, from = '2026-12-01', to = '2026-12-31') =>
  [...reservedBetween(r, show(r), from, to)].map(([day, x]) => `${day} ${x.reservation.name}`).sort()
const withEpisode = (r: Records, id: string, fields: Partial<Episode>): Records => ({
  ...r,
  episodes: new Map([...r.episodes].map(([key, e]) => [key, key === id ? { ...e, ...fields } : e])),
})
const one = after(
  records,
  keepSlots(
    records,
    {
      show: 'show',
      name: 'Kelpline Rope',
      kind: 'sponsor',
      kept: { kind: 'slot', day: '2026-12-17' },
      note: ' 45 seconds ',
    },
    context,
  ),
)

describe('a slot kept before there is an episode', () => {
  test('is found by its date, with its note; a second one takes its place', () => {
    expect(kept(one)).toEqual(['2026-12-17 Kelpline Rope'])
    expect([...one.reservations.values()][0]?.note).toBe('45 seconds')
    const two = after(
      one,
      keepSlots(
        one,
        {
          show: 'show',
          name: 'Winter season',
          kind: 'season',
          kept: { kind: 'slot', day: '2026-12-17' },
          note: '',
        },
        context,
      ),
    )
    expect(kept(two)).toEqual(['2026-12-17 Winter season'])
    expect(
      refusalOf(
        keepSlots(
          records,
          { show: 'show', name: ' ', kind: 'sponsor', kept: { kind: 'slot', day: '2026-12-17' }, note: '' },
          context,
        ),
      ),
    ).toMatch(/for whom or for what/)
  })

  test('gives its read to an episode without one, and warns where it has another’s', () => {
    const warned = valueOf(placeOnSlot(one, { episode: 'episode', day: '2026-12-17' }, context))
    expect(warned.sentence).toBe(
      'Put “Steaming oak ribs” on Thu 17 Dec, 17:00, with the read for Kelpline Rope',
    )
    expect(after(one, ok(warned)).episodes.get('episode')?.sponsor).toBe('Kelpline Rope')
    const other = withEpisode(one, 'episode', { sponsor: 'Brightwork Varnish' })
    expect(valueOf(placeOnSlot(other, { episode: 'episode', day: '2026-12-17' }, context)).sentence).toMatch(
      /It is kept for Kelpline Rope, and this has no read for them/,
    )
    const read = withEpisode(one, 'episode', { sponsor: 'kelpline rope ' })
    expect(valueOf(placeOnSlot(read, { episode: 'episode', day: '2026-12-17' }, context)).sentence).toBe(
      'Put “Steaming oak ribs” on Thu 17 Dec, 17:00',
    )
    const season = after(
      records,
      keepSlots(
        records,
        { show: 'show', name: 'Winter', kind: 'season', kept: { kind: 'slot', day: '2026-12-17' }, note: '' },
        context,
      ),
    )
    expect(valueOf(placeOnSlot(season, { episode: 'episode', day: '2026-12-17' }, context)).sentence).toMatch(
      /belongs to another series/,
    )
  })

  test('moves along when a change of rhythm takes its date', () => {
    const fridays = after(
      one,
      changeRhythm(
        one,
        {
          show: 'show',
          rhythm: { kind: 'week', every: 1, weekdays: [4] },
          time: '17:00',
          start: '2026-11-05',
          displaced: 'nearest',
        },
        context,
      ),
    )
    expect(kept(fridays)).toEqual(['2026-12-18 Kelpline Rope'])
  })

  test('is let go', () => {
    const id = [...one.reservations.keys()][0] ?? ''
    expect(kept(after(one, removeReservation(one, { reservation: id }, context)))).toEqual([])
  })
})

describe('a deal of so many a month', () => {
  const deal = (r: Records, perMonth = 1, from = '2026-11-01') =>
    after(
      r,
      keepSlots(
        r,
        {
          show: 'show',
          name: 'Brightwork Varnish',
          kind: 'sponsor',
          kept: { kind: 'deal', perMonth, from },
          note: '',
        },
        context,
      ),
    )

  test('keeps the first open slots of each month by itself, and counts a read that is there', () => {
    const r = deal(records)
    expect(kept(r, '2026-12-01', '2027-01-31')).toEqual([
      '2026-12-03 Brightwork Varnish',
      '2027-01-07 Brightwork Varnish',
    ])
    const read = after(
      withEpisode(r, 'episode', { sponsor: 'Brightwork Varnish' }),
      placeOnSlot(
        withEpisode(r, 'episode', { sponsor: 'Brightwork Varnish' }),
        { episode: 'episode', day: '2026-12-24' },
        context,
      ),
    )
    expect(kept(read)).toEqual(['2026-12-24 Brightwork Varnish'])
  })

  test('gives way to a slot kept for another, and to an episode that stands there', () => {
    const r = deal(
      after(
        records,
        keepSlots(
          records,
          {
            show: 'show',
            name: 'Kelpline Rope',
            kind: 'sponsor',
            kept: { kind: 'slot', day: '2026-12-03' },
            note: '',
          },
          context,
        ),
      ),
      2,
    )
    const placed = after(r, placeOnSlot(r, { episode: 'episode', day: '2026-12-10' }, context))
    expect(kept(placed)).toEqual([
      '2026-12-03 Kelpline Rope',
      '2026-12-17 Brightwork Varnish',
      '2026-12-24 Brightwork Varnish',
    ])
    expect(
      refusalOf(
        keepSlots(
          records,
          {
            show: 'show',
            name: 'X',
            kind: 'sponsor',
            kept: { kind: 'deal', perMonth: 1, from: '2026-12-01', to: '2026-11-01' },
            note: '',
          },
          context,
        ),
      ),
    ).toMatch(/ends before it begins/)
  })
})

describe('a launch', () => {
  const launched = after(
    records,
    putLaunch(
      records,
      { name: 'Drawings', from: '2027-01-04', to: '2027-01-10', runUp: 21, wanted: 2, note: '' },
      context,
    ),
  )
  const [launch] = [...launched.launches.values()]
  if (!launch) throw new Error('no launch')
  const supporter = (
    id: string,
    release: string | undefined,
    fields: Partial<Supporter> = {},
  ): Supporter => ({
    episode: exampleEpisode({ id }),
    title: id,
    number: `#${id}`,
    release,
    ready: false,
    outlook: undefined,
    ...fields,
  })

  test('says what is missing around it', () => {
    const of = { ...launch, episodes: ['a', 'b', 'c', 'd'], wanted: 5 }
    const { window, support, missing } = launchStanding(
      of,
      [
        supporter('a', '2026-12-17', { outlook: 'tight' }),
        supporter('b', undefined),
        supporter('c', '2027-01-21'),
        supporter('d', '2026-12-03'),
        supporter('e', '2026-12-24'),
      ],
      ['2026-12-24', '2027-01-07', '2027-02-04'],
      '2026-11-24',
    )
    expect(window).toEqual({ from: '2026-12-14', to: '2027-01-10' })
    expect(support).toBe(1)
    expect(missing).toEqual([
      '#a is tight',
      '#b “b” has no date',
      '#c goes out Thu 21 Jan, after it is over',
      '#d goes out Thu 3 Dec, before its run-up',
      '4 of 5 episodes chosen',
      'open in its run-up: Thu 24 Dec, Thu 7 Jan',
    ])
    expect(
      launchStanding(
        { ...launch, episodes: ['a'], wanted: 1 },
        [supporter('a', '2026-12-17', { outlook: 'on track' })],
        ['2026-12-24'],
        '2026-11-24',
      ).missing,
    ).toEqual([])
  })

  test('is supported by episodes, honoured by them, and takes its kept slots along when it goes', () => {
    const kept1 = after(
      launched,
      keepSlots(
        launched,
        {
          show: 'show',
          name: 'Drawings',
          kind: 'launch',
          launch: launch.id,
          kept: { kind: 'slot', day: '2026-12-31' },
          note: '',
        },
        context,
      ),
    )
    expect(valueOf(placeOnSlot(kept1, { episode: 'episode', day: '2026-12-31' }, context)).sentence).toMatch(
      /launch “Drawings”, and this does not support it/,
    )
    const supported = after(
      kept1,
      supportLaunch(kept1, { launch: launch.id, episode: 'episode', supports: true }, context),
    )
    expect(
      valueOf(placeOnSlot(supported, { episode: 'episode', day: '2026-12-31' }, context)).sentence,
    ).not.toMatch(/kept for/)
    expect(kept(after(supported, removeLaunch(supported, { launch: launch.id }, context)))).toEqual([])
    expect(
      refusalOf(
        putLaunch(
          records,
          { name: 'Drawings', from: '2027-01-10', to: '2027-01-04', runUp: 0, wanted: 0, note: '' },
          context,
        ),
      ),
    ).toMatch(/ends on or after/)
  })
})

describe('several rhythms in one show', () => {
  const talks = {
    name: 'Interview',
    rule: 'FREQ=MONTHLY;INTERVAL=1;BYDAY=1SA',
    start: '2026-11-25',
    time: '10:00',
    recipe: 'recipe',
  }
  const rhythm = {
    ...show(records).rhythm,
    also: [
      talks,
      { name: '', rule: 'FREQ=MONTHLY;INTERVAL=1;BYDAY=3TH', start: '2026-11-25', time: '09:00' },
    ],
  }

  test('yield one row of dates, each with its own time; where two meet it is one slot at the first one’s time', () => {
    expect(datesOf(rhythm, '2026-12-01', '2026-12-31')).toEqual([
      '2026-12-03',
      '2026-12-05',
      '2026-12-10',
      '2026-12-17',
      '2026-12-24',
      '2026-12-31',
    ])
    expect(['2026-12-03', '2026-12-05', '2026-12-17'].map((d) => timeOn(rhythm, d))).toEqual([
      '17:00',
      '10:00',
      '17:00',
    ])
    expect(extraRhythmOn(rhythm, '2026-12-05')?.name).toBe('Interview')
    expect(sayRhythm({ ...rhythm, also: [talks] })).toBe(
      'every Thursday, 17:00, and first Saturday of the month, 10:00',
    )
    expect(
      datesOf({ ...rhythm, pauses: [{ from: '2026-12-04', to: '2026-12-06' }] }, '2026-12-01', '2026-12-10'),
    ).toEqual(['2026-12-03', '2026-12-10'])
  })

  test('take slots away and give them by a change of rhythm; episodes on them are displaced like any other', () => {
    const wish = {
      rhythm: { kind: 'week' as const, every: 1, weekdays: [3] },
      time: '17:00',
      start: show(records).rhythm.start,
    }
    const more = after(
      records,
      changeRhythm(records, { show: 'show', ...wish, also: [talks], displaced: 'nearest' }, context),
    )
    expect(openSlots(show(more), [], context.now, 4).map((s) => `${s.day} ${s.time}`)).toEqual([
      '2026-11-26 17:00',
      '2026-12-03 17:00',
      '2026-12-05 10:00',
      '2026-12-10 17:00',
    ])
    const placed = after(more, placeOnSlot(more, { episode: 'episode', day: '2026-12-05' }, context))
    expect(placed.episodes.get('episode')?.recipe).toBe('recipe')
    const back = after(
      placed,
      changeRhythm(placed, { show: 'show', ...wish, also: [], displaced: 'nearest' }, context),
    )
    expect(back.episodes.get('episode')?.place).toEqual({ kind: 'slot', day: '2026-11-26' })
    expect(slotsOf(show(back), '2026-12-01', '2026-12-10').map((s) => s.day)).toEqual([
      '2026-12-03',
      '2026-12-10',
    ])
    expect(valueOf(withRhythm(show(more), wish, '2026-11-24')).rhythm.also).toEqual([talks])
  })
})
