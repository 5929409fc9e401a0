<script setup lang="ts">
/**
 * The head of a long list: its name, how many there are and are shown, which show, and a field to find in
 * it.
 */
const {
  title,
  count,
  noun,
  shown,
  shows,
  more = '',
} = defineProps<{
  title: string
  count: number
  noun: string
  shown: number
  /** What else is said of those that are shown. */
  more?: string
  shows: { id: string; title: string }[]
}>()
const only = defineModel<string>('only', { required: true })
const asked = defineModel<string>('asked', { required: true })
</script>

<template>
  <header class="flex flex-wrap items-center gap-3 mb-3">
    <h1>{{ title }}</h1>
    <p class="sub flex-1">
      {{ count }} {{ noun }}<template v-if="shown !== count">, {{ shown }} shown</template
      ><template v-if="more"> · {{ more }}</template>
    </p>
    <select v-if="shows.length > 1" v-model="only" class="field w-auto" aria-label="Which show">
      <option value="">Every show</option>
      <option v-for="s in shows" :key="s.id" :value="s.id">{{ s.title }}</option>
    </select>
    <input
      v-model="asked"
      class="field w-[220px] max-sm:w-full"
      type="search"
      :placeholder="`Find in ${title}`"
      :aria-label="`Find in ${title.toLowerCase()}`"
    />
  </header>
</template>
