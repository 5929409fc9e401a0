<script setup lang="ts">
import { computed, ref } from 'vue'
import { sum } from 'd3-array'
import { writeIdea } from '@core/commands/ideas'
import type { Episode, Idea, StageKind } from '@core/records'
import type { FileRecord } from '@core/commands/change'
import { useLibrary } from '@app/stores/library'
import { filesIn, typedIn } from '@app/ui/fields/event'
import ShelfRow from './ShelfRow.vue'
import { saySize, sourceFrom, takeFiles } from './shelf'

/** Links, paths and files that belong to an episode and stay with its maker. */
const { episode, stage } = defineProps<{
  episode: Episode
  /** The stage whose things are wanted, where one is open: what is added is for it. */
  stage?: StageKind
}>()
const library = useLibrary()
const over = ref(false)
const link = ref('')
const idea = computed(() => episode.idea)
const size = computed(() => sum([...idea.value.files, ...idea.value.images], (f) => f.size))
function put(typed: Partial<Idea>, what: string, files?: FileRecord[]) {
  return library.perform(
    writeIdea,
    { episode: episode.id, typed, what, ...(files ? { files } : {}) },
    'quietly',
  )
}
async function take(files: Iterable<File>) {
  const taken = await takeFiles(files, stage)
  for (const sentence of taken.refused) library.say(sentence, 'refused')
  if (taken.bytes.length > 0)
    await put(
      {
        images: [...idea.value.images, ...taken.images],
        files: [...idea.value.files, ...taken.files],
      },
      'the files',
      taken.bytes,
    )
}
function add() {
  const source = sourceFrom(link.value, stage)
  if (!source) return
  void put({ sources: [...idea.value.sources, source] }, 'the links')
  link.value = ''
}
function forStage(of: 'sources' | 'files' | 'images', id: string, kind: string) {
  const to = (x: { id: string }) => (x.id === id ? { ...x, stage: kind || undefined } : x)
  void put({ [of]: idea.value[of].map(to) }, 'what is at hand in which stage')
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
    <p class="label flex justify-between">
      <span>Links and files, for you alone</span
      ><span v-if="size > 0" class="num text-11">{{ saySize(size) }}</span>
    </p>
    <ul v-if="idea.sources.length + idea.files.length + idea.images.length > 0" class="grid gap-1 mb-2">
      <ShelfRow
        v-for="s in idea.sources"
        :key="s.id"
        :of="s"
        @stage="forStage('sources', s.id, $event)"
        @remove="put({ sources: idea.sources.filter((x) => x.id !== s.id) }, 'the links')"
      />
      <ShelfRow
        v-for="f in idea.files"
        :key="f.id"
        :of="f"
        @stage="forStage('files', f.id, $event)"
        @remove="put({ files: idea.files.filter((x) => x.id !== f.id) }, 'the files')"
      />
      <ShelfRow
        v-for="p in idea.images"
        :key="p.id"
        :of="p"
        @stage="forStage('images', p.id, $event)"
        @remove="put({ images: idea.images.filter((x) => x.id !== p.id) }, 'the images')"
      />
    </ul>
    <form class="flex flex-wrap gap-2" @submit.prevent="add">
      <input
        :value="link"
        class="field flex-1 min-w-[160px]"
        placeholder="A name and its address or path"
        aria-label="Add a link"
        maxlength="1000"
        @input="link = typedIn($event)"
      /><button class="btn">Add</button
      ><label class="btn relative"
        ><input
          type="file"
          multiple
          class="absolute inset-0 opacity-0 cursor-pointer"
          aria-label="Add images or files"
          @change="take(filesIn($event))"
        />Files…</label
      >
    </form>
  </div>
</template>
