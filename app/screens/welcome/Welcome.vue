<script setup lang="ts">
import { computed, nextTick, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { addShow } from '@core/commands/shows'
import type { RhythmWish } from '@core/rhythm/rule'
import { dayAt } from '@core/rhythm/zone'
import { spreadHours } from '@core/plan/week-hours'
import { sayMinutes } from '@core/script/timecode'
import { useMoment } from '@app/stores/moment'
import { useLibrary } from '@app/stores/library'
import RhythmFields from '../shows/RhythmFields.vue'
import HoursFields from '../settings/HoursFields.vue'
import RestoreBackup from '../settings/RestoreBackup.vue'
import NumberField from '@app/ui/fields/NumberField.vue'

/**
 * The newcomer's one screen: a show, when it goes out, and about how many hours there are. Once there is a
 * show, the application goes on to Today by itself.
 */
const library = useLibrary()
const router = useRouter()
const moment = useMoment()
const title = ref('')
const kind = ref<'video' | 'audio'>('video')
const wish = ref<RhythmWish>({ kind: 'week', every: 1, weekdays: [3] })
const time = ref('17:00')
const zone = ref(Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC')
const start = ref(dayAt(moment.now, zone.value))
const hours = ref([90, 90, 90, 90, 90, 150, 0])
const total = computed(() => hours.value.reduce((a, b) => a + b, 0))
const fault = ref('')
/** Episodes are out already: they are taken in next. */
const hasPast = ref(false)
const name = ref<HTMLInputElement>()
onMounted(() => {
  void nextTick(() => name.value?.focus())
})

/** Spreads a wished sum over the days that have hours, in quarters of an hour. */
function spread(wanted: number) {
  if (wanted > 0) hours.value = spreadHours(hours.value, wanted * 60)
}
async function begin() {
  const done = await library.perform(
    addShow,
    {
      title: title.value,
      kind: kind.value,
      zone: zone.value,
      rhythm: wish.value,
      time: time.value,
      start: start.value,
      hours: hours.value,
    },
    'quietly',
  )
  fault.value = done.ok ? '' : done.problem.sentence
  if (!done.ok) {
    name.value?.focus()
    return
  }
  void library.askToKeep()
  if (hasPast.value) void router.push({ name: 'catalogue', query: { take: '' } })
}
</script>

<template>
  <div class="mx-auto max-w-[1040px] px-5 py-8 max-sm:py-5">
    <header class="flex items-center gap-3 mb-6">
      <img src="/mark.svg" width="36" height="36" alt="" />
      <div>
        <h1>What do you promise, and when?</h1>
        <p class="sub">Lamp Reel counts back from there, so that you know each day what is due.</p>
      </div>
    </header>
    <div class="grid grid-cols-1 gap-6 lg:grid-cols-[1fr_300px]">
      <form class="panel p-6 grid gap-5" @submit.prevent="begin">
        <div class="grid grid-cols-1 gap-3 sm:grid-cols-[1fr_auto]">
          <label
            ><span class="label">Name of the show</span
            ><input
              ref="name"
              v-model="title"
              class="field"
              maxlength="80"
              autocomplete="off"
              :aria-invalid="fault !== ''"
              :aria-describedby="fault ? 'fault' : undefined"
          /></label>
          <fieldset>
            <legend class="label">It is</legend>
            <div class="flex gap-1.5">
              <label
                v-for="k in ['video', 'audio'] as const"
                :key="k"
                class="btn has-checked:border-ink has-checked:bg-raised has-focus-visible:outline-2 has-focus-visible:outline-lamp-line"
                ><input v-model="kind" type="radio" name="kind" :value="k" class="unseen" />{{
                  k === 'video' ? 'Video' : 'Audio'
                }}</label
              >
            </div>
          </fieldset>
        </div>
        <RhythmFields
          v-model:wish="wish"
          v-model:time="time"
          v-model:start="start"
          v-model:zone="zone"
          :kind="kind"
        />
        <div>
          <div class="flex items-end gap-3 mb-2">
            <NumberField
              :model-value="Math.round(total / 6) / 10"
              field="field num w-[190px]"
              label="About how many hours a week"
              :min="0"
              :max="100"
              :step="0.1"
              @update:model-value="spread"
            />
            <p class="sub pb-2">
              {{ sayMinutes(total) }} over {{ hours.filter((h) => h > 0).length }} days. Due dates fall on
              days that have hours.
            </p>
          </div>
          <HoursFields v-model="hours" />
        </div>
        <p v-if="fault" id="fault" role="alert" class="late">{{ fault }}</p>
        <label class="flex items-center gap-2"
          ><input v-model="hasPast" type="checkbox" class="tick" />Episodes are out already: take them in
          next, from a table, a feed or subtitles</label
        >
        <div class="flex items-center gap-4">
          <button class="btn btn-main px-5">Begin</button>
          <p class="sub">
            You start with three steps: write, {{ kind === 'video' ? 'film' : 'record' }}, edit.
          </p>
        </div>
      </form>
      <aside class="grid grid-cols-1 gap-4 content-start">
        <section class="panel p-5">
          <h2 class="mb-1">First a look?</h2>
          <p class="sub mb-4">
            A boat builder’s two shows, with a year of episodes. Nothing of it mixes with yours, and you can
            leave whenever you like.
          </p>
          <button class="btn w-full" @click="library.enter('demo')">Look round in the demo first</button>
        </section>
        <section class="panel p-5">
          <h2 class="mb-1">Been here before?</h2>
          <p class="sub mb-4">Take up where a back-up left off.</p>
          <RestoreBackup label="Restore a back-up" block />
        </section>
      </aside>
    </div>
  </div>
</template>
