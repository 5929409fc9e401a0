<script setup lang="ts">
import { computed, ref } from 'vue'
import { putLaunch, removeLaunch } from '@core/commands/schedule'
import { addDays } from '@core/rhythm/days'
import { useMoment } from '@app/stores/moment'
import { useLibrary } from '@app/stores/library'
import Sheet from '@app/ui/Sheet.vue'
import DateField from '@app/ui/fields/DateField.vue'
import NumberField from '@app/ui/fields/NumberField.vue'
import OptionalNumberField from '@app/ui/fields/OptionalNumberField.vue'
import TextField from '@app/ui/fields/TextField.vue'

/** A launch's name, dates and wishes; a new one without `launch`. */
const { launch } = defineProps<{ launch: string | undefined }>()
const emit = defineEmits<{ close: [] }>()
const library = useLibrary()
const moment = useMoment()
const old = launch === undefined ? undefined : library.tables.launches.get(launch)
/** Kinds of episode asked for on one side of it, as they are typed. */
function formsOf(side: 'before' | 'after'): string {
  return (old?.around ?? [])
    .filter((a) => a.side === side)
    .map((a) => a.form)
    .join(', ')
}
const kinds = (text: string, side: 'before' | 'after') =>
  text
    .split(',')
    .map((form) => form.trim())
    .filter((form) => form !== '')
    .map((form) => ({ form, side }))
const known = computed(() => [
  ...new Set([...library.tables.shows.values()].flatMap((s) => (s.forms ?? []).map((f) => f.name))),
])
const editing = ref({
  name: old?.name ?? '',
  from: old?.from ?? addDays(moment.today, 42),
  to: old?.to ?? addDays(moment.today, 49),
  runUp: old?.runUp ?? 21,
  wanted: old?.wanted ?? 2,
  note: old?.note ?? '',
  before: formsOf('before'),
  after: formsOf('after'),
  cost: old?.cost,
  earned: old?.earned,
})
const fault = ref('')
async function save() {
  const { before, after, cost, earned, ...fields } = editing.value
  const done = await library.perform(putLaunch, {
    ...(launch === undefined ? {} : { launch }),
    ...fields,
    around: [...kinds(before, 'before'), ...kinds(after, 'after')],
    ...(cost === undefined ? {} : { cost }),
    ...(earned === undefined ? {} : { earned }),
  })
  fault.value = done.ok ? '' : done.problem.sentence
  if (done.ok) emit('close')
}
async function remove() {
  emit('close')
  if (launch !== undefined) await library.perform(removeLaunch, { launch })
}
</script>

<template>
  <Sheet open :title="launch ? 'The launch' : 'A launch'" @close="emit('close')">
    <form class="grid gap-3" @submit.prevent="save">
      <TextField v-model="editing.name" label="What is launched" />
      <div class="grid grid-cols-2 gap-3">
        <DateField v-model="editing.from" label="From" required /><DateField
          v-model="editing.to"
          label="To"
          required
        /><NumberField v-model="editing.runUp" label="Run-up, days" :min="0" :max="365" /><NumberField
          v-model="editing.wanted"
          label="Episodes to support it"
          :min="0"
          :max="100"
        />
      </div>
      <div class="grid grid-cols-2 gap-3">
        <TextField
          v-model="editing.before"
          label="Kinds before it"
          :placeholder="known[0] ?? 'tutorial'"
        /><TextField
          v-model="editing.after"
          label="Kinds from its first day"
          :placeholder="known[1] ?? 'talk'"
        /><OptionalNumberField
          v-model="editing.cost"
          label="Cost, without campaigns"
          :min="0"
          placeholder="nothing"
        /><OptionalNumberField v-model="editing.earned" label="Brought" :min="0" placeholder="not counted" />
      </div>
      <TextField v-model="editing.note" label="Note" />
      <p v-if="fault" role="alert" class="late">{{ fault }}</p>
      <p class="flex gap-2">
        <button class="btn btn-main">Keep it</button
        ><button v-if="launch" type="button" class="btn" @click="remove">Remove</button>
      </p>
    </form>
  </Sheet>
</template>
