import { effectScope } from 'vue'
import { exampleScript } from '@core/examples'
import { exampleWorld } from '@core/views/example-cards'
import { openNotes } from '@core/edit/rounds'
import type { Card } from '@core/views/card'
import { useCards } from '@app/stores/cards'
import { deskThatDoes } from '@app/stores/example-desk'
import { andAllOfItBack } from '@app/stores/example-life'
import { useCut } from './useCut'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))

/** The edit of the first episode, whose script has three sections. */
function edit() {
  const records = exampleWorld()
  const script = exampleScript({ Hook: ['The keel.'], Work: ['The plane comes round.'], End: ['So.'] }, 'e0')
  const desk = deskThatDoes({ ...records, scripts: new Map([['e0', script]]) })
  const cards = useCards()
  const card = (): Card => {
    const found = cards.card('e0')
    if (!found) throw new Error('no card')
    return found
  }
  const scope = effectScope()
  const of = scope.run(() => useCut(card))
  if (!of) throw new Error('no edit')
  return {
    of,
    desk,
    card,
    end: () => {
      scope.stop()
    },
  }
}
type Life = ReturnType<typeof edit>

/** What must hold of cuts and rounds, whatever was done. */
function holds({ of, desk, card }: Life): void {
  const cuts = of.cuts.value
  expect(cuts.map((c) => c.number)).toEqual(cuts.map((_, i) => i + 1))
  // One round is open at most, that of the last cut.
  expect(cuts.slice(0, -1).every((c) => c.closed !== undefined)).toBe(true)
  for (const [i, c] of cuts.entries()) {
    expect(c.notes.map((n) => n.at)).toEqual(c.notes.map((n) => n.at).sort((a, b) => a - b))
    const next = cuts[i + 1]
    if (!next) continue
    // What was left open is in the next, asked once more, unless it was taken out there.
    const left = new Map(openNotes(c).map((n) => [n.id, n]))
    for (const n of next.notes)
      if (n.asked.length > 1) {
        expect(n.asked.at(-1)).toBe(next.number)
        expect(left.has(n.id)).toBe(true)
      }
  }
  const last = of.cut.value
  const counts = of.counts.value
  expect(counts === undefined).toBe(last === undefined)
  if (last && counts) {
    expect(counts.open + counts.done + counts.remarks).toBe(last.notes.length)
    expect(counts.again).toBeLessThanOrEqual(counts.open)
    if (last.closed?.kind === 'approved' && last.length !== undefined)
      expect(card().episode.cut.length).toBe(Math.round(last.length))
  }
  // A further round is a step of the edit exactly while one is asked for and its cut is not here.
  const rounds = [...desk.library.records.steps.values()].filter((s) => s.id.startsWith('e0/round-'))
  const open = rounds.filter((s) => s.doneAt === undefined).map((s) => s.id)
  expect(open).toEqual(last?.closed?.kind === 'another' ? [`e0/round-${last.number + 1}`] : [])
  // Where those that were said rise within the cut, all sections lie one behind the other.
  const { starts, length = Infinity } = of.timing.value
  const rises = (all: readonly number[]) => all.every((t, k) => k === 0 || t > (all[k - 1] ?? 0))
  const said = of.sections.value.flatMap((x) => starts[x.id] ?? [])
  if (rises([...said, length])) expect(rises(of.sections.value.map((x) => x.from))).toBe(true)
}

/** Does one thing of the edit, the n-th way. */
async function act({ of, desk }: Life, kind: string, n: number): Promise<void> {
  const notes = of.cut.value?.notes ?? []
  const note = notes[n % Math.max(1, notes.length)]
  if (kind === 'begin') await of.begin(n % 2 ? 'Bruno' : undefined)
  if (kind === 'note') of.note(`${n % 3 ? '! ' : ''}level ${n}`, (n * 37) % 300, n % 2 === 0)
  if (kind === 'tick' && note) of.change(note.id, { isDone: n % 4 > 0 })
  if (kind === 'move' && note) of.change(note.id, { at: (n * 13) % 300 })
  if (kind === 'turn' && note) of.change(note.id, { kind: note.kind === 'remark' ? 'to do' : 'remark' })
  if (kind === 'remove' && note) of.remove(note.id)
  if (kind === 'length') of.keep({ length: 200 + n * 1.25 })
  if (kind === 'close') await of.close(n % 3 ? 'another' : 'approved')
  if (kind === 'reopen') of.reopen()
  if (kind === 'start') of.startAt(of.sections.value[n % 3]?.id ?? 'Work', (n * 11) % 250)
  if (kind === 'undo') desk.undo()
}

test('cuts, rounds and what is to be done in them agree, whatever is done; undo takes all of it back', async () => {
  const kinds = [
    ...['begin', 'note', 'note', 'note', 'tick', 'move', 'turn', 'remove'],
    ...['length', 'close', 'reopen', 'start', 'undo'],
  ]
  let rounds = 0
  const look = (life: Life) => {
    holds(life)
    rounds = Math.max(rounds, life.of.cuts.value.length)
  }
  await andAllOfItBack(edit, kinds, act, look, { seed: 20_261_137, times: 3 })
  expect(rounds).toBeGreaterThan(2)
})

test('sections that are marked in the cut are offered as its starts, until they are taken', async () => {
  const life = edit()
  await life.of.begin()
  life.of.note('Work', 31, false)
  life.of.note('End', 95.5, false)
  expect(life.of.marked.value).toEqual({ Work: 31, End: 95.5 })
  life.of.takeStarts(life.of.marked.value ?? {})
  expect(life.of.marked.value).toBeUndefined()
  expect(life.card().episode.cut.starts).toEqual({ Work: 31, End: 95.5 })
  life.end()
})
