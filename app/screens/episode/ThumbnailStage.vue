<script setup lang="ts">
import { computed, ref } from 'vue'
import { ImagePlus } from '@lucide/vue'
import { addPicture } from '@core/commands/episode'
import type { Picture } from '@core/records'
import type { StageState } from '@core/recipe/progress'
import { sayTime } from '@core/script/timecode'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { usePictures } from '@app/stores/pictures'
import Flag from '@app/ui/Flag.vue'
import { readPicture } from './pictures'
import StepList from './StepList.vue'
import PictureBriefs from './thumbnail/PictureBriefs.vue'
import AboutPicture from './thumbnail/AboutPicture.vue'
import { letterOf } from './thumbnail/letters'
import SmallSizes from './thumbnail/SmallSizes.vue'
import { useEventListener } from '@vueuse/core'

/** The pictures tried for an episode: one large, all at true small sizes, one chosen. */
const { card, here } = defineProps<{ card: Card; here: StageState }>()
const library = useLibrary()
const pictures = usePictures()
const field = ref<HTMLInputElement>()
const over = ref(false)
const busy = ref(false)
const faults = ref<string[]>([])
const seen = ref<string>()
const large = computed(
  () =>
    card.episode.pictures.find((p) => p.id === seen.value) ??
    card.episode.pictures.find((p) => p.id === card.episode.chosenPicture) ??
    card.episode.pictures[0],
)
const letter = (p: Picture) => letterOf(card.episode, p)
const stamp = computed(() =>
  card.episode.cut.length && card.show.kind === 'video' ? sayTime(card.episode.cut.length) : '',
)
const square = computed(() => card.show.kind === 'audio')

async function take(files: Iterable<File>) {
  busy.value = true
  faults.value = []
  for (const file of files) {
    const read = await readPicture(file)
    if (!read.ok) {
      faults.value = [...faults.value, read.problem.sentence]
      continue
    }
    const done = await library.perform(addPicture, { episode: card.episode.id, ...read.value }, 'quietly')
    if (done.ok) seen.value = read.value.picture.id
  }
  busy.value = false
  if (field.value) field.value.value = ''
}
function dropped(event: DragEvent) {
  over.value = false
  void take(event.dataTransfer?.files ?? [])
}
function pasted(event: ClipboardEvent) {
  const files = [...(event.clipboardData?.files ?? [])].filter((f) => f.type.startsWith('image/'))
  if (files.length === 0) return
  event.preventDefault()
  void take(files)
}
useEventListener(window, 'paste', pasted)
</script>

