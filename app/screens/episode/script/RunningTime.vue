<script setup lang="ts">
import { computed, toRef } from 'vue'
import { refThrottled } from '@vueuse/core'
import type { Script, Show } from '@core/records'
import { sayTime } from '@core/script/timecode'
import { scriptFigures } from '@core/script/timing'
import { shotsToGet } from '@core/script/to-camera'
import { spineOf } from '@core/views/spine'
import Flag from '@app/ui/Flag.vue'
import ScriptSpine from './ScriptSpine.vue'

/** How long the script runs, as a whole and by section, drawn and in figures. */
const { script, show, here } = defineProps<{
  script: Script
  show: Pick<Show, 'pace' | 'aim' | 'kind'>
  /** The section in which the caret stands. */
  here: string | undefined
}>()
const emit = defineEmits<{ go: [section: string]; beat: [beat: string]; move: [from: number, to: number] }>()
const figures = computed(() => scriptFigures(script, show.pace))
// Figures follow every letter; the drawing, of hundreds of bars, follows a moment later.
const drawn = refThrottled(
  toRef(() => script),
  250,
)
const shots = computed(() => shotsToGet(script, show))
const spine = computed(() => spineOf(drawn.value, show.pace, 360))
const aim = computed(() => show.aim)
const over = computed(() => figures.value.seconds - aim.value.to * 60)
const short = computed(() => aim.value.from * 60 - figures.value.seconds)
const said = computed(() =>
  short.value > 0
    ? `${sayTime(short.value)} short`
    : over.value > 0
      ? `${sayTime(over.value)} over`
      : 'inside it',
)
/** Words a minute of what is spoken, within so many seconds. */
const paceIn = (seconds: number) => {
  const spoken = seconds - figures.value.holds
  return spoken > 0 && figures.value.words > 0 ? Math.round((figures.value.words * 60) / spoken) : undefined
}
const pace = computed(() => paceIn(figures.value.seconds))
/** The words a minute at which it would still end inside the aim. */
const needed = computed(() => (over.value > 0 ? paceIn(aim.value.to * 60) : undefined))
</script>

<template>
  <div>
    <div class="flex items-baseline justify-between">
      <h2 class="font-sans font-normal text-14 text-ink-2">Running time</h2>
      <strong class="num text-20 text-ink" data-testid="running-time">{{ sayTime(figures.seconds) }}</strong>
    </div>
    <p class="sub flex justify-between mb-3">
      <span>aim {{ aim.from }} to {{ aim.to }} min</span><span><Flag v-if="over > 0" />{{ said }}</span>
    </p>
    <ScriptSpine
      :spine="spine"
      :here="here"
      :pictured="show.kind === 'video'"
      @go="emit('go', $event)"
      @beat="emit('beat', $event)"
      @move="(from, to) => emit('move', from, to)"
    />
    <dl class="figures grid grid-cols-[1fr_auto] gap-y-1 text-12 text-ink-2 border-t border-faint pt-3 mb-4">
      <template v-if="spine.bare && show.kind === 'video'">
        <dt>Nothing to look at for</dt>
        <dd class="num">{{ sayTime(spine.bare.seconds) }}</dd></template
      >
      <dt>To camera</dt>
      <dd class="num">{{ sayTime(figures.delivery.camera) }}</dd>
      <dt>Voice-over</dt>
      <dd class="num">{{ sayTime(figures.delivery.voice) }}</dd>
      <dt>Words</dt>
      <dd class="num">{{ figures.words }}</dd>
      <template v-if="pace !== undefined">
        <dt>Words a minute</dt>
        <dd class="num"><Flag v-if="over > 0" />{{ pace }}</dd>
        <template v-if="needed !== undefined">
          <dt>To end inside the aim</dt>
          <dd class="num">{{ needed }}</dd></template
        ></template
      >
      <dt>Beats with a picture</dt>
      <dd class="num">{{ figures.covered }} of {{ figures.beats }}</dd>
      <dt>Shots got</dt>
      <dd class="num">{{ shots.got }} of {{ shots.needed }}</dd>
    </dl>
  </div>
</template>

<style scoped>
.figures dd {
  text-align: right;
}
</style>
