import fc from 'fast-check'
import { effectScope, ref } from 'vue'
import { exampleNow } from '@core/examples'
import { moveToSlot } from '@core/commands/schedule'
import type { Records } from '@core/records'
import { addDays, sayDay } from '@core/rhythm/days'
import { exampleWorld } from '@core/views/example-cards'
import { useCards } from '@app/stores/cards'
import { deskThatDoes } from '@app/stores/example-desk'
import { afterAnyDeeds, liveThrough, someDeeds } from '@app/stores/example-life'
import { usePlan } from '@app/stores/plan'
import { useSchedule } from '@app/stores/schedule'
import { saying } from '@app/ui/drag/carry'
import { useCarrying } from './carrying'
import { useCountdown } from './useCountdown'
import { useCountdownMoves } from './useCountdownMoves'
import { useMonth } from './useMonth'
import { useMonthMoves } from './useMonthMoves'
import { runs } from '@core/runs'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))
jest.mock('@app/stores/remembered', () => ({ remembered: (_: string, usual: unknown) => ref(usual) }))
jest.mock('@app/ui/width', () => ({ useWidth: () => ref(1200) }))
jest.mock('vue', () => ({
  ...jest.requireActual<object>('vue'),
  useTemplateRef: () => jest.requireActual<{ ref: (of: null) => unknown }>('vue').ref(null),
}))
/** Of the page only what keys ask for. */
const HTMLElement = EventTarget
Object.assign(globalThis, {
  HTMLElement,
  document: { querySelector: () => null },
  navigator: { language: 'en-GB' },
})

function screen(records: Records, now = exampleNow) {
  const desk = deskThatDoes(records, now)
  usePlan().afterwards = () => Promise.resolve(new Map())
  const scope = effectScope()
  const found = scope.run(() => {
    const countdown = useCountdown()
    return {
      month: useMonth(),
      moves: useMonthMoves(),
      countdown,
      cardMoves: useCountdownMoves(countdown),
      carrying: useCarrying(),
    }
  })
  if (!found) throw new Error('no screen')
  return {
    ...found,
    desk,
    cards: useCards(),
    schedule: useSchedule(),
    end: () => {
      found.carrying.end()
      scope.stop()
    },
  }
}
type Life = ReturnType<typeof screen>

/** What Slots, Month and Countdown say of what is open and what is placed; gives back how many slots were looked at. */
function holds({ schedule, month, countdown, cards, desk }: Life): number {
  const { today, shows } = desk.moment
  const within = (day: string) => day >= today && day <= addDays(today, 30)
  const rows = schedule.rows.filter((r) => within(r.day))
  const open = rows.filter((r) => r.slot).map((r) => `${r.day} ${r.show.id}`)
  const inMonth = [...month.open.value.keys()].filter((k) => within(k.slice(0, 10)))
  expect(inMonth.sort()).toEqual(open.sort())
  const unskipped = rows.filter((r) => r.slot && !r.slot.skipped).map((r) => `${r.day} ${r.show.id}`)
  const here = countdown.open.value.filter((r) => within(r.day)).map((r) => `${r.day} ${r.show.id}`)
  expect(here.sort()).toEqual(unskipped.sort())
  // Each release that is to come stands in all three on its day.
  const placed = rows.flatMap((r) => (r.card ? [`${r.day} ${r.card.episode.id}`] : []))
  const released = [...month.releases.value].flatMap(([day, all]) =>
    all.filter((c) => c.episode.phase.kind === 'work' && within(day)).map((c) => `${day} ${c.episode.id}`),
  )
  expect(released.sort()).toEqual(placed.sort())
  const onCountdown = countdown.puts.value.map((p) => p.card.episode.id)
  for (const c of cards.coming)
    if (c.standing.release && within(c.standing.release.day)) expect(onCountdown).toContain(c.episode.id)
  for (const show of shows) {
    const next = schedule.openOf(show, 2).filter((s) => within(s.day))
    expect(next.map((s) => `${s.day} ${show.id}`)).toEqual(
      unskipped.filter((k) => k.endsWith(` ${show.id}`)).slice(0, next.length),
    )
  }
  return open.length
}