<template>
  <div
    class="mx-auto max-w-[1280px] px-5 py-5 grid grid-cols-1 gap-6 lg:grid-cols-[minmax(0,1fr)_300px]"
    @dragover.prevent="over = true"
    @dragleave.self="over = false"
    @drop.prevent="dropped"
  >
    <div class="min-w-0">
      <div class="flex flex-wrap items-center gap-3 mb-3">
        <h2>
          {{
            card.episode.pictures.length === 0
              ? 'No picture yet'
              : card.episode.pictures.length === 1
                ? 'One candidate'
                : `${card.episode.pictures.length} candidates`
          }}
        </h2>
        <span class="flex-1" />
        <button class="btn" :disabled="busy" @click="field?.click()">
          <ImagePlus :size="16" aria-hidden="true" /> {{ busy ? 'Reading it…' : 'Add pictures' }}
        </button>
        <input
          ref="field"
          type="file"
          accept="image/*"
          multiple
          class="unseen"
          tabindex="-1"
          aria-label="Picture files"
          @change="take(field?.files ?? [])"
        />
      </div>
      <PictureBriefs :card="card" />
      <ul v-if="faults.length > 0" role="alert" class="mb-3 grid gap-1">
        <li v-for="f in faults" :key="f"><Flag /><span class="late">Not added.</span> {{ f }}</li>
      </ul>
      <div v-if="!large" class="drop" :class="{ over }">
        <p class="font-medium">Drop a picture here, paste one, or choose a file</p>
        <p class="sub">PNG, JPEG or WebP, best at 1280 × 720. It stays in this browser.</p>
      </div>
      <template v-else>
        <div
          class="grid gap-4"
          :class="card.episode.pictures.length > 1 ? 'xl:grid-cols-[minmax(0,2.1fr)_minmax(0,1fr)]' : ''"
        >
          <figure
            class="film cell self-start"
            :class="{ chosen: large.id === card.episode.chosenPicture, over }"
          >
            <figcaption class="edge">
              <span>{{ card.show.title.toUpperCase() }}</span><span class="ml-auto"
                >{{ letter(large) }} ▸ {{ large.name }}</span
              >
            </figcaption>
            <div class="relative" :class="square ? 'max-w-[430px] mx-auto' : ''">
              <img
                v-if="pictures.url(large.id)"
                :src="pictures.url(large.id)"
                :alt="`Picture ${letter(large)}, ${large.name}`"
                class="block w-full object-cover"
                :class="square ? 'aspect-square' : 'aspect-video'"
              /><span v-if="stamp" class="stamp">{{ stamp }}</span>
            </div>
            <div class="edge">
              <span
                >{{ large.width }} × {{ large.height }} ·
                {{ Math.max(1, Math.round(large.size / 1000)) }} kB</span
              >
            </div>
          </figure>
          <div
            v-if="card.episode.pictures.length > 1"
            class="grid grid-cols-1 gap-3 content-start"
            :class="card.episode.pictures.length > 3 ? 'grid-cols-2' : 'max-xl:grid-cols-2'"
          >
            <button
              v-for="p in card.episode.pictures.filter((x) => x.id !== large?.id)"
              :key="p.id"
              class="film cell text-left"
              :class="{ chosen: p.id === card.episode.chosenPicture }"
              :aria-label="`Look at picture ${letter(p)}`"
              @click="seen = p.id"
            >
              <span class="edge"
                ><span>{{ letter(p) }} ▸ {{ p.name }}</span></span
              ><img
                v-if="pictures.url(p.id)"
                :src="pictures.url(p.id)"
                alt=""
                class="block w-full object-cover"
                :class="square ? 'aspect-square' : 'aspect-video'"
              /><span class="edge" />
            </button>
          </div>
        </div>
        <SmallSizes :episode="card.episode" :square="square" :stamp="stamp" />
      </template>
    </div>
    <aside class="grid grid-cols-1 gap-5 content-start">
      <AboutPicture v-if="large" :card="card" :picture="large" :letter="letter(large)" />
      <StepList :card="card" :here="here" />
    </aside>
  </div>
</template>

<style scoped>
.drop {
  display: grid;
  place-content: center;
  justify-items: center;
  gap: 4px;
  min-height: 340px;
  border: 1px dashed var(--ring);
  border-radius: 12px;
  text-align: center;
}
.drop.over,
.cell.over {
  border-color: var(--ink);
  background: var(--raised);
}
.cell {
  display: block;
  padding: 0 6px;
  border: 2px solid transparent;
  border-radius: 6px;
  background: oklch(0.11 0.012 60);
  color: var(--ink);
  outline-offset: 1px;
}
.cell.chosen {
  border-color: var(--ink);
  box-shadow: 0 0 0 1px var(--ring);
}
.edge {
  display: flex;
  align-items: center;
  gap: 12px;
  height: 20px;
  padding-inline: 14px;
  font: 400 11px var(--font-mono);
  color: var(--ink-2);
  background: repeating-linear-gradient(90deg, oklch(0.3 0.018 70) 0 8px, transparent 8px 18px) 0 7px / auto
    6px repeat-x;
  overflow: hidden;
  white-space: nowrap;
}
.edge > span {
  background: oklch(0.11 0.012 60);
  padding-inline: 6px;
}
</style>

<style scoped src="./thumbnail/stamp.css"></style>
