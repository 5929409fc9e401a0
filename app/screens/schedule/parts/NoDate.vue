<script setup lang="ts">
import { computed } from 'vue'
import { sixLamps } from '@core/recipe/progress'
import { useForms } from '@app/stores/forms'
import { useCards } from '@app/stores/cards'
import { useDialogs } from '@app/stores/dialogs'
import { vCarries } from '@app/ui/drag/carry'
import Glyph from '@app/ui/Glyph.vue'
import { carriedEpisode } from '../carried'

/** What has no date, to be dragged onto one. */
const cards = useCards()
const dialogs = useDialogs()
const forms = useForms()
const tray = computed(() => [...cards.unplaced, ...cards.spares].filter((c) => forms.isShown(c.episode)))
</script>

<template>
  <aside class="panel p-3 grid grid-cols-1 gap-2 sticky top-4 min-w-0" aria-label="Not on the schedule">
    <h2>Without a date</h2>
    <ul class="grid grid-cols-1 gap-1.5">
      <li v-for="c in tray" :key="c.episode.id" class="min-w-0">
        <button
          v-carries="carriedEpisode(c)"
          class="rel w-full"
          @click="dialogs.show({ kind: 'place', episode: c.episode.id })"
        >
          <Glyph :size="20" :lamps="sixLamps(c.standing)" :name="c.title" class="flex-none" /><span
            class="truncate"
            >{{ c.title }}</span
          >
        </button>
      </li>
    </ul>
    <p v-if="tray.length === 0" class="sub">Nothing here is without a date.</p>
    <p class="sub">Drag one onto a day. On a day without a slot it goes out as a one-off.</p>
  </aside>
</template>
