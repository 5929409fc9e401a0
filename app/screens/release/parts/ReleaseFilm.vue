<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import { scaleTime } from 'd3-scale'
import { titleAt } from '@core/release/at-outlet'
import { missingAt, type Going } from '@core/release/moves'
import { thingName } from '@core/release/when'
import { addDays, sayDay } from '@core/rhythm/days'
import { dayAt, localAt, momentAt, sayLeft } from '@core/rhythm/zone'
import { looksAhead } from '@core/views/release'
import { useMoment } from '@app/stores/moment'
import LampMark from '@app/ui/LampMark.vue'
import { useWidth } from '@app/ui/width'
import { lampOfPart } from '../lamps'
import type { ReleaseDeeds } from '../useRelease'

/** Everything that goes out, true to time: a row an outlet, a frame reaching to its moment; what belongs to one release joined. */
const { of } = defineProps<{ of: ReleaseDeeds }>()
const moment = useMoment()
const room = useTemplateRef<HTMLElement>('room')
const width = useWidth(room, 'release-film', 1130)
const rowHeight = 46
const least = 112

const until = computed(() => moment.now + looksAhead * 86_400_000)
const x = computed(() =>
  scaleTime()
    .domain([moment.now, until.value])
    .range([0, Math.max(0, width.value - 4)]),
)
const days = computed(() =>
  Array.from({ length: looksAhead }, (_, i) => {
    const day = addDays(moment.today, i)
    const at = Math.max(moment.now, momentAt(day, '00:00', moment.zone))
    return { day, at: x.value(at), says: i === 0 ? 'today' : sayDay(day, moment.today) }
  }),
)
interface Frame {
  thing: Going
  left: number
  right: number
  row: number
  isNarrow: boolean
}
const rows = computed(() =>
  of.view.value.rows.map((row, index) => {
    let from = 0
    const frames = row.things.map((thing): Frame => {
      // One that should have been seen already stands at the edge of now.
      const right = Math.max(x.value(thing.at), from + 8)
      const frame = { thing, left: from, right, row: index, isNarrow: right - from < least }
      from = right + 3
      return frame
    })
    return { ...row, frames, end: from }
  }),
)
/** What hangs on a release, joined to it: from the show's first outlet to each of the others. */
const lines = computed(() => {
  const frames = rows.value.flatMap((r) => r.frames)
  return frames.flatMap((f) => {
    const { show, episode } = f.thing.card
    if (f.thing.key === show.outlets[0]) return []
    const main = frames.find((m) => m.thing.card.episode.id === episode.id && m.thing.key === show.outlets[0])
    if (!main) return []
    const down = f.row > main.row
    return {
      key: of.idOf(f.thing),
      isHere: of.here.value?.card.episode.id === episode.id,
      path: `M${main.right} ${main.row * rowHeight + (down ? 38 : 0)}L${f.right} ${f.row * rowHeight + (down ? 0 : 38)}`,
    }
  })
})
const name = (t: Going) => thingName(t) || (titleAt(t.outlet, t.card.episode, t.card.title) ?? t.card.title)
const when = (t: Going) =>
  `${sayDay(dayAt(t.at, moment.zone), moment.today)} ${localAt(t.at, moment.zone).time}`
const says = (t: Going) => (missingAt(t) === 0 ? 'ready' : `${missingAt(t)} missing`)
const label = (t: Going) =>
  `${t.card.number} ${name(t)} at ${t.outlet.name}, ${when(t)}: ${t.isReady ? 'ready' : `missing ${t.lacking.map((p) => p.name.toLowerCase()).join(', ')}`}`
</script>

