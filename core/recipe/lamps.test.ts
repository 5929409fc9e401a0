import { exampleAt, exampleEpisode, exampleRecords, exampleScript } from '../examples'
import type { Episode, Script, Step } from '../records'
import { stepsToAdd } from './apply'
import { workingDays } from './due'
import { progressOf } from './lamps'
import { sixLamps, type EpisodeProgress } from './progress'

const records = exampleRecords([], 'full')
const show = records.shows.get('show')
const recipe = records.recipes.get('recipe')
if (!show || !recipe) throw new Error('no example')
const all = stepsToAdd(recipe, 'episode', [], exampleAt)
/** The show's aim is short, so that a few words are a script. */
const short = { ...show, aim: { from: 0, to: 1 } }
const works = workingDays({ hours: [60, 60, 60, 60, 60, 60, 60], daysOff: [] })

function standing(
  fields: Partial<Episode> = {},
  script?: Script,
  change: (step: Step) => Step = (s) => s,
  today = '2026-11-24',
): EpisodeProgress {
  if (!show || !recipe) throw new Error('no example')
  return progressOf({
    episode: exampleEpisode({ phase: { kind: 'work', since: exampleAt }, ...fields }),
    show: short,
    recipe,
    script,
    outlets: [...records.outlets.values()],
    steps: all.map(change),
    today,
    works,
  })
}
const lamp = (s: EpisodeProgress, id: string) => s.stages.find((x) => x.stage.id === id)?.lamp
const done =
  (...lines: string[]) =>
  (s: Step): Step =>
    lines.includes(s.line ?? '') ? { ...s, doneAt: exampleAt } : s
const brief = {
  takeaway: 'You can',
  points: ['a', 'b', 'c'],
  description: 'Words',
  pictureIdea: '',
  pictureWords: '',
}
const written = exampleScript({
  Hook: ['One two three.'],
  Body: ['Four five six.'],
  Wrong: ['Seven.'],
  Off: ['Eight.'],
  End: ['Nine.'],
})

describe('lamps', () => {
  test('of a fresh episode: the brief is open, what builds on it dark', () => {
    const s = standing()
    expect(lamp(s, 'brief')?.state).toBe('open')
    expect(lamp(s, 'script')?.state).toBe('dark')
    expect(lamp(s, 'film')?.state).toBe('dark')
    expect(s.next?.step.line).toBe('brief')
    expect(s.where?.stage.id).toBe('brief')
    expect(s.ready).toBe(false)
  })

  test('a step tied to a part completes itself, and is open again when the part goes', () => {
    const s = standing({ brief })
    expect(s.steps.find((x) => x.step.line === 'brief')?.done).toBe(true)
    expect(lamp(s, 'brief')).toMatchObject({ state: 'working' })
    expect(
      lamp(standing({ brief, titles: [{ id: 't', text: 'A title' }], chosenTitle: 't' }), 'brief')?.state,
    ).toBe('lit')
    expect(lamp(standing({ brief: { ...brief, points: ['a', 'b', ' '] } }), 'brief')?.state).toBe('open')
  })

  test('work with its share of minutes, logged ones too', () => {
    const s = standing({ brief }, undefined, (x) => (x.line === 'script' ? { ...x, logged: 75 } : x))
    expect(lamp(s, 'script')).toEqual({ state: 'working', share: 0.5 })
    expect(lamp(s, 'brief')?.share).toBeCloseTo(40 / 60)
  })

  test('wait when the next step waits on someone', () => {
    const s = standing({ brief }, written, (x) =>
      x.line === 'prepare' ? { ...x, waiting: { who: 'Ines Varga', what: 'a key', since: '2026-11-20' } } : x,
    )
    expect(lamp(s, 'film')?.state).toBe('waiting')
    expect(s.missing).toContainEqual(
      expect.objectContaining({ kind: 'step', sentence: 'waits on Ines Varga' }),
    )
  })

  test('are late by their most overdue step, and no longer once it is done', () => {
    const place = { kind: 'slot' as const, day: '2026-12-03' }
    const s = standing({ brief, place }, written)
    expect(s.steps.find((x) => x.step.line === 'film')).toMatchObject({ due: '2026-11-22', late: 2 })
    expect(lamp(s, 'film')?.late).toBe(3)
    expect(s.late).toBe(11)
    expect(lamp(standing({ brief, place }, written, done('prepare', 'film')), 'film')).toEqual({
      state: 'lit',
      share: 1,
    })
  })

  test('without a slot nothing is due, and the order stays', () => {
    const s = standing()
    expect(s.steps.every((x) => x.due === undefined && x.late === undefined)).toBe(true)
    expect(s.steps.map((x) => x.step.line)[0]).toBe('brief')
  })

  test('chapters made by the program are no sign of work on the release', () => {
    expect(lamp(standing({}, written), 'release')?.state).toBe('open')
  })

  test('what comes after is dark until the release is lit', () => {
    expect(lamp(standing(), 'after')?.state).toBe('dark')
    const released = standing({ phase: { kind: 'released', at: '2026-11-19T17:00:00.000Z' } })
    expect(lamp(released, 'after')?.state).toBe('open')
    expect(sixLamps(released).every((l) => l?.state === 'lit')).toBe(true)
  })
})

