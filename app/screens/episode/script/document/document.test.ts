import { getSchema } from '@tiptap/core'
import { Bold } from '@tiptap/extension-bold'
import { HardBreak } from '@tiptap/extension-hard-break'
import { Italic } from '@tiptap/extension-italic'
import { Text } from '@tiptap/extension-text'
import { history, undo } from '@tiptap/pm/history'
import { EditorState, Plugin, TextSelection, type Command } from '@tiptap/pm/state'
import fc from 'fast-check'
import type { Cue, Section } from '@core/records'
import { documentOf, sectionsOf } from './convert'
import { addCue, changeCue, wordsHere } from './cue-deeds'
import {
  addSection,
  backOverTitle,
  leaveTitle,
  moveHere,
  removeSection,
  turnDelivery,
  turnTitle,
} from './moves'
import { BeatNode, CueMark, ScriptDocument, Title } from './nodes'
import { upkept } from './upkeep'

const schema = getSchema([ScriptDocument, Title, BeatNode, CueMark, Text, Bold, Italic, HardBreak])
let made = 0
const newId = () => `new${made++}`
const cue = (id: string, fields: Partial<Cue> = {}): Cue => ({
  id,
  kind: 'shot',
  text: id,
  got: false,
  ...fields,
})
const beat = (id: string, text: string, cues: Cue[] = []) => ({
  id,
  delivery: 'camera' as const,
  text,
  hold: 0,
  cues,
})
const script: Section[] = [
  {
    id: 'hook',
    title: 'Hook',
    beats: [beat('h1', 'The plane and the adze.', [cue('plane', { from: 4, to: 9 })])],
  },
  { id: 'body', title: 'Body', beats: [beat('b1', 'One.'), beat('b2', 'Two.')], serves: [1] },
]

function began(sections: readonly Section[] = script): EditorState {
  const doc = schema.nodeFromJSON(documentOf(sections, newId))
  const upkeep = new Plugin({ appendTransaction: (done, old, now) => upkept(done, old, now, newId) })
  return EditorState.create({ doc, plugins: [history({ newGroupDelay: 0 }), upkeep] })
}
/** The state with the caret in a beat or title, or a range of it selected. */
function at(state: EditorState, id: string, from: number, to = from): EditorState {
  let start = -1
  state.doc.forEach((node, offset) => {
    if (node.attrs['id'] === id) start = offset + 1
  })
  return state.apply(state.tr.setSelection(TextSelection.create(state.doc, start + from, start + to)))
}
function did(state: EditorState, command: Command): EditorState {
  let after = state
  expect(command(state, (tr) => (after = state.apply(tr)))).toBe(true)
  return after
}
const shape = (state: EditorState) =>
  sectionsOf(state.doc).map((s) => `${s.title}: ${s.beats.map((b) => b.text).join(' | ')}`)
const cuesOf = (state: EditorState) => sectionsOf(state.doc).flatMap((s) => s.beats.flatMap((b) => b.cues))

test('a script comes back from the document as it went in', () => {
  const ids = fc.stringMatching(/^[a-z0-9]{6}$/)
  const text = fc.array(fc.constantFrom('oak ', 'rib', '\n', '. ', 'ß', '🪵')).map((bits) => bits.join(''))
  const beats = fc.record({
    text,
    range: fc.tuple(fc.nat(20), fc.nat(20)),
    loose: fc.boolean(),
    bold: fc.boolean(),
  })
  fc.assert(
    fc.property(
      fc.uniqueArray(ids, { minLength: 12, maxLength: 12 }),
      fc.array(beats, { minLength: 1, maxLength: 3 }),
      (names, row) => {
        const [title = '', ...rest] = names
        const sections: Section[] = [
          {
            id: title,
            title: 'Hook',
            serves: [0, 2],
            beats: row.map((r, i) => {
              const [a, b] = [
                Math.min(...r.range, r.text.length),
                Math.min(Math.max(...r.range), r.text.length),
              ]
              const words = a < b && !r.loose ? { from: a, to: b } : {}
              return {
                ...beat(rest[i] ?? '', r.text, [cue(rest[i + 3] ?? '', words)]),
                ...(r.bold && a < b ? { emphasis: [{ kind: 'bold' as const, from: a, to: b }] } : {}),
              }
            }),
          },
        ]
        expect(sectionsOf(schema.nodeFromJSON(documentOf(sections, newId)))).toEqual(sections)
      },
    ),
  )
})

