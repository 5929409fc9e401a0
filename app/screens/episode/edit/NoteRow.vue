<script setup lang="ts">
import { computed } from 'vue'
import { X } from '@lucide/vue'
import type { CutNote } from '@core/records'
import { sayTime } from '@core/script/timecode'
import { typedIn } from '@app/ui/fields/event'

/** One note: pressed, the cut goes to its moment; ticked where it is done. */
const { note, here, from, closed } = defineProps<{
  note: CutNote
  /** The cut stands at it. */
  here: boolean
  /** Who made the cut; empty for the creator. */
  from: string
  closed: boolean
}>()
const emit = defineEmits<{
  seek: []
  tick: []
  change: [to: Partial<Pick<CutNote, 'text' | 'mine' | 'kind'>>]
  remove: []
}>()
const isFor = computed(() => note.kind === 'to do' && from !== '')
const history = () => {
  const [first] = note.asked
  return [
    note.by === undefined ? '' : `by ${note.by}`,
    note.asked.length > 1 ? `again, asked first in cut ${first ?? 1}` : '',
  ]
    .filter(Boolean)
    .join(', ')
}
function reword(event: Event) {
  const text = typedIn(event).trim()
  if (text !== '' && text !== note.text) emit('change', { text })
}
function leave(event: Event) {
  if (event.target instanceof HTMLElement) event.target.blur()
}
</script>

<template>
  <div class="flex items-start gap-2 rounded-control px-1 py-0.5" :class="here ? 'bg-raised' : ''">
    <input
      v-if="note.kind === 'to do'"
      type="checkbox"
      class="tick mt-1"
      :checked="note.done !== undefined"
      :disabled="closed"
      :aria-label="`Done: ${note.text}`"
      @change="emit('tick')"
    /><span v-else class="w-[18px] text-center text-ink-2" aria-hidden="true">–</span
    ><button
      class="num text-12 mt-0.5 w-[40px] flex-none text-right hover:underline"
      :aria-label="`To ${sayTime(note.at)}`"
      @click="emit('seek')"
    >
      {{ sayTime(note.at) }}
    </button>
    <div class="flex-1 min-w-0">
      <textarea
        class="quiet-field mx-0 px-1 py-0 w-full resize-none [field-sizing:content] leading-[22px]"
        :class="note.kind === 'to do' && !note.done ? 'font-semibold' : 'text-ink-2'"
        rows="1"
        :value="note.text"
        :readonly="closed"
        :aria-label="`Note at ${sayTime(note.at)}`"
        @change="reword"
        @keydown.enter.prevent="leave"
      />
      <p v-if="isFor || history()" class="sub text-12 px-1">
        <button
          v-if="isFor"
          class="hover:underline"
          :disabled="closed"
          :aria-label="`For ${note.mine ? 'me' : from}; change: ${note.text}`"
          @click="emit('change', { mine: !note.mine })"
        >
          for {{ note.mine ? 'me' : from }}</button
        ><template v-if="history() && !note.done">{{ isFor ? ', ' : '' }}{{ history() }}</template>
      </p>
    </div>
    <button
      v-if="!closed"
      class="text-ink-2 px-0.5 mt-1"
      :aria-label="`Remove: ${note.text}`"
      @click="emit('remove')"
    >
      <X :size="13" />
    </button>
  </div>
</template>
