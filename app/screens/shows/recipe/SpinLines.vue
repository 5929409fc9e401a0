<script setup lang="ts">
import { computed } from 'vue'
import { X } from '@lucide/vue'
import type { RecipeFields } from '@core/commands/recipes/written'
import { SpinKind, type Recipe, type Show, type SpinLine } from '@core/records'
import { spinWork } from '@core/release/spin-offs'
import { sayKind } from '@core/release/when'
import { useLibrary } from '@app/stores/library'
import ChoiceField from '@app/ui/fields/ChoiceField.vue'
import NumberField from '@app/ui/fields/NumberField.vue'
import WhenFields from '../WhenFields.vue'

/** What is made of every episode besides: kind, outlet, moment and minutes. */
const { recipe, show } = defineProps<{ recipe: Recipe; show: Show | undefined }>()
const emit = defineEmits<{ write: [RecipeFields] }>()
const library = useLibrary()
const lines = computed(() => recipe.spinOffs ?? [])
const where = computed(() => [
  ['', 'no outlet yet'] as const,
  ...(show?.outlets ?? []).flatMap((id) => {
    const outlet = library.tables.outlets.get(id)
    return outlet ? [[outlet.id, outlet.name] as const] : []
  }),
])
const kinds = SpinKind.options.map((k) => [k, sayKind(k)] as const)
function put(id: string, to: Partial<SpinLine> | undefined) {
  emit('write', {
    spinOffs: lines.value.flatMap((l) => (l.id !== id ? [l] : to === undefined ? [] : [{ ...l, ...to }])),
  })
}
function place(line: SpinLine, outlet: string) {
  const { outlet: _old, ...rest } = line
  emit('write', {
    spinOffs: lines.value.map((l) => (l.id !== line.id ? l : outlet === '' ? rest : { ...rest, outlet })),
  })
}
function add() {
  const kind = 'post' as const
  const line: SpinLine = {
    ...{ id: library.newId(), kind, when: { kind: 'days', days: 1, time: '12:00' } },
    minutes: spinWork[kind].minutes,
  }
  emit('write', { spinOffs: [...lines.value, line] })
}
</script>

<template>
  <section class="panel p-4 grid gap-3" aria-labelledby="spin-lines">
    <header class="flex items-center gap-3">
      <h2 id="spin-lines" class="flex-1">Made from every episode</h2>
      <button class="btn btn-small" @click="add">Add one</button>
    </header>
    <p v-if="lines.length === 0" class="sub">
      A post the day after, a letter on Saturdays, two excerpts: what stands here is there for each episode as
      soon as work on it begins, with its own step in the week.
    </p>
    <div
      v-for="(l, i) in lines"
      :key="l.id"
      role="group"
      :aria-label="`${sayKind(l.kind)} ${i + 1}`"
      class="flex flex-wrap items-end gap-2 border-t border-faint pt-2"
    >
      <ChoiceField
        :model-value="l.kind"
        label="What"
        :of="kinds"
        @update:model-value="put(l.id, { kind: $event })"
      />
      <ChoiceField
        :model-value="l.outlet ?? ''"
        label="Where"
        :of="where"
        @update:model-value="place(l, $event)"
      />
      <WhenFields
        :model-value="l.when"
        label="It goes out"
        @update:model-value="put(l.id, { when: $event })"
      />
      <NumberField
        :model-value="l.minutes"
        label="Minutes"
        :min="0"
        :max="6000"
        field="field w-[80px]"
        @update:model-value="put(l.id, { minutes: $event })"
      />
      <button
        class="btn btn-bare px-2"
        :aria-label="`${sayKind(l.kind)} ${i + 1} is made no more`"
        @click="put(l.id, undefined)"
      >
        <X :size="14" />
      </button>
    </div>
  </section>
</template>
