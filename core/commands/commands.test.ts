import fc from 'fast-check'
import {
  after,
  exampleContext,
  exampleEpisode,
  exampleNow,
  exampleRecords,
  refusalOf,
  valueOf,
} from '../examples'
import { emptyRecords, type Records } from '../records'
import { numbersOf } from '../rhythm/numbering'
import type { Result } from '../result'
import { withChanges, checked, inverse, type Outcome } from './change'
import { addPicture, choosePicture, removePicture } from './episode/pictures'
import { addTitle, chooseTitle } from './episode/titles'
import { dropTags } from './episode/drop-tags'
import { writeEpisode } from './episode/write-episode'
import { backToIdeas } from './ideas/back-to-ideas'
import { dropEpisodes } from './ideas/drop-episodes'
import { jotIdea } from './ideas/jot'
import { fixNumber } from './release/fix-number'
import { markReleased } from './release/mark-released'
import { moveToNextOpen } from './schedule/move-to-next-open'
import { placeOnOwn } from './schedule/place-on-own'
import { placeOnSlot } from './schedule/place-on-slot'
import { skipSlot } from './schedule/skip-slot'
import { startWork } from './schedule/start-work'
import { stepsOf } from './of-episode'
import { takeOff } from './schedule/take-off'
import { writeScript } from './episode/write-script'
import { editSettings } from './settings/edit-settings'
import { editLine } from './recipes/edit-line'
import { editRecipe } from './recipes/edit-recipe'
import { settleDifferences } from './recipes/settle-differences'
import { openDifferences } from './recipes/open-differences'
import { takeStarter } from './recipes/take-starter'
import { addShow, type SetUp } from './shows/add-show'
import { changeRhythm } from './shows/change-rhythm'
import { editOutlet } from './shows/edit-outlet'
import { editShow } from './shows/edit-show'
import { addStep, removeStep } from './work/add-step'
import { estimateStep } from './work/estimate-step'
import { tickStep } from './work/tick-step'
import { waitStep } from './work/wait-step'

const context = exampleContext()
const records = exampleRecords([
  exampleEpisode(),
  exampleEpisode({ id: 'other', title: 'Caulking', code: 'AB23' }),
])
const placed = after(records, placeOnSlot(records, { episode: 'episode', day: '2026-11-26' }, context))
const setUp: SetUp = {
  title: 'Tern & Tiller',
  kind: 'video',
  zone: 'Europe/Lisbon',
  rhythm: { kind: 'week', every: 1, weekdays: [3] },
  time: '17:00',
  start: '2026-11-24',
  hours: [120, 120, 120, 120, 120, 0, 0],
}

describe('beginning', () => {
  test('a newcomer gets a show, the small recipe, one outlet and hours', () => {
    const made = after(emptyRecords(), addShow(emptyRecords(), setUp, context))
    const show = [...made.shows.values()][0]
    expect(show).toMatchObject({
      title: 'Tern & Tiller',
      prefix: '#',
      nextNumber: 1,
      rhythm: { rule: 'FREQ=WEEKLY;INTERVAL=1;BYDAY=TH' },
    })
    expect(made.recipes.get(show?.recipe ?? '')?.lines).toHaveLength(3)
    expect(made.settings.get('settings')?.hours[0]).toBe(120)
  })

  test.each([
    ['an empty name', { title: '  ' }, /needs a name/],
    ['no weekday', { rhythm: { kind: 'week' as const, every: 1, weekdays: [] } }, /at least one weekday/],
    ['a broken time', { time: '25:00' }, /not a time of day/],
    ['an impossible date', { start: '2026-02-30' }, /not a date that exists/],
    ['an unknown zone', { zone: 'Mars/Base' }, /time zone is not known/],
  ])('%s is refused', (_what, fields, says) => {
    expect(refusalOf(addShow(emptyRecords(), { ...setUp, ...fields }, context))).toMatch(says)
  })
})

