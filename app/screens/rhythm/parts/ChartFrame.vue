<script setup lang="ts">
import { ref, useTemplateRef } from 'vue'
import { Download, Table2 } from '@lucide/vue'
import { chartCsv, type ChartCell } from '@core/formats/chart-csv'
import { useLibrary } from '@app/stores/library'
import { chartPicture } from '@app/ui/chart-picture'
import { download } from '@app/ui/download'

/** A chart with its table: one shown instead of the other, both to be saved. */
const {
  name,
  columns,
  rows,
  picture = true,
} = defineProps<{
  name: string
  columns: readonly string[]
  rows: readonly (readonly ChartCell[])[]
  /** It can be saved as a picture. */
  picture?: boolean
}>()
const library = useLibrary()
const isTable = ref(false)
const room = useTemplateRef<HTMLElement>('room')
const file = (ending: string) => `${name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.${ending}`
const shown = (cell: ChartCell) =>
  cell === undefined
    ? ''
    : typeof cell === 'number'
      ? cell.toLocaleString('en', { maximumFractionDigits: 2 })
      : cell
function saveTable() {
  download(file('csv'), chartCsv(columns, rows), 'text/csv')
}
async function savePicture() {
  const svg = room.value?.querySelector('svg')
  if (!svg || !room.value) return
  try {
    const ground = getComputedStyle(room.value).getPropertyValue('--ground')
    download(file('png'), await chartPicture(svg, ground), 'image/png')
  } catch {
    library.say('The picture could not be made here. The table can be saved.', 'refused')
  }
}
</script>

<template>
  <figure class="m-0 min-w-0 grid gap-1 content-start">
    <div v-show="!isTable" ref="room" class="min-w-0"><slot /></div>
    <div v-if="isTable" class="overflow-auto max-h-[360px]" tabindex="0" :aria-label="`${name}, as a table`">
      <table class="w-full text-12">
        <caption class="unseen">
          {{
            name
          }}
        </caption>
        <thead>
          <tr>
            <th v-for="c in columns" :key="c" scope="col" class="text-left font-normal text-ink-2 pr-4">
              {{ c }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(r, i) in rows" :key="i" class="border-t border-faint">
            <td
              v-for="(cell, j) in r"
              :key="j"
              class="pr-4 py-0.5"
              :class="typeof cell === 'number' ? 'num' : ''"
            >
              {{ shown(cell) }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <figcaption class="flex gap-1 justify-end">
      <button class="btn btn-small btn-bare" :aria-pressed="isTable" @click="isTable = !isTable">
        <Table2 :size="13" aria-hidden="true" /> {{ isTable ? 'As a picture' : 'As a table' }}</button
      ><button class="btn btn-small btn-bare" :aria-label="`Save the table of ${name}`" @click="saveTable">
        <Download :size="13" aria-hidden="true" /> CSV</button
      ><button
        v-if="!isTable && picture"
        class="btn btn-small btn-bare"
        :aria-label="`Save the picture of ${name}`"
        @click="savePicture"
      >
        <Download :size="13" aria-hidden="true" /> PNG
      </button>
    </figcaption>
  </figure>
</template>
