import { Fragment, type Node } from '@tiptap/pm/model'
import { TextSelection, type Command, type EditorState } from '@tiptap/pm/state'
import type { Id, Promised } from '@core/records'
import { blockAt } from './moves'

/** Words that were promised: an offer's wording, a sponsor's read. */
export interface PromisedWords {
  promised: Promised
  text: string
}

function contentOf({ schema }: EditorState, text: string): Fragment {
  const { hardBreak } = schema.nodes
  return Fragment.from(
    text
      .split('\n')
      .flatMap((line, i) => [
        ...(i > 0 && hardBreak ? [hardBreak.create()] : []),
        ...(line === '' ? [] : [schema.text(line)]),
      ]),
  )
}

/** A child of the document by its id, and where it begins. */
function childBy(doc: Node, id: Id): { node: Node; at: number } | undefined {
  let found: { node: Node; at: number } | undefined
  doc.forEach((node, at) => {
    if (node.attrs['id'] === id) found = { node, at }
  })
  return found
}

/** Puts promised words behind a beat; where none is named, into the one at the caret if it is blank, else behind it. */
export function placePromised({ promised, text }: PromisedWords, behind?: Id): Command {
  return (state, dispatch) => {
    const { beat } = state.schema.nodes
    const here = blockAt(state)
    const there = behind === undefined ? here : childBy(state.doc, behind)
    if (!beat || !there) return false
    const content = contentOf(state, text)
    const { tr } = state
    const isBlank = behind === undefined && there.node.type === beat && there.node.content.size === 0
    const at = isBlank ? there.at : there.at + there.node.nodeSize
    if (isBlank) tr.insert(at + 1, content).setNodeAttribute(at, 'promised', promised)
    else tr.insert(at, beat.create({ promised }, content))
    dispatch?.(
      tr.setSelection(TextSelection.near(tr.doc.resolve(at + 1 + content.size), -1)).scrollIntoView(),
    )
    return true
  }
}

/** Says a beat in other promised words. Words that were typed into it since go; its cues stay with the beat. */
export function rewordPromised(id: Id, { promised, text }: PromisedWords): Command {
  return (state, dispatch) => {
    const there = childBy(state.doc, id)
    if (!there) return false
    const { node, at } = there
    const tr = state.tr.replaceWith(at + 1, at + 1 + node.content.size, contentOf(state, text))
    dispatch?.(tr.setNodeAttribute(at, 'promised', promised))
    return true
  }
}
