<script setup lang="ts">
import { computed, ref } from 'vue'
import { importKeywords } from '@core/commands/keywords'
import { guessColumns, readKeywords, type KeywordColumns } from '@core/formats/keyword-table'
import { readTable, type Table } from '@core/formats/tables'
import { useMoment } from '@app/stores/moment'
import { useLibrary } from '@app/stores/library'
import { textOfFile } from '@app/ui/text-file'
import Sheet from '@app/ui/Sheet.vue'
import { z } from 'zod/mini'
import { remembered } from '@app/stores/remembered'
import DateField from '@app/ui/fields/DateField.vue'
import { filesIn } from '@app/ui/fields/event'

/**
 * A table of keywords with any column names: which column is what is offered and remembered; what is wrong
 * is said by line.
 */
const { show } = defineProps<{ show: string }>()
const emit = defineEmits<{ close: [] }>()
const library = useLibrary()
const moment = useMoment()
const key = 'lamp-reel.keyword-columns'
const table = ref<Table>()
const name = ref('')
const trouble = ref('')
const columns = ref<KeywordColumns>({ words: '', searches: '', competing: '', notes: '' })
const measured = ref(moment.today)
const labels = {
  words: 'Keyword',
  searches: 'Searches a month',
  competing: 'Competing results',
  notes: 'Own notes',
} as const
const names = ['words', 'searches', 'competing', 'notes'] as const
const read = computed(() => (table.value ? readKeywords(table.value, columns.value) : undefined))

/** Which column means what, by the columns that a table had. */
const kept = remembered<Record<string, KeywordColumns>>(key, {}, (found) => {
  const read = z
    .record(
      z.string(),
      z.object({ words: z.string(), searches: z.string(), competing: z.string(), notes: z.string() }),
    )
    .safeParse(found)
  return read.success ? read.data : undefined
})
function remember() {
  kept.value = { ...kept.value, [table.value?.columns.join('|') ?? '']: columns.value }
}
async function open(event: Event) {
  const file = filesIn(event)[0]
  if (!file) return
  const result = readTable(await textOfFile(file))
  trouble.value = result.ok ? '' : `${file.name}: ${result.problem.sentence}`
  if (!result.ok) return
  name.value = file.name
  table.value = result.value
  columns.value = guessColumns(result.value.columns, kept.value[result.value.columns.join('|')])
}
async function take() {
  if (!read.value) return
  remember()
  const done = await library.perform(importKeywords, {
    show,
    rows: read.value.rows.map(({ line: _line, ...row }) => row),
    measured: measured.value,
  })
  if (done.ok) emit('close')
}
</script>

<template>
  <Sheet :open="true" title="Import keywords" wide @close="emit('close')">
    <label class="btn relative"
      ><input
        type="file"
        class="absolute inset-0 opacity-0 cursor-pointer"
        accept=".csv,.tsv,.txt,text/csv"
        aria-label="Choose a table of keywords"
        @change="open"
      />{{ name || 'Choose a CSV file' }}</label
    >
    <p v-if="trouble" role="alert" class="late mt-3">{{ trouble }}</p>
    <template v-if="table && read">
      <div class="grid sm:grid-cols-4 gap-3 my-4">
        <label v-for="n in names" :key="n"
          ><span class="label">{{ labels[n] }}</span
          ><select v-model="columns[n]" class="field">
            <option v-if="n !== 'words'" value="">none</option>
            <option v-for="c in table.columns" :key="c" :value="c">{{ c }}</option>
          </select></label
        >
      </div>
      <DateField
        v-model="measured"
        class="block w-[180px] mb-3"
        label="Figures are from"
        :max="moment.today"
      />
      <p class="mb-2">
        <strong>{{ read.rows.length }}</strong> rows can be taken<template v-if="read.faults.length > 0"
          >, <span class="late">{{ read.faults.length }} cannot</span></template
        >.
      </p>
      <ul class="max-h-[34vh] overflow-y-auto text-12 grid gap-1" aria-label="Rows">
        <li v-for="f in read.faults" :key="`f${f.line}`" class="late">Line {{ f.line }}: {{ f.sentence }}</li>
        <li v-for="r in read.rows.slice(0, 80)" :key="r.line" class="flex gap-3">
          <span class="flex-1 truncate">{{ r.words }}</span><span class="num w-[90px] text-right">{{
            r.searches?.toLocaleString('en') ?? ''
          }}</span
          ><span class="num w-[110px] text-right">{{ r.competing?.toLocaleString('en') ?? '' }}</span>
        </li>
      </ul>
      <button class="btn btn-main mt-4" :disabled="read.rows.length === 0" @click="take">
        Take {{ read.rows.length }} keywords
      </button>
    </template>
    <p v-else class="sub mt-3">
      Any column names will do; figures may be written as 12,400, 12.4k or 1k–10k.
    </p>
  </Sheet>
</template>
