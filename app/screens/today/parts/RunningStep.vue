<script setup lang="ts">
import { computed } from 'vue'
import { correctLog, stopStep } from '@core/commands/work'
import { ranFor } from '@core/commands/work/logged'
import { sayMinutes } from '@core/script/timecode'
import { shareOf, type Today } from '@core/views/today'
import { useMoment } from '@app/stores/moment'
import { useLibrary } from '@app/stores/library'
import NumberField from '@app/ui/fields/NumberField.vue'
import KeySign from '@app/ui/KeySign.vue'
import LampMark from '@app/ui/LampMark.vue'
import { useEndings } from '../ending'
import { endings, todayKeys } from '../keymap'
import { guidanceOf, useOpenStep } from '../open-step'

/** The step whose clock runs. */
const { step } = defineProps<{ step: NonNullable<Today['running']> }>()
const library = useLibrary()
const moment = useMoment()
const openStep = useOpenStep()
const guidance = computed(() => guidanceOf(step))
function correct(minutes: number) {
  void library.perform(correctLog, { step: step.state.step.id, minutes }, 'quietly')
}
const { endHere } = useEndings()
</script>

<template>
  <section class="panel border-lamp-line p-4 flex flex-wrap items-center gap-4" aria-label="Running">
    <LampMark
      :lamp="{
        state: 'working',
        share: shareOf(step, moment.now),
      }"
      :size="30"
      hidden
    />
    <div class="flex-1 min-w-[200px]">
      <p class="sub">
        running, <span class="num">{{ ranFor(step.since, moment.now) }}</span> min now<template
          v-if="step.state.step.logged > 0"
          >,
          <label class="inline-flex items-center gap-1"
            ><NumberField
              :model-value="step.state.step.logged"
              field="quiet-field mx-0 w-[58px] num border-line"
              label="Minutes worked before"
              hidden
              :min="0"
              :max="6000"
              @update:model-value="correct($event)"
            />
            before</label
          ></template
        >
        of {{ sayMinutes(step.state.step.minutes) }} planned
      </p>
      <h2 class="text-20 leading-7">{{ step.state.step.name }}</h2>
      <p class="text-ink-2">
        <span class="num">{{ step.card.number }}</span> {{ step.card.title }}
      </p>
      <p v-if="guidance" class="text-12 mt-1 max-w-[52ch]">
        {{ guidance }}
      </p>
    </div>
    <button class="btn" @click="openStep(step)">Go to it <KeySign :line="todayKeys.lines.open" /></button>
    <button class="btn" @click="library.perform(stopStep, {})">
      Stop <KeySign :line="todayKeys.lines.timer" />
    </button>
    <span class="flex gap-1.5 items-center" role="group" aria-label="Done, and it took"
      ><span class="sub">Done:</span
      ><button v-for="(t, i) in endings" :key="t" class="btn btn-small" @click="endHere(step, t)">
        {{ t }} <KeySign :line="todayKeys.lines.end" :which="i" /></button
    ></span>
  </section>
</template>
