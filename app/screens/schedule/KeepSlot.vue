<script setup lang="ts">
import { computed, ref } from 'vue'
import { keepSlots } from '@core/commands/schedule'
import type { Reservation } from '@core/records'
import { sayDay } from '@core/rhythm/days'
import type { Slot } from '@core/rhythm/slots'
import { useMoment } from '@app/stores/moment'
import { usePromises } from '@app/stores/promises'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import Sheet from '@app/ui/Sheet.vue'
import DateField from '@app/ui/fields/DateField.vue'
import NumberField from '@app/ui/fields/NumberField.vue'
import TextField from '@app/ui/fields/TextField.vue'
import ComboField from '@app/ui/fields/ComboField.vue'

/**
 * Keeps a slot for a sponsor's read, a launch, a season's day or something else, once or so many times a
 * month.
 */
const { vacant } = defineProps<{ vacant: Slot }>()
const library = useLibrary()
const moment = useMoment()
const promises = usePromises()
const dialogs = useDialogs()
const show = computed(() => library.tables.shows.get(vacant.show))
const there = computed(() => promises.keptFor(vacant.show, vacant.original)?.reservation)
const kind = ref<Reservation['kind']>(there.value?.kind ?? 'sponsor')
const name = ref(there.value?.name ?? '')
const launch = ref('')
const note = ref(there.value?.note ?? '')
const each = ref<'once' | 'month'>('once')
const perMonth = ref(1)
const until = ref('')
const fault = ref('')
const launches = computed(() => [...library.tables.launches.values()])
const known = computed(() =>
  [
    ...new Set([
      ...[...library.tables.episodes.values()].flatMap((e) => (e.sponsor ? [e.sponsor] : [])),
      ...[...library.tables.reservations.values()].flatMap((r) => (r.kind === 'sponsor' ? [r.name] : [])),
    ]),
  ].sort(),
)
async function keep() {
  const chosen = launches.value.find((l) => l.id === launch.value)
  const done = await library.perform(keepSlots, {
    ...(there.value?.kept.kind === 'slot' ? { reservation: there.value.id } : {}),
    show: vacant.show,
    kind: kind.value,
    name: kind.value === 'launch' ? (chosen?.name ?? '') : name.value,
    note: note.value,
    ...(kind.value === 'launch' && chosen ? { launch: chosen.id } : {}),
    kept:
      each.value === 'once'
        ? { kind: 'slot', day: vacant.original }
        : {
            kind: 'deal',
            perMonth: perMonth.value,
            from: `${vacant.day.slice(0, 7)}-01`,
            ...(until.value ? { to: until.value } : {}),
          },
  })
  if (done.ok) dialogs.close()
  else fault.value = done.problem.sentence
}
</script>

<template>
  <Sheet :open="true" :title="`Keep ${sayDay(vacant.day, moment.today)} for`" @close="dialogs.close()">
    <form class="grid gap-3" @submit.prevent="keep">
      <p class="sub">
        {{ show?.title }}, {{ vacant.time }}. What it is kept for shows on its frame; an episode put on it
        that doesn’t honour it says so.
      </p>
      <label
        ><span class="label">What for</span
        ><select v-model="kind" class="field">
          <option value="sponsor">a sponsor’s read</option>
          <option value="launch" :disabled="launches.length === 0">a launch</option>
          <option value="season">a season’s day</option>
          <option value="other">something else</option>
        </select></label
      >
      <label v-if="kind === 'launch'"
        ><span class="label">Which launch</span
        ><select v-model="launch" class="field">
          <option value="" disabled>choose</option>
          <option v-for="l in launches" :key="l.id" :value="l.id">{{ l.name }}</option>
        </select></label
      >
      <ComboField
        v-else
        v-model="name"
        :label="
          kind === 'sponsor' ? 'The sponsor' : kind === 'season' ? 'The season or series' : 'For whom or what'
        "
        :known="kind === 'sponsor' ? known : []"
      />
      <TextField v-model="note" label="Note" placeholder="What was promised" />
      <fieldset class="grid gap-1.5">
        <legend class="label">Which slots</legend>
        <label class="flex items-center gap-2"
          ><input v-model="each" type="radio" class="tick rounded-full!" value="once" />This one alone</label
        ><label class="flex items-center gap-2"
          ><input v-model="each" type="radio" class="tick rounded-full!" value="month" />So many of every
          month, by a standing deal</label
        >
      </fieldset>
      <div v-if="each === 'month'" class="grid grid-cols-2 gap-3">
        <NumberField v-model="perMonth" label="Slots a month" :min="1" :max="31" /><DateField
          v-model="until"
          label="Until (left open: no end)"
        />
      </div>
      <p v-if="fault" role="alert" class="late">{{ fault }}</p>
      <button class="btn btn-main justify-self-start">Keep {{ each === 'month' ? 'them' : 'it' }}</button>
    </form>
  </Sheet>
</template>
