import { group } from 'd3-array'
import { Extension } from '@tiptap/core'
import type { Node } from '@tiptap/pm/model'
import { Plugin, PluginKey } from '@tiptap/pm/state'
import { Decoration, DecorationSet } from '@tiptap/pm/view'
import type { Remark } from '@core/script/copy-edit'

/** What is drawn over the words: the numbers of cues, quiet marks under what was remarked, the cue in hand. */
export class Drawn {
  private readonly known: ReadonlySet<Node>

  constructor(
    readonly remarks: readonly Remark[],
    readonly active: string | undefined,
    doc?: Node,
  ) {
    this.known = new Set(doc?.children)
  }

  /** Remarks are of the words as they were read; what is being typed in is not marked until it rests. */
  holds(node: Node): boolean {
    return this.known.has(node)
  }
}
export const drawnKey = new PluginKey<{ drawn: Drawn; set: DecorationSet }>('numbers')

/** A cue’s words, and the last piece of them, behind which its number stands. */
interface Words {
  id: string
  from: number
  last: number
  to: number
}

/** The words of cues in the order in which they begin, as in the margin. */
function cuesOf(node: Node, inside: number): Words[] {
  const cues = new Map<string, Words>()
  node.forEach((child, offset) => {
    for (const mark of child.marks) {
      if (mark.type.name !== 'cue') continue
      const id = String(mark.attrs['id'])
      const [from, to] = [inside + offset, inside + offset + child.nodeSize]
      cues.set(id, { id, from: cues.get(id)?.from ?? from, last: from, to })
    }
  })
  return [...cues.values()]
}

function decorations(doc: Node, drawn: Drawn): DecorationSet {
  const { remarks, active } = drawn
  const all: Decoration[] = []
  const byBeat = group(remarks, (r) => r.beat)
  let number = 0
  doc.forEach((node, at) => {
    if (node.type.name !== 'beat') return
    const inside = at + 1
    for (const { id, from, last, to } of cuesOf(node, inside)) {
      number++
      // Drawn by the style sheet: an element among the words would be in the caret’s way.
      const sign = { nodeName: 'span', class: 'cue-end', 'data-number': String(number), 'data-of': id }
      all.push(Decoration.inline(last, to, sign))
      if (id === active) all.push(Decoration.inline(from, to, { class: 'in-hand' }))
    }
    const loose: unknown = node.attrs['loose']
    if (Array.isArray(loose)) number += loose.length
    if (!drawn.holds(node)) return
    for (const { from, to, kind, says } of byBeat.get(String(node.attrs['id'])) ?? [])
      if (to <= node.content.size)
        all.push(Decoration.inline(inside + from, inside + to, { class: `remark ${kind}`, title: says }))
  })
  return DecorationSet.create(doc, all)
}

/** Numbers and quiet marks, drawn anew with every change of the document. */
export const Numbers = Extension.create({
  name: 'numbers',
  addProseMirrorPlugins() {
    const empty = new Drawn([], undefined)
    return [
      new Plugin({
        key: drawnKey,
        state: {
          init: (_, state) => ({ drawn: empty, set: decorations(state.doc, empty) }),
          apply: (tr, was) => {
            const given: unknown = tr.getMeta(drawnKey)
            const drawn = given instanceof Drawn ? given : was.drawn
            return drawn === was.drawn && !tr.docChanged ? was : { drawn, set: decorations(tr.doc, drawn) }
          },
        },
        props: { decorations: (state) => drawnKey.getState(state)?.set },
      }),
    ]
  },
})
