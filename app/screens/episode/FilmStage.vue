<script setup lang="ts">
import { computed } from 'vue'
import { writeScript } from '@core/commands/episode'
import type { StageState } from '@core/recipe/progress'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import StepList from './StepList.vue'
import { tickedIn } from '@app/ui/fields/event'

/** The shots of the script, to be ticked as they are got. */
const { card, here } = defineProps<{ card: Card; here: StageState }>()
const library = useLibrary()
const sections = computed(() =>
  (card.script?.sections ?? [])
    .map((s) => ({
      ...s,
      shots: s.beats.flatMap((b) => b.cues.filter((c) => c.kind === 'shot').map((cue) => ({ cue, beat: b }))),
    }))
    .filter((s) => s.shots.length > 0),
)
const all = computed(() => sections.value.flatMap((s) => s.shots))
const got = computed(() => all.value.filter((s) => s.cue.got).length)
function tick(cue: string, event: Event) {
  void library.perform(
    writeScript,
    {
      episode: card.episode.id,
      wish: { kind: 'get cue', cue, got: tickedIn(event) },
    },
    'quietly',
  )
}
</script>

<template>
  <div class="mx-auto max-w-[1080px] px-5 py-5 grid grid-cols-1 gap-8 lg:grid-cols-[minmax(0,1fr)_280px]">
    <section aria-labelledby="shots">
      <div class="flex items-baseline gap-3 mb-3">
        <h2 id="shots">{{ card.show.kind === 'audio' ? 'Sounds to get' : 'Shots to get' }}</h2>
        <p class="num">{{ got }} of {{ all.length }}</p>
      </div>
      <div class="h-1 bg-raised rounded-full mb-4 overflow-hidden" aria-hidden="true">
        <div class="h-full bg-ink-2" :style="{ width: `${all.length ? (got / all.length) * 100 : 0}%` }" />
      </div>
      <div v-if="all.length === 0" class="panel p-6">
        <p class="mb-3">
          No shots are noted. Note them beside the beats of the script, and they stand here to be ticked.
        </p>
        <RouterLink
          :to="{ name: 'episode', params: { code: card.episode.code, stage: 'script' } }"
          class="btn"
          >To the script</RouterLink
        >
      </div>
      <section v-for="s in sections" :key="s.id" class="mb-5">
        <h3 class="text-14 text-ink-2 mb-1">{{ s.title }}</h3>
        <ul class="panel divide-y divide-faint">
          <li v-for="{ cue, beat } in s.shots" :key="cue.id">
            <label class="flex items-start gap-3 px-4 py-2.5 cursor-pointer"
              ><input
                type="checkbox"
                class="tick mt-0.5"
                :checked="cue.got"
                @change="tick(cue.id, $event)"
              /><span class="flex-1"
                ><span class="block text-16" :class="cue.got ? 'text-ink-2' : 'font-medium'">{{
                  cue.text
                }}</span
                ><span class="sub line-clamp-1">{{ beat.text }}</span></span
              ></label
            >
          </li>
        </ul>
      </section>
    </section>
    <aside><StepList :card="card" :here="here" /></aside>
  </div>
</template>
