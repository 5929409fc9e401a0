<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import type { Show } from '@core/records'
import { addDays, sayAway, sayDay, weekdayName } from '@core/rhythm/days'
import { datesOf, ruleOf, sayRhythm, type RhythmWish } from '@core/rhythm/rule'
import { readRhythm } from '@core/rhythm/words'
import { dayAt, momentAt } from '@core/rhythm/zone'
import { useMoment } from '@app/stores/moment'
import PausesField from './PausesField.vue'
import { every, nths, withEvery } from './rhythm-choices'
import DateField from '@app/ui/fields/DateField.vue'
import TimeField from '@app/ui/fields/TimeField.vue'
import OptionalNumberField from '@app/ui/fields/OptionalNumberField.vue'
import { typedIn } from '@app/ui/fields/event'

/**
 * When a show goes out: weekdays, every so many weeks, or every so many days; the next dates are shown
 * while one chooses.
 */
const {
  count = 6,
  also = [],
  zoned = true,
  worded = false,
} = defineProps<{
  count?: number
  kind?: Show['kind']
  also?: NonNullable<Show['rhythm']['also']>
  zoned?: boolean
  worded?: boolean
}>()
const wish = defineModel<RhythmWish>('wish', { required: true })
const time = defineModel<string>('time', { required: true })
const start = defineModel<string>('start', { required: true })
const zone = defineModel<string>('zone', { required: true })
const pauses = defineModel<{ from: string; to: string }[]>('pauses', { default: () => [] })

const moment = useMoment()
const weekdays = [0, 1, 2, 3, 4, 5, 6]
const chosen = computed({
  get: () =>
    Math.max(
      0,
      every.findIndex((e) => e.kind === wish.value.kind && e.n === wish.value.every),
    ),
  set: (i) => {
    const e = every[i]
    if (!e) return
    wish.value = withEvery(wish.value, e)
  },
})
function toggle(day: number) {
  if (wish.value.kind !== 'week') return
  const had = wish.value.weekdays.includes(day)
  wish.value = {
    ...wish.value,
    weekdays: had ? wish.value.weekdays.filter((d) => d !== day) : [...wish.value.weekdays, day].sort(),
  }
}
function toggleNth(n: number) {
  if (wish.value.kind !== 'month') return
  wish.value = {
    ...wish.value,
    nths: wish.value.nths.includes(n) ? wish.value.nths.filter((x) => x !== n) : [...wish.value.nths, n],
  }
}
function onWeekday(event: Event) {
  if (wish.value.kind === 'month') wish.value = { ...wish.value, weekday: Number(typedIn(event)) }
}
function season(count: number | undefined) {
  const { season: _old, ...rest } = wish.value
  wish.value = count === undefined ? rest : { ...rest, season: count }
}
/** The rhythm as a sentence that can be typed over; the clicks below follow it while it is typed. */
const typed = ref<string>()
const read = computed(() =>
  typed.value === undefined || typed.value.trim() === '' ? undefined : readRhythm(typed.value, moment.today),
)
const sentence = computed(
  () =>
    typed.value ??
    (rule.value.ok ? sayRhythm({ rule: rule.value.value, start: start.value, time: time.value }) : ''),
)
async function say(event: Event) {
  typed.value = typedIn(event)
  if (!read.value?.ok) return
  const { wish: days, time: at, from } = read.value.value
  wish.value = days
  // One after the other: who holds both in one record takes each into what is there by then.
  if (at !== undefined) {
    await nextTick()
    time.value = at
  }
  if (from !== undefined) {
    await nextTick()
    start.value = from
  }
}
function said() {
  if (!read.value || read.value.ok) typed.value = undefined
}
const zones = Intl.supportedValuesOf('timeZone')
const rule = computed(() => ruleOf(wish.value))
const dates = computed(() => {
  if (!rule.value.ok || !/^\d{4}-\d\d-\d\d$/.test(start.value) || !/^\d\d:\d\d$/.test(time.value)) return []
  try {
    const today = dayAt(moment.now, zone.value)
    const from = start.value > today ? start.value : today
    return datesOf(
      { rule: rule.value.value, start: start.value, time: time.value, pauses: pauses.value, also },
      from,
      addDays(from, 800),
    )
      .filter((d) => momentAt(d, time.value, zone.value) > moment.now)
      .slice(0, count)
      .map((d) => ({ day: sayDay(d, today), away: sayAway(d, today) }))
  } catch {
    return []
  }
})
</script>

