<script setup lang="ts">
import { computed, ref } from 'vue'
import { messageKinds, type MessageKind } from '@core/partners/messages'
import type { Episode } from '@core/records'
import { useMoment } from '@app/stores/moment'
import type { PersonHere } from '@app/stores/partners'
import { sayDay } from '@core/rhythm/days'
import GuestVisit from './GuestVisit.vue'
import MessageToCopy from './MessageToCopy.vue'
import type { PartnersHere, VisitHere } from './usePartners'

/** The visits of a guest, what is not out yet first, and the message that goes with where each stands. */
const { of, here } = defineProps<{ of: PersonHere; here: PartnersHere }>()
const moment = useMoment()
const visits = computed(() => {
  const all = here.visits(of)
  return [
    ...all.filter((v) => v.state.kind !== 'out'),
    ...all.filter((v) => v.state.kind === 'out').reverse(),
  ]
})
const chosen = ref<Episode['id']>()
const visit = computed(() => visits.value.find((v) => v.episode.id === chosen.value) ?? visits.value[0])
const kindOf = ({ state }: VisitHere): MessageKind =>
  state.kind === 'out'
    ? 'out'
    : state.kind === 'booked' || state.kind === 'coming'
      ? 'confirming'
      : state.kind === 'recorded'
        ? 'out'
        : 'asking'
const wanted = ref<MessageKind>()
const kind = computed(() => wanted.value ?? (visit.value ? kindOf(visit.value) : messageKinds[0]))
function look(v: VisitHere) {
  chosen.value = v.episode.id
  wanted.value = undefined
}
const away = computed(() =>
  here.away(of).map((a) => `${sayDay(a.from, moment.today)} to ${sayDay(a.to, moment.today)}`),
)
</script>

<template>
  <section class="grid gap-4" aria-label="Episodes">
    <p v-if="away.length > 0" class="sub">Not free: {{ away.join(', ') }}.</p>
    <GuestVisit
      v-for="v in visits.slice(0, 12)"
      :key="v.episode.id"
      :of="v"
      :known="of.known"
      :here="here"
      :is-here="v.episode.id === visit?.episode.id"
      @look="look(v)"
    />
    <p v-if="visits.length > 12" class="sub">And {{ visits.length - 12 }} more that are out.</p>
    <MessageToCopy
      v-if="visit"
      :kind="kind"
      :of="visit"
      :known="of.known"
      :here="here"
      @choose="wanted = $event"
    />
  </section>
</template>