test('no section is a title to write, and comes back as none', () => {
  expect(sectionsOf(schema.nodeFromJSON(documentOf([], newId)))).toEqual([])
})

test('what did not change is the same value', () => {
  const state = began()
  const before = sectionsOf(state.doc)
  const after = sectionsOf(state.apply(state.tr.insertText('Now ', at(state, 'b2', 0).selection.from)).doc)
  expect(after[0]).toBe(before[0])
  expect(after[1]?.beats[0]).toBe(before[1]?.beats[0])
  expect(after[1]?.beats[1]?.text).toBe('Now Two.')
})

test('beats and whole sections move by keys, the caret with them', () => {
  const moved = did(at(began(), 'b1', 2), moveHere(-1))
  expect(shape(moved)).toEqual(['Hook: The plane and the adze. | One.', 'Body: Two.'])
  expect(moved.selection.$head.parentOffset).toBe(2)
  expect(shape(did(at(began(), 'body', 1), moveHere(-1)))).toEqual([
    'Body: One. | Two.',
    'Hook: The plane and the adze.',
  ])
  expect(moveHere(-1)(at(began(), 'hook', 0))).toBe(false)
})

test('titles are made of beats and back, sections added and taken away', () => {
  expect(shape(did(at(began(), 'b2', 0), turnTitle))).toEqual([
    'Hook: The plane and the adze.',
    'Body: One.',
    'Two.: ',
  ])
  expect(shape(did(at(began(), 'body', 0), backOverTitle))).toEqual([
    'Hook: The plane and the adze. | Body | One. | Two.',
  ])
  expect(shape(did(at(began(), 'h1', 0), addSection))).toEqual([
    'Hook: The plane and the adze.',
    ': ',
    'Body: One. | Two.',
  ])
  expect(shape(did(began(), removeSection('hook')))).toEqual(['Body: One. | Two.'])
  expect(shape(did(did(began(), removeSection('hook')), removeSection('body')))).toEqual([])
})

test('Enter in a title makes a beat of what stands behind the caret; Backspace below it leaves it alone', () => {
  expect(shape(did(at(began(), 'hook', 2), leaveTitle))).toEqual([
    'Ho: ok | The plane and the adze.',
    'Body: One. | Two.',
  ])
  const back = did(at(began(), 'b1', 0), backOverTitle)
  expect(shape(back)).toEqual(shape(began()))
  expect(back.selection.$head.parent.textContent).toBe('Body')
})

test('delivery turns for all beats that are selected', () => {
  const state = at(began(), 'b1', 1)
  const both = state.apply(
    state.tr.setSelection(TextSelection.create(state.doc, state.selection.from, state.doc.content.size - 1)),
  )
  const turned = sectionsOf(did(both, turnDelivery).doc)[1]?.beats.map((b) => b.delivery)
  expect(turned).toEqual(['voice', 'voice'])
})

test('a cue is noted at the words selected, without spaces around them, or at the word of the caret', () => {
  const selected = at(began(), 'h1', 13, 22)
  expect(cuesOf(did(selected, addCue(cue('adze')))).find((c) => c.id === 'adze')).toMatchObject({
    from: 14,
    to: 22,
  })
  const word = wordsHere(at(began(), 'h1', 6))
  expect(word && began().doc.textBetween(word.from, word.to)).toBe('plane')
  expect(
    cuesOf(did(at(began([{ id: 'x', title: 'X', beats: [beat('x1', '')] }]), 'x1', 0), addCue(cue('c')))),
  ).toEqual([cue('c')])
})

