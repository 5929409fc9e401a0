<script setup lang="ts">
import { computed } from 'vue'
import { Plus, X } from '@lucide/vue'
import type { Outlet, When } from '@core/records'
import TextField from '@app/ui/fields/TextField.vue'
import WhenFields from './WhenFields.vue'

/** When things go out at an outlet, relative to the release; and how many of them an episode has there. */
const { outlet } = defineProps<{ outlet: Outlet }>()
const emit = defineEmits<{ write: [fields: Partial<Outlet>] }>()
const all = computed((): When[] => [outlet.when ?? { kind: 'with' }, ...(outlet.more ?? [])])
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
</script>

<template>
  <fieldset>
    <legend class="label">When it goes out there</legend>
    <WhenFields
      v-for="(when, i) in all"
      :key="i"
      class="mb-2"
      :model-value="when"
      :label="all.length > 1 ? `Thing ${i + 1} goes out` : 'It goes out'"
      @update:model-value="write(i, $event)"
    >
      <button
        v-if="all.length > 1"
        class="btn btn-bare px-2"
        :aria-label="`Thing ${i + 1} goes out no more`"
        @click="write(i, undefined)"
      >
        <X :size="14" />
      </button>
    </WhenFields>
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
