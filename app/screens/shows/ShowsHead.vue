<script setup lang="ts">
import { useRouter } from 'vue-router'
import { useMoment } from '@app/stores/moment'

/** The head of the screen Shows: each show, and those who take part in them. */
const { here } = defineProps<{ here: string }>()
const moment = useMoment()
const router = useRouter()
</script>

<template>
  <header class="flex flex-wrap items-center gap-3 mb-4">
    <h1>Shows</h1>
    <div class="flex flex-wrap gap-1.5 min-w-0" role="group" aria-label="Which show">
      <button
        v-for="s in moment.shows"
        :key="s.id"
        class="btn"
        :class="s.id === here ? 'border-ink bg-raised' : ''"
        :aria-pressed="s.id === here"
        @click="router.push({ name: 'shows', params: { show: s.id } })"
      >
        <span class="truncate">{{ s.title }}</span></button
      ><button
        class="btn"
        :class="here === 'partners' ? 'border-ink bg-raised' : ''"
        :aria-pressed="here === 'partners'"
        @click="router.push({ name: 'partners' })"
      >
        People and partners
      </button>
    </div>
    <slot />
  </header>
</template>
