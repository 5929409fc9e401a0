import type { CueKind, ShotPlan, UploadPlace } from '@core/records'

/** A cue as it is written by hand: what it asks for, and the words it belongs to. */
export interface HandCue {
  kind: CueKind
  text: string
  from?: number
  to?: number
  source?: string
  licence?: string
  place?: UploadPlace
  shot?: ShotPlan
}

/** One stretch of a script as it is written by hand. */
export interface HandBeat {
  text: string
  delivery: 'camera' | 'voice'
  /** Seconds of picture without words. */
  hold: number
  cues: HandCue[]
}

/** A section as it is written by hand: its beats, and the points that it makes, 0 for the first. */
export interface HandSection {
  beats: HandBeat[]
  serves: number[]
}

const kinds: Readonly<Record<string, Pick<HandCue, 'kind' | 'place'>>> = {
  find: { kind: 'find' },
  screen: { kind: 'screen' },
  graphic: { kind: 'graphic' },
  sound: { kind: 'sound' },
  edit: { kind: 'edit' },
  link: { kind: 'upload', place: 'link' },
  card: { kind: 'upload', place: 'card' },
}

/** Where and how a shot is filmed: “Yard, wide, sun, 12”; in the sun it needs daylight. */
function planFrom(how: string): ShotPlan {
  const [place = '', framing = '', light = '', minutes = '8'] = how.split(', ')
  return { place, framing, light, minutes: Number(minutes), ...(light === 'sun' ? { daylight: true } : {}) }
}

function cueFrom(line: string): HandCue {
  const [, name = '', rest = ''] = /^\[(?:(\w+)\| )?(.*)\]$/.exec(line) ?? []
  const [said = '', source, licence] = rest.split('; ')
  const [text = '', how] = said.split(' @ ')
  return {
    ...(kinds[name] ?? { kind: 'shot' }),
    text,
    ...(how === undefined ? {} : { shot: planFrom(how) }),
    ...(source === undefined ? {} : { source }),
    ...(licence === undefined ? {} : { licence }),
  }
}

/** A beat’s words without braces, and where those stood: words that cues belong to, in their order. */
function withoutBraces(line: string): { text: string; words: { from: number; to: number }[] } {
  const words: { from: number; to: number }[] = []
  let text = ''
  for (const piece of line.split(/([{}])/)) {
    const last = words.at(-1)
    if (piece === '{') words.push({ from: text.length, to: text.length })
    else if (piece === '}' && last) last.to = text.length
    else text += piece
  }
  return { text, words }
}

/**
 * Reads a script: `# opening` begins the section of that id, `# need 1 3` one that makes the first and third point;
 * each line is a beat, spoken to camera, or as voice-over behind `v|`; `+20` holds the last beat for so many seconds;
 * `[…]` is a shot of it, `[… @ Yard, wide, sun, 12]` one with its place, framing, light and minutes,
 * `[sound| …; source; licence]` another cue; words in braces are those that its cues belong to.
 */
export function readScript(text: string): Map<string, HandSection> {
  const sections = new Map<string, HandSection>()
  let beats: HandBeat[] = []
  let words: { from: number; to: number }[] = []
  for (const line of text.split('\n').map((l) => l.trim())) {
    const last = beats.at(-1)
    if (line === '') continue
    if (line.startsWith('# ')) {
      const [name = '', ...points] = line.slice(2).split(' ')
      beats = []
      sections.set(name, { beats, serves: points.map((p) => Number(p) - 1) })
    } else if (line.startsWith('[') && last) last.cues.push({ ...cueFrom(line), ...words.shift() })
    else if (line.startsWith('+') && last) last.hold = Number(line.slice(1))
    else {
      const read = withoutBraces(line.replace(/^v\| /, ''))
      words = read.words
      beats.push({
        text: read.text,
        delivery: line.startsWith('v| ') ? 'voice' : 'camera',
        hold: 0,
        cues: [],
      })
    }
  }
  return sections
}

/** The sentences of a text, as somebody would count them. */
export function sentencesOf(text: string): string[] {
  return text
    .split(/(?<=[.!?])\s+|\n+/)
    .map((s) => s.trim())
    .filter((s) => s !== '')
}
