<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { Spoken } from '@core/records'
import { readTime, sayTime } from '@core/script/timecode'
import { typedIn } from '@app/ui/fields/event'

/** How a script or one of its sections is spoken: in full words, from points, or freely for so long. */
const { spoken, lasts, name, whole } = defineProps<{
  spoken: Spoken | undefined
  lasts: number | undefined
  name: string
  /** The script as a whole: there is nothing above it that it could follow. */
  whole?: boolean
}>()
const emit = defineEmits<{ speak: [spoken: Spoken | undefined]; last: [seconds: number | undefined] }>()
const names: Record<Spoken, string> = { words: 'full words', points: 'points', free: 'freely' }
const shown = computed(() => (lasts === undefined ? '' : sayTime(lasts)))
const text = ref(shown.value)
const fault = ref('')
watch(shown, (now) => {
  text.value = now
})
function speak(event: Event) {
  const read = Spoken.safeParse(typedIn(event))
  emit('speak', read.success ? read.data : undefined)
}
function last(event: Event) {
  text.value = typedIn(event)
  if (text.value.trim() === '') {
    fault.value = ''
    emit('last', undefined)
    return
  }
  const read = readTime(text.value)
  fault.value = read.ok ? '' : read.problem.sentence
  if (read.ok) emit('last', read.value)
}
</script>

<template>
  <span class="inline-flex items-center gap-1.5 text-12 text-ink-2">
    <select
      class="bg-transparent"
      :value="spoken ?? (whole ? 'words' : '')"
      :aria-label="`How ${name} is spoken`"
      @change="speak"
    >
      <option v-if="!whole" value="">as the script</option>
      <option v-for="(said, kind) in names" :key="kind" :value="kind">{{ said }}</option>
    </select>
    <input
      v-if="spoken === 'free'"
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
