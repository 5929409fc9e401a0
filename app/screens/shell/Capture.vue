<script setup lang="ts">
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { Check, CornerDownLeft } from '@lucide/vue'
import { jotIdea } from '@core/commands/ideas'
import { useCaptureShow } from '@app/stores/capture-show'
import { useMoment } from '@app/stores/moment'
import { useDesk } from '@app/stores/desk'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import { keysOn } from '@app/ui/keymap'
import KeySign from '@app/ui/KeySign.vue'
import { captureKeys, shellKeys } from './keymap'

/**
 * Keeps ideas line by line: `I` comes here from any screen, Enter keeps a line, Esc goes back to where one
 * was.
 */
const library = useLibrary()
const moment = useMoment()
const desk = useDesk()
const dialogs = useDialogs()
const field = ref<HTMLInputElement>()
const line = ref('')
const open = ref(false)
const kept = ref<string[]>([])
const topics = ref<string[]>([])
const hints = ref<{ takeFirst: () => boolean }>()
/** The show that fits the line, until one is chosen by hand. */
const fitting = ref<string>()
const CaptureHints = defineAsyncComponent(() => import('./CaptureHints.vue'))
let before: HTMLElement | undefined

const usual = useCaptureShow()
const show = computed(() => moment.shows.find((s) => s.id === fitting.value) ?? usual.value)

watch(
  () => desk.toCapture,
  () => {
    field.value?.focus()
  },
)

function arrived(event: FocusEvent) {
  if (event.relatedTarget instanceof HTMLElement) before = event.relatedTarget
  open.value = true
  kept.value = []
}
function left(event: FocusEvent) {
  if (event.relatedTarget instanceof HTMLElement && event.relatedTarget.closest('.capture')) return
  open.value = false
}
function back() {
  open.value = false
  const target = before?.isConnected ? before : document.getElementById('screen')
  before = undefined
  if (target) target.focus({ preventScroll: true })
  else field.value?.blur()
}
async function keep() {
  if (!show.value || line.value.trim() === '') return
  const text = line.value
  const on = topics.value
  const link = /https?:\/\/\S+/.test(text)
  const into = show.value.id
  clear()
  // A line with a link in it is read as a pasted one: the link becomes the source.
  const read = link ? (await import('@core/formats/lines')).draftOf(text) : { title: text, urls: [] }
  const result = await library.perform(
    jotIdea,
    {
      show: into,
      line: read.title,
      topics: on,
      ...(read.urls[0] ? { url: read.urls[0] } : {}),
    },
    'quietly',
  )
  if (result.ok) kept.value = [read.title.trim(), ...kept.value].slice(0, 5)
  else {
    line.value = text
    topics.value = on
  }
}
function clear() {
  line.value = ''
  topics.value = []
  fitting.value = undefined
}
/** A pasted block of lines is looked at before it is taken. */
function pasted(event: ClipboardEvent) {
  const text = event.clipboardData?.getData('text/plain') ?? ''
  if (!text.trim().includes('\n')) return
  event.preventDefault()
  dialogs.show({ kind: 'lines', text })
  open.value = false
}
function takeTopic(): boolean {
  const at = field.value
  return (
    at?.selectionStart === at?.value.length &&
    at?.selectionEnd === at?.value.length &&
    hints.value?.takeFirst() === true
  )
}
function choose(id: string) {
  fitting.value = undefined
  desk.captureShow = id
  chosenByHand = true
}
let chosenByHand = false
function fits(id: string) {
  if (!chosenByHand && moment.shows.some((s) => s.id === id)) fitting.value = id
}
watch(line, (text) => {
  if (text === '') {
    chosenByHand = false
    fitting.value = undefined
    topics.value = []
  }
})
function other(by: 1 | -1): boolean {
  const { shows } = moment
  const at = shows.findIndex((s) => s.id === show.value?.id)
  const next = shows[(at + by + shows.length) % shows.length]?.id
  if (shows.length < 2 || !next) return false
  choose(next)
  return true
}
const keyed = keysOn(captureKeys, {
  keep,
  leave: ({ event }) => {
    event.stopPropagation()
    back()
  },
  topic: takeTopic,
  show: ({ which }) => other(which === 0 ? -1 : 1),
})
</script>

<template>
  <div class="capture relative w-[268px] max-[1379px]:w-[216px] max-sm:flex-1 max-sm:w-auto" @focusout="left">
    <input
      ref="field"
      v-model="line"
      class="field pr-9 bg-ground"
      placeholder="Jot an idea…"
      aria-label="Jot an idea"
      :aria-keyshortcuts="shellKeys.lines.jot[0]"
      autocomplete="off"
      maxlength="300"
      @focus="arrived"
      @keydown="keyed"
      @paste="pasted"
    />
    <span v-if="!open" class="key absolute right-2 top-[8px] max-sm:hidden" aria-hidden="true">I</span>
    <button
      v-else
      class="absolute right-1.5 top-[5px] p-1 rounded-control text-ink-2"
      aria-label="Keep the idea"
      @click="keep"
    >
      <CornerDownLeft :size="15" />
    </button>
    <div
      v-if="open"
      class="panel absolute right-0 top-[40px] z-30 w-full min-w-[268px] border-line p-3 text-12"
    >
      <div
        v-if="moment.shows.length > 1"
        class="flex flex-wrap gap-1.5 mb-2"
        role="radiogroup"
        aria-label="For which show"
      >
        <button
          v-for="s in moment.shows"
          :key="s.id"
          type="button"
          role="radio"
          :aria-checked="s.id === show?.id"
          class="btn btn-small"
          :class="s.id === show?.id ? 'border-ink bg-raised' : ''"
          @click="
            () => {
              choose(s.id)
              field?.focus()
            }
          "
        >
          {{ s.title }}
        </button>
      </div>
      <CaptureHints ref="hints" v-model:topics="topics" :line="line" :show="show?.id ?? ''" @show="fits" />
      <ul aria-live="polite" class="grid gap-1">
        <li v-for="(text, i) in kept" :key="text + i" class="flex gap-2 items-start">
          <Check :size="14" class="mt-0.5 flex-none text-ink-2" aria-label="Kept" /><span
            class="min-w-0 break-words"
            >{{ text }}</span
          >
        </li>
      </ul>
      <p class="text-ink-2" :class="kept.length > 0 ? 'mt-2' : ''">
        <KeySign :line="captureKeys.lines.keep" /> keeps it, <KeySign :line="captureKeys.lines.leave" /> goes
        back<template v-if="moment.shows.length > 1"
          >, <KeySign :line="captureKeys.lines.show" :which="1" /> the other show</template
        >
      </p>
    </div>
  </div>
</template>
