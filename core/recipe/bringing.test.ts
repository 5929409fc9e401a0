import { exampleAt, exampleEpisode, exampleRecords, exampleScript, exampleStep } from '../examples'
import type { Episode, Recipe, Script, Step } from '../records'
import { partOfStep, partStepId } from './part-steps'
import { stepsToAdd } from './apply'
import { workingDays } from './due'
import { withStage } from './edit'
import { progressOf } from './lamps'
import { type EpisodeProgress } from './progress'

const records = exampleRecords()
const show = records.shows.get('show')
const small = records.recipes.get('recipe')
if (!show || !small) throw new Error('no example')
const works = workingDays({ hours: [60, 60, 60, 60, 60, 60, 60], daysOff: [] })
const placed: Partial<Episode> = {
  phase: { kind: 'work', since: exampleAt },
  place: { kind: 'slot', day: '2026-12-10' },
}
function standing(
  fields: Partial<Episode> = {},
  of: { steps?: Step[]; recipe?: Recipe; script?: Script; minutes?: Record<string, number> } = {},
): EpisodeProgress {
  if (!show || !small) throw new Error('no example')
  return progressOf({
    episode: exampleEpisode({ ...placed, ...fields }),
    show,
    recipe: of.recipe ?? small,
    script: of.script,
    outlets: [...records.outlets.values()],
    steps: of.steps ?? stepsToAdd(of.recipe ?? small, 'episode', [], exampleAt),
    today: '2026-11-24',
    works,
    partMinutes: of.minutes,
  })
}
const lamp = (s: EpisodeProgress, id: string) => s.stages.find((x) => x.stage.id === id)?.lamp

describe('required parts that no step brings', () => {
  test('are work of their own, with minutes, due with the release; the three steps bring none of them', () => {
    const derived = standing().steps.filter((s) => s.derived)
    expect(derived.map((s) => [s.step.part, s.minutesLeft, s.due])).toEqual([
      ['title', 20, '2026-12-10'],
      ['thumbnail', 45, '2026-12-10'],
      ['description', 25, '2026-12-10'],
      ['tags', 5, '2026-12-10'],
      ['chapters', 5, '2026-12-10'],
    ])
    expect(
      standing({}, { minutes: { thumbnail: 70 } }).steps.find((s) => s.step.part === 'thumbnail')
        ?.minutesLeft,
    ).toBe(70)
  })

  test('end when the part is there, and a record of one takes its place', () => {
    const named = standing({ titles: [{ id: 't', text: 'Ribs' }], chosenTitle: 't' })
    expect(named.steps.some((s) => s.step.part === 'title' && s.derived)).toBe(false)
    const id = partStepId('episode', 'title')
    const own = standing(
      {},
      {
        steps: [
          ...stepsToAdd(small, 'episode', [], exampleAt),
          exampleStep({ id, stage: 'release', part: 'title', logged: 5, minutes: 20 }),
        ],
      },
    )
    expect(
      own.steps.filter((s) => s.step.part === 'title').map((s) => [s.derived ?? false, s.minutesLeft]),
    ).toEqual([[false, 15]])
    expect([partOfStep(id), partOfStep('episode/film'), partOfStep('x/part/none')]).toEqual([
      { episode: 'episode', part: 'title' },
      undefined,
      undefined,
    ])
  })

  test('keep the release’s lamp from being lit, though all its steps are done; its ring is the share of both', () => {
    const done = stepsToAdd(small, 'episode', [], exampleAt).map((s) => ({ ...s, doneAt: exampleAt }))
    const s = standing({}, { steps: done, script: exampleScript({ Hook: ['Words.'] }) })
    expect(lamp(s, 'release')?.state).not.toBe('lit')
    expect([s.ready, s.next?.derived]).toEqual([false, true])
    expect(lamp(standing({ tags: ['oak'] }, { steps: done }), 'release')).toMatchObject({ state: 'working' })
  })
})

describe('a script', () => {
  const words = (n: number) => exampleScript({ Hook: [Array.from({ length: n }, () => 'oak').join(' ')] })
  test('of eight words against an aim of eight minutes is not written; half the lower aim is', () => {
    const step = (script: Script) =>
      standing({}, { script }).steps.find((s) => s.step.part === 'script')?.done
    expect(step(words(8))).toBe(false)
    expect(step(words(590))).toBe(false)
    expect(step(words(610))).toBe(true)
  })
  test('that is short may be ticked by hand', () => {
    const ticked = stepsToAdd(small, 'episode', [], exampleAt).map((s) =>
      s.part === 'script' ? { ...s, doneAt: exampleAt } : s,
    )
    expect(lamp(standing({}, { steps: ticked, script: words(8) }), 'script')?.state).toBe('lit')
  })
})

test('a stage of one’s own built on Edit is held back by it, and holds back what builds on it', () => {
  const recipe = withStage(small, { id: 'sound', name: 'Sound' }, 'edit')
  const steps = [
    ...stepsToAdd(recipe, 'episode', [], exampleAt),
    exampleStep({ id: 'mix', stage: 'sound', lead: { kind: 'before', days: 3 }, order: 9 }),
    exampleStep({ id: 'watch', stage: 'release', lead: { kind: 'before', days: 1 }, order: 10 }),
  ]
  const s = standing({}, { recipe, steps })
  const at = (id: string) => s.steps.find((x) => x.step.id === id)
  expect([at('mix')?.needs, at('watch')?.needs]).toEqual([['episode/rough'], ['mix']])
  // The edit is due no later than what needs it.
  expect([at('episode/rough')?.due, at('mix')?.due, at('watch')?.due]).toEqual([
    '2026-12-07',
    '2026-12-07',
    '2026-12-09',
  ])
  expect(at('watch')?.free).toBe(false)
})

test('steps of a stage that the recipe has no more stand in the release, where they are seen', () => {
  const s = standing({}, { steps: [exampleStep({ id: 'letters', stage: 'after' })] })
  expect(s.stages.find((x) => x.stage.id === 'release')?.steps.map((x) => x.step.id)).toEqual(['letters'])
})
