<script setup lang="ts">
import { computed, ref } from 'vue'
import { z } from 'zod/mini'
import { keepFigures } from '@core/commands/figures'
import {
  figureColumns,
  guessFigureColumns,
  readFigures,
  type FigureColumn,
  type FigureMapping,
} from '@core/formats/figure-table'
import { readTable, type Table } from '@core/formats/tables'
import type { Show } from '@core/records'
import { titleOf } from '@core/release/parts'
import { episodeNames } from '@core/results/match'
import { oddities } from '@core/results/odd'
import { daysBetween } from '@core/rhythm/days'
import { dayAt } from '@core/rhythm/zone'
import { useCards } from '@app/stores/cards'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import { remembered } from '@app/stores/remembered'
import { filesIn, typedIn } from '@app/ui/fields/event'
import Sheet from '@app/ui/Sheet.vue'
import { textOfFile } from '@app/ui/text-file'

/** Figures from a table with any columns: which is what is offered and remembered; what is wrong is said by line. */
const { show } = defineProps<{ show: Show }>()
const emit = defineEmits<{ close: [] }>()
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const table = ref<Table>()
const name = ref('')
const trouble = ref('')
const outlet = ref('')
const mapping = ref<FigureMapping>({})
const isSure = ref(false)
const Kept = z.record(z.string(), z.record(z.string(), z.string()))
const isColumn = (key: string): key is FigureColumn => Object.hasOwn(figureColumns, key)
const kept = remembered<Record<string, FigureMapping>>('lamp-reel.figure-columns', {}, (found) => {
  const read = Kept.safeParse(found)
  return read.success
    ? Object.fromEntries(
        Object.entries(read.data).map(([columns, of]) => [
          columns,
          Object.fromEntries(Object.entries(of).filter(([key]) => isColumn(key))),
        ]),
      )
    : undefined
})
const asked = Object.keys(figureColumns).filter(isColumn)
const outlets = computed(() => show.outlets.flatMap((id) => library.tables.outlets.get(id) ?? []))
const names = computed(() => episodeNames(cards.released, library.tables.shows))
function dayOf(episode: string): string | undefined {
  const of = library.tables.episodes.get(episode)
  const zone = of && library.tables.shows.get(of.show)?.zone
  return zone !== undefined && of?.phase.kind === 'released'
    ? dayAt(Date.parse(of.phase.at), zone)
    : undefined
}
const read = computed(() =>
  table.value
    ? readFigures(table.value, mapping.value, {
        names: names.value,
        ...(outlet.value === '' ? {} : { outlet: outlet.value }),
        ageOn: (episode, day) => {
          const out = dayOf(episode)
          return out === undefined ? undefined : daysBetween(out, day)
        },
        today: moment.today,
      })
    : undefined,
)
const rows = computed(() =>
  (read.value?.rows ?? []).flatMap((r) => {
    const episode = library.tables.episodes.get(r.episode)
    const out = dayOf(r.episode)
    return episode && out !== undefined
      ? [{ ...r, of: episode, odd: oddities(r.figure, episode, daysBetween(out, moment.today)) }]
      : []
  }),
)
const odd = computed(() => rows.value.filter((r) => r.odd.length > 0))
const taken = computed(() => (isSure.value ? rows.value : rows.value.filter((r) => r.odd.length === 0)))

function take(text: string, from: string) {
  const result = readTable(text)
  trouble.value = result.ok ? '' : `${from}: ${result.problem.sentence}`
  if (!result.ok) return
  name.value = from
  table.value = result.value
  mapping.value = guessFigureColumns(result.value.columns, kept.value[result.value.columns.join('|')])
}
async function open(event: Event) {
  const file = filesIn(event)[0]
  if (file) take(await textOfFile(file), file.name)
}
function paste(event: ClipboardEvent) {
  const text = event.clipboardData?.getData('text') ?? ''
  if (text.includes('\n')) take(text, 'What was pasted')
}
function map(column: FigureColumn, to: string) {
  const { [column]: _before, ...rest } = mapping.value
  mapping.value = to === '' ? rest : { ...rest, [column]: to }
}
async function keep() {
  if (!table.value) return
  kept.value = { ...kept.value, [table.value.columns.join('|')]: mapping.value }
  const done = await library.perform(keepFigures, {
    rows: taken.value.map(({ episode, figure }) => ({ episode, figure })),
  })
  if (done.ok) emit('close')
}
</script>

<template>
  <Sheet :open="true" title="Read figures" wide @close="emit('close')">
    <div @paste="paste">
      <label class="btn relative"
        ><input
          type="file"
          class="absolute inset-0 opacity-0 cursor-pointer"
          accept=".csv,.tsv,.txt,text/csv"
          aria-label="Choose a table of figures"
          @change="open"
        />{{ name || 'Choose a CSV file' }}</label
      >
      <p v-if="trouble" role="alert" class="late mt-3">{{ trouble }}</p>
      <template v-if="table && read">
        <div class="grid grid-cols-2 sm:grid-cols-4 gap-3 my-4">
          <label v-for="c in asked" :key="c"
            ><span class="label">{{ figureColumns[c] }}</span
            ><select class="field" :value="mapping[c] ?? ''" @change="map(c, typedIn($event))">
              <option value="">{{ c === 'on' ? 'today' : 'none' }}</option>
              <option v-for="x in table.columns" :key="x" :value="x">{{ x }}</option>
            </select></label
          >
          <label v-if="outlets.length > 1"
            ><span class="label">Where it was counted</span
            ><select v-model="outlet" class="field">
              <option value="">everywhere together</option>
              <option v-for="o in outlets" :key="o.id" :value="o.id">{{ o.name }}</option>
            </select></label
          >
        </div>
        <p class="mb-2" role="status">
          <strong>{{ taken.length }}</strong> rows can be taken<template v-if="read.faults.length > 0"
            >, <span class="late">{{ read.faults.length }} cannot</span></template
          >.
        </p>
        <label v-if="odd.length > 0" class="flex items-center gap-2 mb-2"
          ><input v-model="isSure" type="checkbox" class="tick" />{{ odd.length }} are odd. Take them as they
          are</label
        >
        <ul class="max-h-[30vh] overflow-y-auto text-12 grid gap-1" tabindex="0" aria-label="Rows">
          <li v-for="f in read.faults.slice(0, 60)" :key="`f${f.line}`" class="late">
            Line {{ f.line }}: {{ f.sentence }}
          </li>
          <li v-for="r in odd.slice(0, 60)" :key="`o${r.line}`">Line {{ r.line }}: {{ r.odd.join(' ') }}</li>
          <li v-for="r in rows.slice(0, 80)" :key="r.line" class="flex gap-3">
            <span class="flex-1 truncate">{{ titleOf(r.of) }}</span><span class="num w-[70px] text-right"
              >{{ r.figure.age }} d</span
            ><span class="num w-[110px] text-right">{{ r.figure.views?.toLocaleString('en') ?? '' }}</span>
          </li>
        </ul>
        <button class="btn btn-main mt-4" :disabled="taken.length === 0" @click="keep">
          Take {{ taken.length }} rows
        </button>
      </template>
      <p v-else class="sub mt-3">
        Any column names will do: which episode by its title, number, code or address; figures as 12,400 or
        12.4k. A table that was copied can be pasted here.
      </p>
    </div>
  </Sheet>
</template>
