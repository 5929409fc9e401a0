import { Fragment, type Node } from '@tiptap/pm/model'
import { TextSelection, type Command, type EditorState, type Transaction } from '@tiptap/pm/state'

/** The place of the beat or title in which the caret stands: its index, and where it begins. */
export function blockAt(state: EditorState): { index: number; at: number; node: Node } {
  const { $head } = state.selection
  const index = $head.depth === 0 ? Math.min($head.index(0), state.doc.childCount - 1) : $head.index(0)
  return { index, at: startOf(state.doc, index), node: state.doc.child(index) }
}

function startOf(doc: Node, index: number): number {
  let at = 0
  for (let i = 0; i < index; i++) at += doc.child(i).nodeSize
  return at
}

/** Puts the children of a document in another order, and the caret where it was in its own. */
function reordered(state: EditorState, order: readonly number[]): Transaction {
  const { doc, tr, selection } = state
  const { index, at } = blockAt(state)
  const inside = selection.head - at
  tr.replaceWith(0, doc.content.size, Fragment.from(order.map((i) => doc.child(i))))
  const now = order.indexOf(index)
  return tr.setSelection(TextSelection.near(tr.doc.resolve(startOf(tr.doc, now) + inside))).scrollIntoView()
}

/** The first and last index of each section: its title and the beats below it. */
export function sectionRanges(doc: Node): { from: number; to: number }[] {
  const ranges: { from: number; to: number }[] = []
  doc.forEach((node, _offset, i) => {
    if (node.type.name === 'title') ranges.push({ from: i, to: i + 1 })
    else {
      const last = ranges.at(-1)
      if (last) last.to = i + 1
    }
  })
  return ranges
}

const range = (from: number, to: number) => Array.from({ length: Math.max(0, to - from) }, (_, i) => from + i)

/** Moves a section so that it stands at another place among the sections, 0 for the first. */
export function moveSection(from: number, to: number): Command {
  return (state, dispatch) => {
    const ranges = sectionRanges(state.doc)
    const moved = ranges[from]
    if (!moved || from === to || to < 0 || to >= ranges.length) return false
    const rest = ranges.toSpliced(from, 1).toSpliced(to, 0, moved)
    dispatch?.(
      reordered(
        state,
        rest.flatMap((r) => range(r.from, r.to)),
      ),
    )
    return true
  }
}

/** Moves the beat in which the caret stands over its neighbour, into the next section too; in a title the whole section. */
export function moveHere(by: -1 | 1): Command {
  return (state, dispatch) => {
    const { index, node } = blockAt(state)
    if (node.type.name === 'title') {
      const section = sectionRanges(state.doc).findIndex((r) => r.from === index)
      return moveSection(section, section + by)(state, dispatch)
    }
    const other = index + by
    if (other < 1 || other >= state.doc.childCount) return false
    const order = range(0, state.doc.childCount)
    order[index] = other
    order[other] = index
    dispatch?.(reordered(state, order))
    return true
  }
}

/** Turns the beats that are selected to the other delivery, all to that which the first then has. */
export const turnDelivery: Command = (state, dispatch) => {
  const { from, to } = state.selection
  const { tr } = state
  let delivery: string | undefined
  state.doc.nodesBetween(from, to, (node, at) => {
    if (node.type.name !== 'beat') return true
    delivery ??= node.attrs['delivery'] === 'camera' ? 'voice' : 'camera'
    tr.setNodeAttribute(at, 'delivery', delivery)
    return false
  })
  if (delivery === undefined) return false
  dispatch?.(tr)
  return true
}

/** Takes a section away with all its beats; the last one is emptied. */
export function removeSection(id: string): Command {
  return (state, dispatch) => {
    const ranges = sectionRanges(state.doc)
    const found = ranges.find((r) => state.doc.child(r.from).attrs['id'] === id)
    if (!found) return false
    const [from, to] = [startOf(state.doc, found.from), startOf(state.doc, found.to)]
    const { tr } = state
    if (ranges.length > 1) tr.delete(from, to)
    else tr.delete(1, state.doc.child(0).nodeSize - 1).delete(2, tr.doc.content.size)
    dispatch?.(tr)
    return true
  }
}

