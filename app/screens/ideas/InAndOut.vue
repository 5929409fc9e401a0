<script setup lang="ts">
import { computed, ref } from 'vue'
import { ArrowDownUp } from '@lucide/vue'
import { takeTable } from '@core/commands/ideas'
import { tableChanges } from '@core/commands/ideas/table-changes'
import { readTable, writeCsv, writeMarkdown, type Table, type TableChanges } from '@core/formats/tables'
import { useCaptureShow } from '@app/stores/capture-show'
import { useMoment } from '@app/stores/moment'
import { useIdeas } from '@app/stores/ideas'
import { useLibrary } from '@app/stores/library'
import { download } from '@app/ui/download'
import { textOfFile } from '@app/ui/text-file'
import Drop from '@app/ui/Drop.vue'
import Sheet from '@app/ui/Sheet.vue'

/** The view, or what is chosen in it, as CSV or Markdown; and a changed table taken back, shown first. */
const library = useLibrary()
const moment = useMoment()
const usual = useCaptureShow()
const ideas = useIdeas()
const read = ref<{ name: string; table: Table; changes: TableChanges; show: string }>()
const what = computed(() =>
  ideas.picked.length > 0 ? `${ideas.picked.length} chosen` : `${ideas.shown.episodes.length} shown`,
)
const context = () => ({ now: moment.now, id: () => crypto.randomUUID() })

function write(kind: 'csv' | 'md', close: () => void) {
  const episodes = ideas.picked.length > 0 ? ideas.picked : ideas.shown.episodes
  const fields = [
    'code',
    'title',
    ...ideas.view.columns.filter((c) => c !== 'code' && c !== 'title'),
  ].flatMap((c) => ideas.fields.get(c) ?? [])
  download(
    `${ideas.view.name.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '-')}.${kind}`,
    kind === 'csv' ? writeCsv(episodes, fields) : writeMarkdown(episodes, fields),
    kind === 'csv' ? 'text/csv;charset=utf-8' : 'text/markdown;charset=utf-8',
  )
  close()
}
async function open(event: Event, close: () => void) {
  const input = event.target
  const file = input instanceof HTMLInputElement ? input.files?.[0] : undefined
  if (!file || !(input instanceof HTMLInputElement)) return
  const table = readTable(await textOfFile(file))
  input.value = ''
  close()
  if (!table.ok) {
    library.say(`${file.name}: ${table.problem.sentence}`, 'refused')
    return
  }
  const show = usual.value?.id ?? ''
  read.value = {
    name: file.name,
    table: table.value,
    show,
    changes: tableChanges(library.records, table.value, show, context()),
  }
}
function other(show: string) {
  if (read.value)
    read.value = {
      ...read.value,
      show,
      changes: tableChanges(library.records, read.value.table, show, context()),
    }
}
async function take() {
  if (!read.value) return
  const done = await library.perform(takeTable, { table: read.value.table, show: read.value.show })
  if (done.ok) read.value = undefined
}
</script>

<template>
  <Drop label="Import and export" right>
    <template #label
      ><ArrowDownUp :size="15" aria-hidden="true" /><span class="max-xl:sr-only"
        >Import and export</span
      ></template
    >
    <template #default="{ close }">
      <div class="grid gap-2">
        <p class="sub">{{ what }}, with the columns shown</p>
        <button class="btn" @click="write('csv', close)">Save as CSV</button>
        <button class="btn" @click="write('md', close)">Save as Markdown</button>
        <label class="btn relative border-t"
          ><input
            type="file"
            class="absolute inset-0 opacity-0 cursor-pointer"
            accept=".csv,.tsv,.txt,.md,text/csv,text/markdown"
            aria-label="Read a table"
            @change="open($event, close)"
          />Read a table</label
        >
        <p class="sub">Rows with a code change what is here, others become ideas.</p>
      </div>
    </template>
  </Drop>
  <Sheet v-if="read" :open="true" :title="read.name" wide @close="read = undefined">
    <p class="mb-3">
      <strong>{{ read.changes.changed.length }}</strong> change,
      <strong>{{ read.changes.fresh.length }}</strong> are new, {{ read.changes.same }} are as they are
      here.<template v-if="read.changes.unread.length > 0">
        Not read: {{ read.changes.unread.join(', ') }}.</template
      >
    </p>
    <div
      v-if="moment.shows.length > 1 && read.changes.fresh.length > 0"
      class="flex flex-wrap gap-1.5 mb-3"
      role="radiogroup"
      aria-label="New ideas go to"
    >
      <button
        v-for="s in moment.shows"
        :key="s.id"
        type="button"
        role="radio"
        :aria-checked="s.id === read.show"
        class="btn btn-small"
        :class="s.id === read.show ? 'border-ink bg-raised' : ''"
        @click="other(s.id)"
      >
        {{ s.title }}
      </button>
    </div>
    <ul class="max-h-[40vh] overflow-y-auto grid gap-1 text-12" aria-label="What the table changes">
      <li v-for="f in read.changes.faults" :key="`f${f.line}`" class="late">
        Line {{ f.line }}: {{ f.sentence }} <span class="text-ink-2">Left out.</span>
      </li>
      <li v-for="c in read.changes.changed.slice(0, 60)" :key="c.after.id">
        {{ c.after.title }} <span class="num">{{ c.after.code }}</span>
      </li>
      <li v-for="c in read.changes.fresh.slice(0, 60)" :key="c.after.id">
        {{ c.after.title }} <span class="text-ink-2">new</span>
      </li>
    </ul>
    <button
      class="btn btn-main mt-4"
      :disabled="read.changes.changed.length + read.changes.fresh.length === 0"
      @click="take"
    >
      Take {{ read.changes.changed.length + read.changes.fresh.length }} rows
    </button>
  </Sheet>
</template>
