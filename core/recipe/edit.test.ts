import { exampleAt, refusalOf, valueOf } from '../examples'
import type { RecipeLine } from '../records'
import { withStage, withStageMoved, withoutLine, withoutStage } from './edit'
import { recipeFault } from './fault'
import { daysBefore, leadAt, scoreOf } from './score'
import { fullRecipe } from './starters'

const recipe = fullRecipe('recipe', 'video', exampleAt)
const line = (id: string, from = recipe.lines): RecipeLine => {
  const found = from.find((l) => l.id === id)
  if (!found) throw new Error(`no line ${id}`)
  return found
}

describe('editing a recipe', () => {
  test('a stage left out hands on what it built on and what its lines needed', () => {
    const rest = valueOf(withoutStage(recipe, 'film'))
    expect(rest.stages.map((s) => s.id)).not.toContain('film')
    expect(rest.stages.find((s) => s.id === 'edit')?.after).toEqual(['script'])
    // The first cut needed the shots; those needed the script and the bench, which is gone too and needed
    // the script.
    expect(line('rough', rest.lines).needs).toEqual(['script'])
    expect(recipeFault(rest).ok).toBe(true)
    const alone = { ...recipe, stages: recipe.stages.slice(0, 1), lines: [] }
    expect(refusalOf(withoutStage(alone, 'brief'))).toMatch(/at least one stage/)
  })

  test('a lead counted from a step that goes is counted from the release', () => {
    const lines = recipe.lines.map((l) =>
      l.id === 'prepare' ? { ...l, lead: { kind: 'ahead' as const, step: 'film', days: 3 } } : l,
    )
    expect(daysBefore(lines, line('prepare', lines))).toBe(14)
    expect(line('prepare', withoutLine({ ...recipe, lines }, 'film').lines).lead).toEqual({
      kind: 'before',
      days: 14,
    })
  })

  test('a stage of one’s own stands behind another and before what built on that', () => {
    const more = withStage(recipe, { id: 'colour', name: 'Colour' }, 'edit')
    expect(more.stages.map((s) => s.id)).toEqual([
      'brief',
      'script',
      'film',
      'edit',
      'colour',
      'thumbnail',
      'release',
      'after',
    ])
    expect(more.stages.find((s) => s.id === 'release')?.after).toEqual(['colour', 'thumbnail'])
    expect(
      withStageMoved(more, 'colour', -1)
        .stages.map((s) => s.id)
        .slice(2, 5),
    ).toEqual(['film', 'colour', 'edit'])
    expect(withStageMoved(more, 'brief', -1)).toBe(more)
  })

  test('circles are named: of needs, of stages, of leads; a line in no stage is found', () => {
    const needs = recipe.lines.map((l) => (l.id === 'brief' ? { ...l, needs: ['script'] } : l))
    expect(refusalOf(recipeFault({ ...recipe, lines: needs }))).toMatch(
      /“Settle the brief” needs “Write the script” needs “Settle the brief”/,
    )
    const stages = recipe.stages.map((s) => (s.id === 'brief' ? { ...s, after: ['script'] } : s))
    expect(refusalOf(recipeFault({ ...recipe, stages }))).toMatch(/“Brief” needs “Script” needs “Brief”/)
    const leads = recipe.lines.map((l) =>
      l.id === 'film'
        ? { ...l, lead: { kind: 'ahead' as const, step: 'prepare', days: 1 } }
        : l.id === 'prepare'
          ? { ...l, lead: { kind: 'ahead' as const, step: 'film', days: 1 } }
          : l,
    )
    expect(refusalOf(recipeFault({ ...recipe, lines: leads }))).toMatch(
      /leads.*“Lay out the bench” before “Film the shots” before “Lay out the bench”/,
    )
    expect(refusalOf(recipeFault({ ...recipe, lines: [{ ...line('film'), stage: 'gone' }] }))).toMatch(
      /“Film the shots” is in no stage/,
    )
  })
})

describe('a recipe as a score', () => {
  test('has a row a stage and a row a step, needs as pairs of rows, due days on one axis', () => {
    const score = scoreOf(recipe)
    expect(score.rows).toHaveLength(recipe.stages.length + recipe.lines.length)
    expect(score.rows[0]).toEqual({ kind: 'stage', id: 'brief', name: 'Brief', due: 20 })
    expect(score.rows.at(-1)).toMatchObject({ kind: 'line', days: -2 })
    expect([score.before, score.after]).toEqual([21, 2])
    expect(score.needs).toContainEqual({ from: 1, to: 2 })
  })

  test('a dragged dot gives a lead of the kind the line has', () => {
    const ahead = { ...line('prepare'), lead: { kind: 'ahead' as const, step: 'film', days: 1 } }
    const lines = recipe.lines.map((l) => (l.id === 'prepare' ? ahead : l))
    expect(leadAt(lines, line('rough'), 8.4)).toEqual({ kind: 'before', days: 8 })
    expect(leadAt(lines, line('rough'), -3)).toEqual({ kind: 'before', days: 0 })
    expect(leadAt(lines, line('letters'), -4.2)).toEqual({ kind: 'after', days: 4 })
    expect(leadAt(lines, ahead, 15)).toEqual({ kind: 'ahead', step: 'film', days: 4 })
  })
})
