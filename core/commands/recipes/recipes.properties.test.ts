import fc from 'fast-check'
import {
  after,
  exampleContext,
  exampleEpisode,
  exampleNow,
  exampleRecords,
  exampleAt,
  valueOf,
} from '../../examples'
import type { FollowOn, Lead, Recipe, Records, RecipeLine, Step } from '../../records'
import { differencesOf, lineFor } from '../../recipe/differences'
import { withStage, withStageMoved, withoutLine, withoutStage } from '../../recipe/edit'
import { recipeFault } from '../../recipe/fault'
import { daysBefore, leadAt, scoreOf } from '../../recipe/score'
import { fullRecipe } from '../../recipe/starters'
import { withChanges, inverse } from '../change'
import { withFollowOns } from '../follow'
import { copyEpisode } from '../episode/copy-episode'
import { editRecipe } from './edit-recipe'
import { leaveOutStage } from './leave-out-stage'
import { openDifferences } from './open-differences'
import { settleDifferences } from './settle-differences'
import { changeRecipe } from './change-recipe'
import { placeOnSlot } from '../schedule/place-on-slot'
import { stepsOf } from '../of-episode'
import { tickStep } from '../work/tick-step'
import { runs } from '../../runs'

/** Rules of recipes that hold whatever is done to them. */
const base = fullRecipe('recipe', 'video', exampleAt)
const context = exampleContext()
const start = exampleRecords([exampleEpisode(), exampleEpisode({ id: 'other', title: 'Pine tar' })], 'full')
const first = after(start, placeOnSlot(start, { episode: 'episode', day: '2026-12-17' }, context))
const placed = after(first, placeOnSlot(first, { episode: 'other', day: '2026-12-24' }, context))
let clock = exampleNow
const later = () => ({ ...context, now: (clock += 60_000) })
const recipeIn = (records: Records): Recipe => {
  const found = records.recipes.get('recipe')
  if (!found) throw new Error('no recipe')
  return found
}

type Edit = {
  do: 'drop line' | 'drop stage' | 'move stage' | 'add stage' | 'rename' | 'minutes' | 'owner' | 'lead'
  at: number
  n: number
}
const edits: fc.Arbitrary<Edit[]> = fc.array(
  fc.record({
    do: fc.constantFrom<Edit['do']>(
      'drop line',
      'drop stage',
      'move stage',
      'add stage',
      'rename',
      'minutes',
      'owner',
      'lead',
    ),
    at: fc.nat(30),
    n: fc.nat(20),
  }),
  { minLength: 1, maxLength: 6 },
)

/** A recipe after some edits of every sort; those that can't be done any more are passed over. */
function edited(recipe: Recipe, list: readonly Edit[]): Recipe {
  let next = recipe
  for (const edit of list) {
    const line = next.lines[edit.at % Math.max(1, next.lines.length)]
    const stage = next.stages[edit.at % next.stages.length]
    const put = (fields: Partial<RecipeLine>) => {
      next = { ...next, lines: next.lines.map((l) => (l.id === line?.id ? { ...l, ...fields } : l)) }
    }
    if (!stage) continue
    switch (edit.do) {
      case 'drop line':
        if (line) next = withoutLine(next, line.id)
        break
      case 'drop stage': {
        const rest = withoutStage(next, stage.id)
        if (rest.ok) next = rest.value
        break
      }
      case 'move stage':
        next = withStageMoved(next, stage.id, edit.n % 2 === 0 ? 1 : -1)
        break
      case 'add stage':
        next = withStage(next, { id: `own ${edit.n} ${next.stages.length}`, name: 'Own' }, stage.id)
        break
      case 'rename':
        put({ name: `Step ${edit.n}` })
        break
      case 'minutes':
        put({ minutes: 5 + edit.n * 5 })
        break
      case 'owner':
        put({ owner: edit.n % 2 === 0 ? 'Mara' : undefined })
        break
      case 'lead':
        if (line) put({ lead: leadAt(next.lines, line, edit.n) })
        break
    }
  }
  return next
}

