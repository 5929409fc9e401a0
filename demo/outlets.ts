import { firstOutlet } from '@core/commands/shows/first-outlet'
import type { Handed, Outlet, Show } from '@core/records'

/** The outlets that both shows go out at beside their first. */
export const besides = ['outlet-site', 'outlet-letter', 'outlet-excerpts']

/** Where the demo's shows go out: two first outlets, the own site the evening before, a letter, excerpts on the two days after. */
export function demoOutlets(at: string): Outlet[] {
  const like = (id: string, fields: Partial<Outlet>): Outlet => ({
    ...firstOutlet(id, 'video', at),
    required: ['title', 'description'],
    ...fields,
  })
  return [
    firstOutlet('outlet-video', 'video', at),
    firstOutlet('outlet-feed', 'audio', at),
    like('outlet-site', {
      name: 'Own site',
      required: ['title', 'description', 'thumbnail'],
      takes: ['title', 'description', 'chapters', 'thumbnail', 'links'],
      titleLimit: 120,
      descriptionLimit: 20_000,
      when: { kind: 'days', days: -1, time: '21:00' },
    }),
    like('outlet-letter', {
      name: 'Newsletter',
      takes: ['title', 'description', 'thumbnail', 'links'],
      titleLimit: 120,
      descriptionLimit: 20_000,
      when: { kind: 'minutes', minutes: 30 },
      standing: { closing: 'Answer this letter; it reaches the bench.' },
    }),
    like('outlet-excerpts', {
      name: 'Excerpts',
      required: ['title', 'tags'],
      takes: ['title', 'tags'],
      titleLimit: 100,
      tagForm: 'hashtags',
      tagMost: 5,
      tagLimit: 150,
      thing: 'Excerpt',
      when: { kind: 'days', days: 1, time: '12:00' },
      more: [{ kind: 'days', days: 2, time: '12:00' }],
      standing: { hashtags: ['boatbuilding'] },
    }),
  ]
}

/** Everything of a released episode was seen live where it went out. */
export function seenAt(show: Show, at: string): Record<string, Handed> {
  const keys = show.outlets.slice(1).flatMap((id) => (id === 'outlet-excerpts' ? [id, `${id}/1`] : [id]))
  return Object.fromEntries(keys.map((key) => [key, { live: at }]))
}
