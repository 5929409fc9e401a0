import type { Show } from '../model'
import type { CalendarEntry } from '../formats/icalendar'
import type { Standing } from '../recipe/lamps'
import { sayMinutes } from '../script/timecode'

/** An episode as a calendar needs it. */
export interface CalendarEpisode {
  id: string
  title: string
  number: string
  show: Show
  standing: Standing
}

/** Calendar entries of releases and of open steps' due dates. Identities come from record ids, so a second import updates. */
export function calendarEntries(episodes: readonly CalendarEpisode[]): CalendarEntry[] {
  return episodes.flatMap(({ id, title, number, show, standing }): CalendarEntry[] => {
    const { release } = standing
    if (!release) return []
    const out: CalendarEntry = { kind: 'release', uid: `release-${id}@lamp-reel.invalid`, at: release.at, minutes: 15, summary: `${number} ${title} goes out`, description: show.title }
    const due = standing.steps.flatMap(({ step, done, due: day }): CalendarEntry[] =>
      done || !day ? [] : [{ kind: 'due', uid: `due-${step.id.replace(/[^\w-]/g, '-')}@lamp-reel.invalid`, day, summary: `${step.name}: ${number} ${title}`, description: `${show.title}, about ${sayMinutes(step.minutes)}` }])
    return [out, ...due]
  })
}