describe('whatever is edited', () => {
  test('a sound recipe stays sound: no circle, no line without a stage, no need of what is gone', () => {
    fc.assert(
      fc.property(edits, (list) => {
        const next = edited(base, list)
        expect(recipeFault(next)).toEqual({ ok: true, value: true })
        const lines = new Set(next.lines.map((l) => l.id))
        const wanted = next.lines.flatMap((l) => [
          ...l.needs,
          ...(l.lead.kind === 'ahead' ? [l.lead.step] : []),
        ])
        expect(wanted.filter((id) => !lines.has(id))).toEqual([])
        const stages = new Set(next.stages.map((s) => s.id))
        expect(next.stages.flatMap((s) => s.after).filter((id) => !stages.has(id))).toEqual([])
      }),
      { numRuns: runs(100) },
    )
  })

  test('what was needed through a dropped step is still needed, directly or through others', () => {
    const reaches = (lines: readonly RecipeLine[], from: string, seen = new Set<string>()): Set<string> => {
      for (const n of lines.find((l) => l.id === from)?.needs ?? [])
        if (!seen.has(n)) {
          seen.add(n)
          reaches(lines, n, seen)
        }
      return seen
    }
    fc.assert(
      fc.property(fc.constantFrom(...base.lines.map((l) => l.id)), (gone) => {
        const next = withoutLine(base, gone)
        for (const l of next.lines)
          expect([...reaches(next.lines, l.id)].sort()).toEqual(
            [...reaches(base.lines, l.id)].filter((n) => n !== gone).sort(),
          )
      }),
    )
  })

  test('the score has every stage and every line once, and every need between lines that are there', () => {
    fc.assert(
      fc.property(edits, (list) => {
        const next = edited(base, list)
        const score = scoreOf(next)
        expect(score.rows.flatMap((r) => (r.kind === 'stage' ? [r.id] : []))).toEqual(
          next.stages.map((s) => s.id),
        )
        expect(score.rows.flatMap((r) => (r.kind === 'line' ? [r.line.id] : [])).sort()).toEqual(
          next.lines.map((l) => l.id).sort(),
        )
        expect(score.needs).toHaveLength(next.lines.reduce((sum, l) => sum + l.needs.length, 0))
        for (const { from, to } of score.needs)
          expect([score.rows[from]?.kind, score.rows[to]?.kind]).toEqual(['line', 'line'])
        for (const r of score.rows)
          if (r.kind === 'line') {
            expect(r.days).toBeLessThanOrEqual(score.before)
            expect(-r.days).toBeLessThanOrEqual(score.after)
          }
      }),
    )
  })

  test('a dot dragged to a day is due on it, as far as its kind of lead allows', () => {
    const kinds: fc.Arbitrary<Lead> = fc.oneof(
      fc.record({ kind: fc.constant('before' as const), days: fc.nat(30) }),
      fc.record({ kind: fc.constant('ahead' as const), step: fc.constant('check'), days: fc.nat(9) }),
    )
    fc.assert(
      fc.property(kinds, fc.integer({ min: 1, max: 60 }), (lead, to) => {
        const lines = base.lines.map((l) => (l.id === 'script' ? { ...l, lead } : l))
        const line = lines.find((l) => l.id === 'script')
        if (!line) throw new Error('no line')
        const moved = { ...line, lead: leadAt(lines, line, to) }
        expect(moved.lead.kind).toBe(lead.kind)
        expect(daysBefore(lines, moved)).toBe(Math.max(to, lead.kind === 'ahead' ? 1 : 0))
      }),
    )
  })
})

