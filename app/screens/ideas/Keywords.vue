<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import { useRouter } from 'vue-router'
import { addKeyword, editKeyword, jotForKeyword, removeKeyword } from '@core/commands/keywords'
import { readFigure } from '@core/formats/keyword-table'
import { coverOf, type Cover } from '@core/ideas/opportunity'
import { sayDay } from '@core/rhythm/days'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useLibrary } from '@app/stores/library'
import IdeasHead from './IdeasHead.vue'
import ImportKeywords from './ImportKeywords.vue'
import KeywordPlot from './KeywordPlot.vue'
import { rewrite, typedIn } from '@app/ui/fields/event'
import SortHeading from '@app/ui/table/SortHeading.vue'
import { useSortable } from '@app/ui/table/sortable'

/** What people search for, per show: figures, opportunity, and what is made and planned on each. */
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const router = useRouter()
const showId = ref(moment.shows[0]?.id ?? '')
const show = computed(() => library.records.shows.get(showId.value))
const fresh = ref('')
const asked = ref('')
const importing = ref(false)
const here = ref<string>()
const table = ref<HTMLElement>()
const all = computed(() =>
  coverOf(
    [...library.records.keywords.values()].filter((k) => k.show === showId.value),
    library.records.episodes.values(),
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
    { id: 'opportunity', label: 'Opportunity', of: (c) => c.opportunity, down: true },
    { id: 'made', label: 'Episodes', of: (c) => c.made.length + c.planned.length, down: true },
  ],
  'opportunity',
)
const said = { covered: 'covered', planned: 'planned', open: 'open' }
const figures = new Intl.NumberFormat('en', { notation: 'compact', maximumFractionDigits: 1 })

function figure(c: Cover, name: 'searches' | 'competing', event: Event) {
  const read = readFigure(typedIn(event))
  if (read === 'wrong') {
    library.say(`“${typedIn(event)}” is no figure. Write it as 12400, 12.4k or 10k–20k.`, 'refused')
    rewrite(event, String(c.keyword[name] ?? ''))
    return
  }
  void library.perform(editKeyword, { keyword: c.keyword.id, fields: { [name]: read } }, 'quietly')
}
async function add() {
  const done = await library.perform(addKeyword, { show: showId.value, words: fresh.value }, 'quietly')
  if (done.ok) fresh.value = ''
}
async function idea(c: Cover) {
  const made = await library.perform(jotForKeyword, { keyword: c.keyword.id }, 'quietly')
  const id = made.ok ? made.value.about[0] : undefined
  if (!id) return
  const e = library.records.episodes.get(id)
  if (e) void router.push({ name: 'idea', params: { code: e.code } })
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
            <tr
              v-for="c in rows"
              :key="c.keyword.id"
              :class="{ here: here === c.keyword.id }"
              :data-keyword="c.keyword.id"
              tabindex="-1"
              @focusin="here = c.keyword.id"
              @mouseenter="here = c.keyword.id"
            >
              <td class="min-w-[190px]">
                <input
                  class="quiet-field mx-0 font-medium"
                  :value="c.keyword.words"
                  :aria-label="`Keyword ${c.keyword.words}`"
                  @change="
                    library.perform(
                      editKeyword,
                      {
                        keyword: c.keyword.id,
                        fields: { words: typedIn($event) },
                      },
                      'quietly',
                    )
                  "
                />
              </td>
              <td class="w-[84px]">
                <input
                  class="quiet-field mx-0 num text-right"
                  :value="
                    c.keyword.searches === undefined
                      ? ''
                      : c.keyword.searches >= 1000
                        ? figures.format(c.keyword.searches)
                        : c.keyword.searches
                  "
                  :aria-label="`Searches a month for ${c.keyword.words}`"
                  @change="figure(c, 'searches', $event)"
                />
              </td>
              <td class="w-[78px]">
                <input
                  class="quiet-field mx-0 num text-right"
                  :value="
                    c.keyword.competing === undefined
                      ? ''
                      : c.keyword.competing >= 1000
                        ? figures.format(c.keyword.competing)
                        : c.keyword.competing
                  "
                  :aria-label="`Competing results for ${c.keyword.words}`"
                  @change="figure(c, 'competing', $event)"
                />
              </td>
              <td class="w-[88px] text-right">
                <span v-if="c.opportunity !== undefined" class="num text-ink">{{
                  Math.round(c.opportunity)
                }}</span><span
                  v-if="c.old"
                  class="block sub text-11 leading-3"
                  :title="
                    c.keyword.measured
                      ? `Measured ${sayDay(c.keyword.measured, moment.today)}`
                      : 'Of no known date'
                  "
                  >old figure</span
                >
              </td>
              <td class="min-w-[110px]">
                <RouterLink
                  v-for="e in [...c.made, ...c.planned].slice(0, 3)"
                  :key="e.id"
                  :to="{ name: e.phase.kind === 'idea' ? 'idea' : 'episode', params: { code: e.code } }"
                  class="num mr-2"
                  >{{ cards.card(e.id)?.number }}</RouterLink><span
                  v-if="c.is !== 'covered'"
                  class="sub whitespace-nowrap"
                  >{{ said[c.is] }}</span
                >
              </td>
              <td>
                <input
                  class="quiet-field mx-0 text-12"
                  :value="c.keyword.notes"
                  :aria-label="`Notes on ${c.keyword.words}`"
                  @change="
                    library.perform(
                      editKeyword,
                      {
                        keyword: c.keyword.id,
                        fields: { notes: typedIn($event) },
                      },
                      'quietly',
                    )
                  "
                />
              </td>
              <td class="whitespace-nowrap">
                <button
                  class="btn btn-bare btn-small px-1.5"
                  :aria-label="`An idea on ${c.keyword.words}`"
                  @click="idea(c)"
                >
                  Idea</button
                ><button
                  class="btn btn-bare btn-small px-1.5 text-ink-2"
                  :aria-label="`Remove ${c.keyword.words}`"
                  @click="library.perform(removeKeyword, { keyword: c.keyword.id })"
                >
                  ×
                </button>
              </td>
            </tr>
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
.keywords td {
  padding: 4px 6px;
  border-bottom: 1px solid var(--faint);
}
.keywords tr.here {
  background: var(--raised);
}
</style>
