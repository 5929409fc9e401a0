<script setup lang="ts">
import { sum } from 'd3-array'
import { computed, nextTick, ref } from 'vue'
import { Camera, Mic, Plus, Video, X } from '@lucide/vue'
import { writeScript, type ScriptWish } from '@core/commands/episode'
import type { StageState } from '@core/recipe/progress'
import type { Beat, Section } from '@core/records'
import { beatsFrom, sectionsFrom } from '@core/script/paste'
import { sayTime } from '@core/script/timecode'
import { beatSeconds, scriptFigures, sectionSeconds } from '@core/script/timing'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import Flag from '@app/ui/Flag.vue'
import Sheet from '@app/ui/Sheet.vue'
import StepList from './StepList.vue'
import { rewrite, typedIn } from '@app/ui/fields/event'
import { keysOn, type Pressed } from '@app/ui/keymap'
import { scriptKeys } from './keymap'

const { card, here } = defineProps<{ card: Card; here: StageState }>()
const library = useLibrary()
const script = computed(() => card.script)
const pace = computed(() => card.show.pace)
const figures = computed(() => scriptFigures(script.value, pace.value))
const aim = computed(() => card.show.aim)
const againstAim = computed(() =>
  figures.value.seconds < aim.value.from * 60
    ? `${sayTime(aim.value.from * 60 - figures.value.seconds)} short of`
    : figures.value.seconds > aim.value.to * 60
      ? `${sayTime(figures.value.seconds - aim.value.to * 60)} over`
      : 'within',
)
const guidance = (s: Section) => card.recipe.outline.find((o) => s.id.endsWith(`/${o.id}`))?.guidance ?? ''
const cueNumber = computed(() => {
  const n = new Map<string, number>()
  for (const s of script.value?.sections ?? [])
    for (const b of s.beats) for (const c of b.cues) n.set(c.id, n.size + 1)
  return n
})
const newId = () => crypto.randomUUID().slice(0, 12)
const pasting = ref(false)
const pasted = ref('')
const shooting = ref<string>()

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
interface InBeat {
  section: Section
  beat: Beat
  i: number
}
/** Where the caret stands in the beat that a key was pressed in. */
function caretIn({ target }: Pressed): { at: number; end: number; value: string } {
  return target instanceof HTMLTextAreaElement
    ? { at: target.selectionStart, end: target.selectionEnd, value: target.value }
    : { at: 0, end: 0, value: '' }
}
const keyed = keysOn<keyof (typeof scriptKeys)['lines'], [InBeat]>(scriptKeys, {
  split: ({ event }, { section, beat, i }) => {
    void act({ kind: 'split beat', beat: beat.id, at: caretIn(event).at })
    const now = library.records.scripts.get(card.episode.id)?.sections.find((s) => s.id === section.id)
    focusBeat(now?.beats[i + 1]?.id, 0)
  },
  join: ({ event }, { section, beat, i }) => {
    const { at, end, value } = caretIn(event)
    if (at !== 0 || end !== 0 || (i === 0 && value !== '')) return false
    const before = section.beats[i - 1]
    void act({ kind: 'join beat', beat: beat.id })
    if (before) focusBeat(before.id, before.text.length + (before.text && value ? 1 : 0))
    return true
  },
  deliver: (_, { beat }) => {
    deliver(beat)
  },
  shot: (_, { beat }) => {
    noteShot(beat)
  },
  move: ({ event, which }, { beat }) => {
    void act({ kind: 'move beat', beat: beat.id, by: which === 0 ? -1 : 1 })
    focusBeat(beat.id, caretIn(event).at)
  },
  go: ({ event, which }, { section, i }) => {
    const { at, value } = caretIn(event)
    const to = section.beats[i + (which === 0 ? -1 : 1)]
    if (!to || at !== (which === 0 ? 0 : value.length)) return false
    focusBeat(to.id, which === 0 ? undefined : 0)
    return true
  },
})
function deliver(beat: Beat) {
  void act({ kind: 'deliver', beat: beat.id, delivery: beat.delivery === 'camera' ? 'voice' : 'camera' })
}
function noteShot(beat: Beat) {
  shooting.value = beat.id
  void nextTick(() => document.getElementById(`shot-${beat.id}`)?.focus())
}
function addShot(beat: Beat, event: Event) {
  const text = typedIn(event).trim()
  rewrite(event)
  if (text !== '') void act({ kind: 'add cue', beat: beat.id, text, cue: 'shot' })
  else {
    shooting.value = undefined
    focusBeat(beat.id)
  }
}
function paste(event: ClipboardEvent, beat: Beat) {
  const text = event.clipboardData?.getData('text/plain') ?? ''
  const beats = beatsFrom(text, beat.delivery, newId)
  if (beats.length < 2) return
  event.preventDefault()
  void act({ kind: 'paste', beat: beat.id, beats })
  focusBeat(beats.at(-1)?.id)
}
async function pasteWhole() {
  const sections = sectionsFrom(pasted.value, 'Script', newId)
  if (sections.length === 0) return
  await act({ kind: 'replace', sections })
  pasting.value = false
  pasted.value = ''
}
function goTo(id: string) {
  document.getElementById(`section-${id}`)?.scrollIntoView({ block: 'start' })
  focusBeat(script.value?.sections.find((s) => s.id === id)?.beats[0]?.id, 0)
}
const unwritten = computed(() =>
  script.value?.sections.flatMap((s) => s.beats).find((b) => b.text.trim() === ''),
)
</script>

