<script setup lang="ts">
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { History, NotebookPen } from '@lucide/vue'
import { startWork } from '@core/commands/schedule'
import { sayFreshNotice } from '@core/views/verdict'
import { sixLamps } from '@core/recipe/progress'
import { sayAway, sayDay } from '@core/rhythm/days'
import { sayUntil } from '@core/rhythm/zone'
import { useCards } from '@app/stores/cards'
import { useDesk } from '@app/stores/desk'
import { useMoment } from '@app/stores/moment'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import { useKeymap } from '@app/ui/keymap'
import { episodeKeys } from './keymap'
import { useTabMark } from '@app/ui/tab-mark'
import ImportanceMark from '@app/ui/ImportanceMark.vue'
import { useImportance } from '@app/stores/importance'
import LampMark from '@app/ui/LampMark.vue'
import NextDue from './parts/NextDue.vue'
import EpisodeTerms from './EpisodeTerms.vue'

const { code, stage = '' } = defineProps<{ code: string; stage?: string }>()
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const dialogs = useDialogs()
const importance = useImportance()
const desk = useDesk()
const NotebookPanel = defineAsyncComponent(() => import('./notebook/NotebookPanel.vue'))
const router = useRouter()

const workspaces = {
  brief: defineAsyncComponent(() => import('./BriefStage.vue')),
  script: defineAsyncComponent(() => import('./ScriptStage.vue')),
  film: defineAsyncComponent(() => import('./FilmStage.vue')),
  edit: defineAsyncComponent(() => import('./EditStage.vue')),
  thumbnail: defineAsyncComponent(() => import('./ThumbnailStage.vue')),
  release: defineAsyncComponent(() => import('./ReleaseStage.vue')),
  after: defineAsyncComponent(() => import('./StepsStage.vue')),
  own: defineAsyncComponent(() => import('./StepsStage.vue')),
}

const found = computed(() => [...library.tables.episodes.values()].find((e) => e.code === code))
const ready = ref(false)
watch(
  () => found.value?.id,
  async (id) => {
    // Not read yet is not empty: nothing is shown until it is read.
    ready.value = id === undefined || library.isLoaded(id)
    if (id) await library.ensure([id])
    if (id === found.value?.id) ready.value = true
  },
  { immediate: true },
)
const card = computed(() => (ready.value && found.value ? cards.cardOf(found.value) : undefined))
const stages = computed(() => card.value?.standing.stages ?? [])
const here = computed(
  () => stages.value.find((s) => s.stage.id === stage) ?? card.value?.standing.where ?? stages.value[0],
)
/** Without a stage in the address the one it stands at is opened, and stays open when its lamp lights. */
watch(
  [() => stage, card],
  () => {
    if (stage === '' && card.value && here.value)
      void router.replace({ name: 'episode', params: { code, stage: here.value.stage.id } })
  },
  { immediate: true },
)
watch(
  [here, card],
  () => {
    if (card.value && here.value)
      document.title = `${card.value.number} ${here.value.stage.name}: ${card.value.title} · Lamp Reel`
  },
  { immediate: true },
)

/** It was put on a slot nearer than usual: said while that is news. */
const notice = computed(() => (card.value ? sayFreshNotice(card.value.standing, moment.today) : ''))
useTabMark(() => card.value && sixLamps(card.value.standing))

function to(step: number) {
  const at = stages.value.findIndex((s) => s.stage.id === here.value?.stage.id) + step
  const goal = stages.value[at]
  if (goal) void router.push({ name: 'episode', params: { code, stage: goal.stage.id } })
}
useKeymap(
  episodeKeys,
  {
    notebook: () => {
      desk.notebook = !desk.notebook
    },
    stage: ({ which }) => {
      to(which === 0 ? -1 : 1)
    },
    history: () => {
      if (found.value) dialogs.show({ kind: 'history', episode: found.value.id })
    },
  },
  ['notebook'],
)
const joined = (i: number) =>
  stages.value[i]?.lamp.state === 'lit' && stages.value[i + 1]?.lamp.state === 'lit'
</script>

