<script setup lang="ts">
import { ref } from 'vue'
import type { HelperPage } from '@core/helpers/page'
import type { HelperHere } from './useHelper'

/** A look at a cut: where it lies, what was noted on it, and a field for what its reviewer notes. */
const { page, here } = defineProps<{ page: HelperPage; here: HelperHere }>()
const text = ref('')
const isLink = (url: string) => /^https?:\/\//i.test(url)
function note() {
  const said = text.value.trim()
  if (said === '') return
  here.act({ kind: 'note', text: said })
  text.value = ''
}
</script>

<template>
  <div class="grid grid-cols-1 gap-5">
    <section aria-labelledby="look" class="grid gap-2">
      <div class="flex flex-wrap items-center gap-3">
        <h2 id="look" class="flex-1">
          Cut {{ page.cut?.number ?? 1
          }}<template v-if="page.cut?.length">, {{ page.cut.length }} long</template>
        </h2>
        <button v-if="!page.opened" class="btn btn-small" @click="here.act({ kind: 'opened' })">
          I have it
        </button>
      </div>
      <p v-if="page.where" class="break-words">
        <a v-if="isLink(page.where)" :href="page.where" target="_blank" rel="noreferrer noopener">{{
          page.where
        }}</a><template v-else>It is in {{ page.where }}.</template>
      </p>
    </section>
    <form class="panel p-4 grid gap-3" aria-labelledby="noting" @submit.prevent="note">
      <h2 id="noting">Note something</h2>
      <div class="flex gap-2">
        <input
          v-model="text"
          class="field flex-1 font-mono"
          maxlength="2000"
          aria-label="A time, then words"
          placeholder="1:20 ! hold the bolt longer"
        /><button class="btn btn-main" :disabled="text.trim() === ''">Note it</button>
      </div>
      <p class="sub">A time first; <strong>!</strong> makes it something to do, without it a remark.</p>
    </form>
    <section aria-labelledby="noted" class="grid gap-2">
      <h2 id="noted">{{ page.notes.length }} {{ page.notes.length === 1 ? 'note' : 'notes' }}</h2>
      <ul v-if="page.notes.length > 0" class="panel divide-y divide-faint">
        <li v-for="(n, i) in page.notes" :key="i" class="flex gap-3 px-4 py-2 break-words">
          <span v-if="n.at" class="num text-ink-2">{{ n.at }}</span><span
            class="flex-1 min-w-0"
            :class="n.isTask ? 'font-semibold' : ''"
            >{{ n.text }}</span
          ><span class="sub">{{ n.by }}</span>
        </li>
      </ul>
    </section>
    <p v-if="page.back" role="status" class="panel p-4">You are through. What you note still comes.</p>
    <p v-else><button class="btn" @click="here.act({ kind: 'through' })">I have seen all of it</button></p>
  </div>
</template>
