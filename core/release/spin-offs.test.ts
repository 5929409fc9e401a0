import { copyEpisode } from '../commands/episode'
import { thingToHand } from '../line/thing'
import { takeExcerpt } from '../commands/transcripts'
import { editRecipe } from '../commands/recipes/edit-recipe'
import { handOver } from '../commands/release'
import { dropSpinOff, makeSpinOff, writeSpinOff } from '../commands/spin-offs'
import { placeOnSlot } from '../commands/schedule/place-on-slot'
import { moveToSlot } from '../commands/schedule/move-to-slot'
import { tickStep } from '../commands/work/tick-step'
import { after, exampleAt, exampleContext, exampleEpisode, exampleRecords, refusalOf } from '../examples'
import type { Outlet, Records } from '../records'
import { viewOf } from '../views/example-cards'
import { releaseView } from '../views/release'
import { firstOutlet } from '../commands/shows/first-outlet'
import { spinCode } from './spin-offs'
import { spinState } from './spin-parts'
import { thingName, thingsOf } from './when'

const c = exampleContext()
const excerpts: Outlet = {
  ...firstOutlet('excerpts', 'video', '2026-01-01T00:00:00.000Z'),
  ...{ name: 'Excerpts', required: ['title'], takes: ['title', 'description'], thing: 'Excerpt' },
  when: { kind: 'days', days: 1, time: '12:00' },
  more: [{ kind: 'days', days: 2, time: '12:00' }],
}
/** An episode that goes out on Thu 26 Nov, 17:00, and two excerpts of it on the days after. */
function world(): Records {
  const r = exampleRecords([exampleEpisode({ id: 'e', code: 'AB22' })], 'full', {
    outlets: ['outlet', 'excerpts'],
  })
  const withOutlet = { ...r, outlets: new Map([...r.outlets, ['excerpts', excerpts]]) }
  const placed = after(withOutlet, placeOnSlot(withOutlet, { episode: 'e', day: '2026-11-26' }, c))
  const passage = { id: 'x', from: 60, to: 95, text: 'It bends.' }
  return after(placed, takeExcerpt(placed, { episode: 'e', excerpt: passage }, c))
}
const episodeIn = (r: Records) => {
  const e = r.episodes.get('e')
  const show = r.shows.get('show')
  if (!e || !show) throw new Error('gone')
  return { e, show, outlets: show.outlets.flatMap((id) => r.outlets.get(id) ?? []) }
}
const things = (r: Records) => {
  const { e, show, outlets } = episodeIn(r)
  return thingsOf(e, show, outlets).map(
    (t) =>
      `${t.outlet.id} ${thingName(t)} ${new Date(t.at).toISOString().slice(0, 16)}${t.spin ? ` ${t.spin.code}` : ''}`,
  )
}
const spinsIn = (r: Records) => episodeIn(r).e.spinOffs ?? []

test('a passage taken as an excerpt takes the place of one that the outlet would have, at its moment', () => {
  let r = world()
  expect(things(r)).toEqual([
    'outlet  2026-11-26T17:00',
    'excerpts Excerpt 1 2026-11-27T12:00',
    'excerpts Excerpt 2 2026-11-28T12:00',
  ])
  r = after(r, makeSpinOff(r, { episode: 'e', kind: 'excerpt', excerpt: 'x' }, c))
  expect(things(r)).toEqual([
    'outlet  2026-11-26T17:00',
    'excerpts Excerpt 1 2026-11-27T12:00',
    'excerpts Excerpt 2026-11-27T12:00 AB22-A',
  ])
  r = after(r, makeSpinOff(r, { episode: 'e', kind: 'excerpt' }, c))
  r = after(r, makeSpinOff(r, { episode: 'e', kind: 'excerpt' }, c))
  expect(things(r).slice(1)).toEqual([
    'excerpts Excerpt 2026-11-27T12:00 AB22-A',
    'excerpts Excerpt 2026-11-28T12:00 AB22-B',
    'excerpts Excerpt 2026-11-29T12:00 AB22-C',
  ])
  const moved = after(r, moveToSlot(r, { episode: 'e', day: '2026-12-03' }, c))
  expect(
    things(moved)
      .slice(1)
      .map((t) => t.slice(17, 27)),
  ).toEqual(['2026-12-04', '2026-12-05', '2026-12-06'])
})