<template>
  <div class="grid gap-4">
    <label v-if="worded"
      ><span class="label">In words</span
      ><input
        class="field"
        :value="sentence"
        :aria-invalid="read !== undefined && !read.ok"
        placeholder="every second Tuesday 18:30"
        autocomplete="off"
        @input="say"
        @change="said"
        @blur="said"
      /><span v-if="read && !read.ok" role="alert" class="late block mt-1 text-12">{{
        read.problem.sentence
      }}</span></label
    >
    <div class="grid grid-cols-1 gap-3 sm:grid-cols-[1fr_84px_238px]">
      <label
        ><span class="label">How often</span
        ><select v-model="chosen" class="field">
          <option v-for="(e, i) in every" :key="e.label" :value="i">{{ e.label }}</option>
        </select></label
      >
      <TimeField v-model="time" label="Time" required />
      <DateField v-model="start" label="From" required />
    </div>
    <fieldset v-if="wish.kind === 'week'">
      <legend class="label">On</legend>
      <div class="flex flex-wrap gap-1.5">
        <button
          v-for="d in weekdays"
          :key="d"
          type="button"
          class="btn btn-small w-[48px]"
          :class="wish.weekdays.includes(d) ? 'border-ink bg-raised font-semibold' : 'text-ink-2'"
          :aria-pressed="wish.weekdays.includes(d)"
          :aria-label="weekdayName(d)"
          @click="toggle(d)"
        >
          {{ weekdayName(d).slice(0, 3) }}
        </button>
      </div>
    </fieldset>
    <fieldset v-if="wish.kind === 'month'">
      <legend class="label">On the</legend>
      <div class="flex flex-wrap gap-1.5">
        <button
          v-for="n in nths"
          :key="n.n"
          type="button"
          class="btn btn-small"
          :class="wish.nths.includes(n.n) ? 'border-ink bg-raised font-semibold' : 'text-ink-2'"
          :aria-pressed="wish.nths.includes(n.n)"
          @click="toggleNth(n.n)"
        >
          {{ n.label }}
        </button>
        <select
          class="field w-auto min-h-[28px] py-0.5"
          :value="wish.weekday"
          aria-label="Weekday"
          @change="onWeekday"
        >
          <option v-for="d in weekdays" :key="d" :value="d">{{ weekdayName(d) }}</option>
        </select>
      </div>
    </fieldset>
    <details v-if="count > 6" class="sub" :open="pauses.length > 0 || wish.season !== undefined">
      <summary class="py-1">Pauses and seasons</summary>
      <PausesField v-model="pauses">
        <OptionalNumberField
          :model-value="wish.season"
          class="ml-auto"
          field="field num w-[150px]"
          label="Ends after so many"
          :min="1"
          :max="1000"
          placeholder="never"
          @update:model-value="season"
        />
      </PausesField>
    </details>
    <label v-if="zoned"
      ><span class="label">Time zone</span
      ><select v-model="zone" class="field">
        <option v-if="!zones.includes(zone)" :value="zone">{{ zone }}</option>
        <option v-for="z in zones" :key="z" :value="z">{{ z }}</option>
      </select></label
    >
    <div aria-live="polite">
      <p class="label">Goes out</p>
      <ol
        v-if="dates.length > 0"
        class="film flex gap-1.5 flex-wrap bg-base rounded-card p-2 text-ink"
        aria-label="The next dates"
      >
        <li
          v-for="d in dates"
          :key="d.day"
          class="flex-1 min-w-[84px] border border-dashed border-ring rounded-[4px] px-2 py-1 text-12"
        >
          <strong class="block font-semibold">{{ d.day }}</strong><span class="num text-11">{{
            d.away
          }}</span>
        </li>
      </ol>
      <p v-else class="late">
        {{ rule.ok ? 'This yields no dates. Check the date and the time.' : rule.problem.sentence }}
      </p>
    </div>
  </div>
</template>
