<script setup lang="ts">
import { computed } from 'vue'
import { intendForMonth } from '@core/commands/ideas'
import { sayMonth } from '@core/ideas/usable'
import type { Episode } from '@core/records'
import { releaseOf, slotsOf } from '@core/rhythm/slots'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import { useRouter } from 'vue-router'
import { carriedIdea } from '../ideas/carried'
import ScheduleTabs from './ScheduleTabs.vue'
import { keysOn } from '@app/ui/keymap'
import KeySign from '@app/ui/KeySign.vue'
import { monthsKeys } from './keymap'
import { vCarries, vTakes, type Target } from '@app/ui/drag/carry'

/** The coming months as stretches of film: their slots, what is on them, and what is meant for each. */
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const dialogs = useDialogs()
const router = useRouter()
const months = computed(() => {
  const [y = 2026, m = 1] = moment.today.split('-').map(Number)
  return Array.from({ length: 8 }, (_, i) => {
    const n = m - 1 + i
    const month = `${y + Math.floor(n / 12)}-${String((n % 12) + 1).padStart(2, '0')}`
    const lanes = moment.shows.map((show) => {
      const placed = new Map(
        cards.placed.flatMap((c) =>
          c.show.id === show.id && c.standing.release?.day.startsWith(month)
            ? [[c.episode.place.kind === 'slot' ? c.episode.place.day : c.episode.id, c] as const]
            : [],
        ),
      )
      const slots = slotsOf(show, `${month}-01`, `${month}-31`).filter(
        (s) => !s.skipped && (s.at > moment.now || placed.has(s.original)),
      )
      const released = cards.released.filter(
        (e) => e.show === show.id && releaseOf(e, show)?.day.startsWith(month),
      )
      return { show, released, frames: slots.map((slot) => ({ slot, card: placed.get(slot.original) })) }
    })
    const meant = cards.ideas.filter((e) => e.idea.meant === month)
    const open = lanes.reduce((sum, l) => sum + l.frames.filter((f) => !f.card).length, 0)
    return { month, name: sayMonth(month, moment.today), lanes, meant, open }
  })
})
const loose = computed(() =>
  cards.ideas
    .filter(
      (e) => e.idea.meant === undefined && (e.idea.standing === 'next' || e.idea.standing === 'promising'),
    )
    .slice(0, 60),
)
const past = computed(() =>
  cards.ideas.filter((e) => e.idea.meant !== undefined && e.idea.meant < moment.today.slice(0, 7)),
)

const target = (month: string | undefined): Target => ({
  takes: (c) => c.kind === 'idea',
  drop: (c) => {
    const e = c.kind === 'idea' ? library.tables.episodes.get(c.id) : undefined
    if (e && e.idea.meant !== month) void library.perform(intendForMonth, { episodes: [e.id], month })
  },
})
const keyed = keysOn<keyof (typeof monthsKeys)['lines'], [Episode]>(monthsKeys, {
  move: ({ which }, e) => {
    const at = months.value.findIndex((m) => m.month === e.idea.meant)
    const to = months.value[at + (which === 0 ? -1 : 1)]
    void library.perform(intendForMonth, { episodes: [e.id], month: to?.month }).then(() => {
      document.querySelector<HTMLElement>(`[data-idea="${e.code}"]`)?.focus()
    })
  },
  place: (_, e) => {
    dialogs.show({ kind: 'place', episode: e.id })
  },
})
const open = (e: Episode) => {
  void router.push({ name: 'idea', params: { code: e.code } })
}
</script>

