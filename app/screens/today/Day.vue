<script setup lang="ts">
import { computed, defineAsyncComponent, ref, useTemplateRef } from 'vue'
import { useTimeout } from '@vueuse/core'
import { markReleased } from '@core/commands/release'
import { startStep, stopStep } from '@core/commands/work'
import { layOnDay } from '@core/commands/week'
import { likelyOut } from '@core/release/likely-out'
import { toLookBack } from '@core/views/looking-back'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useSchedule } from '@app/stores/schedule'
import { useWorkload } from '@app/stores/workload'
import { useDesk } from '@app/stores/desk'
import { useSwaps } from '@app/stores/swaps'
import { useLibrary } from '@app/stores/library'
import { useKeymap } from '@app/ui/keymap'
import SwapOffer from '../episode/thumbnail/SwapOffer.vue'
import { endings, todayKeys } from './keymap'
import { useEndings } from './ending'
import { useOpenStep } from './open-step'
import AfterRelease from './parts/AfterRelease.vue'
import DayBar from './parts/DayBar.vue'
import FollowOnNote from './parts/FollowOnNote.vue'
import IsItOut from './parts/IsItOut.vue'
import LeftOver from './parts/LeftOver.vue'
import LookBack from './parts/LookBack.vue'
import MayRemind from './parts/MayRemind.vue'
import NextOut from './parts/NextOut.vue'
import NextStep from './parts/NextStep.vue'
import NextVacant from './parts/NextVacant.vue'
import NoSlotYet from './parts/NoSlotYet.vue'
import NotToday from './parts/NotToday.vue'
import NothingYet from './parts/NothingYet.vue'
import RunningStep from './parts/RunningStep.vue'
import ScriptsOnDesk from './parts/ScriptsOnDesk.vue'
import SessionToday from './parts/SessionToday.vue'
import StandingToday from './parts/StandingToday.vue'
import StillLacking from './parts/StillLacking.vue'
import TakenUp from './parts/TakenUp.vue'
import ThenToday from './parts/ThenToday.vue'
import TodayFrame from './parts/TodayFrame.vue'
import WaitingOn from './parts/WaitingOn.vue'
import WantToKnow from './parts/WantToKnow.vue'
import WereTheyOut from './parts/WereTheyOut.vue'
import WithHelpers from './parts/WithHelpers.vue'
import { useToday } from '@app/stores/today'

/** What is told last is fetched last. */
const isRested = useTimeout(400)
const WithPartners = defineAsyncComponent(() => import('./parts/WithPartners.vue'))
const ReadyAhead = defineAsyncComponent(() => import('../schedule/ReadyAhead.vue'))
const PullSheet = defineAsyncComponent(() => import('../week/PullSheet.vue'))

/** What to do now, what is late, what waits, and the next release. */
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const schedule = useSchedule()
const workload = useWorkload()
const desk = useDesk()
const openStep = useOpenStep()
const today = computed(() => useToday().day)
const swaps = useSwaps()
/** The last release, while it is fresh and nobody looked back on it. */
const lookBack = computed(() => toLookBack(cards.released, moment.today, moment.zone))
const nothing = computed(() => cards.withWork.length === 0)
const next = computed(() => cards.coming[0])
const vacant = computed(() => schedule.rows.find((r) => r.slot && !r.slot.skipped))
const overdue = computed(() => cards.overdue[0])
/** What is out and should have another picture: one at a time. */
const swapped = computed(() => {
  const [first] = swaps.all
  return first && cards.cardOf(first.episode)
})
const askedToRemind = computed(() => desk.mayRemind && cards.coming.length > 0 && library.world === 'own')
/** What a key acts on: what runs, else what is next. */
const here = computed(() => today.value.running ?? today.value.first)