<template>
  <div class="grid grid-cols-1 lg:grid-cols-[240px_minmax(0,1fr)]">
    <aside
      class="border-r border-faint p-5 lg:sticky lg:top-0 self-start lg:h-[calc(100vh-117px)] overflow-y-auto max-lg:border-r-0 max-lg:border-b"
      aria-label="Running time"
    >
      <div class="flex items-baseline justify-between">
        <h2 class="font-sans font-normal text-14 text-ink-2">Running time</h2>
        <strong class="num text-20 text-ink" data-testid="running-time">{{
          sayTime(figures.seconds)
        }}</strong>
      </div>
      <p class="sub mb-4">
        <Flag v-if="figures.seconds > aim.to * 60" />{{ againstAim }} the aim of {{ aim.from }} to
        {{ aim.to }} min
      </p>
      <ol class="grid gap-px mb-4">
        <li v-for="s in figures.sections" :key="s.id">
          <button
            class="flex w-full gap-2.5 text-left py-0.5 rounded-control hover:bg-raised"
            @click="goTo(s.id)"
          >
            <span class="w-[9px] flex-none flex flex-col gap-px" aria-hidden="true"
              ><span
                v-for="b in script?.sections.find((x) => x.id === s.id)?.beats"
                :key="b.id"
                class="block w-full rounded-[1px]"
                :class="
                  b.text === ''
                    ? 'border border-dashed border-ring'
                    : b.delivery === 'camera'
                      ? 'bg-ink-3'
                      : 'bar-voice'
                "
                :style="{ height: `${Math.max(4, beatSeconds(b, pace) / 4)}px` }" /></span
            ><span class="flex-1 min-w-0 text-12 truncate" :class="s.seconds === 0 ? 'text-ink-2' : ''">{{
              s.title
            }}</span
            ><span class="num">{{ sayTime(s.seconds) }}</span>
          </button>
        </li>
      </ol>
      <dl
        class="figures grid grid-cols-[1fr_auto] gap-y-1 text-12 text-ink-2 border-t border-faint pt-3 mb-4"
      >
        <dt>To camera</dt>
        <dd class="num">{{ sayTime(figures.delivery.camera) }}</dd>
        <dt>Voice-over</dt>
        <dd class="num">{{ sayTime(figures.delivery.voice) }}</dd>
        <dt>Words</dt>
        <dd class="num">{{ figures.words }}</dd>
        <dt>Beats with a picture</dt>
        <dd class="num">{{ figures.covered }} of {{ figures.beats }}</dd>
        <dt>Shots got</dt>
        <dd class="num">{{ figures.shots.got }} of {{ figures.shots.needed }}</dd>
      </dl>
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
        <button class="btn btn-small" @click="pasting = true">Paste a whole script</button>
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
          <span class="num">{{ sayTime(sectionSeconds(section, pace)) }}</span>
          <button
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
            <span class="num text-11">{{ beat.text ? sayTime(beatSeconds(beat, pace)) : '' }}</span><span
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
            :placeholder="section.beats.length === 1 ? guidance(section) : 'Write this beat'"
            :aria-label="`Beat ${i + 1} of ${section.title}`"
            spellcheck="true"
            @input="act({ kind: 'write beat', beat: beat.id, text: typedIn($event) })"
            @keydown="keyed($event, { section, beat, i })"
            @paste="paste($event, beat)"
          />
          <ul class="cues">
            <li
              v-for="c in beat.cues"
              :key="c.id"
              class="flex items-center gap-2 group"
              :class="c.got ? 'text-ink-3' : ''"
            >
              <span class="num text-11 w-[18px] text-right">{{ cueNumber.get(c.id) }}</span><Video
                :size="14"
                class="flex-none text-ink-2"
                aria-label="to film"
              /><input
                class="quiet-field mx-0 py-0.5 text-12"
                :value="c.text"
                :aria-label="`Shot: ${c.text}`"
                @input="act({ kind: 'write cue', cue: c.id, text: typedIn($event) })"
              /><span v-if="c.got" class="text-12" aria-label="got">✓</span
              ><button
                class="text-ink-2 px-1 opacity-0 group-hover:opacity-100 focus-visible:opacity-100"
                :aria-label="`Remove the shot ${c.text}`"
                @click="act({ kind: 'remove cue', cue: c.id })"
              >
                ×
              </button>
            </li>
            <li v-if="shooting === beat.id">
              <input
                :id="`shot-${beat.id}`"
                class="field text-12 min-h-[28px]! py-1"
                placeholder="A shot to get, then Enter"
                aria-label="A shot to get"
                @keydown.enter.prevent="addShot(beat, $event)"
                @keydown.esc.stop="
                  () => {
                    shooting = undefined
                    focusBeat(beat.id)
                  }
                "
                @blur="shooting = undefined"
              />
            </li>
            <li v-else>
              <button
                class="add"
                :aria-label="`Note a shot for beat ${i + 1} of ${section.title}`"
                title="Note a shot (Alt S)"
                @click="noteShot(beat)"
              >
                <Plus :size="12" /> shot
              </button>
            </li>
          </ul>
        </div>
        <button
          class="btn btn-bare btn-small text-ink-2 ml-[66px]"
          @click="act({ kind: 'add beat', section: section.id })"
        >
          <Plus :size="13" /> Beat
        </button>
      </section>
      <p v-if="!script || script.sections.length === 0" class="sub py-8">
        No sections yet. Add one, or paste a whole script.
      </p>
    </div>
    <Sheet :open="pasting" title="Paste a whole script" wide @close="pasting = false">
      <p class="sub mb-3">
        Plain text or Markdown. Lines with # before them, or in capitals alone, begin a section; blank lines
        part beats. It takes the place of the script that is there (undo brings that back).
      </p>
      <textarea v-model="pasted" class="field min-h-[220px] max-h-[50vh]" aria-label="The script" />
      <p class="sub my-3">
        {{ sectionsFrom(pasted, 'Script', newId).length }} sections,
        {{ sayTime(sum(sectionsFrom(pasted, 'Script', newId), (s) => sectionSeconds(s, pace))) }}
      </p>
      <button class="btn btn-main" :disabled="pasted.trim() === ''" @click="pasteWhole">Take it</button>
    </Sheet>
  </div>
</template>

<style scoped>
.figures dd {
  text-align: right;
}
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
.bar-voice {
  background: repeating-linear-gradient(to bottom, var(--ink-3) 0 3px, transparent 3px 5px);
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
.cues {
  padding: 4px 0 0 16px;
  display: grid;
  gap: 2px;
  min-width: 0;
}
.add {
  display: inline-flex;
  align-items: center;
  gap: 3px;
  font-size: 11px;
  color: var(--ink-2);
  opacity: 0;
  padding: 2px 4px;
  border-radius: 4px;
}
.beat:hover .add,
.beat:focus-within .add,
.add:focus-visible {
  opacity: 1;
}
@media (max-width: 639px) {
  .beat {
    grid-template-columns: 48px 8px minmax(0, 1fr);
  }
  .cues {
    grid-column: 3;
  }
}
@media (hover: none) {
  .add {
    opacity: 1;
  }
}
</style>
