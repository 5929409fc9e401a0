<script setup lang="ts">
import { computed, ref } from 'vue'
import type { HelperPage } from '@core/helpers/page'
import type { HelperHere } from './useHelper'

/** The cut that lies with a helper: what is to be done on it, what it is made with, and where it comes back. */
const { page, here } = defineProps<{ page: HelperPage; here: HelperHere }>()
const open = computed(() => page.toDo.filter((n) => !n.done).length)
const where = ref('')
const says = ref('')
const isLink = (url: string) => /^https?:\/\//i.test(url)
function back() {
  const place = where.value.trim()
  if (place === '') return
  here.act({ kind: 'back', where: place, says: says.value.trim() })
  where.value = ''
  says.value = ''
}
const lead = computed(() =>
  page.toDo.length === 0
    ? page.cut
      ? `Nothing was noted on cut ${page.cut.number}.`
      : 'The first cut is yours to make.'
    : open.value === 0
      ? page.toDo.length === 1
        ? 'The one thing to do is done.'
        : `All ${page.toDo.length} things are done.`
      : `${open.value}${open.value < page.toDo.length ? ` of ${page.toDo.length}` : ''} ${page.toDo.length === 1 ? 'thing' : 'things'} to do on cut ${page.cut?.number ?? 1}.`,
)
</script>

<template>
  <div class="grid grid-cols-1 gap-5">
    <section aria-labelledby="to-do" class="grid gap-2">
      <div class="flex flex-wrap items-center gap-3">
        <h2 id="to-do" class="flex-1">{{ lead }}</h2>
        <button v-if="!page.opened" class="btn btn-small" @click="here.act({ kind: 'opened' })">
          I have it
        </button>
      </div>
      <ul v-if="page.toDo.length > 0" class="panel divide-y divide-faint">
        <li v-for="n in page.toDo" :key="n.id">
          <label class="flex items-start gap-3 px-4 py-2.5"
            ><input
              type="checkbox"
              class="tick mt-0.5"
              :checked="n.done"
              :disabled="page.back && n.done"
              @change="here.act({ kind: 'tick', note: n.id, done: !n.done, saw: n.done })"
            /><span class="num text-ink-2">{{ n.at }}</span
            ><span class="flex-1 min-w-0 break-words" :class="n.done ? 'text-ink-2 line-through' : ''"
              >{{ n.text }}<span v-if="n.again" class="sub ml-2">asked before</span></span
            ></label
          >
        </li>
      </ul>
    </section>
    <form class="panel p-4 grid gap-3" aria-labelledby="back" @submit.prevent="back">
      <h2 id="back">{{ page.back ? 'Handed back' : 'Hand back the cut' }}</h2>
      <p v-if="page.back" class="sub" role="status">
        {{ here.isOnItsWay.value ? 'It is on its way to the desk.' : 'It has arrived.' }} If there is a newer
        one, hand that back the same way.
      </p>
      <div class="grid gap-3 sm:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_auto] sm:items-end">
        <label
          ><span class="label">Its address, or the file’s name</span
          ><input v-model="where" class="field" maxlength="1000" placeholder="https://" /></label
        ><label
          ><span class="label">A word about it, if you like</span
          ><input v-model="says" class="field" maxlength="2000" /></label
        ><button class="btn btn-main" :disabled="where.trim() === ''">Hand back</button>
      </div>
    </form>
    <section v-if="page.guide" aria-labelledby="guide">
      <h2 id="guide" class="mb-2">How it looks and sounds</h2>
      <p class="whitespace-pre-line break-words">{{ page.guide }}</p>
    </section>
    <section v-if="page.links.length > 0" aria-labelledby="links">
      <h2 id="links" class="mb-2">Links</h2>
      <ul class="grid gap-1">
        <li v-for="(l, i) in page.links" :key="i" class="break-words">
          <a v-if="isLink(l.url)" :href="l.url" rel="noreferrer noopener" target="_blank">{{
            l.label || l.url
          }}</a><template v-else>{{ [l.label, l.url].filter(Boolean).join(': ') }}</template>
        </li>
      </ul>
    </section>
    <details v-if="page.shots.length > 0" open>
      <summary class="font-title font-semibold text-16">Shots, {{ page.shots.length }}</summary>
      <ol class="mt-2 grid gap-1">
        <li v-for="s in page.shots" :key="s.number" class="flex gap-3">
          <span class="num">{{ s.number }}</span><span class="flex-1 min-w-0 break-words">{{ s.text }}</span
          ><span class="sub">{{ s.takes || 'not filmed' }}</span>
        </li>
      </ol>
    </details>
    <details v-for="l in page.lists" :key="l.name">
      <summary class="font-title font-semibold text-16">{{ l.name }}, {{ l.lines.length }}</summary>
      <ul class="mt-2 grid gap-1">
        <li v-for="(line, i) in l.lines" :key="i" class="break-words">{{ line }}</li>
      </ul>
    </details>
    <details v-if="page.remarks.length > 0">
      <summary class="font-title font-semibold text-16">Remarks, {{ page.remarks.length }}</summary>
      <ul class="mt-2 grid gap-1">
        <li v-for="(line, i) in page.remarks" :key="i" class="break-words">{{ line }}</li>
      </ul>
    </details>
    <details v-if="page.script.length > 0">
      <summary class="font-title font-semibold text-16">Script</summary>
      <section v-for="(s, i) in page.script" :key="i" class="mt-3">
        <h3 class="font-semibold">{{ s.title }}</h3>
        <div
          v-for="(b, j) in s.beats"
          :key="j"
          class="mt-2"
          :class="b.voice ? 'border-l-2 border-dashed border-ring pl-3' : ''"
        >
          <p class="whitespace-pre-line break-words">{{ b.text }}</p>
          <p v-for="(c, k) in b.cues" :key="k" class="sub break-words">{{ c }}</p>
        </div>
      </section>
    </details>
  </div>
</template>
