<script setup lang="ts">
import { computed } from 'vue'
import type { ShotPlan } from '@core/records'
import type { Item } from '@core/session/items'
import ComboField from '@app/ui/fields/ComboField.vue'
import { tickedIn, typedIn } from '@app/ui/fields/event'
import OptionalNumberField from '@app/ui/fields/OptionalNumberField.vue'
import type { KnownPlans } from './shot-plans'

/** How shots are filmed: one, or several at once; what differs between them stands empty. */
const { of, known, others } = defineProps<{
  of: readonly Item[]
  known: KnownPlans
  /** What one of them could be filmed after. */
  others: readonly Item[]
}>()
const emit = defineEmits<{ plan: [to: Partial<ShotPlan>] }>()
const asked = [
  ['place', 'Place'],
  ['framing', 'Framing'],
  ['light', 'Light'],
  ['clothes', 'Clothes'],
] as const
const said = (text: string) => (text.trim() === '' ? undefined : text.trim())
/** What all of them say, else nothing. */
function shared<K extends keyof ShotPlan>(key: K): ShotPlan[K] | undefined {
  const [first] = of
  return of.every((i) => i.plan[key] === first?.plan[key]) ? first?.plan[key] : undefined
}
const one = computed(() => (of.length === 1 ? of[0] : undefined))
const after = computed(() => one.value?.plan.after ?? [])
const nameOf = (id: string) => others.find((o) => o.id === id)?.name ?? 'a shot that is gone'
const mayFollow = computed(() => others.filter((o) => o.id !== one.value?.id && !after.value.includes(o.id)))
function follow(event: Event) {
  const id = typedIn(event)
  if (id !== '') emit('plan', { after: [...after.value, id] })
}
function letGo(id: string) {
  const rest = after.value.filter((a) => a !== id)
  emit('plan', { after: rest.length === 0 ? undefined : rest })
}
</script>

<template>
  <div class="grid grid-cols-2 md:grid-cols-4 gap-2 pt-2 items-end">
    <ComboField
      v-for="[name, label] in asked"
      :key="name"
      :model-value="shared(name) ?? ''"
      :label="label"
      :known="known[name]"
      lazy
      @update:model-value="emit('plan', { [name]: said($event) })"
    /><OptionalNumberField
      label="Minutes"
      :model-value="shared('minutes')"
      :min="0"
      @update:model-value="emit('plan', { minutes: $event })"
    /><label class="flex items-center gap-2 min-h-[34px] text-12"
      ><input
        type="checkbox"
        class="tick"
        :checked="shared('daylight') ?? false"
        @change="emit('plan', { daylight: tickedIn($event) })"
      />Needs daylight</label
    ><label class="flex items-center gap-2 min-h-[34px] text-12"
      ><input
        type="checkbox"
        class="tick"
        :checked="shared('could') ?? false"
        @change="emit('plan', { could: tickedIn($event) })"
      />Could be left</label
    ><label v-if="one && mayFollow.length > 0"
      ><span class="label">{{ after.length === 0 ? 'Only after' : 'And after' }}</span
      ><select class="field" value="" @change="follow">
        <option value="">{{ after.length === 0 ? 'any time' : 'no more' }}</option>
        <option v-for="o in mayFollow" :key="o.id" :value="o.id">{{ o.number }} {{ o.name }}</option>
      </select></label
    >
    <p v-if="after.length > 0" class="col-span-full flex flex-wrap gap-1.5 text-12">
      <span class="sub">Only after</span
      ><button
        v-for="id in after"
        :key="id"
        class="btn btn-small"
        :aria-label="`No longer only after ${nameOf(id)}`"
        @click="letGo(id)"
      >
        {{ nameOf(id) }} ×
      </button>
    </p>
    <slot />
  </div>
</template>
