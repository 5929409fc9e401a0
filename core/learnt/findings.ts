import { group, max, median, quantile, sum } from 'd3-array'
import type { Id, StageKind, StepKind } from '../records'
import type { AgainstUsual } from '../results/usual'
import { claimsOf, enough, hasEnough, type Comparison } from './claims'
import type { Made, StageSpan } from './made'

/** How far ahead releases were ready, days: medians. */
export interface LeadTime {
  cases: number
  all: number | undefined
  /** Of the first ten and of the last ten, where they differ. */
  rise: { first: number; last: number } | undefined
  /** Of those filmed on a day with another, and of those filmed alone; where they differ. */
  together: { several: number; alone: number } | undefined
}

const ten = 10

/** Something of which it is not yet said whether it differs, and what it is compared with. */
type Compared<T> = Omit<T, 'isOther' | 'isEnough'> & Comparison

/** What a page of findings looks at, and which of its differences may be said. */
export interface Findings {
  lead: LeadTime
  times: KindTimes[]
  groups: GroupTimes[]
}

/** Lead times, estimates and groups of some releases in their order, judged together as one page. */
export function findingsOf(
  made: readonly Made[],
  usual: ReadonlyMap<Id, AgainstUsual>,
  names: GroupNames,
): Findings {
  const [lead, times, groups] = [leadTime(made), kindTimes(made), groupTimes(made, usual, names)]
  const page: Comparison[] = [lead.rise, lead.together, ...times, ...groups].filter((c) => c !== undefined)
  const said = claimsOf(page)
  const judged = <T extends Comparison>(all: readonly T[]) => all.map((c) => ({ ...c, isOther: said.has(c) }))
  const { rise, together } = lead
  return {
    lead: {
      cases: lead.cases,
      all: lead.all,
      rise: rise && said.has(rise) ? { first: rise.first, last: rise.last } : undefined,
      together: said.has(together) ? { several: together.several, alone: together.alone } : undefined,
    },
    times: judged(times),
    groups: judged(groups).map((g) => ({ ...g, isEnough: hasEnough(g) })),
  }
}

/** Lead times of releases in their order, with what is compared. */
function leadTime(made: readonly Made[]) {
  const known = made.flatMap((m) => (m.lead === undefined ? [] : [m.lead]))
  const [first, last] = [known.slice(0, ten), known.slice(-ten)]
  const isApart = known.length >= 2 * enough && known.length >= first.length + last.length
  const days = group(
    made.filter((m) => m.filmed !== undefined),
    (m) => m.filmed,
  )
  const leads = (isSeveral: boolean) =>
    made.flatMap((m) =>
      m.lead !== undefined && m.filmed !== undefined && (days.get(m.filmed)?.length ?? 0) > 1 === isSeveral
        ? [m.lead]
        : [],
    )
  const [several, alone] = [leads(true), leads(false)]
  const all = median(known)
  const usual = all ?? 0
  const [middle, middleAlone] = [median(several) ?? 0, median(alone) ?? 0]
  return {
    cases: known.length,
    all,
    rise: isApart
      ? { mine: first, others: last, usual, first: median(first) ?? 0, last: median(last) ?? 0 }
      : undefined,
    together: { mine: several, others: alone, usual, several: middle, alone: middleAlone },
  }
}

/** One stage of the path of a usual episode: days as middles over the releases that went through it. */
export interface PathStage {
  kind: StageKind
  name: string
  cases: number
  worked: number
  still: number
  /** Days before the release at which it began and ended. */
  from: number
  to: number
  /** The stage that most often came next. */
  next: string | undefined
}

/** The path of a usual episode, the stages in the order in which they begin. */
export function pathOf(made: readonly Made[]): PathStage[] {
  const rows = made.flatMap((m) => m.spans.map((span, i) => ({ m, span, next: m.spans[i + 1]?.kind })))
  return [...group(rows, (r) => r.span.kind)]
    .map(([kind, all]): PathStage => {
      const middle = (of: (span: StageSpan, m: Made) => number) => median(all, (r) => of(r.span, r.m)) ?? 0
      const nexts = [...group(all, (r) => r.next)].sort((a, b) => b[1].length - a[1].length)
      return {
        kind,
        name: all.at(-1)?.span.name ?? kind,
        cases: all.length,
        worked: middle((s) => s.worked),
        still: middle((s) => s.still),
        from: middle((s, m) => daysBefore(s.first, m)),
        to: middle((s, m) => daysBefore(s.last, m)),
        next: nexts[0]?.[0],
      }
    })
    .sort((a, b) => b.from - a.from || b.to - a.to)
}

function daysBefore(day: string, { day: out }: Made): number {
  return Math.round((Date.parse(out) - Date.parse(day)) / 86_400_000)
}

/** The stage after which most time passes, where that can be said. */
export function bottleneck(path: readonly PathStage[]): PathStage | undefined {
  const [most] = path
    .filter((p) => p.cases >= enough && p.next !== undefined)
    .sort((a, b) => b.still - a.still)
  return most && most.still >= 1 ? most : undefined
}

