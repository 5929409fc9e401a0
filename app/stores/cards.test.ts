import fc from 'fast-check'
import { after, exampleAt, exampleContext, exampleEpisode, exampleNow, exampleScript } from '@core/examples'
import { writeEpisode } from '@core/commands/episode'
import { markReleased } from '@core/commands/release'
import { tickStep } from '@core/commands/work'
import { exampleDeal } from '@core/partners/example-deal'
import { exampleWorld, viewOf } from '@core/views/example-cards'
import { Part, type Records } from '@core/records'
import { useCards } from './cards'
import { exampleDesk } from './example-desk'
import { liveThrough, someDeeds } from './example-life'
import { useOut } from './out'
import { useWorkload } from './workload'
import { runs } from '@core/runs'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))

/** Everything that the cards say of some records, in a form that can be compared. */
function said(cards: ReturnType<typeof useCards>) {
  const of = (row: typeof cards.working) =>
    row.map(
      (c) => [c.number, c.title, c.episode.id, c.recipe.id, c.script?.id, c.deal?.id, c.standing] as const,
    )
  return {
    working: of(cards.working),
    placed: of(cards.placed).map(([, , id]) => id),
    unplaced: of(cards.unplaced).map(([, , id]) => id),
    spares: of(cards.spares).map(([, , id]) => id),
    ideas: cards.ideas.map((e) => e.id),
    released: cards.released.map((e) => e.id),
    following: of(cards.following),
    lately: of(cards.lately),
    late: cards.late.map((c) => c.episode.id),
    steps: [...cards.stepIn.keys()].sort(),
    numbers: [...cards.numbers].map(([show, n]) => [show, [...n.episodes]]),
  }
}

describe('cards', () => {
  test('say what a view of the same records says, in order of release', () => {
    const records = exampleWorld()
    exampleDesk(records)
    const cards = useCards()
    const view = viewOf(records)
    const dated = view.cards.filter((c) => c.standing.release)
    expect(cards.placed.map((c) => c.standing)).toEqual(dated.map((c) => c.standing))
    expect(cards.placed.map((c) => c.number)).toEqual(['#1', '#2'])
    expect(cards.unplaced.map((c) => c.title)).toEqual(['Spar'])
    expect([...cards.stepIn.keys()].sort()).toEqual([...view.stepIn.keys()].sort())
  })

  test('the card of an episode is the same object until something that it says is another', () => {
    const records = exampleWorld()
    const desk = exampleDesk(records)
    const cards = useCards()
    const [first, second] = cards.placed
    const step = first?.steps.find((s) => s.part === undefined)?.id ?? ''
    desk.see(after(records, tickStep(records, { step, done: true }, exampleContext())))
    expect(cards.placed[1]).toBe(second)
    expect(cards.placed[0]).not.toBe(first)
    expect(cards.placed[0]?.standing.steps.find((s) => s.step.id === step)?.done).toBe(true)
    desk.see(records)
    expect(cards.placed[0]?.standing).toEqual(first?.standing)
  })

  test('ideas and releases are the very same row while something in work is typed', () => {
    const world = exampleWorld()
    const idea = exampleEpisode({ id: 'idea', code: 'AB29', title: 'Oars' })
    const records = { ...world, episodes: new Map([...world.episodes, ['idea', idea]]) }
    const desk = exampleDesk(records)
    const cards = useCards()
    const { ideas } = cards
    const typed = { title: 'Ribs, again' }
    desk.see(
      after(records, writeEpisode(records, { episode: 'e0', typed, what: 'the title' }, exampleContext())),
    )
    expect(cards.ideas).toBe(ideas)
    expect(cards.card('e0')?.title).toBe('Ribs, again')
  })

  test('what is answered for is out: in the Catalogue’s rows, lately, and no longer coming', () => {
    const records = exampleWorld()
    const later = exampleNow + 3 * 86_400_000
    const desk = exampleDesk(records, later)
    const cards = useCards()
    const out = useOut()
    expect(cards.overdue.map((c) => c.episode.id)).toEqual(['e0'])
    expect(out.rows).toEqual([])
    desk.see(after(records, markReleased(records, { episode: 'e0' }, exampleContext(later))))
    expect(cards.overdue).toEqual([])
    expect(cards.lately.map((c) => c.episode.id)).toEqual(['e0'])
    expect(out.rows.map((r) => [r.number, r.day, r.late])).toEqual([['#1', '2026-11-26', 0]])
    expect(cards.placed.map((c) => c.episode.id)).toEqual(['e1'])
  })

  test('a day later what was due is late, without anything being written', () => {
    const desk = exampleDesk(exampleWorld())
    const cards = useCards()
    const before = cards.late[0]?.standing.late ?? 0
    expect(before).toBeGreaterThan(0)
    desk.moment.now = exampleNow + 86_400_000
    expect(desk.moment.today).toBe('2026-11-25')
    expect(cards.late[0]?.standing.late).toBe(before + 1)
  })

  test('another script, recipe, outlet or deal is another card', () => {
    const world = exampleWorld()
    const episode = exampleEpisode({ ...world.episodes.get('e0'), sponsor: 'Kelpline Rope' })
    const records: Records = { ...world, episodes: new Map([...world.episodes, ['e0', episode]]) }
    const desk = exampleDesk(records)
    const cards = useCards()
    const standing = (next: Partial<Records>) => {
      desk.see({ ...records, ...next })
      return cards.card('e0')?.standing
    }
    const asItWas = standing({})
    const script = exampleScript({ Hook: ['A word. '.repeat(2000)] }, 'e0')
    const state = (s: typeof asItWas) =>
      s?.stages.flatMap((x) => x.parts).find((p) => p.part === 'script')?.state
    expect([state(asItWas), state(standing({ scripts: new Map([['e0', script]]) }))]).toEqual([
      'missing',
      'there',
    ])
    const [recipe] = [...records.recipes.values()]
    if (!recipe) throw new Error('no recipe')
    const fewer = { ...recipe, stages: recipe.stages.filter((s) => s.kind !== 'edit') }
    expect(standing({ recipes: new Map([[recipe.id, fewer]]) })?.stages).toHaveLength(
      (asItWas?.stages.length ?? 0) - 1,
    )
    const outlets = new Map(
      [...records.outlets].map(([id, o]) => [id, { ...o, required: [...Part.options] }]),
    )
    expect(standing({ outlets })?.missing.length).toBeGreaterThan(asItWas?.missing.length ?? 0)
    const deal = { ...exampleDeal, id: 'deal', noted: {}, createdAt: exampleAt, updatedAt: exampleAt }
    expect(standing({ deals: new Map([[deal.id, deal]]) })?.missing.some((m) => m.kind === 'read')).toBe(true)
    expect(standing({})).toEqual(asItWas)
  })

  test('whatever is done, what is kept from before says what fresh stores say', () => {
    let done = 0
    fc.assert(
      fc.property(someDeeds, (row) => {
        let records = exampleWorld()
        const desk = exampleDesk(records)
        const cards = useCards()
        const workload = useWorkload()
        const now = liveThrough(row, records, (next) => {
          done++
          records = next
          desk.see(next)
          // What is asked for between deeds is what is kept.
          said(cards)
          expect(workload.load.blocks).toBeDefined()
        })
        desk.moment.now = now
        const [kept, laid] = [said(cards), workload.load.blocks]
        exampleDesk(records, now)
        expect(kept).toEqual(said(useCards()))
        expect(laid).toEqual(useWorkload().load.blocks)
      }),
      { numRuns: runs(20), seed: 20_261_127, endOnFailure: true },
    )
    expect(done).toBeGreaterThan(runs(80))
  })
})
