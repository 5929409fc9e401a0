<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Aside } from '@core/formats/backup'
import { nameOf } from '@core/formats/whole-check'
import { tables } from '@core/records'
import { useLibrary } from '@app/stores/library'
import { download } from '@app/ui/download'
import Flag from '@app/ui/Flag.vue'
import Sheet from '@app/ui/Sheet.vue'
import { typedIn } from '@app/ui/fields/event'

/** Records that could not be read: named, kept whole as a file, and to be mended by hand; the rest works. */
const library = useLibrary()
const open = ref(false)
const texts = ref<Record<string, string>>({})
const fault = ref('')
const rows = computed(() =>
  library.aside.map((a) => ({ ...a, name: nameOf(a.row), kind: tables[a.table].singular })),
)
const said = computed(() => {
  const first = rows.value[0]
  return rows.value.length === 1
    ? `One ${first?.kind ?? 'record'} could not be read and was set aside${first?.name ? `: ${first.name}` : ''}. Everything else works.`
    : `${rows.value.length} records could not be read and were set aside. Everything else works.`
})
const textOf = (a: Aside) => texts.value[a.key] ?? JSON.stringify(a.row, null, 2)
function typed(key: string, event: Event) {
  texts.value[key] = typedIn(event)
}
function save() {
  const bytes = new TextEncoder().encode(JSON.stringify(library.aside, null, 2))
  download('lamp-reel-set-aside.json', bytes, 'application/json')
}
async function mend() {
  fault.value = ''
  const mended: Aside[] = []
  for (const a of library.aside) {
    const text = texts.value[a.key]
    if (text === undefined) continue
    try {
      const row: unknown = JSON.parse(text)
      mended.push({ ...a, row })
    } catch (error) {
      fault.value = `${nameOf(a.row)}: ${error instanceof Error ? error.message : 'not readable'}`
      return
    }
  }
  const back = await library.mend(mended)
  texts.value = {}
  library.say(back === 0 ? 'None could be put back yet.' : `${back} put back.`)
  if (library.aside.length === 0) open.value = false
}
async function forget(key: string) {
  await library.forgetAside([key])
  if (library.aside.length === 0) open.value = false
}
</script>

<template>
  <div role="alert" class="flex flex-wrap items-center gap-3 border-b border-rose bg-panel px-5 py-2">
    <p class="flex-1 min-w-[260px]"><Flag />{{ said }}</p>
    <button class="btn btn-small" @click="save">Save as a file</button>
    <button class="btn btn-small" @click="open = true">Look at it</button>
  </div>
  <Sheet :open="open" title="Set aside" wide @close="open = false">
    <p class="sub mb-3">
      What is wrong stands beside each. Mend the text and put it back; what hangs on it comes back by itself.
    </p>
    <ul class="grid gap-4 max-h-[52vh] overflow-y-auto">
      <li v-for="a in rows" :key="a.key">
        <p class="flex items-baseline gap-3">
          <strong class="flex-1 min-w-0 truncate">{{ a.kind }} {{ a.name }}</strong>
          <button class="btn btn-small btn-bare" @click="forget(a.key)">Let it go for good</button>
        </p>
        <p class="late text-12 mb-1"><Flag :size="9" />{{ a.why }}</p>
        <textarea
          class="field num text-11"
          rows="6"
          :aria-label="`The text of ${a.name || a.key}`"
          :value="textOf(a)"
          @input="typed(a.key, $event)"
        />
      </li>
    </ul>
    <p v-if="fault" class="late mt-2"><Flag />{{ fault }}</p>
    <p class="flex gap-2 mt-4">
      <button class="btn btn-main" @click="mend">Put back what can be read</button>
      <button class="btn" @click="save">Save as a file</button>
    </p>
  </Sheet>
</template>
