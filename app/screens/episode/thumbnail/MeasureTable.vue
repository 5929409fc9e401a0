<script setup lang="ts">
import { computed } from 'vue'
import type { Frame } from '@core/pictures/frame'
import { measureName, type Measure } from '@core/pictures/proof'
import Flag from '@app/ui/Flag.vue'
import type { Tried } from './useCandidates'

/** What was measured on each candidate, side by side; the one looked at stands out. */
const { tried, large, frame, most } = defineProps<{
  tried: readonly Tried[]
  large: Tried
  frame: Frame
  most: number
}>()
const emit = defineEmits<{ look: [id: string] }>()
/** At most four beside each other: the one looked at always among them. */
const shown = computed(() => {
  const open = tried.filter((t) => t.picture.refused === undefined || t === large)
  const first = open.slice(0, 4)
  return first.includes(large) ? first : [...open.slice(0, 3), large]
})
const rows = computed((): Measure[] => (large.findings ?? []).map((f) => f.measure))
const of = (t: Tried, measure: Measure) => t.findings?.find((f) => f.measure === measure)
const verdict = (t: Tried) =>
  !t.findings
    ? '…'
    : t.failing.length > 0
      ? `${t.failing.length} fail`
      : t.findings.some((f) => f.state === 'unknown')
        ? 'partly'
        : 'passes'
</script>

<template>
  <table class="w-full border-collapse">
    <thead>
      <tr>
        <th scope="col" class="text-left sub font-normal">Measured on the picture</th>
        <th v-for="t in shown" :key="t.picture.id" scope="col" class="mark" :class="{ here: t === large }">
          <button :title="`Look at ${t.letter}`" @click="emit('look', t.picture.id)">
            <span class="block text-14 font-semibold">{{ t.letter }}</span><span
              class="text-11 font-normal whitespace-nowrap"
              :class="t.failing.length > 0 ? 'late' : 'text-ink-2'"
              ><Flag v-if="t.failing.length > 0" />{{ verdict(t) }}</span
            >
          </button>
        </th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="m in rows" :key="m">
        <th scope="row" class="text-left font-normal text-12 py-1.5">
          {{ measureName(m, frame, most) }}
        </th>
        <td
          v-for="t in shown"
          :key="t.picture.id"
          class="num text-11 text-center whitespace-nowrap"
          :class="{ here: t === large, late: of(t, m)?.state === 'fails' }"
        >
          <Flag v-if="of(t, m)?.state === 'fails'" />{{ of(t, m)?.value ?? '…' }}
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
tr + tr > *,
tbody tr:first-child > * {
  border-top: 1px solid var(--faint);
}
.mark {
  padding: 4px 2px 6px;
  min-width: 66px;
}
.here {
  background: var(--raised);
}
thead .here {
  border-radius: 8px 8px 0 0;
}
td {
  overflow-wrap: normal;
}
</style>
