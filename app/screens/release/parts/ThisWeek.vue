<script setup lang="ts">
import { computed } from 'vue'
import { moveKey, type Going, type Move } from '@core/release/moves'
import { thingName } from '@core/release/when'
import { addDays, sayDay } from '@core/rhythm/days'
import { dayAt, localAt } from '@core/rhythm/zone'
import { sayMinutes } from '@core/script/timecode'
import { useMoment } from '@app/stores/moment'
import { download } from '@app/ui/download'
import KeySign from '@app/ui/KeySign.vue'
import LampMark from '@app/ui/LampMark.vue'
import { releaseKeys } from '../keymap'
import { lampOfPart } from '../lamps'
import type { ReleaseDeeds } from '../useRelease'

/** Moves, not faults: what this week's things lack, joined to the few moves that mend it. */
const { of } = defineProps<{ of: ReleaseDeeds }>()
const moment = useMoment()
const line = 22
const moveHeight = 60
/** More than these are behind a press: what is next counts. */
const shown = 6

interface Row {
  thing: Going
  day: string
  top: number
  height: number
}
const rows = computed(() => {
  let top = 0
  let before = ''
  return of.view.value.week.map((thing): Row => {
    const day = dayAt(thing.at, moment.zone)
    const group =
      day < moment.today
        ? 'To look at'
        : day === moment.today
          ? 'Today'
          : day === addDays(moment.today, 1)
            ? 'Tomorrow'
            : 'This week'
    const height = Math.max(1, thing.lacking.length) * line + 8
    const row = { thing, day: group === before ? '' : group, top, height }
    before = group
    top += height
    return row
  })
})
const height = computed(() =>
  Math.max(...rows.value.map((r) => r.top + r.height), moves.value.length * moveHeight, 0),
)
const moves = computed(() => of.view.value.moves.slice(0, shown))
const minutes = computed(() => of.view.value.moves.reduce((sum, m) => sum + m.minutes, 0))
const ready = computed(() => of.view.value.week.filter((t) => t.isReady).length)
const head = computed(() => {
  const count = of.view.value.week.length
  return count === 0 ? 'Nothing this week' : count === 1 ? 'One thing this week' : `${count} things this week`
})
const joins = computed(() =>
  moves.value.flatMap((move, m) =>
    rows.value.flatMap((row) =>
      row.thing.lacking.flatMap((part, i) =>
        moveKey(row.thing, part) === move.key
          ? {
              key: `${of.idOf(row.thing)} ${part.field}`,
              isFirst: m === 0,
              path: curve(row.top + i * line + line / 2 + 1, m * moveHeight + 18),
            }
          : [],
      ),
    ),
  ),
)
/** For whoever posts all of it in one sitting. */
async function save() {
  const { batchTable } = await import('@core/formats/batch-table')
  download(`week-${moment.today}.csv`, batchTable(of.view.value.week, moment.zone), 'text/csv')
}
const curve = (from: number, to: number) => `M0 ${from}C30 ${from} 16 ${to} 44 ${to}`
const time = (t: Going) => {
  const { day, time: clock } = localAt(t.at, moment.zone)
  return day <= addDays(moment.today, 1) ? clock : `${sayDay(day).slice(0, 3)} ${clock}`
}
const what = (t: Going) => thingName(t) || t.outlet.name
const does = (m: Move) =>
  `${sayMinutes(m.minutes)}${m.waits ? `, waits on ${m.waits}` : ''}, mends ${m.mends.length}`
</script>

<template>
  <section aria-labelledby="this-week" class="min-w-0">
    <p class="flex items-baseline gap-3 mb-3">
      <strong id="this-week" class="font-title font-semibold text-16 flex-1">{{ head }}</strong><span
        v-if="rows.length > 0"
        class="sub"
        >{{ ready === 0 ? 'none' : ready }} ready<template v-if="of.view.value.moves.length > 0"
          >;
          <strong class="text-ink"
            >{{ of.view.value.moves.length }} {{ of.view.value.moves.length === 1 ? 'move' : 'moves' }},
            {{ sayMinutes(minutes) }},</strong
          >
          make it {{ rows.length }}</template
        ></span
      >
    </p>
    <div class="grid grid-cols-[minmax(0,1fr)_44px_228px]">
      <ul class="relative" :style="{ height: `${height}px` }">
        <li
          v-for="r in rows"
          :key="of.idOf(r.thing)"
          class="absolute inset-x-0 grid grid-cols-[68px_66px_minmax(0,1fr)_90px]"
          :style="{ top: `${r.top}px` }"
        >
          <strong class="text-12">{{ r.day }}</strong><span class="num text-11 text-ink-2 leading-[20px]">{{
            time(r.thing)
          }}</span
          ><button
            class="text-left flex items-baseline gap-1.5 pr-2 min-w-0 self-start"
            :class="of.here.value && of.idOf(of.here.value) === of.idOf(r.thing) ? 'font-semibold' : ''"
            @click="of.look(r.thing)"
          >
            <span class="truncate">{{ what(r.thing) }}</span>
            <span class="num text-11 text-ink-2 whitespace-nowrap">{{ r.thing.card.number }}</span></button
          ><span class="grid">
            <span v-if="r.thing.isReady" class="flex items-center gap-1.5" :style="{ height: `${line}px` }"
              ><LampMark :lamp="{ state: 'lit', share: 1 }" :size="12" hidden />ready</span
            ><span
              v-for="p in r.thing.lacking"
              :key="p.field"
              class="flex items-center gap-1.5 whitespace-nowrap"
              :style="{ height: `${line}px` }"
              :title="p.says"
              ><LampMark :lamp="lampOfPart(p)" :size="12" hidden />{{ p.name.toLowerCase() }}</span
            >
          </span>
        </li>
      </ul>
      <svg class="w-[44px]" :height="height" aria-hidden="true">
        <path v-for="j in joins" :key="j.key" :d="j.path" class="join" :class="{ first: j.isFirst }" />
      </svg>
      <ol class="grid content-start" aria-label="Moves, best first">
        <li v-for="(m, i) in moves" :key="m.key" :style="{ height: `${moveHeight}px` }">
          <button class="btn w-full" :class="i === 0 ? 'btn-main' : ''" @click="of.mend(m)">
            <span class="truncate">{{ m.label }}</span><KeySign
              v-if="i === 0"
              :line="releaseKeys.lines.move"
            /><span v-else class="num text-11">{{ m.card.number }}</span>
          </button>
          <p class="sub text-center">
            <template v-if="i === 0">{{ m.card.number }}, </template>{{ does(m) }}
          </p>
        </li>
      </ol>
    </div>
    <p class="flex items-center gap-3 mt-2">
      <span v-if="of.view.value.moves.length > shown" class="sub"
        >{{ of.view.value.moves.length - shown }} more moves follow these.</span
      ><button v-if="rows.length > 0" class="btn btn-bare btn-small ml-auto" @click="save">
        This week as a table (CSV)
      </button>
    </p>
  </section>
</template>

<style scoped>
.join {
  fill: none;
  stroke: var(--ink-3);
  stroke-dasharray: 2 3;
}
.join.first {
  stroke: var(--ink-2);
  stroke-width: 1.5;
  stroke-dasharray: none;
}
</style>
