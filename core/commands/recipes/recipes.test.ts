import {
  after,
  exampleContext,
  exampleEpisode,
  exampleNow,
  exampleRecords,
  refusalOf,
  valueOf,
} from '../../examples'
import type { FollowOn, Records, RecipeLine } from '../../records'
import { progressOf } from '../../recipe/lamps'
import { workingDays } from '../../recipe/due'
import { withChanges } from '../change'
import { sayFollowOn, withFollowOns } from '../follow'
import { addRecipe, removeRecipe } from './add-recipe'
import { copyEpisode } from '../episode/copy-episode'
import { editRecipe } from './edit-recipe'
import { firstRecipe } from './first-recipe'
import { leaveOutStage } from './leave-out-stage'
import { openDifferences } from './open-differences'
import { settleDifferences } from './settle-differences'
import { changeRecipe } from './change-recipe'
import { placeOnSlot } from '../schedule/place-on-slot'
import { stepsOf } from '../of-episode'
import { backdateStep } from '../work/backdate-step'
import { removeStep } from '../work/add-step'
import { tickItem } from '../work/tick-item'
import { tickStep } from '../work/tick-step'

const context = exampleContext()
const later = { ...context, now: exampleNow + 60_000 }
const start = exampleRecords([exampleEpisode()], 'full')
const placed = after(start, placeOnSlot(start, { episode: 'episode', day: '2026-12-17' }, context))
const recipeOf = (records: Records, id = 'recipe') => {
  const found = records.recipes.get(id)
  if (!found) throw new Error('no recipe')
  return found
}
const edited = (records: Records, fields: Parameters<typeof editRecipe>[1]['fields']) =>
  after(records, editRecipe(records, { recipe: 'recipe', fields }, later))
const keys = (records: Records) => openDifferences(records, 'recipe').map((d) => d.key)
const standing = (records: Records) => {
  const [episode, show] = [records.episodes.get('episode'), records.shows.get('show')]
  const settings = records.settings.get('settings')
  if (!episode || !show || !settings) throw new Error('no example')
  return progressOf({
    episode,
    show,
    recipe: recipeOf(records),
    script: records.scripts.get('episode'),
    outlets: [...records.outlets.values()],
    steps: stepsOf(records, 'episode'),
    today: '2026-11-24',
    works: workingDays(settings),
  })
}

