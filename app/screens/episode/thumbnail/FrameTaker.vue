<script setup lang="ts">
import { computed, ref, useTemplateRef, watch } from 'vue'
import { ChevronLeft, ChevronRight } from '@lucide/vue'
import { frameAt, secondsAt, usualRate } from '@core/edit/frames'
import { cutsOf } from '@core/edit/rounds'
import { sayTime } from '@core/script/timecode'
import type { Card } from '@core/views/card'
import { useCutFiles } from '@app/stores/cut-files'
import { useLibrary } from '@app/stores/library'
import { filesIn } from '@app/ui/fields/event'
import Sheet from '@app/ui/Sheet.vue'

/** Takes a frame from the last cut as it plays, in full size, as a candidate. */
const { card } = defineProps<{ card: Card }>()
const emit = defineEmits<{ take: [file: File]; close: [] }>()
const library = useLibrary()
const files = useCutFiles()
const video = useTemplateRef<HTMLVideoElement>('video')
const ready = ref(false)
const fault = ref('')
const cut = computed(() => cutsOf(library.tables, card.episode.id).at(-1))
const key = computed(() => cut.value?.id ?? `${card.episode.id} frames`)
const file = computed(() => files.open.get(key.value))
watch(key, (of) => void files.look(of), { immediate: true })
const rate = computed(() => card.show.frames ?? usualRate)

function open(event: Event) {
  const [first] = filesIn(event)
  if (first) files.play(key.value, first)
}
async function choose() {
  if (files.known.has(key.value)) {
    if (!(await files.again(key.value))) fault.value = 'It is no longer where it was. Choose it anew.'
  } else await files.choose(key.value)
}
function step(by: -1 | 1) {
  const of = video.value
  if (!of) return
  of.pause()
  of.currentTime = secondsAt(Math.max(0, frameAt(of.currentTime, rate.value) + by), rate.value) + 0.001
}
async function take() {
  const of = video.value
  if (!of || of.videoWidth === 0) return
  const canvas = document.createElement('canvas')
  canvas.width = of.videoWidth
  canvas.height = of.videoHeight
  canvas.getContext('2d')?.drawImage(of, 0, 0)
  const blob = await new Promise<Blob | null>((done) => {
    canvas.toBlob(done, 'image/jpeg', 0.95)
  })
  if (blob) emit('take', new File([blob], `frame ${sayTime(of.currentTime)}.jpg`, { type: 'image/jpeg' }))
}
</script>

<template>
  <Sheet :open="true" wide title="Take a frame from the cut" @close="emit('close')">
    <p v-if="fault" role="alert" class="late mb-2">{{ fault }}</p>
    <template v-if="file">
      <video
        ref="video"
        :src="file.url"
        controls
        playsinline
        preload="auto"
        class="w-full rounded-[4px] bg-base"
        :aria-label="file.name"
        @loadeddata="ready = true"
        @error="fault = `This browser cannot play “${file.name}”. Save the cut as MP4 or WebM.`"
      />
      <div class="flex flex-wrap items-center gap-2 mt-3">
        <button class="btn px-2" aria-label="A frame back" @click="step(-1)">
          <ChevronLeft :size="16" /></button
        ><button class="btn px-2" aria-label="A frame on" @click="step(1)">
          <ChevronRight :size="16" />
        </button>
        <span class="flex-1" />
        <button class="btn btn-main" :disabled="!ready" @click="take">Take this frame</button>
      </div>
      <p class="sub mt-2">It is taken in the film’s own size; the file stays where it is.</p>
    </template>
    <template v-else>
      <p class="mb-3">
        {{
          cut
            ? `Cut ${cut.number} plays from its file on this machine.`
            : 'No cut has come yet: any film on this machine will do.'
        }}
      </p>
      <button v-if="files.known.has(key) || files.can()" class="btn btn-main" @click="choose">
        {{ files.known.has(key) ? 'Open its file' : 'Choose its file' }}</button><label
        v-else
        class="btn btn-main relative overflow-hidden"
        >Choose its file<input
          type="file"
          accept="video/*"
          class="absolute inset-0 opacity-0 cursor-pointer"
          aria-label="The film to take a frame from"
          @change="open"
      /></label>
    </template>
  </Sheet>
</template>
