import { folded } from '../../partners/names'
import { visitOf } from '../../partners/visits'
import { sayDay } from '../../rhythm/days'
import { releaseOf } from '../../rhythm/slots'
import { titleOf } from '../../release/parts'
import type { ClockTime, Day, Episode, Id, Records, Step, Visit } from '../../records'
import { ok, refused, type Result } from '../../result'
import { type Change, type Command, type Context, momentOf, putRecord, withChanges } from '../change'
import { recipeFor, stepsOf } from '../of-episode'
import { begun, working } from '../schedule/placing'
import { todayOf } from '../step-of'

/** An episode with what is noted of a guest's visit to it. */
function noted(episode: Episode, visit: Visit): Episode {
  const others = (episode.visits ?? []).filter((v) => folded(v.guest) !== folded(visit.guest))
  return { ...episode, visits: [...others, visit] }
}

function guestOf(records: Records, id: Id, guest: string): Result<{ episode: Episode; visit: Visit }> {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  if (!episode.guests.some((g) => folded(g) === folded(guest)))
    return refused(`${guest.trim() || 'Nobody'} is not a guest of it. Add them first.`, 'episodes.guests')
  return ok({ episode, visit: visitOf(episode, guest) })
}

/** What can be noted of a guest: that they were asked, what they answered, that they were told that it is out. */
export type VisitNote =
  | { kind: 'asked'; asked: boolean }
  | { kind: 'answered'; comes: boolean | undefined }
  | { kind: 'told'; told: boolean }

/**
 * Notes how far a guest is.
 *
 * Refused:
 * - “This episode is no longer there.”
 * - “… is not a guest of it. Add them first.”
 * - “It is not out yet.”
 */
export const noteVisit: Command<{ episode: Id; guest: string; note: VisitNote }> = (
  records,
  { episode: id, guest, note },
  context,
) => {
  const read = guestOf(records, id, guest)
  if (!read.ok) return read
  const { episode, visit } = read.value
  const today = todayOf(records, context)
  if (note.kind === 'told' && note.told && episode.phase.kind !== 'released')
    return refused('It is not out yet.', 'episodes.phase')
  const next = { ...visit }
  let says = ''
  switch (note.kind) {
    case 'asked':
      if (note.asked) next.asked = today
      else {
        delete next.asked
        delete next.answered
      }
      says = note.asked ? `Asked ${visit.guest}` : `${visit.guest} is not asked yet`
      break
    case 'answered':
      next.asked ??= today
      if (note.comes === undefined) delete next.answered
      else next.answered = { on: today, comes: note.comes }
      says =
        note.comes === undefined
          ? `${visit.guest} has not answered yet`
          : `${visit.guest} ${note.comes ? 'comes' : 'cannot come'}`
      break
    case 'told':
      if (note.told) next.told = momentOf(context)
      else delete next.told
      says = note.told ? `Told ${visit.guest} that it is out` : `${visit.guest} is not told yet`
      break
  }
  return ok({
    changes: [putRecord(records, 'episodes', { ...noted(episode, next), updatedAt: momentOf(context) })],
    sentence: `${says}: “${titleOf(episode)}”`,
    about: [id],
  })
}

function releaseDay(records: Records, id: Id): Day | undefined {
  const episode = records.episodes.get(id)
  const show = records.shows.get(episode?.show ?? '')
  return episode && show && releaseOf(episode, show)?.day
}

/** The step at which a guest is recorded: the one it was booked on, else the first open recording that no other guest has and that is ticked by hand, else a new one. */
function stepFor(
  records: Records,
  episode: Episode,
  visit: Visit,
  minutes: number,
  context: Context,
): Step | undefined {
  const steps = stepsOf(records, episode.id)
  const stages = recipeFor(records, episode)?.stages ?? []
  const stage = stages.find((s) => s.kind === 'film') ?? stages[0]
  if (!stage) return undefined
  const others = new Set(
    (episode.visits ?? []).flatMap((v) => (v === visit || v.step === undefined ? [] : [v.step])),
  )
  const open = steps.filter((s) => s.doneAt === undefined)
  const found =
    open.find((s) => s.id === visit.step) ??
    open
      .filter(
        (s) =>
          s.stage === stage.id &&
          (s.kind === 'record' || s.kind === 'film') &&
          s.part === undefined &&
          !others.has(s.id),
      )
      .sort((a, b) => a.order - b.order)[0]
  if (found) return found
  const at = momentOf(context)
  return {
    id: `${episode.id}/${context.id()}`,
    episode: episode.id,
    stage: stage.id,
    name: `Record ${visit.guest}`,
    kind: 'record',
    minutes,
    logged: 0,
    lead: { kind: 'before', days: 7 },
    needs: [],
    owner: 'me',
    required: true,
    blocks: [],
    order: Math.max(0, ...steps.map((s) => s.order + 1)),
    createdAt: at,
    updatedAt: at,
  }
}

