<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { writeEpisode } from '@core/commands/episode'
import { backToIdeas, dropEpisodes, editMany, restIdeas, sortIdeas } from '@core/commands/ideas'
import { standingNames } from '@core/commands/ideas/standing-names'
import { likelySame, type Like } from '@core/ideas/likeness'
import { isResting } from '@core/ideas/usable'
import { IdeaStanding, type Episode } from '@core/records'
import { addDays, sayAway, sayDay } from '@core/rhythm/days'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import { useReading } from '@app/stores/reading'
import Stars from '@app/ui/Stars.vue'
import TopicField from './TopicField.vue'
import KeySign from '@app/ui/KeySign.vue'
import { ideasKeys, sortings } from './keymap'
import { rewrite, typedIn } from '@app/ui/fields/event'

/** The one under the cursor: its line and note at hand, how it is sorted, what it is like. */
const { episode } = defineProps<{ episode: Episode }>()
const emit = defineEmits<{ open: []; start: [] }>()
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const dialogs = useDialogs()
const reading = useReading()
const show = computed(() => library.tables.shows.get(episode.show))
const like = ref<Like>()
let turn = 0
watch(
  () => [episode.id, episode.title, reading.edition],
  () => {
    const mine = ++turn
    setTimeout(() => {
      if (mine === turn)
        void reading
          .like(episode.title, episode.note, 1, [episode.id])
          .then((l) => {
            if (mine === turn) like.value = l[0]
          })
          .catch(() => undefined)
    }, 120)
  },
  { immediate: true },
)
const twin = computed(() =>
  like.value && like.value.likeness > 0.45 ? cards.card(like.value.id) : undefined,
)
const standings = IdeaStanding.options.filter((s) => s !== 'unsorted')

function typed(field: 'title' | 'note', event: Event) {
  const text = typedIn(event)
  // An emptied title waits for what is typed next; left empty, the old one comes back.
  if (field === 'title' && text.trim() === '') {
    if (event.type === 'blur') rewrite(event, episode.title)
    return
  }
  if (event.type === 'blur') return
  void library.perform(
    writeEpisode,
    {
      episode: episode.id,
      typed: { [field]: text },
      what: field === 'title' ? 'the working title' : 'the note',
    },
    'quietly',
  )
}
</script>

<template>
  <aside class="panel p-4 grid grid-cols-1 gap-3" aria-label="The chosen idea">
    <label
      ><span class="label">Working title</span
      ><textarea
        class="field text-16 font-medium"
        rows="2"
        :value="episode.title"
        maxlength="300"
        @input="typed('title', $event)"
        @blur="typed('title', $event)"
      />
    </label>
    <label
      ><span class="label">Note</span
      ><textarea
        class="field min-h-[64px]"
        rows="3"
        :value="episode.note"
        placeholder="Why, for whom, what to show"
        @input="typed('note', $event)"
      />
    </label>
    <TopicField :episode="episode" />
    <div
      v-if="episode.phase.kind === 'idea'"
      class="flex flex-wrap items-center gap-1.5"
      role="group"
      aria-label="Sorted as"
    >
      <button
        v-for="s in standings"
        :key="s"
        class="btn btn-small"
        :class="episode.idea.standing === s ? 'border-ink bg-raised' : ''"
        :aria-pressed="episode.idea.standing === s"
        @click="
          library.perform(
            sortIdeas,
            {
              episodes: [episode.id],
              standing: episode.idea.standing === s ? 'unsorted' : s,
            },
            'quietly',
          )
        "
      >
        {{ standingNames[s] }} <KeySign :line="ideasKeys.lines.sort" :which="sortings.indexOf(s)" />
      </button>
      <button
        v-if="isResting(episode, moment.today)"
        class="btn btn-small border-ink"
        @click="library.perform(sortIdeas, { episodes: [episode.id], standing: 'unsorted' })"
      >
        rests until {{ sayDay(episode.idea.restUntil ?? '') }} ×
      </button>
      <button
        v-else
        class="btn btn-small"
        @click="library.perform(restIdeas, { episodes: [episode.id], until: addDays(moment.today, 28) })"
      >
        rest 4 weeks <KeySign :line="ideasKeys.lines.rest" />
      </button>
    </div>
    <p class="flex items-center gap-3">
      <Stars
        label="Your rating"
        :value="episode.idea.rating"
        @change="library.perform(editMany, { episodes: [episode.id], edits: { rating: $event } }, 'quietly')"
      /><span v-if="episode.idea.asked.length > 0" class="sub"
        >asked for by {{ episode.idea.asked.length }}</span
      >
    </p>
    <p v-if="twin" class="sub">
      <strong class="text-ink font-medium">{{
        (like?.likeness ?? 0) >= likelySame ? 'You may have made this:' : 'Close to'
      }}</strong>
      <RouterLink
        :to="{
          name: twin.episode.phase.kind === 'idea' ? 'idea' : 'episode',
          params: { code: twin.episode.code },
        }"
        >{{ twin.number }} {{ twin.title }}</RouterLink
      ><template v-if="like && like.words.length > 0"> ({{ like.words.slice(0, 4).join(', ') }})</template>
    </p>
    <template v-if="episode.phase.kind === 'idea' || episode.phase.kind === 'parked'">
      <p v-if="episode.phase.kind === 'parked'" class="sub">
        Parked: {{ episode.phase.why
        }}<template v-if="episode.phase.after">
          until after {{ cards.card(episode.phase.after)?.title }}</template
        >
      </p>
      <div class="flex flex-wrap gap-2">
        <button class="btn btn-main flex-1" @click="dialogs.show({ kind: 'place', episode: episode.id })">
          Put on a slot <KeySign :line="ideasKeys.lines.place" /></button
        ><button class="btn" @click="emit('start')">Start <KeySign :line="ideasKeys.lines.start" /></button>
      </div>
    </template>
    <div class="flex flex-wrap gap-2">
      <button class="btn btn-small" @click="emit('open')">
        {{ episode.phase.kind === 'idea' ? 'Its page' : 'Open it' }}
        <KeySign :line="ideasKeys.lines.open" :which="0" /></button
      ><button
        v-if="episode.phase.kind === 'idea'"
        class="btn btn-bare btn-small text-ink-2"
        @click="library.perform(dropEpisodes, { episodes: [episode.id], why: '' })"
      >
        Let it go <KeySign :line="ideasKeys.lines.drop" /></button
      ><button
        v-else-if="episode.phase.kind === 'dropped'"
        class="btn btn-small"
        @click="library.perform(backToIdeas, { episode: episode.id })"
      >
        Take it back
      </button>
    </div>
    <p class="sub border-t border-faint pt-3">
      <span class="num">{{ episode.code }}</span> {{ show?.title }}, jotted
      {{ sayAway(moment.dayOn(episode.createdAt), moment.today) }}. Or drag it onto an open frame of the film
      above.
    </p>
  </aside>
</template>
