<script setup lang="ts">
import { CueKind, UploadPlace, type Cue } from '@core/records'
import { cueKinds, lacksLicence, uploadPlaces, wantsLicence } from '@core/script/cues'
import { typedIn } from '@app/ui/fields/event'
import { keysOn } from '@app/ui/keymap'
import { cueKeys } from '../keymap'
import CueIcon from './CueIcon.vue'

/** One cue in the margin: its number, kind and words; open, also its kind to choose, its source and licence. */
const { cue, number, open } = defineProps<{ cue: Cue; number: number; open: boolean }>()
const emit = defineEmits<{
  change: [to: (cue: Cue) => Cue | undefined]
  enter: []
  /** Back to the words. */
  back: []
}>()
const kinds = CueKind.options
function write(field: 'text' | 'source' | 'licence', event: Event) {
  const typed = typedIn(event)
  emit('change', (was) => ({ ...was, [field]: typed }))
}
function become(event: Event) {
  const read = CueKind.safeParse(typedIn(event))
  if (read.success) emit('change', (was) => ({ ...was, kind: read.data }))
}
function goTo(event: Event) {
  const read = UploadPlace.safeParse(typedIn(event))
  emit('change', (was) => ({ ...was, place: read.success ? read.data : undefined }))
}
function leave() {
  if (cue.text.trim() === '') emit('change', () => undefined)
  emit('back')
}
const keyed = keysOn(cueKeys, {
  kind: ({ event, which }) => {
    event.stopPropagation()
    const at = kinds.indexOf(cue.kind) + (which === 0 ? -1 : 1) + kinds.length
    const kind = kinds[at % kinds.length]
    if (kind) emit('change', (was) => ({ ...was, kind }))
  },
  leave: ({ event }) => {
    event.stopPropagation()
    leave()
  },
})
</script>

<template>
  <div
    :class="open ? 'rounded-control bg-panel ring-1 ring-line -mx-1.5 px-1.5 pb-1.5' : ''"
    @focusin="emit('enter')"
  >
    <div class="flex items-center gap-2 min-h-[22px]">
      <span class="num text-11 w-[20px] flex-none text-right">{{ number }}</span><CueIcon
        :kind="cue.kind"
        class="flex-none text-ink-2"
        :class="cue.got ? 'opacity-60' : ''"
      /><input
        class="quiet-field mx-0 px-1 py-0 text-12 min-w-0"
        :class="cue.got ? 'text-ink-2' : ''"
        :value="cue.text"
        :placeholder="cueKinds[cue.kind].name"
        :aria-label="`Cue ${number}, ${cueKinds[cue.kind].name}`"
        @input="write('text', $event)"
        @keydown="keyed"
      /><span v-if="cue.got" class="text-12" :aria-label="cueKinds[cue.kind].done">✓</span
      ><span v-else-if="lacksLicence(cue)" class="late text-11 whitespace-nowrap">no licence</span>
    </div>
    <div v-if="open" class="grid gap-1 pl-[28px] mt-0.5 text-12">
      <div class="flex gap-1.5">
        <select
          class="field field-small flex-1 min-w-0"
          :value="cue.kind"
          :aria-label="`What cue ${number} is`"
          title="Alt ↑ ↓ in its words"
          @change="become"
        >
          <option v-for="k in kinds" :key="k" :value="k">{{ cueKinds[k].name }}</option></select
        ><label class="inline-flex items-center gap-1.5"
          ><input
            type="checkbox"
            class="tick"
            :checked="cue.got"
            @change="emit('change', (was) => ({ ...was, got: !was.got }))"
          />{{ cueKinds[cue.kind].done }}</label
        ><button
          class="btn btn-bare btn-small px-1.5"
          :aria-label="`Remove cue ${number}`"
          @click="emit('change', () => undefined)"
        >
          ×
        </button>
      </div>
      <template v-if="wantsLicence(cue)">
        <input
          class="field field-small"
          :value="cue.source ?? ''"
          placeholder="Source: whose it is, or its address"
          :aria-label="`Source of cue ${number}`"
          @input="write('source', $event)"
        /><input
          class="field field-small"
          :value="cue.licence ?? ''"
          placeholder="Licence: own, CC BY, bought …"
          :aria-label="`Licence of cue ${number}`"
          @input="write('licence', $event)"
        />
      </template>
      <select
        v-if="cue.kind === 'upload'"
        class="field field-small"
        :value="cue.place ?? ''"
        :aria-label="`Where cue ${number} goes`"
        @change="goTo"
      >
        <option value="">where it goes</option>
        <option v-for="(name, p) in uploadPlaces" :key="p" :value="p">{{ name }}</option>
      </select>
    </div>
  </div>
</template>
