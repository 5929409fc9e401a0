<script setup lang="ts">
import { ref, useTemplateRef } from 'vue'
import type { SessionKind } from '@core/records'

/** A line that is written while filming goes on: Enter keeps it, Escape lets it go. */
const { what, kind } = defineProps<{ what: 'remark' | 'add'; kind: SessionKind }>()
const emit = defineEmits<{ said: [text: string] }>()
const text = ref('')
const field = useTemplateRef<HTMLInputElement>('field')
const label = what === 'remark' ? 'For the edit' : kind === 'record' ? 'Also to ask' : 'Also to film'
defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <label class="block mb-3"
    ><span class="label">{{ label }}</span
    ><input
      ref="field"
      v-model="text"
      class="field"
      @keydown.enter.prevent="emit('said', text)"
      @keydown.esc.stop="emit('said', '')"
  /></label>
</template>
