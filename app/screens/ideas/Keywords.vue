<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import { addKeyword } from '@core/commands/keywords'
import { coverOf, type Cover } from '@core/ideas/opportunity'
import { useMoment } from '@app/stores/moment'
import { useLibrary } from '@app/stores/library'
import IdeasHead from './IdeasHead.vue'
import ImportKeywords from './ImportKeywords.vue'
import KeywordRow from './KeywordRow.vue'
import KeywordPlot from './KeywordPlot.vue'
import SortHeading from '@app/ui/table/SortHeading.vue'
import { useSortable } from '@app/ui/table/sortable'

/** What people search for, per show: figures, opportunity, and what is made and planned on each. */
const library = useLibrary()
const moment = useMoment()
const showId = ref(moment.shows[0]?.id ?? '')
const show = computed(() => library.tables.shows.get(showId.value))
const fresh = ref('')
const asked = ref('')
const importing = ref(false)
const here = ref<string>()
const table = ref<HTMLElement>()
const all = computed(() =>
  coverOf(
    new Map([...library.tables.keywords].filter(([, k]) => k.show === showId.value)),
    library.tables.episodes.values(),
    moment.today,
  ),
)
const found = computed(() =>
  all.value.filter((c) => c.keyword.words.toLowerCase().includes(asked.value.toLowerCase())),
)
const { headings, rows } = useSortable<Cover>(
  found,
  [
    { id: 'words', label: 'Keyword', of: (c) => c.keyword.words },
    { id: 'searches', label: 'Searches a month', of: (c) => c.keyword.searches, down: true },
    { id: 'competing', label: 'Results', of: (c) => c.keyword.competing, down: true },
    { id: 'opportunity', label: 'Opportunity', of: (c) => c.opportunity?.value, down: true },
    { id: 'made', label: 'Episodes', of: (c) => c.made.length + c.planned.length, down: true },
  ],
  'opportunity',
)
async function add() {
  const done = await library.perform(addKeyword, { show: showId.value, words: fresh.value }, 'quietly')
  if (done.ok) fresh.value = ''
}
function choose(id: string) {
  here.value = id
  asked.value = ''
  void nextTick(() => {
    table.value?.querySelector<HTMLElement>(`[data-keyword="${id}"]`)?.focus()
  })
}
</script>

<template>
  <div class="mx-auto max-w-[1360px] px-5 py-4 max-sm:px-3">
    <IdeasHead />
    <div class="flex flex-wrap gap-2 mb-3 items-center">
      <div v-if="moment.shows.length > 1" class="flex gap-1.5" role="group" aria-label="Which show">
        <button
          v-for="s in moment.shows"
          :key="s.id"
          class="btn btn-small"
          :class="s.id === showId ? 'border-ink bg-raised' : ''"
          :aria-pressed="s.id === showId"
          @click="showId = s.id"
        >
          {{ s.title }}
        </button>
      </div>
      <form class="flex gap-2" @submit.prevent="add">
        <input
          v-model="fresh"
          class="field w-[220px]"
          placeholder="Words people search for"
          aria-label="A new keyword"
          maxlength="120"
        /><button class="btn">Add</button>
      </form>
      <button class="btn" @click="importing = true">Import a table</button>
      <input
        v-model="asked"
        class="field w-[170px] ml-auto"
        type="search"
        placeholder="Find a keyword"
        aria-label="Find a keyword"
      />
    </div>
    <section v-if="all.length === 0" class="panel p-8 text-center">
      <h2 class="text-20 mb-1">No keywords yet</h2>
      <p class="sub">
        Words that people search for, with how many search and how many results compete. {{ show?.title }}’s
        stand here with what is made on each.
      </p>
    </section>
    <div v-else class="grid grid-cols-1 gap-5 xl:grid-cols-[minmax(0,1fr)_400px] items-start">
      <div class="panel overflow-x-auto xl:max-h-[calc(100vh-250px)] overflow-y-auto">
        <table ref="table" class="w-full border-collapse keywords">
          <caption class="unseen">
            Keywords of
            {{
              show?.title
            }}
          </caption>
          <thead>
            <tr>
              <SortHeading
                v-for="h in headings"
                :key="h.id"
                :label="h.label"
                :sorted="h.sorted"
                :class="h.id === 'words' || h.id === 'made' ? '' : 'text-right'"
                @sort="h.sort"
              />
              <th scope="col">Own notes</th>
              <th scope="col"><span class="unseen">More</span></th>
            </tr>
          </thead>
          <tbody>
            <KeywordRow
              v-for="c in rows"
              :key="c.keyword.id"
              :of="c"
              :class="{ here: here === c.keyword.id }"
              @focusin="here = c.keyword.id"
              @mouseenter="here = c.keyword.id"
            />
          </tbody>
        </table>
      </div>
      <KeywordPlot :covers="all" :here="here" @here="here = $event" @choose="choose" />
    </div>
    <ImportKeywords v-if="importing" :show="showId" @close="importing = false" />
  </div>
</template>

<style scoped>
.keywords th {
  padding: 8px;
  font: 400 11px/13px var(--font-sans);
  color: var(--ink-2);
  text-align: left;
  border-bottom: 1px solid var(--line);
  position: sticky;
  top: 0;
  background: var(--panel);
  z-index: 1;
}
.keywords th.text-right {
  text-align: right;
}
.keywords :deep(td) {
  padding: 4px 6px;
  border-bottom: 1px solid var(--faint);
}
.keywords tr.here {
  background: var(--raised);
}
</style>
