<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { writeEpisode } from '@core/commands/episode'
import { dropEpisodes, mergeIdeas, restIdeas, sortIdeas } from '@core/commands/ideas'
import { likelySame, type Like } from '@core/ideas/likeness'
import type { Episode, IdeaStanding } from '@core/records'
import { addDays, sayAway } from '@core/rhythm/days'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import type { Card } from '@core/views/card'
import { useDialogs } from '@app/stores/dialogs'
import { useIdeas } from '@app/stores/ideas'
import { useLibrary } from '@app/stores/library'
import { usePictures } from '@app/stores/pictures'
import { useReading } from '@app/stores/reading'
import { useKeymap } from '@app/ui/keymap'
import KeySign from '@app/ui/KeySign.vue'
import { sortKeys, sortings } from './keymap'
import IdeasHead from './IdeasHead.vue'
import TopicField from './TopicField.vue'
import DateField from '@app/ui/fields/DateField.vue'

/** Unsorted ideas one at a time, large: a key decides, and the next one is there. */
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const dialogs = useDialogs()
const ideas = useIdeas()
const reading = useReading()
const pictures = usePictures()
/** Passed over for now: they come again at the end. */
const passed = ref<string[]>([])
const row = computed(() =>
  [...ideas.unsorted].sort(
    (a, b) => passed.value.indexOf(a.id) - passed.value.indexOf(b.id) || (a.createdAt < b.createdAt ? 1 : -1),
  ),
)
const current = computed<Episode | undefined>(() => row.value[0])
const done = ref(0)
const show = computed(() => library.records.shows.get(current.value?.show ?? ''))
const adding = ref(false)
const added = ref('')
const line = ref<HTMLInputElement>()

const like = ref<{ like: Like; card: Card }>()
let turn = 0
watch(
  () => [current.value?.id, reading.edition] as const,
  ([id], before) => {
    const mine = ++turn
    if (before?.[0] !== id) {
      like.value = undefined
      adding.value = false
      added.value = ''
    }
    const e = current.value
    if (!e) return
    void reading
      .like(e.title, `${e.note} ${e.idea.premise}`, 1, [e.id])
      .then(([first]) => {
        const card = first && first.likeness > 0.4 ? cards.card(first.id) : undefined
        if (mine === turn) like.value = first && card ? { like: first, card } : undefined
      })
      .catch(() => undefined)
  },
  { immediate: true },
)

async function decided(run: Promise<{ ok: boolean }>) {
  if ((await run).ok) done.value++
}
function sort(standing: IdeaStanding) {
  const e = current.value
  if (e) void decided(library.perform(sortIdeas, { episodes: [e.id], standing }, 'quietly'))
}
function dropIdeas() {
  const e = current.value
  if (e) void decided(library.perform(dropEpisodes, { episodes: [e.id], why: '' }, 'quietly'))
}
function rest(weeks: number) {
  const e = current.value
  if (e)
    void decided(
      library.perform(restIdeas, { episodes: [e.id], until: addDays(moment.today, weeks * 7) }, 'quietly'),
    )
}
const restUntil = ref('')
function until(day: string) {
  const e = current.value
  restUntil.value = ''
  if (e && day !== '') void decided(library.perform(restIdeas, { episodes: [e.id], until: day }, 'quietly'))
}
function merge() {
  const e = current.value
  if (e && like.value)
    void decided(library.perform(mergeIdeas, { into: like.value.card.episode.id, from: e.id }))
}
function later() {
  const e = current.value
  if (e) passed.value = [...passed.value.filter((id) => id !== e.id), e.id]
}
function add() {
  adding.value = true
  void nextTick(() => line.value?.focus())
}
async function keepLine() {
  const e = current.value
  const text = added.value.trim()
  // Closed first, so that the next key is a decision again.
  added.value = ''
  adding.value = false
  if (e && text !== '')
    await library.perform(
      writeEpisode,
      {
        episode: e.id,
        typed: { note: [e.note, text].filter(Boolean).join('\n') },
        what: 'the note',
      },
      'quietly',
    )
}
async function back() {
  await library.step('undo')
  done.value = Math.max(0, done.value - 1)
}
useKeymap(sortKeys, {
  sort: ({ which }) => {
    const standing = sortings[which]
    if (standing) sort(standing)
  },
  drop: dropIdeas,
  rest: () => {
    rest(4)
  },
  merge,
  place: () => {
    if (current.value) dialogs.show({ kind: 'place', episode: current.value.id })
  },
  add,
  later,
  back,
})
const choices = [
  ...(['for one of the next slots', 'good, not urgent', 'not now'] as const).map((says, i) => ({
    label: ['Next', 'Promising', 'Some day'][i] ?? '',
    says,
    line: sortKeys.lines.sort,
    which: i,
    act: () => {
      sort(sortings[i] ?? 'next')
    },
  })),
  { label: 'Let go', says: 'kept, out of sight', line: sortKeys.lines.drop, which: 0, act: dropIdeas },
]
</script>

