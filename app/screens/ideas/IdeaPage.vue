<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { writeEpisode, type Typed } from '@core/commands/episode'
import { backToIdeas, dropEpisodes, editMany, mergeIdeas, sortIdeas, writeIdea } from '@core/commands/ideas'
import { standingNames } from '@core/commands/ideas/standing-names'
import { startWork } from '@core/commands/schedule'
import { likelySame, type Like } from '@core/ideas/likeness'
import { effortOf } from '@core/ideas/usable'
import { IdeaStanding, type Idea } from '@core/records'
import { sayAway } from '@core/rhythm/days'
import { sayMinutes } from '@core/script/timecode'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import { useReading } from '@app/stores/reading'
import Stars from '@app/ui/Stars.vue'
import IdeaFiles from './IdeaFiles.vue'
import KeywordField from './KeywordField.vue'
import OccasionField from './OccasionField.vue'
import OwnFields from './OwnFields.vue'
import StartPanel from './StartPanel.vue'
import TopicField from './TopicField.vue'
import GuestField from './GuestField.vue'
import TextField from '@app/ui/fields/TextField.vue'
import OptionalNumberField from '@app/ui/fields/OptionalNumberField.vue'
import DateField from '@app/ui/fields/DateField.vue'
import { typedIn } from '@app/ui/fields/event'
import MonthChoice from './MonthChoice.vue'

/** An idea's own page: what is known is shown, everything else is one button away. */
const { code } = defineProps<{ code: string }>()
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const dialogs = useDialogs()
const reading = useReading()
const router = useRouter()
const episode = computed(() => [...library.records.episodes.values()].find((e) => e.code === code))
const show = computed(() => library.records.shows.get(episode.value?.show ?? ''))
const recipe = computed(() => library.records.recipes.get(show.value?.recipe ?? ''))
watch(
  () => episode.value?.id,
  (id) => {
    if (id) void library.ensure([id])
  },
  { immediate: true },
)

const opened = ref(new Set<string>())
const facets = computed(() => {
  const e = episode.value
  if (!e) return []
  const { idea } = e
  return [
    { name: 'premise', label: 'Premise', filled: idea.premise !== '' },
    { name: 'why', label: 'Why now', filled: idea.why !== '' },
    { name: 'series', label: 'Series', filled: idea.series !== '' },
    { name: 'keywords', label: 'Keywords', filled: idea.keywords.length > 0 },
    { name: 'nature', label: 'Topical', filled: e.nature.kind === 'topical' },
    { name: 'effort', label: 'Effort', filled: idea.effort !== undefined },
    { name: 'occasion', label: 'Occasion', filled: idea.occasion !== undefined },
    { name: 'month', label: 'Month', filled: idea.meant !== undefined },
    { name: 'guests', label: 'Guests', filled: e.guests.length > 0 },
    { name: 'links', label: 'Links and sources', filled: idea.sources.length > 0 || e.links.length > 0 },
    { name: 'files', label: 'Images and files', filled: idea.images.length + idea.files.length > 0 },
    { name: 'own', label: 'Own fields', filled: Object.keys(idea.own).length > 0 },
  ]
})
const shown = (name: string) =>
  opened.value.has(name) || (facets.value.find((f) => f.name === name)?.filled ?? false)
const folded = computed(() => facets.value.filter((f) => !f.filled && !opened.value.has(f.name)))
const open = (name: string) => {
  opened.value = new Set([...opened.value, name])
}

const likes = ref<Like[]>([])
let turn = 0
watch(
  () => [episode.value?.title, episode.value?.note, reading.edition],
  () => {
    const mine = ++turn
    const e = episode.value
    setTimeout(() => {
      if (e && mine === turn)
        void reading
          .like(e.title, `${e.note} ${e.idea.premise}`, 5, [e.id])
          .then((l) => {
            if (mine === turn) likes.value = l.filter((x) => x.likeness > 0.12)
          })
          .catch(() => undefined)
    }, 150)
  },
  { immediate: true },
)

