<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { ChevronLeft, ChevronRight } from '@lucide/vue'
import { moveToSlot, placeOnOwn, placeOnSlot } from '@core/commands/schedule'
import { sixLamps } from '@core/recipe/lamps'
import { addDays, monthName, sayDay, weekday, weekdayName } from '@core/rhythm/days'
import { sayMinutes } from '@core/script/timecode'
import { slotsOf } from '@core/rhythm/slots'
import { useBoard } from '@app/stores/board'
import type { Card } from '@core/views/card'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import { usePictures } from '@app/stores/pictures'
import Glyph from '@app/ui/Glyph.vue'
import { useCarrying } from './carrying'
import ScheduleTabs from './ScheduleTabs.vue'
import { keysOn } from '@app/ui/keymap'
import { monthKeys } from './keymap'
import { vCarries, vTakes, type Carried, type Target } from '@app/ui/drag/carry'

/**
 * Months of the same slots: releases with their pictures and glyphs, open ones, what is due and the work on
 * demand; the unplaced beside.
 */
const library = useLibrary()
const board = useBoard()
const dialogs = useDialogs()
const pictures = usePictures()
const router = useRouter()
const offset = ref(0)
const shows = ref({ due: false, work: false })
const { over, end } = useCarrying()
/** What a method gives that not every browser has. */
function called(of: object, method: string): unknown {
  const does: unknown = Reflect.get(of, method)
  return typeof does === 'function' ? Reflect.apply(does, of, []) : undefined
}
/** Monday first, or Sunday where the locale has it so. */
const first = computed(() => {
  const locale: unknown = new Intl.Locale(navigator.language)
  const info: unknown =
    typeof locale === 'object' && locale !== null
      ? (Reflect.get(locale, 'weekInfo') ?? called(locale, 'getWeekInfo'))
      : undefined
  return typeof info === 'object' && info !== null && Reflect.get(info, 'firstDay') === 7 ? 6 : 0
})
const months = computed(() => {
  const [y = 2026, m = 1] = board.today.split('-').map(Number)
  return [0, 1].map((i) => {
    const n = m - 1 + offset.value + i
    const start = `${y + Math.floor(n / 12)}-${String((((n % 12) + 12) % 12) + 1).padStart(2, '0')}-01`
    const lead = (weekday(start) - first.value + 7) % 7
    const length = new Date(Date.UTC(Number(start.slice(0, 4)), Number(start.slice(5, 7)), 0)).getUTCDate()
    const cells = Array.from({ length: Math.ceil((lead + length) / 7) * 7 }, (_, c) =>
      addDays(start, c - lead),
    )
    return { start, name: `${monthName(start)} ${start.slice(0, 4)}`, cells }
  })
})
const names = computed(() =>
  Array.from({ length: 7 }, (_, i) => weekdayName((first.value + i) % 7).slice(0, 3)),
)
const releases = computed(() => {
  const by = new Map<string, Card[]>()
  for (const c of board.placed) {
    const day = c.standing.release?.day ?? ''
    by.set(day, [...(by.get(day) ?? []), c])
  }
  for (const e of board.released.slice(0, 60)) {
    const c = board.cardOf(e)
    const day = e.phase.name === 'released' ? (c?.standing.release?.day ?? board.dayOn(e.phase.at)) : ''
    if (c) by.set(day, [...(by.get(day) ?? []), c])
  }
  return by
})
const open = computed(
  () =>
    new Map(
      board.shows.flatMap((s) =>
        slotsOf(s, months.value[0]?.cells[0] ?? board.today, months.value[1]?.cells.at(-1) ?? board.today)
          .filter(
            (slot) =>
              slot.at > board.now &&
              !board.placed.some(
                (c) =>
                  c.show.id === s.id &&
                  c.episode.place.on === 'slot' &&
                  c.episode.place.day === slot.original,
              ),
          )
          .map((slot) => [`${slot.day} ${s.id}`, slot] as const),
      ),
    ),
)
const openOn = (day: string) =>
  board.shows.flatMap((s) => {
    const slot = open.value.get(`${day} ${s.id}`)
    return slot ? [{ show: s, slot }] : []
  })
