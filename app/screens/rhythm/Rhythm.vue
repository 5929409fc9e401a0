<script setup lang="ts">
import { computed, ref } from 'vue'
import { workNames } from '@core/views/rhythm-findings'
import ChoiceRow from '@app/ui/ChoiceRow.vue'
import { typedIn } from '@app/ui/fields/event'
import ChartFrame from './parts/ChartFrame.vue'
import EstimatesChart from './parts/EstimatesChart.vue'
import FindingText from './parts/FindingText.vue'
import GroupRows from './parts/GroupRows.vue'
import NeverUsed from './parts/NeverUsed.vue'
import PathChart from './parts/PathChart.vue'
import ReadFigures from './parts/ReadFigures.vue'
import TimeSheet from './parts/TimeSheet.vue'
import TypeFigures from './parts/TypeFigures.vue'
import YearFilm from './parts/YearFilm.vue'
import { useRhythm } from './useRhythm'

/** How the promise was kept, where the time goes, and what was worth it: findings first, the picture proves them. */
const of = useRhythm()
const { view, show, shows, choice } = of
const open = ref<'type' | 'read'>()
const names = { 13: '13 weeks', 26: '26 weeks', 52: 'The year' } as const
const year = computed(() =>
  (view.value?.frames ?? []).map((f) => [
    f.number,
    f.title,
    f.made.day,
    f.late,
    f.made.lead,
    f.made.minutes / 60,
    f.usual?.views,
    f.usual?.age,
    f.usual?.times,
  ]),
)
const path = computed(() =>
  (view.value?.path ?? []).map((p) => [p.name, p.cases, p.worked, p.still, p.from, p.to]),
)
const times = computed(() =>
  (view.value?.times ?? []).map((t) => [
    workNames[t.kind],
    t.cases,
    t.planned,
    t.taken,
    t.times,
    t.over,
    t.share,
  ]),
)
/** The widest finding with something to do about it is the one to begin with. */
const main = computed(() => {
  const all = view.value?.findings
  return all && [all.path, all.estimates, all.promise, all.worth].find((f) => f.deed)?.id
})
</script>

<template>
  <div class="mx-auto max-w-[1560px] px-5 py-4 grid grid-cols-1 gap-4 max-sm:px-3">
    <header class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <h1>Rhythm</h1>
      <ChoiceRow
        v-if="shows.length > 1"
        :model-value="show?.id ?? ''"
        label="Which show"
        :of="shows.map((s) => [s.id, s.title] as const)"
        @update:model-value="of.choose({ show: $event, form: '' })"
      />
      <ChoiceRow
        :model-value="choice.period"
        label="How far back"
        :of="of.periods.map((p) => [p, names[p]] as const)"
        @update:model-value="of.choose({ period: $event })"
      />
      <select
        v-if="(show?.forms ?? []).length > 0"
        class="field w-auto"
        aria-label="Which kind"
        :value="of.form.value ?? ''"
        @change="of.choose({ form: typedIn($event) })"
      >
        <option value="">Every kind</option>
        <option v-for="f in show?.forms ?? []" :key="f.id" :value="f.id">{{ f.name }}</option>
      </select>
      <p class="flex-1" />
      <button class="btn" @click="open = 'type'">Type figures</button
      ><button class="btn" @click="open = 'read'">Read a file</button>
    </header>
    <p v-if="of.isReading.value" role="status" class="sub">Reading what past work took…</p>
    <template v-else-if="view && view.frames.length > 0">
      <section
        class="film text-ink rounded-panel bg-base p-4 grid grid-cols-1 gap-x-6 lg:grid-cols-[264px_minmax(0,1fr)]"
        aria-label="The promise"
      >
        <div class="grid gap-4 lg:grid-rows-[104px_100px_auto] content-start">
          <FindingText :finding="view.findings.promise" :main="main === 'promise'" @act="of.act" />
          <FindingText :finding="view.findings.lead" @act="of.act" />
          <FindingText :finding="view.findings.worth" :main="main === 'worth'" @act="of.act" />
        </div>
        <ChartFrame
          name="Releases"
          :columns="[
            'Number',
            'Title',
            'Out',
            'Days late',
            'Days ready ahead',
            'Hours',
            'Views',
            'After days',
            'Times usual',
          ]"
          :rows="year"
          ><YearFilm :view="view"
        /></ChartFrame>
      </section>
      <div class="grid grid-cols-1 gap-x-10 gap-y-6 lg:grid-cols-2">
        <section class="grid gap-3 content-start min-w-0" aria-label="The path of an episode">
          <FindingText :finding="view.findings.path" :main="main === 'path'" @act="of.act" />
          <ChartFrame
            v-if="view.path.length > 0"
            name="Path of an episode"
            :columns="[
              'Stage',
              'Episodes',
              'Days worked',
              'Days still',
              'Begins, days before',
              'Ends, days before',
            ]"
            :rows="path"
            ><PathChart :path="view.path"
          /></ChartFrame>
        </section>
        <section class="grid gap-3 content-start min-w-0" aria-label="Planned and taken">
          <FindingText :finding="view.findings.estimates" :main="main === 'estimates'" @act="of.act" />
          <ChartFrame
            v-if="view.times.length > 0"
            name="Planned and taken"
            :columns="[
              'Work',
              'Episodes',
              'Planned, min',
              'Taken, min',
              'Times',
              'Ran over',
              'Share of hours',
            ]"
            :rows="times"
            ><EstimatesChart :times="view.times"
          /></ChartFrame>
        </section>
      </div>
      <NeverUsed v-if="show" :show="show" />
      <GroupRows v-if="view.groups.length > 0" :groups="view.groups" />
      <TimeSheet />
    </template>
    <section v-else class="panel p-8 text-center">
      <h2 class="text-20 mb-1">{{ view ? 'Nothing went out in this time' : 'Nothing has gone out yet' }}</h2>
      <p class="sub mb-4">
        Here stands how the promise was kept, how far ahead you were, and what your hours went into. It needs
        releases whose steps were done here.
      </p>
      <RouterLink to="/schedule" class="btn">To the schedule</RouterLink>
    </section>
    <TypeFigures v-if="open === 'type' && show" :show="show" @close="open = undefined" />
    <ReadFigures v-if="open === 'read' && show" :show="show" @close="open = undefined" />
  </div>
</template>