/** Puts a new section behind the one in which the caret stands, the caret in its title. */
export const addSection: Command = (state, dispatch) => {
  const { index } = blockAt(state)
  const end = sectionRanges(state.doc).find((r) => index < r.to)?.to ?? state.doc.childCount
  const { title, beat } = state.schema.nodes
  if (!title || !beat) return false
  const at = startOf(state.doc, end)
  const tr = state.tr.insert(at, [title.create(), beat.create()])
  dispatch?.(tr.setSelection(TextSelection.create(tr.doc, at + 1)).scrollIntoView())
  return true
}

/** Makes a title of the beat in which the caret stands, or a beat of a title; the first title stays one. */
export const turnTitle: Command = (state, dispatch) => {
  const { index, at, node } = blockAt(state)
  const { title, beat } = state.schema.nodes
  if (!title || !beat || index === 0) return false
  const { tr } = state
  if (node.type === title) tr.setNodeMarkup(at, beat, { delivery: 'camera' })
  else tr.removeMark(at, at + node.nodeSize).setNodeMarkup(at, title, {})
  dispatch?.(tr)
  return true
}

/** Enter in a title: the caret goes into an empty beat below it, or what stands behind the caret becomes a beat. */
export const leaveTitle: Command = (state, dispatch) => {
  const { $from, empty } = state.selection
  const { index, at, node } = blockAt(state)
  const { beat } = state.schema.nodes
  if (node.type.name !== 'title' || !empty || !beat) return false
  const next = index + 1 < state.doc.childCount ? state.doc.child(index + 1) : undefined
  const end = at + node.nodeSize
  const rest = node.textContent.slice($from.parentOffset)
  const { tr } = state
  if (rest === '' && next?.type === beat && next.content.size === 0) {
    dispatch?.(tr.setSelection(TextSelection.create(tr.doc, end + 1)).scrollIntoView())
    return true
  }
  const delivery: unknown = next?.type === beat ? next.attrs['delivery'] : 'camera'
  tr.insert(end, beat.create({ delivery }, rest === '' ? null : state.schema.text(rest)))
  tr.delete($from.pos, end - 1)
  const to = end - rest.length + 1
  dispatch?.(tr.setSelection(TextSelection.create(tr.doc, to)).scrollIntoView())
  return true
}

/** Backspace at the start of the first beat below a title leaves the title alone: an empty beat goes, else the caret does. */
export const backOverTitle: Command = (state, dispatch) => {
  const { $from, empty } = state.selection
  const { index, at, node } = blockAt(state)
  if (!empty || $from.parentOffset !== 0 || index === 0) return false
  if (node.type.name === 'title') {
    if (node.content.size > 0) return turnTitle(state, dispatch)
    const tr = state.tr.delete(at, at + node.nodeSize)
    dispatch?.(tr.setSelection(TextSelection.near(tr.doc.resolve(at), -1)))
    return true
  }
  if (state.doc.child(index - 1).type.name !== 'title') return false
  const isOnly = state.doc.childCount <= index + 1 || state.doc.child(index + 1).type.name === 'title'
  const { tr } = state
  if (node.content.size === 0 && !isOnly) tr.delete(at, at + node.nodeSize)
  dispatch?.(tr.setSelection(TextSelection.near(tr.doc.resolve(at), -1)))
  return true
}

/** The first beat without a word behind the caret, else the first of all; nothing where all are written. */
export function unwrittenAfter(doc: Node, from: number): number | undefined {
  const blanks: number[] = []
  doc.forEach((node, offset) => {
    if (node.type.name === 'beat' && node.textContent.trim() === '') blanks.push(offset + 1)
  })
  return blanks.find((at) => at > from) ?? blanks[0]
}
