<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { scaleLinear } from 'd3-scale'
import { setDays, handStep } from '@core/commands/week'
import { estimateStep, removeStep } from '@core/commands/steps'
import { placeOnSlot, skipSlot, takeOff } from '@core/commands/schedule'
import type { Outlook } from '@core/plan/forecast'
import { hoursOn } from '@core/plan/load'
import { addDays, dayOf, sayDay } from '@core/rhythm/days'
import type { Id } from '@core/model'
import { useBoard } from '@app/stores/board'
import { useDesk } from '@app/stores/desk'
import { useLibrary } from '@app/stores/library'
import { usePlan, type WhatIf } from '@app/stores/plan'
import Sheet from '@app/ui/Sheet.vue'

/** The forecast of one release: the spread of days on which it may be ready, what decides it, and what if. */
const library = useLibrary()
const board = useBoard()
const desk = useDesk()
const plan = usePlan()
const card = computed(() => board.card(desk.forecast ?? ''))
const outlook = computed(() => plan.outlooks.get(desk.forecast ?? ''))
const step = computed(() => board.stepIn.get(outlook.value?.last ?? '')?.state.step)
/** The percentage comes forward once eight finished steps with logged time have taught the pace. */
const learnt = computed(() => [...plan.paces.values()].reduce((s, p) => s + p.seen, 0))
const pace = computed(() => (step.value ? plan.paces.get(step.value.kind) : undefined))
const percent = (o: Outlook | undefined) => `${Math.round(100 * (o?.chance ?? 0))} %`

const box = { width: 460, height: 120 }
const bars = computed(() => {
  const spread = outlook.value?.spread ?? new Map<number, number>()
  const offs = [...spread.keys()]
  const from = Math.min(-7, ...offs)
  const to = Math.max(4, ...offs)
  const x = scaleLinear().domain([from, to + 1]).range([0, box.width])
  const y = scaleLinear().domain([0, Math.max(1, ...spread.values())]).range([0, box.height - 24])
  return { from, to, x, list: [...spread].map(([off, n]) => ({ off, n, x: x(off), w: Math.max(2, x(1) - x(0) - 2), h: y(n) })) }
})

interface Choice { name: string; what: WhatIf; act: (() => Promise<unknown>) | undefined }
const choices = computed<Choice[]>(() => {
  const c = card.value
  const o = outlook.value
  if (!c || !o) return []
  const list: Choice[] = []
  const days = Array.from({ length: 10 }, (_, n) => addDays(board.today, n)).filter((d) => d <= o.release)
  const open = days.find((d) => hoursOn(board.settings, d) < 240) ?? board.today
  list.push({ name: `Two more hours on ${sayDay(open)}`, what: { hours: { [open]: 120 } }, act: () => library.perform(setDays, { days: [open], minutes: hoursOn(board.settings, open) + 120 }, 'aloud') })
  const s = step.value
  const { place } = c.episode
  if (s) {
    list.push({ name: `Half the time for “${s.name}”`, what: { minutes: { [s.id]: Math.round(s.minutes / 2) } }, act: () => library.perform(estimateStep, { step: s.id, minutes: Math.max(5, Math.round(s.minutes / 2)) }, 'aloud') })
    list.push({ name: `“${s.name}” handed to someone`, what: { handed: [s.id] }, act: () => library.perform(handStep, { step: s.id, owner: 'someone' }, 'aloud') })
    if (s.part === undefined) list.push({ name: `Without “${s.name}”`, what: { without: [s.id] }, act: () => library.perform(removeStep, { step: s.id }, 'aloud') })
  }
  const next = board.openOf(c.show, 12).find((x) => x.day > o.release)
  if (next) list.push({ name: `Pushed to ${sayDay(next.day)}`, what: { moved: { [c.episode.id]: next.day } }, act: () => library.perform(placeOnSlot, { episode: c.episode.id, day: next.original }, 'aloud') })
  const spare = board.spares.find((x) => x.show.id === c.show.id && x.standing.ready)
  if (spare && place.on === 'slot') list.push({ name: `The spare “${spare.title}” instead`, what: { off: [c.episode.id] }, act: async () => { const off = await library.perform(takeOff, { episode: c.episode.id }); if (off.ok) await library.perform(placeOnSlot, { episode: spare.episode.id, day: place.day }, 'aloud') } })
  if (place.on === 'slot') list.push({ name: 'Its slot skipped', what: { off: [c.episode.id] }, act: async () => { const off = await library.perform(takeOff, { episode: c.episode.id }); if (off.ok) await library.perform(skipSlot, { show: c.show.id, day: place.day, skip: true }, 'aloud') } })
  return list
})
const tried = shallowRef<{ choice: Choice; after: Map<Id, Outlook> }>()
const trying = ref('')
async function attempt(choice: Choice) {
  trying.value = choice.name
  const after = await plan.whatIf(choice.what)
  if (trying.value === choice.name) { tried.value = { choice, after }; trying.value = '' }
}
/** Releases whose chance moves by at least one in a hundred, or that fall away. */
const moved = computed(() => {
  const t = tried.value
  if (!t) return []
  return [...plan.outlooks.values()].flatMap((before) => {
    const after = t.after.get(before.episode)
    const c = board.card(before.episode)
    return c && (after === undefined || Math.abs(after.chance - before.chance) >= 0.01) ? [{ card: c, before, after }] : []
  })
})
async function take() {
  await tried.value?.choice.act?.()
  desk.forecast = undefined
}
</script>

