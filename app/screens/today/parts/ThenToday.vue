<script setup lang="ts">
import { sum } from 'd3-array'
import { sayAway, sayDay } from '@core/rhythm/days'
import { sayMinutes } from '@core/script/timecode'
import type { TodayStep } from '@core/views/today'
import { useMoment } from '@app/stores/moment'
import Flag from '@app/ui/Flag.vue'
import LampMark from '@app/ui/LampMark.vue'
import { stageNameOf, useOpenStep } from '../open-step'

/** What follows today, in the order of the day. */
const { steps } = defineProps<{ steps: readonly TodayStep[] }>()
const moment = useMoment()
const openStep = useOpenStep()
</script>

<template>
  <section aria-labelledby="plannedtoday">
    <h2 id="plannedtoday" class="mb-2">
      Then today
      <span class="sub font-sans font-normal ml-1"
        >{{ steps.length }} more {{ steps.length === 1 ? 'step' : 'steps' }},
        {{ sayMinutes(sum(steps, (b) => b.minutes)) }}</span
      >
    </h2>
    <ul class="panel divide-y divide-faint">
      <li v-for="b in steps" :key="b.state.step.id" class="flex items-center gap-4 px-4 py-2.5">
        <LampMark
          :lamp="
            b.state.step.logged > 0
              ? { state: 'working', share: b.state.step.logged / b.state.step.minutes }
              : { state: 'open', share: 0, late: b.state.late }
          "
          :size="24"
          hidden
        />
        <div class="flex-1 min-w-0">
          <p class="font-semibold truncate">
            <span v-if="b.at" class="num mr-2">{{ b.at }}</span>{{ b.state.step.name
            }}<span v-if="!b.whole" class="sub font-normal"
              >, part of {{ sayMinutes(b.state.step.minutes) }}</span
            >
          </p>
          <p class="sub truncate">
            <span class="num">{{ b.card.number }}</span> {{ b.card.title }} · {{ stageNameOf(b)
            }}<template v-if="b.state.agreed"> · with {{ b.state.agreed.guest }}</template>
          </p>
        </div>
        <p class="sub max-sm:hidden">
          {{
            b.state.due
              ? b.state.late
                ? ''
                : `due ${sayDay(b.state.due)}, ${sayAway(b.state.due, moment.today)}`
              : ''
          }}<template v-if="b.state.late"
            ><Flag /><span class="late">late {{ b.state.late }} d</span></template
          >
        </p>
        <p class="num w-[64px] text-right">{{ sayMinutes(b.minutes) }}</p>
        <button class="btn btn-small" @click="openStep(b)">Go to it</button>
      </li>
    </ul>
  </section>
</template>