describe('ideas', () => {
  test('a line is kept with a code of its own', () => {
    const made = after(
      records,
      jotIdea(records, { show: 'show', line: '  A folding thwart ' }, exampleContext()),
    )
    const idea = [...made.episodes.values()].find((e) => e.title === 'A folding thwart')
    expect(idea).toMatchObject({ phase: { kind: 'idea' }, place: { kind: 'nothing' } })
    expect(new Set([...made.episodes.values()].map((e) => e.code)).size).toBe(3)
  })

  test('a blank line, and one for a show that is gone, are refused', () => {
    expect(refusalOf(jotIdea(records, { show: 'show', line: ' ' }, context))).toMatch(/nothing to keep/)
    expect(refusalOf(jotIdea(records, { show: 'gone', line: 'x' }, context))).toMatch(/no longer there/)
  })

  test('what is let go is kept as dropped; what has been released stays', () => {
    expect(
      after(records, dropEpisodes(records, { episodes: ['other'], why: '' }, context)).episodes.get('other')
        ?.phase.kind,
    ).toBe('dropped')
    const out = after(placed, markReleased(placed, { episode: 'episode' }, context))
    expect(refusalOf(dropEpisodes(out, { episodes: ['episode'], why: '' }, context))).toMatch(
      /stays in the Catalogue/,
    )
  })

  test('one goes back to Ideas with its work kept', () => {
    const back = after(placed, backToIdeas(placed, { episode: 'episode' }, context))
    expect(back.episodes.get('episode')).toMatchObject({
      phase: { kind: 'idea' },
      place: { kind: 'nothing' },
    })
    expect(stepsOf(back, 'episode')).toHaveLength(3)
    const again = after(back, placeOnSlot(back, { episode: 'episode', day: '2026-12-03' }, context))
    expect(stepsOf(again, 'episode')).toHaveLength(3)
  })
})

describe('placing', () => {
  test('puts to work, with the recipe’s steps and sections', () => {
    expect(placed.episodes.get('episode')).toMatchObject({
      phase: { kind: 'work' },
      place: { kind: 'slot', day: '2026-11-26' },
    })
    expect(stepsOf(placed, 'episode').map((s) => s.name)).toEqual(['Write', 'Film', 'Edit'])
    expect(placed.scripts.get('episode')?.sections).toHaveLength(5)
  })

  test.each([
    ['a date that does not exist', '2026-02-30', /not a date that exists/],
    ['a date that is no slot', '2026-11-27', /has no slot on Fri 27 Nov/],
    ['a slot that has passed', '2026-11-19', /has passed/],
  ])('on %s is refused', (_what, day, says) => {
    expect(refusalOf(placeOnSlot(records, { episode: 'other', day }, context))).toMatch(says)
  })

  test('on a taken or skipped slot is refused, naming what is there', () => {
    expect(refusalOf(placeOnSlot(placed, { episode: 'other', day: '2026-11-26' }, context))).toMatch(
      /“Steaming oak ribs” is on Thu 26 Nov already/,
    )
    const skipped = after(
      records,
      skipSlot(records, { show: 'show', day: '2026-12-03', skip: true }, context),
    )
    expect(refusalOf(placeOnSlot(skipped, { episode: 'other', day: '2026-12-03' }, context))).toMatch(
      /is skipped/,
    )
    expect(refusalOf(skipSlot(placed, { show: 'show', day: '2026-11-26', skip: true }, context))).toMatch(
      /stands on it/,
    )
    expect(
      after(skipped, skipSlot(skipped, { show: 'show', day: '2026-12-03', skip: false }, context)).shows.get(
        'show',
      )?.skipped,
    ).toEqual([])
  })

  test('a start without a slot has the steps; a slot can be taken later, and left', () => {
    const started = after(records, startWork(records, { episode: 'other' }, context))
    expect(started.episodes.get('other')).toMatchObject({
      phase: { kind: 'work' },
      place: { kind: 'nothing' },
    })
    const later = after(started, placeOnSlot(started, { episode: 'other', day: '2026-12-03' }, context))
    expect(stepsOf(later, 'other')).toHaveLength(3)
    expect(after(later, takeOff(later, { episode: 'other' }, context)).episodes.get('other')?.place).toEqual({
      kind: 'nothing',
    })
  })

  test('a release may have a moment of its own, still to come', () => {
    expect(
      after(
        records,
        placeOnOwn(records, { episode: 'other', day: '2026-12-24', time: '08:00' }, context),
      ).episodes.get('other')?.place,
    ).toEqual({ kind: 'own', day: '2026-12-24', time: '08:00' })
    expect(
      refusalOf(placeOnOwn(records, { episode: 'other', day: '2026-11-20', time: '08:00' }, context)),
    ).toMatch(/has passed/)
    expect(
      refusalOf(placeOnOwn(records, { episode: 'other', day: '2026-13-01', time: '08:00' }, context)),
    ).toMatch(/not a date/)
    expect(
      refusalOf(placeOnOwn(records, { episode: 'other', day: '2026-12-01', time: '8' }, context)),
    ).toMatch(/not a time of day/)
  })

  test('what did not go out moves to the next open slot', () => {
    const late = { ...context, now: Date.parse('2026-11-27T09:00:00Z') }
    expect(
      after(placed, moveToNextOpen(placed, { episode: 'episode' }, late)).episodes.get('episode')?.place,
    ).toEqual({ kind: 'slot', day: '2026-12-03' })
  })
})

