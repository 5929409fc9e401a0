<script setup lang="ts">
import { computed } from 'vue'
import { useLibrary } from '@app/stores/library'
import { Day, fetchDay } from './fetched'
import FirstDay from './FirstDay.vue'

/** What to do now; before there is anything to do, how to begin. */
const library = useLibrary()
const isFirst = computed(() => {
  const { episodes, standing, sessions } = library.tables
  return episodes.size + standing.size + sessions.size === 0
})
</script>

<template>
  <FirstDay v-if="isFirst" @rested="fetchDay" />
  <Day v-else />
</template>