/**
 * Books a guest for a day and a clock time, in the zone of the episode's show: the step at which they are recorded is pinned there, and so
 * stands in the week and in the calendar; it takes as long as was agreed. A day after the release is taken, and said. Of an idea
 * the work begins with it. A booking that is there is moved.
 *
 * Refused:
 * - “This episode is no longer there.” and “… is not a guest of it. Add them first.”
 * - “It is out already.”
 * - “A meeting lasts from five minutes to ten hours.”
 * - “Its recipe has no stage in which it could be recorded.”
 */
export const bookGuest: Command<{ episode: Id; guest: string; day: Day; at: ClockTime; minutes: number }> = (
  records,
  { episode: id, guest, day, at: time, minutes },
  context,
) => {
  const read = guestOf(records, id, guest)
  if (!read.ok) return read
  const { episode, visit } = read.value
  if (episode.phase.kind === 'released') return refused('It is out already.', 'episodes.phase')
  if (!Number.isInteger(minutes) || minutes < 5 || minutes > 600)
    return refused('A meeting lasts from five minutes to ten hours.', 'steps.blocks')
  const at = momentOf(context)
  const start: Change[] =
    episode.phase.kind === 'work'
      ? []
      : [
          putRecord(records, 'episodes', working(records, episode, context)),
          ...begun(records, episode, context),
        ]
  const now = withChanges(records, start)
  const step = stepFor(now, episode, visit, minutes, context)
  if (!step) return refused('Its recipe has no stage in which it could be recorded.', 'recipes.stages')
  const booked: Visit = {
    ...visit,
    asked: visit.asked ?? todayOf(records, context),
    answered: {
      on: visit.answered?.comes === true ? visit.answered.on : todayOf(records, context),
      comes: true,
    },
    step: step.id,
  }
  const untimed = step.blocks.filter((b) => b.at === undefined && b.day !== day)
  const release = releaseDay(now, id)
  const blocks = [...untimed, { day, minutes, pinned: true, at: time }]
  const begunEpisode = now.episodes.get(id) ?? episode
  const changed = [
    ...start.filter(
      (c) => !(c.table === 'episodes' && c.id === id) && !(c.table === 'steps' && c.id === step.id),
    ),
    putRecord(records, 'episodes', { ...noted(begunEpisode, booked), updatedAt: at }),
    putRecord(records, 'steps', { ...step, minutes: step.logged + minutes, blocks, updatedAt: at }),
  ]
  const says = `${visit.guest} on ${sayDay(day)} at ${time}: “${titleOf(episode)}”`
  return ok({
    changes: changed,
    sentence:
      release !== undefined && day > release
        ? `${says}. That is after its release on ${sayDay(release)}`
        : says,
    about: [id],
  })
}

/**
 * Takes back a time that was agreed on with a guest; they still come.
 *
 * Refused:
 * - “This episode is no longer there.” and “… is not a guest of it. Add them first.”
 * - “No time was agreed on.”
 */
export const unbookGuest: Command<{ episode: Id; guest: string }> = (
  records,
  { episode: id, guest },
  context,
) => {
  const read = guestOf(records, id, guest)
  if (!read.ok) return read
  const { episode, visit } = read.value
  const step = records.steps.get(visit.step ?? '')
  if (!step || step.doneAt !== undefined) return refused('No time was agreed on.', 'episodes.visits')
  const at = momentOf(context)
  const { step: _gone, ...rest } = visit
  return ok({
    changes: [
      putRecord(records, 'episodes', { ...noted(episode, rest), updatedAt: at }),
      putRecord(records, 'steps', {
        ...step,
        blocks: step.blocks.filter((b) => b.at === undefined),
        updatedAt: at,
      }),
    ],
    sentence: `No time with ${visit.guest} for now`,
    about: [id],
  })
}
