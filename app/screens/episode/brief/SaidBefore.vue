<script setup lang="ts">
import { computed } from 'vue'
import type { Episode } from '@core/records'
import { sayNumber } from '@core/rhythm/numbering'
import type { Card } from '@core/views/card'
import { saidBefore } from '@core/views/looking-back'
import { useCards } from '@app/stores/cards'

/** What was said of the last ones of its kind after they were out. */
const { card } = defineProps<{ card: Card }>()
const cards = useCards()
const said = computed(() =>
  card.episode.phase.kind === 'released' ? [] : saidBefore(cards.released, card.episode),
)
const numberOf = (e: Episode) => sayNumber(card.show, e.number, e.code)
</script>

<template>
  <ul
    v-if="said.length > 0"
    class="border-l-2 border-line pl-3 grid gap-1 text-12"
    aria-label="Said of the last episodes"
  >
    <li v-for="s in said" :key="s.episode.id">
      <span class="num text-ink-2">{{ numberOf(s.episode) }}</span>
      <template v-if="s.said.change"> change: {{ s.said.change }}.</template
      ><template v-if="s.said.well"> Went well: {{ s.said.well }}.</template>
    </li>
  </ul>
</template>
