<script setup lang="ts">
import { computed, ref } from 'vue'
import { addTitle, chooseTitle } from '@core/commands/episode'
import { titlesByScore } from '@core/ideas/titles'
import type { TitleCandidate } from '@core/records'
import { charactersIn, strictest } from '@core/release/limits'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import Flag from '@app/ui/Flag.vue'
import OptionalNumberField from '@app/ui/fields/OptionalNumberField.vue'
import { typedIn } from '@app/ui/fields/event'
import { useWriting } from '../writing'

/** The ways to call it: with a score where some tool gave one, the highest first; one is chosen. */
const { card } = defineProps<{ card: Card }>()
const library = useLibrary()
const write = useWriting(() => card)
const fresh = ref('')
const limit = computed(() => strictest(card.outlets).title)
/** The order holds while scores are typed, so that no line jumps away under the cursor. */
const inField = ref<readonly string[]>()
const titles = computed(() => {
  const order = inField.value
  const { titles: all } = card.episode
  return order ? [...all].sort((a, b) => order.indexOf(a.id) - order.indexOf(b.id)) : titlesByScore(all)
})
const noted = ref(new Set<string>())

async function add(text: string) {
  fresh.value = ''
  const done = await library.perform(addTitle, { episode: card.episode.id, text }, 'quietly')
  if (!done.ok) fresh.value = text
}
function rewrite(id: string, change: Partial<TitleCandidate>) {
  void write({ titles: card.episode.titles.map((t) => (t.id === id ? { ...t, ...change } : t)) }, 'a title')
}
function remove(id: string) {
  void write(
    {
      titles: card.episode.titles.filter((t) => t.id !== id),
      ...(card.episode.chosenTitle === id ? { chosenTitle: undefined } : {}),
    },
    'the titles',
  )
}
function left(event: FocusEvent) {
  const { currentTarget, relatedTarget } = event
  if (currentTarget instanceof Node && relatedTarget instanceof Node && currentTarget.contains(relatedTarget))
    return
  inField.value = undefined
}
</script>

<template>
  <fieldset>
    <legend class="label">Title candidates, one chosen</legend>
    <ul class="grid gap-1.5" @focusin="inField ??= titles.map((t) => t.id)" @focusout="left">
      <li v-for="t in titles" :key="t.id">
        <div class="flex items-center gap-2">
          <input
            type="radio"
            name="title"
            class="tick rounded-full!"
            :checked="card.episode.chosenTitle === t.id"
            :aria-label="`Choose “${t.text}”`"
            @change="library.perform(chooseTitle, { episode: card.episode.id, title: t.id }, 'quietly')"
          />
          <input
            class="quiet-field mx-0 flex-1 min-w-0"
            :class="card.episode.chosenTitle === t.id ? 'font-semibold' : ''"
            :value="t.text"
            :aria-label="`Title candidate ${t.text}`"
            @input="rewrite(t.id, { text: typedIn($event) })"
          />
          <span class="num text-11" :class="charactersIn(t.text) > limit ? '' : 'max-2xl:hidden'"
            ><Flag v-if="charactersIn(t.text) > limit" :size="9" />{{ charactersIn(t.text) }}/{{
              limit
            }}</span
          ><OptionalNumberField
            class="w-[76px] flex-none"
            field="quiet-field num mx-0 w-full"
            hidden
            :label="`Score of “${t.text}”`"
            :model-value="t.score"
            :min="0"
            :max="1000"
            placeholder="score"
            @update:model-value="rewrite(t.id, { score: $event })"
          /><button
            v-if="!t.note && !noted.has(t.id)"
            class="text-ink-2 px-1 text-12"
            :aria-label="`Add a note to “${t.text}”`"
            @click="noted = new Set([...noted, t.id])"
          >
            note</button
          ><button class="text-ink-2 px-1" :aria-label="`Remove “${t.text}”`" @click="remove(t.id)">×</button>
        </div>
        <input
          v-if="t.note || noted.has(t.id)"
          class="quiet-field mx-0 ml-[26px] w-[calc(100%-26px)] text-12 text-ink-2"
          :value="t.note ?? ''"
          placeholder="Why, or where it was tried"
          :aria-label="`Note on “${t.text}”`"
          @input="rewrite(t.id, { note: typedIn($event) || undefined })"
        />
      </li>
    </ul>
    <form class="flex gap-2 mt-2" @submit.prevent="add(fresh)">
      <input
        v-model="fresh"
        class="field"
        data-at="title"
        :placeholder="card.episode.titles.length === 0 ? card.episode.title : 'Another way to say it'"
        aria-label="A title candidate"
      /><button class="btn">Add</button>
    </form>
    <button
      v-if="card.episode.titles.length === 0 && fresh === ''"
      class="btn btn-small btn-bare underline underline-offset-2 mt-1"
      @click="add(card.episode.title)"
    >
      Take the working title
    </button>
  </fieldset>
</template>
