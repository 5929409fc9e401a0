<script setup lang="ts">
import { computed } from 'vue'
import type { RecipeFields } from '@core/commands/recipes/written'
import { folderName, folderPattern, folderTree } from '@core/formats/folder'
import type { Recipe, Show } from '@core/records'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import TextField from '@app/ui/fields/TextField.vue'
import { typedIn } from '@app/ui/fields/event'

/** The folders of an episode on disk, and how the outer one is named. */
const { recipe, show } = defineProps<{ recipe: Recipe; show: Show }>()
const emit = defineEmits<{ write: [RecipeFields] }>()
const cards = useCards()
const moment = useMoment()
const sample = computed(() => {
  const c = cards.coming.find((x) => x.show.id === show.id)
  return {
    number: c?.number ?? `${show.prefix}1`,
    title: c?.title ?? 'The title',
    code: c?.episode.code ?? 'AB12',
    date: c?.standing.release?.day ?? moment.today,
    show: show.title,
  }
})
const tree = computed(() => folderTree(recipe.folders))
const words = ['number', 'title', 'code', 'date', 'show'].map((w) => `{${w}}`).join(', ')
function folders(event: Event) {
  emit('write', {
    folders: typedIn(event)
      .split('\n')
      .map((l) => l.trim())
      .filter(Boolean),
  })
}
</script>

<template>
  <section class="panel p-4 grid gap-3" aria-labelledby="folders">
    <h2 id="folders">Folders</h2>
    <div class="grid gap-3 sm:grid-cols-2">
      <div class="grid gap-3 content-start">
        <TextField
          :model-value="recipe.folderName ?? folderPattern"
          lazy
          class="font-mono text-12"
          label="Name of the folder round it"
          @update:model-value="emit('write', { folderName: $event.trim() || undefined })"
        /><label
          ><span class="label">One a line; a slash puts one within another</span
          ><textarea
            class="field font-mono text-12 min-h-[90px]"
            :value="recipe.folders.join('\n')"
            @change="folders"
          />
        </label>
      </div>
      <div class="font-mono text-12 leading-5" role="img" :aria-label="`Folders: ${tree.join(', ')}`">
        <p>{{ folderName(recipe.folderName, sample) }}</p>
        <p
          v-for="f in tree"
          :key="f"
          class="text-ink-2"
          :style="{ paddingLeft: `${f.split('/').length * 16}px` }"
        >
          {{ f.split('/').at(-1) }}
        </p>
      </div>
    </div>
    <p class="sub">
      The name may hold {{ words }}. An episode’s folders are saved from its “Kind and dates”, or offered on
      Today by a follow-on.
    </p>
  </section>
</template>
