<script setup lang="ts">
import { sum } from 'd3-array'
import { computed, ref, useTemplateRef } from 'vue'
import { useWindowSize } from '@vueuse/core'
import { readNotes } from '@core/edit/notes'
import type { Cut } from '@core/records'
import { sayTime } from '@core/script/timecode'
import type { Card } from '@core/views/card'
import { useKeymap } from '@app/ui/keymap'
import { cutKeys } from '../keymap'
import KeySign from '@app/ui/KeySign.vue'
import CutClips from './CutClips.vue'
import CutExcerpts from './CutExcerpts.vue'
import CutFilm from './CutFilm.vue'
import CutNeeds from './CutNeeds.vue'
import CutNotes from './CutNotes.vue'
import CutPlayer from './CutPlayer.vue'
import CutSubtitles from './CutSubtitles.vue'
import CutRound from './CutRound.vue'
import NoteField from './NoteField.vue'
import NoteFiles from './NoteFiles.vue'
import type { CutInHand } from './useCut'
import { usePlayer } from './usePlayer'

/** A cut under review: it plays beside the film of its script, and what is noted stands at its moment. */
const { cut, of, card } = defineProps<{ cut: Cut; of: CutInHand; card: Card }>()
/** The film is as high as a screen has room for below what stands over it. */
const { height: screen } = useWindowSize()
const height = computed(() => Math.max(380, Math.min(760, screen.value - 275)))
const player = usePlayer(
  () => of.length.value,
  () => of.rate.value,
)
const field = useTemplateRef<InstanceType<typeof NoteField>>('field')
const faults = ref<readonly { line: number; sentence: string }[]>([])
const length = computed(() => Math.max(1, of.length.value ?? 0, cut.notes.at(-1)?.at ?? 0))
const counts = computed(() => of.counts.value)
const script = computed(() => of.figures.value.seconds)
const secondsOf = (kind: 'camera' | 'voice') =>
  sum(of.beats.value, (b) => (b.kind === kind ? b.to - b.from : 0))
const summary = computed(() => {
  const { open = 0, again = 0, mine = 0, done = 0, remarks = 0 } = counts.value ?? {}
  return [
    open > 0 ? `${open} to do` : '',
    again > 0 ? `${again} again` : '',
    mine > 0 ? `${mine} for me` : '',
    done > 0 ? `${done} done` : '',
    remarks > 0 ? `${remarks} ${remarks === 1 ? 'remark' : 'remarks'}` : '',
  ]
    .filter(Boolean)
    .join(' · ')
})
function turn(by: -1 | 1) {
  const at = player.now.value
  const to = by < 0 ? cut.notes.findLast((n) => n.at < at - 0.5) : cut.notes.find((n) => n.at > at + 0.5)
  if (to) player.seek(to.at)
}
function tick() {
  const note = cut.notes.findLast((n) => n.kind === 'to do' && Math.abs(n.at - player.now.value) <= 0.5)
  if (note && !cut.closed) of.change(note.id, { isDone: note.done === undefined })
}
/** The next section begins here: the first whose time is still an estimate and that is not long past. */
const untimed = computed(() => {
  // The first begins with the cut.
  const open = of.sections.value.slice(1).filter((s) => !s.isTimed)
  return cut.closed ? undefined : (open.find((s) => s.to > player.now.value) ?? open[0])
})
function start() {
  if (untimed.value) of.startAt(untimed.value.id, player.now.value)
}
async function paste(text: string, at: number) {
  const read = readNotes(text, of.rate.value, at)
  faults.value = read.faults
  if (read.notes.length > 0) await of.noteAll(read.notes)
}
async function next() {
  player.stop()
  if (await of.begin()) player.seek(0)
}
function approve() {
  if (!cut.closed) void of.close('approved')
}
const deeds = {
  play: player.toggle,
  shuttle: ({ which }: { which: number }) => {
    player.shuttle(which === 0 ? -1 : 1)
  },
  stop: player.stop,
  frame: ({ which }: { which: number }) => {
    player.frame(which === 0 ? -1 : 1)
  },
  jump: ({ which }: { which: number }) => {
    player.jump(which === 0 ? -1 : 1)
  },
  note: () => {
    if (!cut.closed) field.value?.focus()
  },
  turn: ({ which }: { which: number }) => {
    turn(which === 0 ? -1 : 1)
  },
  tick,
  start,
  approve,
}
// J, K and L are the trade's: here they play.
useKeymap(cutKeys, deeds, [], true)
</script>

<template>
  <div>
    <div
      class="grid grid-cols-1 gap-x-5 gap-y-4 px-5 py-4 max-sm:px-3 lg:grid-cols-[minmax(0,480px)_minmax(0,1fr)]"
    >
      <div class="grid gap-4 content-start">
        <CutPlayer :cut="cut" :of="of" :player="player" :title="`${card.show.title} ${card.number}`" />
        <CutRound :cut="cut" :of="of" :card="card" @approve="approve" @next="next" />
        <CutNeeds :card="card" />
        <CutClips :card="card" />
      </div>
      <div
        class="grid grid-cols-1 gap-x-5 gap-y-3 content-start lg:grid-cols-[minmax(180px,230px)_minmax(0,1fr)]"
      >
        <div>
          <p class="flex items-baseline justify-between">
            <strong class="font-title text-16">Cut {{ cut.number }}</strong
            ><span class="sub"
              >script {{ sayTime(script)
              }}<template v-if="cut.length"
                >, now <b class="text-ink">{{ sayTime(cut.length) }}</b></template
              ></span
            >
          </p>
          <p v-if="secondsOf('voice') > 0" class="sub text-12">
            to camera {{ sayTime(secondsOf('camera')) }} · voice-over {{ sayTime(secondsOf('voice')) }}
          </p>
          <button v-if="of.marked.value" class="btn btn-small mt-1" @click="of.takeStarts(of.marked.value)">
            Take {{ Object.keys(of.marked.value).length }} starts from its markers
          </button>
          <p v-else-if="untimed" class="sub text-12 mt-1">
            <KeySign :line="cutKeys.lines.start" /> “{{ untimed.title }}” begins here
          </p>
        </div>
        <div>
          <div class="flex items-baseline gap-3 mb-2">
            <h2>{{ cut.notes.length }} {{ cut.notes.length === 1 ? 'note' : 'notes' }}</h2>
            <p class="sub flex-1 text-right">{{ summary }}</p>
            <NoteFiles :cut="cut" :of="of" :card="card" @read="faults = $event" />
          </div>
          <NoteField
            v-if="!cut.closed"
            ref="field"
            :player="player"
            @note="(text, at) => of.note(text, at, false)"
            @paste="paste"
          />
          <ul v-if="faults.length > 0" role="alert" class="text-12 mt-2">
            <li v-for="f in faults" :key="f.line" class="late">
              <template v-if="f.line > 0">Line {{ f.line }}: </template>{{ f.sentence }}
            </li>
          </ul>
        </div>
        <CutFilm
          :sections="of.sections.value"
          :beats="of.beats.value"
          :notes="cut.notes"
          :length="length"
          :now="player.now.value"
          :height="height"
          @seek="player.seek"
        />
        <CutNotes
          :cut="cut"
          :of="of"
          :length="length"
          :height="height"
          :now="player.now.value"
          @seek="player.seek"
        />
      </div>
    </div>
    <CutSubtitles :card="card" :timing="of.timing.value" :now="player.now.value" @seek="player.seek" />
    <CutExcerpts :card="card" :player="player" />
  </div>
</template>
