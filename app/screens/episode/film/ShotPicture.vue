<script setup lang="ts">
import { computed } from 'vue'
import { pictureShot, type ShotPicture } from '@core/commands/episode'
import type { Item } from '@core/session/items'
import { useLibrary } from '@app/stores/library'
import { usePictures } from '@app/stores/pictures'
import { filesIn } from '@app/ui/fields/event'
import { readPicture } from '../pictures'

/** A shot’s sketch or reference: chosen from a file, pasted, or one that is kept with the episode already. */
const { of } = defineProps<{ of: Item }>()
const library = useLibrary()
const pictures = usePictures()
const kept = computed(() => library.tables.episodes.get(of.episode ?? '')?.idea.images ?? [])
const others = computed(() => kept.value.filter((i) => i.id !== of.picture))

function give(picture: ShotPicture) {
  return library.perform(pictureShot, { episode: of.episode ?? '', shot: of.id, picture })
}
async function take(files: Iterable<File>) {
  for (const file of files) {
    const read = await readPicture(file)
    if (!read.ok) library.say(read.problem.sentence, 'refused')
    else await give({ kind: 'new', image: read.value.picture, file: read.value.file })
    return
  }
}
defineExpose({ take })
</script>

<template>
  <div class="flex flex-wrap items-center gap-2">
    <img
      v-if="pictures.url(of.picture)"
      :src="pictures.url(of.picture)"
      :alt="`How ${of.name} is meant`"
      class="h-[88px] w-auto max-w-[200px] rounded-card object-cover"
    />
    <label class="btn btn-small relative"
      ><input
        type="file"
        accept="image/*"
        class="absolute inset-0 opacity-0 cursor-pointer"
        :aria-label="`Picture of ${of.name}`"
        @change="take(filesIn($event))"
      />{{ of.picture ? 'Another picture…' : 'Its picture or sketch…' }}</label
    ><button v-if="of.picture" class="btn btn-small btn-bare" @click="give({ kind: 'none' })">
      Take it off
    </button>
    <span v-if="!of.picture" class="sub">or paste or drop one here</span>
    <p v-if="others.length > 0" class="flex flex-wrap gap-1.5 w-full">
      <button
        v-for="i in others"
        :key="i.id"
        class="kept"
        :aria-label="`Use ${i.name}`"
        :title="i.name"
        @click="give({ kind: 'kept', id: i.id })"
      >
        <img v-if="pictures.url(i.id)" :src="pictures.url(i.id)" alt="" class="w-full h-full object-cover" />
      </button>
    </p>
  </div>
</template>

<style scoped>
.kept {
  width: 64px;
  height: 36px;
  overflow: hidden;
  border: 1px solid var(--line);
  border-radius: 4px;
}
.kept:hover {
  border-color: var(--ink-2);
}
</style>
