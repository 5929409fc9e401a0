<script setup lang="ts">
import { computed } from 'vue'
import { handOver } from '@core/commands/release'
import { dropSpinOff, writeSpinOff, type SpinFields } from '@core/commands/spin-offs'
import { tickStep } from '@core/commands/work'
import type { SpinOff } from '@core/records'
import { charactersIn } from '@core/release/limits'
import { spinName, spinWork } from '@core/release/spin-offs'
import { spinFault, spinState } from '@core/release/spin-parts'
import { sayKind, sayWhen, spinKey } from '@core/release/when'
import { sayTime } from '@core/script/timecode'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import Flag from '@app/ui/Flag.vue'
import LampMark from '@app/ui/LampMark.vue'
import TextField from '@app/ui/fields/TextField.vue'
import ChoiceField from '@app/ui/fields/ChoiceField.vue'
import WhenFields from '../../shows/WhenFields.vue'
import CopyButton from '../release/CopyButton.vue'
import { spinLamp } from './spin-lamp'

/** One thing made of an episode: how far it is, its words, where and when it goes out; folded until wanted. */
const { card, spin, open } = defineProps<{ card: Card; spin: SpinOff; open: boolean }>()
const emit = defineEmits<{ toggle: [] }>()
const library = useLibrary()
const outlet = computed(() => library.tables.outlets.get(spin.outlet ?? ''))
const state = computed(() => spinState(card, spin))
const over = computed(() => spinFault(card, spin))
const passage = computed(() => card.episode.excerpts?.find((e) => e.id === spin.excerpt))
const steps = computed(() => card.steps.filter((s) => s.spin === spin.id && !spinWork[spin.kind].isWritten))
function write(fields: SpinFields) {
  void library.perform(writeSpinOff, { episode: card.episode.id, spin: spin.id, fields }, 'quietly')
}
const where = computed(() => [
  ['', 'no outlet yet'] as const,
  ...card.outlets.map((o) => [o.id, o.name] as const),
])
function out() {
  const key = spinKey(spin)
  if (key !== undefined)
    void library.perform(handOver, { episode: card.episode.id, key, state: 'live', on: true })
}
const count = computed(() => {
  const length = charactersIn(spin.text.trim())
  return outlet.value ? `${length}/${outlet.value.descriptionLimit}` : String(length)
})
</script>

<template>
  <li class="py-2 grid gap-3" :data-at="`spin-${spin.id}`">
    <div class="flex flex-wrap items-center gap-x-3 gap-y-1" :class="state === 'off' ? 'text-ink-2' : ''">
      <button
        class="flex items-center gap-2 flex-1 min-w-[220px] text-left"
        :aria-expanded="open"
        @click="emit('toggle')"
      >
        <LampMark :lamp="spinLamp(state)" :size="18" :name="state" />
        <span class="num text-12 text-ink-2">{{ spin.code }}</span>
        <span class="min-w-0 truncate" :class="state === 'off' ? 'line-through' : 'font-medium'">{{
          spinName(spin)
        }}</span>
        <span v-if="spinName(spin) !== sayKind(spin.kind)" class="sub">{{
          sayKind(spin.kind).toLowerCase()
        }}</span>
      </button>
      <span v-if="over" class="late text-12"><Flag />{{ over }}</span>
      <span class="sub">{{ outlet?.name ?? 'no outlet yet' }}, {{ sayWhen(spin.when) }}</span>
      <button v-if="state === 'off'" class="btn btn-small" @click="write({ off: false })">
        Make it after all
      </button>
      <button v-else-if="!open && state === 'ready' && outlet" class="btn btn-small" @click="out">
        It is out
      </button>
    </div>
    <div v-if="open && state !== 'off'" class="grid grid-cols-1 gap-3">
      <p v-if="passage" class="border-l-2 border-line pl-3">
        <span class="num text-12 text-ink-2">{{ sayTime(passage.from) }} to {{ sayTime(passage.to) }}</span>
        {{ passage.text }}
      </p>
      <TextField
        :model-value="spin.title"
        lazy
        label="Title"
        @update:model-value="write({ title: $event })"
      />
      <div>
        <TextField
          :model-value="spin.text"
          lazy
          :rows="spin.kind === 'article' || spin.kind === 'letter' ? 10 : 4"
          label="Words"
          @update:model-value="write({ text: $event })"
        />
        <p class="sub flex items-center gap-2">
          <span class="num">{{ count }}</span><CopyButton :text="spin.text" />
        </p>
      </div>
      <div class="flex flex-wrap items-end gap-2">
        <ChoiceField
          :model-value="spin.outlet ?? ''"
          label="Where"
          :of="where"
          @update:model-value="write({ outlet: $event || undefined })"
        />
        <WhenFields
          :model-value="spin.when"
          label="It goes out"
          @update:model-value="write({ when: $event })"
        />
      </div>
      <label v-for="s in steps" :key="s.id" class="flex items-center gap-2"
        ><input
          type="checkbox"
          class="tick"
          :checked="s.doneAt !== undefined"
          @change="library.perform(tickStep, { step: s.id, done: s.doneAt === undefined })"
        />{{ s.name }}</label
      >
      <div class="flex flex-wrap items-end gap-2">
        <TextField
          :model-value="spin.address ?? ''"
          lazy
          class="flex-1 min-w-[220px]"
          label="Its address, once it is out"
          placeholder="https://"
          @update:model-value="write({ address: $event || undefined })"
        /><button v-if="state !== 'out' && outlet" class="btn" @click="out">It is out</button
        ><button v-if="spin.line" class="btn btn-bare" @click="write({ off: true })">
          Not of this episode</button
        ><button
          v-else
          class="btn btn-bare"
          @click="library.perform(dropSpinOff, { episode: card.episode.id, spin: spin.id })"
        >
          Let it go
        </button>
      </div>
    </div>
  </li>
</template>