describe('a changed recipe', () => {
  const fresh: RecipeLine = {
    id: 'subtitles',
    stage: 'edit',
    name: 'Subtitles',
    kind: 'edit',
    minutes: 40,
    lead: { kind: 'before', days: 3 },
    needs: ['rough'],
    required: true,
    owner: 'Mara',
  }

  test('offers a new line; taken twice nothing doubles, and it stands where the recipe has it', () => {
    const { lines } = recipeOf(placed)
    const at = lines.findIndex((l) => l.id === 'rough') + 1
    const changed = edited(placed, { lines: [...lines.slice(0, at), fresh, ...lines.slice(at)] })
    expect(stepsOf(changed, 'episode')).toHaveLength(12)
    const [offer] = openDifferences(changed, 'recipe')
    expect(offer?.says).toBe('new in Edit, 40 min, due 3 d before release')
    const taken = after(
      changed,
      settleDifferences(changed, { recipe: 'recipe', take: [offer?.key ?? ''], leave: [] }, later),
    )
    expect(taken.steps.get('episode/subtitles')).toMatchObject({
      owner: 'Mara',
      needs: ['episode/rough'],
      minutes: 40,
    })
    expect(keys(taken)).toEqual([])
    const row = stepsOf(taken, 'episode')
      .sort((a, b) => a.order - b.order)
      .map((s) => s.line)
    expect(row.indexOf('subtitles')).toBe(row.indexOf('rough') + 1)
  })

  test('moving a dot about is one step of undo; other changes are each their own', () => {
    const { lines } = recipeOf(placed)
    const merge = (to: readonly RecipeLine[]) =>
      valueOf(editRecipe(placed, { recipe: 'recipe', fields: { lines: [...to] } }, later)).merge
    const film = (fields: Partial<RecipeLine>) =>
      lines.map((l) => (l.id === 'film' ? { ...l, ...fields } : l))
    expect(merge(film({ lead: { kind: 'before', days: 9 } }))).toBe('recipe recipe lead film')
    expect(merge(film({ lead: { kind: 'before', days: 9 }, minutes: 5 }))).toBeUndefined()
    expect(merge(film({ name: 'Film it' }))).toBeUndefined()
    expect(merge(lines.slice(1))).toBeUndefined()
  })

  test('a line that is left is not offered again; a step taken away by hand neither', () => {
    const changed = edited(placed, { lines: [...recipeOf(placed).lines, fresh] })
    const left = after(
      changed,
      settleDifferences(changed, { recipe: 'recipe', take: [], leave: keys(changed) }, later),
    )
    expect(keys(left)).toEqual([])
    const without = after(placed, removeStep(placed, { step: 'episode/prepare' }, later))
    expect(keys(without)).toEqual([])
    expect(without.steps.get('episode/film')?.needs).toEqual(['episode/script'])
  })

  test('a stage left out keeps the work of episodes until they take it; done steps stay', () => {
    const done = after(placed, tickStep(placed, { step: 'episode/pictures', done: true }, later))
    const changed = after(done, leaveOutStage(done, { recipe: 'recipe', stage: 'thumbnail' }, later))
    expect(recipeOf(changed).lines.map((l) => l.stage)).not.toContain('thumbnail')
    expect(changed.steps.get('episode/choose')?.stage).toBe('release')
    expect(
      openDifferences(changed, 'recipe')
        .filter((d) => d.kind === 'gone')
        .map((d) => d.name),
    ).toEqual(['Choose the thumbnail'])
    const all = after(
      changed,
      settleDifferences(changed, { recipe: 'recipe', take: keys(changed), leave: [] }, later),
    )
    expect(all.steps.has('episode/choose')).toBe(false)
    expect(all.steps.has('episode/pictures')).toBe(true)
    expect([...all.steps.values()].flatMap((s) => s.needs)).not.toContain('episode/choose')
  })

  test('work before the release does not come to stand behind it when its stage is left out', () => {
    const changed = after(placed, leaveOutStage(placed, { recipe: 'recipe', stage: 'release' }, later))
    const kindOf = (r: Records, step: string) =>
      recipeOf(r).stages.find((s) => s.id === r.steps.get(step)?.stage)?.kind
    expect(kindOf(changed, 'episode/describe')).toBe('thumbnail')
    expect(kindOf(changed, 'episode/letters')).toBe('after')
    // Without After, what follows the release stands with the last there is.
    const none = after(changed, leaveOutStage(changed, { recipe: 'recipe', stage: 'after' }, later))
    expect(kindOf(none, 'episode/letters')).toBe('thumbnail')
  })

  test('what must be settled before a stage holds it back, and says what', () => {
    const bound = edited(placed, {
      stages: recipeOf(placed).stages.map((s) => (s.id === 'script' ? { ...s, settled: ['keyword'] } : s)),
    })
    const script = (r: Records) => standing(r).stages.find((s) => s.stage.id === 'script')
    expect(script(bound)?.unsettled.map((p) => p.name)).toEqual(['Keyword'])
    expect(script(bound)?.lamp.state).toBe('dark')
    expect(standing(bound).steps.find((s) => s.step.line === 'script')?.free).toBe(false)
    const chosen = {
      ...bound,
      episodes: new Map(
        [...bound.episodes].map(([id, e]) => [id, { ...e, idea: { ...e.idea, keywords: ['k'] } }]),
      ),
    }
    expect(script(chosen)?.unsettled).toEqual([])
  })

  test('what can’t be made early has no work before, is not due before, and doesn’t count as ready ahead', () => {
    const news = edited(placed, {
      stages: recipeOf(placed).stages.map((s) => (s.id === 'script' ? { ...s, earliest: 3 } : s)),
    })
    const of = standing(news)
    // The film builds on the script; the brief doesn't.
    const film = of.steps.find((s) => s.step.line === 'film')
    expect([film?.earliest, film?.due]).toEqual(['2026-12-14', '2026-12-14'])
    expect(of.steps.find((s) => s.step.line === 'brief')?.earliest).toBeUndefined()
    expect([of.live, standing(placed).live]).toEqual([true, false])
  })
})

