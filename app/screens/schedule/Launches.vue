<script setup lang="ts">
import { computed, ref } from 'vue'
import { launchStanding } from '@core/plan/launch'
import { addDays } from '@core/rhythm/days'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useSchedule } from '@app/stores/schedule'
import { useDesk } from '@app/stores/desk'
import { useForms } from '@app/stores/forms'
import { useLibrary } from '@app/stores/library'
import Campaigns from './parts/Campaigns.vue'
import LaunchRow from './parts/LaunchRow.vue'
import LaunchSheet from './LaunchSheet.vue'

/** Launches with their run-up and what is missing around them, and the noise that is made for them. */
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const schedule = useSchedule()
const desk = useDesk()
const forms = useForms()
/** A launch that is over stands for so many days more, with what came of it. */
const after = 120
const open = computed(() =>
  schedule.rows.filter((r) => r.slot && !r.card && !r.slot.skipped).map((r) => r.day),
)
const supporters = computed(() =>
  [...cards.working, ...cards.released.slice(0, 60).flatMap((e) => cards.cardOf(e) ?? [])].map((c) => ({
    episode: c.episode,
    title: c.title,
    number: c.number,
    release: c.standing.release?.day,
    ready: c.standing.ready,
    outlook: desk.outlooks.get(c.episode.id)?.is,
    form: forms.of(c.episode),
  })),
)
const launches = computed(() =>
  [...library.tables.launches.values()]
    .filter((l) => l.to >= addDays(moment.today, -after))
    .sort((a, b) => (a.from < b.from ? -1 : 1))
    .map((launch) => ({
      launch,
      standing: launchStanding(launch, supporters.value, open.value, moment.today),
      mine: supporters.value.filter((s) => launch.episodes.includes(s.episode.id)),
    })),
)
const editing = ref<{ id?: string }>()
function begin(id?: string) {
  editing.value = id === undefined ? {} : { id }
}
</script>

<template>
  <section aria-labelledby="launches">
    <div class="flex items-center gap-3 mb-2">
      <h2 id="launches" class="flex-1">Launches</h2>
      <button class="btn btn-small" @click="begin()">Add a launch</button>
    </div>
    <p v-if="launches.length === 0" class="sub">
      A book, a course, a regatta: give it its dates, and the episodes that lead up to it, and what is missing
      shows here and in the Month.
    </p>
    <ul v-else class="panel divide-y divide-faint">
      <LaunchRow
        v-for="l in launches"
        :key="l.launch.id"
        :launch="l.launch"
        :standing="l.standing"
        :mine="l.mine"
        @edit="begin(l.launch.id)"
      />
    </ul>
    <Campaigns class="mt-4" />
    <LaunchSheet v-if="editing" :launch="editing.id" @close="editing = undefined" />
  </section>
</template>
