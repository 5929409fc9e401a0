import { after, exampleNow, refusalOf } from '../../examples'
import { countNotes, cutsOf, openNotes, usualRounds } from '../../edit/rounds'
import type { Cut, Records } from '../../records'
import { exampleWorld } from '../../views/example-cards'
import { beginCut, changeNote, closeRound, keepCut, noteOnCut, removeCut, removeNote, reopenRound } from '.'

let made = 0
const context = () => ({ now: exampleNow + ++made * 60_000, id: () => `n${++made}` })
const begun = (r: Records = exampleWorld(), episode = 'e0') =>
  after(r, beginCut(r, { episode, id: `${episode}/c${cutsOf(r, episode).length + 1}` }, context()))
const cut = (r: Records, number: number, episode = 'e0'): Cut => {
  const found = cutsOf(r, episode)[number - 1]
  if (!found) throw new Error(`no cut ${number}`)
  return found
}
function noted(
  r: Records,
  text: string,
  at: number,
  kind: 'to do' | 'remark' = 'to do',
  mine = false,
): Records {
  const last = cutsOf(r, 'e0').at(-1)
  return after(r, noteOnCut(r, { cut: last?.id ?? '', notes: [{ at, kind, text, mine }] }, context()))
}
const tick = (r: Records, text: string) => {
  const last = cutsOf(r, 'e0').at(-1)
  const note = last?.notes.find((n) => n.text === text)?.id ?? ''
  return after(r, changeNote(r, { cut: last?.id ?? '', note, to: { isDone: true } }, context()))
}

test('what is not done is carried to the next cut with its history; what was done or a remark is not', () => {
  let r = noted(noted(noted(begun(), 'level it', 30), 'wind', 78), 'keep this', 40, 'remark')
  r = begun(tick(r, 'level it'))
  expect(cut(r, 1).closed?.kind).toBe('another')
  expect(cut(r, 2).notes.map((n) => [n.text, n.asked])).toEqual([['wind', [1, 2]]])
  r = begun(noted(r, 'longer', 12))
  expect(openNotes(cut(r, 3)).map((n) => [n.at, n.text, n.asked])).toEqual([
    [12, 'longer', [2, 3]],
    [78, 'wind', [1, 2, 3]],
  ])
  expect(countNotes(cut(r, 3))).toEqual({ open: 2, again: 2, mine: 0, done: 0, remarks: 0 })
})

test('notes stand in the order of their moments, none of them twice', () => {
  const r = noted(noted(begun(), 'late', 60), 'early', 5, 'to do', true)
  expect(cut(r, 1).notes.map((n) => n.text)).toEqual(['early', 'late'])
  expect(countNotes(cut(r, 1))).toMatchObject({ open: 2, mine: 1 })
  const again = noteOnCut(
    r,
    { cut: cut(r, 1).id, notes: [{ at: 5.01, kind: 'to do', text: ' early ' }] },
    context(),
  )
  expect(refusalOf(again)).toBe('There is nothing new to note.')
})

test('a remark has nobody to do it, and is not done', () => {
  let r = tick(noted(begun(), 'level it', 30), 'level it')
  const note = cut(r, 1).notes[0]?.id ?? ''
  r = after(r, changeNote(r, { cut: cut(r, 1).id, note, to: { kind: 'remark' } }, context()))
  expect(cut(r, 1).notes[0]?.done).toBeUndefined()
  r = after(r, removeNote(r, { cut: cut(r, 1).id, note }, context()))
  expect(cut(r, 1).notes).toEqual([])
})

test('approved, its length is the edit’s; a closed round takes no notes until it is opened again', () => {
  let r = begun()
  r = after(r, keepCut(r, { cut: cut(r, 1).id, to: { length: 590.6 } }, context()))
  r = after(r, closeRound(r, { cut: cut(r, 1).id, as: 'approved' }, context()))
  expect(r.episodes.get('e0')?.cut.length).toBe(591)
  const late = noteOnCut(r, { cut: cut(r, 1).id, notes: [{ at: 1, kind: 'remark', text: 'oh' }] }, context())
  expect(refusalOf(late)).toMatch(/Open it again/)
  expect(refusalOf(beginCut(r, { episode: 'e0', id: 'x' }, context()))).toMatch(/approved/)
  r = after(r, reopenRound(r, { cut: cut(r, 1).id }, context()))
  expect(cut(r, 1).closed).toBeUndefined()
  expect(refusalOf(reopenRound(r, { cut: cut(r, 1).id }, context()))).toBe('Its round is open.')
})

