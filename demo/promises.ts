import {
  type Campaign,
  type Day,
  type Episode,
  type Launch,
  type Reservation,
  type StandingWork,
} from '@core/records'
import { addDays, weekday } from '@core/rhythm/days'

/**
 * What is kept, launched and done every week beside the episodes. `thursday` is the next release of the boats.
 */
export function demoPromises(
  at: string,
  today: Day,
  thursday: Day,
  episodes: readonly Episode[],
): { launches: Launch[]; reservations: Reservation[]; standing: StandingWork[]; campaigns: Campaign[] } {
  const stamp = { createdAt: at, updatedAt: at }
  const work = episodes.filter(
    (e) => e.phase.kind === 'work' && e.show === 'boats' && e.place.kind === 'slot',
  )
  const launches: Launch[] = [
    {
      id: 'launch-drawings',
      name: 'Drawings of the dinghy',
      from: addDays(thursday, 49),
      to: addDays(thursday, 63),
      runUp: 14,
      wanted: 3,
      episodes: work.slice(4, 5).map((e) => e.id),
      note: 'Sheets to print, with the offsets.',
      ...stamp,
    },
  ]
  const reservations: Reservation[] = [
    {
      id: 'kept-kelpline',
      show: 'boats',
      name: 'Kelpline Rope',
      kind: 'sponsor',
      kept: { kind: 'slot', day: addDays(thursday, 28) },
      deal: 'deal-kelpline',
      note: 'A read of 45 seconds, before the first third.',
      ...stamp,
    },
    {
      id: 'kept-launch',
      show: 'boats',
      name: 'Drawings of the dinghy',
      kind: 'launch',
      launch: 'launch-drawings',
      kept: { kind: 'slot', day: addDays(thursday, 42) },
      note: '',
      ...stamp,
    },
    {
      id: 'deal-brightwork',
      show: 'talks',
      name: 'Brightwork Varnish',
      kind: 'sponsor',
      kept: { kind: 'deal', perMonth: 1, from: addDays(today, -60) },
      note: 'One talk a month.',
      ...stamp,
    },
  ]
  const monday = addDays(today, -weekday(today))
  const standing: StandingWork[] = [
    {
      id: 'standing-letters',
      name: 'Letters and comments',
      kind: 'admin',
      minutes: 30,
      when: { kind: 'rule', rule: 'FREQ=WEEKLY;INTERVAL=1;BYDAY=MO,FR', start: addDays(monday, -70) },
      skipped: [],
      done: [],
      ...stamp,
    },
    {
      id: 'standing-accounts',
      name: 'The month’s accounts',
      kind: 'admin',
      minutes: 60,
      when: { kind: 'rule', rule: 'FREQ=MONTHLY;INTERVAL=1;BYDAY=1WE', start: addDays(monday, -70) },
      at: '19:00',
      skipped: [],
      done: [],
      ...stamp,
    },
  ]
  const campaigns: Campaign[] = [
    {
      id: 'campaign-boards',
      name: 'Notices at the slips',
      launch: 'launch-drawings',
      outlet: 'harbour boards',
      from: addDays(thursday, 36),
      to: addDays(thursday, 62),
      budget: 60,
      spent: 18,
      state: 'planned',
      asset: 'dinghy-lines-a4.pdf',
      address: 'https://tern-and-tiller.example/drawings',
      posts: [
        {
          id: 'campaign-boards/1',
          on: addDays(thursday, 36),
          text: 'The lines, without words.',
          address: '',
        },
        {
          id: 'campaign-boards/2',
          on: addDays(thursday, 48),
          text: 'They are here: nine sheets.',
          address: '',
        },
      ],
      ...stamp,
    },
  ]
  return { launches, reservations, standing, campaigns }
}
