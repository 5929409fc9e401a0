import { Editor, Extension } from '@tiptap/core'
import { Bold } from '@tiptap/extension-bold'
import { HardBreak } from '@tiptap/extension-hard-break'
import { Italic } from '@tiptap/extension-italic'
import { Text } from '@tiptap/extension-text'
import { Dropcursor, UndoRedo } from '@tiptap/extensions'
import { textblockTypeInputRule } from '@tiptap/core'
import { closeHistory, undoDepth } from '@tiptap/pm/history'
import { TextSelection, type Command } from '@tiptap/pm/state'
import { search } from 'prosemirror-search'
import type { Section } from '@core/records'
import { documentOf } from './convert'
import { backOverTitle, leaveTitle } from './moves'
import { BeatNode, CueMark, ScriptDocument, Title } from './nodes'
import { Numbers } from './numbers'
import { fittedHtml, htmlOfText } from './pasted'
import { Upkeep } from './upkeep'
import { Views, type Beside } from './views'

/** Takes the caret as it stands in the page: the editor hears of a click a moment later than a key that follows at once. */
function readCaret({ view }: Editor): void {
  const { state } = view
  const page = view.dom.ownerDocument.getSelection()
  if (!view.hasFocus() || !(state.selection instanceof TextSelection) || !page?.anchorNode || !page.focusNode)
    return
  if (!view.dom.contains(page.anchorNode) || !view.dom.contains(page.focusNode)) return
  const anchor = view.posAtDOM(page.anchorNode, page.anchorOffset)
  const head = view.posAtDOM(page.focusNode, page.focusOffset)
  if (anchor === state.selection.anchor && head === state.selection.head) return
  const stands = TextSelection.between(state.doc.resolve(anchor), state.doc.resolve(head))
  view.dispatch(state.tr.setSelection(stands))
}

/** Runs a command of the document as a step of undo of its own, the caret staying in it. */
export function run(editor: Editor, command: Command): boolean {
  readCaret(editor)
  const isDone = command(editor.state, (tr) => {
    editor.view.dispatch(closeHistory(tr))
  })
  editor.view.focus()
  return isDone
}

/** Enter and Backspace about titles, "## " for a new one, and find. */
const Writing = Extension.create({
  name: 'writing',
  priority: 1000,
  addKeyboardShortcuts() {
    const { editor } = this
    const does = (command: Command) => () => {
      readCaret(editor)
      return command(editor.state, (tr) => {
        editor.view.dispatch(tr)
      })
    }
    return { Enter: does(leaveTitle), Backspace: does(backOverTitle) }
  },
  addInputRules() {
    const { title } = this.editor.schema.nodes
    return title ? [textblockTypeInputRule({ find: /^##\s$/, type: title })] : []
  },
  addProseMirrorPlugins: () => [search()],
})

/** An editor of a script in an element. `exhausted`: undo was asked for where nothing is left to undo. */
export function scriptEditor({
  element,
  sections,
  newId,
  beside,
  exhausted,
  changed,
  moved,
  left,
}: {
  element: HTMLElement
  sections: readonly Section[]
  newId: () => string
  beside: Beside
  exhausted: () => void
  changed: () => void
  moved: () => void
  left: () => void
}): Editor {
  return new Editor({
    element,
    injectCSS: false,
    extensions: [
      ScriptDocument,
      Title,
      BeatNode,
      CueMark,
      Text,
      Bold,
      Italic,
      HardBreak,
      UndoRedo.configure({ newGroupDelay: 700 }),
      Dropcursor.configure({ class: 'drop-line', width: 2 }),
      Writing,
      Upkeep.configure({ newId }),
      Views.configure({ beside }),
      Numbers,
    ],
    content: documentOf(sections, newId),
    editorProps: {
      attributes: {
        role: 'textbox',
        'aria-multiline': 'true',
        'aria-label': 'Script',
        class: 'script-document',
        spellcheck: 'true',
      },
      handleKeyDown: ({ state }, event) => {
        const isUndo = (event.ctrlKey || event.metaKey) && !event.shiftKey && event.key.toLowerCase() === 'z'
        if (!isUndo || undoDepth(state) > 0) return false
        event.preventDefault()
        exhausted()
        return true
      },
      transformPastedHTML: fittedHtml,
      handlePaste: (view, event) => {
        if (event.clipboardData?.types.includes('text/html')) return false
        const html = htmlOfText(event.clipboardData?.getData('text/plain') ?? '')
        return html === undefined ? false : view.pasteHTML(html)
      },
    },
    onUpdate: changed,
    onSelectionUpdate: moved,
    onBlur: left,
  })
}