describe('working', () => {
  test('physical acts are ticked and taken back; ticking ends waiting', () => {
    const waits = after(
      placed,
      waitStep(
        placed,
        { step: 'episode/film', waiting: { who: 'Tomas Ek', what: 'the lens', since: '2026-11-24' } },
        context,
      ),
    )
    expect(waits.steps.get('episode/film')?.waiting?.who).toBe('Tomas Ek')
    const done = after(waits, tickStep(waits, { step: 'episode/film', done: true }, context))
    expect(done.steps.get('episode/film')).toMatchObject({
      doneAt: '2026-11-24T09:00:00.000Z',
      waiting: undefined,
    })
    expect(
      after(done, tickStep(done, { step: 'episode/film', done: false }, context)).steps.get('episode/film')
        ?.doneAt,
    ).toBeUndefined()
  })

  test('waiting on nobody is refused by the schema', () => {
    expect(
      refusalOf(
        checked(
          valueOf(
            waitStep(
              placed,
              { step: 'episode/film', waiting: { who: '', what: '', since: '2026-11-24' } },
              context,
            ),
          ),
        ),
      ),
    ).toMatch(/who it waits on/)
  })

  test('an episode can have steps of its own; taking one away frees what needed it', () => {
    const more = after(
      placed,
      addStep(
        placed,
        { episode: 'episode', stage: 'film', name: 'Borrow the lens', minutes: 20 },
        exampleContext(),
      ),
    )
    expect(stepsOf(more, 'episode').at(-1)).toMatchObject({ name: 'Borrow the lens', order: 3 })
    const less = after(placed, removeStep(placed, { step: 'episode/script' }, context))
    expect(less.steps.get('episode/film')?.needs).toEqual([])
    expect(
      after(placed, estimateStep(placed, { step: 'episode/film', minutes: 45 }, context)).steps.get(
        'episode/film',
      )?.minutes,
    ).toBe(45)
    expect(refusalOf(tickStep(placed, { step: 'gone', done: true }, context))).toMatch(/no longer there/)
  })

  test('titles: added once, chosen, and unchosen', () => {
    const one = after(placed, addTitle(placed, { episode: 'episode', text: 'Bent cold' }, exampleContext()))
    const id = one.episodes.get('episode')?.titles[0]?.id ?? ''
    expect(refusalOf(addTitle(one, { episode: 'episode', text: ' bent COLD ' }, context))).toMatch(
      /among the candidates/,
    )
    expect(refusalOf(addTitle(one, { episode: 'episode', text: ' ' }, context))).toMatch(/Type a title/)
    expect(
      after(one, chooseTitle(one, { episode: 'episode', title: id }, context)).episodes.get('episode')
        ?.chosenTitle,
    ).toBe(id)
    expect(refusalOf(chooseTitle(one, { episode: 'episode', title: 'gone' }, context))).toMatch(
      /no longer there/,
    )
  })

  test('typing in one field is one step of undo', () => {
    const first = valueOf(
      writeEpisode(placed, { episode: 'episode', typed: { note: 'a' }, what: 'the note' }, context),
    )
    const second = valueOf(
      writeEpisode(placed, { episode: 'episode', typed: { note: 'ab' }, what: 'the note' }, context),
    )
    expect(first.merge).toBe(second.merge)
    expect(
      refusalOf(
        writeEpisode(placed, { episode: 'episode', typed: { title: ' ' }, what: 'the title' }, context),
      ),
    ).toMatch(/needs a title/)
  })

  test('tags over a limit are dropped from the end', () => {
    const tagged = after(
      placed,
      writeEpisode(
        placed,
        { episode: 'episode', typed: { tags: ['oak', 'ribs', 'steam'] }, what: 'the tags' },
        context,
      ),
    )
    expect(
      after(tagged, dropTags(tagged, { episode: 'episode', limit: 8 }, context)).episodes.get('episode')
        ?.tags,
    ).toEqual(['oak', 'ribs'])
  })

  test('pictures: added with their bytes, chosen, taken away; a 40 MB one is refused', () => {
    const picture = { id: 'p', name: 'a.png', type: 'image/png' as const, width: 1280, height: 720, size: 4 }
    const file = { id: 'p', type: 'image/png', bytes: new Uint8Array(4) }
    const added = valueOf(addPicture(placed, { episode: 'episode', picture, file }, context))
    expect(added.files).toEqual([file])
    const there = withChanges(placed, added.changes)
    const chosen = after(there, choosePicture(there, { episode: 'episode', picture: 'p' }, context))
    expect(chosen.episodes.get('episode')?.chosenPicture).toBe('p')
    expect(
      after(chosen, removePicture(chosen, { episode: 'episode', picture: 'p' }, context)).episodes.get(
        'episode',
      ),
    ).toMatchObject({ pictures: [], chosenPicture: undefined })
    expect(
      refusalOf(
        addPicture(
          placed,
          { episode: 'episode', picture, file: { ...file, bytes: new Uint8Array(40 * 1024 * 1024) } },
          context,
        ),
      ),
    ).toMatch(/40 MB; at most 20 MB/)
    expect(refusalOf(choosePicture(placed, { episode: 'episode', picture: 'p' }, context))).toMatch(
      /no longer there/,
    )
  })
})

