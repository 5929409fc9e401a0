import {
  after,
  exampleAt,
  exampleContext,
  exampleEpisode,
  exampleRecords,
  refusalOf,
  valueOf,
} from '../../examples'
import type { Episode, Records } from '../../records'
import { releaseOf } from '../../rhythm/slots'
import { markAllReleased } from '../release/mark-all-released'
import { putOnNext } from './put-on-next'
import { skipMissed } from './skip-missed'
import { swapEpisodes } from './swap-episodes'
import { keepSlots } from './keep-slots'
import { markReleased } from '../release/mark-released'
import { placeOnOwn } from './place-on-own'
import { placeOnSlot } from './place-on-slot'

const work = (id: string, day: string, code: string, fields: Partial<Episode> = {}): Episode =>
  exampleEpisode({
    id,
    code,
    title: id,
    phase: { kind: 'work', since: exampleAt },
    place: { kind: 'slot', day },
    ...fields,
  })
/** Tuesday 24 November; Thursdays at 17:00. The one of the 19th did not go out. */
const records: Records = exampleRecords([
  work('ribs', '2026-11-12', 'AB22'),
  work('keel', '2026-11-19', 'AB23'),
  work('spar', '2026-11-26', 'AB24'),
  work('oars', '2026-12-03', 'AB25'),
])
const context = exampleContext()
const place = (r: Records, id: string) => {
  const place = r.episodes.get(id)?.place
  return place?.kind === 'slot' ? place.day : place?.kind
}

test('a missed episode goes on the next slot, and what follows moves on, up to the next open one', () => {
  const r = after(records, putOnNext(records, { episode: 'keel' }, context))
  expect(['keel', 'spar', 'oars'].map((id) => place(r, id))).toEqual([
    '2026-11-26',
    '2026-12-03',
    '2026-12-10',
  ])
})

test('it is released late, now; or its slot is skipped and it stays in work', () => {
  const late = after(records, markReleased(records, { episode: 'keel', at: context.now }, context))
  expect(late.episodes.get('keel')?.phase).toEqual({
    kind: 'released',
    at: exampleAt,
    planned: '2026-11-19T17:00:00.000Z',
  })
  const skipped = after(records, skipMissed(records, { episode: 'keel' }, context))
  expect([place(skipped, 'keel'), skipped.shows.get('show')?.skipped]).toEqual(['nothing', ['2026-11-19']])
  expect(skipped.episodes.get('keel')?.phase.kind).toBe('work')
  expect(refusalOf(skipMissed(skipped, { episode: 'keel' }, context))).toMatch(/on no slot/)
})

test('after days away several are out at once, each on its day and numbered in order', () => {
  const r = after(records, markAllReleased(records, { episodes: ['keel', 'ribs', 'gone'] }, context))
  expect(
    ['ribs', 'keel'].map((id) => {
      const e = r.episodes.get(id)
      return [e?.number, e?.phase.kind === 'released' ? e.phase.at : '']
    }),
  ).toEqual([
    [1, '2026-11-12T17:00:00.000Z'],
    [2, '2026-11-19T17:00:00.000Z'],
  ])
  expect(refusalOf(markAllReleased(r, { episodes: ['keel'] }, context))).toMatch(/out already/)
})

test('what is out keeps its own moment, whatever the rhythm says now, and gets no other', () => {
  const out = after(records, markReleased(records, { episode: 'keel' }, context))
  const show = out.shows.get('show')
  const keel = out.episodes.get('keel')
  const changed = show && { ...show, rhythm: { ...show.rhythm, time: '06:30' } }
  expect(keel && changed && releaseOf(keel, changed)?.time).toBe('17:00')
  expect(refusalOf(placeOnOwn(out, { episode: 'keel', day: '2026-12-01', time: '10:00' }, context))).toMatch(
    /already been released/,
  )
})

test('what is kept for a sponsor goes along when its episode moves', () => {
  const kept = after(
    records,
    keepSlots(
      records,
      {
        show: 'show',
        name: 'Kelpline Rope',
        kind: 'sponsor',
        launch: undefined,
        kept: { kind: 'slot', day: '2026-12-10' },
        note: '',
      },
      context,
    ),
  )
  const on = (r: Records) =>
    [...r.reservations.values()].map((x) => (x.kept.kind === 'slot' ? x.kept.day : 'deal'))
  const placed = after(kept, placeOnSlot(kept, { episode: 'oars', day: '2026-12-10' }, context))
  expect([placed.episodes.get('oars')?.sponsor, on(placed)]).toEqual(['Kelpline Rope', ['2026-12-10']])
  const moved = valueOf(placeOnSlot(placed, { episode: 'oars', day: '2026-12-17' }, context))
  expect(moved.sentence).toMatch(/moves with it/)
  expect(on(after(placed, { ok: true, value: moved }))).toEqual(['2026-12-17'])
  const swapped = after(placed, swapEpisodes(placed, { episode: 'oars', other: 'spar' }, context))
  expect(on(swapped)).toEqual(['2026-11-26'])
})
