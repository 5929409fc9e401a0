<script setup lang="ts">
import { computed } from 'vue'
import { writeIdea } from '@core/commands/ideas'
import { giveKeyword } from '@core/commands/keywords'
import { sameWords } from '@core/commands/keywords/same-words'
import { opportunitiesIn } from '@core/ideas/opportunity'
import type { Episode } from '@core/records'
import { useLibrary } from '@app/stores/library'
import ChipsField from '@app/ui/fields/ChipsField.vue'

/** The keywords an idea is for; new words join the show's table. */
const { episode } = defineProps<{ episode: Episode }>()
const library = useLibrary()
const all = computed(() => [...library.tables.keywords.values()].filter((k) => k.show === episode.show))
const mine = computed(() => episode.idea.keywords.flatMap((id) => library.tables.keywords.get(id) ?? []))
function write(keywords: string[]) {
  void library.perform(
    writeIdea,
    { episode: episode.id, typed: { keywords }, what: 'the keywords' },
    'quietly',
  )
}
async function add(words: string) {
  if (mine.value.some((k) => sameWords(k.words) === sameWords(words))) return
  await library.perform(giveKeyword, { episode: episode.id, words }, 'quietly')
}
const chips = computed(() =>
  mine.value.map((k) => {
    const opportunity = opportunitiesIn(library.tables.keywords).get(k.id)
    return {
      key: k.id,
      text: k.words,
      note: opportunity === undefined ? undefined : String(Math.round(opportunity.value)),
    }
  }),
)
</script>

<template>
  <ChipsField
    label="Keywords"
    add="Add a keyword"
    away="Take the keyword"
    width="w-[150px]"
    :chips="chips"
    :known="all.map((k) => k.words)"
    @add="add"
    @remove="(id) => write(episode.idea.keywords.filter((x) => x !== id))"
  />
</template>