describe('ready', () => {
  const whole: Partial<Episode> = {
    brief,
    titles: [{ id: 't', text: 'A title' }],
    chosenTitle: 't',
    tags: ['oak'],
    pictures: [{ id: 'p', name: 'a.png', type: 'image/png', width: 1280, height: 720, size: 10 }],
    chosenPicture: 'p',
    cut: { length: 120, starts: { Hook: 0, Body: 20, Wrong: 40, Off: 60, End: 90 } },
  }
  const ticked = done('prepare', 'film', 'rough', 'check')

  test('when every lamp before the release is lit and every required part passes', () => {
    const s = standing(whole, written, ticked)
    expect(s.missing).toEqual([])
    expect(s.ready).toBe(true)
  })

  test('a thing of another’s without a licence keeps it from being ready, until the licence is noted', () => {
    const wind = { id: 'wind', kind: 'sound' as const, text: 'Wind', got: true }
    const withCue = (licence?: string) => ({
      ...written,
      sections: written.sections.map((s, i) =>
        i > 0
          ? s
          : {
              ...s,
              beats: s.beats.map((b) => ({ ...b, cues: [{ ...wind, ...(licence ? { licence } : {}) }] })),
            },
      ),
    })
    const s = standing(whole, withCue(), ticked)
    expect(s.ready).toBe(false)
    expect(s.missing).toMatchObject([{ kind: 'licence', cue: 'wind', name: 'Licence of “Wind”' }])
    expect(standing(whole, withCue('CC BY'), ticked).ready).toBe(true)
  })

  test('the list of what is missing names a mend for each', () => {
    const s = standing(
      { ...whole, tags: Array.from({ length: 60 }, (_, i) => `a long tag ${i}`), chosenPicture: undefined },
      written,
      ticked,
    )
    expect(s.ready).toBe(false)
    expect(s.missing.map((m) => [m.name, m.kind === 'part' ? m.mend.label : ''])).toEqual([
      ['Thumbnail', 'Choose one'],
      ['Tags', expect.stringMatching(/^Drop the last \d+$/)],
    ])
  })
})

describe('checklists', () => {
  const list = (id: string, required: boolean) => ({
    id,
    stage: 'brief',
    name: id,
    items: [{ id: `${id}-1`, text: `Check ${id}`, required }],
  })
  const listed = { ...recipe, checklists: [list('must', true), list('may', false)] }
  const whole = { brief, titles: [{ id: 't', text: 'Bent cold' }], chosenTitle: 't', tags: ['ribs'] }
  function of(ticked: string[]): EpisodeProgress {
    return progressOf({
      episode: exampleEpisode({ phase: { kind: 'work', since: exampleAt }, ...whole, ticked }),
      show: short,
      recipe: listed,
      script: undefined,
      outlets: [],
      steps: all.map((s) => ({ ...s, doneAt: exampleAt })),
      today: '2026-11-24',
      works,
    })
  }

  test('an open required item holds its lamp and is missing; one that isn’t required does neither', () => {
    expect(lamp(of([]), 'brief')?.state).toBe('working')
    expect(of([]).missing.filter((m) => m.kind === 'item')).toMatchObject([
      { kind: 'item', item: 'must-1', name: 'Check must', sentence: 'must', stage: 'brief' },
    ])
    expect(of([]).ready).toBe(false)
    expect(lamp(of(['must-1']), 'brief')?.state).toBe('lit')
    expect(of(['must-1']).missing.filter((m) => m.kind === 'item')).toEqual([])
  })
})

describe('a tick by hand', () => {
  test('settles what no outlet requires; what one requires stays missing until it is there', () => {
    const ticked = all.map((s) => ({ ...s, doneAt: exampleAt }))
    const of = (required: ('title' | 'tags')[]) =>
      progressOf({
        episode: exampleEpisode({ phase: { kind: 'work', since: exampleAt } }),
        show: short,
        recipe,
        script: undefined,
        outlets: [...records.outlets.values()].map((o) => ({ ...o, required })),
        steps: ticked,
        today: '2026-11-24',
        works,
      })
    const names = (required: ('title' | 'tags')[]) => of(required).missing.map((m) => m.name)
    expect(names([])).not.toContain('Title')
    expect(names(['title'])).toContain('Title')
    expect(of(['title']).ready).toBe(false)
    // It is work again, so that it is not forgotten.
    expect(
      of(['title'])
        .steps.filter((s) => s.left)
        .map((s) => s.step.part),
    ).toContain('title')
    expect(
      of([])
        .steps.filter((s) => s.left)
        .map((s) => s.step.part),
    ).not.toContain('title')
  })
})
