<script setup lang="ts">
import { computed, ref, useId } from 'vue'
import { writeIdea } from '@core/commands/ideas'
import { giveKeyword } from '@core/commands/keywords'
import { sameWords } from '@core/commands/keywords/same-words'
import { opportunityOf } from '@core/ideas/opportunity'
import type { Episode } from '@core/records'
import { useLibrary } from '@app/stores/library'

/** The keywords an idea is for; new words join the show's table. */
const { episode } = defineProps<{ episode: Episode }>()
const library = useLibrary()
const list = useId()
const fresh = ref('')
const all = computed(() => [...library.records.keywords.values()].filter((k) => k.show === episode.show))
const mine = computed(() => episode.idea.keywords.flatMap((id) => library.records.keywords.get(id) ?? []))
function write(keywords: string[]) {
  void library.perform(
    writeIdea,
    { episode: episode.id, typed: { keywords }, what: 'the keywords' },
    'quietly',
  )
}
async function add() {
  const words = fresh.value.trim()
  if (words === '') return
  fresh.value = ''
  if (mine.value.some((k) => sameWords(k.words) === sameWords(words))) return
  await library.perform(giveKeyword, { episode: episode.id, words }, 'quietly')
}
</script>

<template>
  <div>
    <p class="label">Keywords</p>
    <div class="flex flex-wrap gap-1.5 items-center">
      <span v-for="k in mine" :key="k.id" class="border border-line rounded-control px-2 py-0.5 text-12"
        >{{ k.words
        }}<span v-if="opportunityOf(k) !== undefined" class="num ml-1.5">{{
          Math.round(opportunityOf(k) ?? 0)
        }}</span
        ><button
          class="ml-1.5 text-ink-2"
          :aria-label="`Take the keyword ${k.words} away`"
          @click="write(episode.idea.keywords.filter((x) => x !== k.id))"
        >
          ×
        </button></span
      >
      <input
        v-model="fresh"
        class="quiet-field mx-0 w-[150px] text-12 border-line"
        :list="list"
        placeholder="Add a keyword"
        aria-label="Add a keyword"
        @keydown.enter.prevent="add"
        @change="add"
      /><datalist :id="list"><option v-for="k in all" :key="k.id" :value="k.words" /></datalist>
    </div>
  </div>
</template>
