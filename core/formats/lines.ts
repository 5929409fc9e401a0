import Papa from 'papaparse'
import { titleFromLink } from './links'

/** One idea as it was read from pasted text, before it is taken. */
export interface Draft {
  title: string
  note: string
  urls: string[]
  topics: string[]
  /** Ticked off in the text: offered, but left out at first. */
  ticked: boolean
}

const bullet = /^(\s*)(?:[-*+•–]|\d{1,3}[.)])\s+/
const box = /^\[( |x|X|✓)\]\s*/
const link = /https?:\/\/[^\s<>()"']+[^\s<>()"'.,;:!?]/g
const mdLink = /\[([^\]]*)\]\((https?:\/\/[^\s)]+)\)/g

/**
 * Reads a pasted block as ideas: a line each; Markdown and numbered lists, checkbox lists (a ticked one is
 * marked), lines indented under another as its note, headings as the topic of what follows, links as
 * sources; a block of CSV with a header by its columns. Lines longer than a title are cut there, the whole
 * line kept as the note. Nothing is refused; a blank text gives none.
 */
export function readLines(text: string): Draft[] {
  const csv = readCsv(text)
  if (csv) return csv
  const drafts: Draft[] = []
  let topic = ''
  let depth = 0
  for (const raw of text.replaceAll('\r', '').split('\n')) {
    const line = raw.replaceAll('\t', '    ').trimEnd()
    if (line.trim() === '' || /^\s*(?:[-*_]\s*){3,}$/.test(line)) continue
    const heading = /^#{1,6}\s+(.*?)\s*#*$/.exec(line)
    if (heading?.[1] !== undefined) {
      topic = heading[1]
      continue
    }
    const indent = line.length - line.trimStart().length
    const last = drafts.at(-1)
    const marked = bullet.test(line)
    if (last && indent > depth && (marked || indent >= 2)) {
      const said = unmarked(line)
      for (const url of linksOf(said)) if (!last.urls.includes(url)) last.urls.push(url)
      last.note = [last.note, said].filter(Boolean).join('\n')
      continue
    }
    depth = indent
    drafts.push(draftOf(line, topic))
  }
  return drafts
}

function unmarked(line: string): string {
  return line.replace(bullet, '').trim().replace(box, '')
}

function linksOf(text: string): string[] {
  return [
    ...new Set(
      [...text.matchAll(mdLink)].map((m) => m[2] ?? '').concat(text.replace(mdLink, '').match(link) ?? []),
    ),
  ]
}

/** One line as an idea. A line that is only a link gets its title from the link's own words. */
export function draftOf(line: string, topic = ''): Draft {
  const bare = line.replace(bullet, '').trim()
  const said = unmarked(line)
  const urls = linksOf(said)
  const words = said
    .replace(mdLink, '$1')
    .replace(link, '')
    .replace(/\s+/g, ' ')
    .replace(/[\s:,;–-]+$/, '')
    .trim()
  const title = words || titleFromLink(urls[0] ?? '') || said
  return {
    title: title.length > 300 ? `${title.slice(0, 299).trimEnd()}…` : title,
    note: title.length > 300 ? title : '',
    urls,
    topics: topic ? [topic] : [],
    ticked: /^\[(x|X|✓)\]/.test(bare),
  }
}

const titleNames = ['title', 'idea', 'working title', 'name', 'episode', 'subject']
const noteNames = ['note', 'notes', 'premise', 'description', 'why']
const topicNames = ['topic', 'topics', 'category', 'tag', 'tags']
const linkNames = ['link', 'links', 'url', 'source', 'sources']

/** A block of CSV by its header; nothing where the first line is no header with a title in it. */
function readCsv(text: string): Draft[] | undefined {
  const first = text.trimStart().split('\n')[0] ?? ''
  if (!/[,;\t]/.test(first)) return undefined
  const { data, meta } = Papa.parse<Record<string, string>>(text.trim(), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (h) => h.trim().toLowerCase(),
    delimitersToGuess: [',', ';', '\t'],
  })
  const fields = meta.fields ?? []
  const column = (names: readonly string[]) => fields.find((f) => names.includes(f))
  const title = column(titleNames)
  if (title === undefined || fields.length < 2) return undefined
  const cell = (row: Record<string, string>, name: string | undefined) =>
    name === undefined ? '' : (row[name] ?? '').trim()
  return data.flatMap((row): Draft[] => {
    const read = draftOf(cell(row, title))
    if (read.title === '') return []
    const links = cell(row, column(linkNames))
    return [
      {
        ...read,
        note: [read.note, cell(row, column(noteNames))].filter(Boolean).join('\n'),
        urls: [...new Set([...read.urls, ...linksOf(links)])],
        topics: cell(row, column(topicNames))
          .split(/[;,]/)
          .map((t) => t.trim())
          .filter(Boolean),
      },
    ]
  })
}

/** Two drafts as one: the second's title becomes part of the note. */
export function joined(first: Draft, second: Draft): Draft {
  return {
    title: first.title,
    note: [first.note, second.title, second.note].filter(Boolean).join('\n'),
    urls: [...new Set([...first.urls, ...second.urls])],
    topics: [...new Set([...first.topics, ...second.topics])],
    ticked: first.ticked && second.ticked,
  }
}

/** A draft as two, parted at a place in its title; what is blank on either side stays one. */
export function splitAt(draft: Draft, place: number): Draft[] {
  const [before, behind] = [
    draft.title.slice(0, place).trim(),
    draft.title
      .slice(place)
      .replace(/^[\s,;:–-]+/, '')
      .trim(),
  ]
  return before === '' || behind === ''
    ? [draft]
    : [
        { ...draft, title: before.replace(/[\s,;:–-]+$/, '') },
        { ...draft, title: behind, note: '', urls: [] },
      ]
}
