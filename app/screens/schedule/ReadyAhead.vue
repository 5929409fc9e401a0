<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { writeEpisode } from '@core/commands/episode'
import { readyCurve, spareStanding, type PastRelease } from '@core/plan/ready'
import { sixLamps } from '@core/recipe/progress'
import type { Show, Step } from '@core/records'
import { sayAway, sayDay } from '@core/rhythm/days'
import { releaseOf } from '@core/rhythm/slots'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useSchedule } from '@app/stores/schedule'
import { useDesk } from '@app/stores/desk'
import { useLibrary } from '@app/stores/library'
import Flag from '@app/ui/Flag.vue'
import Glyph from '@app/ui/Glyph.vue'

/**
 * How a show stands against its wish of slots ready ahead: what is on them, when it would break, its
 * spares, and the last months as a small curve.
 */
const { show, plain = false } = defineProps<{ show: Show; plain?: boolean }>()
const cards = useCards()
const moment = useMoment()
const schedule = useSchedule()
const desk = useDesk()
const library = useLibrary()
const router = useRouter()
const ahead = computed(() => schedule.readyRun(show))
const spares = computed(() =>
  cards.spares
    .filter((c) => c.show.id === show.id)
    .map((card) => ({
      card,
      is: spareStanding(
        {
          ready: card.standing.ready,
          staleAfter: card.episode.nature.kind === 'topical' ? card.episode.nature.staleAfter : undefined,
        },
        moment.today,
      ),
    })),
)
/** Ready, on no slot, and not kept as a spare. */
const idle = computed(() => cards.unplaced.filter((c) => c.show.id === show.id && c.standing.ready))
function keepAsSpare(episode: string) {
  void library.perform(writeEpisode, { episode, typed: { spare: true }, what: 'that it is a spare' })
}
const kept = computed(() => spares.value.filter((s) => s.card.standing.ready && s.is.is !== 'stale').length)
const readyAt = (steps: readonly Step[]): number | undefined => {
  const done = steps
    .filter((s) => s.required && s.lead.kind !== 'after')
    .flatMap((s) => (s.doneAt === undefined ? [] : [Date.parse(s.doneAt)]))
  return done.length === 0 ? undefined : Math.max(...done)
}
const weeks = 20
/** Learnt from the steps of what was released; empty until those are read. */
const curve = computed(() => {
  const past: PastRelease[] = []
  let seen = 0
  for (const e of cards.released) {
    if (e.show !== show.id) continue
    if (++seen > 40) break
    const ready = readyAt(desk.past.get(e.id) ?? [])
    const release = ready === undefined ? undefined : releaseOf(e, show)
    if (ready !== undefined && release) past.push({ out: release.at, ready: Math.min(ready, release.at) })
  }
  if (past.length < 3) return []
  const coming: PastRelease[] = cards.coming
    .filter((c) => c.show.id === show.id)
    .map((c) => ({
      out: c.standing.release?.at ?? 0,
      ready: c.standing.ready ? (readyAt(c.steps) ?? moment.minute) : undefined,
    }))
  return readyCurve(
    [...past, ...coming],
    Array.from({ length: weeks }, (_, i) => moment.minute - (weeks - 1 - i) * 7 * 86_400_000),
  )
})
const box = { width: 120, height: 26 }
const path = computed(() => {
  const top = Math.max(show.readyAhead, 1, ...curve.value)
  return curve.value
    .map(
      (n, i) =>
        `${i === 0 ? 'M' : 'L'}${((i / (weeks - 1)) * box.width).toFixed(1)},${(box.height - 2 - (n / top) * (box.height - 5)).toFixed(1)}`,
    )
    .join(' ')
})
const wishAt = computed(
  () => box.height - 2 - (show.readyAhead / Math.max(show.readyAhead, 1, ...curve.value)) * (box.height - 5),
)
</script>

<template>
  <div
    class="flex flex-wrap items-center gap-x-5 gap-y-1.5 text-ink-2"
    role="group"
    :aria-label="`Ready ahead, ${show.title}`"
  >
    <p class="flex items-center gap-2">
      <span v-if="!plain">{{ show.title }}, ready ahead</span
      ><span v-else class="text-ink font-medium">{{ show.title }}</span
      ><Glyph
        v-for="(c, i) in ahead.next"
        :key="i"
        :size="24"
        :open="!c"
        :lamps="c ? sixLamps(c.standing) : undefined"
        :name="c?.number ?? ''"
      /><span
        ><strong class="text-ink">{{ ahead.run }}</strong> of {{ show.readyAhead }} wanted</span
      >
    </p>
    <p v-if="ahead.breaks">
      <Flag v-if="ahead.weeks < 1" :size="9" />{{
        ahead.used > 0
          ? `if you stop now, with ${ahead.used === 1 ? 'a spare' : `${ahead.used} spares`}, it`
          : 'if you stop now, it'
      }}
      would break {{ sayDay(ahead.breaks, moment.today) }}, {{ sayAway(ahead.breaks, moment.today) }}
    </p>
    <p v-if="spares.length > 0" class="flex items-center gap-2">
      Spares
      <button
        v-for="s in spares"
        :key="s.card.episode.id"
        :aria-label="`Open the spare ${s.card.title}`"
        :title="`${s.card.title}, ${s.is.is}`"
        @click="router.push({ name: 'episode', params: { code: s.card.episode.code } })"
      >
        <Glyph :size="24" :lamps="sixLamps(s.card.standing)" :name="s.card.title" /></button
      ><strong class="text-ink">{{ kept }}</strong> in date
    </p>
    <p v-for="s in spares.filter((x) => x.is.is !== 'in date')" :key="`${s.card.episode.id} stale`">
      <Flag :size="9" /><span class="late"
        >{{ s.card.title }} {{ s.is.is === 'stale' ? 'is stale' : `goes stale in ${s.is.left} d` }}</span
      >
    </p>
    <p v-for="c in idle" :key="`${c.episode.id} idle`" class="flex items-center gap-2">
      {{ c.title }} is ready and on no slot
      <button class="btn btn-small" @click="keepAsSpare(c.episode.id)">Keep it as a spare</button>
    </p>
    <p v-for="d in ahead.tooEarly" :key="d">
      <Flag :size="9" />topical and ready early: {{ sayDay(d) }} may go stale
    </p>
    <p v-if="ahead.tooMany">more than {{ show.readyMost?.evergreen }} ready: enough for now</p>
    <svg
      v-if="path"
      :viewBox="`0 0 ${box.width} ${box.height}`"
      :width="box.width"
      :height="box.height"
      role="img"
      :aria-label="`Ready ahead over the last ${weeks} weeks: from ${curve[0]} to ${curve.at(-1)}, at most ${Math.max(...curve)}`"
    >
      <line x1="0" :x2="box.width" :y1="wishAt" :y2="wishAt" stroke="var(--ring)" stroke-dasharray="2 3" />
      <path :d="path" fill="none" stroke="var(--ink)" stroke-width="1.5" />
    </svg>
  </div>
</template>
