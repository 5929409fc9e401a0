<script setup lang="ts">
import { computed } from 'vue'
import { dealMonths, type DealFrame as Frame } from '@core/partners/deal-film'
import type { DealView } from '@core/partners/deal-view'
import type { Id } from '@core/records'
import { titleOf } from '@core/release/parts'
import { useMoment } from '@app/stores/moment'
import DealFrame from './DealFrame.vue'
import DealSaid from './DealSaid.vue'
import DealSums from './DealSums.vue'

/**
 * A deal as film, month by month: reads that are out or coming, slots that are kept, dates that would do, and where each read was said.
 */
const { view, here } = defineProps<{ view: DealView; here: Id | undefined }>()
const emit = defineEmits<{ look: [episode: Id] }>()
const moment = useMoment()
const film = computed(() => dealMonths(view, moment.today))
const now = computed(() => {
  const at = film.value.months.findIndex((m) => moment.today.startsWith(m.month))
  return at < 0 ? undefined : at + (Number(moment.today.slice(8)) - 1) / 31
})
const readsOf = (frames: readonly Frame[]) => frames.flatMap((f) => (f.kind === 'read' ? [f.read] : []))
const key = (f: Frame, i: number) => (f.kind === 'read' ? f.read.episode.id : `${f.kind}${f.day}${i}`)
</script>

<template>
  <div class="grid gap-2 min-w-0">
    <div class="film bg-base rounded-card overflow-x-auto" tabindex="0" aria-label="The deal, month by month">
      <ul class="months relative" :style="{ '--months': film.months.length }">
        <li v-for="m in film.months" :key="m.month" class="month" :aria-label="m.says">
          <p class="text-11 text-ink-2 h-[16px]" aria-hidden="true">{{ m.says }}</p>
          <p class="flex gap-[3px] h-[14px] items-center" aria-hidden="true">
            <span v-for="s in m.slots" :key="s.day" class="slot" :class="s.is" />
          </p>
          <DealFrame
            v-for="(f, i) in m.frames"
            :key="key(f, i)"
            :frame="f"
            :show="view.show"
            :is-here="f.kind === 'read' && f.read.episode.id === here"
            @look="f.kind === 'read' && emit('look', f.read.episode.id)"
          />
          <DealSaid v-for="r in readsOf(m.frames)" :key="r.episode.id" :read="r" :deal="view.deal" />
          <p v-if="m.frames.length === 0" class="h-[56px] grid place-items-center"><span class="dark" /></p>
        </li>
        <li
          v-if="now !== undefined"
          class="now"
          aria-hidden="true"
          :style="{ left: `calc(${now} * (100% / var(--months)))` }"
        />
      </ul>
    </div>
    <p class="flex flex-wrap gap-x-6 gap-y-1">
      <DealSums :view="view" /><span v-for="r in readsOf(film.loose)" :key="r.episode.id"
        ><button class="underline decoration-dotted underline-offset-2" @click="emit('look', r.episode.id)">
          {{ titleOf(r.episode) }}</button
        ><span class="sub"> has no date</span></span
      >
    </p>
  </div>
</template>

<style scoped>
.months {
  display: grid;
  grid-template-columns: repeat(var(--months), minmax(66px, 1fr));
  min-width: calc(var(--months) * 68px);
  padding: 6px 0 8px;
}
.month {
  display: grid;
  gap: 3px;
  align-content: start;
  padding: 0 3px;
  min-width: 0;
}
.slot {
  width: 8px;
  height: 8px;
  border-radius: 2px;
  background: var(--line);
}
.slot.read {
  background: var(--ink);
}
.slot.fails {
  background: var(--rose);
}
.slot.kept {
  background: transparent;
  border: 1.5px solid var(--ink);
}
.slot.date {
  background: transparent;
  border: 1.5px dashed var(--ink-2);
}
.dark {
  width: 5px;
  height: 5px;
  border-radius: 50%;
  background: var(--ring);
}
.now {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 2px;
  background: var(--lamp-line);
  pointer-events: none;
}
</style>
