<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { Hourglass, Plus, UserRound, X } from '@lucide/vue'
import {
  addStep,
  backdateStep,
  correctLog,
  editStep,
  estimateStep,
  handStep,
  removeStep,
  tickItem,
  tickStep,
  waitStep,
} from '@core/commands/work'
import type { StageState, StepState } from '@core/recipe/progress'
import { addDays, sayAway, sayDay } from '@core/rhythm/days'
import { useMoment } from '@app/stores/moment'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import Flag from '@app/ui/Flag.vue'
import Sheet from '@app/ui/Sheet.vue'
import { completedBy, stepTicks } from './steps'
import { stageWith } from './mend'
import NumberField from '@app/ui/fields/NumberField.vue'
import TextField from '@app/ui/fields/TextField.vue'
import ComboField from '@app/ui/fields/ComboField.vue'
import { tickedIn } from '@app/ui/fields/event'

/** The steps of one stage: physical acts are ticked, the others complete themselves. */
const { card, here } = defineProps<{ card: Card; here: StageState }>()
const library = useLibrary()
const moment = useMoment()
const asking = ref<StepState>()
const who = ref('')
const what = ref('')
const nudge = ref(4)
const fault = ref('')

function tick(s: StepState, event: Event) {
  void library.perform(tickStep, { step: s.step.id, done: tickedIn(event) }, 'quietly')
}
function ask(s: StepState) {
  if (s.step.waiting) {
    void library.perform(waitStep, { step: s.step.id, waiting: undefined })
    return
  }
  asking.value = s
  who.value = card.episode.guests[0] ?? ''
  what.value = ''
  nudge.value = moment.settings.nudgeAfter ?? 4
  fault.value = ''
}
async function wait() {
  if (!asking.value) return
  const done = await library.perform(waitStep, {
    step: asking.value.step.id,
    waiting: { who: who.value.trim(), what: what.value.trim(), since: moment.today, nudge: nudge.value },
  })
  fault.value = done.ok ? '' : done.problem.sentence
  if (done.ok) asking.value = undefined
}
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
const line = (s: StepState) => card.recipe.lines.find((l) => l.id === s.step.line)
const lists = computed(() => (card.recipe.checklists ?? []).filter((c) => c.stage === here.stage.id))
function item(id: string, event: Event) {
  void library.perform(tickItem, { episode: card.episode.id, item: id, on: tickedIn(event) }, 'quietly')
}
const handing = ref<StepState>()
const owner = ref('')
const lead = ref(0)
const leadSays = computed(() => {
  switch (handing.value?.step.lead.kind) {
    case 'after':
      return 'Due, days after release'
    case 'ahead':
      return 'Due, days before another step'
    default:
      return 'Due, days before release'
  }
})
function hand(s: StepState) {
  handing.value = s
  owner.value = s.step.owner === 'me' ? '' : s.step.owner
  lead.value = s.step.lead.days
}
async function handed() {
  const s = handing.value
  if (!s) return
  handing.value = undefined
  if (lead.value !== s.step.lead.days)
    await library.perform(
      editStep,
      {
        step: s.step.id,
        fields: { lead: { ...s.step.lead, days: Math.max(0, Math.min(365, Math.round(lead.value) || 0)) } },
      },
      'quietly',
    )
  if ((owner.value.trim() || 'me') !== s.step.owner)
    await library.perform(handStep, { step: s.step.id, owner: owner.value })
}
const people = computed(() =>
  [...new Set([...library.records.steps.values()].flatMap((s) => (s.owner === 'me' ? [] : [s.owner])))].slice(
    0,
    20,
  ),
)
const today = (s: StepState) => s.step.doneAt !== undefined && moment.dayOn(s.step.doneAt) === moment.today
function took(s: StepState, minutes: number) {
  void library.perform(correctLog, { step: s.step.id, minutes })
}
function minutes(s: StepState, estimate: number) {
  void library.perform(estimateStep, { step: s.step.id, minutes: estimate }, 'quietly')
}
</script>