const due = computed(() => {
  const by = new Map<string, string[]>()
  for (const c of board.placed)
    for (const s of c.standing.steps)
      if (!s.done && s.due) by.set(s.due, [...(by.get(s.due) ?? []), `${s.step.name}, ${c.number}`])
  return by
})
/** Work of each day as the plan has it, the longest first. */
const work = computed(() => {
  const by = new Map<
    string,
    { key: string; name: string; number: string; minutes: number; laid: boolean }[]
  >()
  if (!shows.value.work) return by
  for (const b of board.load.blocks) {
    const found = board.stepIn.get(b.id)
    if (!found) continue
    const row = by.get(b.day) ?? []
    row.push({
      key: `${b.id} ${b.day}`,
      name: found.state.step.name,
      number: found.card.number,
      minutes: b.minutes,
      laid: found.state.step.blocks.some((x) => x.day === b.day),
    })
    by.set(b.day, row)
  }
  for (const row of by.values()) row.sort((a, b) => b.minutes - a.minutes)
  return by
})
const launches = computed(() => [...library.records.launches.values()])
/** Launches that a day belongs to: their run-up, or the thing itself. */
const launchesOn = (day: string) =>
  launches.value
    .filter((l) => day >= addDays(l.from, -l.runUp) && day <= l.to)
    .map((l) => ({
      l,
      is: day >= l.from ? ('on' as const) : ('up' as const),
      first: day === l.from || day === addDays(l.from, -l.runUp),
    }))
const keptOn = (show: string, original: string) => board.keptFor(show, original)?.reservation
const tray = computed(() => [...board.unplaced, ...board.spares])
const carried = (card: Card): Carried | undefined =>
  card.episode.phase.name === 'released'
    ? undefined
    : { kind: 'episode', id: card.episode.id, show: card.show.id, label: card.title }
/** The slot of an episode's show on a date, or the date itself as a release of its own. */
function goalOn(card: Card, day: string) {
  const slot = slotsOf(card.show, addDays(day, -40), addDays(day, 40)).find(
    (s) => s.day === day && !s.skipped,
  )
  return slot ? { original: slot.original, day } : { original: `own ${day}`, day }
}
const target = (day: string): Target | undefined =>
  day < board.today
    ? undefined
    : {
        takes: (c) => c.kind === 'episode',
        over: (c) => {
          const card = c.kind === 'episode' ? board.card(c.id) : undefined
          if (card) over(card, goalOn(card, day))
        },
        left: end,
        drop: (c) => (c.kind === 'episode' ? put(c.id, day) : undefined),
      }
/** Onto the show's slot of that day; on a day without one, as a release of its own. */
async function put(id: string, day: string) {
  const card = board.card(id)
  if (!card) return
  const slot = slotsOf(card.show, addDays(day, -40), addDays(day, 40)).find(
    (s) => s.day === day && !s.skipped,
  )
  if (slot)
    await library.perform(open.value.has(`${day} ${card.show.id}`) ? placeOnSlot : moveToSlot, {
      episode: id,
      day: slot.original,
    })
  else await library.perform(placeOnOwn, { episode: id, day, time: card.show.rhythm.time })
}
/** By keys it goes from slot to slot of its show. */
async function moveBy(card: Card, by: 1 | -1) {
  const day = card.standing.release?.day
  if (!day || card.episode.phase.name === 'released') return
  const slots = slotsOf(card.show, board.today, addDays(day, 200)).filter(
    (s) => !s.skipped && s.at > board.now,
  )
  const to = slots[slots.findIndex((s) => s.day === day) + by]
  if (to) await library.perform(moveToSlot, { episode: card.episode.id, day: to.original })
  document.querySelector<HTMLElement>(`[data-month-card="${card.episode.id}"]`)?.focus()
}
const keyed = keysOn<'move', [Card]>(monthKeys, {
  move: ({ which }, card) => {
    void moveBy(card, which % 2 === 0 ? -1 : 1)
  },
})
</script>

