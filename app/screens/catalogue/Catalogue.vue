<script setup lang="ts">
import { computed, ref } from 'vue'
import { useVirtualizer } from '@tanstack/vue-virtual'
import type { Day, Episode, Show } from '@core/records'
import { sayAway, sayDay } from '@core/rhythm/days'
import { titleOf } from '@core/release/parts'
import { sayNumber } from '@core/rhythm/numbering'
import { sayTime } from '@core/script/timecode'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { lastViews } from '@core/results/at-age'
import { lateBy, onTimeOf } from '@core/results/on-time'
import { releaseOf } from '@core/rhythm/slots'
import { usePictures } from '@app/stores/pictures'
import { useAddresses } from '@app/stores/addresses'
import AddressLinks from '@app/ui/AddressLinks.vue'
import Chalk from '@app/ui/Chalk.vue'
import ListHead from '@app/ui/ListHead.vue'
import SortHeading from '@app/ui/table/SortHeading.vue'
import { useSortable } from '@app/ui/table/sortable'

const cards = useCards()
const moment = useMoment()
const pictures = usePictures()
const asked = ref('')
const only = ref('')
const scroller = ref<HTMLElement>()
const list = computed(() => {
  const words = asked.value.toLowerCase().split(/\s+/).filter(Boolean)
  return cards.released.filter(
    (e) =>
      (only.value === '' || e.show === only.value) &&
      words.every((w) => `${titleOf(e)} ${e.topics.join(' ')} ${e.number ?? ''}`.toLowerCase().includes(w)),
  )
})
const shows = computed(() => new Map(moment.shows.map((s) => [s.id, s])))
interface Out {
  e: Episode
  show: Show
  day: Day
  number: string
  views: { age: number; views: number } | undefined
  multiple: number | undefined
  /** Days after its planned day. */
  late: number | undefined
}
const out = computed<Out[]>(() =>
  list.value.flatMap((e) => {
    const show = shows.value.get(e.show)
    if (!show) return []
    return [
      {
        e,
        show,
        day: releaseOf(e, show)?.day ?? '',
        number: sayNumber(show, e.number, e.code),
        views: lastViews(e),
        multiple: cards.multiples.get(e.id),
        late: lateBy(e, show.zone),
      },
    ]
  }),
)
const { headings, rows: sorted } = useSortable<Out>(
  out,
  [
    { id: 'number', label: 'Number', of: (r) => r.e.number, down: true },
    { id: 'title', label: 'Title', of: (r) => titleOf(r.e).toLowerCase() },
    { id: 'length', label: 'Length', of: (r) => r.e.cut.length, down: true },
    { id: 'views', label: 'Views', of: (r) => r.views?.views, down: true },
    { id: 'day', label: 'Released', of: (r) => r.day, down: true },
  ],
  'day',
)
const lines = useVirtualizer(
  computed(() => ({
    count: sorted.value.length,
    getScrollElement: () => scroller.value ?? null,
    estimateSize: () => 57,
    overscan: 8,
    getItemKey: (i: number) => sorted.value[i]?.e.id ?? i,
  })),
)
const rows = computed(() =>
  lines.value.getVirtualItems().flatMap((line) => {
    const row = sorted.value[line.index]
    return row ? [{ line, ...row }] : []
  }),
)
const addresses = useAddresses()
const punctual = computed(() => {
  const { known, onTime } = onTimeOf(out.value.map((r) => ({ episode: r.e, zone: r.show.zone })))
  return known === 0 ? '' : `${onTime} of ${known} on time`
})
const figures = new Intl.NumberFormat('en')
/** How wide a column is, its heading and its cells. */
const widths: Record<string, string> = {
  number: 'w-[64px]',
  title: 'flex-1 min-w-0',
  length: 'w-[64px] max-sm:hidden',
  views: 'text-right w-[132px] max-sm:hidden',
  day: 'text-right w-[136px] whitespace-nowrap',
}
</script>

