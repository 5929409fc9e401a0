<script setup lang="ts">
import { computed, ref } from 'vue'
import { chooseForm } from '@core/commands/episode'
import {
  dropEpisodes,
  editMany,
  intendForMonth,
  mergeIdeas,
  restIdeas,
  sortIdeas,
  type Edits,
} from '@core/commands/ideas'
import { standingNames } from '@core/commands/ideas/standing-names'
import { placeSeveral } from '@core/commands/schedule'
import { IdeaStanding } from '@core/records'
import { addDays } from '@core/rhythm/days'
import { useMoment } from '@app/stores/moment'
import { useSchedule } from '@app/stores/schedule'
import { useIdeas } from '@app/stores/ideas'
import { useForms } from '@app/stores/forms'
import { useLibrary } from '@app/stores/library'
import { useRanking } from '@app/stores/ranking'
import Drop from '@app/ui/Drop.vue'
import Stars from '@app/ui/Stars.vue'
import KeySign from '@app/ui/KeySign.vue'
import { ideasKeys } from './keymap'
import MonthChoice from './MonthChoice.vue'
import { typedIn } from '@app/ui/fields/event'

/** What can be done with several at once. */
const library = useLibrary()
const moment = useMoment()
const schedule = useSchedule()
const ideas = useIdeas()
const ranking = useRanking()
const topic = ref('')
const month = ref('')
const series = ref('')
const forms = useForms()
const ids = computed(() => ideas.picked.map((e) => e.id))
const onlyIdeas = computed(() => ideas.picked.every((e) => e.phase.kind === 'idea'))
const oneShow = computed(() => new Set(ideas.picked.map((e) => e.show)).size === 1)
const topics = computed(() => [...new Set(ideas.picked.flatMap((e) => e.topics))])

async function edit(edits: Edits) {
  await library.perform(editMany, { episodes: ids.value, edits })
}
async function place(how: 'given' | 'ranked', close: () => void) {
  const show = library.tables.shows.get(ideas.picked[0]?.show ?? '')
  const next = show && schedule.openOf(show, 1)[0]
  let order = ids.value
  if (how === 'ranked' && show && next) {
    const ranked = ranking.rank(show, next.day).ranked.map((r) => r.episode.id)
    order = [...ids.value].sort(
      (a, b) => (ranked.indexOf(a) + 1 || Infinity) - (ranked.indexOf(b) + 1 || Infinity),
    )
  }
  const done = await library.perform(placeSeveral, { episodes: order })
  if (done.ok) ideas.chosen = new Set()
  close()
}
async function merge() {
  const [into, from] = ids.value
  if (into && from) await library.perform(mergeIdeas, { into, from })
}
</script>

<template>
  <div
    class="panel flex flex-wrap items-center gap-2 px-3 py-2 mb-3 border-ring"
    role="group"
    aria-label="What is chosen"
  >
    <strong>{{ ids.length }} chosen</strong>
    <Drop v-if="onlyIdeas" label="Place on the next open slots" small :on="oneShow">
      <template #default="{ close }"
        ><div class="grid gap-2">
          <button class="btn" @click="place('given', close)">In this order</button
          ><button class="btn" @click="place('ranked', close)">Best first</button>
          <p v-if="!oneShow" class="sub">They belong to more than one show.</p>
        </div></template
      >
    </Drop>
    <select
      v-if="forms.names.value.length > 0"
      class="field w-auto min-h-[28px] py-0.5"
      aria-label="Kind of the chosen"
      value=""
      @change="library.perform(chooseForm, { episodes: ids, form: typedIn($event) })"
    >
      <option value="" disabled>Kind…</option>
      <option v-for="n in forms.names.value" :key="n" :value="n">{{ n }}</option></select
    ><select
      v-if="onlyIdeas"
      class="field w-auto min-h-[28px] py-0.5"
      aria-label="Sort the chosen as"
      value=""
      @change="
        library.perform(sortIdeas, {
          episodes: ids,
          standing: IdeaStanding.options.find((o) => o === typedIn($event)) ?? 'unsorted',
        })
      "
    >
      <option value="" disabled>Sort as</option>
      <option v-for="s in IdeaStanding.options" :key="s" :value="s">{{ standingNames[s] }}</option>
    </select>
    <Drop label="Edit" small>
      <div class="grid gap-3">
        <form
          class="flex gap-2"
          @submit.prevent="
            () => {
              edit({ topics: [topic.trim()] })
              topic = ''
            }
          "
        >
          <input
            v-model="topic"
            class="field"
            placeholder="Add a topic"
            aria-label="Add a topic to all"
            required
          /><button class="btn btn-small">Add</button>
        </form>
        <p v-if="topics.length > 0" class="flex flex-wrap gap-1.5">
          <button
            v-for="t in topics"
            :key="t"
            class="btn btn-small"
            :aria-label="`Take the topic ${t} off all`"
            @click="edit({ without: [t] })"
          >
            {{ t }} ×
          </button>
        </p>
        <form
          class="flex gap-2"
          @submit.prevent="
            () => {
              edit({ series: series.trim() })
              series = ''
            }
          "
        >
          <input v-model="series" class="field" placeholder="Series" aria-label="Series of all" /><button
            class="btn btn-small"
          >
            Set
          </button>
        </form>
        <form
          class="flex gap-2"
          @submit.prevent="library.perform(intendForMonth, { episodes: ids, month: month || undefined })"
        >
          <MonthChoice v-model="month" label="Meant for the month" hidden class="flex-1" /><button
            class="btn btn-small"
          >
            Set
          </button>
        </form>
        <p class="flex items-center gap-2">
          <span class="label mb-0">Rating</span
          ><Stars label="Rating of all" :value="undefined" @change="edit({ rating: $event })" />
        </p>
        <p class="flex gap-2">
          <button class="btn btn-small" @click="edit({ nature: { kind: 'evergreen' } })">Evergreen</button
          ><button class="btn btn-small" @click="edit({ nature: { kind: 'topical' } })">Topical</button>
        </p>
        <label v-if="onlyIdeas && moment.shows.length > 1"
          ><span class="label">Move to the show</span
          ><select class="field" value="" @change="edit({ show: typedIn($event) })">
            <option value="" disabled>choose</option>
            <option v-for="s in moment.shows" :key="s.id" :value="s.id">{{ s.title }}</option>
          </select></label
        >
      </div>
    </Drop>
    <button
      v-if="onlyIdeas"
      class="btn btn-small"
      @click="library.perform(restIdeas, { episodes: ids, until: addDays(moment.today, 28) })"
    >
      Rest 4 weeks
    </button>
    <button v-if="onlyIdeas && ids.length === 2" class="btn btn-small" @click="merge">Merge the two</button>
    <button
      v-if="onlyIdeas"
      class="btn btn-small"
      @click="library.perform(dropEpisodes, { episodes: ids, why: '' })"
    >
      Let them go
    </button>
    <button class="btn btn-bare btn-small ml-auto" @click="ideas.chosen = new Set()">
      Choose none <KeySign :line="ideasKeys.lines.none" />
    </button>
  </div>
</template>