describe('several recipes of a show', () => {
  const two = after(
    placed,
    addRecipe(
      placed,
      { show: 'show', name: 'Interview', from: 'small' },
      { ...later, id: () => 'interview' },
    ),
  )

  test('an episode goes over: open steps of lines it lacks go, missing ones come, what was begun stays', () => {
    const bench = two.steps.get('episode/prepare')
    if (!bench) throw new Error('no step')
    const begun = withChanges(two, [
      { table: 'steps', id: bench.id, before: bench, after: { ...bench, logged: 10 } },
    ])
    const over = after(begun, changeRecipe(begun, { episode: 'episode', recipe: 'interview' }, later))
    expect(
      stepsOf(over, 'episode')
        .map((s) => s.line)
        .sort(),
    ).toEqual(['film', 'prepare', 'rough', 'script'])
    expect(over.episodes.get('episode')?.recipe).toBe('interview')
    expect(stepsOf(over, 'episode').find((s) => s.line === 'rough')).toMatchObject({
      minutes: 180,
      part: 'length',
      lead: { kind: 'before', days: 1 },
    })
    const back = after(over, changeRecipe(over, { episode: 'episode', recipe: 'recipe' }, later))
    expect(back.episodes.get('episode')?.recipe).toBeUndefined()
    expect(stepsOf(back, 'episode')).toHaveLength(12)
  })

  test('another is made the first: what is in work keeps its own; the first can’t be removed, nor one in use', () => {
    const turned = after(two, firstRecipe(two, { show: 'show', recipe: 'interview' }, later))
    expect([turned.shows.get('show')?.recipe, turned.shows.get('show')?.recipes]).toEqual([
      'interview',
      ['recipe'],
    ])
    expect(turned.episodes.get('episode')?.recipe).toBe('recipe')
    expect(refusalOf(removeRecipe(turned, { show: 'show', recipe: 'interview' }, later))).toMatch(
      /first recipe/,
    )
    expect(refusalOf(removeRecipe(turned, { show: 'show', recipe: 'recipe' }, later))).toMatch(
      /“Steaming oak ribs” is made by it/,
    )
    expect(
      after(two, removeRecipe(two, { show: 'show', recipe: 'interview' }, later)).shows.get('show')?.recipes,
    ).toEqual([])
  })
})

test('a copy’s steps come undone, undated and unlogged; texts only if wanted', () => {
  const worked = after(placed, tickStep(placed, { step: 'episode/prepare', done: true }, later))
  const full = {
    ...worked,
    episodes: new Map(
      [...worked.episodes].map(([id, e]) => [
        id,
        { ...e, tags: ['oak'], ticked: ['card'], brief: { ...e.brief, takeaway: 'You can.' } },
      ]),
    ),
  }
  for (const texts of [false, true]) {
    const copy = valueOf(copyEpisode(full, { episode: 'episode', texts }, exampleContext()))
    const made = withChanges(full, copy.changes)
    const episode = [...made.episodes.values()].find((e) => e.id !== 'episode')
    const steps = stepsOf(made, episode?.id ?? '')
    expect(steps).toHaveLength(12)
    expect(
      steps.every(
        (s) =>
          s.doneAt === undefined &&
          s.logged === 0 &&
          s.blocks.length === 0 &&
          s.needs.every((n) => n.startsWith(`${episode?.id ?? ''}/`)),
      ),
    ).toBe(true)
    expect([episode?.place.kind, episode?.ticked, episode?.brief.takeaway, episode?.tags]).toEqual([
      'nothing',
      undefined,
      texts ? 'You can.' : '',
      texts ? ['oak'] : [],
    ])
    expect(episode?.code).not.toBe(full.episodes.get('episode')?.code)
    expect(made.scripts.get(episode?.id ?? '')?.sections.map((s) => s.title)).toEqual(
      full.scripts.get('episode')?.sections.map((s) => s.title),
    )
  }
})

