<script setup lang="ts">
import { computed, nextTick, onMounted, ref } from 'vue'
import { jotIdea } from '@core/commands/ideas'
import { removeReservation, placeOnSlot, skipSlot } from '@core/commands/schedule'
import { sayAway, sayDay } from '@core/rhythm/days'
import type { Slot } from '@core/rhythm/slots'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { usePromises } from '@app/stores/promises'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import { useRanking } from '@app/stores/ranking'
import Sheet from '@app/ui/Sheet.vue'
import RankWeights from './RankWeights.vue'
import ScoreParts from './ScoreParts.vue'

/**
 * What to put on one open slot: ready spares and what is begun first, then the ideas ranked for it, each
 * led by its reason; or a new line.
 */
const { vacant } = defineProps<{ vacant: Slot }>()
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const promises = usePromises()
const dialogs = useDialogs()
const ranking = useRanking()
const asked = ref('')
const opened = ref<string>()
const field = ref<HTMLInputElement>()
const show = computed(() => library.tables.shows.get(vacant.show))
const words = computed(() => asked.value.toLowerCase().split(/\s+/).filter(Boolean))
const has = (title: string) => words.value.every((w) => title.toLowerCase().includes(w))
const begun = computed(() =>
  [
    ...cards.spares
      .filter((c) => c.show.id === show.value?.id)
      .map((c) => ({ id: c.episode.id, title: c.title, note: c.standing.ready ? 'spare, ready' : 'spare' })),
    ...cards.unplaced
      .filter((c) => c.show.id === show.value?.id)
      .map((c) => ({ id: c.episode.id, title: c.title, note: 'in work' })),
  ].filter((c) => has(c.title)),
)
const ranked = computed(() => (show.value ? ranking.rank(show.value, vacant.day) : { ranked: [], ruled: [] }))
const ideas = computed(() => ranked.value.ranked.filter((r) => has(r.episode.title)).slice(0, 30))
const ruled = computed(() => ranked.value.ruled.filter((r) => has(r.episode.title)))
const backlog = computed(() => show.value && ranking.backlog(show.value))
const firstId = computed(() => begun.value[0]?.id ?? ideas.value[0]?.episode.id)
onMounted(() => {
  void nextTick(() => field.value?.focus())
})
function close() {
  dialogs.close()
}
async function take(id: string | undefined) {
  close()
  if (id) await library.perform(placeOnSlot, { episode: id, day: vacant.original })
}
/** What is typed is the title of an idea that is there: it is that one, never made a second time. */
const named = computed(() => {
  const title = asked.value.trim().toLowerCase()
  return title === ''
    ? undefined
    : [...ranked.value.ranked, ...ranked.value.ruled].find(
        (r) => r.episode.title.trim().toLowerCase() === title,
      )?.episode.id
})
async function fresh() {
  if (asked.value.trim() === '' || !show.value) return
  if (named.value !== undefined) {
    await take(named.value)
    return
  }
  const made = await library.perform(jotIdea, { show: show.value.id, line: asked.value }, 'quietly')
  if (made.ok) await take(made.value.about[0])
}
async function skip() {
  close()
  await library.perform(skipSlot, { show: vacant.show, day: vacant.original, skip: true })
}
function keep() {
  dialogs.show({ kind: 'keep', slot: vacant })
}
const kept = computed(() => promises.keptFor(vacant.show, vacant.original))
function entered() {
  if (asked.value.trim() === '') return
  if (firstId.value) void take(firstId.value)
  else void fresh()
}
</script>

<template>
  <Sheet :open="true" :title="`${sayDay(vacant.day, moment.today)}, ${vacant.time}`" wide @close="close">
    <p class="sub mb-3">
      {{ show?.title }}, {{ sayAway(vacant.day, moment.today) }}, open<template
        v-if="backlog?.thin && backlog.without"
        >.
        <strong class="text-ink font-semibold"
          >There is no idea for {{ sayDay(backlog.without, moment.today) }} yet.</strong
        ></template
      >
    </p>
    <p v-if="kept" class="border-l-2 border-ink pl-3 mb-3 flex flex-wrap gap-2 items-center">
      <span class="flex-1"
        >Kept for <strong>{{ kept.reservation.name }}</strong>{{
          kept.byDeal ? ', by the deal of so many a month' : ''
        }}<template v-if="kept.reservation.note">. {{ kept.reservation.note }}</template></span
      ><button
        v-if="!kept.byDeal"
        class="btn btn-small"
        @click="library.perform(removeReservation, { reservation: kept.reservation.id })"
      >
        Let it go
      </button>
    </p>
    <input
      ref="field"
      v-model="asked"
      class="field"
      placeholder="Find an idea, or type a new one"
      aria-label="Find an idea, or type a new one"
      @keydown.enter.prevent="entered"
    />
    <div class="mt-3 max-h-[46vh] overflow-y-auto -mx-2">
      <ul aria-label="Ideas to choose from" class="grid">
        <li v-for="c in begun" :key="c.id">
          <button
            class="flex w-full gap-3 items-baseline px-2 py-1.5 text-left rounded-control hover:bg-raised"
            @click="take(c.id)"
          >
            <span class="flex-1">{{ c.title }}</span><span class="sub">{{ c.note }}</span>
          </button>
        </li>
        <li v-for="r in ideas" :key="r.episode.id">
          <div class="flex items-center gap-2 rounded-control hover:bg-raised">
            <button class="flex-1 min-w-0 px-2 py-1.5 text-left" @click="take(r.episode.id)">
              <span class="sub block leading-4">{{ r.reason }}</span><span
                class="block truncate font-medium"
                >{{ r.episode.title }}</span
              >
            </button>
            <button
              class="num px-2 py-1 rounded-control"
              :aria-expanded="opened === r.episode.id"
              :aria-label="`Why ${Math.round(r.score)} of 100 for “${r.episode.title}”`"
              @click="opened = opened === r.episode.id ? undefined : r.episode.id"
            >
              {{ Math.round(r.score) }}
            </button>
          </div>
          <ScoreParts v-if="opened === r.episode.id" :parts="r.parts" class="mx-2 mb-2" />
        </li>
      </ul>
      <p v-if="begun.length === 0 && ideas.length === 0" class="sub px-2">
        {{ asked ? 'No idea has these words.' : 'No idea can go on it yet. Type one above.' }}
      </p>
      <details v-if="ruled.length > 0" class="mt-2 px-2" :open="named !== undefined">
        <summary class="sub py-1">{{ ruled.length }} should not go on this date</summary>
        <ul class="grid gap-1 py-1">
          <li v-for="r in ruled.slice(0, 40)" :key="r.episode.id" class="flex items-center gap-3 text-12">
            <span class="flex-1 min-w-0 truncate">{{ r.episode.title }}</span><span
              class="text-ink-2 max-w-[48%] text-right"
              >{{ r.why }}</span
            ><button
              class="btn btn-small"
              :aria-label="`Put “${r.episode.title}” on it all the same`"
              @click="take(r.episode.id)"
            >
              All the same
            </button>
          </li>
        </ul>
      </details>
    </div>
    <div class="flex flex-wrap gap-2 mt-4 items-start">
      <button v-if="asked.trim() && named === undefined" class="btn btn-main" @click="fresh">
        Take “{{ asked.trim().slice(0, 30) }}” as new
      </button>
      <button class="btn" @click="skip">Skip this slot once</button>
      <button class="btn" @click="keep">Keep it for…</button>
      <RankWeights class="ml-auto" />
    </div>
  </Sheet>
</template>
