<script setup lang="ts">
import { computed } from 'vue'
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { MoreHorizontal } from '@lucide/vue'
import { backToIdeas } from '@core/commands/ideas'
import { moveToSlot, pushEpisode, swapEpisodes, takeOff } from '@core/commands/schedule'
import type { Card } from '@core/views/card'
import { useCards } from '@app/stores/cards'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'

/** What else can be done with an episode on the schedule. `behind` is the one after it. */
const { card, behind } = defineProps<{ card: Card; behind: Card | undefined }>()
const library = useLibrary()
const cards = useCards()
const dialogs = useDialogs()
const spare = computed(() => cards.spares.find((c) => c.show.id === card.show.id && c.standing.ready))
function sendSpare() {
  const { place } = card.episode
  if (spare.value && place.kind === 'slot')
    void library.perform(moveToSlot, { episode: spare.value.episode.id, day: place.day })
}
</script>

<template>
  <Menu as="div" class="relative">
    <MenuButton class="btn btn-bare btn-small px-1.5" :aria-label="`More for ${card.title}`"
      ><MoreHorizontal :size="16"
    /></MenuButton>
    <MenuItems class="panel absolute right-0 top-8 z-20 w-[210px] border-line bg-raised p-1 grid">
      <MenuItem v-slot="{ active }"
        ><button
          class="item"
          :class="{ active }"
          @click="dialogs.show({ kind: 'place', episode: card.episode.id })"
        >
          Put on another slot
        </button></MenuItem
      >
      <template v-if="card.episode.place.kind === 'slot'"
        ><MenuItem v-slot="{ active }"
          ><button
            class="item"
            :class="{ active }"
            @click="library.perform(pushEpisode, { episode: card.episode.id })"
          >
            Push one slot later
          </button></MenuItem
        >
        <MenuItem v-if="behind" v-slot="{ active }"
          ><button
            class="item"
            :class="{ active }"
            @click="
              library.perform(swapEpisodes, {
                episode: card.episode.id,
                other: behind.episode.id,
              })
            "
          >
            Swap with {{ behind.number }}
          </button></MenuItem
        >
        <MenuItem v-if="spare" v-slot="{ active }"
          ><button class="item" :class="{ active }" @click="sendSpare">
            Send a spare, push this
          </button></MenuItem
        ></template
      >
      <MenuItem v-slot="{ active }"
        ><button
          class="item"
          :class="{ active }"
          @click="library.perform(takeOff, { episode: card.episode.id })"
        >
          Take off the schedule
        </button></MenuItem
      >
      <MenuItem v-slot="{ active }"
        ><button
          class="item"
          :class="{ active }"
          @click="dialogs.show({ kind: 'park', episode: card.episode.id })"
        >
          Park it…
        </button></MenuItem
      >
      <MenuItem v-slot="{ active }"
        ><button
          class="item"
          :class="{ active }"
          @click="library.perform(backToIdeas, { episode: card.episode.id })"
        >
          Back to Ideas
        </button></MenuItem
      >
    </MenuItems>
  </Menu>
</template>

<style scoped>
.item {
  padding: 6px 10px;
  text-align: left;
  border-radius: 6px;
}
.item.active {
  background: var(--panel);
}
</style>
