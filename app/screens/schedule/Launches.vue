<script setup lang="ts">
import { computed, ref } from 'vue'
import { removeReservation, supportLaunch } from '@core/commands/schedule'
import { launchStanding } from '@core/plan/launch'
import { addDays, daysBetween, sayAway, sayDay } from '@core/rhythm/days'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { usePromises } from '@app/stores/promises'
import { useSchedule } from '@app/stores/schedule'
import { useDesk } from '@app/stores/desk'
import { useLibrary } from '@app/stores/library'
import LaunchSheet from './LaunchSheet.vue'
import Flag from '@app/ui/Flag.vue'
import { rewrite, typedIn } from '@app/ui/fields/event'

/** Launches with their run-up and what is missing around them, and the standing deals. */
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const promises = usePromises()
const schedule = useSchedule()
const desk = useDesk()
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
  })),
)
const launches = computed(() =>
  [...library.records.launches.values()]
    .filter((l) => l.to >= addDays(moment.today, -30))
    .sort((a, b) => (a.from < b.from ? -1 : 1))
    .map((launch) => ({
      launch,
      standing: launchStanding(launch, supporters.value, open.value, moment.today),
      mine: supporters.value.filter((s) => launch.episodes.includes(s.episode.id)),
    })),
)
const deals = computed(() =>
  [...library.records.reservations.values()]
    .filter((r) => r.kept.kind === 'deal')
    .map((r) => ({
      r,
      show: library.records.shows.get(r.show),
      days: [...(promises.reserved.get(r.show) ?? [])]
        .filter(([day, x]) => x.reservation.id === r.id && day >= moment.today)
        .map(([day]) => day)
        .sort()
        .slice(0, 3),
    })),
)
const editing = ref<{ id?: string }>()
function begin(id?: string) {
  editing.value = id === undefined ? {} : { id }
}
function support(launch: string, event: Event) {
  const episode = typedIn(event)
  if (episode === '') return
  void library.perform(supportLaunch, { launch, episode, supports: true })
  rewrite(event)
}
/** Where days lie on a launch's small line, from the beginning of its run-up to its end. */
function share(day: string, l: (typeof launches.value)[number]): number {
  return Math.max(
    0,
    Math.min(
      100,
      (100 * daysBetween(l.standing.window.from, day)) /
        Math.max(1, daysBetween(l.standing.window.from, l.standing.window.to)),
    ),
  )
}
</script>

<template>
  <section aria-labelledby="launches">
    <div class="flex items-center gap-3 mb-2">
      <h2 id="launches" class="flex-1">
        Launches<template v-if="deals.length > 0"> and standing deals</template>
      </h2>
      <button class="btn btn-small" @click="begin()">Add a launch</button>
    </div>
    <p v-if="launches.length === 0 && deals.length === 0" class="sub">
      A book, a course, a regatta: give it its dates, and the episodes that lead up to it, and what is missing
      shows here and in the Month.
    </p>
    <ul v-else class="panel divide-y divide-faint">
      <li
        v-for="l in launches"
        :key="l.launch.id"
        class="px-4 py-3 grid gap-x-6 gap-y-2 md:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]"
      >
        <div class="min-w-0">
          <p>
            <button
              class="font-semibold underline decoration-dotted underline-offset-2"
              @click="begin(l.launch.id)"
            >
              {{ l.launch.name }}</button>{{ ' ' }}
            <span class="sub"
              >{{ sayDay(l.launch.from, moment.today) }} to {{ sayDay(l.launch.to, moment.today) }},
              {{ sayAway(l.launch.from, moment.today) }}</span
            >
          </p>
          <div
            class="relative h-[22px] mt-2 border-t border-line"
            role="img"
            :aria-label="`Run-up from ${sayDay(l.standing.window.from)}, ${l.standing.support} of ${l.launch.wanted} episodes within it`"
          >
            <span
              class="absolute top-0 h-[7px] bg-ink-3"
              :style="{ left: `${share(l.launch.from, l)}%`, right: '0' }"
            /><span
              v-for="s in l.mine.filter((m) => m.release)"
              :key="s.episode.id"
              class="absolute -top-[5px] w-[9px] h-[9px] rounded-full border-2 border-ink bg-panel -ml-[4px]"
              :style="{ left: `${share(s.release ?? '', l)}%` }"
              :title="`${s.number} ${s.title}`"
            /><span class="absolute top-[7px] left-0 text-11 text-ink-2 leading-[14px]"
              >run-up {{ sayDay(l.standing.window.from) }}</span
            >
          </div>
        </div>
        <div class="min-w-0">
          <p v-for="m in l.standing.missing" :key="m" class="text-12"><Flag :size="9" />{{ m }}</p>
          <p v-if="l.standing.missing.length === 0" class="text-12">
            Nothing is missing: {{ l.standing.support }}
            {{ l.standing.support === 1 ? 'episode leads' : 'episodes lead' }} up to it.
          </p>
          <p class="flex flex-wrap gap-x-3 gap-y-1 items-center mt-1">
            <span v-for="s in l.mine" :key="s.episode.id" class="text-12"
              ><span class="num">{{ s.number }}</span> {{ s.title }}
              <button
                class="text-ink-2"
                :aria-label="`${s.title} no longer supports it`"
                @click="
                  library.perform(supportLaunch, {
                    launch: l.launch.id,
                    episode: s.episode.id,
                    supports: false,
                  })
                "
              >
                ×
              </button></span
            >
            <select
              class="field w-auto text-12 min-h-[28px] py-0.5"
              :aria-label="`An episode that supports ${l.launch.name}`"
              @change="support(l.launch.id, $event)"
            >
              <option value="">Add an episode…</option>
              <option
                v-for="c in cards.working.filter((w) => !l.launch.episodes.includes(w.episode.id))"
                :key="c.episode.id"
                :value="c.episode.id"
              >
                {{ c.number }} {{ c.title }}
              </option>
            </select>
          </p>
        </div>
      </li>
      <li v-for="d in deals" :key="d.r.id" class="px-4 py-2 flex flex-wrap items-center gap-x-4">
        <p class="flex-1 min-w-[240px]">
          <strong class="font-semibold">{{ d.r.name }}</strong>{{ ' ' }}
          <span class="sub"
            >{{
              d.r.kept.kind === 'deal' && d.r.kept.perMonth > 1 ? `${d.r.kept.perMonth} slots` : 'one slot'
            }}
            a month of {{ d.show?.title }}{{ d.r.note ? `. ${d.r.note}` : '' }}</span
          >
        </p>
        <p class="sub">next: {{ d.days.map((x) => sayDay(x)).join(', ') || 'none to come' }}</p>
        <button
          class="btn btn-small btn-bare"
          :aria-label="`End the deal with ${d.r.name}`"
          @click="library.perform(removeReservation, { reservation: d.r.id })"
        >
          End the deal
        </button>
      </li>
    </ul>
    <LaunchSheet v-if="editing" :launch="editing.id" @close="editing = undefined" />
  </section>
</template>
