import type { Show } from '../records'
import type { CalendarEntry } from '../formats/icalendar'
import type { WorkBlock } from './task'
import type { EpisodeProgress } from '../recipe/progress'
import { momentAt } from '../rhythm/zone'
import { sayMinutes } from '../script/timecode'

/** An episode as a calendar needs it. */
export interface CalendarEpisode {
  id: string
  title: string
  number: string
  show: Show
  standing: EpisodeProgress
  /** It is out: only what follows its release stands in the calendar. */
  out?: boolean
}

/**
 * Calendar entries of releases, of open steps' due dates, and of the work laid on days. Identities come
 * from record ids, those of work from its step and which of its days it is, so that a second import
 * updates.
 */
export function calendarEntries(
  episodes: readonly CalendarEpisode[],
  blocks: readonly WorkBlock[] = [],
): CalendarEntry[] {
  const laid = new Map<string, WorkBlock[]>()
  for (const b of joined(blocks)) (laid.get(b.id) ?? laid.set(b.id, []).get(b.id))?.push(b)
  return episodes.flatMap(({ id, title, number, show, standing, out: isOut }): CalendarEntry[] => {
    const { release } = standing
    if (!release) return []
    const out: CalendarEntry = {
      kind: 'release',
      uid: `release-${id}@lamp-reel.invalid`,
      at: release.at,
      minutes: 15,
      summary: `${number} ${title} goes out`,
      description: show.title,
    }
    const due = standing.steps.flatMap(({ step, left, derived, due: day }): CalendarEntry[] =>
      !left || derived || !day
        ? []
        : [
            {
              kind: 'due',
              uid: `due-${step.id.replace(/[^\w-]/g, '-')}@lamp-reel.invalid`,
              day,
              summary: `${step.name}: ${number} ${title}`,
              description: `${show.title}, about ${sayMinutes(step.minutes)}`,
            },
          ],
    )
    const work = standing.steps.flatMap(({ step }) =>
      (laid.get(step.id) ?? []).map((b, i): CalendarEntry => {
        const both = {
          uid: `work-${step.id.replace(/[^\w-]/g, '-')}${i === 0 ? '' : `-${i + 1}`}@lamp-reel.invalid`,
          description: title,
        }
        const at = step.blocks.find((x) => x.day === b.day)?.at
        return at === undefined
          ? {
              kind: 'work',
              ...both,
              day: b.day,
              summary: `${sayMinutes(b.minutes)}: ${step.name}, ${number}`,
            }
          : {
              kind: 'timed',
              ...both,
              at: momentAt(b.day, at, show.zone),
              minutes: b.minutes,
              summary: `${step.name}, ${number}`,
            }
      }),
    )
    return [...(isOut ? [] : [out]), ...due, ...work]
  })
}

/** One block a step and day, by date. */
function joined(blocks: readonly WorkBlock[]): WorkBlock[] {
  const by = new Map<string, WorkBlock>()
  for (const b of [...blocks].sort((a, z) => (a.day < z.day ? -1 : a.day > z.day ? 1 : 0))) {
    const key = `${b.id} ${b.day}`
    const there = by.get(key)
    by.set(key, there ? { ...there, minutes: there.minutes + b.minutes } : b)
  }
  return [...by.values()]
}
