<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { FolderOpen, Pause, Play } from '@lucide/vue'
import type { Cut } from '@core/records'
import { frameAt, timecode } from '@core/edit/frames'
import type { BeatTime } from '@core/edit/times'
import { sayTime } from '@core/script/timecode'
import { useCutFiles } from '@app/stores/cut-files'
import { filesIn } from '@app/ui/fields/event'
import KeySign from '@app/ui/KeySign.vue'
import { cutKeys } from '../keymap'
import type { CutInHand } from './useCut'
import type { Player } from './usePlayer'

/** The cut as it plays: its picture where a file is open, else a clock; and what the script says there. */
const { cut, of, player, title } = defineProps<{
  cut: Cut
  of: CutInHand
  player: Player
  title: string
}>()
const files = useCutFiles()
const file = computed(() => files.open.get(cut.id))
const known = computed(() => files.known.get(cut.id))
const fault = ref('')
watch(
  () => cut.id,
  (id) => void files.look(id),
  { immediate: true },
)
const code = computed(() => timecode(frameAt(player.now.value, of.rate.value), of.rate.value))
const said = computed((): BeatTime | undefined =>
  of.beats.value.findLast((b) => b.from <= player.now.value + 0.05),
)
const sayings = computed(() =>
  player.speed.value === 0 || player.speed.value === 1 ? '' : `${player.speed.value} ×`,
)
function hold(element: unknown) {
  player.hold(element instanceof HTMLMediaElement ? element : null)
}
function take(event: Event) {
  const [first] = filesIn(event)
  if (first) {
    files.play(cut.id, first)
    of.keep({ file: first.name })
  }
}
async function choose() {
  const played = await files.choose(cut.id)
  if (played) of.keep({ file: played.name })
}
async function again() {
  if (!(await files.again(cut.id))) fault.value = 'It is no longer where it was. Choose it anew.'
}
/** What the file says of its length is what holds. */
function loaded() {
  const length = player.media.value?.duration
  fault.value = ''
  if (length !== undefined && Number.isFinite(length) && Math.abs(length - (cut.length ?? 0)) > 0.05)
    of.keep({ length: Math.round(length * 1000) / 1000 })
}
function broken() {
  fault.value = `This browser cannot play “${file.value?.name ?? ''}”. Save it as MP4 or WebM, or go on with the clock.`
}
</script>

<template>
  <section aria-label="The cut" class="grid gap-2 content-start">
    <div class="film relative rounded-card overflow-clip bg-base border border-line">
      <p class="film-edge num text-11 flex justify-between px-10 h-[18px] leading-[18px] text-ink-2">
        <span class="truncate">{{ title }}, cut {{ cut.number }}</span
        ><span data-testid="timecode">{{ code }}</span>
      </p>
      <div class="relative aspect-video grid place-items-center">
        <video
          v-if="file"
          :key="file.url"
          :ref="hold"
          :src="file.url"
          class="absolute inset-0 w-full h-full object-contain"
          :class="file.hasPicture ? '' : 'opacity-0'"
          playsinline
          preload="auto"
          :aria-label="`Cut ${cut.number}`"
          @loadedmetadata="loaded"
          @error="broken"
          @click="player.toggle"
        />
        <p v-if="!file?.hasPicture" class="font-mono text-[44px] leading-none text-ink" aria-hidden="true">
          {{ sayTime(Math.floor(player.now.value)) }}
        </p>
        <p v-if="sayings" class="absolute bottom-2 right-3 num text-14 text-ink">{{ sayings }}</p>
      </div>
      <p class="film-edge h-[12px]" aria-hidden="true" />
    </div>
    <p v-if="fault" role="alert" class="late text-12">{{ fault }}</p>
    <div class="flex items-start gap-3">
      <button
        class="btn px-2.5"
        :aria-label="player.playing.value ? 'Stop' : 'Play'"
        :title="`${cutKeys.lines.play[1]} (${cutKeys.lines.play[0]})`"
        @click="player.toggle"
      >
        <Pause v-if="player.playing.value" :size="16" /><Play v-else :size="16" />
      </button>
      <p class="num text-20 text-ink" data-testid="cut-time">{{ sayTime(Math.floor(player.now.value)) }}</p>
      <p class="sub flex-1 min-w-0 line-clamp-2">
        <template v-if="said">“{{ said.text }}”</template
        ><template v-else
          >of {{ of.length.value === undefined ? 'no length yet' : sayTime(of.length.value) }}</template
        >
      </p>
      <button v-if="known" class="btn btn-small" @click="again">Open {{ known.name }}</button
      ><button v-else-if="files.can()" class="btn btn-small" @click="choose">
        <FolderOpen :size="14" aria-hidden="true" /> {{ file ? 'Another file' : 'Its file' }}</button
      ><label v-else class="btn btn-small relative overflow-hidden"
        ><FolderOpen :size="14" aria-hidden="true" /> {{ file ? 'Another file' : 'Its file'
        }}<input
          type="file"
          accept="video/*,audio/*"
          class="absolute inset-0 opacity-0 cursor-pointer"
          aria-label="The file of this cut"
          @change="take"
      /></label>
    </div>
    <p v-if="cut.address || (cut.file && !file && !known)" class="text-12 truncate">
      <a v-if="cut.address" :href="cut.address" target="_blank" rel="noreferrer noopener">{{
        cut.address
      }}</a><template v-else>It is in {{ cut.file }}.</template>
    </p>
    <p class="sub text-12">
      <KeySign :line="cutKeys.lines.play" /> <KeySign :line="cutKeys.lines.shuttle" />
      <KeySign :line="cutKeys.lines.frame" /> frames.
      {{ file ? 'The file stays where it is.' : 'Without a file a clock runs.' }}
    </p>
  </section>
</template>
