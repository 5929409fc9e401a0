<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { Plus } from '@lucide/vue'
import { addStep } from '@core/commands/work'
import { sayDay } from '@core/rhythm/days'
import { sayMinutes } from '@core/script/timecode'
import type { StageState, StepState } from '@core/recipe/progress'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import HandSheet from './steps/HandSheet.vue'
import AtHand from './steps/AtHand.vue'
import StepChecklists from './steps/StepChecklists.vue'
import StepRow from './steps/StepRow.vue'
import WaitSheet from './steps/WaitSheet.vue'
import { stageWith } from './mend'

/** The steps of one stage: physical acts are ticked, the others complete themselves. */
const { card, here } = defineProps<{ card: Card; here: StageState }>()
const library = useLibrary()
const asking = ref<StepState>()
const isOut = computed(() => card.episode.phase.kind === 'released')
const adding = ref(false)
const fresh = ref('')
async function add() {
  const done = await library.perform(
    addStep,
    {
      episode: card.episode.id,
      stage: here.stage.id,
      name: fresh.value.trim(),
      minutes: 30,
    },
    'quietly',
  )
  if (!done.ok) return
  adding.value = false
  fresh.value = ''
}
const router = useRouter()
/** The work of bringing required parts that no step of the recipe brings; Today plans it like any other. */
const brought = computed(() => card.standing.steps.filter((s) => s.derived && s.step.stage === here.stage.id))
const handing = ref<StepState>()
</script>

<template>
  <section :aria-label="`Steps of ${here.stage.name}`">
    <div class="flex items-center mb-2">
      <h2 class="flex-1">Steps</h2>
      <button
        v-if="!adding && (card.episode.phase.kind === 'work' || (isOut && here.stage.kind === 'after'))"
        class="btn btn-bare btn-small px-1.5 text-ink-2"
        @click="adding = true"
      >
        <Plus :size="13" /> step
      </button>
    </div>
    <form v-if="adding" class="flex gap-2 mb-2" @submit.prevent="add">
      <input
        v-model="fresh"
        class="field"
        placeholder="A step of this episode alone"
        aria-label="Name of the new step"
      /><button class="btn">Add</button>
    </form>
    <p v-for="p in here.unsettled" :key="p.part" class="border-l-2 border-ring pl-3 mb-2 text-12">
      Settle {{ p.name.toLowerCase() }} before {{ here.stage.name }} begins: {{ p.sentence }}.
      <button
        class="underline underline-offset-2"
        @click="
          router.push({
            name: 'episode',
            params: { code: card.episode.code, stage: stageWith(card, p.mend.stage) },
            query: { at: p.mend.focus },
          })
        "
      >
        {{ p.mend.label }}
      </button>
    </p>
    <p v-if="here.stage.earliest !== undefined && here.lamp.state !== 'lit'" class="sub mb-2">
      Not earlier than {{ here.stage.earliest }} d before release.
    </p>
    <p v-if="here.steps.length === 0 && brought.length === 0 && !adding" class="sub">
      No steps. This completes when its parts are filled in.
    </p>
    <ul class="grid">
      <StepRow
        v-for="s in here.steps"
        :key="s.step.id"
        :card="card"
        :of="s"
        @hand="handing = s"
        @ask="asking = s"
      />
      <li
        v-for="s in brought"
        :key="s.step.id"
        class="flex items-baseline gap-2 border-t border-faint py-1.5"
        :class="s.done ? 'text-ink-2' : ''"
      >
        <span class="flex-1 min-w-0"
          >{{ s.step.name
          }}<span class="sub block">{{
            s.done ? 'done' : `done when it is there${s.due ? `; due ${sayDay(s.due)}` : ''}`
          }}</span></span
        ><span class="num">{{ sayMinutes(s.step.minutes) }}</span>
      </li>
    </ul>
    <AtHand :card="card" :here="here" />
    <StepChecklists :card="card" :stage="here.stage.id" />
    <HandSheet v-if="handing" :of="handing" @close="handing = undefined" />
    <WaitSheet v-if="asking" :card="card" :of="asking" @close="asking = undefined" />
  </section>
</template>
