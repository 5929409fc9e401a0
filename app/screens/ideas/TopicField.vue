<script setup lang="ts">
import { computed } from 'vue'
import { writeEpisode } from '@core/commands/episode'
import type { Episode } from '@core/records'
import { useLibrary } from '@app/stores/library'
import ChipsField from '@app/ui/fields/ChipsField.vue'

/** The topics of an episode as chips, with a field that offers the show's own. */
const { episode } = defineProps<{ episode: Episode }>()
const library = useLibrary()
const known = computed(() => {
  const show = library.tables.shows.get(episode.show)
  return (show?.topics ?? []).map((t) => t.name).filter((t) => !episode.topics.includes(t))
})
function write(topics: string[]) {
  void library.perform(
    writeEpisode,
    { episode: episode.id, typed: { topics }, what: 'the topics' },
    'quietly',
  )
}
function add(topic: string) {
  if (!episode.topics.includes(topic))
    write([...episode.topics, known.value.find((k) => k.toLowerCase() === topic.toLowerCase()) ?? topic])
}
</script>

<template>
  <ChipsField
    label="Topics"
    add="Add a topic"
    away="Take the topic"
    :chips="episode.topics.map((t) => ({ key: t, text: t }))"
    :known="known"
    @add="add"
    @remove="(t) => write(episode.topics.filter((x) => x !== t))"
  />
</template>
