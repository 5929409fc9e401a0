<script setup lang="ts">
import { ref } from 'vue'
import { Check, Copy } from '@lucide/vue'
import { useLibrary } from '@app/stores/library'

/** Copies a text, and says for a moment that it did. There is nothing to copy where it is blank. */
const { text } = defineProps<{ text: string }>()
const library = useLibrary()
const copied = ref(false)
async function copy() {
  try {
    await navigator.clipboard.writeText(text)
    copied.value = true
    setTimeout(() => {
      copied.value = false
    }, 2500)
  } catch {
    library.say('The browser did not allow copying. Mark the text and press Ctrl C.', 'refused')
  }
}
</script>

<template>
  <button class="btn btn-small" :disabled="text === ''" @click="copy">
    <component :is="copied ? Check : Copy" :size="13" /> {{ copied ? 'Copied' : 'Copy' }}
  </button>
</template>
