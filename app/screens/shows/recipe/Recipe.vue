<script setup lang="ts">
import { sum } from 'd3-array'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { addRecipe, editRecipe, firstRecipe, removeRecipe } from '@core/commands/recipes'
import { openDifferences } from '@core/commands/recipes/open-differences'
import type { RecipeFields } from '@core/commands/recipes/written'
import { sayMinutes } from '@core/script/timecode'
import { useLibrary } from '@app/stores/library'
import { usePlan } from '@app/stores/plan'
import Drop from '@app/ui/Drop.vue'
import Differences from './Differences.vue'
import FolderFields from './FolderFields.vue'
import FollowOns from './FollowOns.vue'
import OutlineFields from './OutlineFields.vue'
import PatternFields from './PatternFields.vue'
import Score from './Score.vue'
import SpinLines from './SpinLines.vue'
import StageAside from './StageAside.vue'
import StepAside from './StepAside.vue'
import KeySign from '@app/ui/KeySign.vue'
import { scoreKeys } from './keymap'
import TextField from '@app/ui/fields/TextField.vue'
import { typedIn } from '@app/ui/fields/event'

/**
 * One recipe of a show: its steps drawn by when they are due, what each needs, and all that an episode
 * begins with.
 */
const { show: showId, recipe: id } = defineProps<{ show: string; recipe: string }>()
const library = useLibrary()
const router = useRouter()
usePlan().want()
const show = computed(() => library.tables.shows.get(showId))
const all = computed(() =>
  [show.value?.recipe ?? '', ...(show.value?.recipes ?? [])].flatMap(
    (r) => library.tables.recipes.get(r) ?? [],
  ),
)
const recipe = computed(() => all.value.find((r) => r.id === id) ?? all.value[0])
const chosen = ref<{ kind: 'step' | 'stage'; id: string }>()
const line = computed(() =>
  chosen.value?.kind === 'step' ? recipe.value?.lines.find((l) => l.id === chosen.value?.id) : undefined,
)
const stage = computed(() =>
  chosen.value?.kind === 'stage' ? recipe.value?.stages.find((s) => s.id === chosen.value?.id) : undefined,
)
const total = computed(() => sum(recipe.value?.lines ?? [], (l) => l.minutes))
const open = computed(() => (recipe.value ? openDifferences(library.tables, recipe.value.id) : []))
const fault = ref('')
async function write(fields: RecipeFields) {
  if (!recipe.value) return false
  const done = await library.perform(editRecipe, { recipe: recipe.value.id, fields }, 'quietly')
  fault.value = done.ok ? '' : done.problem.sentence
  return done.ok
}
function rename(event: Event) {
  void write({ name: typedIn(event) })
}
const fresh = ref('')
async function add(from: 'small' | 'full' | { recipe: string }, close: () => void) {
  const done = await library.perform(addRecipe, {
    show: showId,
    name: fresh.value.trim() || 'Another recipe',
    from,
  })
  const made = done.ok ? done.value.changes.find((c) => c.table === 'recipes') : undefined
  if (!made) return
  fresh.value = ''
  close()
  void router.push({ name: 'recipe', params: { show: showId, recipe: made.id } })
}
async function remove() {
  if (!recipe.value) return
  const done = await library.perform(removeRecipe, { show: showId, recipe: recipe.value.id })
  if (done.ok)
    void router.replace({ name: 'recipe', params: { show: showId, recipe: show.value?.recipe ?? '' } })
}
</script>

