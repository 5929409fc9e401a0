<script setup lang="ts">
import { Download } from '@lucide/vue'
import type { CueKind } from '@core/records'
import type { Card } from '@core/views/card'
import { download } from '@app/ui/download'
import Drop from '@app/ui/Drop.vue'

/** Saves cues of some kinds as a table or as lists to tick. */
const { card, kinds } = defineProps<{ card: Card; kinds: readonly CueKind[] }>()
async function save(as: 'csv' | 'md', close: () => void) {
  close()
  const { cueCsv, cueMarkdown, cuesOfKinds } = await import('@core/formats/cue-lists')
  const cues = cuesOfKinds(card.script, kinds)
  const text = as === 'csv' ? cueCsv(cues) : cueMarkdown(card.title, cues, kinds)
  const name = `${card.episode.code.toLowerCase()}-${kinds[0] ?? 'cues'}.${as}`
  download(name, text, as === 'csv' ? 'text/csv' : 'text/markdown')
}
</script>

<template>
  <Drop label="Save the list" small right
    ><template #label><Download :size="14" /> Save</template
    ><template #default="{ close }"
      ><button class="btn btn-bare w-full" @click="save('csv', close)">As a table (CSV)</button
      ><button class="btn btn-bare w-full" @click="save('md', close)">
        As a list to tick (Markdown)
      </button></template
    ></Drop
  >
</template>