describe('follow-ons', () => {
  const follow: FollowOn[] = [
    { id: 'a', when: { kind: 'done', line: 'prepare' }, then: { kind: 'hand', line: 'rough', to: 'Mara' } },
    {
      id: 'b',
      when: { kind: 'done', line: 'prepare' },
      then: { kind: 'add', stage: 'film', name: 'Charge the lamps', minutes: 10 },
    },
    { id: 'c', when: { kind: 'lit', stage: 'brief' }, then: { kind: 'note', text: 'Tell the sponsor' } },
    {
      id: 'd',
      when: { kind: 'done', line: 'film' },
      then: { kind: 'wait', line: 'sound', who: 'Tomas Ek', what: 'the mix' },
    },
    { id: 'e', when: { kind: 'done', line: 'film' }, then: { kind: 'folder' } },
  ]
  const watched = edited(placed, { follow })
  const doing = (records: Records, step: string, done = true) =>
    withFollowOns(records, valueOf(tickStep(records, { step, done }, later)), later)

  test('read as sentences', () => {
    expect(follow.map((f) => sayFollowOn(f, recipeOf(watched)))).toEqual([
      'When “Lay out the bench” is done, hand “First cut” to Mara.',
      'When “Lay out the bench” is done, add “Charge the lamps” to Film, 10 min.',
      'When Brief lights, put “Tell the sponsor” on Today.',
      'When “Film the shots” is done, “Sound and colour” waits on Tomas Ek for the mix.',
      'When “Film the shots” is done, prepare its folder.',
    ])
  })

  test('happen in the same write, once, and are noted', () => {
    const done = doing(watched, 'episode/prepare')
    expect(done.sentence).toMatch(
      /^Done: Lay out the bench\. Handed “First cut” to Mara\. Added “Charge the lamps”$/,
    )
    const next = withChanges(watched, done.changes)
    expect(next.steps.get('episode/rough')?.owner).toBe('Mara')
    expect(stepsOf(next, 'episode').filter((s) => s.name === 'Charge the lamps')).toHaveLength(1)
    expect(next.episodes.get('episode')?.followed?.map((f) => [f.follow, f.shows])).toEqual([
      ['a', undefined],
      ['b', undefined],
    ])
    // Unticked and ticked again, nothing happens twice.
    const open = withChanges(next, doing(next, 'episode/prepare', false).changes)
    const again = doing(open, 'episode/prepare')
    expect(again.sentence).toBe('Done: Lay out the bench')
  })

  test('a step waits, a folder is offered; without follow-ons a write is left as it is', () => {
    const next = withChanges(watched, doing(watched, 'episode/film').changes)
    expect(next.steps.get('episode/sound')?.waiting).toEqual({
      who: 'Tomas Ek',
      what: 'the mix',
      since: '2026-11-24',
    })
    expect(next.episodes.get('episode')?.followed?.map((f) => f.shows)).toEqual([undefined, 'folder'])
    const plain = valueOf(tickStep(placed, { step: 'episode/film', done: true }, later))
    expect(withFollowOns(placed, plain, later)).toBe(plain)
  })

  test('a lit stage sets them off through what is typed', () => {
    const e = watched.episodes.get('episode')
    if (!e) throw new Error('no example')
    const whole = {
      ...e,
      brief: { ...e.brief, takeaway: 'You can.', points: ['a', 'b', 'c'] },
      titles: [{ id: 't', text: 'Ribs' }],
      chosenTitle: 't',
    }
    const done = withFollowOns(
      watched,
      {
        changes: [{ table: 'episodes', id: 'episode', before: e, after: whole }],
        sentence: 'Changed the brief',
        about: ['episode'],
      },
      later,
    )
    expect(done.sentence).toBe('Changed the brief. A note is on Today')
    expect(done.changes.filter((c) => c.table === 'episodes')).toHaveLength(1)
    expect(withChanges(watched, done.changes).episodes.get('episode')?.followed?.[0]).toMatchObject({
      says: 'Tell the sponsor',
      shows: 'note',
    })
  })
})

test('a step is set back to the day it was done; items of a checklist are ticked for one episode', () => {
  const done = after(placed, tickStep(placed, { step: 'episode/film', done: true }, later))
  expect(
    after(done, backdateStep(done, { step: 'episode/film', day: '2026-11-23' }, later)).steps.get(
      'episode/film',
    )?.doneAt,
  ).toBe('2026-11-23T20:00:00.000Z')
  expect(refusalOf(backdateStep(done, { step: 'episode/film', day: '2026-11-25' }, later))).toMatch(
    /still to come/,
  )
  expect(refusalOf(backdateStep(placed, { step: 'episode/film', day: '2026-11-23' }, later))).toMatch(
    /not done yet/,
  )
  const checklists = [
    { id: 'list', stage: 'film', name: 'Before filming', items: [{ id: 'card', text: 'Empty the card' }] },
  ]
  const listed = after(placed, editRecipe(placed, { recipe: 'recipe', fields: { checklists } }, later))
  const none = { episode: 'episode', item: 'nowhere', on: true }
  expect(refusalOf(tickItem(listed, none, later))).toMatch(/no longer in the checklist/)
  const ticked = after(listed, tickItem(listed, { episode: 'episode', item: 'card', on: true }, later))
  expect(ticked.episodes.get('episode')?.ticked).toEqual(['card'])
  expect(
    after(ticked, tickItem(ticked, { episode: 'episode', item: 'card', on: false }, later)).episodes.get(
      'episode',
    )?.ticked,
  ).toEqual([])
})
