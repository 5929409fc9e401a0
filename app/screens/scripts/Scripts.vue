<script setup lang="ts">
import { computed } from 'vue'
import { scriptStands } from '@core/commands/episode'
import { ScriptStand } from '@core/records'
import { scriptDesk } from '@core/views/script-desk'
import { useCards } from '@app/stores/cards'
import DeskCard from './parts/DeskCard.vue'

/** The scripts of what is in work, side by side by how far they are; the one in hand first. */
const cards = useCards()
const desk = computed(() => scriptDesk(cards.withWork))
const empty: Readonly<Record<ScriptStand, string>> = {
  writing: 'Nothing is being written. Start an idea, and its script stands here.',
  'copy-edit': 'Pass a script on to copy-edit beside its running time.',
  ready: 'What has passed copy-edit waits here to be filmed.',
}
const names: Readonly<Record<ScriptStand, string>> = {
  writing: 'Being written',
  'copy-edit': 'At copy-edit',
  ready: scriptStands.ready.charAt(0).toUpperCase() + scriptStands.ready.slice(1),
}
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-5 py-4 max-sm:px-3">
    <h1 class="mb-4">Scripts</h1>
    <div class="grid grid-cols-1 gap-5 md:grid-cols-3">
      <section v-for="s in ScriptStand.options" :key="s" :aria-labelledby="`desk-${s}`">
        <h2 :id="`desk-${s}`" class="mb-2">
          {{ names[s] }} <span class="num">{{ desk[s].length }}</span>
        </h2>
        <p v-if="desk[s].length === 0" class="sub">{{ empty[s] }}</p>
        <ul class="grid gap-2">
          <li v-for="d in desk[s]" :key="d.card.episode.id"><DeskCard :of="d" /></li>
        </ul>
      </section>
    </div>
  </div>
</template>
