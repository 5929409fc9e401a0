<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { Play } from '@lucide/vue'
import { makeSpinOff } from '@core/commands/spin-offs'
import { dropExcerpt, takeExcerpt } from '@core/commands/transcripts'
import { proposeExcerpts, type Passage } from '@core/edit/excerpts'
import type { Excerpt } from '@core/records'
import { readTime, sayTime } from '@core/script/timecode'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import CopyButton from '../release/CopyButton.vue'
import type { Player } from './usePlayer'

/** Passages that could go out by themselves: proposed from what is heard, played from there, taken with in and out. */
const { card, player } = defineProps<{ card: Card; player: Player }>()
const library = useLibrary()
const captions = computed(() => library.tables.transcripts.get(card.episode.id)?.captions ?? [])
const taken = computed(() => card.episode.excerpts ?? [])
const isOpen = ref(false)
const proposals = computed(() =>
  // Sought only where somebody looks.
  isOpen.value
    ? proposeExcerpts(captions.value, card.episode.brief, card.title).filter((p) =>
        taken.value.every((t) => p.to <= t.from || p.from >= t.to),
      )
    : [],
)
const until = ref<number>()
function play({ from, to }: { from: number; to: number }) {
  player.seek(from)
  if (!player.playing.value) player.toggle()
  until.value = to
}
watch(player.now, (now) => {
  if (until.value === undefined || now < until.value) return
  until.value = undefined
  player.stop()
})
const keep = (excerpt: Excerpt) =>
  library.perform(takeExcerpt, { episode: card.episode.id, excerpt }, 'quietly')
const take = ({ from, to, text }: Passage) => keep({ id: library.newId(), from, to, text })
function move(excerpt: Excerpt, end: 'from' | 'to', event: Event) {
  const field = event.target
  if (!(field instanceof HTMLInputElement)) return
  const read = readTime(field.value)
  if (read.ok) void keep({ ...excerpt, [end]: read.value })
  else library.say(read.problem.sentence, 'refused')
  field.value = sayTime(read.ok ? read.value : excerpt[end])
}
/** The codes of what was made of a taken passage. */
const madeOf = (excerpt: string) =>
  (card.episode.spinOffs ?? [])
    .filter((s) => s.excerpt === excerpt)
    .map((s) => s.code)
    .join(', ')
const why = (p: Passage) =>
  [p.point ? `makes “${p.point}”` : '', p.words.length > 0 ? `carried by ${p.words.join(', ')}` : '']
    .filter(Boolean)
    .join('; ')
const span = ({ from, to }: { from: number; to: number }) =>
  `${sayTime(Math.floor(from))} to ${sayTime(Math.round(to))}, ${Math.round(to - from)} s`
</script>

<template>
  <details v-if="captions.length > 0" class="px-5 pb-4 max-sm:px-3" @toggle="isOpen = !isOpen">
    <summary class="cursor-pointer font-title font-semibold text-16">
      Excerpts
      <span class="sub font-sans font-normal ml-1">{{
        taken.length === 0 ? 'passages that could go out by themselves' : `${taken.length} taken`
      }}</span>
    </summary>
    <ul
      v-if="taken.length > 0"
      class="panel divide-y divide-faint max-w-[860px] mt-3"
      aria-label="Taken excerpts"
    >
      <li v-for="(e, i) in taken" :key="e.id" class="flex flex-wrap items-start gap-3 px-4 py-2">
        <button class="btn btn-small px-2" :aria-label="`Play excerpt ${i + 1}`" @click="play(e)">
          <Play :size="13" />
        </button>
        <label class="sub"
          >in
          <input
            class="quiet-field num w-[56px]"
            :value="sayTime(e.from)"
            @change="move(e, 'from', $event)" /></label
        ><label class="sub"
          >out <input class="quiet-field num w-[56px]" :value="sayTime(e.to)" @change="move(e, 'to', $event)"
        /></label>
        <p class="flex-1 min-w-[240px] line-clamp-2">{{ e.text }}</p>
        <span v-if="madeOf(e.id)" class="sub">made: {{ madeOf(e.id) }}</span
        ><button
          v-else
          class="btn btn-small"
          @click="library.perform(makeSpinOff, { episode: card.episode.id, kind: 'excerpt', excerpt: e.id })"
        >
          Make it one that goes out
        </button>
        <CopyButton :text="`${sayTime(e.from)} to ${sayTime(e.to)}\n${e.text}`" /><button
          class="btn btn-bare btn-small"
          @click="library.perform(dropExcerpt, { episode: card.episode.id, excerpt: e.id })"
        >
          Let it go
        </button>
      </li>
    </ul>
    <p v-if="isOpen && proposals.length === 0" class="sub mt-3">
      {{ taken.length > 0 ? 'No other passage' : 'No passage' }} of 30 to 60 seconds stands alone.
    </p>
    <ol v-else class="panel divide-y divide-faint max-w-[860px] mt-3" aria-label="Proposed excerpts">
      <li v-for="p in proposals" :key="p.from" class="flex items-start gap-3 px-4 py-2">
        <button class="btn btn-small px-2" :aria-label="`Play from ${sayTime(p.from)}`" @click="play(p)">
          <Play :size="13" />
        </button>
        <div class="flex-1 min-w-0">
          <p>
            <span class="num text-12">{{ span(p) }}</span> <span class="sub ml-1">{{ why(p) }}</span>
          </p>
          <p class="line-clamp-2">{{ p.text }}</p>
        </div>
        <button class="btn btn-small" @click="take(p)">Take it</button>
      </li>
    </ol>
  </details>
</template>
