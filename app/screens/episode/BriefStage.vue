<script setup lang="ts">
import { computed, nextTick, onMounted, ref } from 'vue'
import { useRoute } from 'vue-router'
import type { StageState } from '@core/recipe/progress'
import { charactersIn, strictest } from '@core/release/limits'
import { readTags, tagLength } from '@core/release/tags'
import type { Brief } from '@core/records'
import type { Card } from '@core/views/card'
import Flag from '@app/ui/Flag.vue'
import KeywordField from '../ideas/KeywordField.vue'
import SaidBefore from './brief/SaidBefore.vue'
import PictureIdeas from './brief/PictureIdeas.vue'
import OfferWords from './brief/OfferWords.vue'
import TitleCandidates from './brief/TitleCandidates.vue'
import StepList from './StepList.vue'
import { useWriting } from './writing'
import { typedIn } from '@app/ui/fields/event'
import TextField from '@app/ui/fields/TextField.vue'

const { card, here } = defineProps<{ card: Card; here: StageState }>()
const route = useRoute()
const write = useWriting(() => card)
const tag = ref('')
const limits = computed(() => strictest(card.outlets))
const brief = computed(() => card.episode.brief)
const length = computed(() => tagLength(card.episode.tags))

function put(fields: Partial<Brief>, what: string) {
  void write({ brief: { ...brief.value, ...fields } }, what)
}
function point(i: number, event: Event) {
  put(
    { points: [0, 1, 2].map((n) => (n === i ? typedIn(event) : (brief.value.points[n] ?? ''))) },
    'the main points',
  )
}
function addTags() {
  const more = readTags(tag.value)
  if (more.length === 0) return
  void write({ tags: readTags([...card.episode.tags, ...more].join(',')) }, 'the tags')
  tag.value = ''
}
onMounted(() => {
  void nextTick(() => {
    const at = route.query['at']
    document.querySelector<HTMLElement>(`[data-at="${typeof at === 'string' ? at : ''}"]`)?.focus()
  })
})
</script>

<template>
  <div
    class="mx-auto max-w-[1280px] px-5 py-5 grid grid-cols-1 gap-8 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_280px]"
  >
    <div class="grid grid-cols-1 gap-5 content-start">
      <SaidBefore :card="card" />
      <TextField
        :model-value="brief.takeaway"
        class="text-16"
        label="What the viewer should take away"
        :rows="2"
        data-at="takeaway"
        placeholder="One sentence they could repeat to a friend"
        @update:model-value="put({ takeaway: $event }, 'the takeaway')"
      />
      <fieldset>
        <legend class="label">Three main points</legend>
        <div class="grid gap-2">
          <label v-for="i in [0, 1, 2]" :key="i" class="flex items-center gap-2"
            ><span class="num">{{ i + 1 }}</span
            ><input
              class="field"
              :value="brief.points[i] ?? ''"
              :aria-label="`Point ${i + 1}`"
              @input="point(i, $event)"
          /></label>
        </div>
      </fieldset>
      <label
        ><span class="label flex justify-between"
          >Description, the words of your own
          <span class="num">{{ charactersIn(brief.description) }}</span></span
        ><textarea
          class="field min-h-[120px]"
          data-at="description"
          :value="brief.description"
          placeholder="Two or three lines that make someone press play. Chapters, links and closing lines are added by the pattern."
          @input="put({ description: typedIn($event) }, 'the description')"
        />
      </label>
      <OfferWords
        :card="card"
        :text="brief.description"
        @put="put({ description: $event }, 'the description')"
      />
    </div>
    <div class="grid grid-cols-1 gap-5 content-start">
      <TitleCandidates :card="card" />
      <div>
        <p class="label flex justify-between">
          <span>Tags, the most important first</span
          ><span class="num"
            ><template v-if="length > limits.tags"><Flag :size="9" /></template>{{ length }}/{{
              limits.tags
            }}</span
          >
        </p>
        <ul class="flex flex-wrap gap-1.5 mb-2">
          <li
            v-for="t in card.episode.tags"
            :key="t"
            class="border border-line rounded-control px-2 py-0.5 text-12"
          >
            {{ t
            }}<button
              class="ml-1.5 text-ink-2"
              :aria-label="`Remove the tag ${t}`"
              @click="write({ tags: card.episode.tags.filter((x) => x !== t) }, 'the tags')"
            >
              ×
            </button>
          </li>
        </ul>
        <input
          v-model="tag"
          class="field"
          data-at="tags"
          placeholder="Type or paste, parted by commas"
          aria-label="Add tags"
          @keydown.enter.prevent="addTags"
          @blur="addTags"
        />
      </div>
      <KeywordField :episode="card.episode" data-at="keyword" tabindex="-1" />
      <PictureIdeas :card="card" />
    </div>
    <aside><StepList :card="card" :here="here" /></aside>
  </div>
</template>
