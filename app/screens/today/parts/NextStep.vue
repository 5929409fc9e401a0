<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import { endStep, startStep, tickStep } from '@core/commands/work'
import { addDays, sayAway, sayDay } from '@core/rhythm/days'
import { sayMinutes } from '@core/script/timecode'
import type { TodayStep } from '@core/views/today'
import { useMoment } from '@app/stores/moment'
import { useDesk } from '@app/stores/desk'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import Flag from '@app/ui/Flag.vue'
import KeySign from '@app/ui/KeySign.vue'
import LampMark from '@app/ui/LampMark.vue'
import { stepTicks } from '../../episode/steps'
import { endings, todayKeys, type Ending } from '../keymap'
import { guidanceOf, stageNameOf, useOpenStep } from '../open-step'

/** The one thing to do now; quiet where something else comes before it. */
const { step, running, quiet } = defineProps<{
  step: TodayStep
  /** Another step's clock runs. */
  running: boolean
  quiet: boolean
}>()
const Drop = defineAsyncComponent(() => import('@app/ui/Drop.vue'))
const library = useLibrary()
const moment = useMoment()
const desk = useDesk()
const dialogs = useDialogs()
const openStep = useOpenStep()
const guidance = computed(() => guidanceOf(step))
const outlook = computed(() => desk.outlooks.get(step.card.episode.id))
/** Ends it as one key says; what was done the day before, back then. */
function endHere(took: Ending, close: () => void, yesterday = false) {
  void library.perform(endStep, {
    step: step.state.step.id,
    took,
    day: yesterday ? addDays(moment.today, -1) : undefined,
  })
  close()
}
</script>

<template>
  <section
    class="panel p-4 flex flex-wrap items-center gap-4"
    :class="quiet ? '' : 'border-lamp-line'"
    aria-label="Next step"
  >
    <LampMark
      :lamp="
        step.state.step.logged > 0
          ? { state: 'working', share: step.state.step.logged / step.state.step.minutes }
          : { state: 'open', share: 0, late: step.state.late }
      "
      :size="30"
      hidden
    />
    <div class="flex-1 min-w-[200px]">
      <p class="sub">
        {{ stageNameOf(step)
        }}<template v-if="step.state.due"
          >,
          <template v-if="step.state.late"
            ><Flag /><span class="late">late {{ step.state.late }} d</span>, was due
            {{ sayDay(step.state.due)
            }}<template v-if="outlook"
              >; its release is
              <button
                class="underline underline-offset-2"
                @click="dialogs.show({ kind: 'forecast', episode: step.card.episode.id })"
              >
                {{ outlook.is === 'on track' ? 'still on track' : outlook.is }}
              </button></template
            ></template
          ><template v-else
            >due {{ sayDay(step.state.due) }}, {{ sayAway(step.state.due, moment.today) }}</template
          ></template
        ><template v-else>, no date yet</template>
      </p>
      <h2 class="text-20 leading-7">{{ step.state.step.name }}</h2>
      <p class="text-ink-2">
        <span class="num">{{ step.card.number }}</span> {{ step.card.title }}
      </p>
      <p v-if="guidance" class="text-12 mt-1 max-w-[52ch]">
        {{ guidance }}
      </p>
    </div>
    <p class="num text-20 text-ink">{{ sayMinutes(step.minutes) }}</p>
    <button v-if="!running" class="btn" @click="library.perform(startStep, { step: step.state.step.id })">
      Start <KeySign :line="todayKeys.lines.timer" />
    </button>
    <span v-if="stepTicks(step.state.step)" class="flex"
      ><button
        class="btn rounded-r-none"
        @click="library.perform(tickStep, { step: step.state.step.id, done: true })"
      >
        Done</button
      ><Drop label="How long it took" right class="-ml-px"
        ><template #default="{ close }"
          ><div class="grid gap-1.5">
            <button
              v-for="(t, i) in endings"
              :key="t"
              class="btn btn-small justify-between"
              @click="endHere(t, close)"
            >
              Done, {{ t }} <KeySign :line="todayKeys.lines.end" :which="i" /></button
            ><button class="btn btn-small" @click="endHere('as planned', close, true)">
              It was done yesterday
            </button>
          </div></template
        ><template #label><span class="unseen">How long it took</span></template></Drop
      ></span
    >
    <button class="btn" :class="quiet ? '' : 'btn-main'" @click="openStep(step)">
      Go to it <KeySign v-if="!running" :line="todayKeys.lines.open" />
    </button>
  </section>
</template>
