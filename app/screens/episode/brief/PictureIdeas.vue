<script setup lang="ts">
import { computed } from 'vue'
import { Plus } from '@lucide/vue'
import type { FileRecord } from '@core/commands/change'
import type { Brief, PictureIdea } from '@core/records'
import type { Card } from '@core/views/card'
import { useWriting } from '../writing'
import PictureIdeaFields from './PictureIdeaFields.vue'

/** Ideas for the picture: the chosen one first, the others below it. */
const { card } = defineProps<{ card: Card }>()
const write = useWriting(() => card)
const brief = computed(() => card.episode.brief)
const others = computed(() => card.episode.pictureIdeas ?? [])
const chosen = computed(() => ({
  idea: brief.value.pictureIdea,
  words: brief.value.pictureWords,
  ...(brief.value.pictureSketch ? { sketch: brief.value.pictureSketch } : {}),
}))
function put(change: Partial<Omit<PictureIdea, 'id'>>, what: string, files?: FileRecord[]) {
  const fields: Partial<Brief> = {
    ...(change.idea === undefined ? {} : { pictureIdea: change.idea }),
    ...(change.words === undefined ? {} : { pictureWords: change.words }),
    ...('sketch' in change ? { pictureSketch: change.sketch } : {}),
  }
  void write({ brief: { ...brief.value, ...fields } }, what, files)
}
function putOther(id: string, change: Partial<PictureIdea>, files?: FileRecord[]) {
  void write(
    { pictureIdeas: others.value.map((p) => (p.id === id ? { ...p, ...change } : p)) },
    'an idea for the picture',
    files,
  )
}
function add() {
  void write(
    { pictureIdeas: [...others.value, { id: crypto.randomUUID(), idea: '', words: '' }] },
    'the ideas for the picture',
  )
}
</script>

<template>
  <fieldset class="grid gap-3">
    <legend class="label">The picture that sells it</legend>
    <PictureIdeaFields :episode="card.episode" :of="chosen" @change="put" />
    <PictureIdeaFields
      v-for="p in others"
      :key="p.id"
      :episode="card.episode"
      :of="p"
      :other="p.id"
      @change="(change, _what, files) => putOther(p.id, change, files)"
      @remove="write({ pictureIdeas: others.filter((x) => x.id !== p.id) }, 'the ideas for the picture')"
    />
    <button class="btn btn-small btn-bare justify-self-start text-ink-2" @click="add">
      <Plus :size="13" aria-hidden="true" /> another idea
    </button>
  </fieldset>
</template>
