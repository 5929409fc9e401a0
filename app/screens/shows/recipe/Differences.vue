<script setup lang="ts">
import { computed } from 'vue'
import { settleDifferences } from '@core/commands/recipes'
import type { Recipe } from '@core/records'
import type { Difference } from '@core/recipe/differences'
import { useCards } from '@app/stores/cards'
import { useLibrary } from '@app/stores/library'

/** What a changed recipe would change in episodes in work, each to take or to leave. */
const { recipe, open } = defineProps<{ recipe: Recipe; open: readonly Difference[] }>()
const library = useLibrary()
const cards = useCards()
const by = computed(() => {
  const groups = new Map<string, Difference[]>()
  for (const d of open) groups.set(d.episode, [...(groups.get(d.episode) ?? []), d])
  return [...groups].flatMap(([id, list]) => {
    const card = cards.card(id)
    return card ? [{ card, list }] : []
  })
})
function settle(take: readonly Difference[], leave: readonly Difference[]) {
  void library.perform(settleDifferences, {
    recipe: recipe.id,
    take: take.map((d) => d.key),
    leave: leave.map((d) => d.key),
  })
}
</script>

<template>
  <section class="panel border-line px-4 py-3" aria-labelledby="differences">
    <div class="flex flex-wrap items-center gap-2">
      <h2 id="differences" class="flex-1">
        The recipe has changed; {{ by.length }} {{ by.length === 1 ? 'episode' : 'episodes' }} in work could
        follow
      </h2>
      <button class="btn btn-small" @click="settle(open, [])">Take all {{ open.length }}</button
      ><button class="btn btn-small btn-bare" @click="settle([], open)">Leave all</button>
    </div>
    <ul class="mt-2 max-h-[220px] overflow-y-auto">
      <li v-for="g in by" :key="g.card.episode.id" class="border-t border-faint py-1.5 grid gap-1">
        <p>
          <span class="num">{{ g.card.number }}</span>
          <strong class="font-semibold">{{ g.card.title }}</strong>
        </p>
        <p v-for="d in g.list" :key="d.key" class="flex flex-wrap items-center gap-2 pl-3">
          <span class="flex-1 min-w-[240px]"
            >{{ d.name }}<span class="text-ink-2">: {{ d.says }}</span></span
          ><button
            class="btn btn-small"
            :aria-label="`Take for ${g.card.number}: ${d.name}, ${d.says}`"
            @click="settle([d], [])"
          >
            Take</button
          ><button
            class="btn btn-small btn-bare"
            :aria-label="`Leave for ${g.card.number}: ${d.name}`"
            @click="settle([], [d])"
          >
            Leave
          </button>
        </p>
      </li>
    </ul>
  </section>
</template>
