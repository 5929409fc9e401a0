<script setup lang="ts">
import type { Script } from '@core/records'
import type { Card } from '@core/views/card'
import KeySign from '@app/ui/KeySign.vue'
import { scriptKeys } from '../keymap'
import FactsNoted from './FactsNoted.vue'

/** Beside the script: what in it may change, noted where it is written. */
const { card, script } = defineProps<{ card: Card; script: Script }>()
const emit = defineEmits<{ go: [beat: string]; note: [] }>()
</script>

<template>
  <section aria-labelledby="may-change" class="border-t border-faint pt-3 mb-5 grid gap-1">
    <div class="flex items-baseline gap-2">
      <h2 id="may-change" class="flex-1 text-14 font-medium">May change</h2>
      <button class="btn btn-small" @mousedown.prevent @click="emit('note')">
        Note <KeySign :line="scriptKeys.lines.again" />
      </button>
    </div>
    <p v-if="(card.episode.facts ?? []).length === 0" class="sub">
      A price, a law, a date: what the caret is on is looked at again a year after it is out.
    </p>
    <FactsNoted v-else :episode="card.episode" :script="script" @go="emit('go', $event)" />
  </section>
</template>
