<script setup lang="ts">
import type { Episode } from '@core/records'
import { useCards } from '@app/stores/cards'
import { useDialogs } from '@app/stores/dialogs'

/** Was parked until after another, which is out now. */
const { episode } = defineProps<{ episode: Episode }>()
const cards = useCards()
const dialogs = useDialogs()
</script>

<template>
  <section
    class="panel px-4 py-3 flex items-center gap-4"
    :aria-label="`${episode.title} can be taken up again`"
  >
    <div class="flex-1 min-w-0">
      <p class="font-semibold truncate">{{ episode.title }}</p>
      <p class="sub truncate">
        was parked until after
        {{ cards.card(episode.phase.kind === 'parked' ? (episode.phase.after ?? '') : '')?.title }}, which is
        out
      </p>
    </div>
    <button class="btn" @click="dialogs.show({ kind: 'place', episode: episode.id })">Put on a slot</button>
  </section>
</template>
