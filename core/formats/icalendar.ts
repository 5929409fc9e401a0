import ICAL from 'ical.js'
import type { Day } from '../records'
import { addDays } from '../rhythm/days'

/**
 * One entry of a calendar file: a release at its moment (with an alarm a day before), a due date as a whole
 * day (with one at nine that morning), a day's work as a whole day, or at its clock time (with one a
 * quarter of an hour before). `uid` stays the same for the same thing.
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

/**
 * Entries as an iCalendar file (RFC 5545), escaped by ical.js, folded by octets. `now` in ms stands as
 * DTSTAMP.
 */
export function icalendar(entries: readonly CalendarEntry[], name: string, now: number): string {
  const calendar = new ICAL.Component('vcalendar')
  calendar.updatePropertyWithValue('version', '2.0')
  calendar.updatePropertyWithValue('prodid', '-//Lamp Reel//Lamp Reel//EN')
  calendar.updatePropertyWithValue('x-wr-calname', name)
  for (const entry of entries) {
    const event = new ICAL.Component('vevent')
    event.updatePropertyWithValue('uid', entry.uid)
    event.updatePropertyWithValue('dtstamp', stamp(now))
    const says = printable(entry.summary)
    event.updatePropertyWithValue('summary', says)
    if (entry.description !== '') event.updatePropertyWithValue('description', printable(entry.description))
    if (entry.kind === 'release') {
      event.updatePropertyWithValue('dtstart', stamp(entry.at))
      event.updatePropertyWithValue('dtend', stamp(entry.at + entry.minutes * 60_000))
      event.addSubcomponent(alarm(says, '-P1D'))
    } else if (entry.kind === 'timed') {
      event.updatePropertyWithValue('dtstart', stamp(entry.at))
      event.updatePropertyWithValue('dtend', stamp(entry.at + entry.minutes * 60_000))
      event.addSubcomponent(alarm(says, '-PT15M'))
    } else {
      event.updatePropertyWithValue('dtstart', ICAL.Time.fromDateString(entry.day))
      event.updatePropertyWithValue('dtend', ICAL.Time.fromDateString(addDays(entry.day, 1)))
      event.updatePropertyWithValue('transp', 'TRANSPARENT')
      if (entry.kind === 'due') event.addSubcomponent(alarm(says, 'PT9H'))
    }
    calendar.addSubcomponent(event)
  }
  return folded(calendar.toString())
}

/** Text without control characters but for line ends and tabs, which RFC 5545 (3.3.11) forbids. */
function printable(text: string): string {
  return text.replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]/g, '')
}

/** Most octets of a line, its end apart (RFC 5545, 3.1). */
const longest = 75

/** Lines folded by octets, as RFC 5545 counts, never inside a character. */
function folded(text: string): string {
  const encoder = new TextEncoder()
  const lines = text.replace(/\r?\n[ \t]/g, '').split(/\r?\n/)
  return lines
    .filter((line) => line !== '')
    .map((line) => {
      let [row, octets] = ['', 0]
      for (const c of line) {
        const size = encoder.encode(c).length
        if (octets + size > longest) {
          row += '\r\n '
          octets = 1
        }
        row += c
        octets += size
      }
      return `${row}\r\n`
    })
    .join('')
}
