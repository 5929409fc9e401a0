<script setup lang="ts">
import { removeCut } from '@core/commands/cuts'
import { editShow } from '@core/commands/shows'
import { frameRates } from '@core/edit/frames'
import { FrameRate, type Cut } from '@core/records'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { download } from '@app/ui/download'
import Drop from '@app/ui/Drop.vue'
import { filesIn, typedIn } from '@app/ui/fields/event'
import { textOfFile } from '@app/ui/text-file'
import type { CutInHand } from './useCut'

/** Notes out as files of the trade, and in from them. */
const { cut, of, card } = defineProps<{ cut: Cut; of: CutInHand; card: Card }>()
const emit = defineEmits<{ read: [faults: readonly { line: number; sentence: string }[]] }>()
const library = useLibrary()
const formats = {
  csv: { name: 'Table (CSV)', type: 'text/csv' },
  txt: { name: 'Plain text', type: 'text/plain' },
  md: { name: 'Markdown', type: 'text/markdown' },
  vtt: { name: 'Subtitles (WebVTT)', type: 'text/vtt' },
  edl: { name: 'Markers (EDL)', type: 'text/plain' },
} as const
async function save(as: keyof typeof formats) {
  const to = await import('@core/formats/cut-notes')
  const rate = of.rate.value
  const text = {
    csv: () => to.notesCsv(cut, rate),
    txt: () => to.notesText(cut, rate),
    md: () => to.notesMarkdown(card.title, cut, rate),
    vtt: () => to.notesVtt(cut),
    edl: () => to.notesEdl(card.title, cut, rate),
  }[as]()
  download(`${card.episode.code.toLowerCase()}-cut-${cut.number}-notes.${as}`, text, formats[as].type)
}
async function readIn(event: Event) {
  const [file] = filesIn(event)
  if (!file) return
  const [{ readNoteFile }, { readTable }] = await Promise.all([
    import('@core/formats/cut-notes'),
    import('@core/formats/tables'),
  ])
  const from = { name: file.name, text: await textOfFile(file), rate: of.rate.value, length: cut.length }
  const read = readNoteFile(from, readTable)
  if (!read.ok) {
    emit('read', [{ line: 0, sentence: `${file.name}: ${read.problem.sentence}` }])
    return
  }
  emit('read', read.value.faults)
  if (read.value.notes.length > 0) await of.noteAll(read.value.notes)
}
function count(event: Event) {
  const read = FrameRate.safeParse(typedIn(event))
  if (read.success) void library.perform(editShow, { show: card.show.id, fields: { frames: read.data } })
}
</script>

<template>
  <Drop label="More" small right>
    <button
      v-for="(f, as) in formats"
      :key="as"
      class="btn btn-bare w-full"
      :disabled="cut.notes.length === 0"
      @click="save(as)"
    >
      {{ f.name }}
    </button>
    <label v-if="!cut.closed" class="btn btn-bare w-full relative"
      ><input
        type="file"
        accept=".csv,.tsv,.txt,.md,.edl,text/plain,text/csv"
        class="absolute inset-0 opacity-0 cursor-pointer"
        aria-label="Read notes from a file"
        @change="readIn"
      />Read notes from a file</label
    >
    <button class="btn btn-bare w-full" @click="library.perform(removeCut, { cut: cut.id })">
      Take cut {{ cut.number }} away
    </button>
    <label class="block border-t border-faint mt-2 pt-2"
      ><span class="label">Pictures a second</span
      ><select class="field" :value="of.rate.value" @change="count">
        <option v-for="r in frameRates" :key="r" :value="r">{{ r }}</option>
      </select></label
    >
  </Drop>
</template>