describe('differences', () => {
  test('taken, all of them, make open steps like their lines; nothing is offered again, nothing doubled, nothing done is touched', () => {
    let tried = 0
    fc.assert(
      fc.property(edits, fc.subarray(base.lines.map((l) => l.id)), (list, done) => {
        const ticked = done.reduce(
          (r, id) => after(r, tickStep(r, { step: `episode/${id}`, done: true }, later())),
          placed,
        )
        const next = edited(base, list)
        const changed = editRecipe(
          ticked,
          { recipe: 'recipe', fields: { stages: next.stages, lines: next.lines } },
          later(),
        )
        if (!changed.ok) return
        const now = after(ticked, changed)
        const open = openDifferences(now, 'recipe')
        if (open.length === 0) return
        tried++
        const taken = after(
          now,
          settleDifferences(now, { recipe: 'recipe', take: open.map((d) => d.key), leave: [] }, later()),
        )
        expect(openDifferences(taken, 'recipe')).toEqual([])
        for (const id of ['episode', 'other']) {
          const steps = stepsOf(taken, id)
          const byLine = new Map(steps.map((s) => [s.line, s]))
          expect(byLine.size).toBe(steps.length)
          for (const line of recipeIn(taken).lines) {
            const step = byLine.get(line.id)
            expect(step).toBeDefined()
            if (step && step.doneAt === undefined)
              expect(step).toMatchObject({
                name: line.name,
                minutes: line.minutes,
                stage: line.stage,
                owner: line.owner ?? 'me',
                ...lineFor(line, id),
              })
          }
          for (const s of stepsOf(ticked, id))
            if (s.doneAt !== undefined)
              expect(taken.steps.get(s.id)).toEqual({
                ...s,
                needs: taken.steps.get(s.id)?.needs,
                updatedAt: taken.steps.get(s.id)?.updatedAt,
              })
          expect(steps.flatMap((s) => s.needs).filter((n) => !taken.steps.has(n))).toEqual([])
        }
      }),
      { numRuns: runs(50) },
    )
    expect(tried).toBeGreaterThan(15)
  })

  test('left, all of them, change no step but by noting that they were left', () => {
    let tried = 0
    fc.assert(
      fc.property(edits, (list) => {
        const next = edited(base, list)
        const changed = editRecipe(
          placed,
          { recipe: 'recipe', fields: { stages: next.stages, lines: next.lines } },
          later(),
        )
        if (!changed.ok) return
        const now = after(placed, changed)
        const open = openDifferences(now, 'recipe')
        if (open.length === 0) return
        tried++
        const left = after(
          now,
          settleDifferences(now, { recipe: 'recipe', take: [], leave: open.map((d) => d.key) }, later()),
        )
        expect(openDifferences(left, 'recipe')).toEqual([])
        const bare = (s: Step) => ({ ...s, asOf: undefined, updatedAt: '' })
        expect([...left.steps.values()].map(bare)).toEqual([...now.steps.values()].map(bare))
      }),
      { numRuns: runs(40) },
    )
    expect(tried).toBeGreaterThan(15)
  })

  test('are none for an episode that was just begun', () => {
    fc.assert(
      fc.property(edits, (list) => {
        const next = edited(base, list)
        const fresh = {
          ...start,
          recipes: new Map([
            ['recipe', { ...next, lines: next.lines.map((l) => ({ ...l, changedAt: exampleAt })) }],
          ]),
        }
        const begun = after(fresh, placeOnSlot(fresh, { episode: 'episode', day: '2026-12-17' }, later()))
        const episode = begun.episodes.get('episode')
        expect(episode && differencesOf(recipeIn(begun), episode, stepsOf(begun, 'episode'))).toEqual([])
      }),
      { numRuns: runs(40) },
    )
  })
})

test('a stage left out loses no open work: every step stays in some stage of the recipe until it is taken away', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.constantFrom(...base.stages.map((s) => s.id)), {
        minLength: 1,
        maxLength: base.stages.length - 1,
      }),
      (gone) => {
        let r = placed
        for (const stage of gone) r = after(r, leaveOutStage(r, { recipe: 'recipe', stage }, later()))
        const stages = new Set(recipeIn(r).stages.map((s) => s.id))
        expect(r.steps.size).toBe(placed.steps.size)
        for (const s of r.steps.values()) expect(stages.has(s.stage)).toBe(true)
      },
    ),
  )
})

test('going over to another recipe and back leaves the same work as before, where nothing was begun', () => {
  const lines = base.lines
    .filter((_, i) => i % 2 === 0)
    .map((l) => ({
      ...l,
      needs: l.needs.filter((n) => base.lines.findIndex((o) => o.id === n) % 2 === 0),
      minutes: 10,
    }))
  const two: Records = {
    ...placed,
    recipes: new Map([...placed.recipes, ['half', { ...base, id: 'half', name: 'Half', lines }]]),
  }
  const over = after(two, changeRecipe(two, { episode: 'episode', recipe: 'half' }, later()))
  expect(stepsOf(over, 'episode').map((s) => s.minutes)).toEqual(lines.map(() => 10))
  const back = after(over, changeRecipe(over, { episode: 'episode', recipe: 'recipe' }, later()))
  const bare = (s: Step) => ({
    id: s.id,
    name: s.name,
    minutes: s.minutes,
    stage: s.stage,
    needs: [...s.needs].sort(),
    lead: s.lead,
  })
  expect(
    stepsOf(back, 'episode')
      .map(bare)
      .sort((a, b) => (a.id < b.id ? -1 : 1)),
  ).toEqual(
    stepsOf(two, 'episode')
      .map(bare)
      .sort((a, b) => (a.id < b.id ? -1 : 1)),
  )
})