<template>
  <div class="mx-auto max-w-[1360px] px-5 py-4 max-sm:px-3">
    <IdeasHead />
    <section v-if="!current" class="panel p-10 text-center">
      <h2 class="text-20 mb-1">Everything is sorted</h2>
      <p class="sub mb-4">
        {{ done > 0 ? `${done} looked at just now. ` : '' }}New ideas, and those back from a rest, will wait
        here.
      </p>
      <p class="flex gap-2 justify-center">
        <RouterLink :to="{ name: 'ideas' }" class="btn btn-main">See all ideas</RouterLink
        ><button v-if="done > 0" class="btn" @click="back">
          Take the last back <KeySign :line="sortKeys.lines.back" :which="0" />
        </button>
      </p>
    </section>
    <div v-else class="grid grid-cols-1 gap-5 lg:grid-cols-[minmax(0,1fr)_340px] items-start">
      <section class="panel p-7 max-sm:p-4 grid grid-cols-1 gap-5 min-w-0" aria-label="The idea to sort">
        <div class="flex items-center gap-3 sub">
          <strong class="text-ink" aria-live="polite">{{ row.length }} left</strong
          ><span class="flex-1 h-[5px] rounded-full bg-faint overflow-hidden" aria-hidden="true"
            ><span
              class="block h-full bg-ink-2"
              :style="{ width: `${(100 * done) / Math.max(1, done + row.length)}%` }" /></span
          ><span class="min-w-0 truncate"
            >{{ show?.title }}, jotted {{ sayAway(moment.dayOn(current.createdAt), moment.today) }}</span
          >
        </div>
        <div class="flex gap-5 items-start min-h-[150px]">
          <div class="flex-1 min-w-0">
            <p v-if="current.idea.restUntil" class="sub mb-1">Back from its rest</p>
            <h2 class="text-26 leading-[34px] break-words" data-testid="sorting">{{ current.title }}</h2>
            <p v-if="current.note" class="mt-3 text-16 text-ink-2 whitespace-pre-line">{{ current.note }}</p>
            <p v-for="a in current.idea.asked" :key="a.id" class="sub mt-2">
              Asked for by {{ a.name || 'one of the audience'
              }}<template v-if="a.tell">, who wants to be told</template>
            </p>
            <p v-for="s in current.idea.sources" :key="s.id" class="sub mt-2 break-all">
              {{ s.text }}
              <a v-if="/^https?:/.test(s.url)" :href="s.url" target="_blank" rel="noreferrer noopener">{{
                s.url
              }}</a>
            </p>
            <form v-if="adding" class="flex gap-2 mt-4" @submit.prevent="keepLine">
              <input
                ref="line"
                v-model="added"
                class="field"
                placeholder="Add a line"
                aria-label="Add a line"
                @keydown.esc.stop="adding = false"
              /><button class="btn">Add</button>
            </form>
            <button v-else class="btn btn-bare btn-small mt-3 -ml-2.5 text-ink-2" @click="add">
              Add a line <KeySign :line="sortKeys.lines.add" />
            </button>
          </div>
          <img
            v-if="current.idea.images[0] && pictures.url(current.idea.images[0].id)"
            :src="pictures.url(current.idea.images[0].id)"
            alt=""
            class="w-[220px] max-h-[180px] object-cover rounded-card"
          />
        </div>
        <TopicField :episode="current" />
        <div class="grid grid-cols-2 sm:grid-cols-4 gap-2">
          <button
            v-for="c in choices"
            :key="c.label"
            class="btn flex-col gap-0.5 min-h-[64px] border-ring"
            @click="c.act"
          >
            <span class="flex items-center gap-2 text-16"
              >{{ c.label }} <KeySign :line="c.line" :which="c.which" /></span
            ><span class="sub font-normal">{{ c.says }}</span>
          </button>
        </div>
        <div class="flex flex-wrap gap-2 items-center">
          <span class="sub">Rest for</span
          ><button v-for="w in [4, 8, 26]" :key="w" class="btn btn-small" @click="rest(w)">
            {{ w === 26 ? 'half a year' : `${w} weeks` }}
            <KeySign v-if="w === 4" :line="sortKeys.lines.rest" /></button
          ><span class="sub flex items-center gap-2"
            >or until
            <DateField
              v-model="restUntil"
              class="w-[170px]"
              field="field min-h-[28px] py-0.5"
              label="Rest until"
              hidden
              :min="addDays(moment.today, 1)"
              @update:model-value="until" /></span
          ><button
            class="btn btn-small ml-auto"
            @click="dialogs.show({ kind: 'place', episode: current.id })"
          >
            Put on a slot <KeySign :line="sortKeys.lines.place" /></button
          ><button class="btn btn-small" @click="later">
            Pass over <KeySign :line="sortKeys.lines.later" :which="0" /></button
          ><button v-if="done > 0" class="btn btn-small" @click="back">
            Take back <KeySign :line="sortKeys.lines.back" :which="0" />
          </button>
        </div>
      </section>
      <aside class="panel p-5 grid gap-3" aria-label="A likely duplicate">
        <template v-if="like">
          <h2>{{ like.like.likeness >= likelySame ? 'You may have this already' : 'Close to this' }}</h2>
          <p class="text-16 font-medium break-words">{{ like.card.title }}</p>
          <p class="sub">
            <span class="num">{{ like.card.number }}</span>
            {{
              like.card.episode.phase.kind === 'idea'
                ? 'an idea'
                : like.card.episode.phase.kind === 'released'
                  ? `released ${sayAway(moment.dayOn(like.card.episode.phase.at), moment.today)}`
                  : like.card.episode.phase.kind === 'work'
                    ? 'in work'
                    : 'parked'
            }}, shares {{ like.like.words.join(', ') }}
          </p>
          <p v-if="like.card.episode.note" class="sub line-clamp-4">{{ like.card.episode.note }}</p>
          <button class="btn justify-self-start" @click="merge">
            Merge into it <KeySign :line="sortKeys.lines.merge" />
          </button>
          <p class="sub">Both texts and sources are kept there.</p>
        </template>
        <template v-else
          ><h2>Nothing like it</h2>
          <p class="sub">No earlier episode or idea comes close to this one.</p></template
        >
      </aside>
    </div>
  </div>
</template>
