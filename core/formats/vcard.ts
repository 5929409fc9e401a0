import ICAL from 'ical.js'
import type { Person } from '../records'
import { ok, refused, type Result } from '../result'

/** What a card says of somebody. */
export interface Card {
  name: string
  work: string
  ways: { kind: 'mail' | 'phone' | 'address'; value: string }[]
  note: string
  zone: string | undefined
  /** A firm rather than one person. */
  isFirm: boolean
}

/** Most bytes of a file of cards. */
const most = 5_000_000

/**
 * Reads vCards (RFC 6350, and the older 3.0), several in a file.
 *
 * Refused, with the card's place in the file:
 * - what is no vCard, is cut off, or has a card without a name
 */
export function readCards(text: string): Result<Card[]> {
  if (text.length > most) return refused('This file is too large for cards: at most 5 MB.', 'file')
  const cards = text
    .replace(/^\uFEFF/u, '')
    .split(/^BEGIN:VCARD[ \t]*\r?$/imu)
    .slice(1)
  if (cards.length === 0)
    return refused('There is no card in it. A file of cards (.vcf) has lines “BEGIN:VCARD”.', 'file')
  const read: Card[] = []
  for (const [i, body] of cards.entries()) {
    const card = readCard(body)
    if (!card.ok) return refused(`Card ${i + 1}: ${card.problem.sentence}`, `cards.${i}`)
    read.push(card.value)
  }
  return ok(read)
}

/** Properties whose values have parts, with a semicolon between them. */
const inParts = /^(?:[\w-]+\.)?(?:N|ADR|ORG|GENDER|CLIENTPIDMAP)[;:]/iu
/** The name of a property with its parameters, and its value. */
const property = /^((?:[^":]|"[^"]*")*:)(.*)$/su

/** Lines unfolded, with “\;” in plain texts read as “;” (RFC 6350, 3.4), which the package leaves as it is. */
function withPlainSemicolons(body: string): string {
  return body
    .replace(/\r?\n[ \t]/gu, '')
    .split(/\r?\n/u)
    .map((line) => {
      const [, name, value] = inParts.test(line) ? [] : (property.exec(line) ?? [])
      if (name === undefined || value === undefined) return line
      return name + value.replace(/\\(.)/gsu, (pair, sign) => (sign === ';' ? ';' : pair))
    })
    .join('\r\n')
}

function readCard(body: string): Result<Card> {
  if (!/^END:VCARD[ \t]*\r?$/imu.test(body))
    return refused('it has no end (“END:VCARD”). Was the file cut off?', 'end')
  let component: ICAL.Component
  try {
    const parsed: unknown = ICAL.parse(`BEGIN:VCARD\r\n${withPlainSemicolons(body.trim())}\r\n`)
    component = new ICAL.Component(Array.isArray(parsed) ? parsed : [])
  } catch {
    return refused('one of its lines is not “NAME:value”. Save it anew from where it comes from.', 'line')
  }
  const texts = (name: string) =>
    component
      .getAllProperties(name)
      .map((p) => said(p.getFirstValue()))
      .filter((v) => v !== '')
  const structured = component.getFirstPropertyValue('n')
  const fromParts = Array.isArray(structured)
    ? [structured[1], structured[0]].map(said).filter(Boolean).join(' ')
    : ''
  const name = texts('fn')[0] ?? (fromParts || texts('org')[0])
  if (name === undefined || name === '') return refused('it has no name (“FN:”).', 'fn')
  const ways = [
    ...texts('email').map((value) => ({ kind: 'mail' as const, value: value.replace(/^mailto:/iu, '') })),
    ...texts('tel').map((value) => ({ kind: 'phone' as const, value: value.replace(/^tel:/iu, '') })),
    ...texts('url').map((value) => ({ kind: 'address' as const, value })),
  ]
  return ok({
    name,
    work: texts('title')[0] ?? texts('role')[0] ?? '',
    ways: ways.map((w) => ({ ...w, value: w.value.slice(0, 300) })),
    note: texts('note').join('\n'),
    zone: texts('tz').find((z) => z.includes('/')),
    isFirm: texts('kind')[0]?.toLowerCase() === 'org',
  })
}

function said(value: unknown): string {
  if (Array.isArray(value)) return value.map(said).filter(Boolean).join(' ')
  return typeof value === 'string' ? value.trim() : ''
}

/** A text as a value of a card (RFC 6350, 3.4). */
const escaped = (text: string) =>
  text.replace(/\\/gu, '\\\\').replace(/,/gu, '\\,').replace(/;/gu, '\\;').replace(/\r?\n/gu, '\\n')

/** A line folded at 75 octets (RFC 6350, 3.2). */
function foldedLine(line: string): string {
  const bytes = new TextEncoder()
  let [out, length] = ['', 0]
  for (const letter of line) {
    const size = bytes.encode(letter).length
    if (length + size > 75) {
      out += '\r\n '
      length = 1
    }
    out += letter
    length += size
  }
  return out
}

/** People as vCards 4.0 (RFC 6350). */
export function writeCards(people: readonly Person[]): string {
  return people
    .map((p) =>
      [
        'BEGIN:VCARD',
        'VERSION:4.0',
        `UID:${escaped(`person-${p.id}@lamp-reel.invalid`)}`,
        `KIND:${p.roles.includes('sponsor') ? 'org' : 'individual'}`,
        `FN:${escaped(p.name)}`,
        ...(p.work === '' ? [] : [`TITLE:${escaped(p.work)}`]),
        ...p.ways.map((w) =>
          w.kind === 'mail'
            ? `EMAIL:${escaped(w.value)}`
            : w.kind === 'phone'
              ? `TEL;VALUE=text:${escaped(w.value)}`
              : `URL:${escaped(w.value)}`,
        ),
        ...(p.zone === undefined ? [] : [`TZ:${escaped(p.zone)}`]),
        ...(p.note === '' ? [] : [`NOTE:${escaped(p.note)}`]),
        'END:VCARD',
      ]
        .map((line) => `${foldedLine(line)}\r\n`)
        .join(''),
    )
    .join('')
}
