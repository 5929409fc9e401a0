<script setup lang="ts">
import { computed } from 'vue'
import { spokenIn } from '@core/script/spoken'
import { sayTime } from '@core/script/timecode'
import { beatSeconds, scriptFigures } from '@core/script/timing'
import type { Card } from '@core/views/card'
import Flag from '@app/ui/Flag.vue'

/** How long the script runs, by section and as a whole, and what is covered. */
const { card } = defineProps<{ card: Card }>()
const emit = defineEmits<{ go: [string] }>()
const script = computed(() => card.script)
const pace = computed(() => card.show.pace)
const spoken = (id: string) => spokenIn(script.value, script.value?.sections.find((x) => x.id === id) ?? {})
const figures = computed(() => scriptFigures(script.value, pace.value))
const aim = computed(() => card.show.aim)
const againstAim = computed(() =>
  figures.value.seconds < aim.value.from * 60
    ? `${sayTime(aim.value.from * 60 - figures.value.seconds)} short of`
    : figures.value.seconds > aim.value.to * 60
      ? `${sayTime(figures.value.seconds - aim.value.to * 60)} over`
      : 'within',
)
</script>

<template>
  <div>
    <div class="flex items-baseline justify-between">
      <h2 class="font-sans font-normal text-14 text-ink-2">Running time</h2>
      <strong class="num text-20 text-ink" data-testid="running-time">{{ sayTime(figures.seconds) }}</strong>
    </div>
    <p class="sub mb-4">
      <Flag v-if="figures.seconds > aim.to * 60" />{{ againstAim }} the aim of {{ aim.from }} to
      {{ aim.to }} min
    </p>
    <ol class="grid gap-px mb-4">
      <li v-for="s in figures.sections" :key="s.id">
        <button
          class="flex w-full gap-2.5 text-left py-0.5 rounded-control hover:bg-raised"
          @click="emit('go', s.id)"
        >
          <span class="w-[9px] flex-none flex flex-col gap-px" aria-hidden="true"
            ><span
              v-for="b in script?.sections.find((x) => x.id === s.id)?.beats"
              :key="b.id"
              class="block w-full rounded-[1px]"
              :class="
                b.text === ''
                  ? 'border border-dashed border-ring'
                  : b.delivery === 'camera'
                    ? 'bg-ink-3'
                    : 'bar-voice'
              "
              :style="{ height: `${Math.max(4, beatSeconds(b, pace, spoken(s.id)) / 4)}px` }" /></span
          ><span class="flex-1 min-w-0 text-12 truncate" :class="s.seconds === 0 ? 'text-ink-2' : ''">{{
            s.title
          }}</span
          ><span class="num">{{ sayTime(s.seconds) }}</span>
        </button>
      </li>
    </ol>
    <dl class="figures grid grid-cols-[1fr_auto] gap-y-1 text-12 text-ink-2 border-t border-faint pt-3 mb-4">
      <dt>To camera</dt>
      <dd class="num">{{ sayTime(figures.delivery.camera) }}</dd>
      <dt>Voice-over</dt>
      <dd class="num">{{ sayTime(figures.delivery.voice) }}</dd>
      <dt>Words</dt>
      <dd class="num">{{ figures.words }}</dd>
      <dt>Beats with a picture</dt>
      <dd class="num">{{ figures.covered }} of {{ figures.beats }}</dd>
      <dt>Shots got</dt>
      <dd class="num">{{ figures.shots.got }} of {{ figures.shots.needed }}</dd>
    </dl>
  </div>
</template>

<style scoped>
.figures dd {
  text-align: right;
}
.bar-voice {
  background: repeating-linear-gradient(to bottom, var(--ink-3) 0 3px, transparent 3px 5px);
}
</style>
