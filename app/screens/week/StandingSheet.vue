<script setup lang="ts">
import { computed, ref } from 'vue'
import { markStanding, putStanding, removeStanding } from '@core/commands/standing'
import { StepKind, type Day, type StandingWork } from '@core/records'
import { sayDay, weekday, weekdayName } from '@core/rhythm/days'
import { ruleOf, sayRhythm, wishOf, type RhythmWish } from '@core/rhythm/rule'
import { useMoment } from '@app/stores/moment'
import { useLibrary } from '@app/stores/library'
import Sheet from '@app/ui/Sheet.vue'
import { kindNames } from '../shows/recipe/words'
import DateField from '@app/ui/fields/DateField.vue'
import NumberField from '@app/ui/fields/NumberField.vue'
import TextField from '@app/ui/fields/TextField.vue'
import TimeField from '@app/ui/fields/TimeField.vue'

/** Work that belongs to no episode: once or again and again; one of its times can be done or skipped. */
const { work, day } = defineProps<{ work?: StandingWork | undefined; day?: Day | undefined }>()
const emit = defineEmits<{ close: [] }>()
const library = useLibrary()
const moment = useMoment()
const name = ref(work?.name ?? '')
const minutes = ref(work?.minutes ?? 30)
const kind = ref<StepKind>(work?.kind ?? 'admin')
const at = ref(work?.at ?? '')
const start = ref(work ? (work.when.kind === 'once' ? work.when.day : work.when.start) : moment.today)
const old = work?.when.kind === 'rule' ? wishOf(work.when.rule) : undefined
const again = ref(
  work?.when.kind === 'once'
    ? 'once'
    : !old
      ? 'week'
      : old.kind === 'month'
        ? 'month'
        : old.kind === 'day'
          ? 'day'
          : old.every === 2
            ? 'second'
            : 'week',
)
const weekdays = ref<number[]>(old?.kind === 'week' ? old.weekdays : [weekday(start.value)])
const fault = ref('')
const nth = computed(() => Math.min(4, Math.ceil(Number(start.value.slice(8)) / 7)))
const wish = computed((): RhythmWish =>
  again.value === 'month'
    ? {
        kind: 'month',
        every: 1,
        nths: [old?.kind === 'month' ? (old.nths[0] ?? nth.value) : nth.value],
        weekday: old?.kind === 'month' ? old.weekday : weekday(start.value),
      }
    : again.value === 'day'
      ? { kind: 'day', every: 1 }
      : { kind: 'week', every: again.value === 'second' ? 2 : 1, weekdays: weekdays.value },
)
const rule = computed(() => ruleOf(wish.value))
const says = computed(() =>
  again.value === 'once'
    ? sayDay(start.value)
    : rule.value.ok
      ? sayRhythm({ rule: rule.value.value, start: start.value, time: '' }).replace(/, $/, '')
      : rule.value.problem.sentence,
)
const state = computed(() =>
  work && day
    ? work.done.includes(day)
      ? 'done'
      : work.skipped.includes(day)
        ? 'skipped'
        : 'to do'
    : undefined,
)
function toggle(d: number) {
  weekdays.value = weekdays.value.includes(d)
    ? weekdays.value.filter((x) => x !== d)
    : [...weekdays.value, d].sort()
}
async function save() {
  if (again.value !== 'once' && !rule.value.ok) {
    fault.value = rule.value.problem.sentence
    return
  }
  const done = await library.perform(putStanding, {
    ...(work ? { standing: work.id } : {}),
    name: name.value,
    kind: kind.value,
    minutes: Math.round(minutes.value) || 0,
    when:
      again.value === 'once'
        ? { kind: 'once', day: start.value }
        : { kind: 'rule', rule: rule.value.ok ? rule.value.value : '', start: start.value },
    ...(at.value ? { at: at.value } : { at: undefined }),
  })
  if (done.ok) emit('close')
  else fault.value = done.problem.sentence
}
async function mark(as: 'skipped' | 'done' | 'to do') {
  if (work && day) await library.perform(markStanding, { standing: work.id, day, as })
  emit('close')
}
async function remove() {
  if (work) await library.perform(removeStanding, { standing: work.id })
  emit('close')
}
</script>

<template>
  <Sheet :open="true" :title="work?.name ?? 'Work that belongs to no episode'" @close="emit('close')">
    <p v-if="work && day" class="flex flex-wrap gap-2 items-center mb-4 border-b border-faint pb-4">
      <span class="flex-1"
        >{{ sayDay(day) }}<template v-if="state !== 'to do'">, {{ state }}</template></span
      ><template v-if="state === 'to do'"
        ><button class="btn btn-main" @click="mark('done')">Done</button
        ><button class="btn" @click="mark('skipped')">Skip this once</button></template
      ><button v-else class="btn" @click="mark('to do')">It is to do after all</button>
    </p>
    <form class="grid gap-3" @submit.prevent="save">
      <TextField v-model="name" label="What" placeholder="Mailing list, accounts, an hour of planning" />
      <div class="grid grid-cols-3 gap-3">
        <NumberField v-model="minutes" label="Minutes" :min="0" :step="5" /><TimeField
          v-model="at"
          label="Clock time, if any"
        /><label
          ><span class="label">Kind of work</span
          ><select v-model="kind" class="field">
            <option v-for="k in StepKind.options" :key="k" :value="k">{{ kindNames[k] }}</option>
          </select></label
        >
      </div>
      <div class="grid grid-cols-2 gap-3">
        <label
          ><span class="label">How often</span
          ><select v-model="again" class="field">
            <option value="once">once</option>
            <option value="day">every day</option>
            <option value="week">every week</option>
            <option value="second">every second week</option>
            <option value="month">once a month</option>
          </select></label
        ><DateField v-model="start" :label="again === 'once' ? 'On' : 'From'" required />
      </div>
      <div v-if="again === 'week' || again === 'second'" class="flex flex-wrap gap-1.5">
        <button
          v-for="d in 7"
          :key="d"
          type="button"
          class="btn btn-small w-[48px]"
          :class="weekdays.includes(d - 1) ? 'border-ink bg-raised font-semibold' : 'text-ink-2'"
          :aria-pressed="weekdays.includes(d - 1)"
          :aria-label="weekdayName(d - 1)"
          @click="toggle(d - 1)"
        >
          {{ weekdayName(d - 1).slice(0, 3) }}
        </button>
      </div>
      <p class="sub">{{ says }}. It takes its minutes of the day’s hours.</p>
      <p v-if="fault" role="alert" class="late">{{ fault }}</p>
      <p class="flex gap-2">
        <button class="btn" :class="work ? '' : 'btn-main'">
          {{ work ? 'Change it' : 'Add it' }}</button><button
          v-if="work"
          type="button"
          class="btn"
          @click="remove"
        >
          Remove all of it
        </button>
      </p>
    </form>
  </Sheet>
</template>
