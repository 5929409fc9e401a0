<script setup lang="ts">
import { computed, watch } from 'vue'
import { writeEpisode, type Typed } from '@core/commands/episode'
import { sayAway } from '@core/rhythm/days'
import { useMoment } from '@app/stores/moment'
import { useLibrary } from '@app/stores/library'
import IdeaFate from './idea/IdeaFate.vue'
import IdeaKnowledge from './idea/IdeaKnowledge.vue'
import IdeaLikes from './idea/IdeaLikes.vue'
import StartPanel from './StartPanel.vue'
import { typedIn } from '@app/ui/fields/event'

/** An idea's own page: what is known is shown, everything else is one button away. */
const { code } = defineProps<{ code: string }>()
const library = useLibrary()
const moment = useMoment()
const episode = computed(() => [...library.tables.episodes.values()].find((e) => e.code === code))
const show = computed(() => library.tables.shows.get(episode.value?.show ?? ''))
const recipe = computed(() => library.tables.recipes.get(show.value?.recipe ?? ''))
watch(
  () => episode.value?.id,
  (id) => {
    if (id) void library.ensure([id])
  },
  { immediate: true },
)

function write(typed: Typed, what: string) {
  if (episode.value) void library.perform(writeEpisode, { episode: episode.value.id, typed, what }, 'quietly')
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
          <IdeaKnowledge :key="episode.id" :episode="episode" />
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
