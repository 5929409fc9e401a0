import 'fake-indexeddb/auto'
import { getSchema } from '@tiptap/core'
import { Bold } from '@tiptap/extension-bold'
import { HardBreak } from '@tiptap/extension-hard-break'
import { Italic } from '@tiptap/extension-italic'
import { Text } from '@tiptap/extension-text'
import { EditorState, Plugin, type Transaction } from '@tiptap/pm/state'
import fc from 'fast-check'
import { effectScope, shallowRef } from 'vue'
import { jotIdea } from '@core/commands/ideas'
import { addShow } from '@core/commands/shows'
import { valueOf } from '@core/examples'
import type { Script, Section } from '@core/records'
import { Library } from '@app/data/library'
import { documentOf, sectionsOf } from './document/convert'
import { moveSection } from './document/moves'
import { BeatNode, CueMark, ScriptDocument, Title } from './document/nodes'
import { upkept } from './document/upkeep'
import { useDocument } from './useDocument'
import { runs } from '@core/runs'

/** The editor’s document without the page that shows it. */
class PlainEditor {
  readonly schema = getSchema([ScriptDocument, Title, BeatNode, CueMark, Text, Bold, Italic, HardBreak])
  state: EditorState
  readonly view = {
    updateState: (state: EditorState) => {
      this.state = state
    },
  }
  constructor(
    private readonly of: { sections: readonly Section[]; newId: () => string; changed: () => void },
  ) {
    const { sections, newId } = of
    const upkeep = new Plugin({ appendTransaction: (done, old, now) => upkept(done, old, now, newId) })
    const doc = this.schema.nodeFromJSON(documentOf(sections, newId))
    this.state = EditorState.create({ doc, plugins: [upkeep] })
  }
  does = (tr: Transaction) => {
    this.state = this.state.apply(tr)
    if (tr.docChanged) this.of.changed()
  }
  destroy = () => undefined
}
let mockEditor: PlainEditor | undefined
let mockLibrary: unknown
jest.mock('./document/editor', () => ({
  scriptEditor: (of: ConstructorParameters<typeof PlainEditor>[0]) => {
    mockEditor = new PlainEditor(of)
    return mockEditor
  },
}))
jest.mock('@app/stores/library', () => ({ useLibrary: () => mockLibrary }))
jest.mock('vue', () => ({
  ...jest.requireActual<object>('vue'),
  onMounted: (begin: () => void) => {
    begin()
  },
  onBeforeUnmount: jest.requireActual<{ onScopeDispose: unknown }>('vue').onScopeDispose,
}))
const nobody = { addEventListener: () => undefined, removeEventListener: () => undefined }
Object.assign(globalThis, { window: nobody, document: nobody })

let made = 0
/** A tab with the script of an episode open in it. */
async function tab(store: string) {
  const script = shallowRef<Script>()
  let episode = ''
  const library = new Library(store, {
    changed: () => {
      script.value = library.records.scripts.get(episode)
    },
    trouble: (problem) => {
      throw new Error(problem.sentence)
    },
  })
  valueOf(await library.open())
  let ids = 0
  const mark = `t${++made}-`
  const scope = effectScope()
  return {
    library,
    open: async (id: string) => {
      episode = id
      await library.ensure([id])
      script.value = library.records.scripts.get(id)
      mockLibrary = Object.assign(library, { newId: () => `${mark}${++ids}` })
      const found = scope.run(() =>
        useDocument({
          root: shallowRef(Object.create(null)),
          episode: () => id,
          script: () => script.value,
          beside: { deliver: () => undefined, section: () => undefined, said: () => undefined },
        }),
      )
      const editor = mockEditor
      if (!found || !editor) throw new Error('no document')
      return { ...found, plain: editor, library, newId: () => `${mark}${++ids}` }
    },
    end: () => {
      scope.stop()
      library.close()
    },
  }
}
type Open = Awaited<ReturnType<Awaited<ReturnType<typeof tab>>['open']>>

/** Where something of the document begins that one tab types in: the other one leaves it alone. */
function mineIn({ plain }: Open, which: number, n: number) {
  const found: { at: number; end: number }[] = []
  plain.state.doc.forEach((node, at) => {
    const id = String(node.attrs['id'])
    const sum = [...id].reduce((a, c) => a + c.charCodeAt(0), 0)
    if (node.type.name === 'beat' && sum % 2 === which) found.push({ at, end: at + node.nodeSize - 1 })
  })
  return found[n % Math.max(1, found.length)]
}

