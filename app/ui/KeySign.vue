<script setup lang="ts">
import { computed } from 'vue'
import { chordsIn, shownKeys, type KeyLine } from './keymap'

/** The keys of a line of a keymap, or one of them, as a sign beside what they do. */
const { line, which } = defineProps<{ line: KeyLine; which?: number }>()
const shown = computed(() => shownKeys(which === undefined ? line : [chordsIn(line)[which] ?? '', '']))
</script>

<template>
  <span class="key">{{ shown }}</span>
</template>
