<script setup lang="ts">
import type { When } from '@core/records'
import ChoiceField from '@app/ui/fields/ChoiceField.vue'
import NumberField from '@app/ui/fields/NumberField.vue'
import TimeField from '@app/ui/fields/TimeField.vue'

/** When something goes out, relative to the release or in a rhythm of its own. */
const { label } = defineProps<{ label: string }>()
const when = defineModel<When>({ required: true })
const kinds = [
  ['with', 'with the release'],
  ['minutes', 'minutes after it'],
  ['days', 'days after it, at a time'],
  ['rhythm', 'in its own rhythm'],
] as const
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
  <div class="flex flex-wrap items-end gap-2">
    <ChoiceField
      :model-value="when.kind"
      :label="label"
      :of="kinds"
      @update:model-value="when = fresh($event)"
    />
    <NumberField
      v-if="when.kind === 'minutes'"
      :model-value="when.minutes"
      label="Minutes after (− before)"
      :min="-1440"
      :max="1440"
      @update:model-value="when = { kind: 'minutes', minutes: $event }"
    />
    <NumberField
      v-if="when.kind === 'days'"
      :model-value="when.days"
      label="Days after (− before)"
      :min="-60"
      :max="60"
      @update:model-value="when.kind === 'days' && (when = { ...when, days: $event })"
    />
    <ChoiceField
      v-if="when.kind === 'rhythm'"
      :model-value="weekdayOf(when.rule)"
      label="on"
      :of="weekdays"
      @update:model-value="
        when.kind === 'rhythm' && (when = { ...when, rule: `FREQ=WEEKLY;INTERVAL=1;BYDAY=${$event}` })
      "
    />
    <TimeField
      v-if="when.kind === 'days' || when.kind === 'rhythm'"
      :model-value="when.time"
      label="at"
      @update:model-value="
        (when.kind === 'days' || when.kind === 'rhythm') && (when = { ...when, time: $event })
      "
    />
    <slot />
  </div>
</template>
