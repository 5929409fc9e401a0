import ICAL from 'ical.js'
import type { Day } from '../model'
import { addDays } from '../rhythm/days'

/**
 * One entry of a calendar file: a release at its moment (with an alarm a day before), a due date as a whole day (with one at nine that morning), a day's work as a whole
 * day, or at its clock time (with one a quarter of an hour before). `uid` stays the same for the same thing.
 */
export type CalendarEntry =
  | { kind: 'release'; uid: string; at: number; minutes: number; summary: string; description: string }
  | { kind: 'due' | 'work'; uid: string; day: Day; summary: string; description: string }
  | { kind: 'timed'; uid: string; at: number; minutes: number; summary: string; description: string }

function stamp(ms: number): ICAL.Time {
  return ICAL.Time.fromJSDate(new Date(ms), true)
}

function alarm(says: string, trigger: string): ICAL.Component {
  const made = new ICAL.Component('valarm')
  made.updatePropertyWithValue('action', 'DISPLAY')
  made.updatePropertyWithValue('description', says)
  made.updatePropertyWithValue('trigger', ICAL.Duration.fromString(trigger))
  return made
}

/** Entries as an iCalendar file (RFC 5545), folded and escaped by ical.js. `now` in ms stands as DTSTAMP. */
export function icalendar(entries: readonly CalendarEntry[], name: string, now: number): string {
  const calendar = new ICAL.Component('vcalendar')
  calendar.updatePropertyWithValue('version', '2.0')
  calendar.updatePropertyWithValue('prodid', '-//Lamp Reel//Lamp Reel//EN')
  calendar.updatePropertyWithValue('x-wr-calname', name)
  for (const entry of entries) {
    const event = new ICAL.Component('vevent')
    event.updatePropertyWithValue('uid', entry.uid)
    event.updatePropertyWithValue('dtstamp', stamp(now))
    event.updatePropertyWithValue('summary', entry.summary)
    if (entry.description !== '') event.updatePropertyWithValue('description', entry.description)
    if (entry.kind === 'release') {
      event.updatePropertyWithValue('dtstart', stamp(entry.at))
      event.updatePropertyWithValue('dtend', stamp(entry.at + entry.minutes * 60_000))
      event.addSubcomponent(alarm(entry.summary, '-P1D'))
    } else if (entry.kind === 'timed') {
      event.updatePropertyWithValue('dtstart', stamp(entry.at))
      event.updatePropertyWithValue('dtend', stamp(entry.at + entry.minutes * 60_000))
      event.addSubcomponent(alarm(entry.summary, '-PT15M'))
    } else {
      event.updatePropertyWithValue('dtstart', ICAL.Time.fromDateString(entry.day))
      event.updatePropertyWithValue('dtend', ICAL.Time.fromDateString(addDays(entry.day, 1)))
      event.updatePropertyWithValue('transp', 'TRANSPARENT')
      if (entry.kind === 'due') event.addSubcomponent(alarm(entry.summary, 'PT9H'))
    }
    calendar.addSubcomponent(event)
  }
  return `${calendar.toString()}\r\n`
}
