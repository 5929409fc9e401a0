<script setup lang="ts">
import { Copy, ExternalLink, Paperclip } from '@lucide/vue'
import type { Attachment, KeptImage, Source } from '@core/records'
import { useLibrary } from '@app/stores/library'
import { download } from '@app/ui/download'
import { usePictures } from '@app/stores/pictures'
import { isWeb, saySize } from './shelf'

/** A link that opens, a path that is copied, or a file that is saved. */
const { of } = defineProps<{ of: Source | Attachment | KeptImage }>()
const library = useLibrary()
const pictures = usePictures()
async function copy(path: string) {
  await navigator.clipboard.writeText(path)
  library.say('The path is copied.')
}
async function save(file: Attachment) {
  const found = await library.file(file.id)
  if (found) download(file.name, found.bytes, 'application/octet-stream')
}
</script>

<template>
  <span class="break-words">
    <a v-if="'width' in of" :href="pictures.url(of.id)" target="_blank" class="inline-flex items-center gap-2"
      ><img
        v-if="pictures.url(of.id)"
        :src="pictures.url(of.id)"
        alt=""
        class="h-[64px] max-w-[120px] object-cover rounded-control border border-line"
      />{{ of.name }}</a
    >
    <template v-else-if="'name' in of"
      ><Paperclip :size="13" class="inline mr-1" aria-hidden="true" /><button
        class="underline underline-offset-2 text-left"
        @click="save(of)"
      >
        {{ of.name }}</button
      >{{ ' ' }}<span class="num text-11">{{ saySize(of.size) }}</span></template
    >
    <a v-else-if="isWeb(of.url)" :href="of.url" target="_blank" rel="noreferrer noopener" class="break-all"
      >{{ of.text || of.url }}<ExternalLink :size="12" class="inline ml-1" aria-hidden="true"
    /></a>
    <button
      v-else-if="of.url"
      class="underline underline-offset-2 text-left"
      :title="of.url"
      :aria-label="`Copy the path of ${of.text || of.url}`"
      @click="copy(of.url)"
    >
      {{ of.text || of.url }}<Copy :size="12" class="inline ml-1" aria-hidden="true" />
    </button>
    <template v-else>{{ of.text }}</template>
  </span>
</template>
