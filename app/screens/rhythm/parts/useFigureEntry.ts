import { computed, ref } from 'vue'
import { keepFigures } from '@core/commands/figures'
import { readFigure } from '@core/formats/keyword-table'
import { Figure, type Episode, type FigureName, type Show } from '@core/records'
import { oddities } from '@core/results/odd'
import { daysBetween } from '@core/rhythm/days'
import { dayAt } from '@core/rhythm/zone'
import { useCards } from '@app/stores/cards'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'

/** What may be typed of an episode, in the order in which it is asked; what is a share is typed in per cent. */
export const entryFields: readonly (readonly [FigureName, string])[] = [
  ['views', 'Views'],
  ['likes', 'Likes'],
  ['comments', 'Comments'],
  ['watch', 'Minutes watched'],
  ['impressions', 'Times shown'],
  ['pressed', 'Pressed, %'],
  ['seen', 'Seen, %'],
  ['gained', 'Followers gained'],
]
const shares: ReadonlySet<FigureName> = new Set(['pressed', 'seen'])

/** One episode with what is typed of it. */
export interface EntryRow {
  episode: Episode
  age: number
  /** What is wrong with what was typed; nothing where all of it can be read. */
  fault: string
  figure: Figure | undefined
  odd: string[]
}

/** Figures as they are typed for the last releases of a show, counted on one day. */
export function useFigureEntry(show: () => Show) {
  const library = useLibrary()
  const cards = useCards()
  const moment = useMoment()
  const on = ref(moment.today)
  const outlet = ref('')
  /** What was typed, by episode and field. */
  const typed = ref<Record<string, string>>({})
  const sure = ref<ReadonlySet<string>>(new Set())
  const released = computed(() => cards.released.filter((e) => e.show === show().id).slice(0, 14))

  function figureOf(episode: Episode, age: number): { figure?: Figure; fault?: string } {
    const found: Record<string, number | string> = { age }
    if (outlet.value !== '') found['outlet'] = outlet.value
    for (const [name, label] of entryFields) {
      const text = (typed.value[`${episode.id} ${name}`] ?? '').trim()
      if (text === '') continue
      const isLoss = name === 'gained' && /^[-−]/.test(text)
      const value = shares.has(name)
        ? Number(text.replace('%', '').replace(',', '.')) / 100
        : readFigure(isLoss ? text.slice(1) : text)
      if (value === 'wrong' || value === undefined || Number.isNaN(value))
        return { fault: `${label}: “${text}” is no figure. Write it as 12400, 12,400 or 12.4k.` }
      found[name] = isLoss ? -value : value
    }
    const read = Figure.safeParse(found)
    if (!read.success) return { fault: read.error.issues[0]?.message ?? 'These are no figures.' }
    return Object.keys(found).length > (outlet.value === '' ? 1 : 2) ? { figure: read.data } : {}
  }
  const rows = computed(() =>
    released.value.flatMap((episode): EntryRow[] => {
      if (episode.phase.kind !== 'released') return []
      const day = dayAt(Date.parse(episode.phase.at), show().zone)
      const age = daysBetween(day, on.value)
      if (age < 0) return []
      const { figure, fault = '' } = figureOf(episode, age)
      const odd = figure ? oddities(figure, episode, daysBetween(day, moment.today)) : []
      return [{ episode, age, fault, figure, odd: sure.value.has(episode.id) ? [] : odd }]
    }),
  )
  const ready = computed(() => rows.value.filter((r) => r.figure && r.odd.length === 0))
  return {
    on,
    outlet,
    rows,
    ready,
    open: computed(() => rows.value.filter((r) => r.fault !== '' || r.odd.length > 0).length),
    textOf: (row: EntryRow, name: FigureName) => typed.value[`${row.episode.id} ${name}`] ?? '',
    write: (row: EntryRow, name: FigureName, text: string) => {
      typed.value = { ...typed.value, [`${row.episode.id} ${name}`]: text }
    },
    /** A column copied from elsewhere fills the rows from this one on. */
    paste: (row: EntryRow, name: FigureName, text: string): boolean => {
      const lines = text.split(/\r?\n/).map((l) => l.split('\t')[0]?.trim() ?? '')
      if (lines.filter(Boolean).length < 2) return false
      const from = rows.value.indexOf(row)
      const more = lines.flatMap((l, i) => {
        const to = rows.value[from + i]
        return to && l !== '' ? [[`${to.episode.id} ${name}`, l] as const] : []
      })
      typed.value = { ...typed.value, ...Object.fromEntries(more) }
      return true
    },
    asItIs: (row: EntryRow) => {
      sure.value = new Set([...sure.value, row.episode.id])
    },
    keep: () =>
      library.perform(keepFigures, {
        rows: ready.value.flatMap((r) => (r.figure ? [{ episode: r.episode.id, figure: r.figure }] : [])),
      }),
  }
}
