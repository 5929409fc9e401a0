/** One stretch of a script as it is written by hand. */
export interface HandBeat {
  text: string
  delivery: 'camera' | 'voice'
  /** Seconds of picture without words. */
  hold: number
  shot: string | undefined
}

/**
 * Reads a script: `# opening` begins the section of that id; each line is a beat, spoken to camera, or as
 * voice-over behind `v|`; `+20` holds the last beat for so many seconds; `[…]` is its shot.
 */
export function readScript(text: string): Map<string, HandBeat[]> {
  const sections = new Map<string, HandBeat[]>()
  let beats: HandBeat[] = []
  for (const line of text.split('\n').map((l) => l.trim())) {
    const last = beats.at(-1)
    if (line === '') continue
    if (line.startsWith('# ')) sections.set(line.slice(2), (beats = []))
    else if (line.startsWith('[') && last) last.shot = line.slice(1, -1)
    else if (line.startsWith('+') && last) last.hold = Number(line.slice(1))
    else
      beats.push({
        text: line.replace(/^v\| /, ''),
        delivery: line.startsWith('v| ') ? 'voice' : 'camera',
        hold: 0,
        shot: undefined,
      })
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
