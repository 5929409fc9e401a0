<script setup lang="ts">
import { computed } from 'vue'
import { editMany } from '@core/commands/ideas'
import type { Episode } from '@core/records'
import { useIdeas } from '@app/stores/ideas'
import { useLibrary } from '@app/stores/library'
import { usePictures } from '@app/stores/pictures'
import { vCarries, vTakes, type Target } from '@app/ui/drag/carry'
import { carriedIdea } from './carried'

/**
 * The view as a loose wall: notes pinned by topic, with their pictures; dragging a note to another topic
 * changes it.
 */
const { current = '' } = defineProps<{ current?: string | undefined }>()
const emit = defineEmits<{ here: [string]; open: [Episode]; pick: [Episode, boolean] }>()
const library = useLibrary()
const ideas = useIdeas()
const pictures = usePictures()
/** Notes in sight at once; a wall of thousands is no wall. */
const most = 40
const groups = computed(() => {
  const by = new Map<string, Episode[]>()
  for (const e of ideas.shown.episodes) {
    const topic = e.topics[0] ?? ''
    const row = by.get(topic)
    if (row) row.push(e)
    else by.set(topic, [e])
  }
  return [...by]
    .map(([topic, notes]) => ({ topic, notes }))
    .sort((a, b) => (a.topic === '' ? 1 : b.topic === '' ? -1 : b.notes.length - a.notes.length))
})
/** A small turn, always the same for one note. */
const turn = (e: Episode) => ((e.code.charCodeAt(0) + e.code.charCodeAt(2)) % 5) * 0.4 - 0.8
const target = (topic: string): Target => ({
  takes: (c) => c.kind === 'idea',
  drop: (c) => {
    const e = c.kind === 'idea' ? library.tables.episodes.get(c.id) : undefined
    if (e && e.topics[0] !== topic)
      void library.perform(editMany, {
        episodes: [e.id],
        edits: { topics: topic === '' ? [] : [topic], without: e.topics.filter((t) => t !== topic) },
      })
  },
})
</script>

<template>
  <div class="grid gap-6" aria-label="Wall of notes">
    <section v-for="g in groups" :key="g.topic" v-takes="target(g.topic)">
      <h2 class="mb-2">
        {{ g.topic || 'No topic yet' }} <span class="num font-normal">{{ g.notes.length }}</span>
      </h2>
      <ul class="columns-[196px] gap-3">
        <li v-for="e in g.notes.slice(0, most)" :key="e.id" class="break-inside-avoid pb-3">
          <button
            v-carries="carriedIdea(e)"
            class="note"
            :class="{
              here: e.id === current,
              picked: ideas.chosen.has(e.id),
              pictured: e.idea.images.length > 0,
            }"
            :style="{ rotate: `${turn(e)}deg` }"
            @click="$event.ctrlKey || $event.metaKey ? emit('pick', e, false) : emit('here', e.id)"
            @dblclick="emit('open', e)"
            @keydown.enter="emit('open', e)"
          >
            <img
              v-if="e.idea.images[0] && pictures.url(e.idea.images[0].id)"
              :src="pictures.url(e.idea.images[0].id)"
              alt=""
              class="w-full h-[92px] object-cover rounded-t-[3px]"
            />
            <span class="block p-2.5"
              ><span class="block font-semibold leading-[18px]">{{ e.title }}</span
              ><span v-if="e.note || e.idea.premise" class="block text-12 text-ink-2 mt-1 line-clamp-3">{{
                e.note || e.idea.premise
              }}</span
              ><span v-if="e.idea.rating" class="block text-12 mt-1" :aria-label="`${e.idea.rating} of 5`">{{
                '★'.repeat(e.idea.rating)
              }}</span></span
            >
          </button>
        </li>
        <li v-if="g.notes.length > most" class="sub self-center">
          and {{ g.notes.length - most }} more in the list
        </li>
      </ul>
    </section>
    <p v-if="groups.length === 0" class="sub">Nothing fits this view.</p>
  </div>
</template>

<style scoped>
.note {
  display: block;
  width: 100%;
  text-align: left;
  background: var(--panel);
  border: 1px solid var(--line);
  border-radius: 4px;
  cursor: grab;
}
.note:hover {
  background: var(--raised);
}
.note.here {
  border-color: var(--ink-2);
}
.note.picked {
  outline: 2px solid var(--ink);
}
</style>
