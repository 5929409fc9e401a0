<script setup lang="ts">
import { computed } from 'vue'
import { ArrowDown, ArrowUp } from '@lucide/vue'
import { leaveOutStage } from '@core/commands/recipes'
import type { RecipeFields } from '@core/commands/recipes/written'
import { Part, type Recipe, type Stage } from '@core/records'
import { withStageMoved } from '@core/recipe/edit'
import { useLibrary } from '@app/stores/library'
import StageChecklists from './StageChecklists.vue'
import { partNames } from './words'
import TextField from '@app/ui/fields/TextField.vue'
import OptionalNumberField from '@app/ui/fields/OptionalNumberField.vue'
import { tickedIn } from '@app/ui/fields/event'

/**
 * All that a recipe says of one stage: what must be settled before it, how early it may begin, its
 * checklists.
 */
const { recipe, stage } = defineProps<{ recipe: Recipe; stage: Stage }>()
const emit = defineEmits<{
  write: [RecipeFields]
  choose: [{ kind: 'step' | 'stage'; id: string }]
  gone: []
}>()
const library = useLibrary()
const at = computed(() => recipe.stages.findIndex((s) => s.id === stage.id))
function put(fields: Partial<Stage>) {
  emit('write', { stages: recipe.stages.map((s) => (s.id === stage.id ? { ...s, ...fields } : s)) })
}
const toggled = <T,>(row: readonly T[] | undefined, one: T, on: boolean): T[] =>
  on ? [...(row ?? []), one] : (row ?? []).filter((x) => x !== one)
async function leaveOut() {
  const done = await library.perform(leaveOutStage, { recipe: recipe.id, stage: stage.id })
  if (done.ok) emit('gone')
}
const settling = Part.options.filter((p) => p !== 'chapters' && p !== 'length')
</script>

<template>
  <div class="grid gap-3">
    <div class="flex items-end gap-1">
      <TextField
        :model-value="stage.name"
        lazy
        class="flex-1 font-medium"
        label="Stage"
        @update:model-value="put({ name: $event })"
      /><button
        class="btn btn-bare btn-small px-1"
        aria-label="Earlier in the row"
        :disabled="at === 0"
        @click="emit('write', { stages: withStageMoved(recipe, stage.id, -1).stages })"
      >
        <ArrowUp :size="16" /></button
      ><button
        class="btn btn-bare btn-small px-1"
        aria-label="Later in the row"
        :disabled="at === recipe.stages.length - 1"
        @click="emit('write', { stages: withStageMoved(recipe, stage.id, 1).stages })"
      >
        <ArrowDown :size="16" />
      </button>
    </div>
    <fieldset class="grid gap-1.5">
      <legend class="label">Builds on</legend>
      <label
        v-for="s in recipe.stages.filter((o) => o.id !== stage.id && o.kind !== 'after')"
        :key="s.id"
        class="flex items-center gap-2"
        ><input
          type="checkbox"
          class="tick"
          :checked="stage.after.includes(s.id)"
          @change="put({ after: toggled(stage.after, s.id, tickedIn($event)) })"
        />{{ s.name }}</label
      >
    </fieldset>
    <details :open="(stage.settled ?? []).length > 0">
      <summary class="label cursor-pointer underline decoration-dotted underline-offset-2">
        Settled before it may begin:
        {{ (stage.settled ?? []).map((p) => partNames[p]).join(', ') || 'nothing' }}
      </summary>
      <div class="grid grid-cols-2 gap-1.5 pt-1">
        <label v-for="p in settling" :key="p" class="flex items-center gap-2"
          ><input
            type="checkbox"
            class="tick"
            :checked="(stage.settled ?? []).includes(p)"
            @change="put({ settled: toggled(stage.settled, p, tickedIn($event)) })"
          />{{ partNames[p] }}</label
        >
      </div>
    </details>
    <details :open="stage.parts.length > 0">
      <summary class="label cursor-pointer underline decoration-dotted underline-offset-2">
        Lit by parts: {{ stage.parts.map((p) => partNames[p]).join(', ') || 'none' }}
      </summary>
      <div class="grid grid-cols-2 gap-1.5 pt-1">
        <label v-for="p in Part.options" :key="p" class="flex items-center gap-2"
          ><input
            type="checkbox"
            class="tick"
            :checked="stage.parts.includes(p)"
            @change="put({ parts: toggled(stage.parts, p, tickedIn($event)) })"
          />{{ partNames[p] }}</label
        >
      </div>
    </details>
    <OptionalNumberField
      :model-value="stage.earliest"
      field="field num w-[110px]"
      label="Not earlier than, days before release"
      :min="0"
      :max="365"
      placeholder="any time"
      @update:model-value="(earliest) => put({ earliest })"
    />
    <p class="sub">
      For news and live: neither it nor what builds on it can be done ahead, and its slot does not count as
      ready ahead.
    </p>
    <StageChecklists :recipe="recipe" :stage="stage" @write="emit('write', $event)" />
    <button class="btn btn-small justify-self-start" @click="leaveOut">Leave this stage out</button>
  </div>
</template>
