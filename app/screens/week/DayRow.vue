<script setup lang="ts">
import type { Occurrence } from '@core/plan/standing'
import type { Id } from '@core/records'
import { sayDay } from '@core/rhythm/days'
import { sayMinutes } from '@core/script/timecode'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { usePlan } from '@app/stores/plan'
import Flag from '@app/ui/Flag.vue'
import type { DayShown, DayBlock } from '@core/views/week'
import { computed } from 'vue'
import WeekBlock from './parts/WeekBlock.vue'
import { vTakes, type Carried, type Target } from '@app/ui/drag/carry'

/**
 * One day of the week: a track as long as its hours, its work as blocks as long as their minutes; what
 * exceeds it sticks out.
 */
const { r, scale, picked, chosen } = defineProps<{
  r: DayShown
  scale: number
  picked: boolean
  chosen: ReadonlySet<string>
}>()
const emit = defineEmits<{
  pick: []
  pull: []
  busy: []
  drop: [Carried]
  standing: [Occurrence]
  dropOn: [Carried, DayBlock]
  point: [DayBlock]
  press: [DayBlock]
  more: [DayBlock]
}>()
const cards = useCards()
const moment = useMoment()
const plan = usePlan()
const stepOf = (id: Id) => cards.stepIn.get(id)
const onDay = computed<Target | undefined>(() =>
  r.past
    ? undefined
    : {
        takes: (c) => c.kind === 'work' || c.kind === 'episode' || c.kind === 'session',
        drop: (c) => {
          emit('drop', c)
        },
      },
)
/** What is read of standing work where the pointer rests. */
const titleOf = ({ work, state }: Occurrence) =>
  [work.name, sayMinutes(work.minutes), work.at ?? '', state === 'skipped' ? 'skipped' : '']
    .filter(Boolean)
    .join(', ')
</script>

<template>
  <li
    v-takes="onDay"
    class="day-row"
    :class="{ today: r.day === moment.today, past: r.past }"
    :aria-label="sayDay(r.day)"
  >
    <div>
      <label class="flex items-center gap-2"
        ><input
          v-if="!r.past"
          type="checkbox"
          class="tick"
          :checked="picked"
          :aria-label="`Choose ${sayDay(r.day)}`"
          @change="emit('pick')"
        /><strong :class="r.day === moment.today ? 'text-lamp-text' : ''">{{
          sayDay(r.day).replace(/ \w+$/, '')
        }}</strong></label
      ><span class="sub block">{{
        r.past
          ? r.used > 0
            ? `${sayMinutes(r.used)} done`
            : ''
          : r.room === 0
            ? r.own
              ? 'lost'
              : 'off'
            : `${sayMinutes(r.used)} of ${sayMinutes(r.room)}`
      }}</span>
    </div>
    <div class="min-w-0 flex flex-wrap items-center gap-x-4 gap-y-1">
      <div
        v-if="(r.room > 0 && !r.past) || r.mine.length + r.standing.length + r.taken.length > 0"
        class="track"
        :style="{ minWidth: `${r.room * scale}px` }"
      >
        <span
          v-if="r.setup > 0"
          class="stint setup"
          :style="{ width: `${r.setup * scale - 2}px` }"
          :title="`Setting up, ${sayMinutes(r.setup)}, once for the day`"
          ><span class="block truncate font-semibold leading-[17px]">Set up</span
          ><span class="num text-11 block truncate leading-[14px]">{{ sayMinutes(r.setup) }}</span></span
        >
        <button
          v-for="t in r.standing"
          :key="`${t.work.id} ${t.day}`"
          class="stint stand"
          :class="t.state === 'skipped' ? 'skip' : t.state === 'done' ? 'done' : ''"
          :style="{ width: `${t.state === 'skipped' ? 34 : Math.max(34, t.work.minutes * scale - 2)}px` }"
          :title="titleOf(t)"
          :aria-label="`${t.work.name}, standing work, ${sayMinutes(t.work.minutes)}${t.state === 'to do' ? '' : `, ${t.state}`}`"
          @click="emit('standing', t)"
        >
          <template v-if="t.state !== 'skipped' && t.work.minutes * scale >= 74"
            ><span class="block truncate font-semibold leading-[17px]"
              >{{ t.state === 'done' ? '✓ ' : '' }}{{ t.work.name }}</span
            ><span class="num text-11 block truncate leading-[14px]"
              >{{ t.work.at ? `${t.work.at} · ` : '' }}{{ sayMinutes(t.work.minutes) }}</span
            ></template
          ><template v-else
            ><span class="block text-11 leading-[17px]" aria-hidden="true">{{
              t.state === 'skipped' ? '–' : '↻'
            }}</span
            ><span class="num text-11 block leading-[14px]">{{
              t.state === 'skipped' ? '' : t.work.minutes
            }}</span></template
          >
        </button>
        <button
          v-for="t in r.taken"
          :key="t.id"
          class="stint busy"
          :style="{ width: `${Math.max(34, Math.min(t.minutes, r.room || 60) * scale - 2)}px` }"
          :title="`${t.name}, ${sayMinutes(t.minutes)}`"
          :aria-label="`Busy: ${t.name}, ${t.minutes >= 1440 ? 'all day' : sayMinutes(t.minutes)}`"
          @click="emit('busy')"
        >
          <span class="block truncate text-11 leading-[17px]">{{ t.name }}</span><span
            class="num text-11 block truncate leading-[14px]"
            >{{ t.minutes >= 1440 ? 'all day' : t.at }}</span
          >
        </button>
        <WeekBlock
          v-for="b in r.mine"
          :key="b.key"
          :block="b"
          :scale="scale"
          :chosen="chosen.has(b.key)"
          @drop-on="emit('dropOn', $event, b)"
          @point="emit('point', b)"
          @press="emit('press', b)"
          @more="emit('more', b)"
        />
        <span
          v-if="r.more > 0 && !r.past"
          class="hatch"
          :style="{ width: `${Math.max(8, r.more * scale)}px` }"
          :title="`${sayMinutes(r.more)} over`"
        />
      </div>
      <p
        v-if="r.mine.some((b) => b.minutes * scale < 74 && !b.session)"
        class="sub w-full order-last leading-[15px]"
      >
        {{
          r.mine
            .filter((b) => b.minutes * scale < 74 && !b.session)
            .map((b) => `${stepOf(b.step)?.card.number} ${stepOf(b.step)?.state.step.name.toLowerCase()}`)
            .join(', ')
        }}
      </p>
      <p v-if="!r.past && r.more > 0" class="sub">
        <Flag /><span class="late">{{ sayMinutes(r.more) }} over</span>
      </p>
      <p v-else-if="!r.past && r.free >= 15 && r.room > 0" class="sub">
        {{ sayMinutes(r.free) }} free<template v-if="!plan.proposal && r.free >= 20"
          ><br /><button
            class="underline underline-offset-2 text-left"
            :aria-label="`Pull something forward to ${sayDay(r.day)}`"
            @click="emit('pull')"
          >
            Pull something forward
          </button></template
        >
      </p>
    </div>
  </li>
</template>

<style scoped>
.past {
  color: var(--ink-2);
}
.day-row[data-goal] {
  background: var(--raised);
}
.track {
  display: flex;
  gap: 2px;
  height: 46px;
  padding: 2px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--ground);
}
.hatch {
  flex: none;
  height: 100%;
  border-left: 2px solid var(--ink);
  background: repeating-linear-gradient(135deg, var(--line) 0 2px, transparent 2px 6px);
}
@media (max-width: 639px) {
  .track {
    overflow-x: auto;
    min-width: 0 !important;
  }
}
</style>
