<script setup lang="ts">
import { dayNumber, dayOf, sayDay } from '@core/rhythm/days'
import { lampKinds } from '@core/views/slots'
import { useMoment } from '@app/stores/moment'
import { remembered } from '@app/stores/remembered'
import CountdownCard from './parts/CountdownCard.vue'
import CountdownHead from './parts/CountdownHead.vue'
import FinishUpTo from './parts/FinishUpTo.vue'
import OpenSlotCard from './parts/OpenSlotCard.vue'
import RampPicture from './parts/RampPicture.vue'
import SparesDock from './parts/SparesDock.vue'
import WorkRows from './parts/WorkRows.vue'
import WorkRowsHead from './parts/WorkRowsHead.vue'
import { rowHeight, useCountdown } from './useCountdown'
import { useCountdownMoves } from './useCountdownMoves'
import { useWorkRows } from './useWorkRows'

/**
 * Everything in work by its stage: against days to release, where a card's right edge is its release and
 * what stands left of the ramp is behind it, or in rows. What has no date stands in both.
 */
const moment = useMoment()
const seen = useCountdown()
const { show, recipe, rampAt, puts, open, ticks, x } = seen
const moves = useCountdownMoves(seen)
const { asking } = moves
const work = useWorkRows()
/** The same work as a picture against days, or in rows. */
const shape = remembered<'picture' | 'rows'>('lamp-reel.work-shape', 'picture', (kept) =>
  kept === 'rows' || kept === 'picture' ? kept : undefined,
)
</script>

<template>
  <div class="mx-auto max-w-[1360px] px-5 py-4 max-sm:px-3">
    <CountdownHead v-model:shape="shape" :seen="seen">
      <template #rows><WorkRowsHead :seen="work" /></template>
    </CountdownHead>
    <WorkRows v-if="shape === 'rows'" :seen="work" />
    <div v-else class="grid grid-cols-1 gap-4 lg:grid-cols-[minmax(0,1fr)_180px] items-start">
      <div
        ref="frame"
        class="panel relative overflow-hidden select-none"
        :style="{ height: `${lampKinds.length * rowHeight + 96}px` }"
      >
        <RampPicture :seen="seen" />
        <div
          v-for="(k, i) in lampKinds"
          :key="k"
          class="absolute left-3 w-[104px]"
          :style="{ top: `${i * rowHeight + 8}px` }"
        >
          <strong class="font-semibold">{{
            recipe?.stages.find((s) => s.kind === k)?.name ?? k
          }}</strong><span v-if="rampAt(k)" class="sub block">done {{ rampAt(k)?.days }} d before</span>
        </div>
        <ul aria-label="Releases by stage and days to go">
          <li v-for="p in puts" :key="p.card.episode.id">
            <CountdownCard :put="p" :seen="seen" :moves="moves" />
          </li>
        </ul>
        <div class="absolute left-3" :style="{ top: `${lampKinds.length * rowHeight + 8}px` }">
          <strong class="font-semibold">Open</strong>
        </div>
        <OpenSlotCard v-for="r in open" :key="r.key" :row="r" :seen="seen" :moves="moves" />
        <div
          v-for="n in ticks"
          :key="n"
          class="absolute text-center text-11 leading-[14px] text-ink-2 w-[60px] -ml-[30px]"
          :style="{ left: `${x(n)}px`, top: `${lampKinds.length * rowHeight + 56}px` }"
        >
          {{ sayDay(dayOf(dayNumber(moment.today) + n)) }}<br /><span class="num text-11">{{ n }} d</span>
        </div>
        <div
          class="absolute text-center text-11 leading-[14px] text-lamp-text w-[60px] -ml-[62px] text-right"
          :style="{ left: `${x(0)}px`, top: `${lampKinds.length * rowHeight + 56}px` }"
        >
          today
        </div>
      </div>
      <SparesDock :show="show" />
    </div>
    <FinishUpTo v-if="asking" :asking="asking" @finish="moves.finish" @close="asking = undefined" />
  </div>
</template>

<!-- Not scoped: the cards are parts of their own. -->
<style>
.cd {
  position: absolute;
  padding: 4px 8px;
  overflow: hidden;
  text-align: left;
  border: 1px solid var(--line);
  border-left: 3px solid var(--ink-2);
  border-right: 4px solid var(--ink);
  border-radius: 5px;
  background: var(--raised);
  cursor: grab;
}
.cd.audio {
  border-left-style: double;
  border-left-width: 4px;
}
.cd.behind {
  border-color: var(--rose);
}
.cd.next {
  border-color: var(--lamp-line);
  box-shadow: 0 0 14px var(--glow);
}
.cd.small {
  padding-block: 1px;
}
.cd.pin {
  width: 14px;
  height: 14px;
  padding: 0;
  border-radius: 50%;
  border: 2px solid var(--ink-2);
}
.cd.drag {
  cursor: grabbing;
  opacity: 0.92;
  z-index: 5;
}
.cd.vacant {
  border-style: dashed;
  border-left-width: 1px;
  border-right-style: solid;
  background: transparent;
  cursor: pointer;
}
</style>
