<script setup lang="ts">
import { computed } from 'vue'
import { writeScript } from '@core/commands/episode'
import type { CueKind } from '@core/records'
import { cueKinds, lacksLicence, numberedCues, uploadPlaces } from '@core/script/cues'
import { sayTime } from '@core/script/timecode'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { tickedIn } from '@app/ui/fields/event'
import { stageWith } from '../mend'
import SaveCues from './SaveCues.vue'

/** Cues of the script by their kinds, each a list for whoever needs it: ticked where it is done, saved as a file. */
const {
  card,
  kinds,
  kept = true,
} = defineProps<{
  card: Card
  kinds: readonly CueKind[]
  /** Whether they are saved from here; else with others. */
  kept?: boolean
}>()
const library = useLibrary()
const lists = computed(() => {
  const all = numberedCues(card.script)
  return kinds.flatMap((kind) => {
    const cues = all.filter((c) => c.cue.kind === kind)
    return cues.length > 0 ? [{ kind, cues, got: cues.filter((c) => c.cue.got).length }] : []
  })
})
function tick(cue: string, event: Event) {
  const wish = { kind: 'get cue' as const, cue, got: tickedIn(event) }
  void library.perform(writeScript, { episode: card.episode.id, wish }, 'quietly')
}
const toScript = computed(() => ({
  name: 'episode',
  params: { code: card.episode.code, stage: stageWith(card, 'script') },
}))
</script>

<template>
  <section v-for="(list, i) in lists" :key="list.kind" class="mb-5" :aria-labelledby="`list-${list.kind}`">
    <div class="flex items-center gap-3 mb-2">
      <h2 :id="`list-${list.kind}`">{{ cueKinds[list.kind].list }}</h2>
      <p class="num">{{ list.got }} of {{ list.cues.length }}</p>
      <span class="flex-1" /><SaveCues v-if="kept && i === 0" :card="card" :kinds="kinds" />
    </div>
    <ul class="panel divide-y divide-faint">
      <li v-for="{ cue, number, section, words } in list.cues" :key="cue.id">
        <label class="flex items-start gap-3 px-4 py-2 cursor-pointer"
          ><input
            type="checkbox"
            class="tick mt-0.5"
            :checked="cue.got"
            @change="tick(cue.id, $event)"
          /><span class="flex-1 min-w-0"
            ><span class="block" :class="cue.got ? 'text-ink-2' : 'font-medium'"
              >{{ cue.text || cueKinds[cue.kind].name
              }}<span v-if="cue.place" class="sub">, {{ uploadPlaces[cue.place] }}</span></span
            ><span class="sub line-clamp-1">{{ section.title }}: {{ words }}</span></span
          ><span v-if="cue.at !== undefined" class="num text-ink">{{ sayTime(cue.at) }}</span
          ><span v-if="lacksLicence(cue)" class="late text-12">no licence noted</span
          ><span v-else-if="cue.licence" class="sub">{{ cue.licence }}</span
          ><span class="num">{{ number }}</span></label
        >
      </li>
    </ul>
  </section>
  <div v-if="lists.length === 0 && $slots['default']" class="panel p-6">
    <p class="mb-3"><slot /></p>
    <RouterLink :to="toScript" class="btn">To the script</RouterLink>
  </div>
</template>
