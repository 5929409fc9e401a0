<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import { useRouter } from 'vue-router'
import { noteRemark } from '@core/commands/episode'
import { numberedCues } from '@core/script/cues'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { useKeymap } from '@app/ui/keymap'
import KeySign from '@app/ui/KeySign.vue'
import { stageWith } from '../../episode/mend'
import { readerKeys } from '../keymap'
import { stepped, useReaderChoices } from '../useReaderChoices'
import { useReading } from '../useReading'
import ReaderSections from './ReaderSections.vue'
import ReaderTakes from './ReaderTakes.vue'
import ReaderWords from './ReaderWords.vue'

const { card, follows } = defineProps<{
  card: Card
  /** It is a second window: nothing but the words. */
  follows: boolean
}>()
const library = useLibrary()
const router = useRouter()
const { size, speed, height, mirrored, mode } = useReaderChoices(card.show.pace.camera)
const reading = useReading(() => card, mode, follows)
const cues = computed(() =>
  numberedCues(card.script).filter((c) => c.beat.id === reading.line.value?.beat.id),
)
const remark = ref<string>()
const field = useTemplateRef<HTMLInputElement>('field')
async function noteIt() {
  remark.value = ''
  await nextTick()
  field.value?.focus()
}
async function keep() {
  const text = remark.value ?? ''
  remark.value = undefined
  const beat = reading.line.value?.beat.id
  if (text.trim() !== '' && beat !== undefined)
    await library.perform(noteRemark, { episode: card.episode.id, beat, text }, 'quietly')
}
const secondWindow = () =>
  window.open(`/read/${card.episode.code}?follow`, '_blank', 'popup,width=960,height=600')
function leave() {
  if (follows) window.close()
  else
    void router.push({
      name: 'episode',
      params: { code: card.episode.code, stage: stageWith(card, 'script') },
    })
}
useKeymap(readerKeys, {
  next: reading.next,
  back: reading.back,
  again: reading.again,
  run: reading.run,
  remark: noteIt,
  leave,
  second: secondWindow,
  smaller: () => (size.value = stepped('size', size.value, -4)),
  larger: () => (size.value = stepped('size', size.value, 4)),
  slower: () => (speed.value = stepped('speed', speed.value, -5)),
  faster: () => (speed.value = stepped('speed', speed.value, 5)),
  higher: () => (height.value = stepped('height', height.value, -4)),
  lower: () => (height.value = stepped('height', height.value, 4)),
  mirror: () => (mirrored.value = !mirrored.value),
  mode: () => (mode.value = mode.value === 'camera' ? 'all' : 'camera'),
})
const keys = readerKeys.lines
</script>

<template>
  <div class="stand" :class="{ follows }">
    <aside v-if="!follows" class="side p-8 pr-0" aria-label="Sections and pace">
      <h1 class="text-16 leading-5 mb-1">
        <span class="num">{{ card.number }}</span> {{ card.title }}
      </h1>
      <p class="sub mb-4">
        {{ mode === 'camera' ? 'To camera' : 'Everything' }}, {{ reading.got.value.got }} of
        {{ reading.got.value.of }} sections got
      </p>
      <ReaderSections
        :sections="card.script?.sections ?? []"
        :lines="reading.lines.value"
        :here="reading.line.value?.section"
        :pacing="reading.pacing.value"
        :aim="card.show.aim"
        @go="reading.goTo"
      />
    </aside>
    <h1 v-else class="sr-only">{{ card.title }}</h1>
    <ReaderWords
      class="px-10 max-lg:px-5"
      :lines="reading.lines.value"
      :at="reading.at.value"
      :size="size"
      :height="height"
      :mirrored="mirrored"
      :running="reading.running.value"
      :speed="speed"
      @passed="reading.next"
      @press="reading.next"
    />
    <aside v-if="!follows" class="beside p-8 pl-0 overflow-y-auto" aria-label="Cues and takes">
      <ReaderTakes :episode="card.episode.id" :section="reading.section.value" :cues="cues" />
    </aside>
    <p
      v-if="reading.lines.value.length === 0"
      class="absolute inset-0 grid place-content-center text-center p-6"
    >
      There are no words to read yet. Write the script first, then come back.
    </p>
    <form v-if="remark !== undefined" class="remark" @submit.prevent="keep">
      <input
        ref="field"
        v-model="remark"
        class="field"
        placeholder="What the edit should know, then Enter"
        aria-label="Remark for the edit"
        @keydown.esc.stop.prevent="remark = undefined"
      />
    </form>
    <footer v-if="!follows" class="foot keys">
      <span><KeySign :line="keys.next" :which="0" /> got it, next</span
      ><span><KeySign :line="keys.again" /> again</span
      ><span><KeySign :line="keys.remark" /> for the edit</span><span class="flex-1" /><span
        ><KeySign :line="keys.smaller" /> <KeySign :line="keys.larger" :which="0" /> size {{ size }}</span
      ><span><KeySign :line="keys.slower" /> <KeySign :line="keys.faster" /> {{ speed }} words a minute</span
      ><span><KeySign :line="keys.run" /> {{ reading.running.value ? 'stop' : 'scroll' }}</span
      ><span><KeySign :line="keys.mode" /> {{ mode === 'camera' ? 'everything' : 'to camera' }}</span
      ><span><KeySign :line="keys.mirror" /> {{ mirrored ? 'mirrored' : 'mirror' }}</span
      ><span><KeySign :line="keys.leave" /> leave</span>
    </footer>
    <footer v-if="!follows" class="foot buttons">
      <button class="btn" @click="reading.back">Back</button
      ><button class="btn" @click="reading.again">Again</button
      ><button class="btn" @click="reading.run">{{ reading.running.value ? 'Stop' : 'Scroll' }}</button
      ><button class="btn btn-main" @click="reading.next">Next</button
      ><button class="btn btn-bare px-2" @click="leave">Leave</button>
    </footer>
  </div>
</template>

<style scoped>
.stand {
  display: grid;
  grid-template: minmax(0, 1fr) auto / 260px minmax(0, 1fr) 230px;
  height: 100dvh;
}
.stand.follows {
  grid-template: minmax(0, 1fr) / minmax(0, 1fr);
}
.side {
  min-height: 0;
  display: flex;
  flex-direction: column;
}
.side > :last-child {
  flex: 1;
  min-height: 0;
}
.foot {
  grid-column: 1 / -1;
  align-items: center;
  gap: 18px;
  padding: 10px 32px 12px;
  border-top: 1px solid var(--faint);
  font-size: 12.5px;
  color: var(--ink-2);
  display: flex;
}
.remark {
  position: absolute;
  left: 50%;
  bottom: 64px;
  width: min(560px, 90vw);
  transform: translateX(-50%);
}
.buttons {
  display: none;
}
@media (max-width: 1023px) {
  .keys,
  .side,
  .beside {
    display: none;
  }
  .buttons {
    display: flex;
    justify-content: space-between;
  }
  .stand {
    grid-template: minmax(0, 1fr) auto / minmax(0, 1fr);
  }
  .foot {
    gap: 6px;
    padding: 8px 12px;
  }
}
</style>
