<script setup lang="ts">
import { computed, ref } from 'vue'
import { Plus, X } from '@lucide/vue'
import type { RecipeFields } from '@core/commands/recipes/written'
import type { Checklist, Recipe, Stage } from '@core/records'
import { useLibrary } from '@app/stores/library'
import { tickedIn, typedIn } from '@app/ui/fields/event'

/** The checklists of a stage; an item that is required holds its lamp until it is ticked. */
const { recipe, stage } = defineProps<{ recipe: Recipe; stage: Stage }>()
const emit = defineEmits<{ write: [RecipeFields] }>()
const library = useLibrary()
const lists = computed(() => (recipe.checklists ?? []).filter((c) => c.stage === stage.id))
/** What is being typed for each list; for a new one under no name. */
const typed = ref<Record<string, string>>({})
const isAnother = ref(false)
function lay(list: Checklist) {
  const all = recipe.checklists ?? []
  emit('write', {
    checklists: all.some((c) => c.id === list.id)
      ? all.map((c) => (c.id === list.id ? list : c))
      : [...all, list],
  })
}
function add(list: Checklist | undefined) {
  const text = (typed.value[list?.id ?? ''] ?? '').trim()
  if (text === '') return
  const made = { id: library.newId(), text }
  const count = lists.value.length
  lay(
    list
      ? { ...list, items: [...list.items, made] }
      : {
          id: library.newId(),
          stage: stage.id,
          name: count === 0 ? `Before ${stage.name}` : `${stage.name}, list ${count + 1}`,
          items: [made],
        },
  )
  typed.value = { ...typed.value, [list?.id ?? '']: '' }
  isAnother.value = false
}
function require(list: Checklist, id: string, required: boolean) {
  lay({ ...list, items: list.items.map((i) => (i.id === id ? { ...i, required } : i)) })
}
function drop(list: Checklist, id: string) {
  const items = list.items.filter((i) => i.id !== id)
  if (items.length > 0) lay({ ...list, items })
  else emit('write', { checklists: (recipe.checklists ?? []).filter((c) => c.id !== list.id) })
}
</script>

<template>
  <div v-for="list in lists" :key="list.id" class="grid gap-1.5 border-t border-faint pt-3">
    <input
      class="quiet-field mx-0 font-medium"
      :value="list.name"
      aria-label="Name of the checklist"
      @change="lay({ ...list, name: typedIn($event) })"
    />
    <div v-for="i in list.items" :key="i.id" class="flex items-center gap-2">
      <span class="flex-1">{{ i.text }}</span><label class="flex items-center gap-1.5 text-12 text-ink-2"
        ><input
          type="checkbox"
          class="tick"
          :checked="i.required ?? false"
          :aria-label="`${i.text} is required`"
          @change="require(list, i.id, tickedIn($event))"
        />required</label
      ><button class="btn btn-bare btn-small px-1" :aria-label="`Remove ${i.text}`" @click="drop(list, i.id)">
        <X :size="14" />
      </button>
    </div>
    <form class="flex gap-1.5" @submit.prevent="add(list)">
      <input
        v-model="typed[list.id]"
        class="field"
        placeholder="One more to check"
        :aria-label="`New item of ${list.name}`"
      /><button class="btn btn-small">Add</button>
    </form>
  </div>
  <form v-if="lists.length === 0 || isAnother" class="flex gap-1.5" @submit.prevent="add(undefined)">
    <input
      v-model="typed['']"
      class="field"
      :placeholder="lists.length > 0 ? 'Its first item' : 'A checklist: batteries, sound, light'"
      aria-label="New item of the checklist"
    /><button class="btn btn-small">Add</button>
  </form>
  <button v-else class="btn btn-small btn-bare text-ink-2 justify-self-start" @click="isAnother = true">
    <Plus :size="13" aria-hidden="true" /> another checklist
  </button>
</template>
