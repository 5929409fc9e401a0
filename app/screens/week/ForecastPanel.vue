<script setup lang="ts">
import { sum } from 'd3-array'
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { scaleLinear } from 'd3-scale'
import { estimateStep, handStep, removeStep } from '@core/commands/work'
import { moreOnDays } from '@core/commands/week'
import { pushed } from '@core/commands/schedule/moved'
import { placeOnSlot, pushEpisode, skipMissed, swapInSpare } from '@core/commands/schedule'
import type { Outlook } from '@core/plan/forecast'
import { hoursOn } from '@core/plan/load'
import { addDays, dayOf, sayDay } from '@core/rhythm/days'
import type { Day, Id } from '@core/records'
import { useBoard } from '@app/stores/board'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import { usePlan, type WhatIf } from '@app/stores/plan'
import Flag from '@app/ui/Flag.vue'
import Sheet from '@app/ui/Sheet.vue'
import { stepGoal } from '../episode/steps'
import KeySign from '@app/ui/KeySign.vue'
import { shellKeys } from '../shell/keymap'
import { useNextLate } from '../shell/late'
import NumberField from '@app/ui/fields/NumberField.vue'

/** The forecast of one release: the spread of days on which it may be ready, what decides it, and what if. */
const { id } = defineProps<{ id: string }>()
const library = useLibrary()
const board = useBoard()
const dialogs = useDialogs()
const plan = usePlan()
const router = useRouter()
const card = computed(() => board.card(id))
const outlook = computed(() => plan.outlooks.get(id))
const step = computed(() => board.stepIn.get(outlook.value?.last ?? '')?.state.step)
/** The percentage comes forward once eight finished steps with logged time have taught the pace. */
const learnt = computed(() => sum([...plan.paces.values()], (p) => p.seen))
const pace = computed(() => (step.value ? plan.paces.get(step.value.kind) : undefined))
const percent = (o: Outlook | undefined) =>
  o?.is === 'too far ahead' ? '' : `${Math.round(100 * (o?.chance ?? 0))} %`

const box = { width: 460, height: 120 }
const bars = computed(() => {
  const spread = outlook.value?.spread ?? new Map<number, number>()
  const offs = [...spread.keys()]
  const from = Math.min(-7, ...offs)
  const to = Math.max(4, ...offs)
  const x = scaleLinear()
    .domain([from, to + 1])
    .range([0, box.width])
  const y = scaleLinear()
    .domain([0, Math.max(1, ...spread.values())])
    .range([0, box.height - 24])
  return {
    from,
    to,
    x,
    list: [...spread].map(([off, n]) => ({ off, n, x: x(off), w: Math.max(2, x(1) - x(0) - 2), h: y(n) })),
  }
})

