<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { changeRhythm } from '@core/commands/shows'
import { keptElsewhere, withRhythm, type Displaced } from '@core/commands/shows/new-rhythm'
import type { Show } from '@core/records'
import { sayDay } from '@core/rhythm/days'
import { ruleOf, sayRhythm, wishOf, type RhythmWish } from '@core/rhythm/rule'
import { displacedBy, releaseOf } from '@core/rhythm/slots'
import { useMoment } from '@app/stores/moment'
import { useLibrary } from '@app/stores/library'
import AlsoFields from './AlsoFields.vue'
import RhythmFields from './RhythmFields.vue'

/** A show's rhythm. A change that takes slots from episodes says so before anything is written. */
const { show } = defineProps<{ show: Show }>()
const library = useLibrary()
const moment = useMoment()
const wish = ref<RhythmWish>(wishOf(show.rhythm.rule) ?? { kind: 'week', every: 1, weekdays: [3] })
const time = ref(show.rhythm.time)
const start = ref(show.rhythm.start)
const zone = ref(show.zone)
const pauses = ref(show.rhythm.pauses ?? [])
const also = ref(show.rhythm.also ?? [])
// An undo, or another tab, changes the rhythm under these fields.
watch(
  () =>
    `${show.rhythm.rule} ${show.rhythm.time} ${show.rhythm.start} ${show.zone} ${JSON.stringify([show.rhythm.pauses, show.rhythm.also])}`,
  () => {
    wish.value = wishOf(show.rhythm.rule) ?? wish.value
    time.value = show.rhythm.time
    start.value = show.rhythm.start
    zone.value = show.zone
    pauses.value = show.rhythm.pauses ?? []
    also.value = show.rhythm.also ?? []
  },
)
const rule = computed(() => ruleOf(wish.value))
const changed = computed(
  () =>
    !rule.value.ok ||
    rule.value.value !== show.rhythm.rule ||
    time.value !== show.rhythm.time ||
    start.value !== show.rhythm.start ||
    zone.value !== show.zone ||
    JSON.stringify([pauses.value, also.value]) !==
      JSON.stringify([show.rhythm.pauses ?? [], show.rhythm.also ?? []]),
)
const next = computed(() =>
  withRhythm(
    show,
    {
      rhythm: wish.value,
      time: time.value,
      start: start.value,
      zone: zone.value,
      pauses: pauses.value,
      also: also.value,
    },
    moment.today,
  ),
)
const keptMoves = computed(() =>
  next.value.ok && changed.value ? keptElsewhere(library.tables, next.value.value, moment.today) : [],
)
const displaced = computed(() =>
  next.value.ok && changed.value ? displacedBy(show, next.value.value, library.tables.episodes.values()) : [],
)
async function save(how: Displaced) {
  await library.perform(changeRhythm, {
    show: show.id,
    rhythm: wish.value,
    time: time.value,
    start: start.value,
    zone: zone.value,
    pauses: pauses.value,
    also: also.value,
    displaced: how,
  })
}
</script>

<template>
  <section class="panel p-5" aria-labelledby="rhythm">
    <h2 id="rhythm" class="mb-3">
      Rhythm <span class="sub font-sans font-normal ml-1">{{ sayRhythm(show.rhythm) }}</span>
    </h2>
    <RhythmFields
      v-model:wish="wish"
      v-model:time="time"
      v-model:start="start"
      v-model:zone="zone"
      v-model:pauses="pauses"
      :count="12"
      :also="also"
      worded
    />
    <AlsoFields v-model="also" :show="show" />
    <div v-if="changed" class="mt-4 border-t border-faint pt-4">
      <p v-if="keptMoves.length > 0" class="mb-2">
        What is kept moves along:
        {{ keptMoves.map((k) => `${k.reservation.name} to ${sayDay(k.to, moment.today)}`).join(', ') }}.
      </p>
      <p v-if="!next.ok" role="alert" class="late">{{ next.problem.sentence }}</p>
      <template v-else-if="displaced.length > 0">
        <p class="mb-2">
          <strong
            >{{ displaced.length }}
            {{ displaced.length === 1 ? 'episode loses its slot' : 'episodes lose their slots' }}:</strong
          >
          {{
            displaced
              .map((e) => `${e.title} (${sayDay(releaseOf(e, show)?.day ?? '', moment.today)})`)
              .join(', ')
          }}.
        </p>
        <div class="flex flex-wrap gap-2">
          <button class="btn btn-main" @click="save('nearest')">
            Move them to the nearest open slots, in order</button
          ><button class="btn" @click="save('keep')">Keep their dates as one-offs</button
          ><button class="btn" @click="save('off')">Take them off the schedule</button
          ><button class="btn" @click="save('ideas')">Back to Ideas</button>
        </div>
      </template>
      <button v-else class="btn btn-main" @click="save('nearest')">Change the rhythm</button>
    </div>
  </section>
</template>
