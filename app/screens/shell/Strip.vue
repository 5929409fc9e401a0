<script setup lang="ts">
import { computed, defineAsyncComponent, nextTick, onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { placeOnSlot, skipSlot } from '@core/commands/schedule'
import type { Show } from '@core/records'
import type { Frame } from '@core/rhythm/film'
import { sayUntil } from '@core/rhythm/zone'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useDesk } from '@app/stores/desk'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import { DAY, useFilm } from './film'
import StripFrame from './StripFrame.vue'
import { useStripKeys } from './strip-keys'
import KeySign from '@app/ui/KeySign.vue'
import { shellKeys } from './keymap'
import { useElementSize, useMediaQuery } from '@vueuse/core'
import { vTakes, type Target } from '@app/ui/drag/carry'
import { followPress } from '@app/ui/drag/press'

/** The strip: the releases to come (and past) on film that is true to time. */
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
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

const { first, todayN, lastN, x, days, lanes, turn, turns } = useFilm(left, width)
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
const keyed = useStripKeys(film, toNow)
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

<style scoped src="./strip.css"></style>
