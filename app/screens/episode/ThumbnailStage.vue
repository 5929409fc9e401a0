<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import { Film, ImagePlus, Type } from '@lucide/vue'
import type { Candidate } from '@core/records'
import type { StageState } from '@core/recipe/progress'
import type { Card } from '@core/views/card'
import { useProof } from '@app/stores/proof'
import Flag from '@app/ui/Flag.vue'
import { useKeymap } from '@app/ui/keymap'
import { thumbnailKeys } from './keymap'
import StepList from './StepList.vue'
import BesideEarlier from './thumbnail/BesideEarlier.vue'
import CandidateFrame from './thumbnail/CandidateFrame.vue'
import LightTable from './thumbnail/LightTable.vue'
import MeasureTable from './thumbnail/MeasureTable.vue'
import PictureBriefs from './thumbnail/PictureBriefs.vue'
import PictureVerdict from './thumbnail/PictureVerdict.vue'
import SwapOffer from './thumbnail/SwapOffer.vue'
import { useCandidates } from './thumbnail/useCandidates'
import { useTaking } from './thumbnail/useTaking'
import WordBoxes from './thumbnail/WordBoxes.vue'

const MakeRoom = defineAsyncComponent(() => import('./thumbnail/making/MakeRoom.vue'))
const FrameTaker = defineAsyncComponent(() => import('./thumbnail/FrameTaker.vue'))

/** The pictures tried for an episode: one large, all at true small sizes and measured; one chosen. */
const { card, here } = defineProps<{ card: Card; here: StageState }>()
const proof = useProof()
const of = useCandidates(
  () => card,
  () => here,
)
const { all, large, frame, stamp } = of
const { over, busy, faults, take, lighter, chosen, dropped } = useTaking(() => card, of.lookOnceThere)
const making = ref<Candidate>()
const taking = ref(false)
const boxing = ref(false)
const dark = ref(false)
const others = computed(() => all.value.filter((t) => t !== large.value))
const cover = computed(() => card.show.kind === 'audio')
const says = computed(() => {
  const count = all.value.length
  return count === 0 ? 'No picture yet' : count === 1 ? 'One candidate' : `${count} candidates`
})

function make() {
  if (large.value) making.value = large.value.picture
}
function kept(id: string) {
  making.value = undefined
  of.look(id)
}
/** Keys are of the candidates only while those are what is seen. */
const isHere = () => !making.value && !taking.value && large.value !== undefined
useKeymap(thumbnailKeys, {
  turn: ({ which }) => {
    if (!isHere()) return false
    of.turn(which === 0 ? -1 : 1)
    return true
  },
  choose: () => {
    if (!isHere() || large.value?.isChosen !== false) return false
    void of.choose(large.value.picture.id)
    return true
  },
  make: () => {
    if (isHere()) make()
  },
  frame: () => {
    taking.value = !cover.value
  },
  page: () => {
    dark.value = !dark.value
  },
})
</script>

