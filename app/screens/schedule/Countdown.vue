<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { useRouter } from 'vue-router'
import { scaleLinear } from 'd3-scale'
import { moveToSlot } from '@core/commands/schedule'
import { finishStages } from '@core/commands/work'
import { lanesOf, rampOf } from '@core/plan/ramp'
import { sixLamps } from '@core/recipe/lamps'
import type { Recipe } from '@core/records'
import { dayOf, dayNumber, daysBetween, sayAway, sayDay } from '@core/rhythm/days'
import type { Slot } from '@core/rhythm/slots'
import { useBoard } from '@app/stores/board'
import type { Card, SlotRow } from '@core/views/card'
import { useDesk } from '@app/stores/desk'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import Flag from '@app/ui/Flag.vue'
import Glyph from '@app/ui/Glyph.vue'
import LampMark from '@app/ui/LampMark.vue'
import Sheet from '@app/ui/Sheet.vue'
import { useCarrying } from './carrying'
import ScheduleTabs from './ScheduleTabs.vue'
import { keysOn } from '@app/ui/keymap'
import { countdownKeys } from './keymap'
import { remembered } from '@app/stores/remembered'
import { useElementSize } from '@vueuse/core'
import { vCarries, vTakes, type Carried, type Target } from '@app/ui/drag/carry'
import { followPress } from '@app/ui/drag/press'
import { typedIn } from '@app/ui/fields/event'

/**
 * Stage against days to release: a card's right edge is its release; what stands left of the ramp is behind
 * it.
 */
const library = useLibrary()
const board = useBoard()
const desk = useDesk()
const dialogs = useDialogs()
const router = useRouter()
const frame = ref<HTMLElement>()
const { width } = useElementSize(frame, { width: 900, height: 0 })
const weeks = remembered('lamp-reel.countdown-weeks', 6, (kept) =>
  Number.isFinite(kept) ? bounded(Number(kept)) : undefined,
)
function bounded(to: number): number {
  return Math.min(26, Math.max(2, to))
}
const showId = ref(board.shows[0]?.id ?? '')
const show = computed(() => board.shows.find((s) => s.id === showId.value) ?? board.shows[0])
const recipe = computed(() => library.records.recipes.get(show.value?.recipe ?? ''))
const kinds = ['brief', 'script', 'film', 'edit', 'thumbnail', 'release'] as const
const head = 124
const rowHeight = 76
const cardWidth = computed(() => Math.min(168, Math.max(112, (width.value - head) / weeks.value / 1.02)))
const x = computed(() =>
  scaleLinear()
    .domain([-2, weeks.value * 7])
    .range([head + 36, width.value - 12]),
)
const ramp = computed(() => (recipe.value ? rampOf(recipe.value) : []))
const rampAt = (kind: string, of = recipe.value, row = ramp.value) =>
  row.find((r) => of?.stages.find((s) => s.id === r.stage)?.kind === kind)
function drawn(of: Recipe | undefined): string {
  const row = of ? rampOf(of) : []
  let d = ''
  kinds.forEach((kind, i) => {
    const r = rampAt(kind, of, row)
    if (!r) return
    const px = x.value(Math.min(r.days, weeks.value * 7))
    d += `${d === '' ? 'M' : 'L'}${px},${i * rowHeight} L${px},${(i + 1) * rowHeight} `
  })
  return d
}
const path = computed(() => drawn(recipe.value))
/** The ramps of the other recipes that something in sight is made by, as lines alone. */
const otherPaths = computed(() =>
  [...new Set(puts.value.map((p) => p.card.recipe))]
    .filter((r) => r.id !== recipe.value?.id)
    .map((r) => ({ id: r.id, name: r.name, d: drawn(r) })),
)
const behind = computed(() =>
  path.value === '' ? '' : `${path.value} L${x.value(0)},${kinds.length * rowHeight} L${x.value(0)},0 Z`,
)