test('a cue is changed and removed; undo brings it back', () => {
  const named = did(
    began(),
    changeCue('plane', (c) => ({ ...c, text: 'Low', kind: 'graphic' }), 1),
  )
  expect(cuesOf(named)).toEqual([cue('plane', { text: 'Low', kind: 'graphic', from: 4, to: 9 })])
  const gone = did(
    named,
    changeCue('plane', () => undefined, 2),
  )
  expect(cuesOf(gone)).toEqual([])
  expect(cuesOf(did(gone, undo))).toHaveLength(1)
})

test('a cue whose words are rewritten stays with its beat; with the whole beat it goes', () => {
  const state = at(began(), 'h1', 4, 9)
  const rewritten = state.apply(state.tr.insertText('saw'))
  expect(cuesOf(rewritten)).toEqual([cue('plane')])
  expect(cuesOf(did(rewritten, undo))).toEqual([cue('plane', { from: 4, to: 9 })])
  const { from } = at(began(), 'h1', 0).selection
  const deleted = began().apply(began().tr.delete(from - 1, from + 'The plane and the adze.'.length + 1))
  expect(cuesOf(deleted)).toEqual([])
})

test('words that are cut and put in elsewhere take their cue along; copied, the second is one of its own', () => {
  const state = at(began(), 'h1', 4, 9)
  const slice = state.selection.content()
  const cut = state.apply(state.tr.deleteSelection())
  const there = at(cut, 'b2', 0)
  const pasted = there.apply(there.tr.replaceSelection(slice))
  expect(sectionsOf(pasted.doc)[1]?.beats[1]).toMatchObject({
    text: 'planeTwo.',
    cues: [cue('plane', { from: 0, to: 5 })],
  })
  expect(cuesOf(pasted)).toHaveLength(1)
  const copy = at(state, 'b2', 0)
  const twice = cuesOf(copy.apply(copy.tr.replaceSelection(slice)))
  expect(twice.map((c) => c.text)).toEqual(['plane', 'plane'])
  expect(new Set(twice.map((c) => c.id)).size).toBe(2)
})

test('a beat that is split or pasted again gets an id of its own', () => {
  const state = at(began(), 'b1', 2)
  const split = state.apply(state.tr.split(state.selection.from))
  const ids = sectionsOf(split.doc)[1]?.beats.map((b) => b.id) ?? []
  expect(ids).toHaveLength(3)
  expect(new Set(ids).size).toBe(3)
})

test('a section that is copied keeps how it is spoken, and has no takes of its own', () => {
  const take = { id: 'take', at: '2026-11-24T09:00:00.000Z', seconds: 30, kept: true, reason: '' }
  const state = began(
    script.map((s) => (s.id === 'body' ? { ...s, spoken: 'points' as const, takes: [take] } : s)),
  )
  const title = at(state, 'body', 0).selection.$head.parent
  const twice = state.apply(state.tr.insert(state.doc.content.size, title.copy(title.content)))
  const [, body, copy] = sectionsOf(twice.doc)
  expect([body?.takes?.length, copy?.takes, copy?.spoken]).toEqual([1, undefined, 'points'])
  expect(copy?.id).not.toBe('body')
})

test('takes, how a shot is filmed and where a remark was noted go through the editor unchanged', () => {
  const take = { id: 't', at: '2026-11-24T09:00:00.000Z', seconds: 12, kept: true, reason: '', clip: 'C7' }
  const shot = { place: 'Bench', after: ['other'], could: true }
  const kept: Section[] = [
    {
      id: 'hook',
      title: 'Hook',
      beats: [
        beat('h1', 'The plane.', [
          cue('plane', { from: 4, to: 9, shot, takes: [take] }),
          cue('note', { kind: 'edit', at: 0 }),
        ]),
      ],
    },
  ]
  const doc = schema.nodeFromJSON(documentOf(kept, newId))
  expect(sectionsOf(doc)).toEqual(kept)
})

