<script setup lang="ts">
import { computed } from 'vue'
import { dueLater, takeOut } from '@core/commands/recipes'
import { alwaysLate, type AlwaysLate } from '@core/learnt/always-late'
import { unusedOf, type Unused } from '@core/learnt/unused'
import type { Show } from '@core/records'
import { addDays } from '@core/rhythm/days'
import { useLibrary } from '@app/stores/library'
import { useMade } from '@app/stores/made'
import { useMoment } from '@app/stores/moment'

/**
 * What nobody used in the last quarter: steps never done, own fields never filled, due days that a stage never keeps; taken out by one
 * press.
 */
const { show } = defineProps<{ show: Show }>()
const library = useLibrary()
const made = useMade()
const moment = useMoment()
const quarter = 91
const recipe = computed(() => library.tables.recipes.get(show.recipe))
const unused = computed(() => {
  const from = addDays(moment.today, -quarter)
  const mine = made.all.filter((m) => m.episode.show === show.id && m.day >= from)
  return recipe.value ? unusedOf(mine, show, recipe.value) : []
})
const late = computed(() => {
  const from = addDays(moment.today, -quarter)
  const mine = made.all.filter((m) => m.episode.show === show.id && m.day >= from)
  return recipe.value ? alwaysLate(mine, show, recipe.value) : []
})
function asDone({ stage, days }: AlwaysLate) {
  if (recipe.value) void library.perform(dueLater, { recipe: recipe.value.id, stage, days })
}
const says = (u: Unused) =>
  u.kind === 'line' ? 'a step that was never done' : 'a field that was never filled'
function out(which: readonly Unused[]) {
  if (recipe.value) void library.perform(takeOut, { show: show.id, recipe: recipe.value.id, unused: which })
}
</script>

<template>
  <section v-if="unused.length > 0" class="panel p-4 grid gap-2" aria-labelledby="never-used">
    <div class="flex items-center gap-3">
      <h2 id="never-used" class="flex-1">
        {{ unused.length }} {{ unused.length === 1 ? 'thing was' : 'things were' }} never used in a quarter
      </h2>
      <button v-if="unused.length > 1" class="btn btn-small" @click="out(unused)">Take all of it out</button>
    </div>
    <ul>
      <li
        v-for="u in unused"
        :key="u.kind + u.id"
        class="flex items-center gap-3 border-t border-faint py-1.5"
      >
        <span class="flex-1 min-w-0"
          ><strong>{{ u.name }}</strong
          ><span class="sub"> {{ says(u) }}, over {{ u.cases }} releases</span></span
        ><button class="btn btn-small" :aria-label="`Take ${u.name} out`" @click="out([u])">
          Take it out
        </button>
      </li>
    </ul>
  </section>
  <section v-if="late.length > 0" class="panel p-4 grid gap-2" aria-labelledby="always-late">
    <h2 id="always-late">
      {{ late.length === 1 ? 'A stage is' : `${late.length} stages are` }} always late by the same days
    </h2>
    <ul>
      <li v-for="l in late" :key="l.stage" class="flex items-center gap-3 border-t border-faint py-1.5">
        <span class="flex-1 min-w-0"
          ><strong>{{ l.name }}</strong
          >{{ ' '
          }}<span class="sub"
            >ends {{ l.days }} {{ l.days === 1 ? 'day' : 'days' }} after it is due, the middle of
            {{ l.cases }} releases</span
          ></span
        ><button class="btn btn-small" @click="asDone(l)">Have it due then</button>
      </li>
    </ul>
  </section>
</template>
