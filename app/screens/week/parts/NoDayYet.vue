<script setup lang="ts">
import { computed } from 'vue'
import { CalendarPlus } from '@lucide/vue'
import { sayMinutes } from '@core/script/timecode'
import type { StepIn } from '@core/views/card'
import { useCards } from '@app/stores/cards'
import { vCarries, type Carried } from '@app/ui/drag/carry'
import { carriedEpisode } from '../../schedule/carried'

/** Steps of what has no slot, to be carried onto days. */
const emit = defineEmits<{ lay: [episode: string] }>()
const cards = useCards()
const undated = computed(() =>
  cards.unplaced
    .flatMap((c) =>
      c.standing.steps
        .filter((s) => !s.done && s.step.blocks.length === 0)
        .map((state) => ({ card: c, state })),
    )
    .slice(0, 14),
)

const carriedWork = ({ state }: StepIn): Carried => ({
  kind: 'work',
  step: state.step.id,
  day: undefined,
  minutes: Math.max(15, state.minutesLeft),
  label: state.step.name,
})
</script>

<template>
  <section v-if="undated.length > 0" aria-labelledby="noday">
    <h2 id="noday" class="border-b border-line pb-2 mb-1">On no day yet</h2>
    <p class="flex flex-wrap gap-1.5 py-1">
      <button
        v-for="c in cards.unplaced"
        :key="c.episode.id"
        v-carries="carriedEpisode(c)"
        class="btn btn-small text-11 min-h-[24px] max-w-full"
        :aria-label="`Lay all of ${c.title} on this week`"
        @click="emit('lay', c.episode.id)"
      >
        <CalendarPlus :size="13" aria-hidden="true" /><span class="truncate">{{ c.title }}</span>
      </button>
    </p>
    <ul>
      <li
        v-for="u in undated"
        :key="u.state.step.id"
        v-carries="carriedWork(u)"
        class="py-1.5 border-b border-faint cursor-grab"
      >
        <span class="block font-medium"
          >{{ u.state.step.name }} <span class="num">{{ sayMinutes(u.state.minutesLeft) }}</span></span
        ><span class="sub block truncate">{{ u.card.title }}</span>
      </li>
    </ul>
  </section>
</template>
