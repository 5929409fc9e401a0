<script setup lang="ts">
import { computed, ref } from 'vue'
import { ChevronLeft, ChevronRight } from '@lucide/vue'
import { daysOf, timeSheet, workedOf, type Worked } from '@core/learnt/time-sheet'
import { addDays, monthName, sayDay, weekday, weekdayName } from '@core/rhythm/days'
import { sayMinutes } from '@core/script/timecode'
import { workNames } from '@core/views/rhythm-findings'
import { chartCsv } from '@core/formats/chart-csv'
import { useCards } from '@app/stores/cards'
import { useLibrary } from '@app/stores/library'
import { useMade } from '@app/stores/made'
import { useMoment } from '@app/stores/moment'
import { download } from '@app/ui/download'

/** The hours of a week or a month, by kind of work or by episode, of all shows; as a table and as CSV. */
const library = useLibrary()
const cards = useCards()
const made = useMade()
const moment = useMoment()
const period = ref<'week' | 'month'>('week')
const by = ref<'kind' | 'episode'>('kind')
const at = ref(moment.today)
const days = computed(() => daysOf(period.value, at.value))
/** What is out as it was read, and what is in work as it stands. */
const worked = computed((): Worked[] => {
  const out = new Set(made.all.map((m) => m.episode.id))
  const open = [...library.tables.steps.values()].filter((s) => !out.has(s.episode))
  return [...made.all.flatMap((m) => m.worked), ...workedOf(open, moment.zone)]
})
function nameOf(w: Worked): string {
  if (by.value === 'kind') return workNames[w.kind]
  const card = cards.card(w.episode)
  return card ? `${card.number} ${card.title}` : w.episode
}
const sheet = computed(() => timeSheet(worked.value, days.value, nameOf))
const said = computed(() =>
  period.value === 'week'
    ? `${sayDay(sheet.value.from)} to ${sayDay(sheet.value.until, moment.today)}`
    : `${monthName(sheet.value.from)} ${sheet.value.from.slice(0, 4)}`,
)
function turn(step: -1 | 1) {
  const [first = '', last = ''] = [days.value[0], days.value.at(-1)]
  at.value = step < 0 ? addDays(first, -1) : addDays(last, 1)
}
const short = (minutes: number) =>
  minutes === 0 ? '' : `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`
function save() {
  const columns = [by.value === 'kind' ? 'Work' : 'Episode', ...sheet.value.days, 'Minutes']
  const rows = sheet.value.rows.map((r) => [r.name, ...r.minutes, r.sum])
  download(`hours-${sheet.value.from}.csv`, chartCsv(columns, rows), 'text/csv')
}
</script>

<template>
  <details>
    <summary class="cursor-pointer font-title font-semibold text-16">
      Hours by day: {{ sayMinutes(sheet.sum) }} {{ period === 'week' ? 'this week' : 'this month' }}
    </summary>
    <div class="flex flex-wrap items-center gap-3 my-3">
      <button class="btn btn-small px-1.5" aria-label="Before" @click="turn(-1)">
        <ChevronLeft :size="14" /></button
      ><strong class="min-w-[170px] text-center" role="status">{{ said }}</strong
      ><button
        class="btn btn-small px-1.5"
        aria-label="After"
        :disabled="(days.at(-1) ?? '') >= moment.today"
        @click="turn(1)"
      >
        <ChevronRight :size="14" />
      </button>
      <label class="flex items-center gap-2 text-12"
        ><span>A</span
        ><select v-model="period" class="field w-auto" aria-label="How long">
          <option value="week">week</option>
          <option value="month">month</option>
        </select></label
      ><label class="flex items-center gap-2 text-12"
        ><span>by</span
        ><select v-model="by" class="field w-auto" aria-label="By what">
          <option value="kind">kind of work</option>
          <option value="episode">episode</option>
        </select></label
      >
      <button class="btn btn-small ml-auto" :disabled="sheet.rows.length === 0" @click="save">
        Save as CSV
      </button>
    </div>
    <p v-if="sheet.rows.length === 0" class="sub">Nothing was logged in it.</p>
    <div v-else class="overflow-x-auto" tabindex="0" aria-label="Hours by day">
      <table class="text-12 w-full">
        <thead>
          <tr class="text-ink-2">
            <th scope="col" class="text-left font-normal">{{ by === 'kind' ? 'Work' : 'Episode' }}</th>
            <th v-for="d in sheet.days" :key="d" scope="col" class="text-right font-normal px-1">
              {{ period === 'week' ? `${weekdayName(weekday(d)).slice(0, 3)} ${+d.slice(8)}` : +d.slice(8) }}
            </th>
            <th scope="col" class="text-right font-normal pl-3">All</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in sheet.rows" :key="r.name" class="border-t border-faint">
            <th scope="row" class="text-left font-normal py-0.5 max-w-[260px] truncate">{{ r.name }}</th>
            <td v-for="(m, i) in r.minutes" :key="i" class="num text-right px-1">{{ short(m) }}</td>
            <td class="num text-right pl-3 text-ink font-semibold">{{ sayMinutes(r.sum) }}</td>
          </tr>
        </tbody>
        <tfoot>
          <tr class="border-t border-line">
            <th scope="row" class="text-left">All</th>
            <td v-for="(m, i) in sheet.sums" :key="i" class="num text-right px-1">{{ short(m) }}</td>
            <td class="num text-right pl-3 text-ink font-semibold">{{ sayMinutes(sheet.sum) }}</td>
          </tr>
        </tfoot>
      </table>
    </div>
  </details>
</template>
