import { TextSelection, type Command, type EditorState } from '@tiptap/pm/state'
import type { Cue } from '@core/records'
import { attrsOf, cueOf, looseIn } from './convert'
import { removesCue } from './upkeep'

/** The words a new cue would belong to: what is selected of one beat, else the word at the caret. */
export function wordsHere(state: EditorState): { from: number; to: number } | undefined {
  const { $from, $to } = state.selection
  if ($from.parent.type.name !== 'beat') return undefined
  const start = $from.start()
  const end = $from.end()
  const [from, to] = [$from.pos, Math.min($to.pos, end)]
  const text = $from.parent.textBetween(0, $from.parent.content.size, undefined, '\n')
  const isWord = (i: number) => /[\p{L}\p{N}’'-]/u.test(text[i] ?? '')
  let [a, b] = [from - start, to - start]
  if (a === b) {
    while (a > 0 && isWord(a - 1)) a--
    while (b < text.length && isWord(b)) b++
  }
  while (a < b && /\s/.test(text[a] ?? '')) a++
  while (b > a && /\s/.test(text[b - 1] ?? '')) b--
  return a < b ? { from: start + a, to: start + b } : undefined
}

/** Notes a cue at the words of the selection; at the beat as a whole where there are none. */
export function addCue(cue: Cue): Command {
  return (state, dispatch) => {
    const { mark, tr } = { mark: state.schema.marks['cue'], tr: state.tr }
    const { $from } = state.selection
    if (!mark || $from.parent.type.name !== 'beat') return false
    const words = wordsHere(state)
    if (words) tr.addMark(words.from, words.to, mark.create(attrsOf(cue)))
    else tr.setNodeAttribute($from.before(), 'loose', [...looseIn($from.parent.attrs['loose']), cue])
    tr.setSelection(TextSelection.create(tr.doc, words?.to ?? $from.pos))
    dispatch?.(tr)
    return true
  }
}

/**
 * Changes a cue, wherever it stands; nothing takes it away. What is done in one `turn` is one step of undo, as what is
 * typed in a row is.
 */
export function changeCue(id: string, to: (cue: Cue) => Cue | undefined, turn: number): Command {
  return (state, dispatch) => {
    const { tr } = state
    const removed: string[] = []
    state.doc.descendants((node, at) => {
      const loose = node.type.name === 'beat' ? looseIn(node.attrs['loose']) : []
      if (loose.some((c) => c.id === id)) {
        const after = loose.flatMap((c) => (c.id === id ? (to(c) ?? []) : [c]))
        if (after.length < loose.length) removed.push(id)
        tr.setNodeAttribute(at, 'loose', after)
      }
      for (const mark of node.marks) {
        const cue = mark.type.name === 'cue' && mark.attrs['id'] === id ? cueOf(mark.attrs) : undefined
        if (!cue) continue
        const after = to(cue)
        tr.removeMark(at, at + node.nodeSize, mark)
        if (after) tr.addMark(at, at + node.nodeSize, mark.type.create(attrsOf(after)))
        else removed.push(id)
      }
    })
    if (!tr.docChanged) return false
    if (removed.length > 0) tr.setMeta(removesCue, id)
    dispatch?.(tr.setMeta('composition', turn))
    return true
  }
}