test('its step is due with it, holds up no release, and its words end it where it is written', () => {
  let r = world()
  r = after(r, makeSpinOff(r, { episode: 'e', kind: 'post', outlet: 'excerpts' }, c))
  r = after(r, makeSpinOff(r, { episode: 'e', kind: 'excerpt', excerpt: 'x' }, c))
  const [post, cut] = spinsIn(r)
  const state = (x: Records, id = post?.id) => {
    const standing = viewOf(x).cards[0]?.standing
    const step = standing?.steps.find((s) => s.step.spin === id)
    return {
      name: step?.step.name,
      due: step?.due,
      left: step?.left,
      free: step?.free,
      missing: standing?.missing.some((m) => m.kind === 'step' && m.step.spin !== undefined),
    }
  }
  expect(state(r)).toEqual({
    name: 'Write the post A',
    due: '2026-11-27',
    left: true,
    free: true,
    missing: false,
  })
  expect(state(r, cut?.id)).toMatchObject({ name: 'Cut the excerpt B', due: '2026-11-30', left: true })
  r = after(r, writeSpinOff(r, { episode: 'e', spin: post?.id ?? '', fields: { text: 'It bends.' } }, c))
  expect(state(r).left).toBe(false)
  r = after(
    r,
    writeSpinOff(
      r,
      { episode: 'e', spin: cut?.id ?? '', fields: { when: { kind: 'days', days: -1, time: '09:00' } } },
      c,
    ),
  )
  expect(state(r, cut?.id).due).toBe('2026-11-24')
})

test('ready when its step is done and its words fit; out when it was seen live; off by one move, and not made again', () => {
  let r = world()
  r = after(r, makeSpinOff(r, { episode: 'e', kind: 'excerpt', excerpt: 'x' }, c))
  const id = spinsIn(r)[0]?.id ?? ''
  const state = (x: Records) => {
    const [card] = viewOf(x).cards
    const spin = card?.episode.spinOffs?.[0]
    return card && spin && spinState(card, spin)
  }
  expect(state(r)).toBe('begun')
  r = after(r, tickStep(r, { step: `e/spin/${id}`, done: true }, c))
  r = after(r, writeSpinOff(r, { episode: 'e', spin: id, fields: { title: 'T'.repeat(120) } }, c))
  expect(state(r)).toBe('begun')
  r = after(r, writeSpinOff(r, { episode: 'e', spin: id, fields: { title: 'It bends' } }, c))
  expect(state(r)).toBe('ready')
  const off = after(r, writeSpinOff(r, { episode: 'e', spin: id, fields: { off: true } }, c))
  expect([state(off), things(off).length]).toEqual(['off', 3])
  const live = after(r, handOver(r, { episode: 'e', key: `excerpts/${id}`, state: 'live', on: true }, c))
  expect(state(live)).toBe('out')
  expect(refusalOf(writeSpinOff(r, { episode: 'e', spin: id, fields: { address: 'not one' } }, c))).toMatch(
    /is not an address/,
  )
  expect(spinsIn(after(r, dropSpinOff(r, { episode: 'e', spin: id }, c)))).toEqual([])
  expect(refusalOf(makeSpinOff(r, { episode: 'e', kind: 'post', excerpt: 'gone' }, c))).toBe(
    'This excerpt is no longer there.',
  )
})