describe('releasing', () => {
  const late = { ...context, now: Date.parse('2026-11-27T09:00:00Z') }

  test('“is it out?” answered yes fixes its number and the moment it was promised', () => {
    const out = after(placed, markReleased(placed, { episode: 'episode' }, late)).episodes.get('episode')
    expect(out).toMatchObject({ number: 1, phase: { kind: 'released', at: '2026-11-26T17:00:00.000Z' } })
  })

  test('before its moment it goes out now; twice is refused', () => {
    const out = after(placed, markReleased(placed, { episode: 'episode' }, context))
    expect(out.episodes.get('episode')?.phase).toEqual({
      kind: 'released',
      at: '2026-11-24T09:00:00.000Z',
      planned: '2026-11-26T17:00:00.000Z',
    })
    expect(refusalOf(markReleased(out, { episode: 'episode' }, context))).toMatch(/already been released/)
  })

  test('a kit fixes the number, so that a new one before it does not take it', () => {
    const two = after(placed, placeOnSlot(placed, { episode: 'other', day: '2026-12-10' }, context))
    const kit = after(two, fixNumber(two, { episode: 'other' }, context))
    expect(kit.episodes.get('other')?.number).toBe(3)
    const show = kit.shows.get('show')
    expect(show && numbersOf(show, kit.episodes.values(), exampleNow).open.get('2026-12-03')).toBe(2)
    expect(valueOf(fixNumber(kit, { episode: 'other' }, context)).changes).toEqual([])
  })
})

