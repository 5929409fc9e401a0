<script setup lang="ts">
import { computed, ref } from 'vue'
import { writeIdea } from '@core/commands/ideas'
import { editShow } from '@core/commands/shows'
import { readOwn } from '@core/ideas/field'
import { OwnField, type Episode } from '@core/records'
import { useLibrary } from '@app/stores/library'
import Stars from '@app/ui/Stars.vue'
import { typedIn } from '@app/ui/fields/event'

/** Fields of the creator's own, per show: their values here, and new ones. */
const { episode } = defineProps<{ episode: Episode }>()
const library = useLibrary()
const show = computed(() => library.tables.shows.get(episode.show))
const fields = computed(() => show.value?.fields ?? [])
const draft = ref({ name: '', kind: 'text', choices: '' })
const adding = ref(false)
const trouble = ref<Record<string, string>>({})
const kinds = OwnField.shape.kind.options

function put(field: OwnField, typed: string) {
  const read = readOwn(field, typed)
  trouble.value = { ...trouble.value, [field.id]: read.ok ? '' : read.problem.sentence }
  if (!read.ok) return
  const rest = Object.fromEntries(Object.entries(episode.idea.own).filter(([id]) => id !== field.id))
  void library.perform(
    writeIdea,
    {
      episode: episode.id,
      typed: { own: read.value === undefined ? rest : { ...rest, [field.id]: read.value } },
      what: `“${field.name}”`,
    },
    'quietly',
  )
}
const value = (field: OwnField) => episode.idea.own[field.id]
const stars = (field: OwnField) => {
  const v = value(field)
  return typeof v === 'number' ? v : undefined
}
async function add() {
  if (!show.value) return
  const choices = draft.value.choices
    .split(/[,;]/)
    .map((c) => c.trim())
    .filter(Boolean)
  const field = OwnField.safeParse({
    id: crypto.randomUUID(),
    name: draft.value.name,
    kind: draft.value.kind,
    choices,
  })
  if (!field.success) {
    library.say(field.error.issues[0]?.message ?? '', 'refused')
    return
  }
  if (fields.value.some((f) => f.name.toLowerCase() === field.data.name.toLowerCase())) {
    library.say(`${show.value.title} has a field “${field.data.name}” already.`, 'refused')
    return
  }
  if (field.data.kind === 'choice' && choices.length < 2) {
    library.say('A choice needs at least two values, parted by commas.', 'refused')
    return
  }
  const done = await library.perform(
    editShow,
    {
      show: show.value.id,
      fields: { fields: [...fields.value, field.data] },
    },
    'quietly',
  )
  if (done.ok) {
    draft.value = { name: '', kind: 'text', choices: '' }
    adding.value = false
  }
}
function drop(field: OwnField) {
  if (show.value)
    void library.perform(editShow, {
      show: show.value.id,
      fields: { fields: fields.value.filter((f) => f.id !== field.id) },
    })
}
</script>

<template>
  <fieldset>
    <legend class="label">Own fields of {{ show?.title }}</legend>
    <div class="grid gap-3 sm:grid-cols-2">
      <div v-for="f in fields" :key="f.id">
        <p class="label flex justify-between">
          <span>{{ f.name }}</span><button
            class="text-ink-3 hover:text-ink"
            :aria-label="`Remove the field ${f.name}`"
            @click="drop(f)"
          >
            ×
          </button>
        </p>
        <Stars
          v-if="f.kind === 'stars'"
          :label="f.name"
          :value="stars(f)"
          @change="put(f, $event === undefined ? '' : String($event))"
        />
        <input
          v-else-if="f.kind === 'tick'"
          type="checkbox"
          class="tick"
          :checked="value(f) === true"
          :aria-label="f.name"
          @change="put(f, value(f) === true ? '' : 'yes')"
        />
        <select
          v-else-if="f.kind === 'choice'"
          class="field"
          :value="value(f) ?? ''"
          :aria-label="f.name"
          @change="put(f, typedIn($event))"
        >
          <option value="" />
          <option v-for="c in f.choices" :key="c">{{ c }}</option>
        </select>
        <input
          v-else
          class="field"
          :type="f.kind === 'date' ? 'date' : 'text'"
          :inputmode="f.kind === 'number' ? 'decimal' : undefined"
          :value="value(f) ?? ''"
          :aria-label="f.name"
          @change="put(f, typedIn($event))"
        />
        <p v-if="trouble[f.id]" class="late text-12" role="alert">{{ trouble[f.id] }}</p>
      </div>
    </div>
    <form v-if="adding" class="flex flex-wrap gap-2 mt-3" @submit.prevent="add">
      <input
        v-model="draft.name"
        class="field w-[160px]"
        placeholder="Name"
        aria-label="Name of the field"
        maxlength="40"
        required
      /><select v-model="draft.kind" class="field w-auto" aria-label="Kind of field">
        <option v-for="k in kinds" :key="k" :value="k">{{ k }}</option></select
      ><input
        v-if="draft.kind === 'choice'"
        v-model="draft.choices"
        class="field w-[200px]"
        placeholder="calm, wild"
        aria-label="Choices, parted by commas"
      /><button class="btn">Add the field</button>
    </form>
    <button v-else class="btn btn-small mt-3" @click="adding = true">A new field</button>
  </fieldset>
</template>
