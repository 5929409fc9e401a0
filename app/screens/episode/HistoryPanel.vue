<script setup lang="ts">
import { ref, watch } from 'vue'
import type { JournalLine } from '@core/model'
import { sayAway, sayDay } from '@core/rhythm/days'
import { localAt } from '@core/rhythm/zone'
import { useBoard } from '@app/stores/board'
import { useLibrary } from '@app/stores/library'
import Sheet from '@app/ui/Sheet.vue'

const { episode } = defineProps<{ episode: string }>()
const emit = defineEmits<{ close: [] }>()
const library = useLibrary()
const board = useBoard()
const lines = ref<JournalLine[]>([])
watch(
  [() => episode, () => library.turns],
  async () => {
    await library.settled()
    lines.value = await library.history(episode)
  },
  { immediate: true },
)
const when = (line: JournalLine) => localAt(Date.parse(line.at), board.shows[0]?.zone ?? 'UTC')
</script>

<template>
  <Sheet :open="true" title="History" wide @close="emit('close')">
    <p v-if="lines.length === 0" class="sub">Nothing was changed here yet.</p>
    <ol
      class="grid gap-1.5 max-h-[60vh] overflow-y-auto"
      tabindex="0"
      aria-label="What was done, newest first"
    >
      <li v-for="line in lines" :key="line.seq" class="flex gap-4">
        <span class="num w-[150px] flex-none"
          >{{ sayDay(when(line).day, board.today) }} {{ when(line).time }}</span
        ><span :class="line.state === 'undone' ? 'line-through text-ink-3' : ''">{{ line.sentence }}</span
        ><span v-if="line.state === 'undone'" class="sub">taken back</span
        ><span class="sub ml-auto">{{ sayAway(when(line).day, board.today) }}</span>
      </li>
    </ol>
  </Sheet>
</template>
