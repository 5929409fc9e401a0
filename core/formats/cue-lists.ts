import Papa from 'papaparse'
import type { CueKind, Script } from '../records'
import { clipOf, cueKinds, numberedCues, uploadPlaces, type CueThere } from '../script/cues'
import { sayTime } from '../script/timecode'
import { guarded } from './formula'

/** Cues of some kinds, in the order of the script. */
export function cuesOfKinds(
  script: Pick<Script, 'sections'> | undefined,
  kinds: readonly CueKind[],
): CueThere[] {
  return numberedCues(script).filter((c) => kinds.includes(c.cue.kind))
}

const columns = [
  'Number',
  'Kind',
  'What',
  'Section',
  'Words',
  'Done',
  'Source',
  'Licence',
  'Place',
  'Time',
  'Clip',
]

/** Cues as CSV (RFC 4180), a row each. */
export function cueCsv(cues: readonly CueThere[]): string {
  const data = cues.map(({ number, cue, section, words }) =>
    [
      String(number),
      cueKinds[cue.kind].name,
      cue.text,
      section.title,
      words,
      cue.got ? 'yes' : 'no',
      cue.source ?? '',
      cue.licence ?? '',
      cue.place ? uploadPlaces[cue.place] : '',
      cue.at === undefined ? '' : sayTime(cue.at),
      clipOf(cue),
    ].map(guarded),
  )
  return `${Papa.unparse({ fields: columns, data })}\r\n`
}

/** A cue in one line: `3. tide table (0:41, The berth, own drawing)`. */
export function cueMarkdownLine({ number, cue, section }: CueThere): string {
  const at = cue.at === undefined ? undefined : sayTime(cue.at)
  const place = cue.place && uploadPlaces[cue.place]
  const more = [at, section.title, cue.source, cue.licence, place, clipOf(cue)]
  const said = more.filter((m) => m !== undefined && m.trim() !== '').join(', ')
  return `${number}. ${cue.text}${said === '' ? '' : ` (${said})`}`
}

/** Cues as Markdown: a list to tick for each kind, in the order of the kinds given. */
export function cueMarkdown(title: string, cues: readonly CueThere[], kinds: readonly CueKind[]): string {
  const lists = kinds.flatMap((kind) => {
    const mine = cues.filter((c) => c.cue.kind === kind)
    if (mine.length === 0) return []
    const lines = mine.map((c) => `- [${c.cue.got ? 'x' : ' '}] ${cueMarkdownLine(c)}`)
    return [`## ${cueKinds[kind].list}`, lines.join('\n')]
  })
  return `${[`# ${title}`, ...lists].join('\n\n')}\n`
}
