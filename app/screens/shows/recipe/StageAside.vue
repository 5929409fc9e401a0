<script setup lang="ts">
import { computed, ref } from 'vue'
import { ArrowDown, ArrowUp, X } from '@lucide/vue'
import { leaveOutStage } from '@core/commands/recipes'
import type { RecipeFields } from '@core/commands/recipes/written'
import { Part, type Checklist, type Recipe, type Stage } from '@core/records'
import { withStageMoved } from '@core/recipe/edit'
import { useLibrary } from '@app/stores/library'
import { partNames } from './words'
import TextField from '@app/ui/fields/TextField.vue'
import OptionalNumberField from '@app/ui/fields/OptionalNumberField.vue'
import { typedIn, tickedIn } from '@app/ui/fields/event'

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
const lists = computed(() => (recipe.checklists ?? []).filter((c) => c.stage === stage.id))
function put(fields: Partial<Stage>) {
  emit('write', { stages: recipe.stages.map((s) => (s.id === stage.id ? { ...s, ...fields } : s)) })
}
const toggled = <T,>(row: readonly T[] | undefined, one: T, on: boolean): T[] =>
  on ? [...(row ?? []), one] : (row ?? []).filter((x) => x !== one)
async function leaveOut() {
  const done = await library.perform(leaveOutStage, { recipe: recipe.id, stage: stage.id })
  if (done.ok) emit('gone')
}
const item = ref('')
function lay(list: Checklist) {
  emit('write', { checklists: [...(recipe.checklists ?? []).filter((c) => c.id !== list.id), list] })
}
function addItem(list: Checklist | undefined) {
  const text = item.value.trim()
  if (text === '') return
  const made = { id: library.newId(), text }
  lay(
    list
      ? { ...list, items: [...list.items, made] }
      : { id: library.newId(), stage: stage.id, name: `Before ${stage.name}`, items: [made] },
  )
  item.value = ''
}
function dropItem(list: Checklist, id: string) {
  const items = list.items.filter((i) => i.id !== id)
  if (items.length > 0) lay({ ...list, items })
  else emit('write', { checklists: (recipe.checklists ?? []).filter((c) => c.id !== list.id) })
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
    <div v-for="list in lists" :key="list.id" class="grid gap-1.5 border-t border-faint pt-3">
      <input
        class="quiet-field mx-0 font-medium"
        :value="list.name"
        aria-label="Name of the checklist"
        @change="lay({ ...list, name: typedIn($event) })"
      />
      <div v-for="i in list.items" :key="i.id" class="flex items-center gap-2">
        <span class="flex-1">{{ i.text }}</span><button
          class="btn btn-bare btn-small px-1"
          :aria-label="`Remove ${i.text}`"
          @click="dropItem(list, i.id)"
        >
          <X :size="14" />
        </button>
      </div>
    </div>
    <form class="flex gap-1.5" @submit.prevent="addItem(lists[0])">
      <input
        v-model="item"
        class="field"
        :placeholder="lists.length > 0 ? 'One more to check' : 'A checklist: batteries, sound, light'"
        aria-label="New item of the checklist"
      /><button class="btn btn-small">Add</button>
    </form>
    <button class="btn btn-small justify-self-start" @click="leaveOut">Leave this stage out</button>
  </div>
</template>
