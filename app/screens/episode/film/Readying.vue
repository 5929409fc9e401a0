<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { layStart, writeIdea } from '@core/commands/ideas'
import { startParts } from '@core/ideas/start'
import type { Card } from '@core/views/card'
import { useFolders } from '@app/stores/folders'
import { useLibrary } from '@app/stores/library'
import { useStart } from '@app/stores/start'
import { download } from '@app/ui/download'
import TextField from '@app/ui/fields/TextField.vue'

/** What is made when it goes to film: its folders, with their address on the shelf, and a start in the notebook. */
const { card } = defineProps<{ card: Card }>()
const library = useLibrary()
const folders = useFolders()
onMounted(() => void folders.look())
const busy = ref(false)
/** The shelf's line of its folders. */
const kept = computed(() => card.episode.idea.sources.find((s) => s.text === 'Its folders'))

function keep(address: string) {
  const others = card.episode.idea.sources.filter((s) => s.text !== 'Its folders')
  const id = kept.value?.id ?? library.newId()
  const sources = [...others, { id, text: 'Its folders', url: address, stage: 'edit' as const }]
  return library.perform(
    writeIdea,
    { episode: card.episode.id, typed: { sources }, what: 'the shelf' },
    'quietly',
  )
}
async function make() {
  busy.value = true
  const { foldersOf } = await import('../folders')
  const plan = foldersOf(card)
  try {
    const made = await folders.make(plan)
    if (made) {
      await keep(folders.addressOf(plan))
      const stays = made.kept.length > 0 ? `; ${made.kept.join(', ')} stays as it was` : ''
      library.say(`Made “${plan.outer}”${stays}.`)
    }
  } catch {
    library.say('The folder could not be written into. Choose it again, or save them as a zip.', 'refused')
  }
  busy.value = false
}
async function save() {
  const { foldersOf } = await import('../folders')
  const { folderZip } = await import('@core/formats/folder')
  const plan = foldersOf(card)
  const zip = folderZip(plan)
  download(zip.name, zip.bytes, 'application/zip')
  await keep(folders.addressOf(plan))
}

const wanted = ref(false)
const start = useStart(() => card.episode, wanted)
const isLaid = computed(() => /^## Outline to start from$/m.test(card.episode.note))
/** Its scripts are read first; the start comes a moment later. */
watch(start, (found) => {
  if (!found) return
  wanted.value = false
  void library.perform(layStart, { episode: card.episode.id, parts: startParts(found) })
})
async function copy() {
  await navigator.clipboard.writeText(kept.value?.url ?? '')
  library.say('Copied.')
}
</script>

<template>
  <section class="mb-6" aria-labelledby="readying">
    <h2 id="readying" class="mb-2">When it goes to film</h2>
    <div class="panel divide-y divide-faint">
      <div class="flex flex-wrap items-center gap-x-3 gap-y-2 px-4 py-2.5">
        <p class="flex-1 min-w-[200px]">
          Its folders<template v-if="kept"
            >, <span class="sub break-all">{{ kept.url }}</span></template
          >
        </p>
        <button v-if="kept" class="btn btn-small" @click="copy">Copy the address</button>
        <button v-if="folders.can()" class="btn btn-small" :disabled="busy" @click="make">
          {{ folders.name ? `Make them in “${folders.name}”` : 'Make them in a folder' }}
        </button>
        <button class="btn btn-small" @click="save">
          {{ folders.can() ? 'As a zip' : 'Save them as a zip' }}
        </button>
      </div>
      <details class="px-4 py-2">
        <summary class="sub cursor-pointer">Where that folder lies</summary>
        <div class="flex flex-wrap items-end gap-2 mt-2">
          <TextField
            v-model="folders.path"
            class="flex-1 min-w-[220px]"
            label="Its path on this machine, so that addresses are whole"
            placeholder="/media/footage"
          /><button v-if="folders.can()" class="btn" @click="folders.choose()">Choose another folder</button>
        </div>
      </details>
      <div class="flex flex-wrap items-center gap-3 px-4 py-2.5">
        <p class="flex-1 min-w-[200px]">
          A start in the notebook<span class="sub"
            >, outline, titles and post texts by your own earlier ones</span
          >
        </p>
        <span v-if="isLaid" class="sub">it is there</span
        ><button v-else class="btn btn-small" :disabled="wanted" @click="wanted = true">Lay it in</button>
      </div>
    </div>
  </section>
</template>