describe('shows and recipes', () => {
  test('a change of rhythm moves those that lose their slot, or takes them off', () => {
    const wish = {
      show: 'show',
      rhythm: { kind: 'week' as const, every: 1, weekdays: [1] },
      time: '12:00',
      start: '2026-11-24',
    }
    expect(
      after(placed, changeRhythm(placed, { ...wish, displaced: 'nearest' }, context)).episodes.get('episode')
        ?.place,
    ).toEqual({ kind: 'slot', day: '2026-11-24' })
    const off = valueOf(changeRhythm(placed, { ...wish, displaced: 'off' }, context))
    expect(off.about).toEqual(['episode'])
    expect(withChanges(placed, off.changes).episodes.get('episode')?.place).toEqual({ kind: 'nothing' })
  })

  test('broken fields of a show are refused', () => {
    expect(refusalOf(editShow(records, { show: 'show', fields: { title: '' } }, context))).toMatch(
      /needs a name/,
    )
    expect(
      refusalOf(editShow(records, { show: 'show', fields: { aim: { from: 12, to: 8 } } }, context)),
    ).toMatch(/shorter aim comes first/)
    expect(refusalOf(editShow(records, { show: 'show', fields: { nextNumber: 0 } }, context))).toMatch(
      /start at 1/,
    )
  })

  test('a recipe with a circle is refused with the circle named', () => {
    const lines = (records.recipes.get('recipe')?.lines ?? []).map((l) =>
      l.id === 'script' ? { ...l, needs: ['rough'] } : l,
    )
    expect(refusalOf(editRecipe(records, { recipe: 'recipe', fields: { lines } }, context))).toMatch(
      /“Write” needs “Edit” needs “Film” needs “Write”/,
    )
    expect(
      refusalOf(editRecipe(records, { recipe: 'recipe', fields: { pattern: '{chpaters}' } }, context)),
    ).toMatch(/“{chpaters}” is not a word/)
  })

  test('a changed line is offered to episodes in work where the step is open, to take or to leave', () => {
    const later = { ...context, now: context.now + 60_000 }
    const line = placed.recipes.get('recipe')?.lines[0]
    if (!line) throw new Error('no line')
    const changed = after(
      placed,
      editLine(placed, { recipe: 'recipe', line: { ...line, minutes: 45 } }, later),
    )
    expect(changed.steps.get('episode/script')?.minutes).toBe(120)
    const [offer, ...more] = openDifferences(changed, 'recipe')
    expect(more).toEqual([])
    expect(offer?.says).toBe('45 min instead of 120')
    const taken = after(
      changed,
      settleDifferences(changed, { recipe: 'recipe', take: [offer?.key ?? ''], leave: [] }, later),
    )
    expect(taken.steps.get('episode/script')?.minutes).toBe(45)
    expect(openDifferences(taken, 'recipe')).toEqual([])
    expect(
      refusalOf(settleDifferences(taken, { recipe: 'recipe', take: [offer?.key ?? ''], leave: [] }, later)),
    ).toMatch(/settled already/)
    const left = after(
      changed,
      settleDifferences(changed, { recipe: 'recipe', take: [], leave: [offer?.key ?? ''] }, later),
    )
    expect(left.steps.get('episode/script')?.minutes).toBe(120)
    expect(openDifferences(left, 'recipe')).toEqual([])
    // Changed once more, it is offered once more.
    const again = after(
      left,
      editLine(
        left,
        { recipe: 'recipe', line: { ...line, minutes: 50 } },
        { ...later, now: later.now + 60_000 },
      ),
    )
    expect(openDifferences(again, 'recipe').map((d) => d.says)).toEqual(['50 min instead of 120'])
  })

  test('the fuller recipe adds to episodes in work what they lack, and doubles nothing', () => {
    const full = after(placed, takeStarter(placed, { show: 'show', starter: 'full' }, exampleContext()))
    const names = stepsOf(full, 'episode').map((s) => s.line)
    expect(new Set(names).size).toBe(names.length)
    expect(names).toHaveLength(12)
  })

  test('limits of an outlet and the settings change', () => {
    expect(
      after(
        records,
        editOutlet(records, { outlet: 'outlet', fields: { tagLimit: 300 } }, context),
      ).outlets.get('outlet')?.tagLimit,
    ).toBe(300)
    expect(
      after(records, editSettings(records, { daysOff: ['2026-12-08'] }, context)).settings.get('settings')
        ?.daysOff,
    ).toEqual(['2026-12-08'])
    expect(
      refusalOf(checked(valueOf(editSettings(records, { hours: [1500, 0, 0, 0, 0, 0, 0] }, context)))),
    ).toMatch(/24 hours/)
  })
})

