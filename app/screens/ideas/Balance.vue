<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { editShow } from '@core/commands/shows'
import { balanceOf, span } from '@core/ideas/balance'
import type { Episode } from '@core/records'
import { sayAway } from '@core/rhythm/days'
import { releaseOf } from '@core/rhythm/slots'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import IdeasHead from './IdeasHead.vue'
import KeySign from '@app/ui/KeySign.vue'
import { shellKeys } from '../shell/keymap'
import TopicWishes from './TopicWishes.vue'

/**
 * Topics of a show: what went out in the last twelve, what is planned in the next twelve, against the wish.
 */
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const dialogs = useDialogs()
const router = useRouter()
const showId = ref(moment.shows[0]?.id ?? '')
const show = computed(() => library.tables.shows.get(showId.value))
const balance = computed(() =>
  show.value ? balanceOf(show.value, library.tables.episodes.values(), moment.today) : undefined,
)
const topic = ref('')
const fresh = ref('')
const starved = computed(() => balance.value?.sentences.find((s) => s.kind === 'starved')?.topic)
const looked = computed(() => topic.value || starved.value || balance.value?.topics[0]?.topic || '')
const ideas = computed(() =>
  cards.ideas.filter((e) => e.show === showId.value && e.topics.includes(looked.value)),
)
/** The longest row fills its column; in percent of it, how wide a cell is and where a wish is marked. */
const longest = computed(() => {
  const b = balance.value
  return Math.max(
    1,
    ...(b?.topics ?? []).flatMap((t) => [
      t.past.length,
      t.next.length,
      t.target * Math.min(span, b?.past ?? 0),
      t.target * (b?.next ?? 0),
    ]),
  )
})
const cell = computed(() => ({ width: `calc(${100 / longest.value}% - 3px)` }))
const wished = (target: number, of: number) => `${(100 * target * of) / longest.value}%`
const isWishing = ref(false)
const when = (e: Episode) =>
  show.value ? sayAway(releaseOf(e, show.value)?.day ?? moment.today, moment.today) : ''

async function write(topics: { name: string; share: number }[]) {
  if (show.value) await library.perform(editShow, { show: show.value.id, fields: { topics } }, 'quietly')
}
async function taken(topics: { name: string; share: number }[]) {
  await write(topics)
  isWishing.value = false
}
function add() {
  const name = fresh.value.trim()
  if (
    name !== '' &&
    show.value &&
    !show.value.topics.some((t) => t.name.toLowerCase() === name.toLowerCase())
  )
    void write([...show.value.topics, { name, share: 0.1 }])
  fresh.value = ''
}
</script>

