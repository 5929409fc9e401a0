import type { ClockTime, Day, Episode, Person, Show, Zone } from '../records'
import { heldBy } from '../named'
import { titleOf } from '../release/parts'
import { sayDayLong } from '../rhythm/days'
import { localAt, momentAt } from '../rhythm/zone'

/** What messages to people are for. */
export const messageKinds = ['asking', 'confirming', 'moving', 'questions', 'out'] as const
export type MessageKind = (typeof messageKinds)[number]

/** What each is called, and the words that it has until somebody writes their own. */
export const usualMessages: Readonly<Record<MessageKind, { name: string; pattern: string }>> = {
  asking: {
    name: 'Asking',
    pattern:
      'Dear {name},\n\nI make {show}. I would like to talk with you for an episode on {subject}. It takes about an hour, where and how it suits you.\n\nWould you?',
  },
  confirming: {
    name: 'The time agreed on',
    pattern: 'Dear {name},\n\nwe meet for {show} on {when}.{theirs}\n\nUntil then',
  },
  moving: {
    name: 'Another time',
    pattern:
      'Dear {name},\n\nsomething has come up on {when}, when we wanted to meet for {show}.{theirs} Could we find another time?\n\nI’m sorry for the trouble.',
  },
  questions: {
    name: 'Questions ahead',
    pattern:
      'Dear {name},\n\nwhat I would like to ask you for {show}, on {when}:\n\n{questions}\n\nWhatever else you would rather tell is welcome.',
  },
  out: {
    name: 'It is out',
    pattern: 'Dear {name},\n\n“{title}” is out: {address}\n\nThank you for your time.',
  },
}

/** The words in braces that a pattern may hold, and what stands there. */
export const messageWords = {
  name: 'their name',
  show: 'the show',
  title: 'the episode’s title',
  subject: 'what the episode is about',
  when: 'day and time, in the show’s zone',
  theirs: 'the same in their zone, where it is another',
  questions: 'the main points, a line each',
  address: 'where the episode is',
} as const

/** What a message is filled from. */
export interface MessageOf {
  person: Pick<Person, 'name' | 'zone'>
  show: Show
  episode: Episode
  booking: { day: Day; at: ClockTime } | undefined
  address: string
}

/** A moment in words, with its zone's place: “Thursday 3 December, 15:00 (Lisbon time)”. */
export function sayMoment(day: Day, at: ClockTime, zone: Zone): string {
  return `${sayDayLong(day)}, ${at} (${placeOf(zone)} time)`
}

/** The place of a zone by its name: “Lisbon”. */
export function placeOf(zone: Zone): string {
  return (zone.split('/').at(-1) ?? zone).replaceAll('_', ' ')
}

/** The same moment in somebody's own zone; nothing where their clock shows the same. */
export function inTheirZone(
  day: Day,
  at: ClockTime,
  show: Zone,
  theirs: Zone | undefined,
): string | undefined {
  if (theirs === undefined || theirs === show) return undefined
  const there = localAt(momentAt(day, at, show), theirs)
  return there.day === day && there.time === at ? undefined : sayMoment(there.day, there.time, theirs)
}

/** A pattern filled in; words that mean nothing stay as they are, so that the fault is seen. */
export function filledMessage(
  pattern: string,
  { person, show, episode, booking, address }: MessageOf,
): string {
  const theirs = booking && inTheirZone(booking.day, booking.at, show.zone, person.zone)
  const points = episode.brief.points.filter((p) => p.trim() !== '')
  const values: Record<string, string> = {
    name: person.name,
    show: show.title,
    title: titleOf(episode),
    subject: episode.brief.takeaway.trim() || titleOf(episode),
    when: booking ? sayMoment(booking.day, booking.at, show.zone) : '(no time yet)',
    theirs: theirs ? ` For you that is ${theirs}.` : '',
    questions:
      points.map((p) => `– ${p}`).join('\n') || '(no questions yet: they are the main points of the brief)',
    address: address || '(no address yet)',
  }
  return pattern.replace(/\{(\w+)\}/gu, (whole, word: string) => heldBy(values, word) ?? whole)
}
