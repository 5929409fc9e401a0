<script setup lang="ts">
import { MoreHorizontal, Pin } from '@lucide/vue'
import type { Occurrence } from '@core/plan/standing'
import type { Id } from '@core/records'
import { sayDay } from '@core/rhythm/days'
import { sayMinutes } from '@core/script/timecode'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { usePlan } from '@app/stores/plan'
import Flag from '@app/ui/Flag.vue'
import type { DayShown, Shown } from '@core/views/week'
import { computed } from 'vue'
import { vCarries, vTakes, type Carried, type Target } from '@app/ui/drag/carry'

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
  dropOn: [Carried, Shown]
  point: [Shown]
  press: [Shown]
  more: [Shown]
}>()
const cards = useCards()
const moment = useMoment()
const plan = usePlan()
const stepOf = (id: Id) => cards.stepIn.get(id)
const onDay = computed<Target | undefined>(() =>
  r.past
    ? undefined
    : {
        takes: (c) => c.kind === 'work' || c.kind === 'episode',
        drop: (c) => {
          emit('drop', c)
        },
      },
)
const onBlock = (b: Shown): Target | undefined =>
  b.kind === 'done'
    ? undefined
    : {
        takes: (c) => c.kind === 'work' && c.day === b.day && c.step !== b.step,
        drop: (c) => {
          emit('dropOn', c, b)
        },
      }
const carried = (b: Shown): Carried | undefined =>
  b.kind === 'done'
    ? undefined
    : {
        kind: 'work',
        step: b.step,
        day: b.day,
        minutes: b.minutes,
        label: stepOf(b.step)?.state.step.name ?? '',
      }
</script>