<template>
  <div v-if="card && here">
    <header class="border-b border-faint flex flex-wrap items-center gap-x-4 gap-y-2 px-5 min-h-[64px] py-2">
      <span class="flex items-center -mr-4"
        ><span class="num">{{ card.number }}</span
        ><ImportanceMark
          :of="importance.of(card.episode)"
          :name="card.title"
          @press="importance.press(card.episode)"
      /></span>
      <div class="flex-1 min-w-[220px]">
        <h1 class="text-20 leading-6 truncate">{{ card.title }}</h1>
        <p class="sub">
          {{ card.show.title }}
          <template v-if="card.episode.phase.kind === 'released'">
            · released {{ sayDay(card.standing.release?.day ?? '', moment.today) }},
            {{ sayAway(card.standing.release?.day ?? moment.today, moment.today) }}</template
          >
          <template v-else-if="card.standing.release">
            · goes out
            <button
              class="underline decoration-dotted underline-offset-2"
              @click="dialogs.show({ kind: 'place', episode: card.episode.id })"
            >
              {{ sayDay(card.standing.release.day, moment.today) }} {{ card.standing.release.time }}</button
            >, {{ sayUntil(moment.now, card.standing.release.at, card.show.zone) }}</template
          >
          <template v-else>
            · no slot yet,
            <button
              class="underline decoration-dotted underline-offset-2"
              @click="dialogs.show({ kind: 'place', episode: card.episode.id })"
            >
              put it on one
            </button></template
          >
          <template v-if="notice && card.episode.phase.kind === 'work'">· {{ notice }}</template>
          <NextDue v-if="card.standing.next" :step="card.standing.next" />
        </p>
      </div>
      <nav aria-label="Stages of the episode" class="flex flex-wrap items-center">
        <template v-for="(s, i) in stages" :key="s.stage.id">
          <RouterLink
            :to="{ name: 'episode', params: { code, stage: s.stage.id } }"
            class="stage"
            :class="{ here: s.stage.id === here.stage.id }"
            :aria-current="s.stage.id === here.stage.id ? 'step' : undefined"
            ><LampMark :lamp="s.lamp" :size="20" :name="s.stage.name" /><span aria-hidden="true">{{
              s.stage.name
            }}</span></RouterLink
          >
          <span v-if="joined(i)" class="w-2.5 h-[2px] bg-lamp-line -mx-0.5" aria-hidden="true" />
        </template>
        <EpisodeTerms :card="card" class="ml-2" />
        <button
          class="btn btn-bare px-2 ml-1"
          :class="desk.notebook ? 'text-lamp-text' : ''"
          aria-label="Notebook"
          :aria-expanded="desk.notebook"
          title="Notebook (N)"
          @click="desk.notebook = !desk.notebook"
        >
          <NotebookPen :size="17" /></button
        ><button
          class="btn btn-bare px-2"
          aria-label="History"
          title="History (H)"
          @click="dialogs.show({ kind: 'history', episode: card.episode.id })"
        >
          <History :size="17" />
        </button>
      </nav>
    </header>
    <p v-if="card.episode.phase.kind === 'idea'" class="mx-5 mt-4 panel p-4 flex items-center gap-4">
      <span class="flex-1"
        >This is still an idea. Start it, and it gets the steps and the script’s sections of its recipe.</span
      ><button class="btn" @click="dialogs.show({ kind: 'place', episode: card.episode.id })">
        Put on a slot</button
      ><button class="btn btn-main" @click="library.perform(startWork, { episode: card.episode.id })">
        Start it
      </button>
    </p>
    <div class="flex items-start">
      <component
        :is="workspaces[here.stage.kind]"
        :key="`${card.episode.id} ${here.stage.id}`"
        :card="card"
        :here="here"
        class="flex-1 min-w-0"
      />
      <NotebookPanel
        v-if="desk.notebook"
        :key="card.episode.id"
        :card="card"
        :here="here"
        @close="desk.notebook = false"
      />
    </div>
  </div>
  <section v-else-if="ready" class="mx-auto max-w-[520px] p-10 text-center">
    <h1>No episode has the code {{ code }}</h1>
    <p class="sub mt-2 mb-5">It may have been erased, or be in the other set of data.</p>
    <RouterLink to="/schedule" class="btn btn-main">To the schedule</RouterLink>
  </section>
</template>

<style scoped>
.stage {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  padding: 5px 9px;
  border-radius: 6px;
  color: var(--ink-2);
  text-decoration: none;
  font-weight: 500;
}
.stage:hover {
  color: var(--ink);
}
.stage.here {
  background: var(--raised);
  color: var(--ink);
}
</style>
