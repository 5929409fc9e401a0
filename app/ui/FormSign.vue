<script setup lang="ts">
/** The kind of an episode as a small word in a frame; nothing where none was said. */
const { name } = defineProps<{ name: string | undefined }>()
</script>

<template>
  <span v-if="name" class="sign">{{ name }}</span>
</template>

<style scoped>
.sign {
  display: inline-block;
  flex: none;
  max-width: 96px;
  overflow: hidden;
  padding: 0 4px;
  font-size: 10.5px;
  font-weight: 400;
  line-height: 14px;
  text-overflow: ellipsis;
  white-space: nowrap;
  vertical-align: -3px;
  border: 1px solid var(--ring);
  border-radius: 3px;
  color: var(--ink-2);
}
</style>
