import { computed } from 'vue'
import {
  beginCut,
  changeNote,
  closeRound,
  keepCut,
  noteOnCut,
  removeNote,
  reopenRound,
} from '@core/commands/cuts'
import { writeEpisode } from '@core/commands/episode'
import { usualRate } from '@core/edit/frames'
import { readWords, type ReadNote } from '@core/edit/notes'
import { countNotes, cutsOf, usualRounds } from '@core/edit/rounds'
import { beatTimes, sectionTimes, startsFrom } from '@core/edit/times'
import type { CutNote, Id, Timing } from '@core/records'
import { scriptFigures } from '@core/script/timing'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'

/** The cut in hand of an episode: what is known of it, and what can be done with it. */
export function useCut(card: () => Card) {
  const library = useLibrary()
  const cuts = computed(() => cutsOf(library.tables, card().episode.id))
  const cut = computed(() => cuts.value.at(-1))
  const rate = computed(() => card().show.frames ?? usualRate)
  /** The cut's own length before the edit's, which it becomes when it is approved. */
  const timing = computed((): Timing => {
    const length = cut.value?.length ?? card().episode.cut.length
    return { starts: card().episode.cut.starts, ...(length === undefined ? {} : { length }) }
  })
  const figures = computed(() => scriptFigures(card().script, card().show.pace))
  const sections = computed(() => sectionTimes(card().script, card().show.pace, timing.value))
  const beats = computed(() => beatTimes(card().script, card().show.pace, timing.value))
  const length = computed(
    () => timing.value.length ?? (figures.value.seconds > 0 ? figures.value.seconds : undefined),
  )
  const id = () => cut.value?.id ?? ''
  return {
    cuts,
    cut,
    rate,
    timing,
    figures,
    sections,
    beats,
    length,
    counts: computed(() => (cut.value ? countNotes(cut.value) : undefined)),
    usual: computed(() => usualRounds(library.tables, card().show.id, card().episode.id)),
    begin: async (from?: string): Promise<Id | undefined> => {
      const next = library.newId()
      const done = await library.perform(beginCut, { episode: card().episode.id, id: next, from })
      return done.ok ? next : undefined
    },
    note: (text: string, at: number, mine: boolean) => {
      const said = readWords(text)
      if (said.text === '') return
      const notes = [{ at: Math.round(at * 1000) / 1000, ...said, mine }]
      void library.perform(noteOnCut, { cut: id(), notes }, 'quietly')
    },
    noteAll: (notes: readonly ReadNote[]) => library.perform(noteOnCut, { cut: id(), notes }),
    /** Starts of sections that are marked in the cut and not said yet. */
    marked: computed(() => {
      const starts = startsFrom(cut.value?.notes ?? [], card().script?.sections ?? [])
      const known = card().episode.cut.starts
      return Object.entries(starts).some(([section, at]) => known[section] !== at) ? starts : undefined
    }),
    takeStarts: (starts: Record<Id, number>) => {
      const { cut: timed } = card().episode
      const typed = { cut: { ...timed, starts: { ...timed.starts, ...starts } } }
      void library.perform(writeEpisode, { episode: card().episode.id, typed, what: 'the section times' })
    },
    change: (
      note: Id,
      to: Partial<Pick<CutNote, 'at' | 'kind' | 'text' | 'mine'>> & { isDone?: boolean },
    ) => {
      void library.perform(changeNote, { cut: id(), note, to }, 'quietly')
    },
    remove: (note: Id) => {
      void library.perform(removeNote, { cut: id(), note })
    },
    keep: (to: Parameters<typeof keepCut>[1]['to'], of = id()) => {
      void library.perform(keepCut, { cut: of, to }, 'quietly')
    },
    close: (as: 'approved' | 'another') => library.perform(closeRound, { cut: id(), as }),
    reopen: () => {
      void library.perform(reopenRound, { cut: id() })
    },
    /** Says that a section begins at a moment. */
    startAt: (section: Id, at: number) => {
      const { cut: timed } = card().episode
      const first = sections.value[0]?.id ?? section
      const starts = { [first]: 0, ...timed.starts, [section]: Math.round(at * 100) / 100 }
      const typed = { cut: { ...timed, starts } }
      const wish = { episode: card().episode.id, typed, what: 'the section times' }
      void library.perform(writeEpisode, wish, 'quietly')
    },
  }
}

export type CutInHand = ReturnType<typeof useCut>
