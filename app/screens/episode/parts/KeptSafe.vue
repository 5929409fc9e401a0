<script setup lang="ts">
import { computed, ref } from 'vue'
import { freePictures, sparePictures } from '@core/commands/episode'
import type { SafePlace } from '@core/records'
import { sayDay } from '@core/rhythm/days'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import { useWriting } from '../writing'

/** Where the footage of what is out is kept safe, in two places and since when; and what could be freed here. */
const { card } = defineProps<{ card: Card }>()
const moment = useMoment()
const library = useLibrary()
const write = useWriting(() => card)
const place = ref('')
const places = computed(() => card.episode.safe ?? [])
/** Places named at other episodes, the most used first. */
const named = computed(() => {
  const times = new Map<string, number>()
  for (const e of library.tables.episodes.values())
    for (const p of e.safe ?? []) times.set(p.place, (times.get(p.place) ?? 0) + 1)
  return [...times.entries()]
    .sort((a, b) => b[1] - a[1])
    .map(([name]) => name)
    .filter((name) => !places.value.some((p) => p.place === name))
    .slice(0, 3)
})
const says = computed(() =>
  places.value.length === 0
    ? 'Nowhere yet. Two places, one of them elsewhere, and a lost disk costs nothing.'
    : places.value.length === 1
      ? 'In one place. A second one, elsewhere, makes it safe.'
      : `Safe in ${places.value.length} places.`,
)
/** Pictures that were tried and are not the one that went out: their bytes lie in this browser. */
const spare = computed(() => sparePictures(card.episode))
const freed = computed(() => spare.value.reduce((sum, p) => sum + p.size + (p.made?.base.size ?? 0), 0))
function keep(to: SafePlace[]) {
  void write({ safe: to.length === 0 ? undefined : to }, 'where its footage is safe')
}
function add(name: string) {
  const clean = name.trim()
  if (clean !== '' && !places.value.some((p) => p.place === clean))
    keep([...places.value, { place: clean, on: moment.today }])
  place.value = ''
}
function free() {
  void library.perform(freePictures, { episode: card.episode.id })
}
const mb = (bytes: number) => `${(bytes / 1_000_000).toFixed(1)} MB`
</script>

<template>
  <section class="panel p-4 grid gap-2.5" aria-labelledby="kept-safe">
    <h2 id="kept-safe">Footage kept safe</h2>
    <p class="sub" role="status">{{ says }}</p>
    <ul v-if="places.length > 0" class="grid gap-1">
      <li v-for="p in places" :key="p.place" class="flex items-center gap-3">
        <span class="flex-1 min-w-0 truncate font-medium">{{ p.place }}</span><span class="sub"
          >since {{ sayDay(p.on, moment.today) }}</span
        ><button
          class="btn btn-small btn-bare"
          :aria-label="`Not in ${p.place}`"
          @click="keep(places.filter((x) => x !== p))"
        >
          ×
        </button>
      </li>
    </ul>
    <form class="flex flex-wrap gap-2" @submit.prevent="add(place)">
      <input
        v-model="place"
        class="field flex-1 min-w-[140px]"
        maxlength="80"
        aria-label="Where it is kept"
        placeholder="The disk in the drawer"
      /><button class="btn btn-small" :disabled="place.trim() === ''">Kept there today</button
      ><button v-for="n in named" :key="n" type="button" class="btn btn-small" @click="add(n)">
        {{ n }}
      </button>
    </form>
    <p
      v-if="spare.length > 0 && places.length > 1"
      class="flex items-center gap-3 border-t border-faint pt-2.5"
    >
      <span class="sub flex-1"
        >{{ spare.length }} {{ spare.length === 1 ? 'picture' : 'pictures' }} not taken, {{ mb(freed) }} in
        this browser</span
      ><button class="btn btn-small" @click="free">Free it</button>
    </p>
  </section>
</template>