test('a copy of a copy is like the first copy, whatever was done in between', () => {
  fc.assert(
    fc.property(fc.subarray(base.lines.map((l) => l.id)), (done) => {
      const ticked = done.reduce(
        (r, id) => after(r, tickStep(r, { step: `episode/${id}`, done: true }, later())),
        placed,
      )
      let n = 0
      const ids = { ...later(), id: () => `copy${++n}` }
      const once = withChanges(
        ticked,
        valueOf(copyEpisode(ticked, { episode: 'episode', texts: false }, ids)).changes,
      )
      const made = [...once.episodes.keys()].find((id) => id.startsWith('copy')) ?? ''
      const twice = withChanges(
        once,
        valueOf(copyEpisode(once, { episode: made, texts: false }, ids)).changes,
      )
      const again = [...twice.episodes.keys()].find((id) => id.startsWith('copy') && id !== made) ?? ''
      const bare = (id: string) => (s: Step) => ({
        line: s.line,
        name: s.name,
        minutes: s.minutes,
        done: s.doneAt,
        needs: s.needs.map((x) => x.replace(id, '')),
      })
      expect(stepsOf(twice, again).map(bare(again))).toEqual(stepsOf(twice, made).map(bare(made)))
      expect(stepsOf(twice, made).every((s) => s.doneAt === undefined)).toBe(true)
    }),
    { numRuns: runs(25) },
  )
})

test('follow-ons: over any ticking and unticking each happens at most once, and undo of each write restores what was', () => {
  const follow: FollowOn[] = [
    {
      id: 'a',
      when: { kind: 'done', line: 'prepare' },
      then: { kind: 'add', stage: 'film', name: 'Charge the lamps', minutes: 10 },
    },
    { id: 'b', when: { kind: 'done', line: 'film' }, then: { kind: 'hand', line: 'sound', to: 'Mara' } },
    {
      id: 'c',
      when: { kind: 'lit', stage: 'thumbnail' },
      then: { kind: 'note', text: 'Show it to somebody' },
    },
    {
      id: 'd',
      when: { kind: 'done', line: 'rough' },
      then: { kind: 'wait', line: 'sound', who: 'Tomas Ek', what: '' },
    },
  ]
  const watched = after(placed, editRecipe(placed, { recipe: 'recipe', fields: { follow } }, later()))
  const ticks = fc.array(
    fc.record({
      line: fc.constantFrom('prepare', 'film', 'rough', 'pictures', 'choose'),
      done: fc.boolean(),
    }),
    { maxLength: 12 },
  )
  fc.assert(
    fc.property(ticks, (list) => {
      let r = watched
      for (const { line, done } of list) {
        const at = later()
        const write = withFollowOns(r, valueOf(tickStep(r, { step: `episode/${line}`, done }, at)), at)
        const next = withChanges(r, write.changes)
        const back = withChanges(next, inverse(write.changes))
        expect([...back.steps.values()].sort((x, y) => (x.id < y.id ? -1 : 1))).toEqual(
          [...r.steps.values()].sort((x, y) => (x.id < y.id ? -1 : 1)),
        )
        expect(back.episodes.get('episode')).toEqual(r.episodes.get('episode'))
        // One record is written once in a write.
        expect(new Set(write.changes.map((c) => `${c.table} ${c.id}`)).size).toBe(write.changes.length)
        r = next
      }
      const happened = (r.episodes.get('episode')?.followed ?? []).map((f) => f.follow)
      expect(new Set(happened).size).toBe(happened.length)
      expect(stepsOf(r, 'episode').filter((s) => s.name === 'Charge the lamps').length).toBe(
        happened.includes('a') ? 1 : 0,
      )
      expect(r.episodes.get('other')?.followed).toBeUndefined()
    }),
    { numRuns: runs(40) },
  )
})
