import { planFor } from '../../plan/load'
import { Planner } from '../../plan/planner'
import { stateOf } from '../../plan/state'
import { addDays, weekday } from '../../rhythm/days'
import { addStep, removeStep } from '../work/add-step'
import { backdateStep } from '../work/backdate-step'
import { editStep } from '../work/edit-step'
import { estimateStep } from '../work/estimate-step'
import { finishStages } from '../work/finish-stages'
import { dismissFollowed } from '../work/dismiss-followed'
import { tickItem } from '../work/tick-item'
import { tickStep } from '../work/tick-step'
import { waitStep } from '../work/wait-step'
import { takeTable } from '../ideas/take-table'
import { joinBlocks, splitBlock } from '../week/split-block'
import { layEpisode } from '../week/lay-episode'
import { layOnDay, takeOffDay } from '../week/lay-on-day'
import { moveLeftoversToToday } from '../week/move-leftovers'
import { moreOnDays, setDays } from '../week/set-days'
import { orderDay } from '../week/order-day'
import { pinBlock } from '../week/pin-block'
import { takePlan } from '../week/take-plan'
import { timeBlock } from '../week/time-block'

import type { Deed } from './chance'
import { one, today, near, word, episode, inPhase, show, step, openStep, laid, chosenStage } from './chance'

/** Random deeds: work. */
export const workDeeds = {
  tickStep: (x) => tickStep(x.r, { step: step(x), done: x.n(4) > 0 }, x.c),
  waitStep: (x) =>
    waitStep(
      x.r,
      { step: step(x), waiting: x.n(2) ? { who: 'Ines', what: '', since: today(x) } : undefined },
      x.c,
    ),
  estimateStep: (x) => estimateStep(x.r, { step: step(x), minutes: 5 + x.n(300) }, x.c),
  addStep: (x) =>
    addStep(
      x.r,
      { episode: inPhase(x, 'work'), stage: chosenStage(x), name: word(x), minutes: 5 + x.n(90) },
      x.c,
    ),
  removeStep: (x) => removeStep(x.r, { step: step(x) }, x.c),
  finishStages: (x) =>
    finishStages(x.r, { episode: inPhase(x, 'work'), stages: [chosenStage(x)], done: x.n(4) > 0 }, x.c),
  backdateStep: (x) => {
    const done = [...x.r.steps.values()].filter((s) => s.doneAt !== undefined)
    return backdateStep(x.r, { step: one(done, x)?.id ?? step(x), day: near(x, 5, 1) }, x.c)
  },
  tickItem: (x) => {
    const items = [...x.r.recipes.values()].flatMap((y) => (y.checklists ?? []).flatMap((l) => l.items))
    return tickItem(x.r, { episode: episode(x), item: one(items, x)?.id ?? '', on: x.n(3) > 0 }, x.c)
  },
  dismissFollowed: (x) => {
    const e = one(
      [...x.r.episodes.values()].filter((y) => (y.followed ?? []).length > 0),
      x,
    )
    return dismissFollowed(x.r, { episode: e?.id ?? '', followed: e?.followed?.[0]?.id ?? '' }, x.c)
  },
  editStep: (x) =>
    editStep(
      x.r,
      {
        step: step(x),
        fields: x.n(2) ? { minutes: 10 + x.n(90) } : { lead: { kind: 'before', days: x.n(9) } },
      },
      x.c,
    ),
  takeTable: (x) =>
    takeTable(
      x.r,
      {
        table: {
          columns: ['Title'],
          rows: [{ line: 2, cells: new Map([['Title', `${word(x)} ${x.n(99)}`]]) }],
        },
        show: show(x),
      },
      x.c,
    ),
  layOnDay: (x) => layOnDay(x.r, { step: openStep(x), day: near(x, 0, 9), minutes: 15 + x.n(90) }, x.c),
  takeOffDay: (x) => {
    const at = laid(x)
    return takeOffDay(x.r, { step: at?.s.id ?? step(x), day: x.n(2) ? at?.b.day : undefined }, x.c)
  },
  pinBlock: (x) => {
    const at = laid(x)
    return pinBlock(
      x.r,
      { step: at?.s.id ?? step(x), day: at?.b.day ?? today(x), pinned: !(at?.b.pinned ?? false) },
      x.c,
    )
  },
  splitBlock: (x) => {
    const at = laid(x)
    return splitBlock(
      x.r,
      {
        step: at?.s.id ?? step(x),
        day: at?.b.day ?? today(x),
        minutes: at?.b.minutes ?? 0,
        to: addDays(at?.b.day ?? today(x), 1),
      },
      x.c,
    )
  },
  joinBlocks: (x) => {
    const parted = [...x.r.steps.values()].filter((s) => s.blocks.length > 1)
    const s = one(parted, x)
    const at = s ? { s, b: one(s.blocks, x) } : laid(x)
    return joinBlocks(x.r, { step: at?.s.id ?? step(x), day: at?.b?.day ?? today(x) }, x.c)
  },
  timeBlock: (x) => {
    const at = laid(x)
    return timeBlock(
      x.r,
      {
        step: at?.s.id ?? step(x),
        day: at?.b.day ?? today(x),
        minutes: at?.b.minutes ?? 30,
        at: x.n(3) ? '15:00' : undefined,
      },
      x.c,
    )
  },
  orderDay: (x) => {
    const day = laid(x)?.b.day ?? today(x)
    const row = [...x.r.steps.values()].flatMap((s) =>
      s.blocks.flatMap((b) => (b.day === day ? [{ step: s.id, minutes: b.minutes }] : [])),
    )
    return orderDay(x.r, { day, row: row.reverse() }, x.c)
  },
  layEpisode: (x) => {
    const monday = addDays(today(x), -weekday(today(x)) + 7 * x.n(2))
    return layEpisode(x.r, { episode: inPhase(x, 'work'), monday, hours: stateOf(x.r, x.c.now).hours }, x.c)
  },
  takePlan: (x) => {
    const { open, hours, today: day } = stateOf(x.r, x.c.now)
    const pins = open.laid.filter((b) => b.pinned)
    const planner = new Planner(planFor(open.tasks, pins, hours, day))
    planner.improve(10)
    return takePlan(x.r, { blocks: planner.plan.blocks.filter((b) => !b.fixed) }, x.c)
  },
  moveLeftoversToToday: (x) => moveLeftoversToToday(x.r, { steps: [...x.r.steps.keys()] }, x.c),
  setDays: (x) =>
    setDays(x.r, { days: [near(x, 1, 4)], minutes: one([0, 0, 240, undefined] as const, x) }, x.c),
  moreOnDays: (x) => moreOnDays(x.r, { days: [near(x, 0, 6)], minutes: 30 + x.n(60) }, x.c),
} satisfies Record<string, Deed>
