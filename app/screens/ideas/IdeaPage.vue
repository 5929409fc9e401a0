<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { writeEpisode, type Typed } from '@core/commands/episode'
import { editMany, writeIdea } from '@core/commands/ideas'
import { effortOf } from '@core/ideas/usable'
import { type Idea } from '@core/records'
import { sayAway } from '@core/rhythm/days'
import { sayMinutes } from '@core/script/timecode'
import { useMoment } from '@app/stores/moment'
import { useLibrary } from '@app/stores/library'
import IdeaAskers from './idea/IdeaAskers.vue'
import IdeaFate from './idea/IdeaFate.vue'
import IdeaLikes from './idea/IdeaLikes.vue'
import IdeaNature from './idea/IdeaNature.vue'
import IdeaSources from './idea/IdeaSources.vue'
import IdeaFiles from './IdeaFiles.vue'
import KeywordField from './KeywordField.vue'
import OccasionField from './OccasionField.vue'
import OwnFields from './OwnFields.vue'
import StartPanel from './StartPanel.vue'
import TopicField from './TopicField.vue'
import GuestField from './GuestField.vue'
import TextField from '@app/ui/fields/TextField.vue'
import OptionalNumberField from '@app/ui/fields/OptionalNumberField.vue'
import { typedIn } from '@app/ui/fields/event'
import MonthChoice from './MonthChoice.vue'

/** An idea's own page: what is known is shown, everything else is one button away. */
const { code } = defineProps<{ code: string }>()
const library = useLibrary()
const moment = useMoment()
const episode = computed(() => [...library.records.episodes.values()].find((e) => e.code === code))
const show = computed(() => library.records.shows.get(episode.value?.show ?? ''))
const recipe = computed(() => library.records.recipes.get(show.value?.recipe ?? ''))
watch(
  () => episode.value?.id,
  (id) => {
    if (id) void library.ensure([id])
  },
  { immediate: true },
)

const opened = ref(new Set<string>())
const facets = computed(() => {
  const e = episode.value
  if (!e) return []
  const { idea } = e
  return [
    { name: 'premise', label: 'Premise', filled: idea.premise !== '' },
    { name: 'why', label: 'Why now', filled: idea.why !== '' },
    { name: 'series', label: 'Series', filled: idea.series !== '' },
    { name: 'keywords', label: 'Keywords', filled: idea.keywords.length > 0 },
    { name: 'nature', label: 'Topical', filled: e.nature.kind === 'topical' },
    { name: 'effort', label: 'Effort', filled: idea.effort !== undefined },
    { name: 'occasion', label: 'Occasion', filled: idea.occasion !== undefined },
    { name: 'month', label: 'Month', filled: idea.meant !== undefined },
    { name: 'guests', label: 'Guests', filled: e.guests.length > 0 },
    { name: 'links', label: 'Links and sources', filled: idea.sources.length > 0 || e.links.length > 0 },
    { name: 'files', label: 'Images and files', filled: idea.images.length + idea.files.length > 0 },
    { name: 'own', label: 'Own fields', filled: Object.keys(idea.own).length > 0 },
  ]
})
const shown = (name: string) =>
  opened.value.has(name) || (facets.value.find((f) => f.name === name)?.filled ?? false)
const folded = computed(() => facets.value.filter((f) => !f.filled && !opened.value.has(f.name)))
const open = (name: string) => {
  opened.value = new Set([...opened.value, name])
}

function write(typed: Typed, what: string) {
  if (episode.value) void library.perform(writeEpisode, { episode: episode.value.id, typed, what }, 'quietly')
}
function put(typed: Partial<Idea>, what: string) {
  if (episode.value) void library.perform(writeIdea, { episode: episode.value.id, typed, what }, 'quietly')
}
function meant(month: string) {
  if (episode.value)
    void library.perform(
      editMany,
      { episodes: [episode.value.id], edits: { meant: month || undefined } },
      'quietly',
    )
}
function titled(event: Event) {
  if (typedIn(event).trim() !== '') write({ title: typedIn(event) }, 'the working title')
}
</script>

