<script setup lang="ts">
import { sum } from 'd3-array'
import { partNames, type ScorePart } from '@core/ideas/rank-parts'

/**
 * Every part of a score: how much it weighs, what it is, why. A bar's length is what it adds; the outline
 * what it could.
 */
const { parts } = defineProps<{ parts: readonly ScorePart[] }>()
const total = () =>
  Math.max(
    1,
    sum(parts, (p) => p.weight),
  )
</script>

<template>
  <table class="w-full text-12">
    <caption class="unseen">
      The parts of this score
    </caption>
    <tbody>
      <tr v-for="p in parts" :key="p.name">
        <th scope="row" class="text-left font-normal text-ink-2 w-[112px] py-0.5">{{ partNames[p.name] }}</th>
        <td class="w-[170px]">
          <span
            class="block h-[9px] rounded-[2px] border border-line"
            :style="{ width: `${Math.max(2, (p.weight / total()) * 420)}px`, maxWidth: '160px' }"
            ><span
              class="block h-full bg-ink-2"
              :class="p.known ? '' : 'opacity-40'"
              :style="{ width: `${p.value * 100}%` }"
          /></span>
        </td>
        <td class="num w-[64px] text-right pr-3">{{ ((100 * p.weight * p.value) / total()).toFixed(1) }}</td>
        <td :class="p.known ? '' : 'text-ink-2'">{{ p.says }}</td>
      </tr>
    </tbody>
  </table>
</template>