<template>
  <div class="mx-auto max-w-[1360px] px-5 py-4 max-sm:px-3">
    <header class="flex flex-wrap items-center gap-x-4 gap-y-2 mb-3">
      <h1>Schedule</h1>
      <ScheduleTabs />
      <span class="flex"
        ><button class="btn btn-bare btn-small px-1" aria-label="A month earlier" @click="offset--">
          <ChevronLeft :size="17" /></button
        ><button v-if="offset !== 0" class="btn btn-bare btn-small" @click="offset = 0">This month</button
        ><button class="btn btn-bare btn-small px-1" aria-label="A month later" @click="offset++">
          <ChevronRight :size="17" /></button
      ></span>
      <label class="flex items-center gap-2 ml-auto"
        ><input v-model="shows.due" type="checkbox" class="tick" /> due dates</label
      ><label class="flex items-center gap-2"
        ><input v-model="shows.work" type="checkbox" class="tick" /> work</label
      >
    </header>
    <div class="grid grid-cols-1 gap-5 lg:grid-cols-[minmax(0,1fr)_210px] items-start">
      <div class="grid gap-6">
        <section v-for="m in months" :key="m.start" :aria-label="m.name">
          <h2 class="mb-2">{{ m.name }}</h2>
          <div class="grid grid-cols-7 text-11 text-ink-2 mb-1">
            <span v-for="n in names" :key="n" class="px-2">{{ n }}</span>
          </div>
          <ol class="grid grid-cols-7 border-t border-l border-faint rounded-card overflow-hidden">
            <li
              v-for="d in m.cells"
              :key="d"
              v-takes="target(d)"
              class="cell"
              :class="{ out: d.slice(0, 7) !== m.start.slice(0, 7), today: d === board.today }"
              :aria-label="sayDay(d)"
            >
              <template v-if="d.slice(0, 7) === m.start.slice(0, 7)">
                <span
                  v-for="x in launchesOn(d)"
                  :key="x.l.id"
                  class="launch"
                  :class="x.is"
                  :title="`${x.l.name}: ${x.is === 'up' ? 'run-up' : 'launch'}`"
                  ><span v-if="x.first" class="truncate">{{
                    x.is === 'up' ? `run-up, ${x.l.name}` : x.l.name
                  }}</span></span
                >
                <span
                  class="num text-11 leading-[14px]"
                  :class="d === board.today ? 'text-lamp-text! font-bold' : ''"
                  >{{ Number(d.slice(8)) }}</span
                >
                <button
                  v-for="c in releases.get(d) ?? []"
                  :key="c.episode.id"
                  v-carries="carried(c)"
                  class="rel"
                  :class="[
                    c.show.kind,
                    {
                      gone: c.episode.phase.name === 'released',
                      late: c.standing.late && c.episode.phase.name !== 'released',
                    },
                  ]"
                  :data-month-card="c.episode.id"
                  :aria-label="`${c.number} ${c.title}${c.episode.phase.name === 'released' ? ', released' : ', Alt and arrows move it'}`"
                  @keydown="keyed($event, c)"
                  @click="router.push({ name: 'episode', params: { code: c.episode.code } })"
                >
                  <img
                    v-if="pictures.url(c.episode.chosenPicture ?? c.episode.pictures[0]?.id)"
                    :src="pictures.url(c.episode.chosenPicture ?? c.episode.pictures[0]?.id)"
                    alt=""
                    class="w-[34px] h-[22px] object-cover rounded-[2px] flex-none"
                  /><Glyph
                    v-else
                    :size="20"
                    :lamps="sixLamps(c.standing)"
                    :name="c.title"
                    class="flex-none"
                  /><span class="truncate"
                    ><span class="num text-11">{{ c.number }}</span> {{ c.title }}</span
                  >
                </button>
                <button
                  v-for="o in openOn(d)"
                  :key="o.show.id"
                  class="rel open"
                  :class="o.show.kind"
                  :aria-label="`${o.show.title}, ${sayDay(d)}, ${o.slot.skipped ? 'skipped' : `open${keptOn(o.show.id, o.slot.original) ? `, kept for ${keptOn(o.show.id, o.slot.original)?.name}` : ''}. Choose an idea`}`"
                  @click="dialogs.show({ kind: 'fill', slot: o.slot })"
                >
                  <span class="truncate">{{
                    o.slot.skipped
                      ? 'skipped'
                      : keptOn(o.show.id, o.slot.original)
                        ? `for ${keptOn(o.show.id, o.slot.original)?.name}`
                        : 'open'
                  }}</span>
                </button>
                <span v-if="shows.due" class="text-11 leading-[13px] text-ink-2"
                  ><span v-for="s in (due.get(d) ?? []).slice(0, 3)" :key="s" class="block truncate">{{
                    s
                  }}</span
                  ><span v-if="(due.get(d)?.length ?? 0) > 3"
                    >and {{ (due.get(d)?.length ?? 0) - 3 }} more</span
                  ></span
                >
                <template v-if="shows.work && d >= board.today"
                  ><span
                    v-for="b in (work.get(d) ?? []).slice(0, 4)"
                    :key="b.key"
                    class="block text-11 leading-[14px] truncate border-l-2 pl-1"
                    :class="b.laid ? 'border-ink' : 'border-ring border-dashed'"
                    :title="`${b.name}, ${b.number}, ${sayMinutes(b.minutes)}`"
                    ><span class="num text-11">{{ b.minutes }}</span> {{ b.name }}, {{ b.number }}</span
                  ><span v-if="(work.get(d)?.length ?? 0) > 4" class="text-11 leading-[13px] text-ink-2"
                    >and {{ (work.get(d)?.length ?? 0) - 4 }} more,
                    {{ sayMinutes(board.planned.get(d) ?? 0) }} in all</span
                  ></template
                >
              </template>
            </li>
          </ol>
        </section>
      </div>
      <aside class="panel p-3 grid grid-cols-1 gap-2 sticky top-4 min-w-0" aria-label="Not on the schedule">
        <h2>Without a date</h2>
        <ul class="grid grid-cols-1 gap-1.5">
          <li v-for="c in tray" :key="c.episode.id" class="min-w-0">
            <button
              v-carries="carried(c)"
              class="rel w-full"
              @click="dialogs.show({ kind: 'place', episode: c.episode.id })"
            >
              <Glyph :size="20" :lamps="sixLamps(c.standing)" :name="c.title" class="flex-none" /><span
                class="truncate"
                >{{ c.title }}</span
              >
            </button>
          </li>
        </ul>
        <p v-if="tray.length === 0" class="sub">Everything in work has a date.</p>
        <p class="sub">Drag one onto a day. On a day without a slot it goes out as a one-off.</p>
      </aside>
    </div>
  </div>
