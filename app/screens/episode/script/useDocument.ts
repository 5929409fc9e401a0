import { onBeforeUnmount, onMounted, shallowRef, watch, type Ref, type ShallowRef } from 'vue'
import { useDebounceFn, useEventListener } from '@vueuse/core'
import type { Editor } from '@tiptap/core'
import { EditorState, TextSelection } from '@tiptap/pm/state'
import { writeScript } from '@core/commands/episode'
import { merge3 } from '@core/commands/rebase'
import { Section, type Id, type Script } from '@core/records'
import { same } from '@core/records/same'
import { z } from 'zod/mini'
import { useLibrary } from '@app/stores/library'
import { documentOf, sectionsOf } from './document/convert'
import { scriptEditor } from './document/editor'
import type { Beside } from './document/views'

/** Typing that is not yet handed over waits this long at the most, ms: what a killed tab may lose. */
const soonest = 200

/** Where the caret stands, by what it stands in. */
function caretOf(editor: Editor): { id: unknown; inside: number } {
  const { $head } = editor.state.selection
  return { id: $head.depth > 0 ? $head.node(1).attrs['id'] : undefined, inside: $head.parentOffset }
}

/**
 * The script as a document to write in, and its sections as they stand in it. What is typed goes to the library when
 * typing rests, and at least every 200 ms; what comes from elsewhere is laid under what is being typed.
 */
export function useDocument({
  root,
  episode,
  script,
  beside,
}: {
  root: Ref<HTMLElement | null>
  episode: () => Id
  script: () => Script | undefined
  beside: Beside
}): {
  editor: ShallowRef<Editor | undefined>
  sections: ShallowRef<readonly Section[]>
  /** How often the caret moved: where it stands is read from the editor. */
  moves: Ref<number>
  give: () => void
} {
  const library = useLibrary()
  const { newId } = library
  const editor = shallowRef<Editor>()
  const sections = shallowRef<readonly Section[]>(script()?.sections ?? [])
  const moves = shallowRef(0)
  /** What the library was given last, or gave: against this stands what is typed. */
  let base: readonly Section[] = sections.value
  const under: (readonly Section[])[] = []
  let isPending = false

  function give() {
    if (!isPending || !editor.value) return
    isPending = false
    const now = sectionsOf(editor.value.state.doc)
    if (same(now, base)) return
    const wish = { kind: 'edit' as const, base, sections: now }
    base = now
    under.push(now)
    void library.perform(writeScript, { episode: episode(), wish }, 'quietly')
  }
  const rested = useDebounceFn(give, soonest, { maxWait: soonest })

  function take(stands: readonly Section[]) {
    const at = under.findIndex((s) => same(s, stands))
    if (at >= 0) {
      under.splice(0, at + 1)
      return
    }
    if (same(stands, base) || !editor.value) return
    const mine = sectionsOf(editor.value.state.doc)
    const both = isPending ? z.array(Section).safeParse(merge3(base, mine, stands)) : undefined
    base = stands
    under.length = 0
    lay(editor.value, both?.success ? both.data : stands)
  }

  /** Lays another document under the caret; what the editor could have undone was done to one that is gone. */
  function lay(at: Editor, to: readonly Section[]) {
    const caret = caretOf(at)
    const doc = at.schema.nodeFromJSON(documentOf(to, newId))
    let state = EditorState.create({ doc, plugins: at.state.plugins })
    doc.forEach((node, offset) => {
      if (node.attrs['id'] !== caret.id) return
      const inside = Math.min(caret.inside, node.content.size)
      state = state.apply(state.tr.setSelection(TextSelection.create(doc, offset + 1 + inside)))
    })
    at.view.updateState(state)
    sections.value = sectionsOf(doc)
    moves.value++
  }

  onMounted(() => {
    if (!root.value) return
    editor.value = scriptEditor({
      element: root.value,
      sections: base,
      newId,
      beside,
      // Where the editor has nothing left to undo, the program's own undo goes on from there.
      exhausted: () => {
        give()
        void library.step('undo')
      },
      changed: () => {
        if (!editor.value) return
        isPending = true
        sections.value = sectionsOf(editor.value.state.doc)
        void rested()
      },
      moved: () => {
        moves.value++
      },
      left: give,
    })
  })
  watch(() => script()?.sections ?? [], take)
  useEventListener(window, 'pagehide', give)
  useEventListener(document, 'visibilitychange', give)
  onBeforeUnmount(() => {
    give()
    editor.value?.destroy()
  })
  return { editor, sections, moves, give }
}
