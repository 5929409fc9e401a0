<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { useEventListener, useRafFn } from '@vueuse/core'
import { inOrder } from '@core/script/cues'
import type { ReadLine } from '@core/script/reading'
import { sayTime } from '@core/script/timecode'
import { countWords } from '@core/script/timing'

/** Nothing but the words: the beat that is read large at its height, what was and what comes quieter around it. */
const { lines, at, size, height, mirrored, running, speed } = defineProps<{
  lines: readonly ReadLine[]
  at: number
  /** Pixels. */
  size: number
  /** Percent of the window from its top. */
  height: number
  mirrored: boolean
  running: boolean
  /** Words a minute while it scrolls by itself. */
  speed: number
}>()
const emit = defineEmits<{ passed: []; press: [] }>()
const list = ref<HTMLElement>()
const frame = ref<HTMLElement>()
/** How far the beat that is read has gone by while it scrolls, 0 to 1. */
const gone = ref(0)
const base = ref(0)
const own = ref(0)
/** How much smaller a long beat is, so that it stands in the window whole. */
const fit = ref(1)
const smallest = 0.5
async function measure() {
  const here = list.value?.children[at]
  if (!(here instanceof HTMLElement) || !frame.value) return
  const room = frame.value.clientHeight * (1 - height / 100) - 24
  fit.value = 1
  await nextTick()
  // Two rounds: lines break elsewhere when words are smaller.
  for (let i = 0; i < 2 && here.offsetHeight > room && !running; i++) {
    fit.value = Math.max(smallest, fit.value * Math.sqrt(room / here.offsetHeight) * 0.98)
    await nextTick()
  }
  base.value = (frame.value.clientHeight * height) / 100 - here.offsetTop
  own.value = here.offsetHeight
}
watch(
  () => [at, size, height, lines, running],
  async () => {
    gone.value = 0
    await nextTick()
    await measure()
  },
)
onMounted(measure)
useEventListener(window, 'resize', () => {
  void measure()
})
const seconds = computed(() => {
  const line = lines[at]
  return line ? Math.max(0.8, (countWords(line.beat.text) * 60) / speed + 0.8 + line.beat.hold) : 1
})
useRafFn(({ delta }) => {
  if (!running) return
  gone.value += delta / 1000 / seconds.value
  if (gone.value < 1) return
  gone.value = 0
  emit('passed')
})
const offset = computed(() => base.value - gone.value * own.value)
/** A beat’s words, those that cues belong to marked. */
function pieces(line: ReadLine): { text: string; cue: boolean }[] {
  const { text, cues } = line.beat
  const out: { text: string; cue: boolean }[] = []
  let from = 0
  for (const cue of inOrder(cues)) {
    if (cue.from === undefined || cue.to === undefined || cue.from < from) continue
    out.push(
      { text: text.slice(from, cue.from), cue: false },
      { text: text.slice(cue.from, cue.to), cue: true },
    )
    from = cue.to
  }
  return [...out, { text: text.slice(from), cue: false }].filter((p) => p.text !== '')
}
</script>

<template>
  <div ref="frame" class="frame" :class="{ mirrored }" @click="emit('press')">
    <ol
      ref="list"
      class="relative"
      aria-label="Words"
      :style="{ transform: `translateY(${offset}px)`, '--size': `${size}px`, '--here': `${size * fit}px` }"
    >
      <li
        v-for="(line, i) in lines"
        :key="line.beat.id"
        :aria-current="i === at ? 'true' : undefined"
        :class="[line.kind === 'later' ? 'later' : i === at ? 'here' : i < at ? 'gone' : 'coming']"
      >
        <template v-if="line.kind === 'later'">voice-over, {{ sayTime(line.seconds) }}, read later</template>
        <template v-else
          ><span v-for="(p, n) in pieces(line)" :key="n" :class="p.cue ? 'cue' : ''">{{
            p.text
          }}</span></template
        >
      </li>
    </ol>
  </div>
</template>

<style scoped>
.frame {
  position: relative;
  height: 100%;
  overflow: hidden;
  cursor: default;
}
.mirrored {
  transform: scaleX(-1);
}
ol {
  display: grid;
  gap: calc(var(--size) * 0.4);
  padding-bottom: 100vh;
}
li {
  text-wrap: balance;
  white-space: pre-wrap;
  font-weight: 500;
  line-height: 1.24;
  font-size: calc(var(--size) * 0.5);
  color: oklch(0.72 0.015 85);
}
li.here {
  font-size: var(--here);
  color: oklch(0.95 0.012 85);
}
li.gone {
  color: oklch(0.62 0.015 300);
}
li.later {
  font-size: 16px;
  font-weight: 400;
  color: oklch(0.66 0.018 300);
  display: flex;
  align-items: center;
  gap: 12px;
}
li.later::before {
  content: '';
  width: 44px;
  border-top: 2px dashed currentColor;
}
.cue {
  text-decoration: underline;
  text-decoration-thickness: 1px;
  text-underline-offset: 0.18em;
  text-decoration-color: oklch(0.6 0.018 300);
}
</style>
