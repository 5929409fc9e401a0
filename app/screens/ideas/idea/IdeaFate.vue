<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { backToIdeas, dropEpisodes, editMany, sortIdeas } from '@core/commands/ideas'
import { standingNames } from '@core/commands/ideas/standing-names'
import { startWork } from '@core/commands/schedule'
import { IdeaStanding, type Episode } from '@core/records'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import { importanceNames } from '@core/plan/importance'
import { useImportance } from '@app/stores/importance'
import FormChoice from '../../episode/parts/FormChoice.vue'
import Stars from '@app/ui/Stars.vue'

/** What becomes of an idea: its rating, how it is sorted, a slot, or nothing. */
const { episode } = defineProps<{ episode: Episode }>()
const library = useLibrary()
const dialogs = useDialogs()
const importance = useImportance()
const level = computed(() => importanceNames[importance.of(episode).level])
const router = useRouter()
async function start() {
  const done = await library.perform(startWork, { episode: episode.id })
  if (done.ok) void router.push({ name: 'episode', params: { code: episode.code } })
}
const standings = IdeaStanding.options
</script>

<template>
  <section class="panel p-4 grid gap-3" aria-label="What becomes of it">
    <p class="flex items-center justify-between">
      <span class="label mb-0">Your rating</span
      ><Stars
        label="Your rating"
        :value="episode.idea.rating"
        @change="library.perform(editMany, { episodes: [episode.id], edits: { rating: $event } }, 'quietly')"
      />
    </p>
    <p class="flex items-center justify-between">
      <span class="label mb-0">Importance</span
      ><button
        class="btn btn-bare btn-small"
        :aria-label="`Importance: ${level}. Change it`"
        @click="importance.press(episode)"
      >
        {{ level }}
      </button>
    </p>
    <FormChoice :episode="episode" />
    <div
      v-if="episode.phase.kind === 'idea'"
      class="flex flex-wrap gap-1.5"
      role="group"
      aria-label="Sorted as"
    >
      <button
        v-for="s in standings"
        :key="s"
        class="btn btn-small"
        :class="episode.idea.standing === s ? 'border-ink bg-raised' : ''"
        :aria-pressed="episode.idea.standing === s"
        @click="library.perform(sortIdeas, { episodes: [episode.id], standing: s }, 'quietly')"
      >
        {{ standingNames[s] }}
      </button>
    </div>
    <div class="flex flex-wrap gap-2">
      <template v-if="episode.phase.kind === 'idea' || episode.phase.kind === 'parked'"
        ><button class="btn btn-main flex-1" @click="dialogs.show({ kind: 'place', episode: episode.id })">
          Put on a slot</button
        ><button class="btn" @click="start">Start</button></template
      ><RouterLink
        v-else-if="episode.phase.kind !== 'dropped'"
        :to="{ name: 'episode', params: { code: episode.code } }"
        class="btn btn-main flex-1"
        >Open the episode</RouterLink
      ><button
        v-else
        class="btn btn-main flex-1"
        @click="library.perform(backToIdeas, { episode: episode.id })"
      >
        Take it back
      </button>
    </div>
    <button
      v-if="episode.phase.kind === 'idea'"
      class="btn btn-bare btn-small justify-self-start text-ink-2"
      @click="library.perform(dropEpisodes, { episodes: [episode.id], why: '' })"
    >
      Let it go
    </button>
  </section>
</template>
