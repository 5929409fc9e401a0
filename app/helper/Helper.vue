<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import HelperCut from './HelperCut.vue'
import HelperReview from './HelperReview.vue'
import HelperRelease from './HelperRelease.vue'
import { useHelper } from './useHelper'

/** What lies with a helper: their lines, what belongs to them, and a way to ask. */
const here = useHelper()
const page = computed(() => here.seen.value)
const question = ref('')
const says = computed(() =>
  here.state.value === 'away'
    ? here.waiting.value > 0
      ? `out of reach; ${here.waiting.value} kept here`
      : 'out of reach'
    : here.waiting.value > 0
      ? `${here.waiting.value} on the way`
      : here.state.value === 'there'
        ? 'in touch'
        : '',
)
function ask() {
  const text = question.value.trim()
  if (text === '') return
  here.act({ kind: 'ask', text })
  question.value = ''
}
watch(
  () => page.value?.title,
  (title) => {
    if (title !== undefined) document.title = title
  },
)
</script>

<template>
  <main class="mx-auto max-w-[860px] px-4 py-6 grid grid-cols-1 gap-5 content-start min-h-screen">
    <p v-if="here.state.value === 'none'" class="panel p-5" role="status">
      There is nothing at this address. It may have been ended; ask who gave it to you for the present one.
    </p>
    <p v-else-if="!page" class="panel p-5" role="status">
      {{
        here.state.value === 'away'
          ? 'Nobody answers at the moment. This page tries again by itself.'
          : 'One moment…'
      }}
    </p>
    <template v-else>
      <header class="grid gap-1">
        <p class="sub flex gap-3">
          <span class="flex-1">For {{ page.who }}, since {{ page.since }}</span
          ><span role="status">{{ says }}</span>
        </p>
        <h1 class="break-words">
          <span class="num">{{ page.number }}</span> {{ page.title }}
        </h1>
        <p class="text-ink-2">
          {{ page.show
          }}<template v-if="page.due"
            >, wanted by <strong class="text-ink">{{ page.due }}</strong></template
          ><template v-if="page.aim">, {{ page.aim }} long</template>.
        </p>
      </header>
      <p v-if="here.trouble.value" role="alert" class="late">{{ here.trouble.value }}</p>
      <p v-for="(o, i) in here.over.value" :key="i" role="alert" class="panel px-4 py-3">
        {{ o.charAt(0).toUpperCase() + o.slice(1) }}.
      </p>
      <HelperCut v-if="page.kind === 'cut'" :page="page" :here="here" />
      <HelperReview v-else-if="page.kind === 'review'" :page="page" :here="here" />
      <HelperRelease v-else :page="page" :here="here" />
      <section aria-labelledby="asked" class="grid gap-2">
        <h2 id="asked">Questions</h2>
        <ul v-if="page.asked.length > 0" class="panel divide-y divide-faint">
          <li v-for="q in page.asked" :key="q.id" class="px-4 py-2.5 break-words">
            {{ q.text }}
            <span class="block" :class="q.answer ? 'text-ink font-medium' : 'sub'">{{
              q.answer || 'no answer yet'
            }}</span>
          </li>
        </ul>
        <form class="flex gap-2" @submit.prevent="ask">
          <input
            v-model="question"
            class="field flex-1"
            maxlength="2000"
            aria-label="Ask something"
            placeholder="Ask something"
          /><button class="btn" :disabled="question.trim() === ''">Ask</button>
        </form>
      </section>
      <section v-if="page.also.length > 0" aria-labelledby="also" class="grid gap-2">
        <h2 id="also">Also with you</h2>
        <ul class="panel divide-y divide-faint">
          <li v-for="(a, i) in page.also" :key="i" class="px-4 py-2 flex gap-3">
            <span class="flex-1 min-w-0 break-words">{{ a.name }}</span><span class="sub">{{
              a.due ? `wanted by ${a.due}` : ''
            }}</span>
          </li>
        </ul>
      </section>
    </template>
  </main>
</template>