const { endHere } = useEndings()
const pulling = ref<number>()
function pull({ step, from, minutes }: { step: string; from: string; minutes: number }) {
  pulling.value = undefined
  const laid = cards.stepIn.get(step)?.state.step.blocks.some((b) => b.day === from)
  void library.perform(layOnDay, { step, day: moment.today, from: laid ? from : undefined, minutes })
}
const several = useTemplateRef<InstanceType<typeof WereTheyOut>>('several')
/** Says that it is out, at a moment or when it most likely was. */
async function out(said?: number) {
  if (several.value) {
    await several.value.answer()
    return
  }
  if (!overdue.value) return
  const first = cards.released.length === 0
  const { episode, standing } = overdue.value
  const at = said ?? likelyOut(standing, moment.now)
  const done = await library.perform(markReleased, { episode: episode.id, at })
  if (done.ok && first)
    library.say('The Catalogue has joined the bar: what has gone out is kept there.', 'done', [
      done.value.line ?? 0,
    ])
}
useKeymap(todayKeys, {
  open: () => {
    if (here.value) openStep(here.value)
  },
  timer: () => {
    const { running, first } = today.value
    if (running) void library.perform(stopStep, {})
    else if (first) void library.perform(startStep, { step: first.state.step.id })
  },
  end: ({ which }) => {
    const took = endings[which]
    if (took && here.value) endHere(here.value, took)
  },
  all: () => {
    const { running, first } = today.value
    if (!running && first && !first.whole) endHere({ ...first, whole: true }, 'as planned')
  },
  out: () => {
    void out()
  },
})
</script>

<template>
  <TodayFrame :day="moment.today">
    <template v-if="!nothing" #bar
      ><DayBar :blocks="today.blocks" @pull="pulling = workload.figuresOf(moment.today).free"
    /></template>
    <WereTheyOut v-if="cards.overdue.length > 1" ref="several" />
    <IsItOut v-else-if="overdue" :card="overdue" @out="out($event)" />
    <RunningStep v-if="today.running" :step="today.running" />
    <LeftOver v-if="workload.leftOver.length > 0" />
    <SessionToday v-for="s in today.sessions" :key="s.id" :session="s" :quiet="today.running !== undefined" />
    <NextStep
      v-if="today.first"
      :step="today.first"
      :running="today.running !== undefined"
      :quiet="overdue !== undefined || today.running !== undefined || today.sessions.length > 0"
    />
    <SwapOffer v-if="swapped" :card="swapped" />
    <FollowOnNote v-for="n in today.notes" :key="n.followed.id" :card="n.card" :followed="n.followed" />
    <WantToKnow v-for="e in today.told" :key="e.id" :episode="e" />
    <TakenUp v-for="e in today.takenUp" :key="e.id" :episode="e" />
    <ThenToday v-if="today.rest.length > 0" :steps="today.rest" />
    <NotToday v-if="today.notToday.length > 0" :steps="today.notToday" />
    <LookBack v-if="lookBack" :episode="lookBack" />
    <MayRemind v-if="askedToRemind" />
    <StandingToday />
    <NothingYet v-if="nothing" />
    <div class="grid grid-cols-1 gap-5 md:grid-cols-2">
      <AfterRelease v-if="today.following.length > 0" :steps="today.following" />
      <NoSlotYet v-if="today.undated.length > 0" :steps="today.undated" />
      <StillLacking v-if="today.lacking.length > 0" :lacking="today.lacking" />
      <WithHelpers v-if="today.jobs.length > 0" :jobs="today.jobs" />
      <WaitingOn v-if="today.waiting.length > 0" :waiting="today.waiting" />
      <ScriptsOnDesk v-if="today.scripts.length > 0" class="md:row-span-2" :scripts="today.scripts" />
      <WithPartners v-if="isRested" />
    </div>
    <template #aside>
      <div v-if="next" class="grid gap-4 content-start min-w-0">
        <NextOut :card="next" />
        <section class="panel p-4 grid gap-2.5 text-12" aria-label="Ready ahead">
          <h2>Ready ahead</h2>
          <ReadyAhead v-for="s in moment.shows.slice(0, 3)" :key="s.id" :show="s" plain />
        </section>
      </div>
      <NextVacant v-else-if="vacant" :row="vacant" />
      <PullSheet
        v-if="pulling !== undefined"
        :day="moment.today"
        :free="pulling"
        :blocks="workload.load.blocks"
        @pull="pull"
        @close="pulling = undefined"
      />
    </template>
  </TodayFrame>
</template>
