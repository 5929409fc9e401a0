<script setup lang="ts">
import { computed, ref } from 'vue'
import { bookGuest, noteVisit, unbookGuest, type VisitNote } from '@core/commands/people'
import { tickStep } from '@core/commands/work'
import { inTheirZone } from '@core/partners/messages'
import type { Known } from '@core/partners/people'
import { visitOf, type VisitState } from '@core/partners/visits'
import { titleOf } from '@core/release/parts'
import { addDays, sayAway, sayDay } from '@core/rhythm/days'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import DateField from '@app/ui/fields/DateField.vue'
import NumberField from '@app/ui/fields/NumberField.vue'
import TimeField from '@app/ui/fields/TimeField.vue'
import type { PartnersHere, VisitHere } from './usePartners'

/** How far a guest is with one episode, from wished for to told, and the one move that takes it on. */
const { of, known, here, isHere } = defineProps<{
  of: VisitHere
  known: Known
  here: PartnersHere
  isHere: boolean
}>()
const emit = defineEmits<{ look: [] }>()
const library = useLibrary()
const moment = useMoment()
const dialogs = useDialogs()
const path = ['wished for', 'asked', 'coming', 'booked', 'recorded', 'out', 'told'] as const
const names = {
  'wished for': 'Wished for',
  asked: 'Asked',
  coming: 'Comes',
  booked: 'Time',
  recorded: 'Recorded',
  out: 'Out',
  told: 'Told',
}
const at = computed(() => {
  const { state } = of
  if (state.kind === 'out') return state.told ? 6 : 5
  return Math.max(
    0,
    path.findIndex((p) => p === (state.kind === 'cannot' ? 'asked' : state.kind)),
  )
})
const show = computed(() => library.tables.shows.get(of.episode.show))
const booking = computed(() => here.bookingIn(of))
const says = computed(() => sayState(of.state))
function sayState(state: VisitState): string {
  const ago = (day: string) => `${sayDay(day, moment.today)}, ${sayAway(day, moment.today)}`
  switch (state.kind) {
    case 'wished for':
      return `wished for${of.episode.idea.asked.length > 0 ? `; ${of.episode.idea.asked.length} of the audience ask for it` : ''}`
    case 'asked':
      return `asked ${ago(state.since)}`
    case 'cannot':
      return `cannot come, said ${ago(state.since)}`
    case 'coming':
      return `comes; no time yet, said ${ago(state.since)}`
    case 'booked':
      return ''
    case 'recorded':
      return 'recorded'
    case 'out':
      return state.told ? 'out, and told' : 'out; not told yet'
  }
}
const theirs = computed(() =>
  booking.value && show.value
    ? inTheirZone(booking.value.day, booking.value.at, show.value.zone, known.person?.zone)
    : undefined,
)
function note(to: VisitNote) {
  void library.perform(noteVisit, { episode: of.episode.id, guest: of.guest, note: to })
}
const time = ref<{ day: string; at: string; minutes: number }>()
function settle() {
  time.value = booking.value
    ? { day: booking.value.day, at: booking.value.at, minutes: booking.value.minutes }
    : { day: addDays(moment.today, 7), at: '15:00', minutes: show.value?.kind === 'audio' ? 90 : 60 }
}
async function book() {
  if (!time.value) return
  const done = await library.perform(bookGuest, { episode: of.episode.id, guest: of.guest, ...time.value })
  if (done.ok) time.value = undefined
}
function recorded() {
  const step = visitOf(of.episode, of.guest).step
  if (step !== undefined) void library.perform(tickStep, { step, done: true })
}
</script>

