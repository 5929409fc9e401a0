<script setup lang="ts">
import { sayToSpare } from '@core/views/verdict'
import { computed, shallowRef } from 'vue'
import { watchDebounced } from '@vueuse/core'
import { closeRound } from '@core/commands/cuts'
import type { Cut } from '@core/records'
import { daysBetween, sayDay } from '@core/rhythm/days'
import { sayTime } from '@core/script/timecode'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import { usePlan } from '@app/stores/plan'
import { useWorkload } from '@app/stores/workload'
import KeySign from '@app/ui/KeySign.vue'
import { useJob } from '../helper/useJob'
import { cutKeys } from '../keymap'
import AskLook from './AskLook.vue'
import CutLiesWith from './CutLiesWith.vue'
import HandOver from './HandOver.vue'
import type { CutInHand } from './useCut'

/** How the round of a cut stands, what a further one would do to the release, and how it ends. */
const { cut, of, card } = defineProps<{ cut: Cut; of: CutInHand; card: Card }>()
const emit = defineEmits<{ approve: []; next: [] }>()
const library = useLibrary()
const moment = useMoment()
const plan = usePlan()
const workload = useWorkload()
const counts = computed(() => of.counts.value)
const job = useJob(() => card.episode.id, 'cut')
const says = computed(() => {
  const { open = 0, again = 0 } = counts.value ?? {}
  if (cut.closed?.kind === 'approved')
    return `Cut ${cut.number} is approved${cut.length ? `, ${sayTime(cut.length)}` : ''}.`
  if (cut.closed) return `Another round was asked for. Cut ${cut.number + 1} comes next.`
  if (open === 0) return `Nothing is left to do in cut ${cut.number}.`
  return `${open} ${open === 1 ? 'thing' : 'things'} to do${again > 0 ? `, ${again} of them again` : ''}.`
})
type Ready = { day: string; left: number } | undefined
/** When all before the release is done, either way, as the work is laid; looked at when the work is another. */
const after = shallowRef<{ another: Ready; approved: Ready }>()
function look() {
  const { release } = card.standing
  if (cut.closed || release === undefined) {
    after.value = undefined
    return
  }
  const ready = (as: 'another' | 'approved'): Ready => {
    const done = closeRound(library.records, { cut: cut.id, as }, { now: moment.now, id: library.newId })
    const day = done.ok ? plan.readyAfter(card.episode.id, done.value.changes) : undefined
    return day === undefined ? undefined : { day, left: daysBetween(day, release.day) }
  }
  after.value = { another: ready('another'), approved: ready('approved') }
}
watchDebounced([() => cut.id, () => cut.closed, () => workload.load], look, {
  debounce: 300,
  immediate: true,
})
const sayReady = (at: Ready) =>
  at === undefined
    ? 'finds no room before the release'
    : at.left < 0
      ? `ready ${sayDay(at.day, moment.today)}, ${sayToSpare(at.left)}`
      : `planned to be ready ${sayDay(at.day, moment.today)}`
</script>

<template>
  <section aria-label="The round" class="grid gap-2 border-t border-faint pt-3">
    <div class="flex items-baseline gap-2">
      <span class="font-title font-semibold text-16 flex-1" role="status">{{ says }}</span><span
        v-if="of.usual.value"
        class="sub"
        >usually {{ of.usual.value }} {{ of.usual.value === 1 ? 'cut' : 'cuts' }}</span
      >
      <HandOver v-if="cut.closed?.kind !== 'approved'" :cut="cut" :of="of" :card="card" :job="job" />
    </div>
    <div v-if="!cut.closed" class="grid grid-cols-[auto_minmax(0,1fr)] gap-x-3 gap-y-1.5 items-center">
      <button class="btn" :class="counts?.open === 0 ? 'btn-main' : ''" @click="emit('approve')">
        Approve cut {{ cut.number }} <KeySign :line="cutKeys.lines.approve" />
      </button>
      <p class="sub">
        <template v-if="after">{{ sayReady(after.approved) }}</template>
      </p>
      <button class="btn" :class="counts?.open ? 'btn-main' : ''" @click="of.close('another')">
        Ask for cut {{ cut.number + 1 }}
      </button>
      <p class="sub">
        <template v-if="after">{{ sayReady(after.another) }}</template>
      </p>
    </div>
    <p v-else class="flex gap-2">
      <button v-if="cut.closed.kind === 'another'" class="btn btn-main" @click="emit('next')">
        Cut {{ cut.number + 1 }} is here</button
      ><button class="btn" @click="of.reopen">Open cut {{ cut.number }} again</button>
    </p>
    <CutLiesWith v-if="job.job.value" :cut="cut" :of="of" :card="card" :job="job" :given="job.job.value" />
    <AskLook v-if="!cut.closed" :cut="cut" :card="card" />
  </section>
</template>
