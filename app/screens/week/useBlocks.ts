import { nextTick } from 'vue'
import { useRouter } from 'vue-router'
import {
  joinBlocks,
  layEpisode,
  layOnDay,
  orderDay,
  pinBlock,
  splitBlock,
  takeOffDay,
} from '@core/commands/week'
import { moveSession } from '@core/commands/sessions'
import { startStep, stopStep } from '@core/commands/work'
import type { Day, Id } from '@core/records'
import { addDays } from '@core/rhythm/days'
import type { DayBlock } from '@core/views/week'
import { useCards } from '@app/stores/cards'
import { useWorkload } from '@app/stores/workload'
import { useLibrary } from '@app/stores/library'
import type { Carried } from '@app/ui/drag/carry'
import { useKeymap } from '@app/ui/keymap'
import { stepGoal } from '../episode/steps'
import { weekKeys } from './keymap'
import type { WeekSeen } from './useWeek'

/** What is done to blocks of a week, by hand and by keys. `plan` is what P does where no block has the focus. */
export function useBlocks(week: WeekSeen, plan: () => unknown) {
  const library = useLibrary()
  const cards = useCards()
  const workload = useWorkload()
  const router = useRouter()
  function lay(step: Id, day: Day, from: Day | undefined, minutes: number) {
    return library.perform(layOnDay, {
      step,
      day,
      from: week.stored.value.has(`${step} ${from ?? ''}`) ? from : undefined,
      minutes,
    })
  }
  const moved = (session: Id, day: Day) => library.perform(moveSession, { session, day })
  function layWhole(episode: Id) {
    return library.perform(layEpisode, {
      episode,
      monday: week.monday.value,
      hours: workload.hours,
    })
  }
  /** Blocks of a day in another order: one before another, or one place earlier or later. */
  function ordered(day: Day, step: Id, to: (at: number, row: DayBlock[]) => number) {
    const row = (week.rows.value.find((r) => r.day === day)?.mine ?? []).filter((b) => b.kind !== 'done')
    const at = row.findIndex((b) => b.step === step)
    const [one] = row.splice(at, 1)
    if (at < 0 || !one) return
    row.splice(Math.max(0, Math.min(row.length, to(at, row))), 0, one)
    const alone = row.flatMap((b) => (b.session ? (b.parts ?? []) : [b]))
    void library.perform(orderDay, { day, row: alone.map((b) => ({ step: b.step, minutes: b.minutes })) })
  }
  /** A day takes work and whole episodes; a block of it takes work of the same day, to stand before it. */
  function dropped(carried: Carried, day: Day) {
    if (carried.kind === 'episode') void layWhole(carried.id)
    if (carried.kind === 'session' && carried.day !== day) void moved(carried.id, day)
    if (carried.kind === 'work' && carried.day !== day)
      void lay(carried.step, day, carried.day, carried.minutes)
  }
  function droppedOn(carried: Carried, b: DayBlock) {
    if (carried.kind === 'work')
      ordered(b.day, carried.step, (_at, row) => row.findIndex((x) => x.step === b.step))
  }
  const focused = (): DayBlock | undefined =>
    week.rows.value
      .flatMap((r) => r.mine)
      .find(
        (b) =>
          b.kind !== 'done' &&
          b.key ===
            (document.activeElement instanceof HTMLElement
              ? document.activeElement.dataset['block']
              : undefined),
      )
  async function shift(by: 1 | -1) {
    const b = focused()
    if (!b) return
    const day = addDays(b.day, by)
    const done = await (b.session ? moved(b.session.id, day) : lay(b.step, day, b.day, b.minutes))
    if (!done.ok) return
    if (!week.days.value.includes(day)) week.offset.value += by
    await nextTick()
    const key = b.session ? b.key : `${b.step} ${day}`
    document.querySelector<HTMLElement>(`[data-block="${CSS.escape(key)}"]`)?.focus()
  }
  function step(by: 1 | -1) {
    const all = [...document.querySelectorAll<HTMLElement>('[data-block]')]
    const at = all.findIndex((x) => x === document.activeElement)
    all[at < 0 ? 0 : Math.min(all.length - 1, Math.max(0, at + by))]?.focus()
  }
  function open(id: Id) {
    const found = cards.stepIn.get(id)
    if (found)
      void router.push({
        name: 'episode',
        params: { code: found.card.episode.code, stage: stepGoal(found.card, found.state.step) },
      })
  }
  async function split(b: DayBlock) {
    await library.perform(splitBlock, { step: b.step, day: b.day, minutes: b.minutes, to: addDays(b.day, 1) })
  }
  async function pin(b: DayBlock) {
    if (week.stored.value.has(b.key))
      await library.perform(pinBlock, { step: b.step, day: b.day, pinned: b.kind !== 'pinned' })
    else await lay(b.step, b.day, undefined, b.minutes)
  }
  function join(b: DayBlock) {
    void library.perform(joinBlocks, { step: b.step, day: b.day })
  }
  function timer(id: Id) {
    if (library.settings.running?.step === id) void library.perform(stopStep, {})
    else void library.perform(startStep, { step: id })
  }
  /** What a key does to the block in focus; without one the key is left to others, and what is of a session stays. */
  const onFocused = (act: (b: DayBlock) => unknown) => () => {
    const b = focused()
    if (!b || b.session) return b !== undefined
    act(b)
    return true
  }
  function off(b: DayBlock) {
    void library.perform(takeOffDay, { step: b.step, day: b.day })
  }
  useKeymap(weekKeys, {
    go: ({ which }) => {
      step(which === 0 ? -1 : 1)
    },
    day: ({ which }) => {
      void shift(which === 0 ? -1 : 1)
    },
    order: ({ which }) =>
      onFocused((b) => {
        const { key } = b
        ordered(b.day, b.step, (at) => at + (which === 0 ? -1 : 1))
        void nextTick(() => document.querySelector<HTMLElement>(`[data-block="${CSS.escape(key)}"]`)?.focus())
      })(),
    join: onFocused(join),
    pin: () => {
      const b = focused()
      if (b?.session) return
      if (b) void pin(b)
      else plan()
    },
    split: onFocused(split),
    off: onFocused(off),
    timer: onFocused((b) => {
      timer(b.step)
    }),
  })
  return { lay, layWhole, dropped, droppedOn, open, split, pin, join, off, timer }
}
