<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import { Plus, Video } from '@lucide/vue'
import { type ScriptWish } from '@core/commands/episode'
import type { Beat } from '@core/records'
import { rewrite, typedIn } from '@app/ui/fields/event'

/** The shots that a beat needs, and a field for another. */
const { beat, named, numbers } = defineProps<{
  beat: Beat
  named: string
  numbers: ReadonlyMap<string, number>
}>()
const emit = defineEmits<{ act: [ScriptWish]; back: [] }>()
const isShooting = ref(false)
function note() {
  isShooting.value = true
  void nextTick(() => document.getElementById(`shot-${beat.id}`)?.focus())
}
function leave() {
  isShooting.value = false
  emit('back')
}
function addShot(event: Event) {
  const text = typedIn(event).trim()
  rewrite(event)
  if (text !== '') emit('act', { kind: 'add cue', beat: beat.id, text, cue: 'shot' })
  else leave()
}
defineExpose({ note, beat: computed(() => beat) })
</script>

<template>
  <ul class="cues">
    <li
      v-for="c in beat.cues"
      :key="c.id"
      class="flex items-center gap-2 group"
      :class="c.got ? 'text-ink-3' : ''"
    >
      <span class="num text-11 w-[18px] text-right">{{ numbers.get(c.id) }}</span><Video
        :size="14"
        class="flex-none text-ink-2"
        aria-label="to film"
      /><input
        class="quiet-field mx-0 py-0.5 text-12"
        :value="c.text"
        :aria-label="`Shot: ${c.text}`"
        @input="emit('act', { kind: 'write cue', cue: c.id, text: typedIn($event) })"
      /><span v-if="c.got" class="text-12" aria-label="got">✓</span
      ><button
        class="text-ink-2 px-1 opacity-0 group-hover:opacity-100 focus-visible:opacity-100"
        :aria-label="`Remove the shot ${c.text}`"
        @click="emit('act', { kind: 'remove cue', cue: c.id })"
      >
        ×
      </button>
    </li>
    <li v-if="isShooting">
      <input
        :id="`shot-${beat.id}`"
        class="field text-12 min-h-[28px]! py-1"
        placeholder="A shot to get, then Enter"
        aria-label="A shot to get"
        @keydown.enter.prevent="addShot($event)"
        @keydown.esc.stop="leave"
        @blur="isShooting = false"
      />
    </li>
    <li v-else>
      <button class="add" :aria-label="`Note a shot for ${named}`" title="Note a shot (Alt S)" @click="note">
        <Plus :size="12" /> shot
      </button>
    </li>
  </ul>
</template>

<style scoped>
.cues {
  padding: 4px 0 0 16px;
  display: grid;
  gap: 2px;
  min-width: 0;
}
.add {
  display: inline-flex;
  align-items: center;
  gap: 3px;
  font-size: 11px;
  color: var(--ink-2);
  opacity: 0;
  padding: 2px 4px;
  border-radius: 4px;
}
:global(.beat:hover) .add,
:global(.beat:focus-within) .add,
.add:focus-visible {
  opacity: 1;
}
@media (max-width: 639px) {
  .cues {
    grid-column: 3;
  }
}
@media (hover: none) {
  .add {
    opacity: 1;
  }
}
</style>
