<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import { Camera, Mic, Plus, X } from '@lucide/vue'
import { writeScript, type ScriptWish } from '@core/commands/episode'
import type { StageState } from '@core/recipe/progress'
import type { Beat, Section } from '@core/records'
import { beatsFrom } from '@core/script/paste'
import { spokenIn } from '@core/script/spoken'
import { sayTime } from '@core/script/timecode'
import { beatSeconds, sectionSeconds } from '@core/script/timing'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import BeatCues from './script/BeatCues.vue'
import PasteScript from './script/PasteScript.vue'
import SpokenAs from './script/SpokenAs.vue'
import RunningTime from './script/RunningTime.vue'
import StepList from './StepList.vue'
import { typedIn } from '@app/ui/fields/event'
import { useScriptKeys } from './script/keys'

const { card, here } = defineProps<{ card: Card; here: StageState }>()
const library = useLibrary()
const script = computed(() => card.script)
const pace = computed(() => card.show.pace)
const guidance = (s: Section) => card.recipe.outline.find((o) => s.id.endsWith(`/${o.id}`))?.guidance ?? ''
function placeholder(section: Section): string {
  const says = section.beats.length === 1 ? guidance(section) : ''
  if (says !== '') return says
  return { words: 'Write this beat', points: 'A point a line', free: 'Notes, if you like' }[
    spokenIn(script.value, section)
  ]
}
const cueNumber = computed(() => {
  const n = new Map<string, number>()
  for (const s of script.value?.sections ?? [])
    for (const b of s.beats) for (const c of b.cues) n.set(c.id, n.size + 1)
  return n
})
const newId = () => crypto.randomUUID().slice(0, 12)
const pasting = ref(false)
const cues = useTemplateRef<InstanceType<typeof BeatCues>[]>('cues')

async function act(wish: ScriptWish) {
  return library.perform(writeScript, { episode: card.episode.id, wish }, 'quietly')
}
function focusBeat(id: string | undefined, caret?: number) {
  void nextTick(() => {
    const field = document.getElementById(`beat-${id}`)
    if (!(field instanceof HTMLTextAreaElement)) return
    field.focus()
    const at = caret ?? field.value.length
    field.setSelectionRange(at, at)
  })
}
const keyed = useScriptKeys({
  act,
  focusBeat,
  deliver,
  shot: (beat) => cues.value?.find((c) => c.beat.id === beat.id)?.note(),
  after: (section, i) =>
    library.records.scripts.get(card.episode.id)?.sections.find((s) => s.id === section)?.beats[i + 1]?.id,
})
function timeOf(section: Section, beat: Beat): string {
  const spoken = spokenIn(script.value, section)
  return beat.text === '' || spoken === 'free' ? '' : sayTime(beatSeconds(beat, pace.value, spoken))
}
function deliver(beat: Beat) {
  void act({ kind: 'deliver', beat: beat.id, delivery: beat.delivery === 'camera' ? 'voice' : 'camera' })
}
function paste(event: ClipboardEvent, beat: Beat) {
  const text = event.clipboardData?.getData('text/plain') ?? ''
  const beats = beatsFrom(text, beat.delivery, newId)
  if (beats.length < 2) return
  event.preventDefault()
  void act({ kind: 'paste', beat: beat.id, beats })
  focusBeat(beats.at(-1)?.id)
}
function replaceBy(sections: Section[]) {
  pasting.value = false
  void act({ kind: 'replace', sections })
}
function goTo(id: string) {
  document.getElementById(`section-${id}`)?.scrollIntoView({ block: 'start' })
  focusBeat(script.value?.sections.find((s) => s.id === id)?.beats[0]?.id, 0)
}
const unwritten = computed(() =>
  script.value?.sections
    .filter((s) => spokenIn(script.value, s) !== 'free')
    .flatMap((s) => s.beats)
    .find((b) => b.text.trim() === ''),
)
</script>

