import type { Day } from '../records'
import { daysBetween, sayDay } from '../rhythm/days'
import { sayLeft } from '../rhythm/zone'

/** What reminders look at. Moments in ms since 1970. */
export interface RemindersOf {
  now: number
  today: Day
  releases: readonly {
    id: string
    number: string
    title: string
    at: number
    time: string
    ready: boolean
    missing: number
  }[]
  /** Work laid at a clock time. */
  times: readonly { id: string; name: string; about: string; at: number; time: string }[]
  waiting: readonly { id: string; who: string; what: string; about: string; since: Day; after: number }[]
}

/** One reminder. The key is the same for the same thing, so that it comes once. */
export interface Reminder {
  key: string
  title: string
  body: string
}

const hour = 3_600_000

/**
 * The reminders that are due at a moment: a release within a day that isn't ready, one whose moment came,
 * work within half an hour of its clock time, a nudge that is due.
 */
export function remindersOf(of: RemindersOf): Reminder[] {
  const { now, today } = of
  const list: Reminder[] = []
  for (const r of of.releases) {
    const left = r.at - now
    if (left > 0 && left <= 24 * hour && !r.ready)
      list.push({
        key: `soon ${r.id} ${r.at}`,
        title: `${r.number} goes out in ${sayLeft(now, r.at)}`,
        body: `${r.title}: ${r.missing} ${r.missing === 1 ? 'part is' : 'parts are'} still missing.`,
      })
    if (left <= 0 && left > -12 * hour)
      list.push({
        key: `out ${r.id} ${r.at}`,
        title: `Is ${r.number} out?`,
        body: `${r.title} was to go out at ${r.time}.`,
      })
  }
  for (const t of of.times)
    if (t.at - now > 0 && t.at - now <= hour / 2)
      list.push({ key: `time ${t.id} ${t.at}`, title: `${t.time}: ${t.name}`, body: t.about })
  for (const w of of.waiting)
    if (daysBetween(w.since, today) >= w.after)
      list.push({
        key: `nudge ${w.id} ${w.since}`,
        title: `A nudge to ${w.who}?`,
        body: `${w.what}, ${w.about}, since ${sayDay(w.since)}.`,
      })
  return list
}
