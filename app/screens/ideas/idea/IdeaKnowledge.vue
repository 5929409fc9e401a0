<script setup lang="ts">
import { computed, ref } from 'vue'
import { editMany, writeIdea } from '@core/commands/ideas'
import { effortOf } from '@core/ideas/usable'
import type { Episode, Idea, StageKind } from '@core/records'
import { sayMinutes } from '@core/script/timecode'
import { useLibrary } from '@app/stores/library'
import TextField from '@app/ui/fields/TextField.vue'
import OptionalNumberField from '@app/ui/fields/OptionalNumberField.vue'
import GuestField from '../GuestField.vue'
import KeywordField from '../KeywordField.vue'
import MonthChoice from '../MonthChoice.vue'
import OccasionField from '../OccasionField.vue'
import OwnFields from '../OwnFields.vue'
import TopicField from '../TopicField.vue'
import IdeaAskers from './IdeaAskers.vue'
import IdeaNature from './IdeaNature.vue'
import IdeaShelf from './IdeaShelf.vue'
import NoteField from './NoteField.vue'

/**
 * Everything that is known of an episode, before work on it begins and after: what is there is shown, the rest is
 * one button away.
 */
const { episode, stage } = defineProps<{ episode: Episode; stage?: StageKind }>()
const library = useLibrary()
const show = computed(() => library.tables.shows.get(episode.show))
const recipe = computed(() => library.tables.recipes.get(episode.recipe ?? show.value?.recipe ?? ''))
const note = ref<{ append: (markdown: string) => void }>()
const opened = ref(new Set<string>())
const facets = computed(() => {
  const { idea } = episode
  // When it should go out is settled once it is in work.
  const isIdea = episode.phase.kind === 'idea'
  return [
    {
      name: 'links',
      label: 'Links and files',
      filled: idea.sources.length + idea.images.length + idea.files.length > 0,
    },
    { name: 'premise', label: 'Premise', filled: idea.premise !== '' },
    { name: 'why', label: 'Why now', filled: idea.why !== '' },
    { name: 'series', label: 'Series', filled: idea.series !== '' },
    { name: 'keywords', label: 'Keywords', filled: idea.keywords.length > 0 },
    { name: 'nature', label: 'Topical', filled: episode.nature.kind === 'topical' },
    ...(isIdea ? [{ name: 'effort', label: 'Effort', filled: idea.effort !== undefined }] : []),
    { name: 'occasion', label: 'Occasion', filled: idea.occasion !== undefined },
    ...(isIdea ? [{ name: 'month', label: 'Month', filled: idea.meant !== undefined }] : []),
    { name: 'guests', label: 'Guests', filled: episode.guests.length > 0 },
    { name: 'own', label: 'Own fields', filled: Object.keys(idea.own).length > 0 },
  ]
})
const shown = (name: string) =>
  opened.value.has(name) || (facets.value.find((f) => f.name === name)?.filled ?? false)
const folded = computed(() => facets.value.filter((f) => !f.filled && !opened.value.has(f.name)))
const open = (name: string) => {
  opened.value = new Set([...opened.value, name])
}
function put(typed: Partial<Idea>, what: string) {
  void library.perform(writeIdea, { episode: episode.id, typed, what }, 'quietly')
}
function meant(month: string) {
  void library.perform(editMany, { episodes: [episode.id], edits: { meant: month || undefined } }, 'quietly')
}
defineExpose({ append: (markdown: string) => note.value?.append(markdown) })
</script>

<template>
  <div class="grid grid-cols-1 gap-4 @container">
    <NoteField ref="note" :episode="episode" />
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
    <div class="grid gap-4 @md:grid-cols-2">
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
    <IdeaShelf v-if="shown('links')" :episode="episode" :stage="stage" />
    <OwnFields v-if="shown('own')" :episode="episode" />
    <IdeaAskers v-if="episode.idea.asked.length > 0" :asked="episode.idea.asked" :title="episode.title" />
    <p v-if="folded.length > 0" class="flex flex-wrap gap-1.5 items-center border-t border-faint pt-4">
      <span class="sub">Add</span
      ><button v-for="f in folded" :key="f.name" class="btn btn-small" @click="open(f.name)">
        {{ f.label }}
      </button>
    </p>
  </div>
</template>
