<script setup lang="ts">
import { computed } from 'vue'
import { sayDay } from '@core/rhythm/days'
import { useMoment } from '@app/stores/moment'
import { useIdeas } from '@app/stores/ideas'
import { useRanking } from '@app/stores/ranking'

/** The head of every part of Ideas: where one is, and how long the ideas last. */
const moment = useMoment()
const ideas = useIdeas()
const ranking = useRanking()
const parts = computed(() => [
  { name: 'ideas', label: 'All' },
  { name: 'sort', label: ideas.unsorted.length > 0 ? `Sort ${ideas.unsorted.length}` : 'Sort' },
  { name: 'keywords', label: 'Keywords' },
  { name: 'balance', label: 'Balance' },
  { name: 'mailbox', label: 'Mailbox' },
])
const thin = computed(() =>
  moment.shows.flatMap((s) => {
    const b = ranking.backlog(s)
    return b.thin && b.without ? [`${s.title} has no idea for ${sayDay(b.without, moment.today)}`] : []
  }),
)
</script>

<template>
  <header class="flex flex-wrap items-center gap-x-5 gap-y-2 mb-3">
    <h1>Ideas</h1>
    <nav aria-label="Parts of Ideas" class="flex flex-wrap gap-0.5">
      <RouterLink
        v-for="p in parts"
        :key="p.name"
        :to="{ name: p.name }"
        class="px-2.5 py-1 rounded-control no-underline text-ink-2 font-medium hover:text-ink"
        exact-active-class="bg-raised text-ink!"
        >{{ p.label }}</RouterLink
      >
    </nav>
    <p v-if="thin.length > 0" class="sub ml-auto">{{ thin.join('; ') }}</p>
    <slot />
  </header>
</template>
