import { ascending } from 'd3-array'
import type { Day, Episode, Id, Job, Records, Step } from '../records'
import { daysBetween, sayDay } from '../rhythm/days'
import { isOfJob, openJobs } from '../helpers/jobs'
import { dealMoves, type DealMove } from './deal-next'
import type { DealView } from './deal-view'
import { folded } from './names'
import type { Known } from './people'
import { visitState } from './visits'

/** One thing that lies with the creator or with somebody else. */
export interface PersonMove {
  who: 'you' | 'they'
  what: string
  by?: Day
  since?: Day
  episode?: Episode
  /** What does it. */
  deed:
    | { kind: 'visit'; guest: string; next: 'answer' | 'book' | 'slot' | 'recorded' | 'tell' }
    | { kind: 'job'; job: Id; next: 'answer' | 'look' | 'wait' }
    | { kind: 'step'; step: Id }
    | { kind: 'deal'; deal: Id; move: DealMove }
}

/** Days after a release within which guests are told of it. */
const toldWithin = 30
const jobWords: Record<Job['kind'], string> = {
  cut: 'the cut',
  release: 'the hand-over',
  review: 'a look at the cut',
}

/** What lies with the creator and with somebody, what is most pressing first. */
export function movesOfPerson(
  records: Pick<Records, 'steps' | 'scripts' | 'episodes'>,
  known: Known,
  deals: readonly DealView[],
  today: Day,
  released: (episode: Episode) => Day | undefined,
): PersonMove[] {
  const moves: PersonMove[] = [
    ...known.guestOf.flatMap((e) => guestMoves(records, known, e, today, released)),
    ...known.jobs.flatMap((j) => jobMoves(records, j)),
    ...[...new Set([...known.holds, ...known.owns])]
      .filter((s) => !openJobs(known.jobs).some((j) => isOfJob(j, s)))
      .flatMap((s) => stepMoves(records, s)),
    ...deals.flatMap((view) =>
      dealMoves(records, view, today).map((move): PersonMove => ({
        ...{ who: move.who, what: move.what },
        ...(move.by === undefined ? {} : { by: move.by }),
        ...(move.since === undefined ? {} : { since: move.since }),
        ...(move.episode ? { episode: move.episode } : {}),
        deed: { kind: 'deal', deal: view.deal.id, move },
      })),
    ),
  ]
  const day = (m: PersonMove) => m.by ?? m.since ?? '9'
  return moves.sort((a, b) => ascending(day(a), day(b)))
}

/** The name under which somebody stands as a guest of an episode. */
export function guestName(known: Known, episode: Episode): string {
  const names = new Set([known.name, ...(known.person?.also ?? [])].map(folded))
  return episode.guests.find((g) => names.has(folded(g))) ?? known.name
}

function guestMoves(
  { steps }: Pick<Records, 'steps'>,
  known: Known,
  episode: Episode,
  today: Day,
  released: (episode: Episode) => Day | undefined,
): PersonMove[] {
  const guest = guestName(known, episode)
  const state = visitState(episode, guest, steps)
  const move = (
    who: PersonMove['who'],
    what: string,
    next: 'answer' | 'book' | 'slot' | 'recorded' | 'tell',
    when: { by?: Day; since?: Day } = {},
  ): PersonMove => ({ who, what, ...when, episode, deed: { kind: 'visit', guest, next } })
  switch (state.kind) {
    case 'asked':
      return [move('they', 'their answer', 'answer', { since: state.since })]
    case 'coming':
      return [move('you', 'agree on a time', 'book', { by: state.since })]
    case 'booked': {
      const { day } = state.booking
      if (day < today) return [move('you', 'was it recorded?', 'recorded', { by: day })]
      return episode.place.kind === 'nothing' ? [move('you', 'give it a slot', 'slot', { by: day })] : []
    }
    case 'out': {
      const day = released(episode)
      const isLately = day !== undefined && daysBetween(day, today) <= toldWithin
      return state.told || !isLately ? [] : [move('you', 'say that it is out', 'tell', { by: day })]
    }
    case 'wished for':
    case 'cannot':
    case 'recorded':
      return []
  }
}

function jobMoves({ episodes }: Pick<Records, 'episodes'>, job: Job): PersonMove[] {
  const episode = episodes.get(job.episode)
  if (job.ended !== undefined || !episode) return []
  const of = (
    who: PersonMove['who'],
    what: string,
    next: 'answer' | 'look' | 'wait',
    since: string,
  ): PersonMove => ({
    ...{ who, what, episode, since: since.slice(0, dateLength) },
    deed: { kind: 'job', job: job.id, next },
  })
  const open = job.asked.findLast((q) => (q.answer ?? '') === '')
  if (open) return [of('you', `answer: “${open.text}”`, 'answer', open.at)]
  return job.back === undefined
    ? [of('they', jobWords[job.kind], 'wait', job.given)]
    : [of('you', 'look at what came back', 'look', job.back)]
}
const dateLength = 10

function stepMoves({ episodes }: Pick<Records, 'episodes'>, step: Step): PersonMove[] {
  const episode = episodes.get(step.episode)
  const isOpen =
    episode?.phase.kind === 'work' || (episode?.phase.kind === 'released' && step.waiting !== undefined)
  if (!episode || !isOpen || step.doneAt !== undefined) return []
  const what = step.waiting ? step.waiting.what || step.name : step.name
  return [
    {
      ...{ who: 'they', what, episode },
      ...(step.waiting ? { since: step.waiting.since } : {}),
      deed: { kind: 'step', step: step.id },
    },
  ]
}

/** When something waits or is wanted, in a few words: “waits 5 d”, “by Tue 1 Dec, 7 d”. */
export function sayWhen({ by, since }: Pick<PersonMove, 'by' | 'since'>, today: Day): string {
  if (by !== undefined) {
    const days = daysBetween(today, by)
    return days < 0 ? `since ${sayDay(by)}` : `by ${sayDay(by)}, ${days === 0 ? 'today' : `${days} d`}`
  }
  if (since === undefined) return ''
  const days = Math.max(0, daysBetween(since, today))
  return days === 0 ? 'since today' : `waits ${days} d`
}