<template>
  <div class="film bg-base border-y border-line grid grid-cols-[150px_minmax(0,1fr)] text-ink">
    <div class="pt-[26px]">
      <p
        v-for="row in rows"
        :key="row.outlet.id"
        class="pl-5 pr-2 flex flex-col justify-center leading-tight"
        :style="{ height: `${rowHeight}px` }"
      >
        <strong class="truncate">{{ row.outlet.name }}</strong><span class="sub">{{
          row.soon === 0 ? 'nothing this week' : `${row.ready} of ${row.soon} ready`
        }}</span>
      </p>
    </div>
    <div ref="room" class="relative min-w-0 overflow-hidden">
      <div class="relative h-[26px] font-mono text-11 text-ink-2" aria-hidden="true">
        <span
          v-for="(d, i) in days"
          :key="d.day"
          class="absolute top-1.5 pl-1.5 whitespace-nowrap border-l border-line"
          :class="i === 0 ? 'text-lamp-text border-lamp' : ''"
          :style="{ left: `${d.at}px` }"
          >{{
            i > 0 && days[i + 1] && (days[i + 1]?.at ?? 0) - d.at < 62 ? Number(d.day.slice(8)) : d.says
          }}</span
        >
      </div>
      <div class="relative" :style="{ height: `${rows.length * rowHeight}px` }">
        <svg class="absolute inset-0 w-full h-full pointer-events-none z-10" aria-hidden="true">
          <path v-for="l in lines" :key="l.key" :d="l.path" class="line" :class="{ on: l.isHere }" />
        </svg>
        <template v-for="(row, i) in rows" :key="row.outlet.id">
          <button
            v-for="f in row.frames"
            :key="of.idOf(f.thing)"
            class="frame"
            :class="{ here: of.here.value && of.idOf(of.here.value) === of.idOf(f.thing) }"
            :style="{ left: `${f.left}px`, width: `${f.right - f.left}px`, top: `${i * rowHeight}px` }"
            :aria-label="label(f.thing)"
            :aria-pressed="of.here.value ? of.idOf(of.here.value) === of.idOf(f.thing) : false"
            :title="label(f.thing)"
            @click="of.look(f.thing)"
          >
            <span v-if="f.right - f.left >= 34" class="inner">
              <span class="flex gap-1.5 min-w-0 justify-end">
                <span class="num text-11">{{ f.thing.card.number }}</span><strong
                  v-if="!f.isNarrow"
                  class="truncate min-w-0 font-medium"
                  >{{ name(f.thing) }}</strong
                ><span v-if="f.right - f.left > 200" class="num text-11 whitespace-nowrap">{{
                  when(f.thing)
                }}</span>
              </span>
              <span class="flex gap-1 items-center justify-end">
                <LampMark
                  v-for="p in f.thing.parts.filter((p) => p.isRequired).slice(0, f.isNarrow ? 4 : 8)"
                  :key="p.field"
                  :lamp="lampOfPart(p)"
                  :size="11"
                  hidden
                /><span v-if="!f.isNarrow" class="text-12 text-ink-2 whitespace-nowrap">{{
                  says(f.thing)
                }}</span
                ><span v-if="f.right - f.left > 195" class="num text-11 text-ink-2 whitespace-nowrap">{{
                  sayLeft(moment.now, f.thing.at)
                }}</span>
              </span>
            </span>
          </button>
          <span
            class="leader"
            :style="{ left: `${row.end}px`, right: 0, top: `${i * rowHeight}px` }"
            aria-hidden="true"
          />
        </template>
      </div>
    </div>
  </div>
</template>

<style scoped>
.frame,
.leader {
  position: absolute;
  height: 38px;
}
.frame {
  overflow: hidden;
  background: var(--panel);
  border: 1px solid var(--line);
  border-right: 4px solid var(--ink-2);
  color: var(--ink);
  text-align: right;
}
.frame:hover {
  background: var(--raised);
}
.frame.here {
  border-color: var(--lamp-line);
  box-shadow: 0 0 12px var(--glow);
  z-index: 5;
}
.frame:focus-visible {
  outline: 2px solid var(--lamp-line);
  outline-offset: -2px;
}
.inner {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 1px;
  padding-inline: 6px;
}
.leader {
  border-block: 1px dashed var(--faint);
}
.line {
  fill: none;
  stroke: var(--ink-3);
  stroke-dasharray: 2 3;
}
.line.on {
  stroke: var(--lamp-line);
  stroke-dasharray: none;
}
</style>
