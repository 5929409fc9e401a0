<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useVirtualizer } from '@tanstack/vue-virtual'
import { Download } from '@lucide/vue'
import { chartCsv } from '@core/formats/chart-csv'
import { sayOnTime } from '@core/results/on-time'
import { sayAway, sayDay } from '@core/rhythm/days'
import { sayMinutes } from '@core/script/timecode'
import { catalogueTable, type CatalogueRow } from '@core/views/catalogue'
import { useMoment } from '@app/stores/moment'
import { usePictures } from '@app/stores/pictures'
import { download } from '@app/ui/download'
import Chalk from '@app/ui/Chalk.vue'
import Marked from '@app/ui/Marked.vue'
import SortHeading from '@app/ui/table/SortHeading.vue'
import type { CatalogueHere } from '../useCatalogue'

/** What was found, a row each, with the sums of what is listed. */
const { of } = defineProps<{ of: CatalogueHere }>()
const { rows, all, here, sums, question, answer, headings, sorted } = of
const moment = useMoment()
const pictures = usePictures()
const scroller = ref<HTMLElement>()
const shown = computed(() =>
  headings.value.filter((h) => h.id !== 'said' || question.said.value !== undefined),
)
const lines = useVirtualizer(
  computed(() => ({
    count: sorted.value.length,
    getScrollElement: () => scroller.value ?? null,
    estimateSize: () => 46,
    overscan: 8,
    getItemKey: (i: number) => sorted.value[i]?.episode.id ?? i,
  })),
)
const inSight = computed(() =>
  lines.value.getVirtualItems().flatMap((line) => {
    const row = sorted.value[line.index]
    return row ? [{ line, row }] : []
  }),
)
watch(
  () => here.value?.episode.id,
  (id) => {
    const at = sorted.value.findIndex((r) => r.episode.id === id)
    if (at >= 0) lines.value.scrollToIndex(at, { align: 'auto' })
  },
)
const number = new Intl.NumberFormat('en')
const lead = computed(() => {
  if (answer.value !== '') return answer.value
  return rows.value.length === all.value.length
    ? `${all.value.length} released`
    : `${rows.value.length} of ${all.value.length}`
})
function when(r: CatalogueRow): string {
  return `${sayDay(r.day, moment.today)}, ${sayAway(r.day, moment.today)}${sayOnTime(r.late)}`
}
function save() {
  const { columns, rows: cells } = catalogueTable(sorted.value)
  download('catalogue.csv', chartCsv(columns, cells), 'text/csv')
}
const widths: Record<string, string> = {
  day: 'w-[56px] max-sm:w-auto',
  title: 'flex-1 min-w-0 text-left',
  said: 'w-[34px] text-right',
  minutes: 'w-[58px] text-right max-sm:hidden',
  views: 'w-[54px] text-right',
  times: 'w-[42px] text-right',
  links: 'w-[36px] text-right max-sm:hidden',
  made: 'w-[38px] text-right max-sm:hidden',
}
</script>