/** More hours, on days of one's own choosing. */
const more = ref<{ hours: number; days: Day[] }>({ hours: 2, days: [] })
const nearDays = computed(() =>
  Array.from({ length: 14 }, (_, n) => addDays(board.today, n)).filter(
    (d) => d <= (outlook.value?.release ?? ''),
  ),
)
function chooseDay(day: Day) {
  const { days, hours } = more.value
  more.value = { hours, days: days.includes(day) ? days.filter((d) => d !== day) : [...days, day].sort() }
}
/** The step that a change is tried on: the one that decides, until another is chosen. */
const other = ref('')
const openSteps = computed(() =>
  (card.value?.standing.steps ?? []).filter((x) => !x.done && x.step.lead.by !== 'after').map((x) => x.step),
)
const changing = computed(() => openSteps.value.find((x) => x.id === other.value) ?? step.value)
interface Choice {
  name: string
  what: WhatIf
  act: (() => Promise<unknown>) | undefined
}
const choices = computed<Choice[]>(() => {
  const c = card.value
  const o = outlook.value
  if (!c || !o) return []
  const list: Choice[] = []
  const days = Array.from({ length: 10 }, (_, n) => addDays(board.today, n)).filter((d) => d <= o.release)
  const open = days.find((d) => hoursOn(board.settings, d) < 240) ?? board.today
  const chosenDays = more.value.days.length > 0 ? more.value.days : [open]
  const minutes = Math.round(more.value.hours * 60)
  list.push({
    name: `${more.value.hours === 2 ? 'Two' : more.value.hours} more ${more.value.hours === 1 ? 'hour' : 'hours'} on ${chosenDays.map((d) => sayDay(d)).join(', ')}`,
    what: { hours: Object.fromEntries(chosenDays.map((d) => [d, minutes])) },
    act: () => library.perform(moreOnDays, { days: chosenDays, minutes }),
  })
  const s = changing.value
  const { place } = c.episode
  if (s) {
    list.push({
      name: `Half the time for “${s.name}”`,
      what: { minutes: { [s.id]: Math.round(s.minutes / 2) } },
      act: () =>
        library.perform(estimateStep, { step: s.id, minutes: Math.max(5, Math.round(s.minutes / 2)) }),
    })
    list.push({
      name: `“${s.name}” handed to someone`,
      what: { handed: [s.id] },
      act: () => library.perform(handStep, { step: s.id, owner: 'someone' }),
    })
    if (s.part === undefined)
      list.push({
        name: `Without “${s.name}”`,
        what: { without: [s.id] },
        act: () => library.perform(removeStep, { step: s.id }),
      })
  }
  const next = board.openOf(c.show, 12).find((x) => x.day > o.release)
  if (next)
    list.push({
      name: `Moved to ${sayDay(next.day)}`,
      what: { moved: { [c.episode.id]: next.day } },
      act: () => library.perform(placeOnSlot, { episode: c.episode.id, day: next.original }),
    })
  const behind = place.on === 'slot' ? pushed(library.records, c.episode.id, board.now) : undefined
  const first = behind?.ok ? behind.value[0] : undefined
  if (behind?.ok && first && first.to.day !== next?.day)
    list.push({
      name: `Pushed to ${sayDay(first.to.day)}, ${behind.value.length - 1} behind it too`,
      what: { moved: Object.fromEntries(behind.value.map((m) => [m.episode.id, m.to.day])) },
      act: () => library.perform(pushEpisode, { episode: c.episode.id }),
    })
  const spare = board.spares.find((x) => x.show.id === c.show.id && x.standing.ready)
  if (spare && place.on === 'slot')
    list.push({
      name: `The spare “${spare.title}” instead`,
      what: { off: [c.episode.id] },
      act: () => library.perform(swapInSpare, { episode: c.episode.id, spare: spare.episode.id }),
    })
  if (place.on === 'slot')
    list.push({
      name: 'Its slot skipped',
      what: { off: [c.episode.id] },
      act: () => library.perform(skipMissed, { episode: c.episode.id }),
    })
  return list
})
/**
 * Each way out with what it would make of this release and of the others; filled one after the other, in
 * the worker.
 */
const after = shallowRef<ReadonlyMap<string, Map<Id, Outlook>>>(new Map())
const opened = ref('')
let turn = 0
watch(
  [() => id, () => plan.outlooks, () => more.value.hours, () => more.value.days.join(), other],
  async () => {
    const mine = ++turn
    after.value = new Map()
    for (const choice of choices.value) {
      const found = await plan.whatIf(choice.what)
      if (mine !== turn) return
      after.value = new Map([...after.value, [choice.name, found]])
    }
  },
  { immediate: true },
)
onBeforeUnmount(() => {
  turn++
})
const tried = computed(() => {
  const choice = choices.value.find((c) => c.name === opened.value)
  const found = choice && after.value.get(choice.name)
  return choice && found ? { choice, after: found } : undefined
})
/** Releases whose chance moves by at least one in a hundred, or that fall away. */
const moved = computed(() => {
  const t = tried.value
  if (!t) return []
  return [...plan.outlooks.values()].flatMap((before) => {
    const next = t.after.get(before.episode)
    const c = board.card(before.episode)
    return c && (next === undefined || Math.abs(next.chance - before.chance) >= 0.01)
      ? [{ card: c, before, after: next }]
      : []
  })
})
const own = (name: string) => {
  const found = after.value.get(name)
  return (
    found && {
      next: found.get(id),
      others: [...plan.outlooks.values()].filter(
        (o) => o.episode !== id && Math.abs((found.get(o.episode)?.chance ?? o.chance) - o.chance) >= 0.01,
      ).length,
    }
  )
}
/** Why it is late: the late steps, what each waits for, and what stands behind them. */
const why = computed(() => {
  const c = card.value
  if (!c?.standing.late) return []
  return c.standing.steps
    .filter((s) => s.late && s.step.required && s.step.lead.by !== 'after')
    .sort((a, b) => (b.late ?? 0) - (a.late ?? 0))
    .slice(0, 3)
    .map((s) => {
      const needs = s.step.needs.flatMap((n) => c.standing.steps.filter((x) => x.step.id === n && !x.done))
      const end = board.load.ends.get(s.step.id)
      const held = s.step.waiting
        ? `waits on ${s.step.waiting.who} since ${sayDay(s.step.waiting.since)}`
        : needs.length > 0
          ? `needs ${needs.map((n) => `“${n.step.name}”`).join(' and ')} first`
          : s.step.owner !== 'me'
            ? `${s.step.owner} has it`
            : end === undefined
              ? 'finds no room in your hours'
              : end === board.today
                ? 'nothing holds it; it is laid on today'
                : `your hours have room for it ${sayDay(end)}`
      return { id: s.step.id, name: s.step.name, late: s.late ?? 0, due: s.due ?? '', held }
    })
})
async function doIt(choice: Choice) {
  await choice.act?.()
  dialogs.close()
}
function go(id: string) {
  const c = card.value
  const state = c?.standing.steps.find((x) => x.step.id === id)
  if (!c || !state) return
  dialogs.close()
  void router.push({ name: 'episode', params: { code: c.episode.code, stage: stepGoal(c, state.step) } })
}
const nextLate = useNextLate()
</script>

