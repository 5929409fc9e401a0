<script setup lang="ts">
import type { ShotPlan } from '@core/records'
import { cueKinds, type CueThere } from '@core/script/cues'
import { usualShot } from '@core/views/shot-list'
import ComboField from '@app/ui/fields/ComboField.vue'
import { tickedIn, typedIn } from '@app/ui/fields/event'
import { keysOn } from '@app/ui/keymap'
import { shotKeys } from '../keymap'
import OptionalNumberField from '@app/ui/fields/OptionalNumberField.vue'
import type { KnownPlans } from './shot-plans'

/** One shot: ticked when it is got; opened, where and how it is filmed. Alt ↑ ↓ puts it elsewhere. */
const { of, known, others, dark, open } = defineProps<{
  of: CueThere
  known: KnownPlans
  others: readonly CueThere[]
  /** The light does not reach it. */
  dark: boolean
  open: boolean
}>()
const emit = defineEmits<{
  tick: [on: boolean]
  open: []
  move: [by: -1 | 1]
  plan: [to: Partial<ShotPlan>]
}>()
const asked = [
  ['place', 'Place'],
  ['framing', 'Framing'],
  ['light', 'Light'],
  ['clothes', 'Clothes'],
] as const
const said = (text: string) => (text.trim() === '' ? undefined : text.trim())
const keyed = keysOn(shotKeys, {
  move: ({ which }) => {
    emit('move', which === 0 ? -1 : 1)
  },
})
</script>

<template>
  <li class="px-4 py-2" @keydown="keyed">
    <div class="flex items-start gap-3">
      <label class="flex items-start gap-3 flex-1 min-w-0 cursor-pointer"
        ><input
          type="checkbox"
          class="tick mt-0.5"
          :checked="of.cue.got"
          @change="emit('tick', tickedIn($event))"
        /><span class="flex-1 min-w-0"
          ><span class="block" :class="of.cue.got ? 'text-ink-2' : 'font-medium'"
            >{{ of.cue.text || cueKinds[of.cue.kind].name
            }}<span v-if="of.cue.shot?.could" class="sub font-normal">, could be left</span></span
          ><span class="sub line-clamp-1">{{ of.section.title }}: {{ of.words }}</span></span
        ></label
      ><span v-if="dark" class="late text-12">after the light</span
      ><span class="num">{{ of.cue.shot?.minutes ?? usualShot }} min</span
      ><button
        class="btn btn-bare btn-small px-1.5"
        :aria-expanded="open"
        :aria-label="`How ${of.cue.text} is filmed`"
        @click="emit('open')"
      >
        ⋯
      </button>
    </div>
    <div v-if="open" class="grid grid-cols-2 md:grid-cols-4 gap-2 pt-2 items-end">
      <ComboField
        v-for="[name, label] in asked"
        :key="name"
        :model-value="of.cue.shot?.[name] ?? ''"
        :label="label"
        :known="known[name]"
        lazy
        @update:model-value="emit('plan', { [name]: said($event) })"
      /><OptionalNumberField
        label="Minutes"
        :model-value="of.cue.shot?.minutes"
        :min="0"
        @update:model-value="emit('plan', { minutes: $event })"
      /><label
        ><span class="label">Only after</span
        ><select
          class="field"
          :value="of.cue.shot?.after ?? ''"
          @change="emit('plan', { after: said(typedIn($event)) })"
        >
          <option value="">any time</option>
          <template v-for="o in others" :key="o.cue.id"
            ><option v-if="o.cue.id !== of.cue.id" :value="o.cue.id">
              {{ o.number }} {{ o.cue.text }}
            </option></template
          >
        </select></label
      ><label class="flex items-center gap-2 min-h-[34px] text-12"
        ><input
          type="checkbox"
          class="tick"
          :checked="of.cue.shot?.daylight ?? false"
          @change="emit('plan', { daylight: tickedIn($event) })"
        />Needs daylight</label
      ><label class="flex items-center gap-2 min-h-[34px] text-12"
        ><input
          type="checkbox"
          class="tick"
          :checked="of.cue.shot?.could ?? false"
          @change="emit('plan', { could: tickedIn($event) })"
        />Could be left</label
      >
      <p class="col-span-full flex gap-1.5">
        <button class="btn btn-small" @click="emit('move', -1)">Earlier</button
        ><button class="btn btn-small" @click="emit('move', 1)">Later</button
        ><button
          v-if="of.cue.shot?.behind !== undefined"
          class="btn btn-small btn-bare"
          @click="emit('plan', { behind: undefined })"
        >
          Put by hand; let it go where it fits
        </button>
      </p>
    </div>
  </li>
</template>