<template>
  <div class="grid grid-cols-1 lg:grid-cols-[240px_minmax(0,1fr)]">
    <aside
      class="border-r border-faint p-5 lg:sticky lg:top-0 self-start lg:h-[calc(100vh-117px)] overflow-y-auto max-lg:border-r-0 max-lg:border-b"
      aria-label="Running time"
    >
      <RunningTime :card="card" @go="goTo" />
      <button v-if="unwritten" class="btn btn-main w-full mb-4" @click="focusBeat(unwritten.id)">
        Next unwritten beat
      </button>
      <StepList :card="card" :here="here" />
    </aside>
    <div class="px-6 py-5 max-sm:px-3 max-w-[1080px]">
      <div class="flex items-center gap-3 border-b border-faint pb-3 mb-1">
        <p class="flex-1 min-w-0">
          <strong class="font-title font-semibold">{{
            card.episode.brief.takeaway || 'Nothing to take away yet'
          }}</strong><span class="sub block"
            ><template v-for="(p, i) in card.episode.brief.points.filter((x) => x)" :key="i"
              ><b class="text-ink">{{ i + 1 }}</b> {{ p }} &nbsp;</template
            ></span
          >
        </p>
        <label class="inline-flex items-center gap-1.5 text-12 text-ink-2"
          >Spoken <SpokenAs :script="script" @act="act" /></label
        ><button class="btn btn-small" @click="pasting = true">Paste a whole script</button>
        <button class="btn btn-small" @click="act({ kind: 'add section', title: 'New section' })">
          <Plus :size="14" /> Section
        </button>
      </div>
      <section
        v-for="section in script?.sections"
        :id="`section-${section.id}`"
        :key="section.id"
        class="pt-5"
      >
        <header class="flex items-baseline gap-3 max-w-[620px] mb-2">
          <input
            class="quiet-field font-title font-semibold text-16"
            :value="section.title"
            :aria-label="`Title of the section ${section.title}`"
            @input="act({ kind: 'name section', section: section.id, title: typedIn($event) })"
          />
          <span class="num">{{ sayTime(sectionSeconds(script, section, pace)) }}</span>
          <SpokenAs :script="script" :section="section" @act="act" /><button
            class="text-ink-2 px-1"
            :aria-label="`Remove the section ${section.title}`"
            @click="act({ kind: 'remove section', section: section.id })"
          >
            <X :size="14" />
          </button>
        </header>
        <div v-for="(beat, i) in section.beats" :key="beat.id" class="beat">
          <button
            class="delivery"
            :aria-label="
              beat.delivery === 'camera' ? 'To camera; change to voice-over' : 'Voice-over; change to camera'
            "
            :title="`${beat.delivery === 'camera' ? 'To camera' : 'Voice-over'} (Alt V)`"
            @click="deliver(beat)"
          >
            <span class="num text-11">{{ timeOf(section, beat) }}</span><span
              class="text-11 text-ink-2 flex items-center gap-1 justify-end"
              ><component :is="beat.delivery === 'camera' ? Camera : Mic" :size="11" />{{
                beat.delivery === 'camera' ? 'camera' : 'voice'
              }}</span
            >
          </button>
          <span class="bar" :class="beat.delivery" aria-hidden="true" />
          <textarea
            :id="`beat-${beat.id}`"
            class="words"
            rows="1"
            :value="beat.text"
            :placeholder="placeholder(section)"
            :aria-label="`Beat ${i + 1} of ${section.title}`"
            spellcheck="true"
            @input="act({ kind: 'write beat', beat: beat.id, text: typedIn($event) })"
            @keydown="keyed($event, { section, beat, i })"
            @paste="paste($event, beat)"
          />
          <BeatCues
            ref="cues"
            :beat="beat"
            :named="`beat ${i + 1} of ${section.title}`"
            :numbers="cueNumber"
            @act="act"
            @back="focusBeat(beat.id)"
          />
        </div>
        <button
          class="btn btn-bare btn-small text-ink-2 ml-[66px]"
          @click="act({ kind: 'add beat', section: section.id })"
        >
          <Plus :size="13" /> Beat
        </button>
      </section>
      <p v-if="!script || script.sections.length === 0" class="sub py-8">
        {{
          script?.spoken === 'free'
            ? 'Spoken freely: its length is all it needs. Sections are there if you want chapters.'
            : 'No sections yet. Add one, or paste a whole script.'
        }}
      </p>
    </div>
    <PasteScript v-if="pasting" :pace="pace" @take="replaceBy" @close="pasting = false" />
  </div>
</template>

<style scoped>
.beat {
  display: grid;
  grid-template-columns: 58px 8px minmax(0, 1fr) minmax(180px, 300px);
  gap: 0;
  margin-bottom: 12px;
  align-items: start;
}
.delivery {
  display: grid;
  justify-items: end;
  gap: 0;
  padding: 4px 10px 0 0;
  border-radius: 4px;
  min-height: 40px;
  align-content: start;
}
.bar {
  align-self: stretch;
  width: 2px;
  background: var(--ink);
}
.bar.voice {
  background: repeating-linear-gradient(to bottom, var(--ink) 0 6px, transparent 6px 10px);
}
.words {
  width: 100%;
  padding: 2px 12px 2px 8px;
  border: 0;
  background: transparent;
  resize: none;
  field-sizing: content;
  font-size: 16px;
  line-height: 26px;
  min-height: 30px;
  border-radius: 4px;
}
@media (max-width: 639px) {
  .beat {
    grid-template-columns: 48px 8px minmax(0, 1fr);
  }
}
</style>
