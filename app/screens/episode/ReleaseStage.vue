<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { Download } from '@lucide/vue'
import { fixNumber } from '@core/commands/release'
import { chaptersText } from '@core/formats/chapters-text'
import type { StageState } from '@core/recipe/progress'
import {
  chosenTitle,
  episodeChapters,
  episodeDescription,
  partState,
  requiredParts,
  strictest,
} from '@core/release/parts'
import { charactersIn } from '@core/release/limits'
import { tagLength } from '@core/release/tags'
import { useCards } from '@app/stores/cards'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { usePictures } from '@app/stores/pictures'
import { download } from '@app/ui/download'
import Chalk from '@app/ui/Chalk.vue'
import Flag from '@app/ui/Flag.vue'
import { mend, mendLabel } from './mend'
import CueLists from './parts/CueLists.vue'
import CopyButton from './release/CopyButton.vue'
import WhereItLives from './release/WhereItLives.vue'
import ReleaseLinks from './release/ReleaseLinks.vue'
import SpinOffs from './spin/SpinOffs.vue'
import StepList from './StepList.vue'

/**
 * What goes out: every part gathered and checked against the outlets, what is missing with what mends it,
 * and the kit.
 */
const { card, here } = defineProps<{ card: Card; here: StageState }>()
const library = useLibrary()
const cards = useCards()
const pictures = usePictures()
const router = useRouter()
const busy = ref(false)

const description = computed(() => episodeDescription(card))
const chapters = computed(() => episodeChapters(card))
const limits = computed(() => strictest(card.outlets))
const fold = computed(() => Math.min(...card.outlets.map((o) => o.fold), 5000))
const folded = computed(() => [
  [...description.value].slice(0, fold.value).join(''),
  [...description.value].slice(fold.value).join(''),
])
const parts = computed(() => requiredParts(card.outlets).map((p) => partState(p, card)))
const released = computed(() => card.episode.phase.kind === 'released')

