<script setup lang="ts">
import { computed, ref } from 'vue'
import { useVirtualizer } from '@tanstack/vue-virtual'
import { sayAway, sayDay } from '@core/rhythm/days'
import { titleOf } from '@core/release/parts'
import { sayNumber } from '@core/rhythm/numbering'
import { sayTime } from '@core/script/timecode'
import { useBoard } from '@app/stores/board'
import { usePictures } from '@app/stores/pictures'
import Chalk from '@app/ui/Chalk.vue'
import ListHead from '@app/ui/ListHead.vue'

const board = useBoard()
const pictures = usePictures()
const asked = ref('')
const only = ref('')
const scroller = ref<HTMLElement>()
const list = computed(() => {
  const words = asked.value.toLowerCase().split(/\s+/).filter(Boolean)
  return board.released.filter(
    (e) =>
      (only.value === '' || e.show === only.value) &&
      words.every((w) => `${titleOf(e)} ${e.topics.join(' ')} ${e.number ?? ''}`.toLowerCase().includes(w)),
  )
})
const shows = computed(() => new Map(board.shows.map((s) => [s.id, s])))
const lines = useVirtualizer(
  computed(() => ({
    count: list.value.length,
    getScrollElement: () => scroller.value ?? null,
    estimateSize: () => 57,
    overscan: 8,
    getItemKey: (i: number) => list.value[i]?.id ?? i,
  })),
)
const rows = computed(() =>
  lines.value.getVirtualItems().flatMap((line) => {
    const e = list.value[line.index]
    const show = e && shows.value.get(e.show)
    if (!e || !show || e.phase.name !== 'released') return []
    const day = board.releaseOf(e, show)?.day ?? ''
    return [
      {
        line,
        e,
        show,
        day,
        number: sayNumber(show, e.number, e.code),
        views: e.figures.at(-1),
        multiple: board.multiples.get(e.id),
      },
    ]
  }),
)
const figures = new Intl.NumberFormat('en')
</script>

<template>
  <div class="mx-auto max-w-[1360px] px-5 py-4 max-sm:px-3">
    <ListHead
      v-model:only="only"
      v-model:asked="asked"
      title="Catalogue"
      :count="board.released.length"
      noun="released"
      :shown="list.length"
      :shows="board.shows"
    />
    <section v-if="board.released.length === 0" class="panel p-8 text-center">
      <h2 class="text-20 mb-1">Nothing has gone out yet</h2>
      <p class="sub mb-4">
        After the release moment Today asks “is it out?”. What is out is kept here for good.
      </p>
      <RouterLink to="/today" class="btn">To Today</RouterLink>
    </section>
    <div v-else class="panel overflow-hidden">
      <div
        ref="scroller"
        class="h-[calc(100vh-232px)] min-h-[320px] overflow-y-auto"
        tabindex="0"
        role="region"
        aria-label="Released episodes"
      >
        <ul class="relative" :style="{ height: `${lines.getTotalSize()}px` }">
          <li
            v-for="r in rows"
            :key="r.e.id"
            class="absolute inset-x-0 top-0 border-b border-faint"
            :style="{ transform: `translateY(${r.line.start}px)`, height: `${r.line.size}px` }"
          >
            <RouterLink
              :to="{ name: 'episode', params: { code: r.e.code } }"
              class="flex items-center gap-4 h-full px-4 no-underline hover:bg-raised"
            >
              <span class="w-[72px] h-[41px] flex-none"
                ><span
                  class="block h-full mx-auto overflow-hidden rounded-[4px]"
                  :class="r.show.kind === 'audio' ? 'w-[41px]' : ''"
                  ><img
                    v-if="pictures.url(r.e.chosenPicture)"
                    :src="pictures.url(r.e.chosenPicture)"
                    alt=""
                    class="w-full h-full object-cover" /><Chalk v-else :seed="r.e.code" /></span
              ></span>
              <span class="num w-[52px]">{{ r.number }}</span>
              <span class="flex-1 min-w-0"
                ><strong class="block font-semibold truncate">{{ titleOf(r.e) }}</strong
                ><span class="sub"
                  >{{ r.show.title }}<template v-if="r.e.topics[0]"> · {{ r.e.topics[0] }}</template></span
                ></span
              >
              <span class="num max-sm:hidden">{{ r.e.cut.length ? sayTime(r.e.cut.length) : '' }}</span>
              <span class="text-right w-[132px] max-sm:hidden"
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
              <span class="text-right w-[104px]"
                ><span class="block">{{ sayDay(r.day, board.today) }}</span
                ><span class="sub">{{ sayAway(r.day, board.today) }}</span></span
              >
            </RouterLink>
          </li>
        </ul>
      </div>
    </div>
  </div>
</template>