describe('whatever a script holds', () => {
  const promised = fc.option(
    fc.constantFrom({ kind: 'read' as const }, { kind: 'offer' as const, offer: 'drawings', wording: 'w1' }),
    { nil: undefined },
  )
  const someCue = (id: string) =>
    fc.record({
      id: fc.constant(id),
      kind: fc.constantFrom('shot' as const, 'graphic' as const, 'find' as const),
      text: fc.constantFrom('', 'adze'),
      got: fc.boolean(),
      source: fc.constantFrom(undefined, 'the archive'),
      takes: fc.constantFrom<Cue['takes'][]>(undefined, [
        { id: `${id} take`, at: '2026-11-24T09:00:00.000Z', seconds: 12, kept: true, reason: '' },
      ]),
      range: fc.constantFrom(undefined, { from: 0, to: 2 }, { from: 1, to: 4 }),
    })
  const someBeat = (id: string) =>
    fc
      .record({
        text: fc.constantFrom('', 'Tarred rope.', 'Two\nlines of it'),
        delivery: fc.constantFrom('camera' as const, 'voice' as const),
        hold: fc.constantFrom(0, 2.5),
        promised,
        bold: fc.boolean(),
        cues: fc.tuple(someCue(`${id} a`), someCue(`${id} b`)),
        many: fc.nat(2),
      })
      .map(({ bold, cues, many, text, promised: said, ...rest }) => ({
        id,
        ...rest,
        text,
        ...(said ? { promised: said } : {}),
        ...(bold && text !== '' ? { emphasis: [{ kind: 'bold' as const, from: 0, to: 3 }] } : {}),
        cues: cues.slice(0, many).map(({ range, source, takes, ...c }): Cue => ({
          ...c,
          ...(source === undefined ? {} : { source }),
          ...(takes ? { takes } : {}),
          ...(range && text !== '' ? range : {}),
        })),
      }))
  const someScript = fc
    .tuple(
      someBeat('b1'),
      someBeat('b2'),
      someBeat('b3'),
      fc.constantFrom<Section['serves'][]>(undefined, [0, 1]),
    )
    .map(([a, b, c, serves]): Section[] => [
      { id: 's1', title: 'Opening', beats: [a, b], ...(serves ? { serves } : {}) },
      { id: 's2', title: 'Close', beats: [c] },
    ])
  /** The same whatever the order of its cues. */
  const sorted = (sections: readonly Section[]) =>
    sections.map((s) => ({
      ...s,
      beats: s.beats.map((b) => ({ ...b, cues: [...b.cues].sort((x, y) => (x.id < y.id ? -1 : 1)) })),
    }))

  test('comes back from its document as it was: reads, offers, cues, takes and emphasis', () => {
    fc.assert(
      fc.property(someScript, (sections) => {
        expect(sorted(sectionsOf(began(sections).doc))).toEqual(sorted(sections))
      }),
    )
  })

  test('outlives typing elsewhere, and coming back to the page', () => {
    fc.assert(
      fc.property(someScript, fc.constantFrom('b1', 'b2', 'b3'), (sections, where) => {
        const typed = (from: readonly Section[]) => {
          const state = at(began(from), where, 0)
          return sectionsOf(state.apply(state.tr.insertText('So. ')).doc)
        }
        const twice = typed(typed(sections))
        for (const [i, section] of sorted(twice).entries())
          for (const [j, b] of section.beats.entries()) {
            const before = sorted(sections)[i]?.beats[j]
            if (b.id !== where) expect(b).toEqual(before)
            expect([b.promised, b.cues.map((c) => c.id)]).toEqual([
              before?.promised,
              before?.cues.map((c) => c.id),
            ])
          }
      }),
    )
  })
})
