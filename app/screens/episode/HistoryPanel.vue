<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { JournalLine } from '@core/records'
import { sayAway, sayDay } from '@core/rhythm/days'
import { localAt } from '@core/rhythm/zone'
import { useMoment } from '@app/stores/moment'
import { useLibrary } from '@app/stores/library'
import Sheet from '@app/ui/Sheet.vue'
import { useDialogs } from '@app/stores/dialogs'

const { episode } = defineProps<{ episode: string }>()
const library = useLibrary()
const dialogs = useDialogs()
const moment = useMoment()
const lines = ref<JournalLine[]>([])
watch(
  [() => episode, () => library.turns],
  async () => {
    await library.settled()
    lines.value = await library.history(episode)
  },
  { immediate: true },
)
/** What taking back to a line would take back: itself and all that was done here after it. */
const wanted = ref<JournalLine>()
const goes = computed(() =>
  wanted.value
    ? lines.value.filter(
        (l) => l.seq >= (wanted.value?.seq ?? 0) && l.state === 'done' && l.changes.length > 0,
      )
    : [],
)
async function takeBack() {
  const done = await library.takeBack(goes.value.map((l) => l.seq))
  if (done) wanted.value = undefined
}
const when = (line: JournalLine) => localAt(Date.parse(line.at), moment.shows[0]?.zone ?? 'UTC')
</script>

<template>
  <Sheet :open="true" title="History" wide @close="dialogs.close()">
    <p v-if="lines.length === 0" class="sub">Nothing was changed here yet.</p>
    <section v-if="wanted" class="panel border-ring p-3 mb-3" aria-label="What would be taken back">
      <p class="mb-2">
        <strong>{{
          goes.length === 1
            ? 'This would be taken back:'
            : `These ${goes.length} would be taken back, as one:`
        }}</strong>
      </p>
      <ul class="grid gap-1 text-12 max-h-[24vh] overflow-y-auto mb-3">
        <li v-for="l in goes" :key="l.seq">{{ l.sentence }}</li>
      </ul>
      <p class="flex gap-2">
        <button class="btn btn-small btn-main" @click="takeBack">Take back</button
        ><button class="btn btn-small" @click="wanted = undefined">Leave it</button>
      </p>
    </section>
    <ol
      class="grid gap-1.5 max-h-[60vh] overflow-y-auto"
      tabindex="0"
      aria-label="What was done, newest first"
    >
      <li v-for="line in lines" :key="line.seq" class="flex gap-4">
        <span class="num w-[150px] flex-none"
          >{{ sayDay(when(line).day, moment.today) }} {{ when(line).time }}</span
        ><span :class="line.state === 'undone' ? 'line-through text-ink-3' : ''">{{ line.sentence }}</span
        ><span v-if="line.state === 'undone'" class="sub">taken back</span
        ><button
          v-if="line.state === 'done' && line.changes.length > 0"
          class="btn btn-small btn-bare ml-auto"
          :aria-label="`Undo to here: ${line.sentence}`"
          @click="wanted = line"
        >
          Undo to here</button
        ><span class="sub" :class="line.state === 'done' && line.changes.length > 0 ? '' : 'ml-auto'">{{
          sayAway(when(line).day, moment.today)
        }}</span>
      </li>
    </ol>
  </Sheet>
</template>
