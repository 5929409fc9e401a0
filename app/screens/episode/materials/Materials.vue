<script setup lang="ts">
import { sayMoney } from '@core/partners/money'
import { computed, ref } from 'vue'
import { editMaterials, type MaterialWish } from '@core/commands/episode'
import { editSettings } from '@core/commands/settings'
import { costOf, filmingDay, lateMaterials } from '@core/recipe/materials'
import { sayDay } from '@core/rhythm/days'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import { useWorkload } from '@app/stores/workload'
import { download } from '@app/ui/download'
import Drop from '@app/ui/Drop.vue'
import { filesIn, typedIn } from '@app/ui/fields/event'
import OptionalNumberField from '@app/ui/fields/OptionalNumberField.vue'
import { textOfFile } from '@app/ui/text-file'
import MaterialRow from './MaterialRow.vue'

/** What the episode needs bought, lent or fetched: its state, what it costs, and what comes too late. */
const { card } = defineProps<{ card: Card }>()
const library = useLibrary()
const moment = useMoment()
const workload = useWorkload()
const typed = ref('')
const faults = ref<readonly { line: number; sentence: string }[]>([])
const trouble = ref('')
const materials = computed(() => card.episode.materials ?? [])
const filming = computed(() => filmingDay(card.standing, workload.firstDayOf))
const late = computed(() => lateMaterials(card.episode, filming.value, moment.today))
const cost = computed(() => costOf(card.episode))
const over = computed(() =>
  card.episode.budget === undefined ? 0 : Math.max(0, cost.value.sum - card.episode.budget),
)
const currency = computed(() => library.settings.currency ?? '')
function act(wish: MaterialWish) {
  return library.perform(editMaterials, { episode: card.episode.id, wish }, 'quietly')
}
async function add() {
  const { readLine } = await import('@core/formats/material-table')
  const read = readLine(typed.value)
  if (read && (await act({ kind: 'add', materials: [read] })).ok) typed.value = ''
}
async function readIn(event: Event) {
  const [file] = filesIn(event)
  if (!file) return
  const [{ readTable }, { readMaterials }] = await Promise.all([
    import('@core/formats/tables'),
    import('@core/formats/material-table'),
  ])
  const table = readTable(await textOfFile(file))
  trouble.value = table.ok ? '' : `${file.name}: ${table.problem.sentence}`
  if (!table.ok) return
  const read = readMaterials(table.value, moment.today)
  faults.value = read.faults
  if (read.materials.length > 0) await act({ kind: 'add', materials: read.materials })
}
async function save() {
  const { materialCsv } = await import('@core/formats/material-table')
  download(`${card.episode.code.toLowerCase()}-materials.csv`, materialCsv(materials.value), 'text/csv')
}
</script>

<template>
  <section class="mb-5" aria-labelledby="materials">
    <div class="flex flex-wrap items-center gap-x-3 gap-y-1 mb-2">
      <h2 id="materials">Materials</h2>
      <p v-if="materials.length > 0" class="sub">
        <span class="num">{{ sayMoney(cost.sum, currency) }}</span><template
          v-if="card.episode.budget !== undefined"
        >
          of {{ card.episode.budget }}</template
        ><span v-if="over > 0" class="late">, {{ sayMoney(over, currency) }} over</span
        ><template v-if="filming">, for filming on {{ sayDay(filming, moment.today) }}</template>
      </p>
      <span class="flex-1" /><Drop label="More" small right>
        <label class="btn btn-bare w-full relative"
          ><input
            type="file"
            accept=".csv,.tsv,.md,.txt,text/csv"
            class="absolute inset-0 opacity-0 cursor-pointer"
            aria-label="Read materials from a table"
            @change="readIn"
          />Read from a table (CSV)</label
        ><button v-if="materials.length > 0" class="btn btn-bare w-full" @click="save">
          Save as a table (CSV)
        </button>
        <div class="grid grid-cols-2 gap-2 mt-2">
          <OptionalNumberField
            label="Budget"
            :model-value="card.episode.budget"
            :min="0"
            @update:model-value="act({ kind: 'budget', budget: $event })"
          /><label
            ><span class="label">Currency</span
            ><input
              class="field"
              maxlength="6"
              :value="currency"
              @change="library.perform(editSettings, { currency: typedIn($event) }, 'quietly')"
          /></label>
        </div>
      </Drop>
    </div>
    <ul v-if="materials.length > 0" class="panel divide-y divide-faint mb-2">
      <MaterialRow
        v-for="m in materials"
        :key="m.id"
        :material="m"
        :late="late.find((l) => l.material.id === m.id)"
        :currency="currency"
        @change="act({ kind: 'change', material: m.id, to: $event })"
        @remove="act({ kind: 'remove', material: m.id })"
      />
    </ul>
    <form class="flex gap-2" @submit.prevent="add">
      <input
        v-model="typed"
        class="field field-small flex-1"
        placeholder="What is needed, and its price: cotton thread 4.50"
        aria-label="Something that is needed"
      />
    </form>
    <p v-if="trouble" role="alert" class="late text-12 mt-1">{{ trouble }}</p>
    <ul v-if="faults.length > 0" role="alert" class="text-12 mt-1">
      <li v-for="f in faults" :key="f.line">
        <span class="late">Line {{ f.line }}:</span> {{ f.sentence }}
      </li>
    </ul>
  </section>
</template>
