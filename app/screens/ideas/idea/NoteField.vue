<script setup lang="ts">
import { defineAsyncComponent, useTemplateRef } from 'vue'
import { writeEpisode } from '@core/commands/episode'
import { writeIdea } from '@core/commands/ideas'
import type { Episode } from '@core/records'
import { useLibrary } from '@app/stores/library'
import { usePictures } from '@app/stores/pictures'
import { readPicture } from '../../episode/pictures'

/**
 * The note of an idea or episode, as rich as it grew. Whoever shows it keys it by the episode: what is still being
 * typed is given when it goes, and must be written where it was typed.
 */
const { episode } = defineProps<{ episode: Episode }>()
const library = useLibrary()
const pictures = usePictures()
const RichText = defineAsyncComponent(() => import('@app/ui/rich/RichText.vue'))
const text = useTemplateRef<{ append: (markdown: string) => void }>('text')
function write(note: string) {
  void library.perform(writeEpisode, { episode: episode.id, typed: { note }, what: 'the note' }, 'quietly')
}
async function keep(file: File) {
  const read = await readPicture(file)
  if (!read.ok) {
    library.say(read.problem.sentence, 'refused')
    return undefined
  }
  const { picture } = read.value
  const done = await library.perform(
    writeIdea,
    {
      episode: episode.id,
      typed: { images: [...episode.idea.images, picture] },
      what: 'the images',
      files: [read.value.file],
    },
    'quietly',
  )
  return done.ok ? { id: picture.id, name: picture.name } : undefined
}
defineExpose({ append: (markdown: string) => text.value?.append(markdown) })
</script>

<template>
  <RichText
    ref="text"
    :model-value="episode.note"
    label="Note"
    placeholder="What you know so far. Paste or type; # makes a heading, - a list, [ ] something to tick."
    :show-picture="pictures.found"
    :keep-picture="keep"
    @update:model-value="write"
  />
</template>
