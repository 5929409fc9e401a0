import { exampleAt, exampleEpisode } from '../examples'
import { scriptFrom, stepsToAdd } from './apply'
import { fullRecipe, smallRecipe } from './starters'

describe('applying a recipe', () => {
  const full = fullRecipe('r', 'video', exampleAt)

  test('makes a step a line, its needs and leads turned to the episode’s own', () => {
    const steps = stepsToAdd(smallRecipe('r', 'video', exampleAt), 'e', [], exampleAt)
    expect(steps.map((s) => [s.id, s.name, s.needs])).toEqual([
      ['e/script', 'Write', []],
      ['e/film', 'Film', ['e/script']],
      ['e/rough', 'Edit', ['e/film']],
    ])
    const ahead = {
      ...full,
      lines: full.lines.map((l) =>
        l.id === 'prepare' ? { ...l, lead: { kind: 'ahead' as const, step: 'film', days: 2 } } : l,
      ),
    }
    expect(stepsToAdd(ahead, 'e', [], exampleAt).find((s) => s.line === 'prepare')?.lead).toEqual({
      kind: 'ahead',
      step: 'e/film',
      days: 2,
    })
  })

  test('twice changes nothing', () => {
    const once = stepsToAdd(full, 'e', [], exampleAt)
    expect(stepsToAdd(full, 'e', once, exampleAt)).toEqual([])
  })

  test('a longer recipe adds only what is missing, behind what is there', () => {
    const small = stepsToAdd(smallRecipe('r', 'video', exampleAt), 'e', [], exampleAt)
    const more = stepsToAdd(full, 'e', small, exampleAt)
    expect(more.map((s) => s.line)).not.toContain('film')
    expect(small.length + more.length).toBe(full.lines.length)
    expect(Math.min(...more.map((s) => s.order))).toBe(small.length)
  })

  test('an audio show records and has a cover', () => {
    expect(smallRecipe('r', 'audio', exampleAt).lines.map((l) => l.name)).toEqual(['Write', 'Record', 'Edit'])
    expect(fullRecipe('r', 'audio', exampleAt).stages.map((s) => s.name)).toEqual([
      'Brief',
      'Script',
      'Record',
      'Edit',
      'Cover',
      'Release',
      'After',
    ])
  })

  test('a script starts with the recipe’s sections, a blank beat in each', () => {
    const script = scriptFrom(full, exampleEpisode(), exampleAt)
    expect(script.sections.map((s) => s.title)).toEqual([
      'Opening',
      'First part',
      'Second part',
      'Third part',
      'Close',
    ])
    expect(script.sections.every((s) => s.beats.length === 1 && s.beats[0]?.text === '')).toBe(true)
  })
})