<template>
  <div class="mx-auto max-w-[1360px] px-5 py-4 max-sm:px-3">
    <p v-if="!episode" class="panel p-8">
      There is no idea {{ code }}. <RouterLink :to="{ name: 'ideas' }">To all ideas</RouterLink>
    </p>
    <div v-else class="grid grid-cols-1 gap-5 lg:grid-cols-[minmax(0,1fr)_330px] items-start">
      <div class="grid grid-cols-1 gap-5">
        <section class="panel p-6 grid grid-cols-1 gap-4" aria-label="The idea">
          <p class="sub flex flex-wrap gap-x-3">
            <RouterLink :to="{ name: 'ideas', query: { idea: code } }">Ideas</RouterLink
            ><span class="num">{{ code }}</span
            ><span>{{ show?.title }}</span
            ><span>jotted {{ sayAway(moment.dayOn(episode.createdAt), moment.today) }}</span
            ><span v-if="episode.phase.kind !== 'idea'" class="text-ink">{{
              episode.phase.kind === 'work'
                ? 'in work'
                : episode.phase.kind === 'dropped'
                  ? `let go${episode.phase.why ? `: ${episode.phase.why}` : ''}`
                  : episode.phase.kind
            }}</span>
          </p>
          <h1 class="unseen">{{ episode.title }}</h1>
          <textarea
            class="quiet-field mx-0 -ml-2 text-26 leading-[34px] font-title font-semibold resize-none field-sizing-content"
            rows="1"
            :value="episode.title"
            maxlength="300"
            aria-label="Working title"
            @input="titled"
          />
          <textarea
            class="quiet-field mx-0 -ml-2 text-16 resize-none min-h-[60px] field-sizing-content"
            rows="2"
            :value="episode.note"
            placeholder="Note"
            aria-label="Note"
            @input="write({ note: typedIn($event) }, 'the note')"
          />
          <TextField
            v-if="shown('premise')"
            :model-value="episode.idea.premise"
            label="Premise"
            :rows="2"
            placeholder="What it says, in two sentences"
            @update:model-value="put({ premise: $event }, 'the premise')"
          />
          <TextField
            v-if="shown('why')"
            :model-value="episode.idea.why"
            label="Why now"
            :rows="1"
            @update:model-value="put({ why: $event }, 'why now')"
          />
          <div class="grid gap-4 sm:grid-cols-2">
            <TopicField :episode="episode" />
            <KeywordField v-if="shown('keywords')" :episode="episode" />
            <TextField
              v-if="shown('series')"
              :model-value="episode.idea.series"
              label="Series"
              @update:model-value="put({ series: $event }, 'the series')"
            />
            <GuestField v-if="shown('guests')" :episode="episode" />
            <IdeaNature v-if="shown('nature')" :episode="episode" />
            <OptionalNumberField
              v-if="shown('effort')"
              :model-value="episode.idea.effort"
              :label="
                episode.idea.effort === undefined
                  ? `Effort, minutes (by the recipe ${sayMinutes(effortOf(episode, recipe))})`
                  : 'Effort, minutes'
              "
              :min="0"
              :max="6000"
              :step="15"
              :placeholder="String(effortOf(episode, recipe))"
              @update:model-value="(effort) => put({ effort }, 'the effort')"
            />
            <OccasionField v-if="shown('occasion')" :episode="episode" />
            <MonthChoice
              v-if="shown('month')"
              :model-value="episode.idea.meant ?? ''"
              @update:model-value="meant"
            />
          </div>
          <IdeaSources v-if="shown('links')" :episode="episode" />
          <IdeaFiles v-if="shown('files')" :episode="episode" />
          <OwnFields v-if="shown('own')" :episode="episode" />
          <IdeaAskers
            v-if="episode.idea.asked.length > 0"
            :asked="episode.idea.asked"
            :title="episode.title"
          />
          <p v-if="folded.length > 0" class="flex flex-wrap gap-1.5 items-center border-t border-faint pt-4">
            <span class="sub">Add</span
            ><button v-for="f in folded" :key="f.name" class="btn btn-small" @click="open(f.name)">
              {{ f.label }}
            </button>
          </p>
        </section>
        <StartPanel v-if="show && recipe" :key="episode.id" :episode="episode" />
      </div>
      <aside class="grid gap-5">
        <IdeaFate :episode="episode" />
        <IdeaLikes :episode="episode" />
      </aside>
    </div>
  </div>
</template>
