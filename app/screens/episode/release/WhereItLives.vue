<script setup lang="ts">
import { computed } from 'vue'
import { CalendarCheck } from '@lucide/vue'
import { scheduleRelease } from '@core/commands/release'
import type { Card } from '@core/views/card'
import { lateBy, sayOnTime } from '@core/results/on-time'
import { sayDay } from '@core/rhythm/days'
import { useAddresses } from '@app/stores/addresses'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import AddressLinks from '@app/ui/AddressLinks.vue'
import Flag from '@app/ui/Flag.vue'

/** Uploaded and scheduled, or out: since when and where. */
const { card } = defineProps<{ card: Card }>()
const library = useLibrary()
const dialogs = useDialogs()
const moment = useMoment()
const addresses = useAddresses()
const isOut = computed(() => card.episode.phase.kind === 'released')
/** It was scheduled, and moved since: its outlets still have the old moment. */
const isStale = computed(
  () =>
    card.episode.phase.kind === 'work' &&
    card.episode.phase.scheduled !== undefined &&
    !card.standing.scheduled,
)
const out = computed(() => {
  const { release } = card.standing
  const late = lateBy(card.episode, card.show.zone)
  return release ? `${sayDay(release.day, moment.today)} ${release.time}${sayOnTime(late)}` : ''
})
function schedule(scheduled: boolean) {
  if (scheduled && card.standing.missing.length > 0)
    dialogs.show({ kind: 'schedule', episode: card.episode.id })
  else void library.perform(scheduleRelease, { episode: card.episode.id, scheduled })
}
</script>

<template>
  <div class="grid gap-2">
    <template v-if="isOut">
      <p class="flex items-center gap-2">
        <span class="flex-1">{{ out }}</span><AddressLinks
          :of="addresses.of(card.episode)"
          :about="card.number"
          @copy="addresses.copy"
        />
      </p>
    </template>
    <template v-else-if="card.standing.release">
      <p v-if="isStale" class="text-12">
        <Flag /><span class="late">It was moved since it was scheduled.</span> Change its moment at the
        outlets, then say so here.
      </p>
      <button v-if="!card.standing.scheduled" class="btn w-full" @click="schedule(true)">
        <CalendarCheck :size="16" aria-hidden="true" /> Uploaded and scheduled
      </button>
      <p v-else class="flex items-center gap-2">
        <span class="sub flex-1"
          >Scheduled for {{ sayDay(card.standing.release.day) }} {{ card.standing.release.time
          }}<template v-if="card.standing.missing.length > 0"
            >, with {{ card.standing.missing.length }} still missing</template
          >.</span
        ><button class="btn btn-small" @click="schedule(false)">Not after all</button>
      </p>
    </template>
    <button
      class="btn btn-bare btn-small underline underline-offset-2 justify-self-start"
      @click="dialogs.show({ kind: 'released', episode: card.episode.id })"
    >
      {{ isOut ? 'When and where it went out' : 'It is out already' }}
    </button>
  </div>
</template>