async function kit() {
  busy.value = true
  try {
    if (!released.value) await library.perform(fixNumber, { episode: card.episode.id }, 'quietly')
    const { releaseKit } = await import('./kit')
    const fresh = cards.card(card.episode.id) ?? card
    const file = card.episode.chosenPicture ? await library.file(card.episode.chosenPicture) : undefined
    const made = await releaseKit(fresh, file)
    download(made.name, made.bytes, 'application/zip')
  } catch {
    library.say(
      'The kit could not be made, because the picture cannot be read. Choose another picture, then try again.',
      'refused',
    )
  }
  busy.value = false
}
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-5 py-5 grid grid-cols-1 gap-6 lg:grid-cols-[minmax(0,1fr)_360px]">
    <div class="grid grid-cols-1 gap-4 content-start min-w-0">
      <section class="panel p-4" aria-labelledby="p-title">
        <div class="head">
          <h2 id="p-title">Title</h2>
          <span class="num">{{ charactersIn(chosenTitle(card.episode) ?? '') }}/{{ limits.title }}</span
          ><CopyButton :text="chosenTitle(card.episode) ?? ''" />
        </div>
        <p class="text-16 font-medium">{{ chosenTitle(card.episode) ?? 'none chosen yet' }}</p>
      </section>
      <section class="panel p-4" aria-labelledby="p-description">
        <div class="head">
          <h2 id="p-description">Description</h2>
          <span class="num">{{ charactersIn(description) }}/{{ limits.description }}</span
          ><CopyButton :text="description" />
        </div>
        <div
          class="whitespace-pre-wrap text-ink max-h-[300px] overflow-y-auto"
          tabindex="0"
          role="region"
          aria-label="The description as it goes out"
        >
          <span>{{ folded[0] }}</span><span
            v-if="folded[1]"
            class="fold"
            title="What stands behind this is folded away at first"
          /><span class="text-ink-2">{{ folded[1] }}</span>
        </div>
      </section>
      <div class="grid grid-cols-1 gap-4 md:grid-cols-2">
        <section class="panel p-4" aria-labelledby="p-chapters">
          <div class="head">
            <h2 id="p-chapters">Chapters</h2>
            <span class="sub">{{
              chapters.from === 'script' ? 'estimated' : chapters.from === 'edit' ? 'timed' : ''
            }}</span><CopyButton :text="chaptersText(chapters.list)" />
          </div>
          <pre class="font-mono text-12 whitespace-pre-wrap">{{
            chaptersText(chapters.list) || 'none yet'
          }}</pre>
        </section>
        <section class="panel p-4" aria-labelledby="p-tags">
          <div class="head">
            <h2 id="p-tags">Tags</h2>
            <span class="num"
              ><Flag v-if="tagLength(card.episode.tags) > limits.tags" :size="9" />{{
                tagLength(card.episode.tags)
              }}/{{ limits.tags }}</span
            ><CopyButton :text="card.episode.tags.join(', ')" />
          </div>
          <p class="text-12">{{ card.episode.tags.join(', ') || 'none yet' }}</p>
        </section>
      </div>
      <CueLists :card="card" :kinds="['upload']" />
      <ReleaseLinks :card="card" />
      <SpinOffs :card="card" />
    </div>
    <aside class="grid grid-cols-1 gap-5 content-start">
      <section class="panel p-4" aria-labelledby="ready">
        <RouterLink
          :to="{ name: 'episode', params: { code: card.episode.code, stage: 'thumbnail' } }"
          class="block mb-3 rounded-card overflow-hidden"
          :class="card.show.kind === 'audio' ? 'aspect-square w-[160px]' : 'aspect-video'"
          aria-label="The picture"
          ><img
            v-if="pictures.url(card.episode.chosenPicture)"
            :src="pictures.url(card.episode.chosenPicture)"
            alt="The chosen picture"
            class="w-full h-full object-cover" /><Chalk v-else :title="card.title"
        /></RouterLink>
        <p class="flex justify-between mb-1">
          <strong id="ready" class="font-title font-semibold text-16">{{
            released
              ? 'Released'
              : card.standing.scheduled
                ? 'Scheduled'
                : card.standing.ready
                  ? 'Ready'
                  : `${card.standing.missing.length} still missing`
          }}</strong>
        </p>
        <ul v-if="!released" class="mb-3">
          <li
            v-for="m in card.standing.missing"
            :key="m.kind + m.name"
            class="flex items-center gap-3 border-t border-faint py-1.5"
          >
            <p class="flex-1 min-w-0">
              <span class="font-medium">{{ m.name }}</span> <span class="sub">{{ m.sentence }}</span>
            </p>
            <button class="btn btn-small" @click="mend(card, m, library, router)">{{ mendLabel(m) }}</button>
          </li>
        </ul>
        <button class="btn w-full" :class="released ? '' : 'btn-main'" :disabled="busy" @click="kit">
          <Download :size="16" aria-hidden="true" /> {{ busy ? 'Packing it…' : 'Download the release kit' }}
        </button>
        <p v-if="!card.standing.ready && !released" class="sub mt-2">
          The kit holds what is there so far. Its number is fixed from then on.
        </p>
        <WhereItLives :card="card" class="mt-3" />
      </section>
      <section class="panel p-4">
        <h2 class="mb-1">{{ card.outlets.map((o) => o.name).join(', ') }}</h2>
        <ul class="text-12">
          <li v-for="p in parts" :key="p.part" class="flex gap-2 py-1 border-t border-faint">
            <span class="w-4 flex-none text-center"
              ><template v-if="p.state === 'there'">✓</template
              ><Flag v-else-if="p.state === 'failing'" /><template v-else>·</template></span
            ><span class="font-medium">{{ p.name }}</span
            ><span class="text-ink-2 truncate ml-auto max-w-[190px]">{{ p.sentence }}</span>
          </li>
        </ul>
      </section>
      <StepList :card="card" :here="here" />
    </aside>
  </div>
</template>

<style scoped>
.fold::before {
  content: 'fold';
  margin-inline: 3px;
  padding-inline: 3px;
  border: 1px dashed var(--ring);
  border-radius: 3px;
  font-size: 11px;
  color: var(--ink-2);
}
.head {
  display: flex;
  align-items: center;
  gap: 10px;
  margin-bottom: 8px;
}
.head h2 {
  flex: 1;
}
</style>
