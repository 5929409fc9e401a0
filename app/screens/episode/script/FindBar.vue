<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, useTemplateRef, watch } from 'vue'
import type { Editor } from '@tiptap/core'
import {
  SearchQuery,
  findNext,
  findPrev,
  getMatchHighlights,
  replaceAll,
  replaceNext,
  setSearchState,
} from 'prosemirror-search'
import type { Command } from '@tiptap/pm/state'
import type { Section } from '@core/records'
import { keysOn } from '@app/ui/keymap'
import { findKeys } from '../keymap'

/** Finds words in the whole script, and puts others in their place. */
const { editor, sections } = defineProps<{ editor: Editor; sections: readonly Section[] }>()
const emit = defineEmits<{ close: [] }>()
const wanted = ref('')
const instead = ref('')
const field = useTemplateRef<HTMLInputElement>('field')
const query = computed(() => new SearchQuery({ search: wanted.value, replace: instead.value }))
watch(query, (q) => {
  editor.view.dispatch(setSearchState(editor.state.tr, q))
})
// Counted anew with every change of the document.
const count = computed(() =>
  sections.length > 0 && query.value.valid ? getMatchHighlights(editor.state).find().length : 0,
)
function act(command: Command) {
  command(editor.state, (tr) => {
    editor.view.dispatch(tr.scrollIntoView())
  })
}
onMounted(() => {
  const { from, to, empty } = editor.state.selection
  if (!empty) wanted.value = editor.state.doc.textBetween(from, to, ' ').slice(0, 80)
  field.value?.focus()
  field.value?.select()
})
onBeforeUnmount(() => {
  if (editor.isDestroyed) return
  editor.view.dispatch(setSearchState(editor.state.tr, new SearchQuery({ search: '' })))
  editor.view.focus()
})
const keyed = keysOn(findKeys, {
  next: () => {
    act(findNext)
  },
  back: () => {
    act(findPrev)
  },
})
</script>

<template>
  <div
    role="search"
    aria-label="Find in the script"
    class="flex flex-wrap items-center gap-1.5 py-2"
    @keydown.esc.stop.prevent="emit('close')"
  >
    <input
      ref="field"
      v-model="wanted"
      class="field field-small w-[170px]"
      placeholder="Find"
      aria-label="Find"
      @keydown="keyed"
    /><span class="num min-w-[52px]" aria-live="polite">{{ wanted === '' ? '' : `${count} found` }}</span
    ><input
      v-model="instead"
      class="field field-small w-[170px]"
      placeholder="Put in its place"
      aria-label="Put in its place"
      @keydown.enter.prevent="act(replaceNext)"
    /><button class="btn btn-small" :disabled="count === 0" @click="act(replaceNext)">Replace</button
    ><button class="btn btn-small" :disabled="count === 0" @click="act(replaceAll)">All</button
    ><button class="btn btn-bare btn-small px-1.5" aria-label="Close find" @click="emit('close')">×</button>
  </div>
</template>
