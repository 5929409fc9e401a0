<script setup lang="ts">
import { computed, defineAsyncComponent, nextTick, onMounted, ref } from 'vue'
import { sayDay } from '@core/rhythm/days'
import { sayUntil } from '@core/rhythm/zone'
import type { Card, SlotRow } from '@core/views/card'
import { fits, goalOf, type Narrowing } from '@core/views/slots'
import { useForms } from '@app/stores/forms'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useSchedule } from '@app/stores/schedule'
import { vCarries, vTakes, type Target } from '@app/ui/drag/carry'
import KeySign from '@app/ui/KeySign.vue'
import { carriedEpisode } from './carried'
import { useCarrying } from './carrying'
import { slotsKeys } from './keymap'
import EpisodeCells from './parts/EpisodeCells.vue'
import NoSlot from './parts/NoSlot.vue'
import OpenCells from './parts/OpenCells.vue'
import SlotMenu from './parts/SlotMenu.vue'
import SlotsHead from './parts/SlotsHead.vue'

const Launches = defineAsyncComponent(() => import('./Launches.vue'))
const ReadyAhead = defineAsyncComponent(() => import('./ReadyAhead.vue'))

/** Slots to come with the lamps of their episodes, open ones with what could go there. */
const cards = useCards()
const moment = useMoment()
const schedule = useSchedule()
const forms = useForms()
const narrow = ref<Narrowing>({ kind: 'all' })
/** A daily show has well over a hundred rows: what is in sight is drawn first, the rest a moment later. */
const drawn = ref(14)
onMounted(() => {
  const more = () => {
    drawn.value += 30
    if (drawn.value < schedule.rows.length) setTimeout(more, 30)
  }
  setTimeout(more, 60)
})
const rows = computed(() =>
  schedule.rows.filter(
    (r) => (r.card ? forms.isShown(r.card.episode) : forms.isShownOf(r.show)) && fits(r, narrow.value),
  ),
)
const shown = computed(() => moment.shows.filter(forms.isShownOf).slice(0, 3))
const nextId = computed(() => cards.coming[0]?.episode.id)
/** What stands on a later slot of the same show. */
const behind = (row: SlotRow) =>
  cards.coming.find(
    (c) =>
      c.show.id === row.show.id && c.episode.place.kind === 'slot' && (c.standing.release?.at ?? 0) > row.at,
  )
const { over, put, end } = useCarrying()
const target = (row: SlotRow): Target => ({
  takes: (c) => c.kind === 'episode' && goalOf(row, c.show) !== undefined,
  over: (c) => {
    const card = c.kind === 'episode' ? cards.card(c.id) : undefined
    if (card) over(card, goalOf(row, card.show.id))
  },
  left: end,
  drop: (c) => {
    const card = c.kind === 'episode' ? cards.card(c.id) : undefined
    const goal = card && goalOf(row, card.show.id)
    if (card && goal && row.card !== card) void put(card, goal)
  },
})
/** By keys an episode goes to the slot before or after its own. */
async function shift(card: Card, by: 1 | -1) {
  const row = schedule.rows.filter((r) => goalOf(r, card.show.id))
  const to = row[row.findIndex((r) => r.card === card) + by]
  const goal = to && goalOf(to, card.show.id)
  if (!goal) return
  await put(card, goal)
  await nextTick()
  document.querySelector<HTMLElement>(`[data-slot-card="${card.episode.id}"]`)?.focus()
}
</script>

<template>
  <div class="mx-auto max-w-[1360px] px-5 py-4 max-sm:px-3">
    <SlotsHead v-model:narrow="narrow" />
    <div class="grid gap-1.5 mb-3"><ReadyAhead v-for="s in shown" :key="s.id" :show="s" /></div>
    <div v-if="rows.length > 0" class="panel overflow-x-auto relative">
      <table class="w-full border-collapse slots">
        <caption class="unseen">
          Slots to come, with the lamps of their episodes
        </caption>
        <thead>
          <tr>
            <th scope="col" class="w-[112px]">Goes out</th>
            <th scope="col" class="w-[96px]"><span class="unseen">Picture</span></th>
            <th scope="col">Episode</th>
            <th
              v-for="s in ['Brief', 'Script', 'Film, Record', 'Edit', 'Thumbnail, Cover', 'Release']"
              :key="s"
              scope="col"
              class="w-[54px] text-center lampcol"
            >
              {{ s }}
            </th>
            <th scope="col" class="w-[196px] pl-4">Next step</th>
            <th scope="col" class="w-[116px]">On time?</th>
            <th scope="col" class="w-[44px]"><span class="unseen">More</span></th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="row in rows.slice(0, drawn)"
            :key="row.key"
            v-carries="row.card && carriedEpisode(row.card)"
            v-takes="target(row)"
            :class="{ next: row.card?.episode.id === nextId, vacant: !row.card }"
          >
            <th scope="row" class="text-left align-middle font-normal">
              <span
                class="block font-semibold"
                :class="row.card?.episode.id === nextId ? 'text-lamp-text' : ''"
                >{{ sayDay(row.day, moment.today) }}</span><span class="sub"
                >{{ row.time }} ·
                {{ row.at > moment.now ? sayUntil(moment.now, row.at, row.show.zone) : 'has passed' }}</span
              >
            </th>
            <EpisodeCells v-if="row.card" :card="row.card" :day="row.day" @shift="shift(row.card, $event)" />
            <OpenCells v-else :row="row" :gap="behind(row) !== undefined" />
            <td class="relative"><SlotMenu v-if="row.card" :card="row.card" :behind="behind(row)" /></td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="rows.length === 0" class="panel p-6 mt-3">
      No slot is like that.
      <button class="underline underline-offset-2" @click="narrow = { kind: 'all' }">Show every slot</button>
    </p>
    <p v-if="rows.length > 0" class="sub mt-2">
      Drag a row onto another slot of its show, or press <KeySign :line="slotsKeys.lines.move" /> on its
      title.
    </p>
    <Launches class="mt-6" />
    <NoSlot v-if="cards.unplaced.length > 0" />
  </div>
</template>

<!-- Not scoped: the cells are parts of their own. -->
<style>
.slots th[scope='col'] {
  padding: 10px 6px 6px;
  font: 400 11px/13px var(--font-sans);
  color: var(--ink-2);
  text-align: left;
  vertical-align: bottom;
  border-bottom: 1px solid var(--line);
}
.slots th.lampcol {
  text-align: center;
}
.slots td,
.slots th[scope='row'] {
  padding: 8px 6px;
  height: 62px;
  border-bottom: 1px solid var(--faint);
  vertical-align: middle;
}
.slots th:first-child {
  padding-left: 14px !important;
}
.slots tr.next th[scope='row'] {
  box-shadow: inset 3px 0 var(--lamp-line);
}
.slots tr[data-goal] {
  background: var(--raised);
}
.slots tr.vacant {
  outline: 1px dashed var(--ring);
  outline-offset: -5px;
  border-radius: 8px;
}
.slots tr.vacant th {
  padding-left: 16px;
}
.slots tbody tr:last-child td,
.slots tbody tr:last-child th {
  border-bottom: 0;
}
.slots .thumb {
  display: block;
  width: 80px;
  height: 45px;
  overflow: hidden;
  border-radius: 4px;
}
.slots .thumb.audio {
  width: 45px;
  margin-inline: auto;
}
.slots .thumb img {
  width: 100%;
  height: 100%;
  object-fit: cover;
}
.slots .thumb.open {
  display: grid;
  place-items: center;
  border: 1px dashed var(--ring);
  font-size: 11px;
}
</style>
