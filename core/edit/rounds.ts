import { ascending, median } from 'd3-array'
import type { Cut, CutNote, Episode, Id, Records } from '../records'

/** The cuts of an episode, the first first. */
export function cutsOf({ cuts }: Pick<Records, 'cuts'>, episode: Id): Cut[] {
  return [...cuts.values()].filter((c) => c.episode === episode).sort((a, b) => ascending(a.number, b.number))
}

/** What is still to be done of a cut, in the order of its moments. */
export function openNotes(cut: Pick<Cut, 'notes'>): CutNote[] {
  return cut.notes
    .filter((n) => n.kind === 'to do' && n.done === undefined)
    .sort((a, b) => ascending(a.at, b.at))
}

/** How many of a cut's notes are what. */
export interface NoteCounts {
  open: number
  /** Of these, asked in an earlier cut too. */
  again: number
  /** Of these, for oneself. */
  mine: number
  done: number
  remarks: number
}

/** Counts the notes of a cut. */
export function countNotes(cut: Pick<Cut, 'notes'>): NoteCounts {
  const open = openNotes(cut)
  return {
    open: open.length,
    again: open.filter((n) => n.asked.length > 1).length,
    mine: open.filter((n) => n.mine).length,
    done: cut.notes.filter((n) => n.done !== undefined).length,
    remarks: cut.notes.filter((n) => n.kind === 'remark').length,
  }
}

/** How many episodes have to have been approved before a usual number of rounds is said. */
const enough = 3

/** How many cuts the episodes of a show usually take until one is approved; nothing while too few are known. */
export function usualRounds(
  { cuts, episodes }: Pick<Records, 'cuts' | 'episodes'>,
  show: Id,
  but?: Id,
): number | undefined {
  const rounds = new Map<Id, number>()
  for (const cut of cuts.values()) {
    const of: Episode | undefined = episodes.get(cut.episode)
    if (cut.closed?.kind === 'approved' && of?.show === show && cut.episode !== but)
      rounds.set(cut.episode, Math.max(cut.number, rounds.get(cut.episode) ?? 0))
  }
  const usual = rounds.size < enough ? undefined : median(rounds.values())
  return usual === undefined ? undefined : Math.round(usual)
}

/** The id of the step by which a cut that came back from a helper is looked at. */
export const lookId = (episode: Id, number: number): Id => `${episode}/look-${number}`
/** Whether a step is a look at what came back. */
export const isLook = (id: Id): boolean => id.includes('/look-')
