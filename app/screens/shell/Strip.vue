<script setup lang="ts">
import { computed, defineAsyncComponent, nextTick, onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { placeOnSlot } from '@core/commands/schedule'
import { skipSlot } from '@core/commands/schedule'
import type { Show } from '@core/records'
import { dayNumber, dayOf, monthName, sayDay } from '@core/rhythm/days'
import type { Frame } from '@core/rhythm/film'
import { sayUntil } from '@core/rhythm/zone'
import { sayMinutes } from '@core/script/timecode'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useSchedule } from '@app/stores/schedule'
import { useWorkload } from '@app/stores/workload'
import { useDesk } from '@app/stores/desk'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import StripFrame from './StripFrame.vue'
import { keysOn } from '@app/ui/keymap'
import KeySign from '@app/ui/KeySign.vue'
import { shellKeys, stripKeys } from './keymap'
import { useElementSize, useMediaQuery } from '@vueuse/core'
import { vTakes, type Target } from '@app/ui/drag/carry'
import { followPress } from '@app/ui/drag/press'

/** The strip: the releases to come (and past) on film that is true to time, a day being 26 px. */
const DAY = 26
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const schedule = useSchedule()
const workload = useWorkload()
const desk = useDesk()
const dialogs = useDialogs()
const router = useRouter()
const film = ref<HTMLElement>()
const left = ref(0)
const { width } = useElementSize(film, { width: 1280, height: 0 })
/** On a phone it stands upright, and is fetched for it. */
const StripUpright = defineAsyncComponent(() => import('./StripUpright.vue'))
const narrow = useMediaQuery('(max-width: 639px)')
const still = useMediaQuery('(prefers-reduced-motion: reduce)')

const first = computed(() => schedule.firstDay)
const todayN = computed(() => dayNumber(moment.today))
const lastN = computed(() => todayN.value + 400)
const x = (n: number) => (n - first.value) * DAY
/** The window of days that is drawn, in steps so that scrolling does not draw at every pixel. */
const from = computed(() => first.value + Math.floor(left.value / DAY / 14) * 14 - 21)
const to = computed(() => from.value + Math.ceil(width.value / DAY) + 56)
const days = computed(() => {
  const list = []
  for (let n = Math.max(first.value, from.value); n <= Math.min(to.value, lastN.value); n++) {
    const day = dayOf(n)
    const { whole, taken, worked, planned } = workload.figuresOf(day)
    const room = whole - taken
    const isOver = workload.load.over.has(day)
    list.push({
      n,
      day,
      date: +day.slice(8),
      month: day.endsWith('-01') ? monthName(day).slice(0, 3) : '',
      room,
      fill: room ? Math.min(1, (worked + planned) / room) : 0,
      over: isOver,
      past: n < todayN.value,
      title: `${sayDay(day, moment.today)}: ${n < todayN.value ? 'past' : room === 0 ? 'no hours' : `${worked > 0 ? `${sayMinutes(worked)} done, ` : ''}${sayMinutes(planned)} planned of ${sayMinutes(Math.max(0, room - worked))}`}${isOver ? ', more is due than fits' : ''}`,
    })
  }
  return list
})
/** More than three shows take turns on the film, three at a time. */
const turn = ref(0)
const turns = computed(() => Math.ceil(moment.shows.length / 3))
const lanes = computed(() =>
  moment.shows
    .slice((turn.value % Math.max(1, turns.value)) * 3)
    .slice(0, 3)
    .map((show) => ({
      show,
      frames: schedule
        .frames(show, dayOf(from.value - 30), dayOf(Math.min(to.value, lastN.value)))
        .filter((f) => f.to >= from.value && f.from <= to.value),
    })),
)
const slim = computed(() => lanes.value.length > 2)
const nextKey = computed(() => cards.coming[0]?.episode.id)
const away = computed(() => Math.abs(left.value - home()) > 260)

function home(): number {
  return x(todayN.value) - Math.min(137, width.value * 0.12)
}
function toNow(smooth = true) {
  film.value?.scrollTo({
    left: home(),
    behavior: smooth && !still.value ? 'smooth' : 'auto',
  })
}
onMounted(() => {
  toNow(false)
  left.value = home()
})
watch(
  () => desk.toNow,
  () => {
    toNow()
  },
)
watch(first, () => {
  void nextTick(() => {
    toNow(false)
  })
})

function wheel(event: WheelEvent) {
  if (!film.value || event.ctrlKey || Math.abs(event.deltaX) > Math.abs(event.deltaY)) return
  event.preventDefault()
  film.value.scrollLeft += event.deltaY
}
/** The film is panned by drawing it along; by touch it scrolls by itself. */
function grab(event: PointerEvent) {
  const at = film.value
  if (!at || event.pointerType !== 'mouse') return
  const from = at.scrollLeft
  followPress(event, {
    move: (dx) => {
      at.scrollLeft = from - dx
    },
    drop: () => undefined,
  })
}
/** The frames that keys go through, the one in focus, and those of its show. */
function framesAround() {
  const frames = [...(film.value?.querySelectorAll<HTMLElement>('[data-frame]') ?? [])]
  const here = frames.find((f) => f === document.activeElement)
  const lane = frames.filter((f) => f.dataset['lane'] === here?.dataset['lane'])
  return { frames, here, lane }
}
function focusFrame(goal: HTMLElement | undefined): boolean {
  if (!goal) return false
  goal.focus({ preventScroll: true })
  goal.scrollIntoView({ inline: 'center', block: 'nearest' })
  return true
}
const keyed = keysOn(stripKeys, {
  along: ({ which }) => {
    const { here, lane } = framesAround()
    return focusFrame(lane[lane.findIndex((f) => f === here) + (which === 0 ? -1 : 1)])
  },
  across: () => {
    const { frames, here } = framesAround()
    const other = frames.find(
      (f) =>
        f.dataset['lane'] !== here?.dataset['lane'] && Number(f.dataset['to']) >= Number(here?.dataset['to']),
    )
    return focusFrame(other)
  },
  // A frame is a button, which answers to the key by itself.
  open: () => false,
  now: () => {
    toNow()
  },
})
function choose(frame: Frame) {
  if (frame.episode) void router.push({ name: 'episode', params: { code: frame.episode.code } })
  else if (frame.kind === 'skipped' && frame.slot)
    void library.perform(skipSlot, { show: frame.slot.show, day: frame.slot.original, skip: false })
  else if (frame.slot) dialogs.show({ kind: 'fill', slot: frame.slot })
}
/** An open frame takes an idea of its show. */
const takes = (frame: Frame, show: Show): Target | undefined =>
  frame.kind === 'open'
    ? {
        takes: (c) => c.kind === 'idea' && c.show === show.id,
        drop: (c) => {
          if (c.kind === 'idea' && frame.slot)
            void library.perform(placeOnSlot, { episode: c.id, day: frame.slot.original })
        },
      }
    : undefined