describe('the schedule, whatever is done', () => {
  test('Slots, Month and Countdown show the same open slots and the same releases', () => {
    afterAnyDeeds(() => screen(exampleWorld()), holds, { seed: 20_261_134, enough: 12 })
  })

  test('what is said while an episode is carried to a slot comes true when it is let go', async () => {
    let tried = 0
    await fc.assert(
      fc.asyncProperty(someDeeds, fc.nat(20), fc.nat(20), async (row, which, to) => {
        const life = screen(exampleWorld())
        life.desk.moment.now = liveThrough(row, life.desk.library.records, life.desk.see)
        const card = life.cards.placed[which % Math.max(1, life.cards.placed.length)]
        const goals = life.schedule.rows.filter(
          (r) => r.show.id === card?.show.id && r.at > life.desk.moment.now,
        )
        const goal = goals[to % Math.max(1, goals.length)]
        const original =
          goal?.slot?.original ??
          (goal?.card?.episode.place.kind === 'slot' ? goal.card.episode.place.day : undefined)
        if (!card || !goal || original === undefined || goal.card === card) {
          life.end()
          return
        }
        life.carrying.over(card, { original, day: goal.day })
        const said = saying.says
        // Numbers follow the order of releases; who is named is the one that had it.
        const named = new Map(life.cards.placed.map((c) => [c.number, c.episode.id]))
        const wish = { episode: card.episode.id, day: original }
        const done = await life.desk.library.perform(moveToSlot, wish)
        if (done.ok) {
          const { today } = life.desk.moment
          const now = life.cards.card(card.episode.id)
          expect(said).toContain(`To ${sayDay(now?.standing.release?.day ?? '', today)}`)
          const due = /next step due ([^;]+)/.exec(said)?.[1]
          expect([said, due]).toEqual([said, now?.standing.next?.due && sayDay(now.standing.next.due)])
          for (const [, number = '', day] of said.matchAll(/(?:moves |, )(\S+) to (\w+ \d+ \w+)/g)) {
            const other = life.cards.card(named.get(number) ?? '')
            const title = [said, number]
            if (other) expect([...title, day]).toEqual([...title, sayDay(other.standing.release?.day ?? '')])
          }
          tried++
        }
        life.end()
      }),
      { numRuns: runs(36), seed: 20_261_135, endOnFailure: true },
    )
    expect(tried).toBeGreaterThan(15)
  })

  test('let go on a day of the Month it stands there: on the slot, or as a release of its own', async () => {
    const days = fc.integer({ min: 1, max: 40 })
    await fc.assert(
      fc.asyncProperty(days, fc.nat(2), async (n, which) => {
        const life = screen(exampleWorld())
        const [first, second] = life.cards.placed
        const card = which === 0 ? first : second
        if (!card) throw new Error('nothing placed')
        const day = addDays(life.desk.moment.today, n)
        const target = life.moves.target(day)
        const carried = { kind: 'episode' as const, id: card.episode.id, show: card.show.id, label: '' }
        expect(target?.takes(carried)).toBe(true)
        await target?.drop(carried)
        expect(life.cards.card(card.episode.id)?.standing.release?.day).toBe(day)
        holds(life)
        life.end()
      }),
      { numRuns: runs(18), seed: 20_261_136, endOnFailure: true },
    )
    const life = screen(exampleWorld())
    expect(life.moves.target(addDays(life.desk.moment.today, -1))).toBeUndefined()
    life.end()
  })
})

describe('a card of the Countdown', () => {
  /** Presses a key on the card of an episode. */
  const press = async (life: Life, id: string, key: string) => {
    const put = life.countdown.puts.value.find((p) => p.card.episode.id === id)
    if (!put) throw new Error('no card')
    const event = {
      ...{ key, altKey: false, ctrlKey: false, metaKey: false, shiftKey: false },
      ...{ isComposing: false, defaultPrevented: false, target: null },
      ...{ preventDefault: () => undefined, stopPropagation: () => undefined },
    }
    life.cardMoves.keyed(event, put)
    await Promise.resolve()
  }
  const rowOfCard = (life: Life, id: string) =>
    life.countdown.puts.value.find((p) => p.card.episode.id === id)?.row

  test('a stage that is finished by a key says what that ticks, lies further down, and is opened again', async () => {
    const records = exampleWorld()
    const e0 = records.episodes.get('e0')
    if (!e0) throw new Error('no episode')
    const titled = { ...e0, titles: [{ id: 't', text: 'Ribs' }], chosenTitle: 't' }
    const life = screen({ ...records, episodes: new Map([...records.episodes, ['e0', titled]]) })
    const before = life.desk.library.records
    let finished = 0
    for (let n = 0; n < 4; n++) {
      const row = rowOfCard(life, 'e0') ?? 0
      await press(life, 'e0', 'ArrowDown')
      const asked = life.cardMoves.asking.value
      if (!asked) break
      const open = life.cards
        .card('e0')
        ?.standing.stages.filter((s) => asked.stages.includes(s.stage.id))
        .flatMap((s) => s.steps.filter((x) => !x.done).map((x) => x.step.name))
      expect(asked.steps).toEqual(open)
      await life.cardMoves.finish()
      const stands = life.cards.card('e0')?.standing.stages ?? []
      for (const s of stands.filter((x) => asked.stages.includes(x.stage.id)))
        expect([s.stage.id, s.steps.every((x) => x.done)]).toEqual([s.stage.id, true])
      expect(rowOfCard(life, 'e0')).toBeGreaterThanOrEqual(row)
      finished++
      holds(life)
    }
    expect(finished).toBeGreaterThan(1)
    const low = rowOfCard(life, 'e0') ?? 0
    await press(life, 'e0', 'ArrowUp')
    expect(rowOfCard(life, 'e0')).toBeLessThan(low)
    while (life.desk.undo());
    expect(life.desk.library.records).toEqual(before)
    life.end()
  })

  test('to the slot after and back by keys, whoever stands there makes room', async () => {
    const life = screen(exampleWorld())
    const dayOf = (id: string) => life.cards.card(id)?.standing.release?.day
    const [first, second] = [dayOf('e0'), dayOf('e1')]
    await press(life, 'e0', 'ArrowRight')
    expect(dayOf('e0')).toBe(second)
    expect(dayOf('e1')).not.toBe(second)
    await press(life, 'e0', 'ArrowLeft')
    expect(dayOf('e0')).toBe(first)
    holds(life)
    life.end()
  })
})
