import { computed, ref, shallowRef } from 'vue'
import { z } from 'zod/mini'
import { takePast, takeSubtitles, takingOf } from '@core/commands/past'
import {
  guessPastColumns,
  pastColumns,
  readPastTable,
  type PastColumn,
  type PastMapping,
} from '@core/formats/past-table'
import { readTable, type Table } from '@core/formats/tables'
import type { ReadPast } from '@core/past/row'
import { readFolder, type ReadFolder } from '@core/past/subtitle-files'
import { episodeNames } from '@core/results/match'
import { useCards } from '@app/stores/cards'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import { remembered } from '@app/stores/remembered'
import { textOfFile } from '@app/ui/text-file'

const isColumn = (key: string): key is PastColumn => Object.hasOwn(pastColumns, key)
const Kept = z.record(z.string(), z.record(z.string(), z.string()))

/** What was out before: read from files, looked at, and taken at once. */
export function usePast() {
  const library = useLibrary()
  const cards = useCards()
  const moment = useMoment()
  const chosen = ref(moment.shows[0]?.id ?? '')
  const show = computed(() => moment.shows.find((s) => s.id === chosen.value) ?? moment.shows[0])
  const table = shallowRef<Table>()
  const feed = shallowRef<ReadPast>()
  const folder = shallowRef<ReadFolder>()
  const name = ref('')
  const trouble = ref('')
  const mapping = ref<PastMapping>({})
  const kept = remembered<Record<string, PastMapping>>('lamp-reel.past-columns', {}, (found) => {
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
  const read = computed((): ReadPast | undefined => {
    if (feed.value) return feed.value
    return table.value && show.value
      ? readPastTable(table.value, mapping.value, show.value, moment.now)
      : undefined
  })
  const context = () => ({ now: moment.now, id: library.newId })
  const taking = computed(() =>
    read.value && show.value ? takingOf(library.records, show.value, read.value.rows, context()) : undefined,
  )
  const faults = computed(() =>
    [...(read.value?.faults ?? []), ...(taking.value?.faults ?? [])].sort((a, b) => a.line - b.line),
  )

  function forget() {
    table.value = feed.value = folder.value = undefined
    trouble.value = ''
  }
  async function open(files: readonly File[]): Promise<void> {
    forget()
    const [first] = files
    if (!first) return
    name.value = files.length === 1 ? first.name : `${files.length} files`
    const subtitles = files.filter((f) => /\.(srt|vtt)$/i.test(f.name))
    if (subtitles.length > 0) {
      const texts = await Promise.all(
        subtitles.map(async (f) => ({ name: f.name, text: await textOfFile(f) })),
      )
      folder.value = readFolder(texts, episodeNames(cards.released, library.tables.shows))
      return
    }
    const text = await textOfFile(first)
    if (/^\s*(<\?xml|<rss|<!)/i.test(text)) {
      const { readPastFeed } = await import('@core/formats/past-feed')
      const result = readPastFeed(text, moment.now)
      if (result.ok) feed.value = result.value
      else trouble.value = `${first.name}: ${result.problem.sentence}`
      return
    }
    const result = readTable(text)
    if (!result.ok) {
      trouble.value = `${first.name}: ${result.problem.sentence}`
      return
    }
    table.value = result.value
    mapping.value = guessPastColumns(result.value.columns, kept.value[result.value.columns.join('|')])
  }
  async function take(): Promise<boolean> {
    if (folder.value) {
      const files = folder.value.files.map(({ episode, captions }) => ({ episode, captions }))
      return (await library.perform(takeSubtitles, { files })).ok
    }
    if (!read.value || !show.value) return false
    if (table.value) kept.value = { ...kept.value, [table.value.columns.join('|')]: mapping.value }
    return (await library.perform(takePast, { show: show.value.id, rows: read.value.rows })).ok
  }
  return {
    chosen,
    show,
    table,
    folder,
    mapping,
    name,
    trouble,
    taking,
    faults,
    columns: Object.keys(pastColumns).filter(isColumn),
    map: (column: PastColumn, to: string) => {
      const { [column]: _before, ...rest } = mapping.value
      mapping.value = to === '' ? rest : { ...rest, [column]: to }
    },
    open,
    take,
  }
}