<template>
  <li
    v-takes="onDay"
    class="day"
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
          :title="`${t.work.name}, ${sayMinutes(t.work.minutes)}${t.work.at ? `, ${t.work.at}` : ''}${t.state === 'skipped' ? ', skipped' : ''}`"
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
        <span
          v-for="b in r.mine"
          :key="b.key"
          class="wrap"
          :style="{ width: `${Math.max(34, b.minutes * scale - 2)}px` }"
          ><button
            v-carries="carried(b)"
            v-takes="onBlock(b)"
            class="stint"
            :class="[
              b.kind,
              stepOf(b.step)?.card.show.kind,
              { running: b.running, late: stepOf(b.step)?.state.late, chosen: chosen.has(b.key) },
            ]"
            :data-block="b.key"
            :title="`${stepOf(b.step)?.state.step.name ?? ''}, ${stepOf(b.step)?.card.number ?? ''} ${stepOf(b.step)?.card.title ?? ''}, ${sayMinutes(b.minutes)}${plan.proposal && b.kind === 'would' ? `. ${plan.reason({ id: b.step, day: b.day, minutes: b.minutes })}` : ''}`"
            :aria-label="`${stepOf(b.step)?.state.step.name ?? ''}, ${stepOf(b.step)?.card.number ?? ''}, ${sayMinutes(b.minutes)}${b.at ? `, at ${b.at}` : ''}, ${b.kind === 'would' ? 'proposed' : b.kind === 'done' && !b.finished ? 'worked' : b.kind}${stepOf(b.step)?.state.late ? ', late' : ''}`"
            :aria-pressed="plan.proposal && b.kind === 'would' ? chosen.has(b.key) : undefined"
            @mouseenter="emit('point', b)"
            @focus="emit('point', b)"
            @click="emit('press', b)"
          >
            <template v-if="b.minutes * scale >= 74"
              ><span class="block truncate font-semibold leading-[17px]"
                ><Pin v-if="b.kind === 'pinned'" :size="11" class="inline -mt-0.5" aria-hidden="true" /><Flag
                  v-if="stepOf(b.step)?.state.late && b.kind !== 'done'"
                  :size="9"
                />{{ b.finished ? '✓ ' : '' }}{{ stepOf(b.step)?.state.step.name }}</span
              ><span class="num text-11 block truncate leading-[14px]"
                >{{ b.at ? `${b.at} · ` : '' }}{{ stepOf(b.step)?.card.number }} ·
                {{ sayMinutes(b.minutes) }}</span
              ></template
            >
            <template v-else
              ><span class="num text-11 block leading-[17px]">{{
                stepOf(b.step)?.card.number.replace(' ', '')
              }}</span
              ><span class="num text-11 block leading-[14px]">{{ b.minutes }}</span></template
            ></button
          ><button
            v-if="!plan.proposal && b.minutes * scale >= 44"
            class="dots"
            :aria-label="`More for ${stepOf(b.step)?.state.step.name ?? ''}, ${stepOf(b.step)?.card.number ?? ''}`"
            @click="emit('more', b)"
          >
            <MoreHorizontal :size="13" /></button
        ></span>
        <span
          v-if="r.more > 0 && !r.past"
          class="hatch"
          :style="{ width: `${Math.max(8, r.more * scale)}px` }"
          :title="`${sayMinutes(r.more)} over`"
        />
      </div>
      <p v-if="r.mine.some((b) => b.minutes * scale < 74)" class="sub w-full order-last leading-[15px]">
        {{
          r.mine
            .filter((b) => b.minutes * scale < 74)
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
.day {
  display: grid;
  grid-template-columns: 108px minmax(0, 1fr);
  gap: 12px;
  align-items: center;
  min-height: 66px;
  padding: 9px 0;
  border-top: 1px solid var(--faint);
}
.day.past {
  color: var(--ink-2);
}
.day[data-goal] {
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
.stint {
  flex: none;
  height: 100%;
  padding: 3px 8px;
  overflow: hidden;
  text-align: left;
  font-size: 12.5px;
  border: 1px solid var(--line);
  border-left: 3px solid var(--ink-2);
  border-radius: 4px;
  background: var(--raised);
  cursor: grab;
}
.stint.audio {
  border-left-style: double;
  border-left-width: 4px;
}
.stint.would {
  border-style: dashed;
  border-color: var(--ring);
  background: transparent;
  border-left-width: 1px;
}
.stint.chosen {
  background: var(--raised);
  border-style: solid;
  border-color: var(--ink);
}
.stint.done {
  background: transparent;
  color: var(--ink-2);
  cursor: default;
}
.stint.running {
  border-color: var(--lamp-line);
}
.stint.setup {
  background: repeating-linear-gradient(135deg, var(--faint) 0 2px, transparent 2px 6px);
  cursor: default;
  border-left-width: 1px;
}
.stint:not(:has(.font-semibold)) {
  padding-inline: 4px 2px;
}
.wrap {
  position: relative;
  flex: none;
  height: 100%;
}
.wrap .stint {
  width: 100%;
}
.dots {
  position: absolute;
  right: 2px;
  top: 2px;
  padding: 1px 3px;
  border-radius: 4px;
  background: var(--raised);
  opacity: 0;
}
.wrap:hover .dots,
.dots:focus-visible {
  opacity: 1;
}
.stint.stand {
  border-style: solid;
  border-left: 3px double var(--ink-2);
  background: transparent;
  cursor: pointer;
}
.stint.skip {
  border-style: dotted;
  color: var(--ink-2);
  padding-inline: 4px;
}
.stint.busy {
  border-left-width: 1px;
  background: repeating-linear-gradient(45deg, var(--faint) 0 3px, transparent 3px 8px);
  cursor: pointer;
  padding-inline: 5px;
}
.hatch {
  flex: none;
  height: 100%;
  border-left: 2px solid var(--ink);
  background: repeating-linear-gradient(135deg, var(--line) 0 2px, transparent 2px 6px);
}
@media (max-width: 639px) {
  .day {
    grid-template-columns: 1fr;
  }
  .track {
    overflow-x: auto;
    min-width: 0 !important;
  }
}
</style>
