import type { Beat, Section } from '../records'

/** Makes ids for what a paste brings; the caller's source of new ids. */
export type NewId = () => string

/**
 * Plain text as beats: paragraphs parted by blank lines, or by single line breaks where there is no blank
 * one. Text in the same delivery as given. White space at the ends is dropped; nothing else is changed.
 */
export function beatsFrom(text: string, delivery: Beat['delivery'], id: NewId): Beat[] {
  const clean = text.replace(/\r\n?/g, '\n').trim()
  if (clean === '') return []
  const parts = /\n\s*\n/.test(clean) ? clean.split(/\n\s*\n+/) : clean.split('\n')
  return parts
    .map((p) => p.replace(/\s*\n\s*/g, ' ').trim())
    .filter((p) => p !== '')
    .map((p) => ({ id: id(), delivery, text: p, hold: 0, cues: [] }))
}

/**
 * A whole pasted script as sections: lines that begin with `#` (Markdown) or stand alone in capitals are
 * titles. Text before the first title goes under `first`. A text without titles is one section.
 */
export function sectionsFrom(text: string, first: string, id: NewId): Section[] {
  const sections: Section[] = []
  let title = first
  let lines: string[] = []
  const close = () => {
    const beats = beatsFrom(lines.join('\n'), 'camera', id)
    if (beats.length > 0 || title !== first) sections.push({ id: id(), title, beats })
    lines = []
  }
  for (const line of text.replace(/\r\n?/g, '\n').split('\n')) {
    const heading = titleOf(line)
    if (heading === undefined) lines.push(line)
    else {
      close()
      title = heading
    }
  }
  close()
  return sections
}

function titleOf(line: string): string | undefined {
  const marked = /^#{1,6}\s+(.+?)\s*#*$/.exec(line.trim())
  if (marked?.[1] !== undefined) return marked[1]
  const bare = line.trim()
  return /^\p{Lu}[\p{Lu}\d ,’'-]{3,60}$/u.test(bare) && /\p{Lu}{2}/u.test(bare)
    ? (bare.charAt(0) + bare.slice(1).toLowerCase()).replace(/\bi\b/g, 'I')
    : undefined
}
