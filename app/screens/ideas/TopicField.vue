<script setup lang="ts">
import { computed, ref, useId } from 'vue'
import { writeEpisode } from '@core/commands/episode'
import type { Episode } from '@core/records'
import { useLibrary } from '@app/stores/library'

/** The topics of an episode as chips, with a field that offers the show's own. */
const { episode } = defineProps<{ episode: Episode }>()
const library = useLibrary()
const list = useId()
const fresh = ref('')
const known = computed(() => {
  const show = library.records.shows.get(episode.show)
  return (show?.topics ?? []).map((t) => t.name).filter((t) => !episode.topics.includes(t))
})
function write(topics: string[]) {
  void library.perform(
    writeEpisode,
    { episode: episode.id, typed: { topics }, what: 'the topics' },
    'quietly',
  )
}
function add() {
  const topic = fresh.value.trim()
  if (topic !== '' && !episode.topics.includes(topic))
    write([...episode.topics, known.value.find((k) => k.toLowerCase() === topic.toLowerCase()) ?? topic])
  fresh.value = ''
}
</script>

<template>
  <div>
    <p class="label">Topics</p>
    <div class="flex flex-wrap gap-1.5 items-center">
      <span
        v-for="t in episode.topics"
        :key="t"
        class="border border-line rounded-control px-2 py-0.5 text-12"
        >{{ t
        }}<button
          class="ml-1.5 text-ink-2"
          :aria-label="`Take the topic ${t} away`"
          @click="write(episode.topics.filter((x) => x !== t))"
        >
          ×
        </button></span
      >
      <input
        v-model="fresh"
        class="quiet-field mx-0 w-[110px] text-12 border-line"
        :list="list"
        placeholder="Add a topic"
        aria-label="Add a topic"
        @keydown.enter.prevent="add"
        @change="add"
      />
      <datalist :id="list"><option v-for="k in known" :key="k" :value="k" /></datalist>
    </div>
  </div>
</template>