/** The row of a stage; one of the creator's own lies in that of the stage before it. */
function rowOf(card: Card, stage: string | undefined): number {
  const { stages } = card.recipe
  for (let i = stages.findIndex((s) => s.id === stage); i >= 0; i--) {
    const row = kinds.findIndex((k) => k === stages[i]?.kind)
    if (row >= 0) return row
  }
  return stage === undefined ? kinds.length - 1 : 0
}
interface Put {
  card: Card
  row: number
  left: number
  right: number
  lane: number | undefined
  days: number
  late: number | undefined
}
const puts = computed<Put[]>(() => {
  const rows = board.coming
    .map((card): Put => {
      const at = rowOf(card, card.standing.where?.stage.id)
      const days = daysBetween(board.today, card.standing.release?.day ?? board.today)
      const right = x.value(days)
      return {
        card,
        row: at,
        left: Math.max(head, right - cardWidth.value),
        right,
        days,
        late: card.standing.late,
        lane: 0,
      }
    })
    .filter((p) => p.days <= weeks.value * 7)
  for (let i = 0; i < kinds.length; i++) {
    const mine = rows
      .filter((r) => r.row === i)
      .sort((a, b) => (b.late ?? 0) - (a.late ?? 0) || a.right - b.right)
    const lanes = lanesOf(
      mine.map((m) => ({ id: m.card.episode.id, from: m.left, to: m.right })),
      3,
    )
    for (const m of mine) m.lane = lanes.get(m.card.episode.id)
  }
  return rows
})
const depths = computed(() => {
  const row = kinds.map(() => 1)
  for (const p of puts.value) row[p.row] = Math.max(row[p.row] ?? 1, (p.lane ?? 0) + 1)
  return row
})
const depth = (row: number) => depths.value[row] ?? 1
const open = computed(() =>
  board.rows.filter(
    (r) => r.slot && !r.card && !r.slot.skipped && daysBetween(board.today, r.day) <= weeks.value * 7,
  ),
)
const ticks = computed(() =>
  [...new Set([...puts.value.map((p) => p.days), ...open.value.map((r) => daysBetween(board.today, r.day))])]
    .sort((a, b) => a - b)
    .filter((n, i, all) => i === 0 || x.value(n) - x.value(all[i - 1] ?? 0) > 46),
)

function zoom(to: number) {
  weeks.value = bounded(to)
}

/** The slots that an episode may be carried to: its show's, in order. */
function slotsFor(card: Card): Slot[] {
  const filled = board.placed
    .filter((c) => c.show.id === card.show.id && c.episode.place.on === 'slot')
    .flatMap((c) => board.rows.filter((r) => r.card === c))
  const days = [
    ...filled.flatMap((r) =>
      r.card?.standing.release
        ? [{ day: r.day, original: r.card.episode.place.on === 'slot' ? r.card.episode.place.day : r.day }]
        : [],
    ),
    ...open.value.flatMap((r) =>
      r.slot && r.show.id === card.show.id ? [{ day: r.slot.day, original: r.slot.original }] : [],
    ),
  ]
  return days
    .sort((a, b) => (a.day < b.day ? -1 : 1))
    .map((d) => ({
      key: d.original,
      show: card.show.id,
      original: d.original,
      day: d.day,
      time: card.show.rhythm.time,
      at: 0,
      skipped: false,
      moved: false,
    }))
}
/**
 * What is being dragged is moved in the page itself; only what is said of it is drawn anew, so that
 * hundreds of cards can lie about it.
 */
