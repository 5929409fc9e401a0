<script setup lang="ts">
import { computed } from 'vue'
import { importanceNames, type Importance } from '@core/plan/importance'

/**
 * How important something is: no, one or two hats, said in words to whoever cannot see them; a press says the next
 * level. `name` is whose it is, where the mark does not stand in its row. An ordinary one shows its mark only where it is pointed at.
 */
const { of, name } = defineProps<{ of: Importance; name?: string }>()
const emit = defineEmits<{ press: [] }>()
const says = computed(() => {
  const because = of.raised.length > 0 ? `, ${of.raised.join(', ')}` : ''
  return `Importance${name === undefined ? '' : ` of ${name}`}: ${importanceNames[of.level]}${because}`
})
</script>

<template>
  <button
    type="button"
    class="importance"
    :class="{ ordinary: of.level === 0 }"
    :aria-label="says"
    :title="says"
    @click.stop.prevent="emit('press')"
  >
    <svg width="12" height="14" viewBox="0 0 12 14" aria-hidden="true">
      <path
        v-for="n in of.level === 2 ? 2 : 1"
        :key="n"
        :d="of.level === 2 ? `M1.5 ${n * 5 + 1} 6 ${n * 5 - 3.5} 10.5 ${n * 5 + 1}` : 'M1.5 9 6 4.5 10.5 9'"
        fill="none"
        stroke="currentColor"
        stroke-width="2"
        stroke-linecap="round"
        stroke-linejoin="round"
      />
    </svg>
  </button>
</template>

<style scoped>
.importance {
  display: inline-grid;
  place-items: center;
  width: 24px;
  height: 24px;
  border-radius: 6px;
  color: var(--ink);
}
.importance:hover {
  background: var(--raised);
}
.ordinary {
  color: var(--ink-2);
  opacity: 0;
}
.ordinary:focus-visible,
tr:hover > td > div > .ordinary,
header:hover > span > .ordinary,
:is(li, .row):hover > .ordinary {
  opacity: 1;
}
@media (hover: none) {
  .ordinary {
    opacity: 1;
  }
}
</style>