<template>
  <section class="min-w-0" aria-label="Released">
    <div class="flex items-baseline gap-3">
      <h2 class="flex-1 mb-1">
        <span role="status">{{ lead }}</span>
      </h2>
      <button class="btn btn-small btn-bare" aria-label="Save the list as CSV" @click="save">
        <Download :size="13" aria-hidden="true" /> CSV
      </button>
    </div>
    <div role="table" aria-label="Released episodes" :aria-rowcount="sorted.length + 2">
      <div role="row" class="line py-1 text-11 text-ink-2 border-b border-line">
        <SortHeading
          v-for="h in shown"
          :key="h.id"
          as="span"
          :class="widths[h.id]"
          :label="h.label"
          :sorted="h.sorted"
          @sort="h.sort"
        />
      </div>
      <div
        ref="scroller"
        role="rowgroup"
        class="h-[calc(100vh-490px)] min-h-[290px] overflow-y-auto max-sm:h-[60vh]"
        tabindex="0"
        aria-label="Released episodes"
      >
        <div role="presentation" class="relative" :style="{ height: `${lines.getTotalSize()}px` }">
          <div
            v-for="{ line, row } in inSight"
            :key="row.episode.id"
            role="row"
            class="line absolute inset-x-0 top-0 border-b border-faint cursor-pointer"
            :class="row.episode.id === here?.episode.id ? 'bg-raised here' : 'hover:bg-panel'"
            :style="{ transform: `translateY(${line.start}px)`, height: `${line.size}px` }"
            @click="of.look(row.episode.id)"
          >
            <span role="cell" class="w-[56px] flex-none"
              ><button
                class="block h-[31px] w-[56px] overflow-hidden rounded-[3px]"
                :class="row.show.kind === 'audio' ? 'w-[31px] mx-auto' : ''"
                :aria-label="`Look at ${row.number}`"
                :aria-pressed="row.episode.id === here?.episode.id"
              >
                <img
                  v-if="pictures.url(row.episode.chosenPicture)"
                  :src="pictures.url(row.episode.chosenPicture)"
                  alt=""
                  class="w-full h-full object-cover"
                /><Chalk v-else :title="row.title" /></button
            ></span>
            <span role="cell" class="flex-1 min-w-0 leading-tight"
              ><span class="block truncate"
                ><span class="num text-ink-2">{{ row.number }}</span>
                <RouterLink
                  :to="{ name: 'episode', params: { code: row.episode.code } }"
                  class="font-semibold no-underline hover:underline ml-1.5"
                  ><Marked
                    :text="row.title"
                    :words="
                      question.asked.value ? question.wordsOf(row.episode.id) : []
                    " /></RouterLink></span
              ><span class="sub block truncate"
                ><Marked
                  v-if="question.passageOf(row.episode.id)"
                  :text="question.passageOf(row.episode.id)"
                  :words="question.wordsOf(row.episode.id)"
                /><template v-else>{{ when(row) }}</template></span
              ></span
            >
            <span v-if="question.said.value" role="cell" class="num" :class="widths['said']">{{
              row.said
            }}</span>
            <span role="cell" class="num" :class="widths['minutes']">{{
              row.minutes === undefined ? '' : sayMinutes(row.minutes)
            }}</span>
            <span role="cell" class="num" :class="widths['views']">{{
              row.views === undefined ? '' : number.format(Math.round(row.views))
            }}</span>
            <span
              role="cell"
              class="num"
              :class="[widths['times'], (row.times ?? 0) >= 1.5 ? 'font-bold text-ink' : '']"
              >{{ row.times === undefined ? '' : `${row.times.toFixed(1)}×` }}</span
            >
            <span role="cell" class="num" :class="[widths['links'], row.links === 0 ? 'text-ink-3' : '']">{{
              row.links
            }}</span>
            <span role="cell" class="num" :class="[widths['made'], row.made === 0 ? 'text-ink-3' : '']">{{
              row.made
            }}</span>
          </div>
        </div>
      </div>
      <div role="row" class="line py-1.5 border-t border-line">
        <span role="cell" class="w-[56px]" /><strong role="cell" class="flex-1 min-w-0"
          >All {{ rows.length }}</strong
        ><span v-if="question.said.value" role="cell" class="num" :class="widths['said']">{{
          sums.said
        }}</span
        ><span role="cell" class="num" :class="widths['minutes']">{{ Math.round(sums.minutes / 60) }} h</span
        ><span role="cell" class="num" :class="widths['views']">{{ number.format(sums.views) }}</span
        ><span role="cell" :class="widths['times']" /><span
          role="cell"
          class="num"
          :class="widths['links']"
          >{{ sums.links }}</span
        ><span role="cell" class="num" :class="widths['made']">{{ sums.made }}</span>
      </div>
    </div>
  </section>
</template>

<style scoped>
.line {
  display: flex;
  align-items: center;
  gap: 9px;
  padding-inline: 6px;
}
.here {
  box-shadow: inset 3px 0 0 var(--ink);
}
</style>
