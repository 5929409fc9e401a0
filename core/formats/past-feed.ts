import { XMLParser } from 'fast-xml-parser'
import type { PastRow, ReadPast } from '../past/row'
import { ok, refused, type Result } from '../result'
import { readTime } from '../script/timecode'

/** Largest feed that is read, letters. */
const most = 20_000_000

function isRow(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null
}
/** The text of an element, whether it has attributes or not. */
function textOf(value: unknown): string {
  if (typeof value === 'string' || typeof value === 'number') return String(value).trim()
  return isRow(value) ? textOf(value['#text'] ?? '') : ''
}
const plain = (html: string) =>
  html
    .replace(/<br\s*\/?>|<\/p>/gi, '\n')
    .replace(/<[^>]*>/g, '')
    .replace(/&(amp|lt|gt|quot|#39|nbsp);/g, (_, name: string) => named[name] ?? '')
    .replace(/\n{3,}/g, '\n\n')
    .trim()
const named: Readonly<Record<string, string>> = {
  amp: '&',
  lt: '<',
  gt: '>',
  quot: '"',
  '#39': '’',
  nbsp: ' ',
}

/**
 * The past of a show from its feed (RSS 2.0, with the elements of the open podcast namespace where they are there): an
 * episode each, by its title, date, number, length and address. Wrong ones are said by their place, the first is 1.
 * Refused where it is no feed.
 */
export function readPastFeed(text: string, now: number): Result<ReadPast & { title: string }> {
  if (text.length > most) return refused('The feed has over 20 MB; at most that is read.', 'file')
  // A feed refers to nothing outside itself, and defines no words of its own.
  if (/<!(DOCTYPE|ENTITY)/i.test(text))
    return refused('The file defines words of its own (DOCTYPE); no feed does. Save the feed anew.', 'file')
  const parser = new XMLParser({
    ignoreAttributes: false,
    attributeNamePrefix: '@',
    parseTagValue: false,
    parseAttributeValue: false,
    isArray: (name) => name === 'item',
  })
  let parsed: unknown
  try {
    parsed = parser.parse(text, true)
  } catch (fault) {
    // The parser says what is wrong, then the line and the column.
    const [, says = '', at = '1'] =
      /^(.*?):(\d+):\d+$/s.exec(fault instanceof Error ? fault.message : '') ?? []
    return refused(`Line ${at}: this is not whole XML. ${says}`.trim(), 'file')
  }
  const rss = isRow(parsed) ? parsed['rss'] : undefined
  const channel = isRow(rss) ? rss['channel'] : undefined
  if (!isRow(channel))
    return refused('This is no feed: there is no channel in it. Choose the file of a feed (RSS).', 'file')
  const items = Array.isArray(channel['item']) ? channel['item'] : []
  const read: ReadPast = { rows: [], faults: [] }
  items.forEach((item: unknown, i) => {
    const row = isRow(item) ? rowOf(item, i + 1, now) : 'It is empty.'
    if (typeof row === 'string') read.faults.push({ line: i + 1, sentence: row })
    else read.rows.push(row)
  })
  return ok({ ...read, title: textOf(channel['title']) })
}

function rowOf(item: Record<string, unknown>, line: number, now: number): PastRow | string {
  const title = plain(textOf(item['title'])).slice(0, 300)
  const at = Date.parse(textOf(item['pubDate']))
  if (title === '') return 'It has no title.'
  if (Number.isNaN(at)) return 'It does not say when it went out.'
  if (at > now) return 'It went out later than now. What comes belongs into the Schedule.'
  const number = textOf(item['podcast:episode'])
  // The duration is an element of several namespaces; whichever it is, its name ends so.
  const duration = Object.entries(item).find(([name]) => /(^|:)duration$/i.test(name))?.[1]
  const length = readTime(textOf(duration))
  const enclosure = item['enclosure']
  const address = textOf(item['link']) || (isRow(enclosure) ? textOf(enclosure['@url']) : '')
  const description = plain(textOf(item['description'])).slice(0, 20_000)
  return {
    ...{ line, title, at, topics: [], tags: [] },
    ...(/^\d{1,6}$/.test(number) && Number(number) > 0 ? { number: Number(number) } : {}),
    ...(length.ok && length.value > 0 ? { length: length.value } : {}),
    ...(/^https?:\/\//i.test(address) ? { address } : {}),
    ...(description === '' || description === title ? {} : { description }),
  }
}