/** Planned against taken of one kind of step. */
export interface KindTimes {
  kind: StepKind
  cases: number
  /** Middles in minutes. */
  planned: number
  taken: number
  /** The middle of taken over planned, and its middle half. */
  times: number
  spread: readonly [number, number]
  /** How many took longer than planned. */
  over: number
  /** Its share of all minutes. */
  share: number
  /** Minutes taken by each, in the order of release. */
  mine: readonly number[]
  /** It can be said that it takes other than planned. */
  isOther: boolean
}

/** Planned against taken by kind, what takes most first. */
function kindTimes(made: readonly Made[]): Compared<KindTimes>[] {
  const kinds = new Set(made.flatMap((m) => [...m.kinds.keys()]))
  const whole = sum(made, (m) => sum(m.kinds.values(), (k) => k.taken))
  return [...kinds]
    .map((kind): Compared<KindTimes> => {
      const all = made.flatMap((m) => m.kinds.get(kind) ?? [])
      const planned = median(all, (k) => k.planned) ?? 0
      const ratios = all.map((k) => k.taken / k.planned).sort((a, b) => a - b)
      return {
        kind,
        cases: all.length,
        planned,
        usual: planned,
        taken: median(all, (k) => k.taken) ?? 0,
        times: median(ratios) ?? 1,
        spread: [quantile(ratios, 0.25) ?? 1, quantile(ratios, 0.75) ?? 1],
        over: all.filter((k) => k.taken > k.planned).length,
        share: whole === 0 ? 0 : sum(all, (k) => k.taken) / whole,
        mine: all.map((k) => k.taken),
        others: all.map((k) => k.planned),
        isPaired: true,
      }
    })
    .sort((a, b) => b.share - a.share)
}

/** The kind whose estimate is furthest off, where that can be said. */
export function furthestOff(times: readonly KindTimes[]): KindTimes | undefined {
  return times
    .filter((t) => t.isOther)
    .sort((a, b) => Math.abs(Math.log(b.times)) * b.share - Math.abs(Math.log(a.times)) * a.share)[0]
}

/** Episodes that did much better than usual on no more hours than most, the best first. */
export function worthMore(
  made: readonly Made[],
  usual: ReadonlyMap<Id, AgainstUsual>,
): { made: Made; times: number }[] {
  const logged = made.filter((m) => m.minutes > 0)
  const middle = logged.length >= enough ? median(logged, (m) => m.minutes) : undefined
  if (middle === undefined) return []
  return logged
    .flatMap((m) => {
      const times = usual.get(m.episode.id)?.times
      return times !== undefined && times >= 1.5 && m.minutes <= middle ? [{ made: m, times }] : []
    })
    .sort((a, b) => b.times - a.times)
    .slice(0, 3)
}

/** How the episodes of a group did against their usual. */
export interface GroupTimes {
  by: 'topic' | 'weekday' | 'length' | 'kind'
  name: string
  cases: number
  times: number
  /** Of each of its episodes. */
  mine: readonly number[]
  /** There are cases enough, in it and outside, to tell. */
  isEnough: boolean
  /** It can be said that it does other than the rest. */
  isOther: boolean
}

/** How the groups of a release are named: '' where it is in none. */
export interface GroupNames {
  weekday: (day: string) => string
  kind: (m: Made) => string
  length: (m: Made) => string
}

/** How topics, weekdays, lengths and kinds did against the usual: middles, the most cases first in each. */
function groupTimes(
  made: readonly Made[],
  usual: ReadonlyMap<Id, AgainstUsual>,
  names: GroupNames,
): Compared<GroupTimes>[] {
  const rows = made.flatMap((m) => {
    const times = usual.get(m.episode.id)?.times
    return times === undefined ? [] : [{ m, times }]
  })
  const groupsBy = (by: GroupTimes['by'], of: (m: Made) => readonly string[]) => {
    const all = new Set(rows.flatMap((r) => of(r.m)))
    const groups = [...all].map((name) => {
      const mine = rows.filter((r) => of(r.m).includes(name)).map((r) => r.times)
      const rest = rows.filter((r) => !of(r.m).includes(name)).map((r) => r.times)
      return { by, name, cases: mine.length, times: median(mine) ?? 1, mine, others: rest, usual: 1 }
    })
    // One group alone has nothing to be compared with.
    return groups.length < 2 ? [] : groups.sort((a, b) => b.cases - a.cases || (a.name < b.name ? -1 : 1))
  }
  const named = (name: string) => (name === '' ? [] : [name])
  return [
    ...groupsBy('topic', (m) => m.episode.topics),
    ...groupsBy('kind', (m) => named(names.kind(m))),
    ...groupsBy('weekday', (m) => [names.weekday(m.day)]),
    ...groupsBy('length', (m) => named(names.length(m))),
  ]
}

/** The longest lead that a picture of them has to hold, days. */
export function longestLead(made: readonly Made[]): number {
  return Math.max(1, max(made, (m) => m.lead ?? 0) ?? 1)
}
