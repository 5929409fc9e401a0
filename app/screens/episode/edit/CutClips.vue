<script setup lang="ts">
import { computed, ref } from 'vue'
import { X } from '@lucide/vue'
import { readClip, unlicensedClips } from '@core/edit/clips'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import Flag from '@app/ui/Flag.vue'
import { useWriting } from '../writing'

/** Clips found while editing: noted in one line with source and licence, they become credits. */
const { card } = defineProps<{ card: Card }>()
const library = useLibrary()
const write = useWriting(() => card)
const line = ref('')
const clips = computed(() => card.episode.clips ?? [])
const open = computed(() => new Set(unlicensedClips(card.episode).map((c) => c.id)))
function add() {
  const read = readClip(line.value)
  if (read.text === '') return
  void write({ clips: [...clips.value, { id: library.newId(), ...read }] }, 'the clips')
  line.value = ''
}
</script>

<template>
  <section aria-labelledby="clips" class="border-t border-faint pt-3">
    <h2 id="clips" class="text-14 mb-1">Found for it</h2>
    <ul class="grid gap-1 text-12 mb-1.5">
      <li v-for="c in clips" :key="c.id" class="flex items-center gap-2">
        <span class="flex-1 min-w-0"
          ><span class="font-medium">{{ c.text }}</span
          ><span class="text-ink-2"
            >{{ c.source ? `, ${c.source}` : '' }}{{ c.licence ? `, ${c.licence}` : '' }}</span
          ><template v-if="open.has(c.id)">
            <span class="late ml-1.5"><Flag :size="9" />no licence</span></template
          ></span
        ><button
          class="btn btn-bare btn-small px-1"
          :aria-label="`Take “${c.text}” off`"
          @click="write({ clips: clips.filter((x) => x.id !== c.id) }, 'the clips')"
        >
          <X :size="13" />
        </button>
      </li>
    </ul>
    <form @submit.prevent="add">
      <input
        v-model="line"
        class="field w-full"
        placeholder="Harbour at dawn, by whom, licence"
        aria-label="A clip found: what, by whom, licence"
      />
    </form>
  </section>
</template>
