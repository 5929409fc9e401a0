<script setup lang="ts">
import { computed } from 'vue'
import { measureName } from '@core/pictures/proof'
import type { Candidate } from '@core/records'
import type { Card } from '@core/views/card'
import { useProof } from '@app/stores/proof'
import { typedIn } from '@app/ui/fields/event'
import Flag from '@app/ui/Flag.vue'
import KeySign from '@app/ui/KeySign.vue'
import { useKeymap } from '@app/ui/keymap'
import { makingKeys } from '../../keymap'
import MakeCanvas from './MakeCanvas.vue'
import MakeWords from './MakeWords.vue'
import { useMaking } from './useMaking'

/** Makes a candidate of a picture: its part, straight, with words over it; measured while it is made. */
const { card, from, stamp } = defineProps<{ card: Card; from: Candidate; stamp: string }>()
const emit = defineEmits<{ kept: [id: string]; leave: [] }>()
const of = useMaking(() => card, from)
const proof = useProof()
void of.open()
const most = computed(() => proof.mostBytes(card))
const failing = computed(() => (of.findings.value ?? []).filter((f) => f.state === 'fails'))
const { made, isChanged, isKeeping, fault } = of
async function keep(asAnother: boolean) {
  const id = await of.keep(asAnother)
  if (id !== undefined) emit('kept', id)
}
function leave() {
  of.leave()
  emit('leave')
}
useKeymap(
  makingKeys,
  {
    move: ({ which }) => {
      if (!of.isFocused.value) return false
      of.move(which)
      return true
    },
    remove: () => {
      if (!of.isFocused.value || !of.picked.value) return false
      of.remove(of.picked.value.id)
      return true
    },
    keep: () => void keep(false),
    leave,
  },
  ['keep', 'leave'],
)
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-5 py-5 grid grid-cols-1 gap-6 lg:grid-cols-[minmax(0,1fr)_320px]">
    <section class="min-w-0" aria-label="The picture in the making">
      <div class="flex flex-wrap items-center gap-2 mb-3">
        <h2 class="flex-1">{{ from.name }}</h2>
        <button class="btn btn-bare" @click="leave">
          Leave it as it was <KeySign :line="makingKeys.lines.leave" /></button
        ><button class="btn" :disabled="!isChanged || isKeeping" @click="keep(true)">Keep as another</button
        ><button class="btn btn-main" :disabled="!isChanged || isKeeping" @click="keep(false)">
          {{ isKeeping ? 'Keeping it…' : 'Keep it' }} <KeySign :line="makingKeys.lines.keep" />
        </button>
      </div>
      <p v-if="fault" role="alert" class="late mb-3"><Flag />{{ fault }}</p>
      <MakeCanvas :of="of" :stamp="stamp" />
      <div class="flex flex-wrap gap-x-6 gap-y-2 mt-3">
        <label class="grid gap-1 flex-1 min-w-[180px]"
          ><span class="label">Crop closer</span
          ><input
            type="range"
            min="1"
            max="4"
            step="0.01"
            :value="made.zoom"
            @input="of.crop({ zoom: Number(typedIn($event)) })" /></label
        ><label class="grid gap-1 flex-1 min-w-[180px]"
          ><span class="label">Straighten, {{ made.turn.toFixed(1) }}°</span
          ><input
            type="range"
            min="-15"
            max="15"
            step="0.1"
            :value="made.turn"
            @input="of.crop({ turn: Number(typedIn($event)) })"
        /></label>
      </div>
      <p class="sub mt-2">Drag the picture under the frame, drag words, pull their corners.</p>
    </section>
    <aside class="grid gap-5 content-start">
      <MakeWords :of="of" :hint="card.episode.brief.pictureWords || 'WORDS'" />
      <section aria-label="Measured so far" class="panel p-3">
        <p v-if="!of.findings.value" class="sub">Measuring</p>
        <ul v-else class="grid gap-1 text-12">
          <li v-for="f in of.findings.value" :key="f.measure" class="flex justify-between gap-3">
            <span>{{ measureName(f.measure, of.frame, most) }}</span><span
              class="num text-11"
              :class="f.state === 'fails' ? 'late' : ''"
              ><Flag v-if="f.state === 'fails'" />{{ f.value }}</span
            >
          </li>
        </ul>
        <p v-for="f in failing" :key="f.measure" class="text-12 mt-2">{{ f.fault?.mend }}</p>
      </section>
    </aside>
  </div>
</template>
