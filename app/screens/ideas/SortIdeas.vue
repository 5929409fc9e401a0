<script setup lang="ts">
import { computed, ref } from 'vue'
import { addDays, sayAway } from '@core/rhythm/days'
import { useMoment } from '@app/stores/moment'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import { usePictures } from '@app/stores/pictures'
import { useKeymap } from '@app/ui/keymap'
import KeySign from '@app/ui/KeySign.vue'
import { sortKeys, sortings } from './keymap'
import { useSorting } from './sorting'
import IdeasHead from './IdeasHead.vue'
import LikelySame from './LikelySame.vue'
import TopicField from './TopicField.vue'
import DateField from '@app/ui/fields/DateField.vue'

/** Unsorted ideas one at a time, large: a key decides, and the next one is there. */
const library = useLibrary()
const moment = useMoment()
const dialogs = useDialogs()
const pictures = usePictures()
const line = ref<HTMLInputElement>()
const {
  row,
  current,
  done,
  like,
  adding,
  added,
  restUntil,
  sort,
  dropIdeas,
  rest,
  until,
  merge,
  later,
  add,
  keepLine,
  back,
} = useSorting(line)
const show = computed(() => library.tables.shows.get(current.value?.show ?? ''))
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
            Leave it for later <KeySign :line="sortKeys.lines.later" :which="0" /></button
          ><button v-if="done > 0" class="btn btn-small" @click="back">
            Take back <KeySign :line="sortKeys.lines.back" :which="0" />
          </button>
        </div>
      </section>
      <LikelySame :like="like" @merge="merge" />
    </div>
  </div>
</template>