/** Does one thing in a tab; the word that was typed by it. */
function write(tab: Open, which: number, act: string, n: number, word: string): string | undefined {
  const { plain, newId } = tab
  const { state } = plain
  const mine = mineIn(tab, which, n)
  const beat = () =>
    plain.schema.node('beat', { id: newId(), delivery: 'camera', hold: 0, loose: [] }, [
      plain.schema.text(word),
    ])
  switch (act) {
    case 'type':
      if (!mine) return undefined
      plain.does(state.tr.insertText(` ${word}`, mine.end))
      return word
    case 'beat':
      if (!mine) return undefined
      plain.does(state.tr.insert(mine.end + 1, beat()))
      return word
    case 'section': {
      const title = plain.schema.node('title', { id: newId() }, [plain.schema.text(`Part-${word}`)])
      plain.does(state.tr.insert(state.doc.content.size, [title, beat()]))
      return word
    }
    default: {
      const many = sectionsOf(state.doc).length
      moveSection(n % many, (n * 7 + 1) % many)(state, plain.does)
      return undefined
    }
  }
}

const rest = (ms: number) =>
  new Promise((r) => {
    setTimeout(r, ms)
  })
/** What is written of a script; a beat to write in, where a section has none yet, is not. */
const written = (sections: readonly Section[]) =>
  JSON.stringify(sections.map((s) => ({ ...s, beats: s.beats.filter((b) => b.text !== '') })))
/** All words of a script. */
const wordsOf = (sections: readonly Section[]) =>
  sections
    .flatMap((s) => [s.title, ...s.beats.map((b) => b.text)])
    .join(' ')
    .split(/\s+/)

/** Tabs that are open. */
const opened: { end: () => void }[] = []
afterEach(() => {
  for (const t of opened.splice(0)) t.end()
})

const lives = runs(7)
let n = 0
test('two tabs write in one script: whatever is typed where is in it once, and both show the same in the end', async () => {
  let typed = 0
  const act = fc.record({
    which: fc.nat(1),
    act: fc.constantFrom('type', 'type', 'type', 'beat', 'section', 'move'),
    n: fc.nat(20),
    then: fc.constantFrom('go on', 'go on', 'hand over', 'wait', 'wait long'),
  })
  await fc.assert(
    fc.asyncProperty(fc.array(act, { minLength: 10, maxLength: 24 }), async (row) => {
      const store = `script ${++n}`
      const tabs = [await tab(store), await tab(store)] as const
      opened.push(...tabs)
      const [first] = tabs
      valueOf(
        await first.library.perform(addShow, {
          ...{ title: 'Tern & Tiller', kind: 'video', zone: 'UTC', time: '17:00', start: '2026-12-03' },
          ...{ rhythm: { kind: 'week', every: 1, weekdays: [3] }, hours: [60, 60, 60, 60, 60, 60, 60] },
        }),
      )
      const [show] = [...first.library.records.shows.values()]
      const jotted = await first.library.perform(jotIdea, { show: show?.id ?? '', line: 'Ribs' })
      const episode = valueOf(jotted).about[0] ?? ''
      await rest(5)
      const open = [await tabs[0].open(episode), await tabs[1].open(episode)] as const
      const words: string[] = []
      for (const { which, act, n, then } of row) {
        const here = which === 0 ? open[0] : open[1]
        const word = write(here, which, act, n, `w${words.length}`)
        if (word !== undefined) words.push(word)
        if (then === 'hand over') here.give()
        if (then.startsWith('wait')) await rest(then === 'wait' ? 1 : 12)
      }
      const stored = () => first.library.records.scripts.get(episode)?.sections ?? []
      const shown = () => open.map((o) => written(sectionsOf(o.plain.state.doc)))
      for (let i = 0; i < 60; i++) {
        for (const o of open) o.give()
        await Promise.all(tabs.map((t) => t.library.settled()))
        await rest(4)
        const [one, two] = shown()
        if (i > 3 && one === two && one === written(stored())) break
      }
      const all = wordsOf(stored())
      expect(words.filter((w) => all.filter((x) => x === w).length !== 1)).toEqual([])
      const [one, two] = shown()
      expect(one).toBe(two)
      typed += words.length
    }),
    { numRuns: lives, seed: 20_261_127, endOnFailure: true },
  )
  // How much depends on what either has heard by then.
  expect(typed).toBeGreaterThan(3 * lives)
})