<template>
  <MakeRoom
    v-if="making"
    :card="card"
    :from="making"
    :stamp="stamp"
    @kept="kept"
    @leave="making = undefined"
  />
  <div
    v-else
    class="mx-auto max-w-[1280px] px-5 py-4 grid grid-cols-1 gap-6 lg:grid-cols-[minmax(0,1fr)_360px]"
    @dragover.prevent="over = true"
    @dragleave.self="over = false"
    @drop.prevent="dropped"
  >
    <div class="min-w-0">
      <SwapOffer :card="card" class="mb-3" />
      <div class="flex flex-wrap items-center gap-2 mb-3">
        <h2>{{ says }}</h2>
        <span v-if="card.episode.brief.pictureIdea" class="sub flex-1 min-w-0 truncate"
          >Brief: {{ card.episode.brief.pictureIdea }}</span
        ><span v-else class="flex-1" />
        <button v-if="!cover" class="btn btn-small" @click="taking = true">
          <Film :size="14" aria-hidden="true" /> Take a frame from the cut</button
        ><button v-if="large" class="btn btn-small" @click="make">
          <Type :size="14" aria-hidden="true" /> Lay words over</button
        ><label class="btn btn-small relative overflow-hidden"
          ><ImagePlus :size="14" aria-hidden="true" /> {{ busy ? 'Reading it…' : 'Add pictures'
          }}<input
            type="file"
            accept="image/*"
            multiple
            class="absolute inset-0 opacity-0 cursor-pointer"
            aria-label="Picture files"
            :disabled="busy"
            @change="chosen"
        /></label>
      </div>
      <PictureBriefs v-if="all.length === 0" :card="card" @take="take" />
      <ul v-if="faults.length > 0" role="alert" class="mb-3 grid gap-1">
        <li v-for="f in faults" :key="f"><Flag /><span class="late">Not added.</span> {{ f }}</li>
      </ul>
      <div v-if="!large" class="drop" :class="{ over }">
        <p class="font-medium">Drop a picture here, paste one, or choose a file</p>
        <p class="sub">
          PNG, JPEG or WebP, best at {{ frame.width }} × {{ frame.height }}. It stays in this browser.
        </p>
      </div>
      <template v-else>
        <div
          class="grid gap-3"
          :class="
            others.length > 0 ? 'md:grid-cols-[minmax(0,2.1fr)_minmax(0,1fr)]' : cover ? 'max-w-[520px]' : ''
          "
        >
          <figure class="min-w-0 self-start">
            <CandidateFrame
              :tried="large"
              :frame="frame"
              :stamp="stamp"
              :title="`${card.show.title} ${card.number}`"
            >
              <WordBoxes
                v-if="boxing"
                :key="large.picture.id"
                :episode="card.episode.id"
                :picture="large.picture"
                @done="boxing = false"
              />
            </CandidateFrame>
            <div id="word-boxes" />
          </figure>
          <div
            v-if="others.length > 0"
            class="grid gap-3 content-start"
            :class="others.length > 2 ? 'grid-cols-2' : 'grid-cols-1 max-md:grid-cols-2'"
          >
            <button
              v-for="t in others"
              :key="t.picture.id"
              class="text-left"
              :aria-label="`Look at picture ${t.letter}`"
              @click="of.look(t.picture.id)"
            >
              <CandidateFrame :tried="t" :frame="frame" :stamp="others.length > 2 ? '' : stamp" />
            </button>
          </div>
        </div>
        <LightTable v-model:dark="dark" :tried="all" :frame="frame" :stamp="stamp" @look="of.look" />
        <details v-if="card.episode.pictureIdeas?.length" class="mt-4">
          <summary class="cursor-pointer sub">The ideas for the picture</summary>
          <PictureBriefs class="mt-3" :card="card" @take="take" />
        </details>
      </template>
    </div>
    <aside class="grid grid-cols-1 gap-4 content-start">
      <template v-if="large">
        <MeasureTable
          :tried="all"
          :large="large"
          :frame="frame"
          :most="proof.mostBytes(card)"
          @look="of.look"
        />
        <PictureVerdict
          :of="of"
          :tried="large"
          @make="make"
          @box="boxing = true"
          @lighter="lighter(large.picture)"
        />
        <BesideEarlier :card="card" :tried="large" :frame="frame" />
      </template>
      <StepList :card="card" :here="here" />
    </aside>
    <FrameTaker
      v-if="taking"
      :card="card"
      @close="taking = false"
      @take="
        (file) => {
          taking = false
          void take([file])
        }
      "
    />
  </div>
</template>

<style scoped>
.drop {
  display: grid;
  place-content: center;
  justify-items: center;
  gap: 4px;
  min-height: 340px;
  border: 1px dashed var(--ring);
  border-radius: 12px;
  text-align: center;
}
.drop.over {
  border-color: var(--ink);
  background: var(--raised);
}
</style>