<template>
  <div v-if="show && recipe" :key="recipe.id" class="mx-auto max-w-[1360px] px-5 py-4 max-sm:px-3">
    <header class="flex flex-wrap items-center gap-x-3 gap-y-2 mb-3">
      <RouterLink :to="{ name: 'shows', params: { show: show.id } }" class="sub">{{ show.title }}</RouterLink>
      <h1 class="unseen">Recipe “{{ recipe.name }}”</h1>
      <input
        class="quiet-field mx-0 w-[300px] font-title text-20 font-semibold"
        :value="recipe.name"
        aria-label="Name of the recipe"
        @change="rename"
      />
      <p class="sub">
        {{ recipe.lines.length }} {{ recipe.lines.length === 1 ? 'step' : 'steps' }},
        {{ sayMinutes(total) }} an episode<template v-if="recipe.id === show.recipe"
          >, the first of this show</template
        >
      </p>
      <span class="ml-auto flex flex-wrap gap-2 items-center">
        <nav
          v-if="all.length > 1"
          aria-label="Recipes of the show"
          class="flex border border-line rounded-control overflow-hidden"
        >
          <RouterLink
            v-for="r in all"
            :key="r.id"
            :to="{ name: 'recipe', params: { show: show.id, recipe: r.id } }"
            class="px-3 py-1 no-underline"
            :class="r.id === recipe.id ? 'bg-raised font-medium' : 'text-ink-2'"
            :aria-current="r.id === recipe.id ? 'page' : undefined"
            >{{ r.name }}</RouterLink
          >
        </nav>
        <button
          v-if="recipe.id !== show.recipe"
          class="btn btn-small"
          @click="library.perform(firstRecipe, { show: show.id, recipe: recipe.id })"
        >
          Make it the first
        </button>
        <button v-if="recipe.id !== show.recipe" class="btn btn-small btn-bare" @click="remove">
          Remove
        </button>
        <Drop v-slot="{ close }" label="Another recipe" right small
          ><form class="grid gap-2" @submit.prevent="add({ recipe: recipe.id }, close)">
            <TextField v-model="fresh" label="Its name" placeholder="Interview, tutorial, live" /><button
              class="btn"
            >
              A copy of this one</button
            ><button type="button" class="btn" @click="add('full', close)">The fuller one, 12 steps</button
            ><button type="button" class="btn" @click="add('small', close)">The small one, 3 steps</button>
          </form></Drop
        >
      </span>
    </header>
    <p v-if="fault" role="alert" class="late mb-2">{{ fault }}</p>
    <Differences v-if="open.length > 0" :recipe="recipe" :open="open" class="mb-4" />
    <div class="grid grid-cols-1 gap-4 lg:grid-cols-[minmax(0,1fr)_300px] items-start">
      <Score :recipe="recipe" :chosen="chosen" @choose="chosen = $event" @write="write" />
      <aside
        class="panel p-4 lg:sticky lg:top-4"
        :aria-label="line ? `Step ${line.name}` : stage ? `Stage ${stage.name}` : 'Choose a step'"
      >
        <StepAside
          v-if="line"
          :key="line.id"
          :recipe="recipe"
          :line="line"
          @write="write"
          @gone="chosen = undefined"
        />
        <StageAside
          v-else-if="stage"
          :key="stage.id"
          :recipe="recipe"
          :stage="stage"
          @write="write"
          @choose="chosen = $event"
          @gone="chosen = undefined"
        />
        <div v-else class="grid gap-2">
          <h2>How it reads</h2>
          <p class="sub">
            Each step stands on the day by which it is due, counted back from the release. The heavy line is
            the ramp: where an episode should be by then. Thin lines are needs.
          </p>
          <p class="sub">
            Choose a step or a stage to change it. Drag a step’s dot, or press
            <KeySign :line="scoreKeys.lines.due" /> on it, to make it due earlier or later.
          </p>
        </div>
      </aside>
    </div>
    <div class="grid grid-cols-1 gap-4 mt-4 lg:grid-cols-2 items-start">
      <FollowOns :recipe="recipe" @write="write" />
      <OutlineFields :recipe="recipe" @write="write" />
      <PatternFields :recipe="recipe" @write="write" />
      <FolderFields :recipe="recipe" :show="show" @write="write" />
      <SpinLines :recipe="recipe" :show="show" class="lg:col-span-2" @write="write" />
    </div>
  </div>
  <section v-else class="p-10 text-center">
    <h1>This recipe is no longer there</h1>
    <RouterLink to="/shows" class="btn mt-4">To the shows</RouterLink>
  </section>
</template>
