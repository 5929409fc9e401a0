<script setup lang="ts">
import { computed } from 'vue'
import { markedPieces } from '@core/ideas/library-index'

/** A text with the words that a search matched marked. */
const { text, words } = defineProps<{ text: string; words: readonly string[] }>()
const pieces = computed(() => (words.length === 0 ? [{ text, match: false }] : markedPieces(text, words)))
</script>

<template>
  <template v-for="(p, i) in pieces" :key="i"
    ><mark v-if="p.match" class="bg-clear text-ink underline decoration-2 underline-offset-2 font-semibold">{{
      p.text
    }}</mark
    ><template v-else>{{ p.text }}</template></template
  >
</template>
