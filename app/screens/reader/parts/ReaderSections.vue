<script setup lang="ts">
import { computed } from 'vue'
import { Check } from '@lucide/vue'
import { sum } from 'd3-array'
import type { Section, Show } from '@core/records'
import { isGot, type Pacing, type ReadLine } from '@core/script/reading'
import { sayTime } from '@core/script/timecode'

/** The sections, ticked when got, and how one reads against how the script is timed. */
const { sections, lines, here, pacing, aim } = defineProps<{
  sections: readonly Section[]
  lines: readonly ReadLine[]
  here: string | undefined
  pacing: Pacing
  aim: Show['aim']
}>()
const emit = defineEmits<{ go: [section: string] }>()
const rows = computed(() =>
  sections.flatMap((s) => {
    const mine = lines.filter((l) => l.section === s.id && l.kind === 'read')
    return mine.length > 0
      ? [{ id: s.id, title: s.title, got: isGot(s), seconds: sum(mine, (l) => l.seconds) }]
      : []
  }),
)
const off = computed(() => pacing.soFar - pacing.planned)
/** From this share on the pace is worth a word. */
const noticed = 0.05
const says = computed(() => {
  if (pacing.planned === 0) return 'Not begun'
  const share = off.value / pacing.planned
  if (Math.abs(share) < noticed) return 'On pace'
  return `${Math.abs(share) < 0.15 ? 'A little' : 'Much too'} ${share > 0 ? 'slow' : 'fast'}`
})
const isInside = computed(() => pacing.end >= aim.from * 60 && pacing.end <= aim.to * 60)
const round = (n: number | undefined) => (n === undefined ? '' : String(Math.round(n)))
</script>

<template>
  <div class="grid gap-4 content-between h-full">
    <ol class="grid gap-1.5" aria-label="Sections">
      <li v-for="r in rows" :key="r.id">
        <button
          class="flex w-full items-baseline gap-2 text-left rounded-control px-1 -mx-1 hover:bg-raised"
          :aria-current="r.id === here ? 'true' : undefined"
          :class="r.id === here ? 'font-semibold text-ink' : 'text-ink-2'"
          @click="emit('go', r.id)"
        >
          <span class="w-4 flex-none"><Check v-if="r.got" :size="14" aria-label="got" class="inline" /></span
          ><span class="flex-1">{{ r.title || 'No title' }}</span
          ><span class="num">{{ sayTime(r.seconds) }}</span>
        </button>
      </li>
    </ol>
    <section aria-labelledby="pace" class="border-t border-faint pt-3">
      <h2 id="pace" class="text-20">{{ says }}</h2>
      <p class="sub mb-2">
        would end at {{ sayTime(pacing.end) }}, {{ isInside ? 'inside' : 'outside' }} {{ aim.from }} to
        {{ aim.to }} min
      </p>
      <table class="w-full text-12">
        <thead>
          <tr class="sub">
            <th class="text-left font-normal">up to the last beat</th>
            <th class="text-right font-normal">spoken</th>
            <th class="text-right font-normal">script</th>
          </tr>
        </thead>
        <tbody class="num">
          <tr>
            <th class="text-left font-normal font-sans">Words a minute</th>
            <td class="text-right text-ink">{{ round(pacing.spoken) }}</td>
            <td class="text-right">{{ round(pacing.script) }}</td>
          </tr>
          <tr>
            <th class="text-left font-normal font-sans">So far</th>
            <td class="text-right text-ink">{{ sayTime(pacing.soFar) }}</td>
            <td class="text-right">{{ sayTime(pacing.planned) }}</td>
          </tr>
          <tr>
            <th class="text-left font-normal font-sans">Would end at</th>
            <td class="text-right text-ink">{{ sayTime(pacing.end) }}</td>
            <td class="text-right">{{ sayTime(pacing.ends) }}</td>
          </tr>
        </tbody>
      </table>
    </section>
  </div>
</template>