</template>

<style scoped>
.cell {
  display: flex;
  flex-direction: column;
  gap: 3px;
  min-height: 84px;
  min-width: 0;
  padding: 4px 5px;
  border-right: 1px solid var(--faint);
  border-bottom: 1px solid var(--faint);
}
.cell.out {
  background: color-mix(in oklab, var(--panel) 50%, transparent);
}
.cell.today {
  box-shadow: inset 0 0 0 1.5px var(--lamp-line);
}
.cell[data-goal] {
  background: var(--raised);
}
.rel {
  display: flex;
  align-items: center;
  gap: 5px;
  min-width: 0;
  padding: 2px 5px;
  font-size: 12px;
  line-height: 16px;
  text-align: left;
  border: 1px solid var(--line);
  border-left: 3px solid var(--ink-2);
  border-radius: 4px;
  background: var(--raised);
}
.rel.audio {
  border-left-style: double;
  border-left-width: 4px;
}
.rel.late {
  border-color: var(--rose);
}
.rel.gone {
  background: transparent;
  color: var(--ink-2);
}
.launch {
  display: block;
  height: 13px;
  margin: -4px -5px 0;
  padding-inline: 5px;
  overflow: hidden;
  font-size: 10.5px;
  line-height: 13px;
  white-space: nowrap;
  border-bottom: 2px dotted var(--ink-3);
  color: var(--ink-2);
}
.launch.on {
  border-bottom: 3px solid var(--ink);
  color: var(--ink);
  font-weight: 600;
}
.rel.open {
  border-style: dashed;
  background: transparent;
  color: var(--ink-2);
}
</style>
