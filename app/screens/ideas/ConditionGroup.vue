<script setup lang="ts">
import { computed } from 'vue'
import { Plus, X } from '@lucide/vue'
import { howsOf, takesValue } from '@core/ideas/viewing'
import type { Field } from '@core/ideas/field'
import type { Group, Test } from '@core/records'
import { typedIn } from '@app/ui/fields/event'

/** Conditions joined by all or any; a group may hold groups. */
const {
  group,
  fields,
  depth = 0,
} = defineProps<{ group: Group; fields: ReadonlyMap<string, Field>; depth?: number }>()
const emit = defineEmits<{ change: [Group]; remove: [] }>()
const list = computed(() => [...fields.values()])

function put(i: number, part: Group['of'][number]) {
  emit('change', { ...group, of: group.of.map((p, n) => (n === i ? part : p)) })
}
function drop(i: number) {
  emit('change', { ...group, of: group.of.filter((_, n) => n !== i) })
}
function add(part: Group['of'][number]) {
  emit('change', { ...group, of: [...group.of, part] })
}
const blank = (): Test => ({ kind: 'test', field: 'topics', how: 'has', value: '' })
function another(i: number, test: Test, field: string) {
  const hows = howsOf(fields.get(field)?.kind ?? 'text')
  put(i, {
    ...test,
    field,
    how: hows.some((h) => h.how === test.how) ? test.how : (hows[0]?.how ?? 'is'),
    value: '',
  })
}
const how = (event: Event, kind: Field['kind']): Test['how'] =>
  howsOf(kind).find((h) => h.how === typedIn(event))?.how ?? 'is'
</script>

<template>
  <div
    class="grid gap-2"
    :class="depth > 0 ? 'border-l-2 border-line pl-3' : ''"
    role="group"
    :aria-label="depth === 0 ? 'Conditions' : 'Conditions within'"
  >
    <p class="flex items-center gap-2 text-12 text-ink-2">
      <select
        class="field w-auto min-h-[28px] py-0.5"
        :value="group.join"
        aria-label="How the conditions join"
        @change="emit('change', { ...group, join: typedIn($event) === 'any' ? 'any' : 'all' })"
      >
        <option value="all">all of these hold</option>
        <option value="any">any of these holds</option>
      </select>
      <button
        v-if="depth > 0"
        class="btn btn-bare btn-small px-1"
        aria-label="Remove this group"
        @click="emit('remove')"
      >
        <X :size="14" />
      </button>
    </p>
    <template v-for="(part, i) in group.of" :key="i">
      <ConditionGroup
        v-if="part.kind === 'group'"
        :group="part"
        :fields="fields"
        :depth="depth + 1"
        @change="put(i, $event)"
        @remove="drop(i)"
      />
      <p
        v-else
        class="grid grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)_minmax(0,1.3fr)_26px] gap-1.5 items-center"
      >
        <select
          class="field min-h-[30px] py-0.5"
          :value="part.field"
          aria-label="Field"
          @change="another(i, part, typedIn($event))"
        >
          <option v-for="f in list" :key="f.name" :value="f.name">{{ f.label }}</option>
        </select>
        <select
          class="field min-h-[30px] py-0.5"
          :value="part.how"
          aria-label="Comparison"
          @change="put(i, { ...part, how: how($event, fields.get(part.field)?.kind ?? 'text') })"
        >
          <option v-for="h in howsOf(fields.get(part.field)?.kind ?? 'text')" :key="h.how" :value="h.how">
            {{ h.says }}
          </option>
        </select>
        <template v-if="takesValue(part.how)">
          <select
            v-if="fields.get(part.field)?.choices"
            class="field min-h-[30px] py-0.5"
            :value="part.value"
            aria-label="Value"
            @change="put(i, { ...part, value: typedIn($event) })"
          >
            <option value="" />
            <option v-for="c in fields.get(part.field)?.choices" :key="c" :value="c">{{ c }}</option>
          </select>
          <input
            v-else
            class="field min-h-[30px] py-0.5"
            :value="part.value"
            aria-label="Value"
            :placeholder="fields.get(part.field)?.kind === 'date' ? '-30, today, 2027-03-01' : ''"
            @input="put(i, { ...part, value: typedIn($event) })"
          />
        </template>
        <span v-else />
        <button class="btn btn-bare btn-small px-1" aria-label="Remove this condition" @click="drop(i)">
          <X :size="14" />
        </button>
      </p>
    </template>
    <p class="flex gap-2">
      <button class="btn btn-small" @click="add(blank())">
        <Plus :size="13" aria-hidden="true" /> Condition</button
      ><button
        class="btn btn-small"
        @click="add({ kind: 'group', join: group.join === 'all' ? 'any' : 'all', of: [blank()] })"
      >
        <Plus :size="13" aria-hidden="true" /> Group
      </button>
    </p>
  </div>
</template>
