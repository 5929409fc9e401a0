<script setup lang="ts">
import { editShow } from '@core/commands/shows'
import type { Show } from '@core/records'
import { useLibrary } from '@app/stores/library'
import { usualPoint } from '@core/script/spoken'
import FormFields from './FormFields.vue'
import ChangeFields from './ChangeFields.vue'
import ProofFields from './ProofFields.vue'
import NumberField from '@app/ui/fields/NumberField.vue'
import TextField from '@app/ui/fields/TextField.vue'
import OptionalNumberField from '@app/ui/fields/OptionalNumberField.vue'

const { show } = defineProps<{ show: Show }>()
const library = useLibrary()
type Fields = Parameters<typeof editShow>[1]['fields']
function write(fields: Fields) {
  void library.perform(editShow, { show: show.id, fields }, 'quietly')
}
/** At most so many ready ahead; from 200 on, or left empty, there is no end. */
function most(which: 'evergreen' | 'topical', count: number | undefined) {
  const now = show.readyMost ?? { evergreen: 200, topical: 200 }
  const next = { ...now, [which]: count ?? 200 }
  write({ readyMost: next.evergreen >= 200 && next.topical >= 200 ? undefined : next })
}
</script>

<template>
  <section class="panel p-5 grid gap-4" aria-labelledby="about">
    <h2 id="about">About the show</h2>
    <div class="grid gap-3 grid-cols-[1fr_90px_110px]">
      <TextField :model-value="show.title" lazy label="Name" @update:model-value="write({ title: $event })" />
      <TextField
        :model-value="show.prefix"
        lazy
        label="Number mark"
        maxlength="6"
        @update:model-value="write({ prefix: $event })"
      />
      <NumberField
        :model-value="show.nextNumber"
        label="Numbers from"
        :min="1"
        @update:model-value="write({ nextNumber: $event })"
      />
    </div>
    <div class="grid gap-3 grid-cols-2 sm:grid-cols-3 items-end">
      <NumberField
        :model-value="show.aim.from"
        label="Shortest, minutes"
        :min="0"
        @update:model-value="write({ aim: { ...show.aim, from: $event } })"
      />
      <NumberField
        :model-value="show.aim.to"
        label="Longest, minutes"
        :min="0"
        @update:model-value="write({ aim: { ...show.aim, to: $event } })"
      />
      <NumberField
        :model-value="show.pace.camera"
        label="To camera, words a minute"
        @update:model-value="write({ pace: { ...show.pace, camera: $event } })"
      />
      <NumberField
        :model-value="show.pace.voice"
        label="Voice-over, words a minute"
        @update:model-value="write({ pace: { ...show.pace, voice: $event } })"
      />
      <NumberField
        :model-value="show.pace.point ?? usualPoint"
        label="From points, seconds each"
        :min="5"
        :max="900"
        @update:model-value="write({ pace: { ...show.pace, point: $event } })"
      />
    </div>
    <fieldset class="grid gap-3 grid-cols-3">
      <legend class="label">Slots to have ready ahead</legend>
      <label
        ><span class="sub block mb-1">at least</span
        ><NumberField
          :model-value="show.readyAhead"
          label="Slots to have ready ahead, at least"
          hidden
          :min="0"
          @update:model-value="write({ readyAhead: $event })"
      /></label>
      <OptionalNumberField
        :model-value="show.readyMost?.evergreen"
        label="evergreen, at most"
        :min="0"
        :max="200"
        placeholder="no end"
        @update:model-value="most('evergreen', $event)"
      />
      <OptionalNumberField
        :model-value="show.readyMost?.topical"
        label="topical, at most"
        :min="0"
        :max="200"
        placeholder="no end"
        @update:model-value="most('topical', $event)"
      />
    </fieldset>
    <FormFields :show="show" />
    <ChangeFields v-if="show.kind === 'video'" :show="show" @write="write({ changeMinutes: $event })" />
    <ProofFields :show="show" @write="write({ proof: $event })" />
    <TextField
      :model-value="show.notes"
      field="field min-h-[70px]"
      label="Notes on voice and look"
      :rows="3"
      @update:model-value="write({ notes: $event })"
    />
  </section>
</template>