test('the length of an approved cut is the edit’s also where it is known later, unless another was typed since', () => {
  const r = begun()
  const approved = after(r, closeRound(r, { cut: cut(r, 1).id, as: 'approved' }, context()))
  const keep = (from: Records, length: number) =>
    after(from, keepCut(from, { cut: cut(from, 1).id, to: { length } }, context()))
  const lengthOf = (x: Records) => x.episodes.get('e0')?.cut.length
  const known = keep(approved, 482.4)
  expect(lengthOf(known)).toBe(482)
  expect(lengthOf(keep(known, 483))).toBe(483)
  const e0 = known.episodes.get('e0')
  if (!e0) throw new Error('no episode')
  const typed = { ...e0, cut: { ...e0.cut, length: 470 } }
  expect(lengthOf(keep({ ...known, episodes: new Map([['e0', typed]]) }, 483))).toBe(470)
  expect(lengthOf(keep(r, 482.4))).toBeUndefined()
})

test('another round is a step of the edit, done when its cut is here', () => {
  let r = begun()
  r = after(r, closeRound(r, { cut: cut(r, 1).id, as: 'another' }, context()))
  const step = r.steps.get('e0/round-2')
  expect([step?.name, step?.minutes, step?.doneAt]).toEqual(['Cut 2', 60, undefined])
  const edit = r.recipes.get(r.shows.get(r.episodes.get('e0')?.show ?? '')?.recipe ?? '')
  expect(edit?.stages.find((s) => s.id === step?.stage)?.kind).toBe('edit')
  r = begun(r)
  expect(r.steps.get('e0/round-2')?.doneAt).toBeDefined()
  r = after(r, closeRound(r, { cut: cut(r, 2).id, as: 'another' }, context()))
  expect(r.steps.get('e0/round-3')?.doneAt).toBeUndefined()
})

test('a further round that is no longer asked for is no step of the edit any more; one that was worked on stays', () => {
  const asked = (r: Records) => after(r, closeRound(r, { cut: cut(r, 1).id, as: 'another' }, context()))
  const open = (r: Records) => after(r, reopenRound(r, { cut: cut(r, 1).id }, context()))
  const r = open(asked(begun()))
  expect(r.steps.has('e0/round-2')).toBe(false)
  expect(after(r, closeRound(r, { cut: cut(r, 1).id, as: 'approved' }, context())).steps.size).toBe(
    begun().steps.size,
  )
  const worked = asked(begun())
  const step = worked.steps.get('e0/round-2')
  if (!step) throw new Error('no step')
  const with20 = { ...worked, steps: new Map([...worked.steps, [step.id, { ...step, logged: 20 }]]) }
  expect(open(with20).steps.get(step.id)?.logged).toBe(20)
  // Taken away, the cut is still to be made.
  const two = begun(asked(begun()))
  const gone = after(two, removeCut(two, { cut: cut(two, 2).id }, context()))
  expect(gone.steps.get('e0/round-2')?.doneAt).toBeUndefined()
})

test('only the last cut is taken away', () => {
  const r = begun(begun())
  expect(refusalOf(removeCut(r, { cut: cut(r, 1).id }, context()))).toMatch(/Another cut came after it/)
  const less = after(r, removeCut(r, { cut: cut(r, 2).id }, context()))
  expect(cutsOf(less, 'e0')).toHaveLength(1)
})

test('the usual number of rounds is the middle of what was approved, and said from three on', () => {
  let r = exampleWorld()
  const { episodes } = r
  const approve = (episode: string, rounds: number) => {
    for (let i = 0; i < rounds; i++) r = begun(r, episode)
    const last = cut(r, rounds, episode)
    r = after(r, closeRound(r, { cut: last.id, as: 'approved' }, context()))
  }
  const show = episodes.get('e0')?.show ?? ''
  const ids = [...episodes.values()].filter((e) => e.show === show).map((e) => e.id)
  expect(ids.length).toBeGreaterThanOrEqual(3)
  approve(ids[0] ?? '', 1)
  approve(ids[1] ?? '', 2)
  expect(usualRounds(r, show)).toBeUndefined()
  approve(ids[2] ?? '', 2)
  expect(usualRounds(r, show)).toBe(2)
  expect(usualRounds(r, show, ids[2])).toBeUndefined()
})
