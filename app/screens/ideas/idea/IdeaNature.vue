<script setup lang="ts">
import { writeEpisode, type Typed } from '@core/commands/episode'
import { type Episode } from '@core/records'
import { useLibrary } from '@app/stores/library'
import DateField from '@app/ui/fields/DateField.vue'

/** Between which dates a topical idea may go out. */
const { episode } = defineProps<{ episode: Episode }>()
const library = useLibrary()
function write(typed: Typed, what: string) {
  void library.perform(writeEpisode, { episode: episode.id, typed, what }, 'quietly')
}
function nature(part: 'notBefore' | 'staleAfter', day: string) {
  const now = episode.nature
  const dates =
    now.kind === 'topical'
      ? { notBefore: now.notBefore, staleAfter: now.staleAfter }
      : { notBefore: undefined, staleAfter: undefined }
  const next = { ...dates, [part]: day || undefined }
  write(
    {
      nature: {
        kind: 'topical',
        ...(next.notBefore ? { notBefore: next.notBefore } : {}),
        ...(next.staleAfter ? { staleAfter: next.staleAfter } : {}),
      },
    },
    'the nature',
  )
}
</script>

<template>
  <div class="grid grid-cols-2 gap-2">
    <DateField
      :model-value="(episode.nature.kind === 'topical' && episode.nature.notBefore) || ''"
      label="Not before"
      @update:model-value="nature('notBefore', $event)"
    /><DateField
      :model-value="(episode.nature.kind === 'topical' && episode.nature.staleAfter) || ''"
      label="Stale after"
      @update:model-value="nature('staleAfter', $event)"
    /><button
      v-if="episode.nature.kind === 'topical'"
      class="btn btn-bare btn-small justify-self-start"
      @click="write({ nature: { kind: 'evergreen' } }, 'the nature')"
    >
      Evergreen after all
    </button>
  </div>
</template>
