<script setup lang="ts">
import { computed } from 'vue'
import { markTold } from '@core/commands/ideas'
import type { Episode } from '@core/records'
import { useCards } from '@app/stores/cards'
import { useLibrary } from '@app/stores/library'

/** Who of the audience wanted to be told that an episode is out, with a message to copy. */
const { episode } = defineProps<{ episode: Episode }>()
const library = useLibrary()
const cards = useCards()
const card = computed(() => cards.cardOf(episode))
const untold = computed(() =>
  episode.idea.asked.filter((a) => a.tell && a.mail !== '' && a.told === undefined),
)
const message = computed(
  () =>
    `You asked for it, and it is out: “${card.value?.title ?? episode.title}”${card.value ? `, ${card.value.show.title} ${card.value.number}` : ''}. Thank you for asking.`,
)
async function copy(text: string) {
  await navigator.clipboard.writeText(text)
  library.say('Copied.')
}
</script>

<template>
  <section
    v-if="untold.length > 0"
    class="panel p-4 grid gap-2"
    :aria-label="`Who wanted to be told of ${episode.title}`"
  >
    <p>
      <strong>{{ untold.length === 1 ? 'One person' : `${untold.length} people` }} wanted to be told</strong>
      that {{ card?.number }} {{ card?.title }} is out.
    </p>
    <ul class="grid gap-1 text-12">
      <li v-for="a in untold" :key="a.id">
        {{ a.name || 'no name' }} <span class="text-ink-2">{{ a.mail }}</span>
      </li>
    </ul>
    <p class="border-l-2 border-line pl-3 text-12">{{ message }}</p>
    <p class="flex flex-wrap gap-2">
      <button class="btn btn-small" @click="copy(message)">Copy the message</button
      ><button class="btn btn-small" @click="copy(untold.map((a) => a.mail).join(', '))">
        Copy the addresses</button
      ><button
        class="btn btn-small"
        @click="library.perform(markTold, { episode: episode.id, asked: untold.map((a) => a.id) })"
      >
        They have been told
      </button>
    </p>
  </section>
</template>
