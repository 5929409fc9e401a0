<script setup lang="ts">
import { computed } from 'vue'
import { CalendarDate, type DateValue } from '@internationalized/date'
import { ChevronLeft, ChevronRight } from '@lucide/vue'
import {
  CalendarCell,
  CalendarCellTrigger,
  CalendarGrid,
  CalendarGridBody,
  CalendarGridHead,
  CalendarGridRow,
  CalendarHeadCell,
  CalendarHeader,
  CalendarHeading,
  CalendarNext,
  CalendarPrev,
  CalendarRoot,
} from 'reka-ui'
import { firstWeekday } from '../week-start'

/** A month to choose a day from, weeks as the Month has them. Arrows move, Page Up and Down turn months. */
const { day, today, min, max } = defineProps<{
  day: string
  today: string
  min?: string | undefined
  max?: string | undefined
}>()
const emit = defineEmits<{ choose: [day: string] }>()
const dateOf = (iso: string) =>
  new CalendarDate(Number(iso.slice(0, 4)), Number(iso.slice(5, 7)), Number(iso.slice(8, 10)))
const chosen = computed(() => (day === '' ? undefined : dateOf(day)))
function choose(value: DateValue | DateValue[] | undefined) {
  if (value && !Array.isArray(value)) emit('choose', value.toString())
}
</script>

<template>
  <CalendarRoot
    v-slot="{ weekDays, grid }"
    calendar-label="Choose a day"
    class="panel absolute z-40 p-3 w-[272px] bg-raised border-line"
    :model-value="chosen"
    :default-placeholder="dateOf(day || today)"
    :min-value="min ? dateOf(min) : undefined"
    :max-value="max ? dateOf(max) : undefined"
    :week-starts-on="firstWeekday() === 6 ? 0 : 1"
    weekday-format="short"
    locale="en-GB"
    fixed-weeks
    initial-focus
    prevent-deselect
    @update:model-value="choose"
  >
    <CalendarHeader class="flex items-center justify-between mb-2">
      <CalendarPrev class="btn btn-bare btn-small px-1"><ChevronLeft :size="16" /></CalendarPrev>
      <CalendarHeading class="font-semibold" />
      <CalendarNext class="btn btn-bare btn-small px-1"><ChevronRight :size="16" /></CalendarNext>
    </CalendarHeader>
    <CalendarGrid v-for="month in grid" :key="month.value.toString()" class="w-full border-collapse">
      <CalendarGridHead>
        <CalendarGridRow>
          <CalendarHeadCell
            v-for="name in weekDays"
            :key="name"
            class="text-11 text-ink-2 font-normal pb-1"
            >{{ name }}</CalendarHeadCell
          >
        </CalendarGridRow>
      </CalendarGridHead>
      <CalendarGridBody>
        <CalendarGridRow v-for="(week, i) in month.rows" :key="i">
          <CalendarCell v-for="date in week" :key="date.toString()" :date="date" class="p-0 text-center">
            <CalendarCellTrigger
              :day="date"
              :month="month.value"
              class="date"
              :class="{ now: date.toString() === today }"
            />
          </CalendarCell>
        </CalendarGridRow>
      </CalendarGridBody>
    </CalendarGrid>
  </CalendarRoot>
</template>

<style scoped>
.date {
  display: grid;
  place-items: center;
  width: 34px;
  height: 30px;
  margin: auto;
  border-radius: 6px;
  font: 500 12px/1 var(--font-mono);
  cursor: pointer;
}
.date:hover {
  background: color-mix(in oklab, var(--raised) 60%, var(--ring) 40%);
}
.date[data-outside-view] {
  color: var(--ink-3);
}
.date[data-disabled],
.date[data-unavailable] {
  color: var(--ink-3);
  text-decoration: line-through;
  cursor: default;
}
.date.now {
  color: var(--lamp-text);
  font-weight: 700;
}
.date[data-selected] {
  background: var(--ink);
  color: var(--ground);
}
</style>
