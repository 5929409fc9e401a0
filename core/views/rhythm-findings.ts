import { enough } from '../learnt/claims'
import { bottleneck, furthestOff, type KindTimes, type LeadTime, type PathStage } from '../learnt/findings'
import type { Made } from '../learnt/made'
import type { Day, Id, Recipe, RecipeLine, StepKind } from '../records'
import type { AgainstUsual } from '../results/usual'
import { sayMinutes } from '../script/timecode'
import type { Card } from './card'

/** What is done about a finding, by one press. */
export type RhythmDeed =
  | { kind: 'forecast'; episode: Id }
  | { kind: 'session' }
  | { kind: 'follow up'; episode: Id; why: string }
  | { kind: 'begin earlier'; recipe: Id; stage: Id; days: number }
  | { kind: 'plan minutes'; recipe: Id; step: StepKind; times: number }

/** Something that the figures hold, in a sentence, and one thing to do about it. */
export interface Finding {
  id: 'promise' | 'lead' | 'worth' | 'path' | 'estimates'
  says: string
  more: string
  deed: { label: string; does: RhythmDeed } | undefined
}

/** One release of the period as the film shows it. */
export interface RhythmFrame {
  made: Made
  number: string
  title: string
  late: number | undefined
  usual: AgainstUsual | undefined
}

const days = (n: number) => n.toFixed(1)
const many = (n: number, one: string, several = `${one}s`) => `${n} ${n === 1 ? one : several}`
/** What kinds of work are called in sentences. */
export const workNames: Readonly<Record<StepKind, string>> = {
  research: 'Research',
  write: 'Writing',
  prepare: 'Preparing',
  film: 'Filming',
  record: 'Recording',
  edit: 'Editing',
  design: 'The picture',
  admin: 'Handing over',
}

/** How many went out on their day, and which may be late next. */
export function promised(
  frames: readonly RhythmFrame[],
  skipped: readonly Day[],
  coming: readonly Card[],
): Finding {
  const known = frames.filter((f) => f.late !== undefined)
  const late = known.filter((f) => (f.late ?? 0) > 0)
  const early = known.filter((f) => (f.late ?? 0) < 0)
  const next = coming.find((c) => c.standing.late !== undefined)
  const more = [
    late.length > 0
      ? `${late
          .slice(-2)
          .map((f) => `${f.number} was ${f.late ?? 0} d late`)
          .join(', ')}.`
      : '',
    next ? `${next.number} may be ${late.length === 0 ? 'the first' : 'next'}.` : '',
    early.length > 0 ? `${early.map((f) => f.number).join(', ')} went out early.` : '',
    skipped.length > 0 ? `${skipped.length} skipped.` : '',
  ].filter(Boolean)
  return {
    id: 'promise',
    says:
      known.length === 0
        ? 'Nothing went out in this time.'
        : `${known.length - late.length - early.length} of ${known.length} went out on time.`,
    more: more.join(' '),
    deed: next && {
      label: `See what mends ${next.number}`,
      does: { kind: 'forecast', episode: next.episode.id },
    },
  }
}

/** How far ahead releases were ready. */
export function ahead(lead: LeadTime): Finding {
  const { all, rise, together, cases } = lead
  const says =
    all === undefined
      ? 'No step says yet when an episode was ready.'
      : rise
        ? `Ready ${days(rise.last)} days ahead, ${rise.last > rise.first ? 'up' : 'down'} from ${days(rise.first)}.`
        : `Ready ${days(all)} days ahead${cases < enough ? ' so far' : ''}.`
  return {
    id: 'lead',
    says,
    more: together
      ? `Filmed in one go ${days(together.several)} d, alone ${days(together.alone)} d.`
      : cases === 0
        ? ''
        : cases === 1
          ? 'From one release.'
          : `Median of ${many(cases, 'release')}.`,
    deed: cases === 0 ? undefined : { label: 'Plan a day for several', does: { kind: 'session' } },
  }
}

