<script setup lang="ts">
import { computed } from 'vue'
import { sixLamps } from '@core/recipe/progress'
import { addDays, sayDay } from '@core/rhythm/days'
import type { Frame } from '@core/rhythm/film'
import { useCards } from '@app/stores/cards'
import { useSchedule } from '@app/stores/schedule'
import { useMoment } from '@app/stores/moment'
import { useDesk } from '@app/stores/desk'
import Flag from '@app/ui/Flag.vue'
import LampMark from '@app/ui/LampMark.vue'

/** The film upright, for a phone: the next frames, one a line. */
const emit = defineEmits<{ choose: [frame: Frame] }>()
const cards = useCards()
const moment = useMoment()
const schedule = useSchedule()
const desk = useDesk()
const lines = computed(() =>
  moment.shows
    .flatMap((show) =>
      schedule
        .frames(show, addDays(moment.today, -2), addDays(moment.today, 45))
        .filter((f) => f.kind === 'filled' || f.at > moment.now)
        .map((frame) => ({ frame, show })),
    )
    .sort((a, b) => a.frame.at - b.frame.at)
    .slice(0, 4)
    .map(({ frame, show }) => {
      const card = frame.episode ? cards.cardOf(frame.episode) : undefined
      const suggested =
        frame.kind === 'open' && frame.slot ? (desk.suggestions.get(frame.slot.key) ?? []) : []
      return {
        frame,
        show,
        card,
        suggested,
        lamps: card ? sixLamps(card.standing).flatMap((l) => l ?? []) : [],
        number:
          card?.number ??
          `${show.prefix}${cards.numbers.get(show.id)?.open.get(frame.slot?.original ?? '') ?? ''}`,
      }
    }),
)
</script>

<template>
  <ul class="px-3 py-1.5">
    <li v-for="(line, i) in lines" :key="line.frame.key" class="flex items-center gap-3 py-[3px]">
      <span class="num w-[54px] flex-none" :class="i === 0 ? 'text-lamp' : ''">{{
        sayDay(line.frame.day).replace(/ \w+$/, '')
      }}</span>
      <button
        class="flex-1 min-w-0 flex items-center gap-2 text-left rounded-[4px] border px-2.5 py-1.5 border-l-[3px]"
        :class="[
          line.card?.standing.late
            ? 'border-rose'
            : i === 0 && line.card
              ? 'border-lamp'
              : 'border-line border-l-ink-2',
          line.card ? 'bg-panel' : 'border-dashed',
          line.show.kind === 'audio' ? '[border-left-style:double]' : '',
        ]"
        @click="emit('choose', line.frame)"
      >
        <span class="num text-11">{{ line.number }}</span>
        <strong v-if="line.suggested.length === 0" class="truncate text-12 flex-1 font-semibold">{{
          line.card?.title ?? (line.frame.kind === 'skipped' ? 'skipped' : 'open')
        }}</strong>
        <span v-else class="flex-1 min-w-0 text-11 leading-[14px] text-ink-2"
          ><span class="unseen">open, for example </span
          ><span v-for="s in line.suggested" :key="s.episode.id" class="block truncate">{{
            s.episode.title
          }}</span></span
        >
        <span v-if="line.card" class="flex gap-[2px] flex-none" aria-hidden="true"
          ><LampMark v-for="(l, j) in line.lamps" :key="j" :lamp="l" :size="11" hidden /><Flag
            v-if="line.card.standing.late"
            :size="9"
            class="ml-1"
        /></span>
        <span v-else class="text-12">{{ line.frame.kind === 'skipped' ? 'Take back' : 'Choose' }}</span>
      </button>
    </li>
  </ul>
</template>
