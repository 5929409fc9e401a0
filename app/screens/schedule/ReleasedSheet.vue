<script setup lang="ts">
import { computed, ref } from 'vue'
import { correctRelease, markReleased } from '@core/commands/release'
import type { Id } from '@core/records'
import { sayDay } from '@core/rhythm/days'
import { releaseOf } from '@core/rhythm/slots'
import { localAt, momentAt } from '@core/rhythm/zone'
import { useCards } from '@app/stores/cards'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import DateField from '@app/ui/fields/DateField.vue'
import TextField from '@app/ui/fields/TextField.vue'
import TimeField from '@app/ui/fields/TimeField.vue'
import Sheet from '@app/ui/Sheet.vue'

/** When an episode went out, and where it lives. */
const { id } = defineProps<{ id: Id }>()
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const { close } = useDialogs()
const card = computed(() => cards.card(id))
const isOut = computed(() => card.value?.episode.phase.kind === 'released')
const planned = computed(() => card.value && releaseOf(card.value.episode, card.value.show))
const zone = computed(() => card.value?.show.zone ?? moment.zone)
const first = localAt(Math.min(moment.now, planned.value?.at ?? moment.now), zone.value)
const day = ref(first.day)
const time = ref(first.time)
const addresses = ref<Record<Id, string>>({ ...card.value?.episode.addresses })
const fault = ref('')
const at = computed(() => momentAt(day.value, time.value, zone.value))
const choices = computed(() => [
  ...(planned.value && !isOut.value && planned.value.at <= moment.now
    ? [{ name: `As planned, ${sayDay(planned.value.day)} ${planned.value.time}`, at: planned.value.at }]
    : []),
  { name: 'Just now', at: moment.now },
])
function choose(ms: number) {
  const local = localAt(ms, zone.value)
  day.value = local.day
  time.value = local.time
}
async function keep() {
  const wish = { episode: id, at: at.value, addresses: addresses.value }
  const done = isOut.value
    ? await library.perform(correctRelease, wish)
    : await library.perform(markReleased, wish)
  if (done.ok) close()
  else fault.value = done.problem.sentence
}
</script>

<template>
  <Sheet :open="true" :title="isOut ? 'When and where it went out' : 'It is out'" @close="close">
    <form v-if="card" class="grid gap-4" @submit.prevent="keep">
      <p class="sub">
        <span class="num">{{ card.number }}</span> {{ card.title }}
      </p>
      <fieldset class="grid gap-2">
        <legend class="label">When</legend>
        <p class="flex flex-wrap gap-2">
          <button
            v-for="c in choices"
            :key="c.name"
            type="button"
            class="btn btn-small"
            @click="choose(c.at)"
          >
            {{ c.name }}
          </button>
        </p>
        <div class="grid grid-cols-2 gap-3">
          <DateField v-model="day" label="Day" required :max="moment.today" />
          <TimeField v-model="time" label="Time" required />
        </div>
      </fieldset>
      <fieldset v-if="card.outlets.length > 0" class="grid gap-2">
        <legend class="label">Where it lives</legend>
        <TextField
          v-for="o in card.outlets"
          :key="o.id"
          :model-value="addresses[o.id] ?? ''"
          :label="o.name"
          placeholder="Paste its address"
          @update:model-value="addresses = { ...addresses, [o.id]: $event }"
        />
      </fieldset>
      <p v-if="fault" role="alert" class="late">{{ fault }}</p>
      <button class="btn btn-main justify-self-end">{{ isOut ? 'Keep it' : 'Yes, it is out' }}</button>
    </form>
  </Sheet>
</template>
