import { median } from 'd3-array'
import {
  findingsOf,
  pathOf,
  worthMore,
  type GroupTimes,
  type KindTimes,
  type LeadTime,
  type PathStage,
} from '../learnt/findings'
import type { Made } from '../learnt/made'
import type { Day, Episode, Id, Recipe, Show } from '../records'
import { titleOf } from '../release/parts'
import { lateBy } from '../results/on-time'
import { againstUsual } from '../results/usual'
import { addDays, weekday, weekdayName } from '../rhythm/days'
import { sayNumber } from '../rhythm/numbering'
import type { Card } from './card'
import { ahead, estimated, promised, waits, worth, type Finding, type RhythmFrame } from './rhythm-findings'

/** How far back is looked: weeks. */
export const periods = [13, 26, 52] as const
export type Period = (typeof periods)[number]

/** What the screen Rhythm shows. */
export interface RhythmView {
  show: Show
  from: Day
  frames: RhythmFrame[]
  /** What comes next of the show, with a release. */
  coming: readonly Card[]
  skipped: Day[]
  lead: LeadTime
  path: PathStage[]
  times: KindTimes[]
  groups: GroupTimes[]
  /** The middle of minutes an episode, where any were logged. */
  minutes: number | undefined
  findings: Record<Finding['id'], Finding>
}

/** What it is made from: the released episodes of the show in the order of release, and how they were made as far as that is known. */
export interface RhythmSources {
  show: Show
  recipe: Recipe
  released: readonly Episode[]
  made: readonly Made[]
  coming: readonly Card[]
  today: Day
  period: Period
  /** Only episodes of this kind; all where nothing is said. */
  form?: Id | undefined
}

/** Minutes in classes by which lengths are told apart. */
function lengthName({ cut }: Pick<Episode, 'cut'>): string {
  const minutes = (cut.length ?? 0) / 60
  if (minutes === 0) return ''
  return minutes < 6
    ? 'under 6 min'
    : minutes < 10
      ? '6 to 10 min'
      : minutes < 20
        ? '10 to 20 min'
        : '20 min and more'
}

/** Everything that the screen shows of one show and period. */
export function rhythmView(of: RhythmSources): RhythmView {
  const { show, recipe, released, made: all, coming, today, period, form } = of
  const from = addDays(today, -7 * period)
  const made = all.filter((m) => m.day >= from && (form === undefined || m.episode.form === form))
  const shown = new Set(made.map((m) => m.episode.id))
  const usual = againstUsual(released, { of: (e) => shown.has(e.id) })
  const frames = made.map((m): RhythmFrame => ({
    made: m,
    number: sayNumber(show, m.episode.number, m.episode.code),
    title: titleOf(m.episode),
    late: lateBy(m.episode, show.zone),
    usual: usual.get(m.episode.id),
  }))
  const path = pathOf(made)
  const { lead, times, groups } = findingsOf(made, usual, {
    weekday: (day) => weekdayName(weekday(day)),
    kind: (m) => show.forms?.find((f) => f.id === m.episode.form)?.name ?? '',
    length: (m) => lengthName(m.episode),
  })
  const first = frames[0]?.made.day
  const skipped = show.skipped.filter((d) => d >= from && d < today).sort()
  const view = {
    ...{
      show,
      from: first === undefined || first < addDays(from, 14) ? from : addDays(first, -14),
      frames,
      coming,
      skipped,
      lead,
      path,
      times,
    },
    groups,
    minutes: median(
      made.filter((m) => m.minutes > 0),
      (m) => m.minutes,
    ),
  }
  const findings = {
    promise: promised(frames, skipped, coming),
    lead: ahead(lead),
    worth: worth(frames, worthMore(made, usual)),
    path: waits(path, recipe, made.at(-1)?.at ?? 0),
    estimates: estimated(times, recipe, made.at(-1)?.at ?? 0),
  }
  return { ...view, findings }
}