/** Every command with a wish that fits, for what must hold of all. */
const deeds: ((records: Records) => Result<Outcome>)[] = [
  (r) => jotIdea(r, { show: 'show', line: 'New' }, context),
  (r) => dropEpisodes(r, { episodes: ['other'], why: 'old' }, context),
  (r) => backToIdeas(r, { episode: 'episode' }, context),
  (r) => placeOnSlot(r, { episode: 'other', day: '2026-12-10' }, context),
  (r) => placeOnOwn(r, { episode: 'other', day: '2026-12-24', time: '08:00' }, context),
  (r) => startWork(r, { episode: 'other' }, context),
  (r) => takeOff(r, { episode: 'episode' }, context),
  (r) => skipSlot(r, { show: 'show', day: '2026-12-17', skip: true }, context),
  (r) => moveToNextOpen(r, { episode: 'episode' }, context),
  (r) =>
    writeEpisode(
      r,
      { episode: 'episode', typed: { note: 'A note', tags: ['oak'] }, what: 'the note' },
      context,
    ),
  (r) => addTitle(r, { episode: 'episode', text: `Title ${context.id()}` }, context),
  (r) => tickStep(r, { step: 'episode/film', done: true }, context),
  (r) =>
    waitStep(
      r,
      { step: 'episode/rough', waiting: { who: 'Ines Varga', what: '', since: '2026-11-24' } },
      context,
    ),
  (r) => addStep(r, { episode: 'episode', stage: 'edit', name: 'More', minutes: 5 }, context),
  (r) => removeStep(r, { step: 'episode/script' }, context),
  (r) => writeScript(r, { episode: 'episode', wish: { kind: 'speak', spoken: 'points' } }, context),
  (r) => markReleased(r, { episode: 'episode' }, context),
  (r) => fixNumber(r, { episode: 'episode' }, context),
  (r) =>
    changeRhythm(
      r,
      {
        show: 'show',
        rhythm: { kind: 'day', every: 3 },
        time: '09:00',
        start: '2026-11-24',
        displaced: 'nearest',
      },
      context,
    ),
  (r) => takeStarter(r, { show: 'show', starter: 'full' }, context),
  (r) => editSettings(r, { theme: 'daylight' }, context),
  (r) => addShow(r, setUp, context),
]

test('undo after any commands gives the very records from before, and redo the ones after', () => {
  fc.assert(
    fc.property(fc.array(fc.nat({ max: deeds.length - 1 }), { maxLength: 12 }), (row) => {
      const states: Records[] = [placed]
      const changes: Outcome['changes'][] = []
      for (const i of row) {
        const now = states.at(-1) ?? placed
        const done = deeds[i]?.(now)
        if (!done?.ok) continue
        expect(checked(done.value).ok).toBe(true)
        changes.push(done.value.changes)
        states.push(withChanges(now, done.value.changes))
      }
      let now = states.at(-1) ?? placed
      for (let i = changes.length - 1; i >= 0; i--) {
        now = withChanges(now, inverse(changes[i] ?? []))
        expect(now).toEqual(states[i])
      }
      for (const c of changes) now = withChanges(now, c)
      expect(now).toEqual(states.at(-1))
    }),
  )
})