<template>
  <Sheet :open="true" :title="card ? `${card.number} ${card.title}` : ''" wide @close="dialogs.close()">
    <p v-if="!outlook">Its forecast is being made.</p>
    <template v-else-if="card">
      <p class="text-16">
        <strong class="inline-block first-letter:uppercase">{{ outlook.is }}</strong> for
        {{ sayDay(outlook.release, board.today)
        }}<template v-if="learnt >= 8">, {{ percent(outlook) }}</template
        >.
        <template v-if="outlook.chance < 0.995 && step"
          >{{
            step.waiting
              ? `It waits on ${step.waiting.who} for “${step.name}”`
              : `“${step.name}” most often ends last`
          }}.</template
        >
      </p>
      <p class="sub mb-3">
        Half of the {{ outlook.spread.size > 0 ? '2,000' : '' }} draws are ready by
        {{ sayDay(dayOf(outlook.p50), board.today) }}, nine in ten by
        {{ sayDay(dayOf(outlook.p90), board.today) }}.<template v-if="plan.lost.seen >= 20">
          You lost {{ plan.lost.lost }} of the last {{ plan.lost.seen }} days with work on them.</template
        ><template v-if="pace && step && pace.seen >= 4">
          You plan {{ step.minutes }} min for it; work of this kind takes about
          {{ Math.round(step.minutes * pace.median) }}.</template
        ><template v-if="learnt < 8"> {{ percent(outlook) }} of draws make it; the figure is young.</template>
      </p>
      <svg
        :viewBox="`0 0 ${box.width} ${box.height}`"
        class="w-full h-[120px] mb-3"
        role="img"
        :aria-label="`Draws ready by day: half by ${sayDay(dayOf(outlook.p50))}, nine in ten by ${sayDay(dayOf(outlook.p90))}, release ${sayDay(outlook.release)}`"
      >
        <rect
          v-for="b in bars.list"
          :key="b.off"
          :x="b.x"
          :y="box.height - 22 - b.h"
          :width="b.w"
          :height="b.h"
          rx="1"
          :fill="b.off > 0 ? 'transparent' : 'var(--ink-3)'"
          :stroke="b.off > 0 ? 'var(--rose)' : 'none'"
        />
        <line
          :x1="bars.x(1)"
          :x2="bars.x(1)"
          y1="0"
          :y2="box.height - 20"
          stroke="var(--lamp-line)"
          stroke-width="2"
        />
        <text :x="bars.x(1) - 4" :y="box.height - 6" text-anchor="end" class="tick-text">release</text>
        <text x="0" :y="box.height - 6" class="tick-text">
          {{ bars.from <= -28 ? '4 weeks or more before' : `${-bars.from} d before` }}
        </text>
        <text :x="box.width" :y="box.height - 6" text-anchor="end" class="tick-text">
          {{ bars.to >= 28 ? 'not in 4 weeks' : `${bars.to} d after` }}
        </text>
      </svg>
      <section v-if="why.length > 0" class="mb-3" aria-label="Why it is late">
        <h3 class="text-14 mb-1">Why it is late</h3>
        <ul>
          <li v-for="w in why" :key="w.id" class="flex items-center gap-3 border-t border-faint py-1.5">
            <p class="flex-1">
              <strong class="font-semibold">{{ w.name }}</strong> <Flag :size="9" /><span class="late"
                >late {{ w.late }} d</span
              >, was due {{ sayDay(w.due) }}: {{ w.held }}
            </p>
            <button class="btn btn-small" @click="go(w.id)">Go to it</button>
          </li>
        </ul>
      </section>
      <h3 class="text-14 mb-1">{{ why.length > 0 ? 'What would mend it' : 'What if' }}</h3>
      <table class="w-full text-12" aria-label="What if, with before and after">
        <thead>
          <tr class="text-left text-ink-2">
            <th scope="col" class="font-normal py-1">What</th>
            <th scope="col" class="font-normal w-[190px]">This release</th>
            <th scope="col" class="font-normal w-[92px]">Others</th>
            <th scope="col" class="w-[70px]"><span class="unseen">Do it</span></th>
          </tr>
        </thead>
        <tbody>
          <template v-for="c in choices" :key="c.name"
            ><tr class="border-t border-faint">
              <th scope="row" class="text-left font-normal py-1">
                <button
                  class="text-left hover:underline underline-offset-2"
                  :aria-expanded="opened === c.name"
                  @click="opened = opened === c.name ? '' : c.name"
                >
                  {{ c.name }}
                </button>
              </th>
              <td>
                <template v-if="own(c.name)"
                  ><template v-if="own(c.name)?.next"
                    >{{ outlook.is }} <span class="num">{{ percent(outlook) }}</span> →
                    <strong>{{ own(c.name)?.next?.is }}</strong>
                    <span class="num">{{ percent(own(c.name)?.next) }}</span></template
                  ><template v-else>off the schedule</template></template
                ><span v-else class="text-ink-2">…</span>
              </td>
              <td class="text-ink-2">
                {{
                  own(c.name)
                    ? own(c.name)?.others === 0
                      ? 'as they are'
                      : `${own(c.name)?.others} change`
                    : ''
                }}
              </td>
              <td class="text-right">
                <button class="btn btn-small" :aria-label="`Do it: ${c.name}`" @click="doIt(c)">Do it</button>
              </td>
            </tr>
            <tr v-if="opened === c.name && tried">
              <td colspan="4" class="pb-2 pl-3">
                <table class="w-full">
                  <caption class="unseen">
                    Before and after
                  </caption>
                  <tbody>
                    <tr v-for="m in moved" :key="m.card.episode.id">
                      <td class="py-0.5">
                        <span class="num">{{ m.card.number }}</span> {{ m.card.title }}
                      </td>
                      <td class="w-[110px]">
                        {{ m.before.is }} <span class="num">{{ percent(m.before) }}</span>
                      </td>
                      <td class="w-[130px]">
                        <template v-if="m.after"
                          >{{ m.after.is }} <span class="num">{{ percent(m.after) }}</span></template
                        ><template v-else>off the schedule</template>
                      </td>
                    </tr>
                  </tbody>
                </table>
                <p v-if="moved.length === 0" class="sub">No release changes by it.</p>
              </td>
            </tr></template
          >
        </tbody>
      </table>
      <details class="sub mt-2">
        <summary class="py-1">Other days, another step</summary>
        <label class="flex items-center gap-2 mb-2"
          >Shorten, hand on or leave out
          <select v-model="other" class="field w-auto min-h-[28px] py-0.5" aria-label="Which step">
            <option value="">{{ step?.name ?? 'the one that decides' }}</option>
            <option v-for="x in openSteps.filter((y) => y.id !== step?.id)" :key="x.id" :value="x.id">
              {{ x.name }}
            </option>
          </select></label
        >
        <div class="flex flex-wrap gap-1.5 items-center">
          <label class="flex items-center gap-1.5"
            ><NumberField
              v-model="more.hours"
              eager
              field="field num w-[64px] min-h-[28px] py-0"
              label="More hours"
              hidden
              :min="0.5"
              :max="12"
              :step="0.5"
            />
            h on</label
          ><button
            v-for="d in nearDays"
            :key="d"
            class="btn btn-small min-h-[26px] px-1.5 text-11"
            :class="more.days.includes(d) ? 'border-ink bg-raised font-semibold' : ''"
            :aria-pressed="more.days.includes(d)"
            @click="chooseDay(d)"
          >
            {{ sayDay(d) }}
          </button>
        </div>
      </details>
      <p v-if="board.late.length > 1 && why.length > 0" class="mt-3">
        <button class="btn btn-small" @click="nextLate">
          The next late one <KeySign :line="shellKeys.lines.late" />
        </button>
      </p>
    </template>
  </Sheet>
</template>

<style scoped>
.tick-text {
  font: 11px var(--font-sans);
  fill: var(--ink-2);
}
</style>