const { over, end } = useCarrying()
interface Drag {
  put: Put
  goals: { slot: Slot; days: number }[]
  slot: Slot | undefined
  row: number
}
function grab(event: PointerEvent, put: Put) {
  const card = event.currentTarget
  if (!(card instanceof HTMLElement)) return
  const held: Drag = {
    put,
    goals: slotsFor(put.card).map((slot) => ({ slot, days: daysBetween(board.today, slot.day) })),
    slot: undefined,
    row: put.row,
  }
  const back = () => {
    card.classList.remove('drag')
    card.style.transform = ''
    end()
  }
  followPress(event, {
    start: () => {
      card.classList.add('drag')
    },
    move: (dx, dy) => {
      card.style.transform = `translate(${dx}px, ${dy}px)`
      aim(held, dx, dy)
    },
    drop: () => {
      back()
      if (held.slot) void moveTo(put.card, held.slot)
      else if (held.row !== put.row) void toStage(put, held.row)
    },
    cancel: back,
    tap: () => {
      dialogs.show({ kind: 'forecast', episode: put.card.episode.id })
    },
  })
}
/** Where a card would come to. */
function aim(h: Drag, dx: number, dy: number) {
  const { put } = h
  h.slot = undefined
  h.row = Math.max(0, Math.min(kinds.length - 1, put.row + Math.round(dy / rowHeight)))
  if (Math.abs(dy) > rowHeight / 2 && Math.abs(dy) > Math.abs(dx)) {
    over(
      put.card,
      undefined,
      h.row > put.row
        ? `Finish ${kinds.slice(put.row, h.row).join(', ')}`
        : h.row < put.row
          ? `Open ${kinds.slice(h.row, put.row).join(', ')} again`
          : '',
    )
    return
  }
  h.row = put.row
  const days = put.days + Math.round(x.value.invert(put.right + dx) - x.value.invert(put.right))
  let near: Drag['goals'][number] | undefined
  for (const g of h.goals) if (!near || Math.abs(g.days - days) < Math.abs(near.days - days)) near = g
  const { place } = put.card.episode
  if (near && !(place.on === 'slot' && place.day === near.slot.original)) h.slot = near.slot
  over(put.card, h.slot, '')
}
const asking = shallowRef<{ card: Card; stages: string[]; steps: string[]; parts: string[] }>()
function moveTo(card: Card, slot: Slot) {
  return library.perform(moveToSlot, { episode: card.episode.id, day: slot.original })
}
async function toStage(put: Put, row: number) {
  const { stages } = put.card.standing
  const of = (from: number, to: number) =>
    stages.filter((s) => {
      const at = rowOf(put.card, s.stage.id)
      return s.stage.kind !== 'after' && at >= from && at < to
    })
  if (row > put.row) {
    const between = of(put.row, row)
    asking.value = {
      card: put.card,
      stages: between.map((s) => s.stage.id),
      steps: between.flatMap((s) => s.steps.filter((x) => !x.done).map((x) => x.step.name)),
      parts: between.flatMap((s) => s.parts.filter((p) => p.state !== 'there').map((p) => p.name)),
    }
  } else
    await library.perform(finishStages, {
      episode: put.card.episode.id,
      stages: of(row, kinds.length).map((s) => s.stage.id),
      done: false,
    })
}
async function finish() {
  const a = asking.value
  asking.value = undefined
  if (a) await library.perform(finishStages, { episode: a.card.episode.id, stages: a.stages, done: true })
}
async function moveBy({ card }: Put, by: 1 | -1) {
  const slots = slotsFor(card)
  const { place } = card.episode
  const to = slots[slots.findIndex((s) => s.original === (place.on === 'slot' ? place.day : '')) + by]
  if (!to) return
  await moveTo(card, to)
  document.querySelector<HTMLElement>(`[data-card="${card.episode.id}"]`)?.focus()
}
const keyed = keysOn<keyof (typeof countdownKeys)['lines'], [Put]>(countdownKeys, {
  move: ({ which }, put) => {
    void moveBy(put, which === 0 ? -1 : 1)
  },
  stage: ({ which }, put) => {
    const row = put.row + (which === 0 ? -1 : 1)
    if (row < 0 || row >= kinds.length) return false
    void toStage(put, row)
    return true
  },
  forecast: (_, put) => {
    dialogs.show({ kind: 'forecast', episode: put.card.episode.id })
  },
})
/** Said on a card only where it is not on track. */
const outlookOf = (p: Put) => {
  const is = desk.outlooks.get(p.card.episode.id)?.is
  return is === 'on track' || is === 'too far ahead' ? undefined : is
}
const lampOf = (p: Put) => sixLamps(p.card.standing)[p.row]
const carried = (card: Card): Carried => ({
  kind: 'episode',
  id: card.episode.id,
  show: card.show.id,
  label: card.title,
})
/** An open slot takes a spare of its show. */
const target = ({ slot, show }: SlotRow): Target | undefined =>
  slot && {
    takes: (c) => c.kind === 'episode' && c.show === show.id,
    over: (c) => {
      const card = c.kind === 'episode' ? board.card(c.id) : undefined
      if (card) over(card, slot)
    },
    left: end,
    drop: (c) => {
      const card = c.kind === 'episode' ? board.card(c.id) : undefined
      if (card) void moveTo(card, slot)
    },
  }
