<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { FolderDown } from '@lucide/vue'
import { supportLaunch } from '@core/commands/schedule'
import { copyEpisode } from '@core/commands/episode'
import { changeRecipe } from '@core/commands/recipes'
import type { Nature } from '@core/records'
import { draftId } from '@core/partners/people'
import { outOfWindow } from '@core/ideas/usable'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { download } from '@app/ui/download'
import FormChoice from './parts/FormChoice.vue'
import ReadFields from './parts/ReadFields.vue'
import Drop from '@app/ui/Drop.vue'
import Flag from '@app/ui/Flag.vue'
import { useWriting } from './writing'
import TextField from '@app/ui/fields/TextField.vue'
import OptionalNumberField from '@app/ui/fields/OptionalNumberField.vue'
import DateField from '@app/ui/fields/DateField.vue'
import { typedIn } from '@app/ui/fields/event'

/**
 * The terms on which an episode is made: by which recipe, how early, evergreen or topical, for whom; its
 * folders; copies of it.
 */
const { card } = defineProps<{ card: Card }>()
const library = useLibrary()
const router = useRouter()
const write = useWriting(() => card)
const recipes = computed(() =>
  [card.show.recipe, ...(card.show.recipes ?? [])].flatMap((id) => library.tables.recipes.get(id) ?? []),
)
const launches = computed(() => [...library.tables.launches.values()])
const stale = computed(() =>
  card.standing.release ? outOfWindow(card.episode.nature, card.standing.release.day) : undefined,
)
function made(event: Event) {
  void library.perform(changeRecipe, { episode: card.episode.id, recipe: typedIn(event) })
}
function nature(event: Event) {
  const next: Nature = typedIn(event) === 'topical' ? { kind: 'topical' } : { kind: 'evergreen' }
  void write({ nature: next }, 'whether it is topical')
}
function within(part: 'notBefore' | 'staleAfter', day: string) {
  const now = card.episode.nature
  if (now.kind !== 'topical') return
  const next = { ...now, [part]: day || undefined }
  void write(
    {
      nature: {
        kind: 'topical',
        ...(next.notBefore ? { notBefore: next.notBefore } : {}),
        ...(next.staleAfter ? { staleAfter: next.staleAfter } : {}),
      },
    },
    'when it is worth releasing',
  )
}
function early(days: number | undefined) {
  void write({ early: days }, 'how early it can be made')
}
async function copy(texts: boolean, close: () => void) {
  const done = await library.perform(copyEpisode, { episode: card.episode.id, texts })
  const code = done.ok
    ? done.value.changes.flatMap((c) => (c.table === 'episodes' && c.after ? [c.after.code] : []))[0]
    : undefined
  close()
  if (code) void router.push({ name: 'episode', params: { code } })
}
async function folders() {
  const { foldersOf } = await import('./folders')
  const { folderZip } = await import('@core/formats/folder')
  const zip = folderZip(foldersOf(card))
  download(zip.name, zip.bytes, 'application/zip')
}
</script>

<template>
  <Drop v-slot="{ close }" label="Kind and dates" right small :on="stale !== undefined">
    <div class="grid gap-3">
      <FormChoice :episode="card.episode" />
      <label v-if="recipes.length > 1"
        ><span class="label">Made by the recipe</span
        ><select class="field" :value="card.recipe.id" @change="made">
          <option v-for="r in recipes" :key="r.id" :value="r.id">{{ r.name }}</option>
        </select></label
      >
      <label
        ><span class="label">Nature</span
        ><select class="field" :value="card.episode.nature.kind" @change="nature">
          <option value="evergreen">evergreen</option>
          <option value="topical">topical</option>
        </select></label
      >
      <div v-if="card.episode.nature.kind === 'topical'" class="grid grid-cols-2 gap-2">
        <DateField
          :model-value="card.episode.nature.notBefore ?? ''"
          label="Not before"
          @update:model-value="within('notBefore', $event)"
        />
        <DateField
          :model-value="card.episode.nature.staleAfter ?? ''"
          label="Stale after"
          @update:model-value="within('staleAfter', $event)"
        />
      </div>
      <p v-if="stale" class="text-12">
        <Flag /><span class="late">On its slot it is {{ stale }}.</span>
      </p>
      <OptionalNumberField
        :model-value="card.episode.early"
        field="field num w-[110px]"
        label="No work earlier than, days before release"
        :min="0"
        :max="365"
        placeholder="any time"
        @update:model-value="early"
      />
      <TextField
        :model-value="card.episode.sponsor ?? ''"
        lazy
        label="Sponsor with a read in it"
        placeholder="none"
        @update:model-value="write({ sponsor: $event.trim() || undefined }, 'the sponsor')"
      />
      <template v-if="card.episode.sponsor !== undefined"
        ><RouterLink
          class="text-12 underline decoration-dotted underline-offset-2"
          :to="{ name: 'partners', params: { who: draftId(card.episode.sponsor) } }"
          >{{ card.deal ? 'What was agreed with them' : 'Write down what was agreed with them' }}</RouterLink
        ><ReadFields :card="card"
      /></template>
      <div v-if="card.show.kind === 'audio'" class="grid grid-cols-2 gap-2 items-end">
        <OptionalNumberField
          :model-value="card.episode.season"
          label="Season"
          :min="1"
          :max="9999"
          placeholder="none"
          @update:model-value="write({ season: $event }, 'the season')"
        />
        <label class="flex items-center gap-2 h-9"
          ><input
            type="checkbox"
            class="tick"
            :checked="card.episode.explicit ?? false"
            @change="
              write({ explicit: card.episode.explicit ? undefined : true }, 'whether it has strong words')
            "
          />Strong words</label
        >
      </div>
      <fieldset v-if="launches.length > 0" class="grid gap-1.5">
        <legend class="label">Supports the launch</legend>
        <label v-for="l in launches" :key="l.id" class="flex items-center gap-2"
          ><input
            type="checkbox"
            class="tick"
            :checked="l.episodes.includes(card.episode.id)"
            @change="
              library.perform(supportLaunch, {
                launch: l.id,
                episode: card.episode.id,
                supports: !l.episodes.includes(card.episode.id),
              })
            "
          />{{ l.name }}</label
        >
      </fieldset>
      <label
        v-if="card.episode.phase.kind === 'work' && card.episode.place.kind === 'nothing'"
        class="flex items-center gap-2"
        ><input
          type="checkbox"
          class="tick"
          :checked="card.episode.spare"
          @change="write({ spare: !card.episode.spare }, 'whether it is a spare')"
        />Keep it as a spare</label
      >
      <button class="btn btn-small justify-self-start" @click="folders">
        <FolderDown :size="14" aria-hidden="true" /> Save its folders
      </button>
      <div class="border-t border-faint pt-3 grid gap-2">
        <p class="label mb-0">Copy it as a pattern for another</p>
        <p class="flex gap-2">
          <button class="btn btn-small" @click="copy(false, close)">Steps only</button
          ><button class="btn btn-small" @click="copy(true, close)">With its texts</button>
        </p>
      </div>
    </div>
  </Drop>
</template>
