import ICAL from 'ical.js'
import { Zone, type Busy, type Day } from '../records'
import { ok, refused, type Result } from '../result'
import { addDays } from '../rhythm/days'
import { localAt, momentAt } from '../rhythm/zone'

/** Busy time read from a calendar, and what was left out, each with its reason. */
export interface BusyRead {
  events: Pick<Busy, 'uid' | 'name' | 'day' | 'minutes' | 'at'>[]
  left: { name: string; why: string }[]
  /** The identities of all events of the file, taken or not. */
  uids: string[]
}

const most = 2000

/**
 * Reads the busy time of an iCalendar file (RFC 5545) between two dates in a zone: recurring events
 * expanded, what is cancelled or marked free left out, what lasts over midnight split by day, a whole day
 * counted as all of it. Refused with the reason where it is no calendar.
 */
export function readBusy(text: string, zone: Zone, from: Day, to: Day): Result<BusyRead> {
  let root: ICAL.Component
  try {
    root = new ICAL.Component(parsed(withDates(text.trim())))
  } catch (error) {
    return refused(
      `This is not a calendar file (${error instanceof Error ? error.message.slice(0, 80) : 'unreadable'}). Choose one that ends in .ics, exported from a calendar.`,
      'file',
    )
  }
  const calendars = root.name === 'vcalendar' ? [root] : root.getAllSubcomponents('vcalendar')
  if (calendars.length === 0)
    return refused(
      'There is no calendar in this file. Choose one that ends in .ics, exported from a calendar.',
      'file',
    )
  const read: BusyRead = { events: [], left: [], uids: [] }
  for (const calendar of calendars) {
    for (const z of calendar.getAllSubcomponents('vtimezone'))
      ICAL.TimezoneService.register(new ICAL.Timezone(z))
    const events = calendar.getAllSubcomponents('vevent')
    const single = new Set<string>()
    for (const one of events) {
      const changed: unknown = one.getFirstPropertyValue('recurrence-id')
      if (changed instanceof ICAL.Time)
        single.add(`${text1(one, 'uid')} ${keyOf(changed, zoneNameOf(one, 'recurrence-id'), zone)}`)
    }
    for (const [i, one] of events.entries()) {
      const uid = text1(one, 'uid') || `event-${i + 1}`
      const name = text1(one, 'summary') || 'Busy'
      if (uid.endsWith('@lamp-reel.invalid')) {
        read.left.push({ name, why: 'from Lamp Reel itself' })
        continue
      }
      read.uids.push(uid)
      if (text1(one, 'status').toUpperCase() === 'CANCELLED') {
        read.left.push({ name, why: 'cancelled' })
        continue
      }
      if (text1(one, 'transp').toUpperCase() === 'TRANSPARENT') {
        read.left.push({ name, why: 'marked as free' })
        continue
      }
      const event = new ICAL.Event(one)
      const start: unknown = one.getFirstPropertyValue('dtstart')
      if (!(start instanceof ICAL.Time)) {
        read.left.push({ name, why: 'without a beginning' })
        continue
      }
      const named = zoneNameOf(one, 'dtstart')
      if (named !== undefined && !ICAL.TimezoneService.has(named) && !isZone(named)) {
        read.left.push({ name, why: `in the time zone “${named}”, which is not known` })
        continue
      }
      const seconds = event.duration.toSeconds()
      const before = read.events.length
      const replaced = (time: ICAL.Time) => single.has(`${uid} ${keyOf(time, named, zone)}`)
      const isCut = { value: false }
      for (const time of timesOf(event, start, one, replaced, to, isCut))
        add(read, uid, name, time, seconds, named, zone, from, to)
      if (isCut.value) read.left.push({ name, why: 'repeats too often to be read to its end' })
      if (read.events.length === before) read.left.push({ name, why: 'not in these weeks' })
      if (read.events.length > most)
        return refused(
          `The calendar holds more than ${most} busy times in these weeks. Export fewer calendars at once.`,
          'file',
        )
    }
  }
  read.uids = [...new Set(read.uids)]
  read.events = joined(read.events)
  return ok(read)
}

function text1(component: ICAL.Component, name: string): string {
  const value: unknown = component.getFirstPropertyValue(name)
  return typeof value === 'string' ? value.trim() : ''
}

