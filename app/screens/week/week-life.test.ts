import { sum } from 'd3-array'
import { effectScope } from 'vue'
import { exampleNow } from '@core/examples'
import type { Id, Records } from '@core/records'
import { addDays } from '@core/rhythm/days'
import type { DayBlock } from '@core/views/week'
import { exampleWorld } from '@core/views/example-cards'
import { useCards } from '@app/stores/cards'
import { deskThatDoes } from '@app/stores/example-desk'
import { afterAnyDeeds, andAllOfItBack } from '@app/stores/example-life'
import { useWorkload } from '@app/stores/workload'
import { useBlocks } from './useBlocks'
import { useWeek } from './useWeek'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))
const pushed: object[] = []
jest.mock('vue-router', () => ({ useRouter: () => ({ push: (to: object) => pushed.push(to) }) }))
jest.mock('@app/ui/keymap', () => ({
  ...jest.requireActual<object>('@app/ui/keymap'),
  useKeymap: () => undefined,
}))

function screen(records: Records, now = exampleNow) {
  const desk = deskThatDoes(records, now)
  const scope = effectScope()
  const found = scope.run(() => {
    const week = useWeek()
    return { week, deeds: useBlocks(week, () => undefined) }
  })
  if (!found) throw new Error('no screen')
  return {
    ...found,
    desk,
    workload: useWorkload(),
    end: () => {
      scope.stop()
    },
  }
}
type Life = ReturnType<typeof screen>

/** Blocks one by one, those of a session too. */
const alone = (row: readonly DayBlock[]) => row.flatMap((b) => (b.session ? (b.parts ?? []) : [b]))
const open = ({ week }: Life) =>
  alone(week.rows.value.flatMap((r) => r.mine)).filter((b) => b.kind !== 'done')

/** What must hold of the week, whatever was done. Gives back how many blocks it looked at. */
function holds(life: Life): number {
  const { week, workload, desk } = life
  const { today } = desk.moment
  let looked = 0
  for (const row of week.rows.value) {
    const keys = row.mine.map((b) => b.key)
    expect([row.day, new Set(keys).size]).toEqual([row.day, keys.length])
    const mine = alone(row.mine).filter((b) => b.kind !== 'done')
    looked += mine.length
    if (row.past) expect([row.day, mine]).toEqual([row.day, []])
    else {
      // What the day says of itself is what every other screen says of it.
      const figures = workload.figuresOf(row.day)
      expect([row.day, row.room, row.free, row.more]).toEqual([
        row.day,
        figures.whole,
        figures.free,
        figures.over,
      ])
      // All that the plan has on the day stands there once, and nothing else.
      const planned = workload.load.blocks.filter((b) => b.day === row.day)
      expect([row.day, sum(mine, (b) => b.minutes)]).toEqual([row.day, sum(planned, (b) => b.minutes)])
      expect(new Set(mine.map((b) => b.step))).toEqual(new Set(planned.map((b) => b.id)))
    }
    // What is needed stands before what needs it.
    mine.forEach((b, i) => {
      const behind = new Set(mine.slice(i + 1).map((x) => x.step))
      expect([row.day, b.step, b.needs.filter((n) => behind.has(n))]).toEqual([row.day, b.step, []])
    })
  }
  const { room, laid, would } = week.totals.value
  const coming = week.rows.value.filter((r) => r.day >= today)
  expect(room).toBe(sum(coming, (r) => workload.figuresOf(r.day).left))
  expect(laid + would).toBe(
    sum(
      week.rows.value.flatMap((r) => r.mine),
      (b) => (b.kind === 'done' ? 0 : b.minutes),
    ),
  )
  return looked
}

const minutesOn = ({ desk }: Life, step: Id, day?: string) =>
  sum(desk.library.records.steps.get(step)?.blocks ?? [], (b) => (day && b.day !== day ? 0 : b.minutes))

/** Does one thing to the n-th block that lies in the week, and says what came of it. */
async function act(life: Life, kind: string, n: number): Promise<void> {
  const { week, deeds, desk } = life
  const all = open(life)
  const b = all[n % Math.max(1, all.length)]
  if (kind === 'undo') desk.undo()
  if (kind === 'turn') week.turn(n % 3 === 0 ? undefined : n % 3 === 1 ? 1 : -1)
  if (!b) return
  const session = [...desk.library.records.sessions.values()].find((s) => s.steps.includes(b.step))
  if (session) return
  const before = desk.refused.length
  const was = { here: minutesOn(life, b.step, b.day), all: minutesOn(life, b.step) }
  const to = addDays(b.day, (n % 5) + 1)
  switch (kind) {
    case 'lay':
      await deeds.lay(b.step, to, b.day, b.minutes)
      if (desk.refused.length === before)
        expect(minutesOn(life, b.step, to)).toBeGreaterThanOrEqual(b.minutes)
      break
    case 'pin':
      await deeds.pin(b)
      if (desk.refused.length === before) {
        // What planning would lay is laid by it; what is laid is pinned or let go.
        const now = open(life).find((x) => x.key === b.key)
        expect([b.key, b.kind, now?.kind]).toEqual([b.key, b.kind, b.kind === 'pinned' ? 'laid' : 'pinned'])
      }
      break
    case 'split':
      await deeds.split(b)
      if (desk.refused.length === before)
        expect([b.key, minutesOn(life, b.step)]).toEqual([b.key, was.all - was.here + b.minutes])
      break
    case 'join':
      deeds.join(b)
      break
    case 'off':
      deeds.off(b)
      if (desk.refused.length === before) expect(minutesOn(life, b.step, b.day)).toBe(0)
      break
    case 'whole':
      await deeds.layWhole(b.episode ?? '')
      break
    case 'timer':
      deeds.timer(b.step)
      break
  }
}

describe('the Week, whatever is done', () => {
  test('its days say what the plan and the other screens say, after any deeds of the program', () => {
    const open = () => screen(exampleWorld())
    // This week and the next.
    const look = (life: Life) => {
      life.week.turn()
      const here = holds(life)
      life.week.turn(1)
      return here + holds(life)
    }
    afterAnyDeeds(open, look, { seed: 20_261_132, enough: 12 })
  })

  test('blocks that are laid, split, joined, pinned and taken off stay whole, and undo takes all of it back', async () => {
    const kinds = ['lay', 'lay', 'pin', 'split', 'join', 'off', 'whole', 'turn', 'timer', 'undo']
    let looked = 0
    const look = (life: Life) => {
      looked += holds(life)
    }
    await andAllOfItBack(() => screen(exampleWorld()), kinds, act, look, { seed: 20_261_133 })
    expect(looked).toBeGreaterThan(300)
  })

  test('a step is opened in the stage where it is done', () => {
    const life = screen(exampleWorld())
    const [first] = useCards().stepIn.values()
    if (!first) throw new Error('no step')
    life.deeds.open(first.state.step.id)
    expect(pushed.at(-1)).toMatchObject({ name: 'episode', params: { code: first.card.episode.code } })
    life.end()
  })
})
