<script setup lang="ts">
import { ref, watch } from 'vue'
import { mergeIdeas } from '@core/commands/ideas'
import { likelySame, type Like } from '@core/ideas/likeness'
import { type Episode } from '@core/records'
import { useCards } from '@app/stores/cards'
import { useLibrary } from '@app/stores/library'
import { useReading } from '@app/stores/reading'

/** What was made or kept already and comes close to an idea. */
const { episode } = defineProps<{ episode: Episode }>()
const library = useLibrary()
const cards = useCards()
const reading = useReading()
const likes = ref<Like[]>([])
let turn = 0
watch(
  () => [episode.title, episode.note, reading.edition],
  () => {
    const mine = ++turn
    const e = episode
    setTimeout(() => {
      if (mine === turn)
        void reading
          .like(e.title, `${e.note} ${e.idea.premise}`, 5, [e.id])
          .then((l) => {
            if (mine === turn) likes.value = l.filter((x) => x.likeness > 0.12)
          })
          .catch(() => undefined)
    }, 150)
  },
  { immediate: true },
)
</script>

<template>
  <section class="panel p-4" aria-labelledby="likes">
    <h2 id="likes" class="mb-2">
      {{ (likes[0]?.likeness ?? 0) >= likelySame ? 'You may have made this already' : 'Closest to it' }}
    </h2>
    <ul class="grid gap-2">
      <li v-for="l in likes" :key="l.id" class="text-12">
        <RouterLink
          :to="{
            name: cards.card(l.id)?.episode.phase.kind === 'idea' ? 'idea' : 'episode',
            params: { code: cards.card(l.id)?.episode.code },
          }"
          class="font-medium text-14"
          >{{ cards.card(l.id)?.number }} {{ cards.card(l.id)?.title }}</RouterLink
        ><span class="block text-ink-2">{{ l.words.join(', ') }}</span
        ><button
          v-if="episode.phase.kind === 'idea' && l.likeness > 0.4"
          class="btn btn-small mt-1"
          @click="library.perform(mergeIdeas, { into: l.id, from: episode.id })"
        >
          Merge into it
        </button>
      </li>
    </ul>
    <p v-if="likes.length === 0" class="sub">Nothing made or kept comes close.</p>
  </section>
</template>