<template>
  <article
    class="panel p-4 grid gap-3"
    :class="isHere ? 'border-ring' : ''"
    :aria-label="titleOf(of.episode)"
    @focusin="emit('look')"
    @click="emit('look')"
  >
    <header class="flex flex-wrap items-baseline gap-x-2">
      <span class="num text-ink-2">{{ here.partners.numberOf(of.episode) }}</span>
      <h3 class="font-title font-semibold flex-1 min-w-0">
        <RouterLink
          class="no-underline hover:underline"
          :to="
            of.episode.phase.kind === 'idea'
              ? { name: 'idea', params: { code: of.episode.code } }
              : { name: 'episode', params: { code: of.episode.code } }
          "
          >{{ titleOf(of.episode) }}</RouterLink
        >
      </h3>
      <span v-if="says" class="sub">{{ says }}</span>
    </header>
    <ol class="path" aria-label="How far it is">
      <li
        v-for="(p, i) in path"
        :key="p"
        :class="{ done: i <= at, now: i === at }"
        :aria-current="i === at ? 'step' : undefined"
      >
        <span class="dot" aria-hidden="true" />{{ names[p] }}
      </li>
    </ol>
    <p v-if="booking && of.state.kind === 'booked'" class="text-16">
      <strong class="font-semibold">{{ sayDay(booking.day, moment.today) }} at {{ booking.at }}</strong
      >, {{ sayAway(booking.day, moment.today) }}, {{ booking.minutes }} min
      <span v-if="theirs" class="sub block">for them {{ theirs }}</span>
    </p>
    <form v-if="time" class="flex flex-wrap items-end gap-2" @submit.prevent="book">
      <DateField v-model="time.day" label="Day" required class="w-[190px]" />
      <TimeField v-model="time.at" label="Time" required class="w-[90px]" />
      <NumberField v-model="time.minutes" label="Minutes" :min="5" :max="600" class="w-[90px]" />
      <button class="btn btn-main">Keep this time</button
      ><button type="button" class="btn" @click="time = undefined">Not now</button>
    </form>
    <p v-else class="flex flex-wrap gap-2">
      <template v-if="of.state.kind === 'wished for'"
        ><button class="btn" @click="note({ kind: 'asked', asked: true })">I asked them</button
        ><button class="btn btn-bare" @click="settle">Agree on a time…</button></template
      ><template v-else-if="of.state.kind === 'asked'"
        ><button class="btn" @click="note({ kind: 'answered', comes: true })">They come</button
        ><button class="btn" @click="note({ kind: 'answered', comes: false })">They cannot</button
        ><button class="btn btn-bare" @click="settle">Agree on a time…</button></template
      ><template v-else-if="of.state.kind === 'cannot'"
        ><button class="btn" @click="note({ kind: 'asked', asked: false })">Ask again later</button></template
      ><button v-else-if="of.state.kind === 'coming'" class="btn btn-main" @click="settle">
        Agree on a time…</button
      ><template v-else-if="of.state.kind === 'booked'"
        ><button
          v-if="of.episode.place.kind === 'nothing'"
          class="btn"
          @click="dialogs.show({ kind: 'place', episode: of.episode.id })"
        >
          Give it a slot…</button
        ><button class="btn" @click="recorded">It is recorded</button
        ><button class="btn btn-bare" @click="settle">Another time…</button
        ><button
          class="btn btn-bare"
          @click="library.perform(unbookGuest, { episode: of.episode.id, guest: of.guest })"
        >
          Take the time back
        </button></template
      ><button
        v-else-if="of.state.kind === 'out' && !of.state.told"
        class="btn"
        @click="note({ kind: 'told', told: true })"
      >
        I told them
      </button>
    </p>
  </article>
</template>

<style scoped>
.path {
  display: grid;
  grid-template-columns: repeat(7, minmax(0, 1fr));
  font-size: 12.5px;
  color: var(--ink-2);
}
.path li {
  display: grid;
  justify-items: center;
  gap: 4px;
  position: relative;
  text-align: center;
}
.path li + li::before {
  content: '';
  position: absolute;
  top: 5px;
  right: calc(50% + 9px);
  width: calc(100% - 18px);
  height: 2px;
  background: var(--line);
}
.path li.done + li.done::before {
  background: var(--ink-2);
}
.dot {
  width: 12px;
  height: 12px;
  border-radius: 50%;
  border: 2px solid var(--ring);
}
.done .dot {
  background: var(--ink);
  border-color: var(--ink);
}
.now {
  color: var(--ink);
  font-weight: 600;
}
</style>
