<script setup lang="ts">
import { computed } from 'vue'
import { Plus, X } from '@lucide/vue'
import type { Outlet, When } from '@core/records'
import ChoiceField from '@app/ui/fields/ChoiceField.vue'
import NumberField from '@app/ui/fields/NumberField.vue'
import TextField from '@app/ui/fields/TextField.vue'
import TimeField from '@app/ui/fields/TimeField.vue'

/** When things go out at an outlet, relative to the release; and how many of them an episode has there. */
const { outlet } = defineProps<{ outlet: Outlet }>()
const emit = defineEmits<{ write: [fields: Partial<Outlet>] }>()
const all = computed((): When[] => [outlet.when ?? { kind: 'with' }, ...(outlet.more ?? [])])
const kinds = [
  ['with', 'with the release'],
  ['minutes', 'minutes after it'],
  ['days', 'days after it, at a time'],
  ['rhythm', 'in its own rhythm'],
] as const
function write(i: number, when: When | undefined) {
  const [first = { kind: 'with' as const }, ...more] =
    when === undefined ? all.value.filter((_, j) => j !== i) : all.value.map((w, j) => (j === i ? when : w))
  emit('write', { when: first, more: more.length > 0 ? more : undefined })
}
function add() {
  const last = all.value.at(-1)
  const next: When =
    last?.kind === 'days'
      ? { ...last, days: Math.min(60, last.days + 1) }
      : { kind: 'days', days: 1, time: '12:00' }
  emit('write', { more: [...(outlet.more ?? []), next] })
}
const fresh = (kind: When['kind']): When =>
  kind === 'with'
    ? { kind }
    : kind === 'minutes'
      ? { kind, minutes: 30 }
      : kind === 'days'
        ? { kind, days: 1, time: '12:00' }
        : { kind, rule: 'FREQ=WEEKLY;INTERVAL=1;BYDAY=SA', start: '2026-01-03', time: '09:00' }
const weekdays = [
  ['MO', 'Mondays'],
  ['TU', 'Tuesdays'],
  ['WE', 'Wednesdays'],
  ['TH', 'Thursdays'],
  ['FR', 'Fridays'],
  ['SA', 'Saturdays'],
  ['SU', 'Sundays'],
] as const
type Weekday = (typeof weekdays)[number][0]
const weekdayOf = (rule: string): Weekday =>
  weekdays.find(([day]) => rule.includes(`BYDAY=${day}`))?.[0] ?? 'SA'
</script>

<template>
  <fieldset>
    <legend class="label">When it goes out there</legend>
    <div v-for="(when, i) in all" :key="i" class="flex flex-wrap items-end gap-2 mb-2">
      <ChoiceField
        :model-value="when.kind"
        :label="all.length > 1 ? `Thing ${i + 1} goes out` : 'It goes out'"
        :of="kinds"
        @update:model-value="write(i, fresh($event))"
      />
      <NumberField
        v-if="when.kind === 'minutes'"
        :model-value="when.minutes"
        label="Minutes after (− before)"
        :min="-1440"
        :max="1440"
        @update:model-value="write(i, { ...when, minutes: $event })"
      />
      <NumberField
        v-if="when.kind === 'days'"
        :model-value="when.days"
        label="Days after (− before)"
        :min="-60"
        :max="60"
        @update:model-value="write(i, { ...when, days: $event })"
      />
      <ChoiceField
        v-if="when.kind === 'rhythm'"
        :model-value="weekdayOf(when.rule)"
        label="on"
        :of="weekdays"
        @update:model-value="write(i, { ...when, rule: `FREQ=WEEKLY;INTERVAL=1;BYDAY=${$event}` })"
      />
      <TimeField
        v-if="when.kind === 'days' || when.kind === 'rhythm'"
        :model-value="when.time"
        label="at"
        @update:model-value="write(i, { ...when, time: $event })"
      />
      <button
        v-if="all.length > 1"
        class="btn btn-bare px-2"
        :aria-label="`Thing ${i + 1} goes out no more`"
        @click="write(i, undefined)"
      >
        <X :size="14" />
      </button>
    </div>
    <div class="flex flex-wrap items-end gap-2">
      <button class="btn btn-small" @click="add">
        <Plus :size="14" aria-hidden="true" /> Another thing of the same episode
      </button>
      <TextField
        v-if="all.length > 1 || outlet.thing"
        :model-value="outlet.thing ?? ''"
        lazy
        label="What one is called"
        placeholder="Excerpt"
        @update:model-value="emit('write', { thing: $event || undefined })"
      />
    </div>
  </fieldset>
</template>
