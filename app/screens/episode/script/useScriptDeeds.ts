import { computed, ref, shallowRef, type Ref } from 'vue'
import type { Editor } from '@tiptap/core'
import { TextSelection, type Command } from '@tiptap/pm/state'
import { factWords } from '@core/catalogue/facts'
import { writeScript } from '@core/commands/episode'
import type { Cue, CueKind, Id, Script, Section } from '@core/records'
import { spokenIn } from '@core/script/spoken'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { addCue, changeCue as changed } from './document/cue-deeds'
import { run } from './document/editor'
import {
  addSection,
  blockAt,
  moveHere,
  moveSection,
  removeSection,
  turnDelivery,
  turnTitle,
  unwrittenAfter,
} from './document/moves'
import { useRemarks, useSayings, useTimes } from './useBeside'
import type { Sayings } from './document/views'
import { usePromised } from './usePromised'
import { useDocument } from './useDocument'

/** What can be done in a script: at the caret, with its sections, with its cues. */
export function useScriptDeeds(root: Ref<HTMLElement | null>, card: () => Card) {
  const library = useLibrary()
  const { newId } = library
  const menuOf = shallowRef<{ id: Id; top: number }>()
  const active = ref<Id>()
  const fresh = ref<Id>()
  const document = useDocument({
    root,
    episode: () => card().episode.id,
    script: () => card().script,
    beside: {
      deliver: (at) => {
        select(at + 1)
        act(turnDelivery)
      },
      section: (id, at) => {
        menuOf.value = { id, top: topOf(at) }
      },
      said: (id) => sayings.value.get(id),
    },
  })
  const { editor, sections, moves } = document
  const script = computed<Script>(() => ({
    ...(card().script ?? { id: card().episode.id, createdAt: '', updatedAt: '' }),
    sections: [...sections.value],
  }))
  const promised = usePromised(script, card, act)
  const sayings: Ref<ReadonlyMap<Id, Sayings>> = useSayings(script, card, promised.labels)
  useTimes(root, sayings)
  let kind: CueKind = 'shot'
  let turn = 1

  function act(command: Command): boolean {
    return editor.value ? run(editor.value, command) : false
  }
  function topOf(at: number): number {
    const box = root.value?.getBoundingClientRect()
    return (editor.value?.view.coordsAtPos(at + 1).bottom ?? 0) - (box?.top ?? 0) + 4
  }
  function select(at: number) {
    act((state, dispatch) => {
      const to = TextSelection.near(state.doc.resolve(Math.min(at, state.doc.content.size)))
      dispatch?.(state.tr.setSelection(to).scrollIntoView())
      return true
    })
  }
  /** Where a title or beat begins in the document. */
  function placeOf(id: Id): number | undefined {
    let found: number | undefined
    editor.value?.state.doc.forEach((node, offset) => {
      if (node.attrs['id'] === id) found = offset
    })
    return found
  }
  const here = computed(() => {
    // The caret is the editor’s; both say when to look.
    const isThere = moves.value >= 0 && sections.value.length >= 0
    return isThere && editor.value ? hereIn(editor.value) : { section: undefined, beat: undefined }
  })

  const { remarks, read } = useRemarks(editor, script, active)

  return {
    editor,
    sections,
    script,
    here,
    active,
    fresh,
    remarks,
    read,
    promised,
    /** Hands over what is typed at once. */
    give: document.give,
    isUnwritten: computed(() =>
      sections.value.some(
        (s) => spokenIn(script.value, s) !== 'free' && s.beats.some((b) => b.text.trim() === ''),
      ),
    ),
    deliver: () => act(turnDelivery),
    move: (by: -1 | 1) => act(moveHere(by)),
    title: () => act(turnTitle),
    addSection: () => act(addSection),
    next: () => {
      if (!editor.value) return
      const at = unwrittenAfter(editor.value.state.doc, editor.value.state.selection.head)
      if (at !== undefined) select(at)
    },
    goTo: (id: Id) => {
      const at = placeOf(id)
      if (at === undefined) return
      select(at + 1)
      const element: unknown = editor.value?.view.nodeDOM(at)
      if (element instanceof HTMLElement) element.scrollIntoView({ block: 'center' })
    },
    moveTo: (from: number, to: number) => act(moveSection(from, to)),
    cue: () => {
      const cue: Cue = { id: newId(), kind, text: '', got: false }
      if (!act(addCue(cue))) return
      active.value = cue.id
      fresh.value = cue.id
    },
    changeCue: (id: Id, to: (cue: Cue) => Cue | undefined) => {
      if (!editor.value) return
      const change = (cue: Cue) => {
        const after = to(cue)
        kind = after?.kind ?? kind
        return after
      }
      changed(
        id,
        change,
        turn,
      )(editor.value.state, (tr) => {
        editor.value?.view.dispatch(tr)
      })
    },
    enter: (id: Id) => {
      turn++
      active.value = id
    },
    /** Opens a cue where it stands. */
    show: (id: Id) => {
      active.value = id
      root.value?.querySelector(`[data-of="${CSS.escape(id)}"]`)?.scrollIntoView({ block: 'center' })
    },
    back: () => {
      active.value = undefined
      fresh.value = undefined
      editor.value?.view.focus()
    },
    dismiss: () => {
      if (!editor.value) return
      const { beat, inside } = hereIn(editor.value)
      const found = remarks.value.find((r) => r.beat === beat && r.from <= inside && inside <= r.to)
      if (!found) return
      const wish = { kind: 'dismiss' as const, remark: found.key }
      void library.perform(writeScript, { episode: card().episode.id, wish }, 'quietly')
    },
    /** The words that are selected, else the sentence at the caret, and the beat that they stand in. */
    chosen: () => {
      if (!editor.value) return undefined
      const { beat } = hereIn(editor.value)
      const { $from, $to } = editor.value.state.selection
      const text = $from.parent.textBetween(0, $from.parent.content.size, undefined, '\n')
      const to = $to.sameParent($from) ? $to.parentOffset : text.length
      const words = beat === undefined ? '' : factWords(text, $from.parentOffset, to)
      return beat === undefined || words === '' ? undefined : { beat, words }
    },
    menu: computed(() => {
      const section = sections.value.find((s) => s.id === menuOf.value?.id)
      return section && menuOf.value ? { section, top: menuOf.value.top } : undefined
    }),
    /** Opens what can be done with the section in which the caret stands. */
    openMenu: () => {
      const { section } = here.value
      const at = section === undefined ? undefined : placeOf(section)
      if (section !== undefined && at !== undefined) menuOf.value = { id: section, top: topOf(at) }
    },
    closeMenu: (back: boolean) => {
      menuOf.value = undefined
      if (back) editor.value?.view.focus()
    },
    changeSection: (to: Partial<Pick<Section, 'spoken' | 'lasts' | 'serves'>>) => {
      const at = menuOf.value && placeOf(menuOf.value.id)
      if (at === undefined || !editor.value) return
      const { tr } = editor.value.state
      for (const [name, value] of Object.entries(to)) tr.setNodeAttribute(at, name, value)
      editor.value.view.dispatch(tr)
    },
    moveMenu: (by: -1 | 1) => {
      const from = sections.value.findIndex((s) => s.id === menuOf.value?.id)
      menuOf.value = undefined
      act(moveSection(from, from + by))
    },
    removeMenu: () => {
      const id = menuOf.value?.id
      menuOf.value = undefined
      if (id !== undefined) act(removeSection(id))
    },
  }
}

/** The section and beat in which the caret stands, and how far in. */
function hereIn({ state }: Editor): { section: Id | undefined; beat: Id | undefined; inside: number } {
  const { index, node } = blockAt(state)
  let section: Id | undefined
  for (let i = index; i >= 0 && section === undefined; i--) {
    const above = state.doc.child(i)
    if (above.type.name === 'title') section = String(above.attrs['id'])
  }
  const beat = node.type.name === 'beat' ? String(node.attrs['id']) : undefined
  return { section, beat, inside: state.selection.$head.parentOffset }
}
