import { Extension } from '@tiptap/core'
import type { Node } from '@tiptap/pm/model'
import { isHistoryTransaction } from '@tiptap/pm/history'
import { Plugin, type EditorState, type Transaction } from '@tiptap/pm/state'
import type { Cue } from '@core/records'
import { cueOf, looseIn } from './convert'

/** Set on a transaction that takes a cue away on purpose: its id. */
export const removesCue = 'removesCue'

interface Anchor {
  cue: Cue
  /** Where its words begin, or its beat where it has none. */
  at: number
  /** Where its beat begins and ends, inside. */
  beat: { from: number; to: number }
}

const known = new WeakMap<Node, { cue: Cue; inner: number | undefined }[]>()

/** The cues of a beat with how far in their words begin; kept by node, since all but one are as they were. */
function cuesOf(node: Node): { cue: Cue; inner: number | undefined }[] {
  let cues = known.get(node)
  if (!cues) {
    const anchored: { cue: Cue; inner: number | undefined }[] = []
    node.forEach((child, inner) => {
      for (const mark of child.marks) {
        const cue = mark.type.name === 'cue' ? cueOf(mark.attrs) : undefined
        if (cue) anchored.push({ cue, inner })
      }
    })
    cues = [...looseIn(node.attrs['loose']).map((cue) => ({ cue, inner: undefined })), ...anchored]
    known.set(node, cues)
  }
  return cues
}

function anchorsIn(doc: Node): Map<string, Anchor> {
  const found = new Map<string, Anchor>()
  doc.forEach((node, offset) => {
    if (node.type.name !== 'beat') return
    const beat = { from: offset + 1, to: offset + node.nodeSize - 1 }
    for (const { cue, inner } of cuesOf(node))
      if (!found.has(cue.id))
        found.set(cue.id, { cue, at: inner === undefined ? offset : beat.from + inner, beat })
  })
  return found
}

/**
 * A cue whose words were rewritten belongs to its beat from then on; one whose beat is taken away whole goes with it.
 * Where its beat was joined to another, it belongs to that.
 */
function keepCues(old: EditorState, now: EditorState, done: readonly Transaction[], tr: Transaction): void {
  if (old.doc.eq(now.doc)) return
  const here = anchorsIn(now.doc)
  const removed = new Set(done.map((t): unknown => t.getMeta(removesCue)))
  for (const [id, anchor] of anchorsIn(old.doc)) {
    if (here.has(id) || removed.has(id)) continue
    let { from, to } = anchor.beat
    for (const t of done) [from, to] = [t.mapping.map(from, -1), t.mapping.map(to, 1)]
    // Words that went elsewhere in the same deed took their cue along; where nothing of the beat is left, it is gone.
    if (from >= to) continue
    const beat = now.doc.resolve(from).index(0)
    const node = beat < now.doc.childCount ? now.doc.child(beat) : undefined
    const at = now.doc.resolve(from).before(1)
    if (node?.type.name === 'beat')
      tr.setNodeAttribute(at, 'loose', [...looseIn(tr.doc.nodeAt(at)?.attrs['loose']), anchor.cue])
  }
}

/** The ids of a section's takes. */
function takesIn({ attrs }: Node): unknown[] {
  const takes: unknown = attrs['takes']
  return Array.isArray(takes) ? takes.map((t: { id?: unknown }) => t.id) : []
}

/** Every title, beat and cue has an id of its own, also what was split, pasted or copied. */
function ownIds(doc: Node, tr: Transaction, newId: () => string): void {
  const seen = new Set<unknown>()
  const cues = new Map<string, string>()
  doc.forEach((node, offset) => {
    const id: unknown = node.attrs['id']
    if (id === '' || seen.has(id)) {
      tr.setNodeAttribute(offset, 'id', newId())
      if (node.type.name === 'beat') tr.setNodeAttribute(offset, 'loose', [])
    }
    seen.add(id)
    // A section that was copied was not filmed twice.
    for (const take of takesIn(node)) {
      if (seen.has(take)) tr.setNodeAttribute(offset, 'takes', undefined)
      seen.add(take)
    }
    if (node.type.name === 'beat') cuesOnce(node, offset, tr, cues, newId)
  })
  looseOnce(tr, cues)
}

/** A cue whose words were put in again belongs to them alone. */
function looseOnce(tr: Transaction, anchored: ReadonlyMap<string, string>): void {
  tr.doc.forEach((node, offset) => {
    const loose = node.type.name === 'beat' ? looseIn(node.attrs['loose']) : []
    const left = loose.filter((c) => !anchored.has(c.id))
    if (left.length < loose.length) tr.setNodeAttribute(offset, 'loose', left)
  })
}

/** A cue that stands in two beats was copied: the second is one of its own, and still to be got. */
function cuesOnce(
  node: Node,
  offset: number,
  tr: Transaction,
  cues: Map<string, string>,
  newId: () => string,
) {
  const others = new Map<string, string>()
  const beat = `${offset}`
  node.forEach((child, inner) => {
    for (const mark of child.marks) {
      if (mark.type.name !== 'cue') continue
      const id = String(mark.attrs['id'])
      const owner = cues.get(id)
      if (owner === undefined) cues.set(id, beat)
      if (id !== '' && (owner ?? beat) === beat) continue
      const other = others.get(id) ?? newId()
      others.set(id, other)
      const from = offset + 1 + inner
      tr.removeMark(from, from + child.nodeSize, mark)
      tr.addMark(from, from + child.nodeSize, mark.type.create({ ...mark.attrs, id: other, got: false }))
    }
  })
}

/** What follows from a change so that ids stay apart and cues with their beats; nothing where nothing does. */
export function upkept(
  done: readonly Transaction[],
  old: EditorState,
  now: EditorState,
  newId: () => string,
): Transaction | null {
  if (!done.some((t) => t.docChanged)) return null
  const { tr } = now
  // What undo takes away was not rewritten.
  if (!done.some(isHistoryTransaction)) keepCues(old, now, done, tr)
  ownIds(tr.doc, tr, newId)
  return tr.docChanged ? tr : null
}

/** Keeps ids apart and cues with their beats, within the same step of undo as what was done. */
export const Upkeep = Extension.create<{ newId: () => string }>({
  name: 'upkeep',
  addOptions: () => ({ newId: () => '' }),
  addProseMirrorPlugins() {
    const { newId } = this.options
    return [new Plugin({ appendTransaction: (done, old, now) => upkept(done, old, now, newId) })]
  },
})
