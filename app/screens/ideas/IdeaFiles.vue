<script setup lang="ts">
import { ref } from 'vue'
import { Paperclip } from '@lucide/vue'
import { writeIdea } from '@core/commands/ideas'
import { largestPicture } from '@core/commands/episode/picture-size'
import type { Attachment, Episode, Picture } from '@core/records'
import type { FileRecord } from '@core/commands/change'
import { useLibrary } from '@app/stores/library'
import { usePictures } from '@app/stores/pictures'
import { download } from '@app/ui/download'
import { readPicture } from '../episode/pictures'
import { filesIn } from '@app/ui/fields/event'

/** Images and files of an idea: chosen, dropped or pasted. */
const { episode } = defineProps<{ episode: Episode }>()
const library = useLibrary()
const pictures = usePictures()
const over = ref(false)
async function take(files: Iterable<File>) {
  const images: Picture[] = []
  const others: Attachment[] = []
  const bytes: FileRecord[] = []
  for (const file of files) {
    if (file.size > largestPicture) {
      library.say(
        `“${file.name}” has ${Math.round(file.size / 1048576)} MB; at most 20 MB are taken. Keep a link to it instead.`,
        'refused',
      )
      continue
    }
    const picture = file.type.startsWith('image/') ? await readPicture(file) : undefined
    if (picture?.ok) {
      images.push(picture.value.picture)
      bytes.push(picture.value.file)
      continue
    }
    const id = crypto.randomUUID()
    others.push({
      id,
      name: file.name || 'file',
      type: file.type || 'application/octet-stream',
      size: file.size,
    })
    bytes.push({
      id,
      type: file.type || 'application/octet-stream',
      bytes: new Uint8Array(await file.arrayBuffer()),
    })
  }
  if (bytes.length > 0)
    await library.perform(
      writeIdea,
      {
        episode: episode.id,
        typed: { images: [...episode.idea.images, ...images], files: [...episode.idea.files, ...others] },
        what: 'the files',
        files: bytes,
      },
      'quietly',
    )
}
function chosen(event: Event) {
  void take(filesIn(event))
}
async function save(file: Attachment) {
  const found = await library.file(file.id)
  if (found) download(file.name, found.bytes, 'application/octet-stream')
}
</script>

<template>
  <div
    :class="over ? 'outline-2 outline-dashed outline-ring rounded-card' : ''"
    @dragover.prevent="over = true"
    @dragleave="over = false"
    @drop.prevent.stop="
      (event) => {
        over = false
        take(event.dataTransfer?.files ?? [])
      }
    "
  >
    <p class="label">Images and files</p>
    <div class="flex flex-wrap gap-2 items-start">
      <figure v-for="p in episode.idea.images" :key="p.id" class="m-0 relative">
        <img
          v-if="pictures.url(p.id)"
          :src="pictures.url(p.id)"
          :alt="p.name"
          class="h-[96px] rounded-control border border-line"
        /><button
          class="absolute right-1 top-1 bg-base/70 text-ink rounded-control px-1.5"
          :aria-label="`Take the image ${p.name} away`"
          @click="
            library.perform(writeIdea, {
              episode: episode.id,
              typed: { images: episode.idea.images.filter((x) => x.id !== p.id) },
              what: 'the images',
            })
          "
        >
          ×
        </button>
      </figure>
      <span
        v-for="f in episode.idea.files"
        :key="f.id"
        class="border border-line rounded-control px-2 py-1 text-12 inline-flex items-center gap-1.5"
        ><Paperclip :size="13" aria-hidden="true" /><button class="underline" @click="save(f)">
          {{ f.name }}</button
        ><span class="num text-11">{{ Math.max(1, Math.round(f.size / 1024)) }} kB</span
        ><button
          class="text-ink-2"
          :aria-label="`Take the file ${f.name} away`"
          @click="
            library.perform(writeIdea, {
              episode: episode.id,
              typed: { files: episode.idea.files.filter((x) => x.id !== f.id) },
              what: 'the files',
            })
          "
        >
          ×
        </button></span
      >
      <label class="btn btn-small relative"
        ><input
          type="file"
          multiple
          class="absolute inset-0 opacity-0 cursor-pointer"
          aria-label="Add images or files"
          @change="chosen"
        />Add images or files</label
      >
    </div>
  </div>
</template>
