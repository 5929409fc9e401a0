import type { Day, Episode, Excerpt, SpinOff, Step } from '@core/records'
import { spinStep } from '@core/release/spin-offs'
import { addDays } from '@core/rhythm/days'

const excerptAt = 'outlet-excerpts'

/** Passages that were taken from the demo's cuts. */
const passages: Readonly<Record<string, readonly [from: number, to: number, text: string]>> = {
  'boats-41': [
    142,
    183,
    'Look along it, not at it. The light tells you where the hollow is before the plane does.',
  ],
}

/** What is made of the demo's episodes besides: excerpts that are out, and one that is cut and coming. */
export function withSpinOffs(episodes: readonly Episode[], moment: (day: Day) => string, today: Day): Step[] {
  const made = (episode: Episode, n: number, rest: Partial<SpinOff> & Pick<SpinOff, 'kind'>): SpinOff => ({
    id: `${episode.id}-spin-${n}`,
    code: `${episode.code}-${'ABC'[n] ?? 'D'}`,
    ...{
      title: '',
      text: '',
      when: { kind: 'days', days: 1, time: '12:00' },
      made: moment(addDays(today, -4)),
    },
    ...rest,
  })
  const steps: Step[] = []
  const put = (episode: Episode, spins: SpinOff[]) => {
    episode.spinOffs = spins
    for (const [i, spin] of spins.entries()) {
      const at = moment(addDays(today, -4))
      const step = spinStep(episode.id, spin, {
        stage: 'after',
        minutes: 10,
        order: 100 + i,
        at,
      })
      steps.push({ ...step, doneAt: moment(addDays(today, -3)) })
    }
  }
  for (const episode of episodes) {
    const passage = passages[episode.id]
    if (passage) {
      const [from, to, text] = passage
      const excerpt: Excerpt = { id: `${episode.id}/x`, from, to, text }
      episode.excerpts = [excerpt]
      put(episode, [
        made(episode, 0, {
          kind: 'excerpt',
          title: 'Look along it',
          text: 'The light knows first.',
          excerpt: excerpt.id,
          outlet: excerptAt,
        }),
        made(episode, 1, {
          kind: 'excerpt',
          title: 'The hollow',
          text: 'And where it was.',
          outlet: excerptAt,
          when: { kind: 'days', days: 2, time: '12:00' },
        }),
      ])
      const handed = { ...episode.handed }
      for (const [i, spin] of (episode.spinOffs ?? []).entries())
        handed[`${excerptAt}/${spin.id}`] = { live: moment(addDays(today, i - 4)) }
      episode.handed = handed
    }
    if (episode.title.startsWith('Steaming oak ribs'))
      put(episode, [
        made(episode, 0, {
          kind: 'excerpt',
          title: 'Four minutes',
          text: 'After that it only remembers.',
          outlet: excerptAt,
          when: { kind: 'days', days: 2, time: '12:00' },
        }),
      ])
  }
  return steps
}
