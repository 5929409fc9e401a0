<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { placeOnOwn, placeOnSlot } from '@core/commands/schedule'
import { hangingOn } from '@core/release/when'
import { sayAway, sayDay } from '@core/rhythm/days'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { usePromises } from '@app/stores/promises'
import { useSchedule } from '@app/stores/schedule'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import { useRanking } from '@app/stores/ranking'
import Flag from '@app/ui/Flag.vue'
import Sheet from '@app/ui/Sheet.vue'
import { keysOn } from '@app/ui/keymap'
import { openSlotsKeys } from './keymap'
import DateField from '@app/ui/fields/DateField.vue'
import TimeField from '@app/ui/fields/TimeField.vue'

/** The menu of open slots for one idea or episode, with dates and days away; or a date of its own. */
const { id } = defineProps<{ id: string }>()
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const promises = usePromises()
const schedule = useSchedule()
const dialogs = useDialogs()
const ranking = useRanking()
const episode = computed(() => library.tables.episodes.get(id))
const show = computed(() => (episode.value ? library.tables.shows.get(episode.value.show) : undefined))
const slots = computed(() => (show.value ? schedule.openOf(show.value, 8) : []))
const numbers = computed(() => (show.value ? cards.numbers.get(show.value.id)?.open : undefined))
const why = (day: string) =>
  show.value && episode.value ? ranking.why(show.value, day, episode.value) : undefined
const hanging = computed(() =>
  episode.value && show.value
    ? hangingOn(
        episode.value,
        show.value,
        show.value.outlets.flatMap((o) => library.tables.outlets.get(o) ?? []),
      )
    : [],
)
const own = ref(false)
const day = ref(moment.today)
const time = ref('17:00')
watch(
  show,
  () => {
    time.value = show.value?.rhythm.time ?? '17:00'
  },
  { immediate: true },
)
const list = ref<HTMLElement>()

onMounted(() => {
  void nextTick(() => list.value?.querySelector('button')?.focus())
})
function close() {
  dialogs.close()
}
async function place(original: string) {
  close()
  await library.perform(placeOnSlot, { episode: id, day: original })
}
async function placeOwn() {
  const done = await library.perform(placeOnOwn, { episode: id, day: day.value, time: time.value })
  if (done.ok) close()
}
const keyed = keysOn(openSlotsKeys, {
  go: ({ which }) => {
    const all = [...(list.value?.querySelectorAll('button') ?? [])]
    const goal = all[all.findIndex((b) => b === document.activeElement) + (which === 0 ? -1 : 1)]
    goal?.focus()
    return goal !== undefined
  },
})
</script>

<template>
  <Sheet :open="true" title="Put it on a slot" @close="close">
    <p class="sub mb-3">{{ episode?.title }}</p>
    <ul ref="list" class="grid gap-1" :aria-label="`Open slots of ${show?.title}`" @keydown="keyed">
      <li v-for="(slot, i) in slots" :key="slot.key">
        <button class="slot" @click="place(slot.original)">
          <span class="num w-[52px]">{{ show?.prefix }}{{ numbers?.get(slot.original) }}</span>
          <strong class="font-semibold w-[110px]">{{ sayDay(slot.day, moment.today) }}</strong>
          <span class="num">{{ slot.time }}</span>
          <span class="ml-auto text-ink-2 text-12"
            >{{ sayAway(slot.day, moment.today) }}<template v-if="i === 0">, the next open one</template
            ><template v-if="promises.keptFor(slot.show, slot.original)"
              >, kept for
              <strong class="text-ink">{{
                promises.keptFor(slot.show, slot.original)?.reservation.name
              }}</strong></template
            ><template v-if="why(slot.day)">, <Flag :size="9" />{{ why(slot.day) }}</template></span
          >
        </button>
      </li>
    </ul>
    <p v-if="hanging.length > 0" class="sub mt-3">
      With it go
      {{
        hanging
          .filter((h) => !h.stays)
          .map((h) => h.says)
          .join('; ') || 'no other things'
      }}<template v-for="h in hanging.filter((x) => x.stays)" :key="h.says"
        >. {{ h.says }} stays: {{ h.stays }}</template
      >.
    </p>
    <button v-if="!own" class="btn btn-small btn-bare mt-3 underline underline-offset-2" @click="own = true">
      On a date off the rhythm
    </button>
    <form v-else class="mt-4 flex items-end gap-2" @submit.prevent="placeOwn">
      <DateField v-model="day" class="flex-1" label="Date" required />
      <TimeField v-model="time" class="w-[110px]" label="Time" required />
      <button class="btn btn-main">Put it there</button>
    </form>
  </Sheet>
</template>

<style scoped>
.slot {
  display: flex;
  align-items: center;
  gap: 12px;
  width: 100%;
  padding: 7px 12px;
  text-align: left;
  border: 1px dashed var(--ring);
  border-left: 3px dashed var(--ink-2);
  border-radius: 6px;
}
.slot:hover,
.slot:focus-visible {
  background: var(--raised);
  border-style: solid;
}
</style>
