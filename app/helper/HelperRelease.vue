<script setup lang="ts">
import { onKeyStroke } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { HelperPage, PageThing } from '@core/helpers/page'
import type { HelperHere } from './useHelper'

/** The hand-over that lies with an assistant: every outlet's fields, copied over one after the other with C. */
const { page, here } = defineProps<{ page: HelperPage; here: HelperHere }>()
const chosen = ref('')
const thing = computed(
  () =>
    page.things.find((t) => t.key === chosen.value) ??
    page.things.find((t) => !t.scheduled) ??
    page.things[0],
)
/** What was copied on this page, as `key field`; only this page's own count. */
const copied = ref<ReadonlySet<string>>(new Set())
const trouble = ref('')
const keyOf = (t: PageThing, field: string) => `${t.key} ${field}`
const next = computed(() =>
  thing.value?.fields.find((f) => thing.value && !copied.value.has(keyOf(thing.value, f.field))),
)
const count = (t: PageThing) => t.fields.filter((f) => copied.value.has(keyOf(t, f.field))).length
async function copy(t: PageThing, field: PageThing['fields'][number]) {
  trouble.value = ''
  try {
    await navigator.clipboard.writeText(field.text)
    copied.value = new Set([...copied.value, keyOf(t, field.field)])
  } catch {
    trouble.value = 'The browser did not allow copying. Mark the text and press Ctrl C.'
  }
}
function say(t: PageThing, state: 'uploaded' | 'scheduled') {
  here.act({ kind: 'handed', key: t.key, state, on: !t[state] })
}
onKeyStroke(['c', 'C'], (event) => {
  const isTyping = event.target instanceof HTMLElement && event.target.closest('input, textarea')
  if (event.ctrlKey || event.metaKey || event.altKey || isTyping) return
  const t = thing.value
  if (t && next.value) void copy(t, next.value)
})
</script>

<template>
  <div class="grid grid-cols-1 gap-5">
    <section aria-labelledby="out">
      <div class="flex items-center gap-3 mb-2">
        <h2 id="out" class="flex-1">
          {{ page.things.filter((t) => t.scheduled).length }} of {{ page.things.length }} scheduled
        </h2>
        <button v-if="!page.opened" class="btn btn-small" @click="here.act({ kind: 'opened' })">
          I have it
        </button>
      </div>
      <ul class="panel divide-y divide-faint overflow-clip">
        <li v-for="t in page.things" :key="t.key">
          <button
            class="flex w-full items-center gap-3 px-4 py-2.5 text-left"
            :class="t === thing ? 'bg-raised' : ''"
            :aria-current="t === thing ? 'true' : undefined"
            @click="chosen = t.key"
          >
            <span class="flex-1 min-w-0 break-words"
              ><strong>{{ t.outlet }}</strong
              ><span v-if="t.name" class="sub ml-2">{{ t.name }}</span></span
            ><span class="num">{{ t.when }}</span
            ><span class="sub w-[86px] text-right">{{
              t.scheduled ? 'scheduled' : t.uploaded ? 'uploaded' : `${count(t)} of ${t.fields.length}`
            }}</span>
          </button>
        </li>
      </ul>
    </section>
    <section v-if="thing" aria-labelledby="fields" class="grid gap-3">
      <div class="flex flex-wrap items-center gap-3">
        <h2 id="fields" class="flex-1">
          {{ thing.outlet }}{{ thing.name ? `, ${thing.name}` : '' }}, out {{ thing.when }}
        </h2>
        <button class="btn" :aria-pressed="thing.uploaded" @click="say(thing, 'uploaded')">Uploaded</button
        ><button class="btn" :aria-pressed="thing.scheduled" @click="say(thing, 'scheduled')">
          Scheduled
        </button>
      </div>
      <p v-if="trouble" role="alert" class="late">{{ trouble }}</p>
      <p v-if="thing.lacking.length > 0" class="text-ink-2">
        Not there yet: {{ thing.lacking.join(', ').toLowerCase() }}.
      </p>
      <p class="sub" role="status">
        {{ count(thing) }} of {{ thing.fields.length }} copied<template v-if="next"
          >; <kbd class="key">C</kbd> copies the {{ next.name.toLowerCase() }}</template
        >
      </p>
      <ul class="panel divide-y divide-faint">
        <li v-for="f in thing.fields" :key="f.field" class="px-4 py-2.5 grid gap-1">
          <div class="flex items-center gap-3">
            <strong class="flex-1">{{ f.name }}</strong><span class="num text-ink-2">{{ f.limit }}</span
            ><button
              class="btn btn-small"
              :aria-label="`Copy ${f.name.toLowerCase()}`"
              @click="copy(thing, f)"
            >
              {{ copied.has(keyOf(thing, f.field)) ? 'Copied' : 'Copy' }}
            </button>
          </div>
          <p
            class="whitespace-pre-line break-words text-12 text-ink-2 max-h-[180px] overflow-y-auto"
            tabindex="0"
          >
            {{ f.text }}
          </p>
        </li>
      </ul>
    </section>
  </div>
</template>
