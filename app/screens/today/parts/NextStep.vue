<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import { startStep } from '@core/commands/work'
import { sayAway, sayDay } from '@core/rhythm/days'
import { sayMinutes } from '@core/script/timecode'
import { sayAgreed } from '@core/views/state-words'
import type { TodayStep } from '@core/views/today'
import { useMoment } from '@app/stores/moment'
import { useWorkload } from '@app/stores/workload'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import Flag from '@app/ui/Flag.vue'
import KeySign from '@app/ui/KeySign.vue'
import LampMark from '@app/ui/LampMark.vue'
import { useEndings } from '../ending'
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
const workload = useWorkload()
const dialogs = useDialogs()
const openStep = useOpenStep()
const guidance = computed(() => guidanceOf(step))
const verdict = computed(() => workload.verdict(step.card))
const { endHere, tick } = useEndings()
function end(took: Ending, close: () => void, yesterday = false) {
  endHere(step, took, yesterday)
  close()
}
function endAll(close: () => void) {
  endHere({ ...step, whole: true }, 'as planned')
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
            }}<template v-if="verdict.word"
              >; the release is
              <button
                class="underline underline-offset-2"
                @click="dialogs.show({ kind: 'forecast', episode: step.card.episode.id })"
              >
                {{ verdict.word === 'unlikely' ? 'unlikely to be on time' : verdict.word }}
              </button></template
            ></template
          ><template v-else-if="step.state.agreed">{{ sayAgreed(step.state.agreed) }}</template
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
    <p class="text-right">
      <span class="num text-20 text-ink">{{ sayMinutes(step.minutes) }}</span><span
        v-if="!step.whole"
        class="sub block"
        >part of {{ sayMinutes(step.state.step.minutes) }}</span
      >
    </p>
    <button v-if="!running" class="btn" @click="library.perform(startStep, { step: step.state.step.id })">
      Start <KeySign :line="todayKeys.lines.timer" />
    </button>
    <span class="flex"
      ><button class="btn rounded-r-none" @click="tick(step)">Done</button
      ><Drop label="How long it took" right class="-ml-px"
        ><template #default="{ close }"
          ><div class="grid gap-1.5">
            <button
              v-for="(t, i) in endings"
              :key="t"
              class="btn btn-small justify-between"
              @click="end(t, close)"
            >
              Done, {{ t }} <KeySign :line="todayKeys.lines.end" :which="i" /></button
            ><button class="btn btn-small" @click="end('as planned', close, true)">
              It was done yesterday</button
            ><button v-if="!step.whole" class="btn btn-small justify-between" @click="endAll(close)">
              All of it is done <KeySign :line="todayKeys.lines.all" />
            </button></div></template
        ><template #label><span class="unseen">How long it took</span></template></Drop
      ></span
    >
    <button class="btn" :class="quiet ? '' : 'btn-main'" @click="openStep(step)">
      Go to it <KeySign v-if="!running" :line="todayKeys.lines.open" />
    </button>
  </section>
</template>
