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
    // What was agreed on with somebody stands in the calendar, whether it has a slot or not.
    const agreed = standing.steps.flatMap(({ step, left }) =>
      left
        ? step.blocks.flatMap((b) => (b.at === undefined || b.missed ? [] : { step, ...b, at: b.at }))
        : [],
    )
    const meetings = agreed.map(({ step, day, minutes, at }, i): CalendarEntry => ({
      kind: 'timed',
      uid: `meeting-${step.id.replace(/[^\w-]/g, '-')}${agreed.findIndex((a) => a.step === step) === i ? '' : `-${day}`}@lamp-reel.invalid`,
      at: momentAt(day, at, show.zone),
      minutes,
      summary: `${step.name}, ${number}`,
      description: title,
    }))
    if (!release) return meetings
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
      (laid.get(step.id) ?? []).flatMap((b, i): CalendarEntry[] =>
        agreed.some((a) => a.step === step && a.day === b.day)
          ? []
          : [
              {
                kind: 'work',
                uid: `work-${step.id.replace(/[^\w-]/g, '-')}${i === 0 ? '' : `-${i + 1}`}@lamp-reel.invalid`,
                description: title,
                day: b.day,
                summary: `${sayMinutes(b.minutes)}: ${step.name}, ${number}`,
              },
            ],
      ),
    )
    return [...(isOut ? [] : [out]), ...due, ...work, ...meetings]
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