test('what the recipe has made of every episode is there when work begins, once, and a let-go one stays away', () => {
  let r = exampleRecords([exampleEpisode({ id: 'e', code: 'AB22' })], 'full')
  const line = {
    id: 'post',
    kind: 'post' as const,
    when: { kind: 'days' as const, days: 1, time: '12:00' },
    minutes: 20,
  }
  r = after(r, editRecipe(r, { recipe: 'recipe', fields: { spinOffs: [line] } }, c))
  r = after(r, placeOnSlot(r, { episode: 'e', day: '2026-11-26' }, c))
  expect(spinsIn(r).map((s) => [s.code, s.line])).toEqual([['AB22-A', 'post']])
  expect([...r.steps.values()].filter((s) => s.spin).map((s) => [s.name, s.minutes])).toEqual([
    ['Write the post A', 20],
  ])
  const id = spinsIn(r)[0]?.id ?? ''
  r = after(r, dropSpinOff(r, { episode: 'e', spin: id }, c))
  r = after(r, moveToSlot(r, { episode: 'e', day: '2026-12-03' }, c))
  expect(spinsIn(r).map((s) => [s.code, s.off])).toEqual([['AB22-A', true]])
  expect([...r.steps.values()].filter((s) => s.spin)).toHaveLength(1)
  expect(spinCode({ code: 'AB22', spinOffs: spinsIn(r) })).toBe('AB22-B')
})

test('Release asks for what it lacks, each by a move of its own', () => {
  let r = world()
  r = after(r, makeSpinOff(r, { episode: 'e', kind: 'excerpt', excerpt: 'x' }, c))
  r = after(r, makeSpinOff(r, { episode: 'e', kind: 'excerpt' }, c))
  const view = (x: Records) => releaseView(viewOf(x).cards, Date.parse(exampleAt))
  const moves = (x: Records) =>
    view(x)
      .moves.filter((m) => m.label.includes('excerpt'))
      .map((m) => `${m.label} ${m.mends.length}`)
  expect(moves(r)).toEqual([
    'Write the title of the excerpt 1',
    'Cut the excerpt 1',
    'Write the title of the excerpt 1',
    'Cut the excerpt 1',
  ])
  const id = spinsIn(r)[0]?.id ?? ''
  r = after(r, writeSpinOff(r, { episode: 'e', spin: id, fields: { title: 'It bends' } }, c))
  r = after(r, tickStep(r, { step: `e/spin/${id}`, done: true }, c))
  expect(moves(r)).toHaveLength(2)
  const ready = view(r)
    .rows.find((row) => row.outlet.id === 'excerpts')
    ?.things.find((t) => t.spin?.id === id)
  expect([ready?.isReady, ready?.parts.find((p) => p.field === 'title')?.text]).toEqual([true, 'It bends'])
})

test('a copy is made without what was made of the other; the recipe’s are there anew', () => {
  let r = world()
  const line = { id: 'post', kind: 'post' as const, when: { kind: 'with' as const }, minutes: 20 }
  r = after(r, makeSpinOff(r, { episode: 'e', kind: 'excerpt', excerpt: 'x' }, c))
  r = after(r, editRecipe(r, { recipe: 'recipe', fields: { spinOffs: [line] } }, c))
  const copied = after(r, copyEpisode(r, { episode: 'e', texts: true }, c))
  const copy = [...copied.episodes.values()].find((e) => e.id !== 'e')
  expect(copy?.spinOffs?.map((s) => s.kind)).toEqual(['post'])
  const steps = [...copied.steps.values()].filter((s) => s.episode === copy?.id)
  expect(
    steps.filter((s) => s.spin !== undefined || s.name.startsWith('Cut the')).map((s) => s.name),
  ).toEqual(['Write the post A'])
})

test('what is handed over of it has its own title and words', () => {
  let r = world()
  r = after(r, makeSpinOff(r, { episode: 'e', kind: 'excerpt', excerpt: 'x' }, c))
  const id = spinsIn(r)[0]?.id ?? ''
  r = after(
    r,
    writeSpinOff(r, { episode: 'e', spin: id, fields: { title: 'It bends', text: 'Look <b>close</b>' } }, c),
  )
  const thing = releaseView(viewOf(r).cards, Date.parse(exampleAt))
    .rows.flatMap((row) => row.things)
    .find((t) => t.spin?.id === id)
  expect(thing && thingToHand(thing, 42)).toMatchObject({
    title: 'It bends',
    description: 'Look <b>close</b>',
    id: `AB22-excerpts-${id}`,
  })
})
