<script setup lang="ts">
import { sum } from 'd3-array'
import { computed, ref, shallowRef } from 'vue'
import { dropBusy, takeBusy } from '@core/commands/standing'
import type { BusyRead } from '@core/formats/busy'
import { hoursOn } from '@core/plan/load'
import { addDays, sayDay } from '@core/rhythm/days'
import { sayMinutes } from '@core/script/timecode'
import { useMoment } from '@app/stores/moment'
import { useLibrary } from '@app/stores/library'
import { textOfFile } from '@app/ui/text-file'
import Sheet from '@app/ui/Sheet.vue'
import { filesIn } from '@app/ui/fields/event'

/** Busy time from a calendar file, looked at before it is taken: each time by itself. */
const emit = defineEmits<{ close: [] }>()
const library = useLibrary()
const moment = useMoment()
const read = shallowRef<BusyRead>()
const without = ref(new Set<string>())
const fault = ref('')
const key = (e: BusyRead['events'][number]) => `${e.uid} ${e.day} ${e.at ?? ''}`
const taken = computed(() => (read.value?.events ?? []).filter((e) => !without.value.has(key(e))))
const there = computed(() => [...library.tables.busy.values()].filter((b) => b.day >= moment.today).length)
async function choose(event: Event) {
  const file = filesIn(event)[0]
  if (!file) return
  const { readBusy } = await import('@core/formats/busy')
  const found = readBusy(
    await textOfFile(file),
    moment.shows[0]?.zone ?? 'UTC',
    moment.today,
    addDays(moment.today, 182),
  )
  fault.value = found.ok ? '' : found.problem.sentence
  read.value = found.ok ? found.value : undefined
  // What falls on days without hours takes nothing; it is left out unless asked for.
  without.value = new Set(
    (found.ok ? found.value.events : []).filter((e) => hoursOn(moment.settings, e.day) === 0).map(key),
  )
}
function toggle(e: BusyRead['events'][number]) {
  const next = new Set(without.value)
  if (next.has(key(e))) next.delete(key(e))
  else next.add(key(e))
  without.value = next
}
async function take() {
  if (!read.value) return
  const done = await library.perform(takeBusy, { events: taken.value, uids: read.value.uids })
  if (done.ok) emit('close')
  else fault.value = done.problem.sentence
}
async function drop() {
  await library.perform(dropBusy, {})
  emit('close')
}
</script>

<template>
  <Sheet :open="true" title="Busy time from a calendar" wide @close="emit('close')">
    <p class="sub mb-3">
      Choose an iCalendar file (.ics) that your calendar exported. Each time takes its length from that day’s
      hours. Taken again later, the same events are updated.
    </p>
    <label class="block"
      ><span class="unseen">Calendar file</span
      ><input
        class="field"
        type="file"
        accept=".ics,text/calendar"
        aria-label="Calendar file"
        @change="choose"
    /></label>
    <p v-if="fault" role="alert" class="late mt-3">{{ fault }}</p>
    <template v-if="read">
      <p class="mt-3">
        <strong>{{ taken.length }}</strong> of {{ read.events.length }} busy
        {{ read.events.length === 1 ? 'time' : 'times' }} in the next 26 weeks,
        {{ sayMinutes(sum(taken, (e) => e.minutes))
        }}<template v-if="read.left.length > 0"
          >; left out:
          {{
            read.left
              .slice(0, 4)
              .map((l) => `${l.name} (${l.why})`)
              .join(', ')
          }}{{ read.left.length > 4 ? ` and ${read.left.length - 4} more` : '' }}</template
        >.
      </p>
      <ul class="mt-2 max-h-[38vh] overflow-y-auto panel divide-y divide-faint" aria-label="Busy times read">
        <li v-for="e in read.events.slice(0, 400)" :key="key(e)">
          <label class="flex items-center gap-3 px-3 py-1.5"
            ><input type="checkbox" class="tick" :checked="!without.has(key(e))" @change="toggle(e)" /><span
              class="w-[92px]"
              >{{ sayDay(e.day) }}</span
            ><span class="num w-[48px]">{{ e.minutes >= 1440 ? '' : e.at }}</span
            ><span class="flex-1 truncate">{{ e.name }}</span
            ><span class="num">{{ e.minutes >= 1440 ? 'all day' : sayMinutes(e.minutes) }}</span></label
          >
        </li>
      </ul>
      <button class="btn btn-main mt-3" :disabled="taken.length === 0" @click="take">
        Take {{ taken.length }}
      </button>
    </template>
    <p v-if="there > 0 && !read" class="mt-4 flex items-center gap-3">
      <span class="flex-1"
        >{{ there }} busy {{ there === 1 ? 'time is' : 'times are' }} kept from earlier files.</span
      ><button class="btn btn-small" @click="drop">Drop all of them</button>
    </p>
  </Sheet>
</template>
