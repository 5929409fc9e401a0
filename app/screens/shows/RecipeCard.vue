<script setup lang="ts">
import { sum } from 'd3-array'
import { computed } from 'vue'
import { openDifferences } from '@core/commands/recipes/open-differences'
import { takeStarter } from '@core/commands/recipes'
import type { Show } from '@core/records'
import { sayMinutes } from '@core/script/timecode'
import { useLibrary } from '@app/stores/library'

/** A show's recipes, each with its stages and minutes; each opens to be changed. */
const { show } = defineProps<{ show: Show }>()
const library = useLibrary()
const recipes = computed(() =>
  [show.recipe, ...(show.recipes ?? [])].flatMap((id) => {
    const recipe = library.tables.recipes.get(id)
    return recipe
      ? [
          {
            recipe,
            total: sum(recipe.lines, (l) => l.minutes),
            open: openDifferences(library.tables, id).length,
          },
        ]
      : []
  }),
)
const small = computed(() => (recipes.value[0]?.recipe.lines.length ?? 0) <= 3)
</script>

<template>
  <section class="panel p-5" aria-labelledby="recipe">
    <div class="flex flex-wrap items-baseline gap-3 mb-2">
      <h2 id="recipe" class="flex-1">{{ recipes.length > 1 ? 'Recipes' : 'Recipe' }}</h2>
      <button
        v-if="small"
        class="btn"
        @click="library.perform(takeStarter, { show: show.id, starter: 'full' })"
      >
        Take the fuller recipe, 12 steps
      </button>
      <button
        v-else
        class="btn btn-bare btn-small"
        @click="library.perform(takeStarter, { show: show.id, starter: 'small' })"
      >
        Back to three steps
      </button>
    </div>
    <ul>
      <li
        v-for="r in recipes"
        :key="r.recipe.id"
        class="border-t border-faint py-2.5 flex flex-wrap items-center gap-x-4 gap-y-1"
      >
        <div class="flex-1 min-w-[260px]">
          <p class="font-semibold">
            {{ r.recipe.name
            }}<span v-if="r.recipe.id === show.recipe && recipes.length > 1" class="sub font-normal">
              the first</span
            >
          </p>
          <p class="sub">{{ r.recipe.stages.map((s) => s.name).join(', ') }}</p>
        </div>
        <p class="sub">
          {{ r.recipe.lines.length }} {{ r.recipe.lines.length === 1 ? 'step' : 'steps' }},
          {{ sayMinutes(r.total) }} an episode<template v-if="r.open > 0"
            ><br /><strong class="text-ink"
              >{{ r.open }} {{ r.open === 1 ? 'change' : 'changes' }} to offer</strong
            ></template
          >
        </p>
        <RouterLink
          :to="{ name: 'recipe', params: { show: show.id, recipe: r.recipe.id } }"
          class="btn"
          :aria-label="`Change the recipe ${r.recipe.name}`"
          >Change it</RouterLink
        >
      </li>
    </ul>
  </section>
</template>
