<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Like } from '@core/ideas/likeness'
import { monthName } from '@core/rhythm/days'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useReading } from '@app/stores/reading'

/**
 * What fits the line that is being typed: its show, its topics (→ takes the first), and what was made like
 * it.
 */
const { line, show } = defineProps<{ line: string; show: string }>()
const topics = defineModel<string[]>('topics', { required: true })
const emit = defineEmits<{ show: [string] }>()
const cards = useCards()
const moment = useMoment()
const reading = useReading()
const offered = ref<{ show: string; topic: string }[]>([])
const like = ref<Like>()
reading.start()

let asked = 0
watch(
  () => [line, reading.edition] as const,
  ([text]) => {
    const turn = ++asked
    if (text.trim().length < 3) {
      offered.value = []
      like.value = undefined
      return
    }
    setTimeout(() => {
      if (turn !== asked) return
      void Promise.all([reading.guess(text), reading.like(text, '', 1)])
        .then(([guess, likes]) => {
          if (turn !== asked) return
          const best = guess.shows[0]
          if (best && best.sure > 0.75) emit('show', best.show)
          offered.value = guess.topics.filter((t) => t.sure > 0.12)
          like.value = likes[0] && likes[0].likeness > 0.4 ? likes[0] : undefined
        })
        .catch(() => undefined)
    }, 60)
  },
  { immediate: true },
)

const chips = computed(() =>
  offered.value.filter((t) => t.show === show && !topics.value.includes(t.topic)).slice(0, 3),
)
const close = computed(() => {
  const card = like.value && cards.card(like.value.id)
  if (!card) return undefined
  const { phase } = card.episode
  const when =
    phase.kind === 'released'
      ? `released in ${monthName(moment.dayOn(phase.at))}`
      : phase.kind === 'idea'
        ? 'an idea already'
        : phase.kind === 'parked'
          ? 'parked'
          : 'in work'
  return {
    text: `${phase.kind === 'idea' ? `“${card.title}”` : `${card.number} ${card.title}`}, ${when}`,
    sure: (like.value?.likeness ?? 0) >= 0.55,
  }
})
defineExpose({
  takeFirst: (): boolean => {
    const first = chips.value[0]
    if (first) topics.value = [...topics.value, first.topic]
    return first !== undefined
  },
})
</script>

<template>
  <div
    v-if="chips.length > 0 || topics.length > 0"
    class="flex flex-wrap items-center gap-1.5 mb-2"
    role="group"
    aria-label="Topics that fit"
  >
    <button
      v-for="t in topics"
      :key="t"
      type="button"
      class="btn btn-small border-ink bg-raised"
      aria-pressed="true"
      @click="topics = topics.filter((x) => x !== t)"
    >
      {{ t }} ×
    </button>
    <button
      v-for="(t, i) in chips"
      :key="t.topic"
      type="button"
      class="btn btn-small border-dashed"
      aria-pressed="false"
      @click="topics = [...topics, t.topic]"
    >
      {{ t.topic }}<span v-if="i === 0" class="key">→</span>
    </button>
  </div>
  <p v-if="close" class="text-ink-2 mb-2">
    {{ close.sure ? 'You may have made this:' : 'Close to' }} {{ close.text }}
  </p>
</template>