/** When an event begins, each time; those that an exception replaces are the exception's own. */
function* timesOf(
  event: ICAL.Event,
  start: ICAL.Time,
  one: ICAL.Component,
  replaced: (time: ICAL.Time) => boolean,
  to: Day,
  isCut: { value: boolean },
): Generator<ICAL.Time> {
  if (!event.isRecurring() || one.getFirstPropertyValue('recurrence-id')) {
    yield start
    return
  }
  const each = event.iterator()
  for (let n = 0; n < 120_000; n++) {
    const next = nextOf(each)
    if (!next || dateOfTime(next) > addDays(to, 1)) return
    if (!replaced(next)) yield next
  }
  isCut.value = true
}

/** Dates that say no time are dates, also where the file forgot to say so. */
function withDates(text: string): string {
  return text.replace(
    /^(DTSTART|DTEND|RECURRENCE-ID|EXDATE)((?:;[^:\r\n]*)?):(\d{8})(?=\r?$)/gim,
    (line, name: string, more: string, day: string) =>
      /VALUE=/i.test(more) ? line : `${name};VALUE=DATE:${day}`,
  )
}

function zoneNameOf(one: ICAL.Component, name: string): string | undefined {
  const zone: unknown = one.getFirstProperty(name)?.getParameter('tzid')
  return typeof zone === 'string' && zone !== '' ? zone : undefined
}

function isZone(name: string): boolean {
  return Zone.safeParse(name).success
}

/**
 * A time as a moment (ms since 1970); one of a zone that the file does not describe by the zone's own
 * rules, one without a zone in the creator's.
 */
function momentOfTime(time: ICAL.Time, named: string | undefined, zone: Zone): number {
  const own = time.zone === ICAL.Timezone.localTimezone
  return own
    ? momentAt(
        dateOfTime(time),
        time.toString().slice(11, 16),
        named !== undefined && isZone(named) ? named : zone,
      )
    : time.toUnixTime() * 1000
}

/** What tells one time of a series from another, whatever zone it is written in. */
function keyOf(time: ICAL.Time, named: string | undefined, zone: Zone): string {
  return time.isDate ? dateOfTime(time) : String(momentOfTime(time, named, zone))
}

function add(
  read: BusyRead,
  uid: string,
  name: string,
  time: ICAL.Time,
  seconds: number,
  named: string | undefined,
  zone: Zone,
  from: Day,
  to: Day,
): void {
  const put = (day: Day, minutes: number, at?: string) => {
    if (day >= from && day <= to && minutes > 0)
      read.events.push({
        uid,
        name: name.slice(0, 120),
        day,
        minutes: Math.min(1440, minutes),
        ...(at === undefined ? {} : { at }),
      })
  }
  if (time.isDate) {
    const days = Math.max(1, Math.round(seconds / 86_400))
    for (let n = 0; n < days; n++) put(addDays(dateOfTime(time), n), 1440)
    return
  }
  const begins = localAt(momentOfTime(time, named, zone), zone)
  let minutes = Math.round(seconds / 60)
  let { day } = begins
  let at: string | undefined = begins.time
  let first = Number(begins.time.slice(0, 2)) * 60 + Number(begins.time.slice(3))
  while (minutes > 0) {
    const here = Math.min(minutes, 1440 - first)
    put(day, here, at)
    minutes -= here
    day = addDays(day, 1)
    first = 0
    at = '00:00'
  }
}

/** The same event twice at one moment is once. */
function joined(events: BusyRead['events']): BusyRead['events'] {
  return [...new Map(events.map((e) => [`${e.uid} ${e.day} ${e.at ?? ''}`, e])).values()].sort((a, b) =>
    a.day < b.day ? -1 : a.day > b.day ? 1 : (a.at ?? '') < (b.at ?? '') ? -1 : 1,
  )
}

/** The date that a calendar time says, in its own zone. */
function dateOfTime({ year, month, day }: ICAL.Time): Day {
  const two = (n: number) => String(n).padStart(2, '0')
  return `${String(year).padStart(4, '0')}-${two(month)}-${two(day)}`
}

/** The next occurrence; none after the last, which the reader's own types do not say. */
function nextOf(each: { next(): ICAL.Time | null }): ICAL.Time | null {
  return each.next()
}

/** A calendar's text as jCal (RFC 7265), which the reader's own types leave open. */
function parsed(text: string): unknown[] {
  const read: unknown = ICAL.parse(text)
  return Array.isArray(read) ? read : []
}
