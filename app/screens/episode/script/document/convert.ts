import type { JSONContent } from '@tiptap/core'
import type { Mark, Node } from '@tiptap/pm/model'
import { Beat, Cue, Section, type Emphasis } from '@core/records'

const said = (value: string | undefined) => value ?? ''

/** A cue as the attributes of a mark. */
export function attrsOf(cue: Cue): Record<string, unknown> {
  const { id, kind, text, got, source, licence, place, shot, takes, at } = cue
  const words = { source: said(source), licence: said(licence), place: said(place) }
  const rest = shot || takes || at !== undefined ? JSON.stringify({ shot, takes, at }) : ''
  return { id, kind, text, got, ...words, rest }
}

/** What filming has said of a cue, from a mark: how it is filmed, its takes, where it was noted. */
function restIn(text: unknown): object {
  if (typeof text !== 'string' || text === '') return {}
  try {
    const read: unknown = JSON.parse(text)
    return typeof read === 'object' && read !== null ? read : {}
  } catch {
    return {}
  }
}

/** A cue from the attributes of a mark; nothing where they are of no cue. */
export function cueOf(attrs: Record<string, unknown>, range?: { from: number; to: number }): Cue | undefined {
  const { rest, ...own } = attrs
  const given = Object.entries(own).filter(([, value]) => value !== '' && value !== undefined)
  const read = Cue.safeParse({ text: '', ...Object.fromEntries(given), ...restIn(rest), ...range })
  return read.success ? read.data : undefined
}

const isAnchored = (cue: Cue, text: string) =>
  cue.from !== undefined && cue.to !== undefined && cue.from < cue.to && cue.to <= text.length

function pieces(beat: Beat): JSONContent[] {
  const { text } = beat
  const anchored = beat.cues.filter((c) => isAnchored(c, text))
  const marks = [
    ...anchored.map((c) => ({ from: c.from ?? 0, to: c.to ?? 0, mark: { type: 'cue', attrs: attrsOf(c) } })),
    ...(beat.emphasis ?? []).map((e) => ({ from: e.from, to: e.to, mark: { type: e.kind } })),
  ]
  const cuts = new Set([0, text.length, ...marks.flatMap((m) => [m.from, m.to])])
  for (let i = text.indexOf('\n'); i >= 0; i = text.indexOf('\n', i + 1)) cuts.add(i).add(i + 1)
  const edges = [...cuts].filter((c) => c <= text.length).sort((a, b) => a - b)
  return edges.slice(0, -1).map((from, i) => {
    const piece = text.slice(from, edges[i + 1])
    const on = marks.filter((m) => m.from <= from && from < m.to).map((m) => m.mark)
    if (piece === '\n') return { type: 'hardBreak', marks: on }
    return { type: 'text', text: piece, marks: on }
  })
}

/** Sections as a document; one without a beat gets one to write in, and no section at all is a title to write. */
export function documentOf(sections: readonly Section[], newId: () => string): JSONContent {
  if (sections.length === 0) return { type: 'doc', content: [{ type: 'title', attrs: { id: newId() } }] }
  const content = sections.flatMap(({ title, beats, ...attrs }) => [
    {
      type: 'title',
      attrs,
      content: title === '' ? [] : [{ type: 'text', text: title }],
    },
    ...(beats.length > 0
      ? beats
      : [{ id: newId(), delivery: 'camera' as const, text: '', hold: 0, cues: [] }]
    ).map((beat) => {
      // Whatever else a beat says of itself stands in its attributes, so that nothing of it is left out.
      const { text, cues, emphasis: _inMarks, ...attrs } = beat
      return {
        type: 'beat',
        attrs: { ...attrs, loose: cues.filter((c) => !isAnchored(c, text)) },
        content: pieces(beat),
      }
    }),
  ])
  return { type: 'doc', content }
}

/** A range of a beat's text under one mark. */
interface Under {
  mark: Mark
  from: number
  to: number
}

/** Marks of a beat with the ranges they cover; one that others part is still one. */
function marksIn(node: Node): { text: string; under: Under[] } {
  let text = ''
  const under: Under[] = []
  node.forEach((child) => {
    const from = text.length
    text += child.isText ? (child.text ?? '') : '\n'
    for (const mark of child.marks) {
      const isSame = (u: Under) =>
        mark.type.name === 'cue'
          ? u.mark.type === mark.type && u.mark.attrs['id'] === mark.attrs['id']
          : u.mark.eq(mark) && u.to === from
      const known = under.find(isSame)
      if (known) known.to = text.length
      else under.push({ mark, from, to: text.length })
    }
  })
  return { text, under }
}

const beats = new WeakMap<Node, Beat>()

/** A beat of the document as a record; the same for the same node, so that what is derived from it is kept. */
export function beatOf(node: Node): Beat {
  let beat = beats.get(node)
  if (!beat) {
    const { text, under } = marksIn(node)
    const cues = under.flatMap(({ mark, from, to }) =>
      mark.type.name === 'cue' ? (cueOf(mark.attrs, { from, to }) ?? []) : [],
    )
    const emphasis = under.flatMap(({ mark, from, to }): Emphasis[] => {
      const { name } = mark.type
      return name === 'bold' || name === 'italic' ? [{ kind: name, from, to }] : []
    })
    const given = Object.entries(node.attrs).filter(([, v]) => v !== undefined && v !== null)
    beat = Beat.parse({
      ...Object.fromEntries(given),
      text,
      cues: [...cues, ...looseIn(node.attrs['loose'])],
      ...(emphasis.length > 0 ? { emphasis } : {}),
    })
    beats.set(node, beat)
  }
  return beat
}

/** Cues that belong to a beat as a whole; they have no words. */
export function looseIn(loose: unknown): Cue[] {
  if (!Array.isArray(loose)) return []
  return loose.flatMap((c: unknown) => {
    const read = Cue.safeParse(c)
    if (!read.success) return []
    const { from: _from, to: _to, ...cue } = read.data
    return [cue]
  })
}

const sections = new WeakMap<Node, Section>()

function sectionOf(title: Node, of: Beat[]): Section {
  const known = sections.get(title)
  if (known?.beats.length === of.length && known.beats.every((b, i) => b === of[i])) return known
  const given = Object.entries(title.attrs).filter(([, v]) => v !== undefined && v !== null)
  const bare = { id: String(title.attrs['id']), title: title.textContent, beats: of }
  // What was put in from elsewhere may say of itself what no section can.
  const read = Section.safeParse({ ...Object.fromEntries(given), ...bare, beats: [] })
  const section = read.success ? { ...read.data, beats: of } : bare
  sections.set(title, section)
  return section
}

/** The document as sections; a lone title without a word is none. Unchanged beats and sections are the same values. */
export function sectionsOf(doc: Node): Section[] {
  const rows: { title: Node; beats: Beat[] }[] = []
  doc.forEach((node) => {
    if (node.type.name === 'title') rows.push({ title: node, beats: [] })
    else rows.at(-1)?.beats.push(beatOf(node))
  })
  const all = rows.map((r) => sectionOf(r.title, r.beats))
  const [only] = all
  const isBlank = all.length === 1 && only?.title === '' && only.beats.every((b) => b.text === '')
  return isBlank && only.beats.every((b) => b.cues.length === 0) ? [] : all
}
