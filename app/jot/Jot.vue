<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { titleFromLink } from '@core/formats/links'
import { JottedMail, writeHandOver } from '@core/formats/mail'
import { mailKey } from '@app/data/mail-key'
import { callMailbox, forgetHere, keepHere, waitingHere } from '@app/data/outbox'
import { useCodes } from './codes'
import { download } from '@app/ui/download'
import { useEventListener, useIntervalFn } from '@vueuse/core'
import { remembered } from '@app/stores/remembered'

/**
 * The phone's page: a line, kept at once; it hands over to the mailbox when it can, and keeps what it could
 * not.
 */
interface ShowName {
  id: string
  title: string
}
const aboutKey = 'lamp-reel.about'
const line = ref('')
const note = ref('')
const url = ref('')
const show = ref('')
const shows = remembered<ShowName[]>(aboutKey, [], readShows)
const waiting = ref<JottedMail[]>([])
const handed = ref<{ id: string; line: string }[]>([])
const state = ref<'unknown' | 'there' | 'away' | 'refused'>('unknown')
const trouble = ref('')
const field = ref<HTMLTextAreaElement>()
const codeField = ref<HTMLCanvasElement>()
const { codes, at, asCodes, endCodes } = useCodes(waiting, codeField)
const count = computed(() =>
  waiting.value.length === 1 ? 'One idea waits here' : `${waiting.value.length} ideas wait here`,
)

function readShows(about: unknown): ShowName[] {
  const list: unknown = typeof about === 'object' && about !== null && 'shows' in about ? about.shows : about
  return Array.isArray(list)
    ? list.flatMap((s: unknown) =>
        typeof s === 'object' && s !== null && 'id' in s && 'title' in s
          ? [{ id: String(s.id), title: String(s.title) }]
          : [],
      )
    : []
}
/** A link or text shared from another program on the phone. */
function shared() {
  const given = new URLSearchParams(location.search)
  const all = [given.get('title'), given.get('text'), given.get('url')].filter(Boolean).join(' ').trim()
  if (all === '') return
  const found = /https?:\/\/\S+/.exec(all)?.[0] ?? ''
  url.value = found.slice(0, 1000)
  const words = all.replace(found, '').replace(/\s+/g, ' ').trim()
  line.value = (words || titleFromLink(found)).slice(0, 300)
  if (words.length > 300) note.value = words.slice(0, 2000)
  history.replaceState(null, '', '/jot')
}
function keep() {
  const text = line.value.trim()
  if (text === '') {
    field.value?.focus()
    return
  }
  const found = url.value || (/https?:\/\/\S+/.exec(text)?.[0] ?? '')
  const idea = JottedMail.safeParse({
    kind: 'jotted',
    id: crypto.randomUUID(),
    at: new Date().toISOString(),
    line: text.slice(0, 300),
    note: note.value.trim(),
    url: found,
    show: show.value,
  })
  if (!idea.success) {
    trouble.value = idea.error.issues[0]?.message ?? 'This cannot be kept.'
    return
  }
  if (!keepHere(idea.data)) {
    trouble.value =
      'This browser stores nothing here, perhaps because the window is private. Copy the line before you close it.'
    return
  }
  trouble.value = ''
  line.value = ''
  note.value = ''
  url.value = ''
  waiting.value = waitingHere()
  field.value?.focus()
  void handOver()
}
let busy = false
async function handOver() {
  waiting.value = waitingHere()
  if (busy) return
  busy = true
  try {
    const about = await callMailbox('GET', '/about')
    state.value = about.kind === 'answered' ? 'there' : about.kind
    if (about.kind !== 'answered') return
    shows.value = readShows(about.body)
    for (const idea of waitingHere()) {
      const answer = await callMailbox('PUT', `/jotted/${idea.id}`, idea)
      if (answer.kind === 'away') {
        state.value = 'away'
        return
      }
      if (answer.kind === 'refused') {
        state.value = 'refused'
        trouble.value = answer.sentence
        return
      }
      forgetHere([idea.id])
      handed.value = [{ id: idea.id, line: idea.line }, ...handed.value].slice(0, 8)
      waiting.value = waitingHere()
    }
    trouble.value = ''
  } finally {
    busy = false
  }
}
function asFile() {
  download('ideas.json', writeHandOver(waiting.value), 'application/json')
}
function arrived() {
  forgetHere(waiting.value.map((i) => i.id))
  handed.value = [...waiting.value.map((i) => ({ id: i.id, line: i.line })), ...handed.value].slice(0, 8)
  waiting.value = waitingHere()
  endCodes()
}
const now = () => {
  void handOver()
}
useIntervalFn(now, 20_000)
useEventListener(window, 'online', now)
useEventListener(document, 'visibilitychange', now)
onMounted(() => {
  mailKey()
  shared()
  field.value?.focus()
  now()
})
</script>

