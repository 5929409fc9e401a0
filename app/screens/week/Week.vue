<script setup lang="ts">
import { defineAsyncComponent, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { Day, Id, StandingWork } from '@core/records'
import type { DayBlock } from '@core/views/week'
import { useWorkload } from '@app/stores/workload'
import { useLibrary } from '@app/stores/library'
import { usePlan } from '@app/stores/plan'
import KeySign from '@app/ui/KeySign.vue'
import DaysChosen from './DaysChosen.vue'
import DayRow from './DayRow.vue'
import { weekKeys } from './keymap'
import LeftOverRow from './parts/LeftOverRow.vue'
import NoDayYet from './parts/NoDayYet.vue'
import OnTime from './parts/OnTime.vue'
import OutOfOrder from './parts/OutOfOrder.vue'
import ProposedPlan from './parts/ProposedPlan.vue'
import WeekHead from './parts/WeekHead.vue'
import { useBlocks } from './useBlocks'
import { usePlanning } from './usePlanning'
import { useWeek } from './useWeek'
import './week.css'

const BlockSheet = defineAsyncComponent(() => import('./BlockSheet.vue'))
const BusySheet = defineAsyncComponent(() => import('./BusySheet.vue'))
const PullSheet = defineAsyncComponent(() => import('./PullSheet.vue'))
const StandingSheet = defineAsyncComponent(() => import('./StandingSheet.vue'))

/**
 * The week: days as rows as long as their hours, steps as blocks as long as their minutes. Solid is laid by
 * hand or taken from a plan, dashed what planning would add.
 */
const library = useLibrary()
const router = useRouter()
const workload = useWorkload()
const plan = usePlan()
plan.want()
const week = useWeek()
const planning = usePlanning(week.monday)
const blocks = useBlocks(week, planning.propose)

const picked = ref(new Set<Day>())
function toggle(day: Day) {
  const next = new Set(picked.value)
  if (next.has(day)) next.delete(day)
  else next.add(day)
  picked.value = next
}
const pulling = ref<{ day: Day; free: number }>()
function pull(what: { step: Id; from: Day; minutes: number }) {
  const day = pulling.value?.day
  pulling.value = undefined
  if (day) void blocks.lay(what.step, day, what.from, what.minutes)
}
/** A dashed block of a proposal is chosen or not; any other is gone to. */
function press(b: DayBlock) {
  if (b.session) void router.push({ name: 'session', params: { session: b.session.id } })
  else if (plan.proposal && b.kind === 'would' && week.inPlan.value.has(b.step)) planning.choose(b.key)
  else blocks.open(b.step)
}
const acting = ref<DayBlock>()
function act(what: 'open' | 'pin' | 'split' | 'join' | 'off' | 'timer') {
  const b = acting.value
  acting.value = undefined
  if (!b) return
  if (what === 'open' || what === 'timer') blocks[what](b.step)
  else void blocks[what](b)
}
const standing = ref<{ work?: StandingWork; day?: Day }>()
const busyOpen = ref(false)
</script>

<template>
  <div
    class="mx-auto max-w-[1360px] px-5 py-4 grid grid-cols-1 gap-6 lg:grid-cols-[minmax(0,1fr)_272px] max-sm:px-3"
  >
    <div class="min-w-0">
      <WeekHead :week="week" :planning="planning" />
      <ProposedPlan v-if="plan.proposal" :proposal="plan.proposal" :planning="planning" />
      <ol aria-label="Days of the week">
        <LeftOverRow v-if="workload.leftOver.length > 0 && week.offset.value === 0" />
        <OutOfOrder />
        <DayRow
          v-for="r in week.rows.value"
          :key="r.day"
          :r="r"
          :scale="week.scale.value"
          :picked="picked.has(r.day)"
          :chosen="planning.chosen.value"
          @pick="toggle(r.day)"
          @pull="pulling = { day: r.day, free: r.free }"
          @busy="busyOpen = true"
          @drop="blocks.dropped($event, r.day)"
          @standing="standing = { work: $event.work, day: $event.day }"
          @drop-on="blocks.droppedOn"
          @point="planning.explain"
          @press="press"
          @more="acting = $event"
        />
      </ol>
      <DaysChosen v-if="picked.size > 0" :days="[...picked]" @done="picked = new Set()" />
      <p class="flex flex-wrap gap-2 mt-3">
        <button class="btn btn-small" @click="standing = {}">Standing work</button
        ><button class="btn btn-small" @click="busyOpen = true">Busy time from a calendar</button>
      </p>
      <p class="sub mt-3">
        Drag a block to another day, or press <KeySign :line="weekKeys.lines.day" /> on it,
        <KeySign :line="weekKeys.lines.order" /> for its place in the day;
        <KeySign :line="weekKeys.lines.pin" /> pins it, <KeySign :line="weekKeys.lines.split" /> splits it,
        <KeySign :line="weekKeys.lines.join" /> joins it, <KeySign :line="weekKeys.lines.timer" /> starts it.
        Choose days to change their hours.
      </p>
    </div>
    <aside class="grid gap-5 content-start">
      <OnTime @lay="blocks.layWhole" />
      <NoDayYet @lay="blocks.layWhole" />
    </aside>
    <BlockSheet
      v-if="acting"
      :block="acting"
      :running="library.settings.running?.step === acting.step"
      @act="act"
      @close="acting = undefined"
    />
    <StandingSheet v-if="standing" :work="standing.work" :day="standing.day" @close="standing = undefined" />
    <BusySheet v-if="busyOpen" @close="busyOpen = false" />
    <PullSheet
      v-if="pulling"
      :day="pulling.day"
      :free="pulling.free"
      :blocks="workload.load.blocks"
      @pull="pull"
      @close="pulling = undefined"
    />
  </div>
</template>