<template>
  <div class="mx-auto max-w-[1360px] px-5 py-4 max-sm:px-3">
    <ListHead
      v-model:only="only"
      v-model:asked="asked"
      title="Catalogue"
      :count="cards.released.length"
      noun="released"
      :shown="list.length"
      :more="punctual"
      :shows="moment.shows"
    />
    <section v-if="cards.released.length === 0" class="panel p-8 text-center">
      <h2 class="text-20 mb-1">Nothing has gone out yet</h2>
      <p class="sub mb-4">
        After the release moment Today asks “is it out?”. What is out is kept here for good.
      </p>
      <RouterLink to="/today" class="btn">To Today</RouterLink>
    </section>
    <div
      v-else
      class="panel overflow-hidden"
      role="table"
      aria-label="Released episodes"
      :aria-rowcount="sorted.length + 1"
    >
      <div role="row" class="line py-1.5 border-b border-line text-11 text-ink-2 max-sm:hidden">
        <span role="columnheader" class="w-[72px]"><span class="unseen">Picture</span></span>
        <SortHeading
          v-for="h in headings"
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
        class="h-[calc(100vh-262px)] min-h-[320px] overflow-y-auto"
        tabindex="0"
        aria-label="Released episodes"
      >
        <div role="presentation" class="relative" :style="{ height: `${lines.getTotalSize()}px` }">
          <div
            v-for="r in rows"
            :key="r.e.id"
            role="row"
            class="line absolute inset-x-0 top-0 border-b border-faint hover:bg-raised"
            :style="{ transform: `translateY(${r.line.start}px)`, height: `${r.line.size}px` }"
          >
            <span role="cell" class="w-[72px] h-[41px] flex-none"
              ><span
                class="block h-full mx-auto overflow-hidden rounded-[4px]"
                :class="r.show.kind === 'audio' ? 'w-[41px]' : ''"
                ><img
                  v-if="pictures.url(r.e.chosenPicture)"
                  :src="pictures.url(r.e.chosenPicture)"
                  alt=""
                  class="w-full h-full object-cover" /><Chalk v-else :title="r.e.title" /></span
            ></span>
            <span role="cell" class="num" :class="widths['number']">{{ r.number }}</span>
            <span role="cell" :class="widths['title']"
              ><RouterLink
                :to="{ name: 'episode', params: { code: r.e.code } }"
                class="block font-semibold truncate no-underline after:absolute after:inset-0"
                >{{ titleOf(r.e) }}</RouterLink
              ><span class="sub"
                >{{ r.show.title }}<template v-if="r.e.topics[0]"> · {{ r.e.topics[0] }}</template></span
              ></span
            >
            <span role="cell" class="relative z-1 w-[76px] flex-none max-sm:hidden text-ink-2"
              ><AddressLinks :of="addresses.of(r.e)" :about="r.number" @copy="addresses.copy"
            /></span>
            <span role="cell" class="num" :class="widths['length']">{{
              r.e.cut.length ? sayTime(r.e.cut.length) : ''
            }}</span>
            <span role="cell" :class="widths['views']"
              ><template v-if="r.views"
                ><span class="num text-ink">{{ figures.format(r.views.views) }}</span
                ><span class="sub block"
                  >after {{ r.views.age }} d<template v-if="r.multiple"
                    >,
                    <strong :class="r.multiple >= 1.5 ? 'text-ink' : 'font-normal'"
                      >{{ r.multiple.toFixed(1) }}×</strong
                    >
                    usual</template
                  ></span
                ></template
              ></span
            >
            <span role="cell" :class="widths['day']"
              ><span class="block">{{ sayDay(r.day, moment.today) }}</span
              ><span class="sub"
                >{{ sayAway(r.day, moment.today)
                }}{{ r.late === undefined ? '' : r.late === 0 ? ', on time' : `, ${r.late} d late` }}</span
              ></span
            >
          </div>
        </div>
      </div>
    </div>
  </div>
</template>

<style scoped>
.line {
  display: flex;
  align-items: center;
  gap: 16px;
  padding-inline: 16px;
}
</style>
