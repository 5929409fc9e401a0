<script setup lang="ts">
import { computed } from 'vue'
import type { Show } from '@core/model'
import { addDays, sayAway, sayDay, weekdayName } from '@core/rhythm/days'
import { datesOf, ruleOf, type RhythmWish } from '@core/rhythm/rule'
import { dayAt, momentAt } from '@core/rhythm/zone'
import { useBoard } from '@app/stores/board'

/** When a show goes out: weekdays, every so many weeks, or every so many days; the next dates are shown while one chooses. */
const { count = 6 } = defineProps<{ count?: number; kind?: Show['kind'] }>()
const wish = defineModel<RhythmWish>('wish', { required: true })
const time = defineModel<string>('time', { required: true })
const start = defineModel<string>('start', { required: true })
const zone = defineModel<string>('zone', { required: true })

const board = useBoard()
const weekdays = [0, 1, 2, 3, 4, 5, 6]
const every = [{ label: 'every week', each: 'week', n: 1 }, { label: 'every second week', each: 'week', n: 2 }, { label: 'every third week', each: 'week', n: 3 }, { label: 'every fourth week', each: 'week', n: 4 }, { label: 'every sixth week', each: 'week', n: 6 }, { label: 'every eighth week', each: 'week', n: 8 }, { label: 'every other day', each: 'day', n: 2 }, { label: 'every third day', each: 'day', n: 3 }, { label: 'every day', each: 'day', n: 1 }] as const
const chosen = computed({
  get: () => Math.max(0, every.findIndex((e) => e.each === wish.value.each && e.n === wish.value.every)),
  set: (i) => {
    const e = every[i]
    if (!e) return
    wish.value = e.each === 'day' ? { each: 'day', every: e.n } : { each: 'week', every: e.n, weekdays: wish.value.each === 'week' ? wish.value.weekdays : [3] }
  },
})
function toggle(day: number) {
  if (wish.value.each !== 'week') return
  const had = wish.value.weekdays.includes(day)
  wish.value = { ...wish.value, weekdays: had ? wish.value.weekdays.filter((d) => d !== day) : [...wish.value.weekdays, day].sort() }
}
const zones = Intl.supportedValuesOf('timeZone')
const rule = computed(() => ruleOf(wish.value))
const dates = computed(() => {
  if (!rule.value.ok || !/^\d{4}-\d\d-\d\d$/.test(start.value) || !/^\d\d:\d\d$/.test(time.value)) return []
  try {
    const today = dayAt(board.now, zone.value)
    const from = start.value > today ? start.value : today
    return datesOf({ rule: rule.value.value, start: start.value, time: time.value }, from, addDays(from, 300)).filter((d) => momentAt(d, time.value, zone.value) > board.now).slice(0, count).map((d) => ({ day: sayDay(d, today), away: sayAway(d, today) }))
  } catch {
    return []
  }
})
</script>

<template>
  <div class="grid gap-4">
    <div class="grid grid-cols-1 gap-3 sm:grid-cols-[1fr_120px_150px]">
      <label><span class="label">How often</span><select v-model="chosen" class="field"><option v-for="(e, i) in every" :key="e.label" :value="i">{{ e.label }}</option></select></label>
      <label><span class="label">Time</span><input v-model="time" type="time" class="field" required /></label>
      <label><span class="label">From</span><input v-model="start" type="date" class="field" required /></label>
    </div>
    <fieldset v-if="wish.each === 'week'">
      <legend class="label">On</legend>
      <div class="flex flex-wrap gap-1.5">
        <button v-for="d in weekdays" :key="d" type="button" class="btn btn-small w-[48px]" :class="wish.weekdays.includes(d) ? 'border-ink bg-raised font-semibold' : 'text-ink-2'" :aria-pressed="wish.weekdays.includes(d)" :aria-label="weekdayName(d)" @click="toggle(d)">{{ weekdayName(d).slice(0, 3) }}</button>
      </div>
    </fieldset>
    <label><span class="label">Time zone</span><select v-model="zone" class="field"><option v-if="!zones.includes(zone)" :value="zone">{{ zone }}</option><option v-for="z in zones" :key="z" :value="z">{{ z }}</option></select></label>
    <div aria-live="polite">
      <p class="label">Goes out</p>
      <ol v-if="dates.length > 0" class="film flex gap-1.5 flex-wrap bg-base rounded-card p-2 text-ink" aria-label="The next dates">
        <li v-for="d in dates" :key="d.day" class="flex-1 min-w-[84px] border border-dashed border-ring rounded-[4px] px-2 py-1 text-12"><strong class="block font-semibold">{{ d.day }}</strong><span class="num text-11">{{ d.away }}</span></li>
      </ol>
      <p v-else class="late">{{ rule.ok ? 'This yields no dates. Check the date and the time.' : rule.problem.sentence }}</p>
    </div>
  </div>
</template>
