<script setup lang="ts">
import { computed } from 'vue'
import { isFirstDay } from '@core/views/first-day'
import { useLibrary } from '@app/stores/library'
import { Day } from './fetched'
import FirstDay from './FirstDay.vue'

/** What to do now; before there is anything to do, how to begin. */
const library = useLibrary()
const isFirst = computed(() => isFirstDay(library.tables))
</script>

<template>
  <FirstDay v-if="isFirst" />
  <Day v-else />
</template>
