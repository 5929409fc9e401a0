import {
  after,
  exampleAt,
  exampleContext,
  exampleEpisode,
  exampleRecords,
  exampleShow,
  valueOf,
} from './examples'
import { chooseForm } from './commands/episode/choose-form'
import { startWork } from './commands/schedule/start-work'
import { editShow } from './commands/shows/edit-show'
import { removeRecipe } from './commands/recipes/add-recipe'
import { asForm, formNamed, formNames, formOf } from './form'
import { fieldsOf } from './ideas/fields'
import { smallRecipe } from './recipe/starters'
import type { Records } from './records'
import { stepsOf } from './commands/of-episode'

const forms = [
  { id: 'f1', name: 'tutorial' },
  { id: 'f2', name: 'Talk', recipe: 'talks' },
]
const base = exampleRecords()
const context = exampleContext()
/** Talks are made by a recipe of their own. */
const records: Records = {
  ...base,
  shows: new Map([['show', { ...exampleShow(), recipes: ['talks'], forms }]]),
  recipes: new Map([...base.recipes, ['talks', smallRecipe('talks', 'audio', exampleAt)]]),
  episodes: new Map([['episode', exampleEpisode()]]),
  steps: new Map(),
  scripts: new Map(),
}
const episode = (r: Records) => there(r.episodes.get('episode'))
function there<T>(x: T | undefined): T {
  if (x === undefined) throw new Error('not there')
  return x
}

describe('kinds of episode', () => {
  test('are a show’s own, found by name in any case', () => {
    const [show] = records.shows.values()
    expect(formNamed(there(show), ' talk ')?.id).toBe('f2')
    expect(formOf(records.shows, { show: 'show', form: 'gone' })).toBeUndefined()
    expect(formNames([...records.shows.values(), { forms: [{ id: 'x', name: 'Talk' }] }])).toEqual([
      'tutorial',
      'Talk',
    ])
  })

  test('an idea of a kind with a recipe is begun by it; without one its recipe stays', () => {
    const talk = after(records, chooseForm(records, { episodes: ['episode'], form: 'talk' }, context))
    expect(episode(talk)).toMatchObject({ form: 'f2', recipe: 'talks' })
    const begun = after(talk, startWork(talk, { episode: 'episode' }, context))
    expect(stepsOf(begun, 'episode').map((s) => s.name)).toEqual(['Write', 'Record', 'Edit'])
    const none = after(talk, chooseForm(talk, { episodes: ['episode'], form: undefined }, context))
    expect(episode(none)).toMatchObject({ form: undefined, recipe: 'talks' })
  })

  test('what is in work takes the steps of its kind, and keeps what is done', () => {
    const begun = after(records, startWork(records, { episode: 'episode' }, context))
    const lines = stepsOf(begun, 'episode')
    const first = there(lines[0])
    const done: Records = {
      ...begun,
      steps: new Map([...begun.steps, [first.id, { ...first, doneAt: exampleAt, logged: 20 }]]),
    }
    const talk = after(done, chooseForm(done, { episodes: ['episode'], form: 'Talk' }, context))
    const names = stepsOf(talk, 'episode').map((s) => s.name)
    expect(names).toEqual(expect.arrayContaining([first.name, 'Record']))
    expect(names).not.toContain('Film')
  })

  test('two kinds never share a name; a recipe that goes is let go of', () => {
    const twice = editShow(
      records,
      { show: 'show', fields: { forms: [...forms, { id: 'f3', name: 'TALK ' }] } },
      context,
    )
    expect(twice.ok ? '' : twice.problem.sentence).toBe(
      'Two kinds have the same name. Give one of them another.',
    )
    const less = after(records, removeRecipe(records, { show: 'show', recipe: 'talks' }, context))
    expect(less.shows.get('show')?.forms).toEqual([forms[0], { id: 'f2', name: 'Talk' }])
    expect(asForm(exampleEpisode(), exampleShow(), forms[0])).toMatchObject({ form: 'f1' })
  })

  test('in tables they are read and written by name, and what is none is refused', () => {
    const field = there(
      fieldsOf({
        shows: records.shows,
        recipes: records.recipes,
        keywords: new Map(),
        launches: new Map(),
        number: () => undefined,
      }).get('form'),
    )
    const put = valueOf(there(field.put)(exampleEpisode(), 'TALK'))
    expect([put.form, field.of(put)]).toEqual(['f2', 'Talk'])
    const wrong = there(field.put)(exampleEpisode(), 'poem')
    expect(wrong.ok ? '' : wrong.problem.sentence).toBe(
      '“poem” is no kind of episode of this show. Write tutorial, Talk.',
    )
  })
})
