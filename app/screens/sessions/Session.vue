<script setup lang="ts">
import { computed, watch } from 'vue'
import { useLibrary } from '@app/stores/library'
import SessionStand from './parts/SessionStand.vue'

/** One session: what is to be got in it and in which order; run from setting up to striking. */
const props = defineProps<{ session: string }>()
const library = useLibrary()
const found = computed(() => library.tables.sessions.get(props.session))
watch(
  () => found.value?.steps.flatMap((s) => library.tables.steps.get(s)?.episode ?? []),
  (episodes) => {
    if (episodes && episodes.length > 0) void library.ensure([...new Set(episodes)])
  },
  { immediate: true },
)
</script>

<template>
  <SessionStand v-if="found" :key="found.id" :session="found" />
  <div v-else class="p-8">
    <p>This session is no longer there. <RouterLink to="/sessions">To all sessions</RouterLink></p>
  </div>
</template>