<template>
  <section :aria-label="`Steps of ${here.stage.name}`">
    <div class="flex items-center mb-2">
      <h2 class="flex-1">Steps</h2>
      <button
        v-if="!adding && card.episode.phase.kind === 'work'"
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
    <p v-if="here.steps.length === 0 && !adding" class="sub">None here. Its parts light the lamp.</p>
    <ul class="grid">
      <li v-for="s in here.steps" :key="s.step.id" class="py-2.5 border-t border-faint">
        <div class="flex items-start gap-2.5">
          <input
            v-if="stepTicks(s.step)"
            type="checkbox"
            class="tick mt-px"
            :checked="s.done"
            :disabled="s.done && s.step.doneAt === undefined"
            :aria-label="`${s.step.name} is done`"
            @change="tick(s, $event)"
          />
          <span
            v-else
            class="w-[18px] text-center text-ink-2 flex-none"
            :aria-label="s.done ? 'done' : 'not done'"
            >{{ s.done ? '✓' : '·' }}</span
          >
          <div class="flex-1 min-w-0">
            <p class="font-medium" :class="s.done ? 'text-ink-2' : ''">{{ s.step.name }}</p>
            <p class="sub">
              <template v-if="s.late"
                ><Flag /><span class="late">late {{ s.late }} d</span>, was due
                {{ sayDay(s.due ?? '') }}</template
              >
              <template v-else-if="s.due && !s.done"
                >due {{ sayDay(s.due) }}, {{ sayAway(s.due, moment.today) }}</template
              >
              <template v-else-if="!s.done">no date yet</template>
              <template v-if="!s.done && completedBy(s.step)"
                >{{ s.due || s.late ? '; ' : ', ' }}{{ completedBy(s.step) }}</template
              >
              <label v-if="!s.done" class="inline-flex items-center gap-1 ml-1"
                >·
                <NumberField
                  :model-value="s.step.minutes"
                  field="minutes"
                  :label="`Minutes of ${s.step.name}`"
                  hidden
                  :min="0"
                  @update:model-value="minutes(s, $event)"
                />
                min</label
              >
              <label v-if="s.done" class="inline-flex items-center gap-1"
                >took
                <NumberField
                  :model-value="s.step.logged"
                  field="minutes"
                  :label="`Minutes that ${s.step.name} took`"
                  hidden
                  :min="0"
                  :max="6000"
                  @update:model-value="took(s, $event)"
                />
                min</label
              >
              <button
                v-if="today(s)"
                class="underline underline-offset-2 ml-1"
                @click="library.perform(backdateStep, { step: s.step.id, day: addDays(moment.today, -1) })"
              >
                it was yesterday
              </button>
            </p>
            <p v-if="s.step.owner !== 'me' && !s.done" class="text-12 font-medium">
              {{ s.step.owner }} does it
            </p>
            <p v-if="!s.done && line(s)?.guidance" class="text-12 text-ink-2 whitespace-pre-line">
              {{ line(s)?.guidance }}
            </p>
            <p
              v-if="!s.done && (line(s)?.references ?? []).length > 0"
              class="text-12 flex flex-wrap gap-x-3"
            >
              <a
                v-for="r in line(s)?.references ?? []"
                :key="r.url"
                :href="r.url"
                target="_blank"
                rel="noopener"
                >{{ r.label || r.url.replace(/^https?:\/\//, '').slice(0, 40) }}</a
              >
            </p>
            <p v-if="s.step.waiting && !s.done" class="text-12 text-sea font-medium">
              waits on {{ s.step.waiting.who }}{{ s.step.waiting.what ? ` for ${s.step.waiting.what}` : '' }},
              since {{ sayDay(s.step.waiting.since) }}
            </p>
          </div>
          <button
            v-if="s.step.line === undefined && !s.done"
            class="btn btn-bare btn-small px-1"
            :aria-label="`Remove the step ${s.step.name}`"
            @click="library.perform(removeStep, { step: s.step.id })"
          >
            <X :size="14" />
          </button>
          <button
            v-if="!s.done"
            class="btn btn-bare btn-small px-1"
            :aria-label="`Who does ${s.step.name}, and when`"
            title="Who does it, and when"
            @click="hand(s)"
          >
            <UserRound :size="15" :class="s.step.owner === 'me' ? 'text-ink-2' : 'text-ink'" />
          </button>
          <button
            v-if="!s.done"
            class="btn btn-bare btn-small px-1"
            :aria-label="
              s.step.waiting ? `${s.step.name} waits no longer` : `${s.step.name} waits on someone`
            "
            :title="s.step.waiting ? 'It waits no longer' : 'It waits on someone'"
            @click="ask(s)"
          >
            <Hourglass :size="15" :class="s.step.waiting ? 'text-sea' : 'text-ink-2'" />
          </button>
        </div>
      </li>
    </ul>
    <fieldset v-for="list in lists" :key="list.id" class="border-t border-faint pt-2.5 mt-1 grid gap-1.5">
      <legend class="label flex gap-2">
        {{ list.name }}
        <span class="num"
          >{{ list.items.filter((i) => card.episode.ticked?.includes(i.id)).length }}/{{
            list.items.length
          }}</span
        >
      </legend>
      <label v-for="i in list.items" :key="i.id" class="flex items-center gap-2.5"
        ><input
          type="checkbox"
          class="tick"
          :checked="card.episode.ticked?.includes(i.id) ?? false"
          @change="item(i.id, $event)"
        />{{ i.text }}</label
      >
    </fieldset>
    <Sheet :open="handing !== undefined" :title="handing?.step.name ?? ''" @close="handing = undefined">
      <form class="grid gap-3" @submit.prevent="handed">
        <ComboField
          v-model="owner"
          label="Who does it in this episode"
          placeholder="you"
          :known="people"
        /><NumberField
          v-model="lead"
          field="field num w-[96px]"
          :label="leadSays"
          :min="0"
          :max="365"
        /><button class="btn btn-main justify-self-start">Keep it so</button>
      </form>
    </Sheet>
    <Sheet :open="asking !== undefined" title="Who does it wait on?" @close="asking = undefined">
      <form class="grid gap-3" @submit.prevent="wait">
        <TextField v-model="who" label="Who" /><TextField
          v-model="what"
          label="For what"
          placeholder="a portrait, an answer"
        /><NumberField
          v-model="nudge"
          field="field num w-[96px]"
          label="Nudge after, days"
          :min="1"
          :max="90"
        />
        <p v-if="fault" role="alert" class="late">{{ fault }}</p>
        <button class="btn btn-main justify-self-start">It waits from today</button>
      </form>
    </Sheet>
  </section>
</template>

<style scoped>
:deep(.minutes) {
  width: 5ch;
  padding: 0 2px;
  border: 1px solid transparent;
  border-bottom-color: var(--ring);
  text-align: right;
  font: 400 12.5px var(--font-mono);
  color: var(--ink);
  background: transparent;
  appearance: textfield;
}
:deep(.minutes)::-webkit-inner-spin-button {
  display: none;
}
</style>
