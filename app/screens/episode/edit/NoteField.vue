<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue'
import { readWords } from '@core/edit/notes'
import { sayTime } from '@core/script/timecode'
import { keysOn } from '@app/ui/keymap'
import KeySign from '@app/ui/KeySign.vue'
import { cutKeys, noteKeys } from '../keymap'
import type { Player } from './usePlayer'

/** The next note, typed while the cut plays: it takes the moment at which its first letter was typed. */
const { player } = defineProps<{ player: Player }>()
const emit = defineEmits<{ note: [text: string, at: number]; paste: [text: string, at: number] }>()
const text = ref('')
const at = ref<number>()
const field = useTemplateRef<HTMLInputElement>('field')
const says = computed(() => (text.value === '' ? '' : readWords(text.value).kind))
function typed() {
  at.value = text.value === '' ? undefined : (at.value ?? player.now.value)
}
function pasted(event: ClipboardEvent) {
  const block = event.clipboardData?.getData('text/plain') ?? ''
  if (!block.trim().includes('\n') && !/^\s*\d+:\d\d/.test(block)) return
  event.preventDefault()
  emit('paste', block, player.now.value)
}
const keyed = keysOn(noteKeys, {
  keep: () => {
    if (text.value.trim() === '') field.value?.blur()
    else emit('note', text.value, at.value ?? player.now.value)
    text.value = ''
    at.value = undefined
  },
  play: () => {
    player.toggle()
  },
  leave: () => {
    text.value = ''
    at.value = undefined
    field.value?.blur()
  },
})
defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <div class="rounded-card border-2 border-line focus-within:border-lamp-line bg-panel px-2 py-1.5">
    <div class="flex items-center gap-2">
      <span class="num text-12 rounded-control bg-raised px-1.5 py-0.5 text-ink">{{
        sayTime(Math.floor(at ?? player.now.value))
      }}</span><input
        ref="field"
        v-model="text"
        class="quiet-field mx-0 px-1 flex-1"
        placeholder="! hold the bolt longer"
        aria-label="A note at this moment"
        @input="typed"
        @paste="pasted"
        @keydown="keyed"
      /><KeySign :line="cutKeys.lines.note" />
    </div>
    <p class="sub text-12 mt-0.5">
      <template v-if="says === ''"
        ><b>!</b> makes it something to do; without it, a remark. Lines with times can be pasted.</template
      ><template v-else>{{
        says === 'to do' ? 'something to do' : 'a remark; ! before it makes it something to do'
      }}</template>
    </p>
  </div>
</template>