function write(typed: Typed, what: string) {
  if (episode.value) void library.perform(writeEpisode, { episode: episode.value.id, typed, what }, 'quietly')
}
function put(typed: Partial<Idea>, what: string) {
  if (episode.value) void library.perform(writeIdea, { episode: episode.value.id, typed, what }, 'quietly')
}
function meant(month: string) {
  if (episode.value)
    void library.perform(
      editMany,
      { episodes: [episode.value.id], edits: { meant: month || undefined } },
      'quietly',
    )
}
function titled(event: Event) {
  if (typedIn(event).trim() !== '') write({ title: typedIn(event) }, 'the working title')
}
function nature(part: 'notBefore' | 'staleAfter', day: string) {
  const now = episode.value?.nature
  const dates =
    now?.kind === 'topical'
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
const link = ref('')
function addSource() {
  const e = episode.value
  const typed = link.value.trim()
  if (!e || typed === '') return
  const url = /^https?:\/\/\S+$/i.exec(typed)?.[0] ?? ''
  put(
    { sources: [...e.idea.sources, { id: crypto.randomUUID(), text: url ? '' : typed, url }] },
    'the sources',
  )
  link.value = ''
}
async function start() {
  if (!episode.value) return
  const done = await library.perform(startWork, { episode: episode.value.id })
  if (done.ok) void router.push({ name: 'episode', params: { code } })
}
const standings = IdeaStanding.options
</script>

<template>
  <div class="mx-auto max-w-[1360px] px-5 py-4 max-sm:px-3">
    <p v-if="!episode" class="panel p-8">
      There is no idea {{ code }}. <RouterLink :to="{ name: 'ideas' }">To all ideas</RouterLink>
    </p>
    <div v-else class="grid grid-cols-1 gap-5 lg:grid-cols-[minmax(0,1fr)_330px] items-start">
      <div class="grid grid-cols-1 gap-5">
        <section class="panel p-6 grid grid-cols-1 gap-4" aria-label="The idea">
          <p class="sub flex flex-wrap gap-x-3">
            <RouterLink :to="{ name: 'ideas', query: { idea: code } }">Ideas</RouterLink
            ><span class="num">{{ code }}</span
            ><span>{{ show?.title }}</span
            ><span>jotted {{ sayAway(moment.dayOn(episode.createdAt), moment.today) }}</span
            ><span v-if="episode.phase.kind !== 'idea'" class="text-ink">{{
              episode.phase.kind === 'work'
                ? 'in work'
                : episode.phase.kind === 'dropped'
                  ? `let go${episode.phase.why ? `: ${episode.phase.why}` : ''}`
                  : episode.phase.kind
            }}</span>
          </p>
          <h1 class="unseen">{{ episode.title }}</h1>
          <textarea
            class="quiet-field mx-0 -ml-2 text-26 leading-[34px] font-title font-semibold resize-none field-sizing-content"
            rows="1"
            :value="episode.title"
            maxlength="300"
            aria-label="Working title"
            @input="titled"
          />
          <textarea
            class="quiet-field mx-0 -ml-2 text-16 resize-none min-h-[60px] field-sizing-content"
            rows="2"
            :value="episode.note"
            placeholder="Note"
            aria-label="Note"
            @input="write({ note: typedIn($event) }, 'the note')"
          />
          <TextField
            v-if="shown('premise')"
            :model-value="episode.idea.premise"
            label="Premise"
            :rows="2"
            placeholder="What it says, in two sentences"
            @update:model-value="put({ premise: $event }, 'the premise')"
          />
          <TextField
            v-if="shown('why')"
            :model-value="episode.idea.why"
            label="Why now"
            :rows="1"
            @update:model-value="put({ why: $event }, 'why now')"
          />
          <div class="grid gap-4 sm:grid-cols-2">
            <TopicField :episode="episode" />
            <KeywordField v-if="shown('keywords')" :episode="episode" />
            <TextField
              v-if="shown('series')"
              :model-value="episode.idea.series"
              label="Series"
              @update:model-value="put({ series: $event }, 'the series')"
            />
            <GuestField v-if="shown('guests')" :episode="episode" />
            <div v-if="shown('nature')" class="grid grid-cols-2 gap-2">
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
            <OptionalNumberField
              v-if="shown('effort')"
              :model-value="episode.idea.effort"
              :label="
                episode.idea.effort === undefined
                  ? `Effort, minutes (by the recipe ${sayMinutes(effortOf(episode, recipe))})`
                  : 'Effort, minutes'
              "
              :min="0"
              :max="6000"
              :step="15"
              :placeholder="String(effortOf(episode, recipe))"
              @update:model-value="(effort) => put({ effort }, 'the effort')"
            />
            <OccasionField v-if="shown('occasion')" :episode="episode" />
            <MonthChoice
              v-if="shown('month')"
              :model-value="episode.idea.meant ?? ''"
              @update:model-value="meant"
            />
          </div>
          <div v-if="shown('links')">
            <p class="label">Links and sources</p>
            <ul class="grid gap-1 mb-2">
              <li v-for="s in episode.idea.sources" :key="s.id" class="flex gap-2 items-baseline">
                <span class="flex-1 min-w-0 break-words"
                  >{{ s.text }}
                  <a
                    v-if="/^https?:/i.test(s.url)"
                    :href="s.url"
                    target="_blank"
                    rel="noreferrer noopener"
                    class="break-all"
                    >{{ s.url }}</a
                  ></span
                ><button
                  class="text-ink-2 px-1"
                  :aria-label="`Take the source ${s.text || s.url} away`"
                  @click="put({ sources: episode.idea.sources.filter((x) => x.id !== s.id) }, 'the sources')"
                >
                  ×
                </button>
              </li>
            </ul>
            <form class="flex gap-2" @submit.prevent="addSource">
              <input
                v-model="link"
                class="field"
                placeholder="A link, a book, who told you"
                aria-label="Add a source"
                maxlength="1000"
              /><button class="btn">Add</button>
            </form>
          </div>
          <IdeaFiles v-if="shown('files')" :episode="episode" />
          <OwnFields v-if="shown('own')" :episode="episode" />
          <div v-if="episode.idea.asked.length > 0">
            <p class="label">Asked for by</p>
            <ul class="grid gap-1">
              <li v-for="a in episode.idea.asked" :key="a.id">
                <strong class="font-medium">{{ a.name || 'one of the audience' }}</strong>
                <span v-if="a.mail" class="sub">{{ a.mail }}</span>
                <span v-if="a.tell" class="sub">wants to be told{{ a.told ? ', was told' : '' }}</span
                ><span v-if="a.wish !== episode.title" class="block sub">“{{ a.wish }}”</span>
              </li>
            </ul>
          </div>
          <p v-if="folded.length > 0" class="flex flex-wrap gap-1.5 items-center border-t border-faint pt-4">
            <span class="sub">Add</span
            ><button v-for="f in folded" :key="f.name" class="btn btn-small" @click="open(f.name)">
              {{ f.label }}
            </button>
          </p>
        </section>
        <StartPanel v-if="show && recipe" :key="episode.id" :episode="episode" />
      </div>
      <aside class="grid gap-5">
        <section class="panel p-4 grid gap-3" aria-label="What becomes of it">
          <p class="flex items-center justify-between">
            <span class="label mb-0">Your rating</span
            ><Stars
              label="Your rating"
              :value="episode.idea.rating"
              @change="
                library.perform(editMany, { episodes: [episode.id], edits: { rating: $event } }, 'quietly')
              "
            />
          </p>
          <div
            v-if="episode.phase.kind === 'idea'"
            class="flex flex-wrap gap-1.5"
            role="group"
            aria-label="Sorted as"
          >
            <button
              v-for="s in standings"
              :key="s"
              class="btn btn-small"
              :class="episode.idea.standing === s ? 'border-ink bg-raised' : ''"
              :aria-pressed="episode.idea.standing === s"
              @click="library.perform(sortIdeas, { episodes: [episode.id], standing: s }, 'quietly')"
            >
              {{ standingNames[s] }}
            </button>
          </div>
          <div class="flex flex-wrap gap-2">
            <template v-if="episode.phase.kind === 'idea' || episode.phase.kind === 'parked'"
              ><button
                class="btn btn-main flex-1"
                @click="dialogs.show({ kind: 'place', episode: episode.id })"
              >
                Put on a slot</button
              ><button class="btn" @click="start">Start</button></template
            ><RouterLink
              v-else-if="episode.phase.kind !== 'dropped'"
              :to="{ name: 'episode', params: { code } }"
              class="btn btn-main flex-1"
              >Open the episode</RouterLink
            ><button
              v-else
              class="btn btn-main flex-1"
              @click="library.perform(backToIdeas, { episode: episode.id })"
            >
              Take it back
            </button>
          </div>
          <button
            v-if="episode.phase.kind === 'idea'"
            class="btn btn-bare btn-small justify-self-start text-ink-2"
            @click="library.perform(dropEpisodes, { episodes: [episode.id], why: '' })"
          >
            Let it go
          </button>
        </section>
        <section class="panel p-4" aria-labelledby="likes">
          <h2 id="likes" class="mb-2">
            {{ (likes[0]?.likeness ?? 0) >= likelySame ? 'You may have made this already' : 'Closest to it' }}
          </h2>
          <ul class="grid gap-2">
            <li v-for="l in likes" :key="l.id" class="text-12">
              <RouterLink
                :to="{
                  name: cards.card(l.id)?.episode.phase.kind === 'idea' ? 'idea' : 'episode',
                  params: { code: cards.card(l.id)?.episode.code },
                }"
                class="font-medium text-14"
                >{{ cards.card(l.id)?.number }} {{ cards.card(l.id)?.title }}</RouterLink
              ><span class="block text-ink-2">{{ l.words.join(', ') }}</span
              ><button
                v-if="episode.phase.kind === 'idea' && l.likeness > 0.4"
                class="btn btn-small mt-1"
                @click="library.perform(mergeIdeas, { into: l.id, from: episode.id })"
              >
                Merge into it
              </button>
            </li>
          </ul>
          <p v-if="likes.length === 0" class="sub">Nothing made or kept comes close.</p>
        </section>
      </aside>
    </div>
  </div>
</template>
