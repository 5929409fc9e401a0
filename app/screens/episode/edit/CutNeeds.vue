<script setup lang="ts">
import { computed } from 'vue'
import { editNeeds, type EditNeed } from '@core/edit/needs'
import type { Card } from '@core/views/card'

/** What the cut still waits for, each with the way to where it is got. */
const { card } = defineProps<{ card: Card }>()
const needs = computed(() => editNeeds(card.script))
const stageOf = (kind: 'film' | 'script' | 'edit') => card.recipe.stages.find((s) => s.kind === kind)?.id
function to({ lacking }: EditNeed) {
  const stage = lacking && stageOf(lacking.stage)
  if (!lacking || stage === undefined || lacking.stage === 'edit') return undefined
  return {
    name: 'episode',
    params: { code: card.episode.code, stage },
    ...(lacking.stage === 'script' ? { query: { at: lacking.cue } } : {}),
  }
}
const lacks = (n: EditNeed) =>
  n.there < n.of
    ? `${n.lacking?.text ?? ''}${n.of - n.there > 1 ? `, ${n.of - n.there - 1} more` : ''}`
    : `${n.unlicensed} without a licence`
</script>

<template>
  <section v-if="needs.some((n) => n.lacking)" aria-labelledby="waits" class="border-t border-faint pt-3">
    <h2 id="waits" class="text-14 mb-1">Still waits for</h2>
    <ul class="grid gap-1 text-12">
      <li v-for="n in needs" :key="n.kind" class="flex gap-2">
        <span class="font-medium whitespace-nowrap" :class="n.lacking ? '' : 'text-ink-2 font-normal'">{{
          n.name
        }}</span><span class="num">{{ n.there }} of {{ n.of }}</span
        ><span v-if="n.lacking" class="flex-1 min-w-0 truncate text-right sub"
          ><RouterLink v-if="to(n)" :to="to(n) ?? '/'" class="underline">{{ lacks(n) }}</RouterLink
          ><template v-else>{{ lacks(n) }}</template></span
        >
      </li>
    </ul>
  </section>
</template>
