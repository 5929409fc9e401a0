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
import NumberField from '@app/ui/fields/NumberField.vue'

/**
 * Topics of a show: what went out in the last twelve, what is planned in the next twelve, against the wish.
 */
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const dialogs = useDialogs()
const router = useRouter()
const showId = ref(moment.shows[0]?.id ?? '')
const show = computed(() => library.records.shows.get(showId.value))
const balance = computed(() =>
  show.value ? balanceOf(show.value, library.records.episodes.values(), moment.today) : undefined,
)
const topic = ref('')
const fresh = ref('')
const starved = computed(() => balance.value?.sentences.find((s) => s.kind === 'starved')?.topic)
const looked = computed(() => topic.value || starved.value || balance.value?.topics[0]?.topic || '')
const ideas = computed(() =>
  cards.ideas.filter((e) => e.show === showId.value && e.topics.includes(looked.value)),
)
/** A cell and its gap are 25 px wide; the wish is marked where its share of the span would end. */
const wished = (target: number, of: number) => target * of * 25 - 2
const sum = computed(() => Math.round(100 * (show.value?.topics ?? []).reduce((s, t) => s + t.share, 0)))
const when = (e: Episode) =>
  show.value ? sayAway(releaseOf(e, show.value)?.day ?? moment.today, moment.today) : ''

async function write(topics: { name: string; share: number }[]) {
  if (show.value) await library.perform(editShow, { show: show.value.id, fields: { topics } }, 'quietly')
}
function share(name: string, percent: number) {
  if (!show.value) return
  const part = percent / 100
  const there = show.value.topics.some((t) => t.name === name)
  void write(
    there
      ? show.value.topics.map((t) => (t.name === name ? { ...t, share: part } : t))
      : [...show.value.topics, { name, share: part }],
  )
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
          <div class="grid grid-cols-[150px_1fr_1fr_92px] gap-3 text-11 text-ink-2 max-sm:hidden">
            <span>Topic</span><span class="text-right">← released</span><span>planned →</span
            ><span>Wished, %, and so</span>
          </div>
          <div
            v-for="t in balance.topics"
            :key="t.topic"
            role="listitem"
            class="grid grid-cols-[150px_1fr_1fr_92px] max-sm:grid-cols-[110px_1fr_1fr_70px] gap-3 items-center py-1 rounded-control px-1 -mx-1"
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
                :style="{ right: `${wished(t.target, balance.past)}px` }" /><i
                v-for="e in [...t.past].reverse()"
                :key="e.id"
                class="cell exposed"
                :title="`${e.title}, ${when(e)}`"
            /></span>
            <span class="relative flex gap-[3px] h-[20px]" :aria-label="`${t.next.length} planned`" role="img"
              ><b
                v-if="t.target > 0"
                class="mark"
                :style="{ left: `${wished(t.target, balance.next)}px` }" /><i
                v-for="e in t.next"
                :key="e.id"
                class="cell"
                :title="e.title"
            /></span>
            <span class="flex items-center gap-2"
              ><NumberField
                :model-value="Math.round(t.target * 100)"
                field="field num w-[58px] min-h-[28px] py-0.5 text-right"
                :label="`Wished share of ${t.topic} in percent`"
                hidden
                :min="0"
                :max="100"
                @update:model-value="share(t.topic, $event)"
              /><span
                class="num text-11"
                :class="
                  Math.abs(t.share - t.target) > Math.max(0.06, t.target * 0.5) ? 'text-ink font-bold' : ''
                "
                >{{ Math.round(t.share * 100) }}</span
              ></span
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
          ><span v-if="sum !== 100 && show.topics.length > 0" class="sub ml-2"
            >The wishes make {{ sum }} % together.</span
          >
        </form>
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
  width: 22px;
  border: 1px solid var(--ink-2);
  border-radius: 2px;
}
.cell.exposed {
  background: var(--ink-3);
  border-color: var(--ink-3);
}
</style>