<template>
  <main class="mx-auto max-w-[520px] px-4 py-4 grid gap-4 content-start min-h-screen">
    <header class="flex items-center gap-2.5">
      <img src="/mark.svg" width="26" height="26" alt="" />
      <h1 class="text-20">Jot an idea</h1>
    </header>
    <form class="grid gap-3" @submit.prevent="keep">
      <textarea
        ref="field"
        v-model="line"
        class="field text-16 min-h-[96px]"
        rows="3"
        maxlength="300"
        placeholder="One line is enough"
        aria-label="The idea"
        @keydown.enter.exact.prevent="keep"
      />
      <div v-if="shows.length > 1" class="flex flex-wrap gap-2" role="radiogroup" aria-label="For which show">
        <button
          v-for="s in [{ id: '', title: 'Either' }, ...shows]"
          :key="s.id"
          type="button"
          role="radio"
          class="btn"
          :class="show === s.id ? 'border-ink bg-raised' : ''"
          :aria-checked="show === s.id"
          @click="show = s.id"
        >
          {{ s.title }}
        </button>
      </div>
      <p v-if="url" class="sub flex items-center gap-2 min-w-0">
        <span class="truncate flex-1">From {{ url }}</span
        ><button type="button" class="btn btn-small" @click="url = ''">Leave it out</button>
      </p>
      <details class="sub">
        <summary class="py-1">Add a note</summary>
        <textarea v-model="note" class="field mt-2" rows="3" maxlength="2000" aria-label="Note" />
      </details>
      <button class="btn btn-main min-h-[48px] text-16">Keep it</button>
    </form>
    <p v-if="trouble" role="alert" class="late">{{ trouble }}</p>
    <section v-if="waiting.length > 0" class="panel p-4 grid gap-3" aria-label="Waiting">
      <p>
        <strong>{{ count }}</strong><span class="sub block">{{
          state === 'away'
            ? 'The desk cannot be reached; it tries again by itself.'
            : state === 'refused'
              ? 'The mailbox did not take them.'
              : 'Handing over…'
        }}</span>
      </p>
      <ul class="grid gap-1">
        <li v-for="i in waiting" :key="i.id" class="break-words">{{ i.line }}</li>
      </ul>
      <div class="flex flex-wrap gap-2">
        <button class="btn btn-small" @click="asCodes">Show as codes</button
        ><button class="btn btn-small" @click="asFile">Hand over as a file</button>
      </div>
      <div v-if="codes.length > 0" class="grid gap-2 justify-items-center">
        <canvas
          ref="codeField"
          class="bg-raised rounded-card max-w-full"
          role="img"
          :aria-label="`Code ${at + 1} of ${codes.length}`"
        />
        <p class="sub">Code {{ at + 1 }} of {{ codes.length }}. At the desk: Ideas, Mailbox, Read codes.</p>
        <button class="btn btn-small" @click="arrived">They are at the desk</button>
      </div>
    </section>
    <section v-if="handed.length > 0" aria-label="Handed over">
      <h2 class="text-14 mb-1">Handed over</h2>
      <ul class="grid gap-1 sub">
        <li v-for="i in handed" :key="i.id" class="break-words">{{ i.line }}</li>
      </ul>
    </section>
    <p v-if="state === 'there'"><a class="btn" href="/belt">Today, scripts, the running session</a></p>
    <p v-if="state === 'there' && waiting.length === 0 && handed.length === 0" class="sub">
      The desk is within reach. Ideas jotted elsewhere wait here until it is.
    </p>
  </main>
</template>
