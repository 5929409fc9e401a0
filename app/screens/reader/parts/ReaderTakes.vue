<script setup lang="ts">
import { changeTake } from '@core/commands/episode'
import type { Section } from '@core/records'
import { cueKinds, type CueThere } from '@core/script/cues'
import { sayTime } from '@core/script/timecode'
import { useLibrary } from '@app/stores/library'
import { tickedIn, typedIn } from '@app/ui/fields/event'

/** What stands beside the words that are read, and the takes of their section. */
const { episode, section, cues } = defineProps<{
  episode: string
  section: Section | undefined
  cues: readonly CueThere[]
}>()
const library = useLibrary()
const reasons = ['again', 'looked away', 'stumbled', 'sound', 'light', 'focus']
function change(take: string, to: { kept?: boolean; reason?: string }) {
  void library.perform(changeTake, { episode, take, to }, 'quietly')
}
</script>

<template>
  <div class="grid gap-5 content-start">
    <ul v-if="cues.length > 0" aria-label="Cues of these words" class="grid gap-2">
      <li v-for="c in cues" :key="c.cue.id" class="text-12">
        <p class="font-medium">
          <span class="num mr-1.5">{{ c.number }}</span>{{ c.cue.text || cueKinds[c.cue.kind].name }}
        </p>
        <p class="sub">{{ cueKinds[c.cue.kind].name }}</p>
      </li>
    </ul>
    <section v-if="section?.takes?.length" aria-labelledby="takes">
      <h2 id="takes" class="sub mb-1.5">Takes of this section</h2>
      <ol class="grid gap-1.5">
        <li
          v-for="(t, i) in section.takes"
          :key="t.id"
          class="flex items-center gap-2 rounded-full border px-2.5 py-0.5 text-12"
          :class="t.kept ? 'border-ink' : 'border-line text-ink-2'"
        >
          <input
            type="checkbox"
            class="tick scale-75"
            :checked="t.kept"
            :aria-label="`Take ${i + 1} is kept`"
            @change="change(t.id, { kept: tickedIn($event) })"
          /><span class="num">{{ i + 1 }}</span
          ><span v-if="t.kept" class="flex-1">kept</span
          ><select
            v-else
            class="bg-transparent flex-1 min-w-0"
            :value="t.reason"
            :aria-label="`Why take ${i + 1} is not kept`"
            @change="change(t.id, { reason: typedIn($event) })"
          >
            <option v-for="r in reasons" :key="r" :value="r">{{ r }}</option></select
          ><span class="num">{{ sayTime(t.seconds) }}</span>
        </li>
      </ol>
    </section>
  </div>
</template>