const styles = computed(
  () =>
    new Map(
      puts.value.map((p) => {
        const lanes = depth(p.row)
        const h = (rowHeight - 8) / lanes
        return [
          p,
          {
            left: `${p.left}px`,
            top: `${p.row * rowHeight + 4 + (p.lane ?? 0) * h}px`,
            width: `${Math.max(54, p.right - p.left)}px`,
            height: `${h - (lanes > 1 ? 2 : 0)}px`,
          },
        ]
      }),
    ),
)
const cardStyle = (p: Put) => styles.value.get(p)
</script>

<template>
  <div class="mx-auto max-w-[1360px] px-5 py-4 max-sm:px-3">
    <header class="flex flex-wrap items-center gap-x-4 gap-y-2 mb-3">
      <h1>Schedule</h1>
      <ScheduleTabs />
      <div
        v-if="board.shows.length > 1"
        class="flex border border-line rounded-control overflow-hidden"
        role="group"
        aria-label="Whose ramp"
      >
        <button
          v-for="s in board.shows"
          :key="s.id"
          class="px-3 py-1"
          :class="s.id === show?.id ? 'bg-raised font-medium' : 'text-ink-2'"
          :aria-pressed="s.id === show?.id"
          @click="showId = s.id"
        >
          {{ s.title }}
        </button>
      </div>
      <label class="sub flex items-center gap-2 ml-auto"
        >2 weeks
        <input
          type="range"
          min="2"
          max="26"
          class="accent-ink w-[130px]"
          :value="weeks"
          aria-label="Weeks in sight"
          @input="zoom(Number(typedIn($event)))"
        />
        {{ weeks }} weeks in sight</label
      >
      <p class="sub flex gap-3">
        <span class="inline-flex items-center gap-1.5"
          ><i class="inline-block w-[16px] h-[12px] border border-line border-r-[3px] border-r-ink" />right
          edge: release</span
        ><span class="inline-flex items-center gap-1.5"
          ><i class="inline-block w-[14px] h-[12px] border-t-2 border-r-2 border-ink" />ramp of
          {{ show?.title }}</span
        ><span v-if="otherPaths.length > 0" class="inline-flex items-center gap-1.5"
          ><i class="inline-block w-[16px] border-t-2 border-dashed border-ring" />other ramps</span
        >
      </p>
    </header>
    <div class="grid grid-cols-1 gap-4 lg:grid-cols-[minmax(0,1fr)_180px] items-start">
      <div
        ref="frame"
        class="panel relative overflow-hidden select-none"
        :style="{ height: `${kinds.length * rowHeight + 96}px` }"
      >
        <svg class="absolute inset-0 w-full h-full" aria-hidden="true">
          <defs>
            <pattern
              id="behind"
              width="7"
              height="7"
              patternUnits="userSpaceOnUse"
              patternTransform="rotate(45)"
            >
              <line
                x1="0"
                y1="0"
                x2="0"
                y2="7"
                stroke="var(--rose)"
                stroke-opacity="0.38"
                stroke-width="1.5"
              />
            </pattern>
          </defs>
          <path :d="behind" fill="url(#behind)" />
          <path
            v-for="o in otherPaths"
            :key="o.id"
            :d="o.d"
            fill="none"
            stroke="var(--ring)"
            stroke-width="1.5"
            stroke-dasharray="5 4"
          />
          <path :d="path" fill="none" stroke="var(--ink)" stroke-width="2" />
          <line
            v-for="i in kinds.length"
            :key="i"
            x1="0"
            :x2="width"
            :y1="i * rowHeight"
            :y2="i * rowHeight"
            stroke="var(--faint)"
          />
          <line
            v-for="p in puts"
            :key="p.card.episode.id"
            :x1="p.right"
            :x2="p.right"
            :y1="(p.row + 1) * rowHeight"
            :y2="kinds.length * rowHeight + 52"
            stroke="var(--ring)"
            stroke-dasharray="1 4"
          />
          <line
            :x1="x(0)"
            :x2="x(0)"
            y1="0"
            :y2="kinds.length * rowHeight + 52"
            stroke="var(--lamp-line)"
            stroke-width="2"
          />
        </svg>
        <div
          v-for="(k, i) in kinds"
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
            <button
              class="cd"
              :class="[
                p.card.show.kind,
                {
                  behind: p.late,
                  next: p.card === board.coming[0],
                  small: depth(p.row) > 1,
                  pin: p.lane === undefined,
                },
              ]"
              :style="
                p.lane === undefined
                  ? { left: `${p.right - 14}px`, top: `${(p.row + 1) * rowHeight - 18}px` }
                  : cardStyle(p)
              "
              :data-card="p.card.episode.id"
              :aria-label="`${p.card.number} ${p.card.title}, out ${sayDay(p.card.standing.release?.day ?? '')}, ${p.days} d, at ${p.card.standing.where?.stage.name ?? 'ready'}${p.late ? `, late ${p.late} d` : ''}${outlookOf(p) ? `, ${outlookOf(p)}: ${board.reasonOf(desk.outlooks.get(p.card.episode.id))}` : ''}. Arrows move it, Enter says why`"
              :title="p.card.title"
              @pointerdown="grab($event, p)"
              @keydown="keyed($event, p)"
            >
              <template v-if="p.lane !== undefined"
                ><span class="block truncate font-semibold leading-[18px]">{{ p.card.title }}</span
                ><span v-if="depth(p.row) < 3" class="text-11 text-ink-2 block truncate leading-[15px]"
                  >{{ p.card.number }} {{ sayDay(p.card.standing.release?.day ?? '') }}, {{ p.days }} d</span
                ><span v-if="depth(p.row) === 1" class="flex items-center gap-1.5 text-12 truncate"
                  ><LampMark v-if="lampOf(p)" :lamp="lampOf(p)!" :size="13" hidden /><template v-if="p.late"
                    ><Flag :size="9" /><span class="late">late {{ p.late }} d</span></template
                  ><span v-else-if="outlookOf(p)" class="truncate"
                    ><strong class="font-semibold">{{ outlookOf(p) }}</strong
                    >: {{ board.reasonOf(desk.outlooks.get(p.card.episode.id)) }}</span
                  ><span v-else class="truncate">{{ p.card.standing.next?.step.name ?? 'ready' }}</span></span
                ></template
              >
            </button>
          </li>
        </ul>
        <div class="absolute left-3" :style="{ top: `${kinds.length * rowHeight + 8}px` }">
          <strong class="font-semibold">Open</strong>
        </div>
        <button
          v-for="r in open"
          :key="r.key"
          v-takes="target(r)"
          class="cd vacant"
          :class="r.show.kind"
          :style="{
            left: `${x(daysBetween(board.today, r.day)) - Math.min(cardWidth, 92)}px`,
            width: `${Math.min(cardWidth, 92)}px`,
            top: `${kinds.length * rowHeight + 6}px`,
            height: '34px',
          }"
          :aria-label="`${r.show.prefix}${r.number} open, ${sayDay(r.day)}${board.keptFor(r.show.id, r.slot?.original) ? `, kept for ${board.keptFor(r.show.id, r.slot?.original)?.reservation.name}` : ''}. Choose an idea`"
          :title="board.keptFor(r.show.id, r.slot?.original)?.reservation.name"
          @click="r.slot && dialogs.show({ kind: 'fill', slot: r.slot })"
        >
          <span class="num text-11 block leading-[13px]">{{ r.show.prefix }}{{ r.number }}</span
          ><span
            v-if="board.keptFor(r.show.id, r.slot?.original)"
            class="text-11 block truncate leading-[13px]"
            >{{ board.keptFor(r.show.id, r.slot?.original)?.reservation.name }}</span
          >
        </button>
        <div
          v-for="n in ticks"
          :key="n"
          class="absolute text-center text-11 leading-[14px] text-ink-2 w-[60px] -ml-[30px]"
          :style="{ left: `${x(n)}px`, top: `${kinds.length * rowHeight + 56}px` }"
        >
          {{ sayDay(dayOf(dayNumber(board.today) + n)) }}<br /><span class="num text-11">{{ n }} d</span>
        </div>
        <div
          class="absolute text-center text-11 leading-[14px] text-lamp-text w-[60px] -ml-[62px] text-right"
          :style="{ left: `${x(0)}px`, top: `${kinds.length * rowHeight + 56}px` }"
        >
          today
        </div>
      </div>
      <aside class="panel p-3 grid gap-3" aria-label="Spares">
        <h2>
          Spares <span class="num font-normal">{{ board.spares.length }}</span>
        </h2>
        <ul class="grid gap-2">
          <li v-for="c in board.spares" :key="c.episode.id">
            <button
              v-carries="carried(c)"
              class="flex gap-2 items-center text-left w-full"
              :aria-label="`${c.title}, spare, ${c.standing.ready ? 'ready' : 'on its way'}. Drag it onto an open slot`"
              @click="router.push({ name: 'episode', params: { code: c.episode.code } })"
            >
              <Glyph :size="24" :lamps="sixLamps(c.standing)" :name="c.title" /><span class="text-12"
                >{{ c.title
                }}<span class="sub block">{{ c.standing.ready ? 'ready' : 'on its way' }}</span></span
              >
            </button>
          </li>
        </ul>
        <p v-if="board.spares.length === 0" class="sub">
          A ready, evergreen episode kept off the schedule for a bad week stands here.
        </p>
        <p v-if="show" class="sub border-t border-faint pt-2">
          <strong class="text-ink">{{ board.readyRun(show).run }}</strong> of {{ show.readyAhead }} ready
          ahead
        </p>
      </aside>
    </div>
    <Sheet
      :open="asking !== undefined"
      :title="`Finish ${asking?.card.number ?? ''} up to there`"
      @close="asking = undefined"
    >
      <p v-if="asking && asking.steps.length > 0">
        These steps are open in between: <strong>{{ asking.steps.join(', ') }}</strong>.
      </p>
      <p v-if="asking && asking.parts.length > 0" class="mt-2">
        These parts are still missing, and keep its lamp unlit: {{ asking.parts.join(', ') }}.
      </p>
      <p class="sub mt-2">
        {{ asking ? sayAway(asking.card.standing.release?.day ?? board.today, board.today) : '' }} to its
        release.
      </p>
      <p class="flex gap-2 mt-4">
        <button v-if="asking && asking.steps.length > 0" class="btn btn-main" @click="finish">
          Tick {{ asking.steps.length === 1 ? 'it' : 'them' }} done</button
        ><button class="btn" @click="asking = undefined">Leave it</button>
      </p>
    </Sheet>
  </div>
</template>

<style scoped>
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
