<script setup lang="ts">
import { choosePictureIdea } from '@core/commands/episode'
import type { FileRecord } from '@core/commands/change'
import type { Episode, PictureIdea } from '@core/records'
import { useLibrary } from '@app/stores/library'
import { usePictures } from '@app/stores/pictures'
import { filesIn, typedIn } from '@app/ui/fields/event'
import { readPicture } from '../pictures'

/** One idea for the picture: where the eye lands, the words on it, a sketch. */
const { episode, of, other } = defineProps<{
  episode: Episode
  of: Omit<PictureIdea, 'id'>
  /** Its id where it is not the chosen one. */
  other?: string
}>()
const emit = defineEmits<{
  change: [change: Partial<Omit<PictureIdea, 'id'>>, what: string, files?: FileRecord[]]
  remove: []
}>()
const library = useLibrary()
const pictures = usePictures()
async function sketched(event: Event) {
  const [file] = filesIn(event)
  if (!file) return
  const read = await readPicture(file)
  if (!read.ok) {
    library.say(read.problem.sentence, 'refused')
    return
  }
  emit('change', { sketch: read.value.picture }, 'the sketch', [read.value.file])
}
</script>

<template>
  <div class="flex gap-2 items-start" :class="other ? 'border-t border-faint pt-3' : ''">
    <label class="sketch relative" :title="of.sketch ? 'Another sketch' : 'A sketch'"
      ><input
        type="file"
        accept="image/*"
        class="absolute inset-0 opacity-0 cursor-pointer"
        :aria-label="of.sketch ? 'Another sketch' : 'Add a sketch'"
        @change="sketched"
      /><img
        v-if="of.sketch && pictures.url(of.sketch.id)"
        :src="pictures.url(of.sketch.id)"
        :alt="of.sketch.name"
      /><span v-else class="text-11 text-ink-2">sketch</span></label
    >
    <div class="grid gap-2 flex-1 min-w-0">
      <textarea
        class="field"
        rows="2"
        :value="of.idea"
        :aria-label="other ? 'Another idea for the picture' : 'Idea for the picture'"
        placeholder="Where should the eye land?"
        @input="emit('change', { idea: typedIn($event) }, 'the idea for the picture')"
      /><input
        class="field"
        :value="of.words"
        :aria-label="other ? 'Its words' : 'Words on the picture'"
        placeholder="Two or three words on it, not those of the title"
        @input="emit('change', { words: typedIn($event) }, 'the words on the picture')"
      />
      <p v-if="other" class="flex gap-2">
        <button
          class="btn btn-small"
          @click="library.perform(choosePictureIdea, { episode: episode.id, idea: other })"
        >
          Choose this one</button
        ><button class="btn btn-small btn-bare text-ink-2" @click="emit('remove')">Take away</button>
      </p>
    </div>
  </div>
</template>

<style scoped>
.sketch {
  display: grid;
  place-items: center;
  flex: none;
  width: 84px;
  height: 56px;
  border: 1px dashed var(--ring);
  border-radius: 6px;
  overflow: hidden;
}
.sketch img {
  width: 100%;
  height: 100%;
  object-fit: cover;
}
</style>