<template>
  <div class="mx-auto max-w-[1360px] px-5 py-4 max-sm:px-3">
    <IdeasHead />
    <div v-if="moment.shows.length > 1" class="flex gap-1.5 mb-3" role="group" aria-label="Which show">
      <button
        v-for="s in moment.shows"
        :key="s.id"
        class="btn btn-small"
        :class="s.id === showId ? 'border-ink bg-raised' : ''"
        :aria-pressed="s.id === showId"
        @click="
          () => {
            showId = s.id
            topic = ''
          }
        "
      >
        {{ s.title }}
      </button>
    </div>
    <div v-if="balance && show" class="grid grid-cols-1 gap-5 lg:grid-cols-[minmax(0,1fr)_330px] items-start">
      <section class="panel p-5" aria-labelledby="balance">
        <h2 id="balance" class="mb-1">
          The last {{ Math.min(span, balance.past) }} released, the next {{ balance.next }} planned
        </h2>
        <ul v-if="balance.sentences.length > 0" class="mb-4 text-16" aria-label="What stands out">
          <li v-for="s in balance.sentences" :key="s.topic">
            <button
              class="text-left underline decoration-line underline-offset-4 hover:decoration-ink"
              @click="topic = s.topic"
            >
              {{ s.text }}
            </button>
          </li>
        </ul>
        <p v-else class="sub mb-4">
          {{
            balance.topics.length === 0
              ? 'No topics yet. Add the first below; episodes and ideas carry them as chips.'
              : 'Nothing is starved or crowded.'
          }}
        </p>
        <div v-if="balance.topics.length > 0" class="grid gap-1" role="list" aria-label="Topics">
          <div class="grid grid-cols-[150px_1fr_1fr_104px] gap-3 text-11 text-ink-2 max-sm:hidden">
            <span>Topic</span><span class="text-right">Released, the last on the right</span
            ><span>Planned, the next on the left</span><span class="text-right">Share and wish</span>
          </div>
          <div
            v-for="t in balance.topics"
            :key="t.topic"
            role="listitem"
            class="grid grid-cols-[150px_1fr_1fr_104px] max-sm:grid-cols-[110px_1fr_1fr_70px] gap-3 items-center py-1 rounded-control px-1 -mx-1"
            :class="looked === t.topic ? 'bg-raised' : ''"
          >
            <button
              class="text-left font-medium truncate"
              :aria-pressed="looked === t.topic"
              @click="topic = t.topic"
            >
              {{ t.topic
              }}<span class="sub block font-normal leading-4">{{
                t.last ? sayAway(t.last, moment.today) : 'none yet'
              }}</span>
            </button>
            <span
              class="relative flex justify-end gap-[3px] h-[20px]"
              :aria-label="`${t.past.length} released`"
              role="img"
              ><b
                v-if="t.target > 0"
                class="mark"
                :style="{ right: wished(t.target, Math.min(span, balance.past)) }" /><i
                v-for="e in [...t.past].reverse()"
                :key="e.id"
                class="cell exposed"
                :style="cell"
                :title="`${e.title}, ${when(e)}`"
            /></span>
            <span class="relative flex gap-[3px] h-[20px]" :aria-label="`${t.next.length} planned`" role="img"
              ><b v-if="t.target > 0" class="mark" :style="{ left: wished(t.target, balance.next) }" /><i
                v-for="e in t.next"
                :key="e.id"
                class="cell"
                :style="cell"
                :title="e.title"
            /></span>
            <span
              class="num text-right"
              :class="
                Math.abs(t.share - t.target) > Math.max(0.06, t.target * 0.5) ? 'text-ink font-bold' : ''
              "
              >{{ Math.round(t.share * 100) }} %<span class="sub block font-normal">{{
                t.target > 0 ? `of ${Math.round(t.target * 100)} %` : 'no wish'
              }}</span></span
            >
          </div>
        </div>
        <form class="flex gap-2 mt-4 items-center" @submit.prevent="add">
          <input
            v-model="fresh"
            class="field w-[200px]"
            placeholder="A new topic"
            aria-label="A new topic"
            maxlength="60"
          /><button class="btn">Add</button
          ><button v-if="show.topics.length > 0" type="button" class="btn ml-auto" @click="isWishing = true">
            Set the wishes
          </button>
        </form>
        <TopicWishes v-if="isWishing" :topics="show.topics" @take="taken" @close="isWishing = false" />
      </section>
      <aside class="panel p-4 grid gap-2" :aria-label="`Ideas on ${looked}`">
        <h2>
          Ideas on {{ looked }} <span class="num font-normal">{{ ideas.length }}</span>
        </h2>
        <ul class="grid gap-0.5 max-h-[60vh] overflow-y-auto -mx-2">
          <li
            v-for="e in ideas.slice(0, 60)"
            :key="e.id"
            class="flex items-center gap-1 rounded-control hover:bg-raised"
          >
            <button
              class="flex-1 text-left px-2 py-1.5 min-w-0 truncate"
              @click="router.push({ name: 'idea', params: { code: e.code } })"
            >
              {{ e.title }}</button><button
              class="btn btn-bare btn-small"
              :aria-label="`Put “${e.title}” on a slot`"
              @click="dialogs.show({ kind: 'place', episode: e.id })"
            >
              Place
            </button>
          </li>
        </ul>
        <p v-if="ideas.length === 0" class="sub">
          None is kept. Press <KeySign :line="shellKeys.lines.jot" /> and jot one; the topic is offered as you
          type.
        </p>
      </aside>
    </div>
  </div>
</template>

<style scoped>
.mark {
  position: absolute;
  top: -4px;
  bottom: -4px;
  width: 2px;
  background: var(--ink);
}
.cell {
  display: block;
  flex: none;
  height: 20px;
  border: 1px solid var(--ink-2);
  border-radius: 2px;
}
.cell.exposed {
  background: var(--ink-3);
  border-color: var(--ink-3);
}
</style>
