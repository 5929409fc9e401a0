<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import { FileDown, FileUp, X } from '@lucide/vue'
import type { StageState } from '@core/recipe/progress'
import type { Card } from '@core/views/card'
import { download } from '@app/ui/download'
import { filesIn } from '@app/ui/fields/event'
import { textOfFile } from '@app/ui/text-file'
import { useLibrary } from '@app/stores/library'
import KeySign from '@app/ui/KeySign.vue'
import IdeaKnowledge from '../../ideas/idea/IdeaKnowledge.vue'
import { episodeKeys } from '../keymap'
import NotebookGuidance from './NotebookGuidance.vue'

/** All that is known of the episode, beside the work on it: the same as on its page as an idea. */
const { card, here } = defineProps<{ card: Card; here: StageState }>()
const emit = defineEmits<{ close: [] }>()
const library = useLibrary()
const knowledge = useTemplateRef<{ append: (markdown: string) => void }>('knowledge')
const about = computed(() => ({
  episode: card.episode,
  title: card.title,
  show: card.show.title,
  keywords: card.episode.idea.keywords.flatMap((id) => library.tables.keywords.get(id) ?? []),
  fields: card.show.fields,
}))
async function save() {
  const { notebookFile } = await import('./notebook-file')
  const file = await notebookFile(about.value, card.number, (id) => library.file(id))
  download(file.name, file.bytes, file.type)
}
async function readIn(event: Event) {
  for (const file of filesIn(event)) knowledge.value?.append(await textOfFile(file))
}
</script>

<template>
  <aside class="notebook" aria-labelledby="notebook">
    <header class="flex items-center gap-1 mb-2">
      <h2 id="notebook" class="flex-1">Notebook <KeySign :line="episodeKeys.lines.notebook" :which="0" /></h2>
      <label class="btn btn-bare btn-small px-1.5 relative" title="Read a Markdown file in"
        ><input
          type="file"
          accept=".md,.markdown,.txt,text/markdown,text/plain"
          class="absolute inset-0 opacity-0 cursor-pointer"
          aria-label="Read a Markdown file in"
          @change="readIn" /><FileUp :size="16" /></label
      ><button
        class="btn btn-bare btn-small px-1.5"
        aria-label="Save it as Markdown"
        title="Save it as Markdown"
        @click="save"
      >
        <FileDown :size="16" /></button
      ><button class="btn btn-bare btn-small px-1.5" aria-label="Close the notebook" @click="emit('close')">
        <X :size="17" />
      </button>
    </header>
    <IdeaKnowledge ref="knowledge" :episode="card.episode" :stage="here.stage.kind" />
    <NotebookGuidance :card="card" :here="here" />
  </aside>
</template>

<style scoped>
.notebook {
  position: sticky;
  top: 0;
  flex: none;
  width: 380px;
  min-height: calc(100vh - 140px);
  max-height: 100vh;
  overflow-y: auto;
  padding: 14px 18px 28px;
  border-left: 1px solid var(--faint);
  background: var(--panel);
}
@media (max-width: 900px) {
  .notebook {
    position: fixed;
    inset: 0 0 0 auto;
    z-index: 30;
    width: min(100vw, 420px);
    border-left: 1px solid var(--line);
  }
}
</style>
