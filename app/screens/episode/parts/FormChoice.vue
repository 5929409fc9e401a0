<script setup lang="ts">
import { computed } from 'vue'
import { chooseForm } from '@core/commands/episode'
import type { Episode } from '@core/records'
import { useForms } from '@app/stores/forms'
import { useLibrary } from '@app/stores/library'
import { typedIn } from '@app/ui/fields/event'

/** Which of its show's kinds of episode it is; not there where the show has none. */
const { episode } = defineProps<{ episode: Episode }>()
const library = useLibrary()
const forms = useForms()
const own = computed(() => library.tables.shows.get(episode.show)?.forms ?? [])
</script>

<template>
  <label v-if="own.length > 0"
    ><span class="label">Kind of episode</span
    ><select
      class="field"
      :value="forms.of(episode) ?? ''"
      @change="library.perform(chooseForm, { episodes: [episode.id], form: typedIn($event) || undefined })"
    >
      <option value="">not said</option>
      <option v-for="f in own" :key="f.id" :value="f.name">{{ f.name }}</option>
    </select></label
  >
</template>
