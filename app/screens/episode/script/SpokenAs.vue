<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { ScriptWish } from '@core/commands/episode'
import { Spoken, type Script, type Section } from '@core/records'
import { readTime, sayTime } from '@core/script/timecode'
import { typedIn } from '@app/ui/fields/event'

/** How a script or one of its sections is spoken: in full words, from points, or freely for so long. */
const { script, section } = defineProps<{ script: Script | undefined; section?: Section }>()
const emit = defineEmits<{ act: [wish: ScriptWish] }>()
const of = computed(() => (section ?? script)?.spoken)
const name = computed(() => (section ? `“${section.title}”` : 'the script'))
const names: Record<Spoken, string> = { words: 'full words', points: 'points', free: 'freely' }
const lasts = computed(() => (section ?? script)?.lasts)
const isFree = computed(() => (of.value ?? (section ? undefined : 'words')) === 'free')
const shown = computed(() => (lasts.value === undefined ? '' : sayTime(lasts.value)))
const text = ref(shown.value)
const fault = ref('')
watch(shown, (now) => {
  text.value = now
})
function speak(event: Event) {
  const read = Spoken.safeParse(typedIn(event))
  emit('act', { kind: 'speak', section: section?.id, spoken: read.success ? read.data : undefined })
}
function last(event: Event) {
  text.value = typedIn(event)
  if (text.value.trim() === '') {
    fault.value = ''
    emit('act', { kind: 'last', section: section?.id, seconds: undefined })
    return
  }
  const read = readTime(text.value)
  fault.value = read.ok ? '' : read.problem.sentence
  if (read.ok) emit('act', { kind: 'last', section: section?.id, seconds: read.value })
}
</script>

<template>
  <span class="inline-flex items-center gap-1.5 text-12 text-ink-2">
    <select
      class="bg-transparent"
      :value="of ?? (section ? '' : 'words')"
      :aria-label="`How ${name} is spoken`"
      @change="speak"
    >
      <option v-if="section" value="">as the script</option>
      <option v-for="(said, kind) in names" :key="kind" :value="kind">{{ said }}</option>
    </select>
    <input
      v-if="isFree"
      class="field num w-[72px]"
      :value="text"
      placeholder="m:ss"
      :aria-label="`How long ${name} lasts`"
      :aria-invalid="fault !== ''"
      :title="fault"
      @change="last"
    /><span v-if="fault" role="alert" class="late">{{ fault }}</span>
  </span>
</template>
