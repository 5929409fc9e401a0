<script setup lang="ts">
import { onMounted } from 'vue'
import { ChevronLeft, ChevronRight } from '@lucide/vue'
import { sayDay } from '@core/rhythm/days'
import { useMoment } from '@app/stores/moment'
import { vTakes } from '@app/ui/drag/carry'
import MonthDay from './parts/MonthDay.vue'
import WhichEpisodes from './parts/WhichEpisodes.vue'
import NoDate from './parts/NoDate.vue'
import ScheduleTabs from './ScheduleTabs.vue'
import { useMonth } from './useMonth'
import { useMonthMoves } from './useMonthMoves'

/**
 * Months of the same slots: releases with their pictures and glyphs, open ones, what is due and the work on
 * demand; the unplaced beside.
 */
const moment = useMoment()
const seen = useMonth()
const { offset, shows, months, names } = seen
onMounted(() => {
  document.querySelector('.month .cell.today')?.scrollIntoView({ block: 'nearest' })
})
const moves = useMonthMoves()
</script>

<template>
  <div class="mx-auto max-w-[1360px] px-5 py-4 max-sm:px-3">
    <header class="flex flex-wrap items-center gap-x-4 gap-y-2 mb-3">
      <h1>Schedule</h1>
      <ScheduleTabs />
      <span class="flex"
        ><button class="btn btn-bare btn-small px-1" aria-label="A month earlier" @click="offset--">
          <ChevronLeft :size="17" /></button
        ><button v-if="offset !== 0" class="btn btn-bare btn-small" @click="offset = 0">This month</button
        ><button class="btn btn-bare btn-small px-1" aria-label="A month later" @click="offset++">
          <ChevronRight :size="17" /></button
      ></span>
      <span class="flex-1" /><WhichEpisodes />
      <label class="flex items-center gap-2"
        ><input v-model="shows.due" type="checkbox" class="tick" /> due dates</label
      ><label class="flex items-center gap-2"
        ><input v-model="shows.work" type="checkbox" class="tick" /> work</label
      >
    </header>
    <div class="month grid grid-cols-1 gap-5 lg:grid-cols-[minmax(0,1fr)_210px] items-start">
      <div class="grid gap-6">
        <section v-for="m in months" :key="m.start" :aria-label="m.name">
          <div class="flex flex-wrap items-baseline gap-x-3 mb-2">
            <h2>{{ m.name }}</h2>
            <p class="sub">{{ seen.counts(m) }}</p>
          </div>
          <div class="grid grid-cols-7 text-11 text-ink-2 mb-1">
            <span v-for="n in names" :key="n" class="px-2">{{ n }}</span>
          </div>
          <ol class="grid grid-cols-7 border-t border-l border-faint rounded-card overflow-hidden">
            <li
              v-for="d in m.cells"
              :key="d"
              v-takes="moves.target(d)"
              class="cell"
              :class="{ out: d.slice(0, 7) !== m.start.slice(0, 7), today: d === moment.today }"
              :aria-label="sayDay(d)"
            >
              <MonthDay v-if="d.slice(0, 7) === m.start.slice(0, 7)" :day="d" :seen="seen" :moves="moves" />
            </li>
          </ol>
        </section>
      </div>
      <NoDate />
    </div>
  </div>
</template>

<!-- Not scoped: what stands in a cell are parts of their own. -->
<style>
.month .cell {
  display: flex;
  flex-direction: column;
  gap: 3px;
  min-height: 62px;
  min-width: 0;
  padding: 4px 5px;
  border-right: 1px solid var(--faint);
  border-bottom: 1px solid var(--faint);
}
.month .cell.out {
  background: color-mix(in oklab, var(--panel) 50%, transparent);
}
.month .cell.today {
  box-shadow: inset 0 0 0 1.5px var(--lamp-line);
}
.month .cell[data-goal] {
  background: var(--raised);
}
.month .rel {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 2px;
  width: 100%;
  min-width: 0;
  padding: 3px 5px;
  font-size: 12px;
  line-height: 16px;
  text-align: left;
  border: 1px solid var(--line);
  border-left: 3px solid var(--ink-2);
  border-radius: 4px;
  background: var(--raised);
}
.month .rel > * {
  max-width: 100%;
}
.month .rel.audio {
  border-left-style: double;
  border-left-width: 4px;
}
.month .rel.late {
  border-color: var(--rose);
}
.month .rel.gone {
  background: transparent;
  color: var(--ink-2);
}
.month .launch {
  display: block;
  height: 13px;
  margin: -4px -5px 0;
  padding-inline: 5px;
  overflow: hidden;
  font-size: 10.5px;
  line-height: 13px;
  white-space: nowrap;
  border-bottom: 2px dotted var(--ink-3);
  color: var(--ink-2);
}
.month .launch.on {
  border-bottom: 3px solid var(--ink);
  color: var(--ink);
  font-weight: 600;
}
.month .rel.open {
  border-style: dashed;
  background: transparent;
  color: var(--ink-2);
}
</style>