<template>
  <Sheet :open="true" :title="card ? `${card.number} ${card.title}` : ''" wide @close="desk.forecast = undefined">
    <p v-if="!outlook">Its forecast is being made.</p>
    <template v-else-if="card">
      <p class="text-16"><strong class="inline-block first-letter:uppercase">{{ outlook.is }}</strong> for {{ sayDay(outlook.release, board.today) }}<template v-if="learnt >= 8">, {{ percent(outlook) }}</template>. <template v-if="outlook.chance < 0.995 && step">{{ step.waiting ? `It waits on ${step.waiting.who} for “${step.name}”` : `“${step.name}” most often ends last` }}.</template></p>
      <p class="sub mb-3">Half of the {{ outlook.spread.size > 0 ? '2,000' : '' }} draws are ready by {{ sayDay(dayOf(outlook.p50), board.today) }}, nine in ten by {{ sayDay(dayOf(outlook.p90), board.today) }}.<template v-if="pace && step && pace.seen >= 4"> You plan {{ step.minutes }} min for it; work of this kind takes about {{ Math.round(step.minutes * pace.median) }}.</template><template v-if="learnt < 8"> {{ percent(outlook) }} of draws make it; the figure is young.</template></p>
      <svg :viewBox="`0 0 ${box.width} ${box.height}`" class="w-full h-[120px] mb-3" role="img" :aria-label="`Draws ready by day: half by ${sayDay(dayOf(outlook.p50))}, nine in ten by ${sayDay(dayOf(outlook.p90))}, release ${sayDay(outlook.release)}`">
        <rect v-for="b in bars.list" :key="b.off" :x="b.x" :y="box.height - 22 - b.h" :width="b.w" :height="b.h" rx="1" :fill="b.off > 0 ? 'transparent' : 'var(--ink-3)'" :stroke="b.off > 0 ? 'var(--rose)' : 'none'" />
        <line :x1="bars.x(1)" :x2="bars.x(1)" y1="0" :y2="box.height - 20" stroke="var(--lamp-line)" stroke-width="2" />
        <text :x="bars.x(1) - 4" :y="box.height - 6" text-anchor="end" class="tick-text">release</text><text x="0" :y="box.height - 6" class="tick-text">{{ bars.from <= -28 ? '4 weeks or more before' : `${-bars.from} d before` }}</text><text :x="box.width" :y="box.height - 6" text-anchor="end" class="tick-text">{{ bars.to >= 28 ? 'not in 4 weeks' : `${bars.to} d after` }}</text>
      </svg>
      <h3 class="text-14 mb-2">What if</h3>
      <div class="flex flex-wrap gap-2 mb-3"><button v-for="c in choices" :key="c.name" class="btn btn-small" :class="tried?.choice.name === c.name ? 'border-ink bg-raised' : ''" :aria-pressed="tried?.choice.name === c.name" @click="attempt(c)">{{ c.name }}</button></div>
      <section v-if="tried" :aria-label="`What if: ${tried.choice.name}`">
        <table class="w-full text-12"><caption class="unseen">Before and after</caption><thead><tr class="text-left text-ink-2"><th class="font-normal py-1">Release</th><th class="font-normal w-[130px]">Before</th><th class="font-normal w-[130px]">After</th></tr></thead>
          <tbody><tr v-for="m in moved" :key="m.card.episode.id"><td class="py-1"><span class="num">{{ m.card.number }}</span> {{ m.card.title }}</td><td>{{ m.before.is }} <span class="num">{{ percent(m.before) }}</span></td><td><template v-if="m.after">{{ m.after.is }} <span class="num">{{ percent(m.after) }}</span></template><template v-else>off the schedule</template></td></tr></tbody></table>
        <p v-if="moved.length === 0" class="sub">No release changes by it.</p>
        <button class="btn btn-main mt-3" @click="take">Do it</button>
      </section>
    </template>
  </Sheet>
</template>

<style scoped>
.tick-text { font: 11px var(--font-sans); fill: var(--ink-2); }
</style>