const firstTab = computed(() => lanes.value[0]?.frames.find((f) => f.kind !== 'exposed')?.key)
const says = (f: Frame, show: Show) => (f.at > moment.now ? sayUntil(moment.now, f.at, show.zone) : '')
</script>

<template>
  <section
    class="film bg-base text-ink border-b border-faint relative"
    aria-label="The strip: releases on film"
  >
    <div
      ref="film"
      class="reel max-sm:hidden"
      :class="{ slim, single: lanes.length === 1 }"
      @scroll.passive="left = film?.scrollLeft ?? 0"
      @wheel="wheel"
      @pointerdown="grab"
      @keydown="keyed"
      @dragstart.prevent
    >
      <div class="relative h-full" :style="{ width: `${x(lastN + 1)}px` }">
        <div
          v-for="(lane, l) in lanes"
          :key="lane.show.id"
          class="lane"
          :class="`lane-${l}`"
          role="list"
          :aria-label="lane.show.title"
        >
          <StripFrame
            v-for="f in lane.frames"
            :key="f.key"
            v-takes="takes(f, lane.show)"
            role="listitem"
            :frame="f"
            :lane="l"
            :show="lane.show"
            :left="x(f.from)"
            :width="(f.to - f.from + 1) * DAY - 2"
            :next="f.key === nextKey"
            :slim="slim"
            :tab="f.key === firstTab"
            :when="says(f, lane.show)"
            @choose="choose(f)"
          />
        </div>
        <div class="days" aria-hidden="true">
          <span
            v-for="d in days"
            :key="d.n"
            class="day"
            :class="{ today: d.n === todayN, off: d.room === 0, over: d.over, past: d.past, month: d.month }"
            :style="{ left: `${x(d.n)}px`, '--fill': `${d.past ? 0 : d.fill * 100}%` }"
            :title="d.title"
            >{{ d.month || d.date }}</span
          >
        </div>
        <div class="now" :style="{ left: `${x(todayN) + DAY / 2}px` }" aria-hidden="true" />
      </div>
    </div>
    <StripUpright v-if="narrow" @choose="choose" />
    <button
      v-if="turns > 1"
      class="btn btn-small absolute right-4 top-2 bg-raised border-ring max-sm:hidden"
      @click="turn++"
    >
      {{ lanes[0]?.show.title }} and on, {{ (turn % turns) + 1 }} of {{ turns }}
    </button>
    <button
      v-if="away"
      class="btn btn-small absolute right-4 bottom-2 bg-raised border-ring max-sm:hidden"
      @click="toNow()"
    >
      Now <KeySign :line="shellKeys.lines.now" />
    </button>
  </section>
</template>

<style scoped>
.reel {
  position: relative;
  height: 96px;
  overflow-x: scroll;
  overflow-y: hidden;
  scrollbar-width: none;
}
.reel::-webkit-scrollbar {
  display: none;
}
.lane {
  position: absolute;
  height: 35px;
}
.lane-0 {
  top: 3px;
}
.lane-1 {
  top: 58px;
}
.days {
  position: absolute;
  top: 41px;
}
.reel.single {
  height: 60px;
}
.slim .lane {
  height: 22px;
}
.slim .lane-1 {
  top: 27px;
}
.slim .days {
  top: 52px;
}
.slim .lane-2 {
  top: 70px;
}
.day {
  position: absolute;
  width: 21px;
  margin-left: 2.5px;
  height: 14px;
  border-radius: 3px;
  overflow: hidden;
  text-align: center;
  font: 500 11px/14px var(--font-mono);
  color: var(--ink-2);
  background: linear-gradient(to top, oklch(0.45 0.03 70) var(--fill), oklch(0.27 0.018 70) 0);
}
.day.past {
  color: var(--ink-3);
  background: oklch(0.22 0.014 70);
}
.day.off {
  background: transparent;
  box-shadow: inset 0 0 0 1px oklch(0.3 0.018 70);
  color: var(--ink-3);
}
.day.month {
  color: var(--ink);
  font-weight: 700;
}
.day.over {
  box-shadow: inset 0 0 0 1.5px var(--rose);
  color: var(--ink);
}
.day.today {
  background: var(--lamp);
  color: var(--on-lamp);
  font-weight: 700;
}
.now {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 1.5px;
  margin-left: -0.75px;
  background: var(--lamp);
  opacity: 0.55;
  pointer-events: none;
}
</style>
