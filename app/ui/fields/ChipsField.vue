<script setup lang="ts">
import { ref } from 'vue'
import ComboField from './ComboField.vue'

/** Several short things as chips that can be taken away, with a field that adds one, known or new. */
const {
  label,
  add,
  known = [],
} = defineProps<{
  label: string
  /** What the field says that adds one. */
  add: string
  chips: readonly { key: string; text: string; note?: string | undefined }[]
  known?: readonly string[]
  /** What is said of a chip's cross, before its text: "Take the topic". */
  away: string
  width?: string
}>()
const emit = defineEmits<{ add: [text: string]; remove: [key: string] }>()
const fresh = ref('')
function taken() {
  const text = fresh.value.trim()
  fresh.value = ''
  if (text !== '') emit('add', text)
}
</script>

<template>
  <div>
    <p class="label">{{ label }}</p>
    <div class="flex flex-wrap gap-1.5 items-center">
      <span v-for="c in chips" :key="c.key" class="border border-line rounded-control px-2 py-0.5 text-12"
        >{{ c.text }}<span v-if="c.note" class="num ml-1.5">{{ c.note }}</span
        ><button
          class="ml-1.5 text-ink-2"
          :aria-label="`${away} ${c.text} away`"
          @click="emit('remove', c.key)"
        >
          ×
        </button></span
      >
      <ComboField
        v-model="fresh"
        :label="add"
        hidden
        :known="known"
        :placeholder="add"
        :class="width ?? 'w-[120px]'"
        field="quiet-field mx-0 w-full text-12 border-line"
        @take="taken"
        @leave="taken"
      />
    </div>
  </div>
</template>
