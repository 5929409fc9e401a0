<script setup lang="ts">
import { computed, ref } from 'vue'
import { Plus, X } from '@lucide/vue'
import { editShow } from '@core/commands/shows'
import { formNamed } from '@core/form'
import type { Form, Show } from '@core/records'
import { useLibrary } from '@app/stores/library'
import { typedIn } from '@app/ui/fields/event'
import TextField from '@app/ui/fields/TextField.vue'

/** The kinds of episode that a show makes, each with the recipe of its own. */
const { show } = defineProps<{ show: Show }>()
const library = useLibrary()
const forms = computed(() => show.forms ?? [])
const recipes = computed(() =>
  [show.recipe, ...(show.recipes ?? [])].flatMap((id) => library.tables.recipes.get(id) ?? []),
)
const fresh = ref('')
function write(next: Form[]) {
  return library.perform(editShow, { show: show.id, fields: { forms: next } })
}
async function add() {
  const name = fresh.value.trim()
  if (name === '' || formNamed(show, name)) return
  const done = await write([...forms.value, { id: crypto.randomUUID(), name }])
  if (done.ok) fresh.value = ''
}
function change(form: Form, more: Partial<Form>) {
  void write(forms.value.map((f) => (f.id === form.id ? { ...f, ...more } : f)))
}
</script>

<template>
  <fieldset class="grid gap-2">
    <legend class="label">Kinds of episode</legend>
    <div v-for="f in forms" :key="f.id" class="flex items-center gap-2">
      <TextField
        :model-value="f.name"
        lazy
        hidden
        class="flex-1"
        :label="`Name of the kind ${f.name}`"
        maxlength="24"
        @update:model-value="change(f, { name: $event })"
      />
      <select
        class="field w-auto max-w-[190px]"
        :aria-label="`Recipe of ${f.name}`"
        :value="f.recipe ?? ''"
        @change="change(f, { recipe: typedIn($event) || undefined })"
      >
        <option value="">made by any recipe</option>
        <option v-for="r in recipes" :key="r.id" :value="r.id">{{ r.name }}</option>
      </select>
      <button
        class="btn btn-bare btn-small px-1"
        :aria-label="`Take ${f.name} away`"
        @click="write(forms.filter((x) => x.id !== f.id))"
      >
        <X :size="14" />
      </button>
    </div>
    <form class="flex gap-2" @submit.prevent="add">
      <input
        v-model="fresh"
        class="field flex-1"
        aria-label="Another kind of episode"
        maxlength="24"
        :placeholder="forms.length > 0 ? 'another' : 'tutorial, talk, news, short…'"
      /><button class="btn btn-small" :disabled="fresh.trim() === ''">
        <Plus :size="14" aria-hidden="true" /> Add
      </button>
    </form>
  </fieldset>
</template>
