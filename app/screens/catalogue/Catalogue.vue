<script setup lang="ts">
import { computed, defineAsyncComponent, ref, useTemplateRef } from 'vue'
import { useRoute } from 'vue-router'
import { useMoment } from '@app/stores/moment'
import { typedIn } from '@app/ui/fields/event'
import ChoiceRow from '@app/ui/ChoiceRow.vue'
import { useKeymap } from '@app/ui/keymap'
import { catalogueKeys } from './keymap'
import CatalogueFilm from './parts/CatalogueFilm.vue'
import CatalogueList from './parts/CatalogueList.vue'
import EpisodeKnown from './parts/EpisodeKnown.vue'
import LinksBeside from './parts/LinksBeside.vue'
import { useCatalogue } from './useCatalogue'

/** Everything that is out, on film and as a list: asked by words, linked, looked at against the usual. */
const TakePast = defineAsyncComponent(() => import('./parts/TakePast.vue'))
const of = useCatalogue()
const isTaking = ref(useRoute().query['take'] !== undefined)
const { rows, all, only, filter, question, counts, here } = of
const moment = useMoment()
const field = useTemplateRef<HTMLInputElement>('field')
const chips = computed(() =>
  (
    [
      ['unlinked', `${counts.value.unlinked} without a link`],
      ['again', `${counts.value.again} to say again`],
      ['paste', `${counts.value.paste} links to paste`],
    ] as const
  ).filter(([key]) => counts.value[key] > 0 || filter.value === key),
)
/** The film goes from left to right in time, the list from the latest down. */
const inTime = computed(() => [...rows.value].reverse())
useKeymap(catalogueKeys, {
  go: ({ which }) => of.turn(of.sorted.value, which === 0 ? -1 : 1),
  along: ({ which }) => of.turn(inTime.value, which === 0 ? -1 : 1),
  open: of.open,
  link: of.link,
  follow: of.followUp,
  ask: () => {
    field.value?.focus()
  },
})
</script>

<template>
  <div class="mx-auto max-w-[1560px] px-5 py-4 grid grid-cols-1 gap-3 max-sm:px-3">
    <header class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <h1>Catalogue</h1>
      <input
        ref="field"
        v-model="question.asked.value"
        type="search"
        class="field w-[300px] max-sm:w-full"
        placeholder="Ask it: titles, scripts, tags"
        aria-label="Ask the catalogue"
      />
      <ChoiceRow
        v-if="moment.shows.length > 1"
        v-model="only"
        label="Which show"
        :of="[['', 'Every show'], ...moment.shows.map((s) => [s.id, s.title] as const)]"
        class="max-md:hidden"
      />
      <select
        v-if="moment.shows.length > 1"
        class="field w-auto md:hidden"
        aria-label="Which show"
        :value="only"
        @change="only = typedIn($event)"
      >
        <option value="">Every show</option>
        <option v-for="s in moment.shows" :key="s.id" :value="s.id">{{ s.title }}</option>
      </select>
      <p class="flex-1" />
      <button
        v-for="[key, says] in chips"
        :key="key"
        class="btn btn-small rounded-full"
        :aria-pressed="filter === key"
        @click="filter = filter === key ? 'all' : key"
      >
        {{ says }}
      </button>
      <button v-if="all.length > 0" class="btn btn-small" @click="isTaking = true">Take in more</button>
    </header>
    <section v-if="all.length === 0" class="panel p-8 text-center">
      <h2 class="text-20 mb-1">Nothing has gone out yet</h2>
      <p class="sub mb-4">
        After the release moment Today asks “is it out?”. What is out is kept here for good.
      </p>
      <p class="flex justify-center gap-3">
        <RouterLink to="/today" class="btn">To Today</RouterLink
        ><button class="btn btn-main" @click="isTaking = true">Take in what is out already</button>
      </p>
    </section>
    <template v-else>
      <CatalogueFilm :of="of" class="max-sm:hidden" />
      <div class="grid grid-cols-1 gap-x-6 gap-y-5 lg:grid-cols-[minmax(0,14fr)_minmax(0,8fr)_minmax(0,8fr)]">
        <CatalogueList :of="of" />
        <template v-if="here">
          <EpisodeKnown :of="of" :row="here" class="max-sm:hidden" />
          <LinksBeside :of="of" :row="here" class="max-sm:hidden" />
        </template>
      </div>
    </template>
    <TakePast v-if="isTaking" @close="isTaking = false" />
  </div>
</template>
