<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { Maximize2, Plus } from '@lucide/vue'
import { onKeyStroke } from '@vueuse/core'
import { usualDay } from '@core/catalogue/facts'
import { writeScript, type ScriptWish } from '@core/commands/episode'
import { noteFact } from '@core/commands/facts'
import type { StageState } from '@core/recipe/progress'
import { pointSeconds } from '@core/script/attention'
import { numberedCues } from '@core/script/cues'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import { useKeymap } from '@app/ui/keymap'
import KeySign from '@app/ui/KeySign.vue'
import { scriptKeys } from './keymap'
import MayChange from './facts/MayChange.vue'
import CopyEdit from './script/CopyEdit.vue'
import CueMargin from './script/CueMargin.vue'
import PromisedWords from './script/PromisedWords.vue'
import FindBar from './script/FindBar.vue'
import RunningTime from './script/RunningTime.vue'
import ScriptHead from './script/ScriptHead.vue'
import SectionMenu from './script/SectionMenu.vue'
import SpokenAs from './script/SpokenAs.vue'
import StepList from './StepList.vue'
import { useScriptDeeds } from './script/useScriptDeeds'
import './script/document/document.css'

const { card, here } = defineProps<{ card: Card; here: StageState }>()
const library = useLibrary()
const moment = useMoment()
const root = ref<HTMLElement | null>(null)
const of = useScriptDeeds(root, () => card)
const { editor, sections, script, promised } = of
const cues = computed(() => numberedCues(script.value))
const points = computed(() => card.episode.brief.points)
const toPoints = computed(() => pointSeconds(script.value, card.show.pace, points.value.length))
const route = useRoute()
const router = useRouter()
function read() {
  of.give()
  void router.push({ name: 'reader', params: { code: card.episode.code } })
}
watch(editor, async () => {
  const { at: cue } = route.query
  await nextTick()
  if (typeof cue === 'string') of.show(cue)
})
const at = computed(() => sections.value.findIndex((s) => s.id === of.here.value.section) + 1)
const isFinding = ref(false)
const isFull = ref(false)
function act(wish: ScriptWish) {
  void library.perform(writeScript, { episode: card.episode.id, wish }, 'quietly')
}
/** What is selected, or the sentence at the caret, is looked at again. */
function noteChosen() {
  const chosen = of.chosen()
  if (!chosen) {
    library.say('Put the caret into what may change, or select it.', 'refused')
    return
  }
  const on = usualDay(card.standing.release?.day, moment.today)
  const fact = { id: library.newId(), what: chosen.words, on, beat: chosen.beat }
  void library.perform(noteFact, { episode: card.episode.id, fact })
}
async function full(on: boolean) {
  isFull.value = on
  await nextTick()
  // A browser that keeps its frame still shows the script alone.
  if (on) await document.documentElement.requestFullscreen().catch(() => undefined)
  else if (document.fullscreenElement) await document.exitFullscreen().catch(() => undefined)
}
useKeymap(
  scriptKeys,
  {
    cue: of.cue,
    deliver: of.deliver,
    move: ({ which }) => of.move(which === 0 ? -1 : 1),
    title: of.title,
    section: of.openMenu,
    next: of.next,
    dismiss: of.dismiss,
    again: noteChosen,
    find: () => {
      isFinding.value = true
    },
    full: () => full(!isFull.value),
    read,
  },
  ['cue', 'deliver', 'move', 'title', 'section', 'next', 'again', 'find', 'dismiss', 'full', 'read'],
)
onKeyStroke('Escape', (event) => {
  if (isFull.value && !event.defaultPrevented) void full(false)
})
</script>

<template>
  <div
    class="grid grid-cols-1 lg:grid-cols-[240px_minmax(0,1fr)]"
    :class="isFull ? 'fixed inset-0 z-40 overflow-y-auto bg-ground' : ''"
  >
    <aside
      class="border-r border-faint p-5 lg:sticky lg:top-0 self-start lg:max-h-screen lg:min-h-[calc(100vh-130px)] overflow-y-auto max-lg:border-r-0 max-lg:border-b"
      aria-label="Running time"
    >
      <RunningTime
        :script="script"
        :show="card.show"
        :here="of.here.value.section"
        @go="of.goTo"
        @beat="of.goTo"
        @move="of.moveTo"
      />
      <button v-if="of.isUnwritten.value" class="btn btn-main w-full mb-4" @click="of.next">
        Next unwritten beat <KeySign :line="scriptKeys.lines.next" />
      </button>
      <CopyEdit
        :card="card"
        :script="of.read.value"
        :remarks="of.remarks.value"
        @go="of.goTo"
        @left="of.give"
      />
      <PromisedWords
        v-if="promised.offers.value.length > 0 || promised.read.value"
        :offers="promised.offers.value"
        :read="promised.read.value"
        @go="of.goTo"
        @place-offer="promised.placeOffer"
        @place-read="promised.placeRead"
      />
      <MayChange :card="card" :script="script" @go="of.goTo" @note="noteChosen" />
      <StepList :card="card" :here="here" />
    </aside>
    <div class="grid grid-cols-1 lg:grid-cols-[minmax(0,640px)_minmax(190px,360px)] gap-x-4 px-5 max-sm:px-3">
      <div class="lg:col-span-2 flex flex-wrap items-center gap-x-3 gap-y-1.5 py-2.5">
        <h2>Script</h2>
        <p v-if="sections.length > 0" class="sub">
          {{ at > 0 ? `section ${at} of ${sections.length}` : `${sections.length} sections` }}
        </p>
        <span class="flex-1" /><label class="inline-flex items-center gap-1.5 text-12 text-ink-2"
          >Spoken
          <SpokenAs
            whole
            name="the script"
            :spoken="card.script?.spoken"
            :lasts="card.script?.lasts"
            @speak="act({ kind: 'speak', spoken: $event ?? 'words' })"
            @last="act({ kind: 'last', seconds: $event })"
        /></label>
        <button class="btn btn-small" @click="read">
          Read <KeySign :line="scriptKeys.lines.read" :which="0" /></button
        ><button class="btn btn-small" @click="of.addSection"><Plus :size="14" /> Section</button
        ><button class="btn btn-small" @mousedown.prevent @click="of.cue">
          Cue <KeySign :line="scriptKeys.lines.cue" /></button
        ><button
          class="btn btn-small px-2"
          :aria-pressed="isFull"
          aria-label="Full screen"
          :title="`Full screen (${scriptKeys.lines.full[0]})`"
          @click="full(!isFull)"
        >
          <Maximize2 :size="14" />
        </button>
      </div>
      <div class="sticky top-0 z-10 bg-ground lg:col-span-2 lg:pl-[76px]">
        <ScriptHead :takeaway="card.episode.brief.takeaway" :points="points" :seconds="toPoints" />
        <FindBar
          v-if="isFinding && editor"
          :editor="editor"
          :sections="sections"
          @close="isFinding = false"
        />
      </div>
      <div class="relative min-w-0">
        <div ref="root" />
        <SectionMenu
          v-if="of.menu.value"
          :section="of.menu.value.section"
          :points="points"
          :top="of.menu.value.top"
          @change="of.changeSection"
          @move="of.moveMenu"
          @remove="of.removeMenu"
          @close="of.closeMenu"
        />
      </div>
      <CueMargin
        :cues="cues"
        :active="of.active.value"
        :fresh="of.fresh.value"
        :root="root"
        @change="of.changeCue"
        @enter="of.enter"
        @back="of.back"
      />
    </div>
  </div>
</template>
