<script setup lang="ts">
import { computed } from 'vue'
import { sayMinutes } from '@core/script/timecode'
import { useMoment } from '@app/stores/moment'
import type { MonthSeen } from '../useMonth'
import type { useMonthMoves } from '../useMonthMoves'
import MonthOpen from './MonthOpen.vue'
import MonthRelease from './MonthRelease.vue'

/** What stands in a day of the Month. */
const { day, seen, moves } = defineProps<{
  day: string
  seen: MonthSeen
  moves: ReturnType<typeof useMonthMoves>
}>()
const moment = useMoment()
const due = computed(() => seen.due.value.get(day) ?? [])
const spun = computed(() => seen.spun.value.get(day) ?? [])
const work = computed(() => seen.work.value.get(day) ?? [])
</script>

<template>
  <span
    v-for="x in seen.launches(day)"
    :key="x.launch.id"
    class="launch"
    :class="{ on: x.part === 'launch' }"
    :title="`${x.launch.name}: ${x.part}`"
    ><span v-if="x.begins" class="truncate">{{
      x.part === 'run-up' ? `run-up, ${x.launch.name}` : x.launch.name
    }}</span></span
  >
  <span class="num text-11 leading-[14px]" :class="day === moment.today ? 'text-lamp-text! font-bold' : ''">{{
    Number(day.slice(8))
  }}</span>
  <MonthRelease
    v-for="c in seen.releases.value.get(day) ?? []"
    :key="c.episode.id"
    :card="c"
    @keyed="moves.keyed($event, c)"
  />
  <MonthOpen v-for="o in seen.openOn(day)" :key="o.show.id" :vacant="o.slot" :show="o.show" />
  <span v-for="s in spun" :key="s" class="block truncate text-11 leading-[13px] text-ink-2" :title="s">{{
    s
  }}</span>
  <span v-if="seen.shows.value.due" class="text-11 leading-[13px] text-ink-2"
    ><span v-for="s in due.slice(0, 3)" :key="s" class="block truncate">{{ s }}</span
    ><span v-if="due.length > 3">and {{ due.length - 3 }} more</span></span
  >
  <template v-if="seen.shows.value.work && day >= moment.today"
    ><span
      v-for="b in work.slice(0, 4)"
      :key="b.key"
      class="block text-11 leading-[14px] truncate border-l-2 pl-1"
      :class="b.laid ? 'border-ink' : 'border-ring border-dashed'"
      :title="`${b.name}, ${b.number}, ${sayMinutes(b.minutes)}`"
      ><span class="num text-11">{{ b.minutes }}</span> {{ b.name }}, {{ b.number }}</span
    ><span v-if="work.length > 4" class="text-11 leading-[13px] text-ink-2"
      >and {{ work.length - 4 }} more, {{ sayMinutes(seen.workOn(day)) }} in all</span
    ></template
  >
</template>