<template>
  <div class="mx-auto max-w-[1360px] px-5 py-4 max-sm:px-3">
    <header class="flex flex-wrap items-center gap-x-5 gap-y-2 mb-3">
      <h1>Schedule</h1>
      <ScheduleTabs />
    </header>
    <div class="grid grid-cols-1 gap-5 lg:grid-cols-[minmax(0,1fr)_280px] items-start">
      <ol class="grid gap-3" aria-label="The coming months">
        <li
          v-for="m in months"
          :key="m.month"
          v-takes="target(m.month)"
          class="panel p-3 data-goal:border-ink grid sm:grid-cols-[130px_minmax(0,1fr)] gap-x-4 gap-y-2"
          :aria-label="m.name"
        >
          <div>
            <h2>{{ m.name }}</h2>
            <p class="sub">{{ m.open }} open, {{ m.meant.length }} meant for it</p>
            <p v-if="m.meant.length > m.open" class="sub text-ink">more than it has room for</p>
          </div>
          <div class="min-w-0 grid gap-2">
            <div
              class="film film-edge rounded-control px-2 pt-3 pb-2 grid gap-1.5"
              :aria-label="`Film of ${m.name}`"
            >
              <div v-for="l in m.lanes" :key="l.show.id" class="flex flex-wrap gap-1.5 min-h-[26px]">
                <button
                  v-for="f in l.frames"
                  :key="f.slot.key"
                  class="frame"
                  :class="[l.show.kind, f.card ? 'filled' : 'open']"
                  :title="f.card ? f.card.title : 'open'"
                  @click="
                    f.card
                      ? router.push({ name: 'episode', params: { code: f.card.episode.code } })
                      : dialogs.show({ kind: 'fill', slot: f.slot })
                  "
                >
                  <span class="num text-11">{{ Number(f.slot.day.slice(8)) }}</span>
                  <span class="truncate">{{ f.card?.title ?? 'open' }}</span>
                </button>
                <span
                  v-if="l.frames.length === 0 && l.released.length === 0"
                  class="text-11 text-ink-2 self-center"
                  >{{ l.show.title }}: no slot</span
                >
                <span v-if="l.released.length > 0" class="text-11 text-ink-2 self-center"
                  >{{ l.released.length }} out already</span
                >
              </div>
            </div>
            <ul class="flex flex-wrap gap-1.5" :aria-label="`Meant for ${m.name}`">
              <li v-for="e in m.meant" :key="e.id">
                <button
                  v-carries="carriedIdea(e)"
                  class="note"
                  :data-idea="e.code"
                  :aria-label="`${e.title}, meant for ${m.name}. Arrow up or down moves it to another month`"
                  @keydown="keyed($event, e)"
                  @click="open(e)"
                >
                  {{ e.title }}
                </button>
              </li>
            </ul>
          </div>
        </li>
      </ol>
      <aside
        v-takes="target(undefined)"
        class="panel p-4 grid gap-2 sticky top-4 max-h-[calc(100vh-190px)] overflow-y-auto"
        aria-label="Not meant for a month"
      >
        <template v-if="past.length > 0"
          ><h2>Its month has passed</h2>
          <ul class="grid gap-1.5 mb-2">
            <li v-for="e in past" :key="e.id">
              <button
                v-carries="carriedIdea(e)"
                class="note w-full"
                @keydown="keyed($event, e)"
                @click="open(e)"
              >
                {{ e.title }} <span class="sub">{{ sayMonth(e.idea.meant ?? '', moment.today) }}</span>
              </button>
            </li>
          </ul></template
        >
        <h2>Some time</h2>
        <p class="sub">
          Next and promising ideas without a month. Drag one onto a month, or press
          <KeySign :line="monthsKeys.lines.move" :which="1" /> on it;
          <KeySign :line="monthsKeys.lines.place" /> puts it on a slot.
        </p>
        <ul class="grid gap-1.5">
          <li v-for="e in loose" :key="e.id">
            <button
              v-carries="carriedIdea(e)"
              class="note w-full"
              :data-idea="e.code"
              @keydown="keyed($event, e)"
              @click="open(e)"
            >
              {{ e.title }}
            </button>
          </li>
        </ul>
        <p v-if="loose.length === 0" class="sub">
          None. Sort ideas as next or promising, and they stand here.
        </p>
      </aside>
    </div>
  </div>
</template>

<style scoped>
.note {
  padding: 3px 9px;
  text-align: left;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--panel);
  font-size: 12.5px;
  cursor: grab;
}
.note:hover {
  background: var(--raised);
}
.frame {
  display: inline-flex;
  gap: 6px;
  align-items: baseline;
  max-width: 200px;
  padding: 2px 8px;
  border: 1px solid oklch(0.4 0.02 300);
  border-left-width: 3px;
  border-left-color: oklch(0.78 0.015 85);
  border-radius: 4px;
  background: oklch(0.235 0.016 300);
  color: var(--ink);
  font-size: 12px;
}
.frame.audio {
  border-left-style: double;
  border-left-width: 4px;
}
.frame.open {
  border-style: dashed;
  background: transparent;
  color: var(--ink-2);
}
</style>