/** What did better than usual on no more hours. */
export function worth(
  frames: readonly RhythmFrame[],
  best: readonly { made: Made; times: number }[],
): Finding {
  const counted = frames.filter((f) => f.usual !== undefined).length
  const [first] = best
  const named = best.flatMap((b) => frames.find((f) => f.made === b.made) ?? [])
  const [top] = named
  if (!first || !top)
    return {
      id: 'worth',
      says:
        counted < enough
          ? 'Too few figures yet to say what was worth it.'
          : 'None did much better on no more hours than most.',
      more: `${many(counted, 'episode')} with figures and a usual.`,
      deed: undefined,
    }
  const which = ['One', 'Two', 'Three'][best.length - 1] ?? 'Some'
  return {
    id: 'worth',
    says: `${which} beat the usual by half or more, on no more hours than most.`,
    more: named.map((f) => `${f.number} ${f.title}`).join(', '),
    deed: {
      label: `Plan what follows ${top.number}`,
      does: {
        kind: 'follow up',
        episode: top.made.episode.id,
        why: `${top.number} did ${first.times.toFixed(1)} times the usual in ${sayMinutes(top.made.minutes)}.`,
      },
    },
  }
}

/** What was changed after the last release is judged by the next ones. */
const isTried = (lines: readonly RecipeLine[], since: number) =>
  lines.some((l) => l.changedAt !== undefined && Date.parse(l.changedAt) > since)
const tried = 'You changed the recipe for it since; the next releases will tell.'

/** Where an episode lies still. */
export function waits(path: readonly PathStage[], recipe: Recipe, since: number): Finding {
  const most = bottleneck(path)
  const worked = path.reduce((sum, p) => sum + p.worked, 0)
  const still = path.reduce((sum, p) => sum + p.still, 0)
  const next = most && path.find((p) => p.kind === most.next)
  const stage = next && recipe.stages.find((s) => s.kind === next.kind)
  if (!most || !next)
    return {
      id: 'path',
      says: path.length === 0 ? 'The path of an episode is not known yet.' : 'No stage lies still for long.',
      more: path.length === 0 ? 'It follows from the days on which steps are done.' : '',
      deed: undefined,
    }
  const by = Math.max(1, Math.floor(most.still / 2))
  const isDone =
    stage !== undefined &&
    isTried(
      recipe.lines.filter((l) => l.stage === stage.id),
      since,
    )
  const usual = `A usual episode has ${days(worked)} days with work and ${days(still)} without.`
  return {
    id: 'path',
    says: `${most.name} lies ${days(most.still)} days before ${next.name} begins.`,
    more: `The longest wait, over ${many(most.cases, 'release')}. ${isDone ? tried : usual}`,
    deed:
      stage && !isDone
        ? {
            label: `Begin ${next.name} ${by} d earlier`,
            does: { kind: 'begin earlier', recipe: recipe.id, stage: stage.id, days: by },
          }
        : undefined,
  }
}

/** What takes other than planned. */
export function estimated(times: readonly KindTimes[], recipe: Recipe, since: number): Finding {
  const off = furthestOff(times)
  if (!off) {
    const most = times.find((t) => t.cases >= enough)
    return {
      id: 'estimates',
      says: most ? 'Work takes about what you plan.' : 'Too little was timed yet to say how you plan.',
      more: most
        ? `${workNames[most.kind]} is the most of it, ${Math.round(most.share * 100)} %.`
        : 'Start the clock with T on Today, or say what a step took.',
      deed: undefined,
    }
  }
  const planned = recipe.lines.filter((l) => l.kind === off.kind)
  const isDone = isTried(planned, since)
  return {
    id: 'estimates',
    says: `${workNames[off.kind]} takes ${off.times.toFixed(1)} times what you plan: ${sayMinutes(off.planned)} is really ${sayMinutes(off.taken)}.`,
    more: `${off.over} of ${off.cases} ran over. ${isDone ? tried : `It is ${Math.round(off.share * 100)} % of your hours.`}`,
    deed:
      planned.length === 0 || isDone
        ? undefined
        : {
            label: `Plan it at ${sayMinutes(
              planned.reduce((sum, l) => sum + Math.round((l.minutes * off.times) / 5) * 5, 0),
            )}`,
            does: { kind: 'plan minutes', recipe: recipe.id, step: off.kind, times: off.times },
          },
  }
}
