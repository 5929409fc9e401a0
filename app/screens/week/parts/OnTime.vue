<script setup lang="ts">
import { computed } from 'vue'
import { CalendarPlus } from '@lucide/vue'
import { sayAway } from '@core/rhythm/days'
import { sayVerdict } from '@core/views/verdict'
import type { Card } from '@core/views/card'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useWorkload } from '@app/stores/workload'
import { useDialogs } from '@app/stores/dialogs'
import { usePlan } from '@app/stores/plan'
import { vCarries } from '@app/ui/drag/carry'
import { useChance } from '../forecast/chance'
import { carriedEpisode } from '../../schedule/carried'

/** Which releases go out on time, and what decides it. */
const emit = defineEmits<{ lay: [episode: string] }>()
const cards = useCards()
const moment = useMoment()
const workload = useWorkload()
const dialogs = useDialogs()
const plan = usePlan()
const chance = useChance()
const out = computed(() =>
  cards.coming.slice(0, 9).map((card) => ({ card, outlook: plan.outlooks.get(card.episode.id) })),
)
/** The first that is not likely to make it. */
const doubtful = computed(() => out.value.find((o) => o.outlook?.is === 'unlikely'))
const said = (card: Card) => workload.verdict(card)
/** The reason, or how far the release is. */
const why = (card: Card): string =>
  said(card).why || sayAway(card.standing.release?.day ?? moment.today, moment.today)
</script>

<template>
  <section aria-labelledby="ontime">
    <h2 id="ontime" class="border-b border-line pb-2 mb-1">Going out on time</h2>
    <ul>
      <li v-for="o in out" :key="o.card.episode.id" v-carries="carriedEpisode(o.card)" class="relative">
        <button
          class="w-full text-left py-1.5 grid grid-cols-[52px_1fr_auto] gap-x-2 items-baseline border-b border-faint hover:bg-raised"
          :aria-label="`${o.card.number} ${o.card.title}: ${sayVerdict(said(o.card)) || 'not forecast yet'}. Open its forecast`"
          @click="dialogs.show({ kind: 'forecast', episode: o.card.episode.id })"
        >
          <span class="num">{{ o.card.number }}</span><strong class="font-semibold">{{
            said(o.card).word || '…'
          }}</strong
          ><span class="num text-11">{{ chance.say(o.outlook) }}</span
          ><span class="sub col-start-2 col-span-2 truncate">{{ why(o.card) }}</span></button
        ><button
          class="lay"
          :aria-label="`Lay all of ${o.card.number} on this week`"
          title="Lay all of it on this week"
          @click="emit('lay', o.card.episode.id)"
        >
          <CalendarPlus :size="14" />
        </button>
      </li>
    </ul>
    <button
      v-if="doubtful"
      class="btn btn-small mt-2"
      @click="dialogs.show({ kind: 'forecast', episode: doubtful.card.episode.id })"
    >
      See what would help {{ doubtful.card.number }}
    </button>
  </section>
</template>

<style scoped>
.lay {
  position: absolute;
  right: 0;
  bottom: 5px;
  padding: 3px;
  border-radius: 4px;
  color: var(--ink-2);
  background: var(--ground);
  opacity: 0;
}
li:hover > .lay,
.lay:focus-visible {
  opacity: 1;
}
</style>
