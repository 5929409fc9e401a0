<script setup lang="ts">
import { computed } from 'vue'
import { choosePictureIdea, chosenPictureIdea } from '@core/commands/episode'
import type { Picture } from '@core/records'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { usePictures } from '@app/stores/pictures'

/** The ideas from the brief that a picture is to be made of: the chosen one first. */
const { card } = defineProps<{ card: Card }>()
const emit = defineEmits<{ take: [files: File[]] }>()
const library = useLibrary()
const pictures = usePictures()
const ideas = computed(() => {
  const chosen = chosenPictureIdea(card.episode)
  return [
    ...(chosen ? [{ ...chosen, id: 'chosen' }] : []),
    ...(card.episode.pictureIdeas ?? []).filter(
      (p) => p.idea.trim() !== '' || p.words.trim() !== '' || p.sketch,
    ),
  ]
})
async function take(sketch: Picture) {
  const file = await library.file(sketch.id)
  if (file) emit('take', [new File([new Uint8Array(file.bytes)], sketch.name, { type: file.type })])
}
</script>

<template>
  <ul v-if="ideas.length > 0" class="grid gap-2 mb-3 sm:grid-cols-2" aria-label="Ideas for the picture">
    <li
      v-for="p in ideas"
      :key="p.id"
      class="flex gap-2.5 items-start border-l-2 pl-3"
      :class="p.id === 'chosen' ? 'border-ink' : 'border-line'"
    >
      <img
        v-if="p.sketch && pictures.url(p.sketch.id)"
        :src="pictures.url(p.sketch.id)"
        :alt="`Sketch ${p.sketch.name}`"
        class="w-[84px] rounded-control border border-line"
      />
      <p class="flex-1 min-w-0">
        <strong v-if="p.words" class="font-semibold">{{ p.words }}</strong><span class="block sub">{{
          p.idea
        }}</span>
      </p>
      <button v-if="p.sketch" class="btn btn-small" @click="take(p.sketch)">Take as a candidate</button>
      <span v-if="p.id === 'chosen'" class="sub">chosen</span
      ><button
        v-else
        class="btn btn-small"
        :aria-label="`Choose ${p.words || p.idea}`"
        @click="library.perform(choosePictureIdea, { episode: card.episode.id, idea: p.id })"
      >
        Choose
      </button>
    </li>
  </ul>
</template>
