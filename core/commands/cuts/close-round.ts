import { median } from 'd3-array'
import type { Cut, Id, Records, Step } from '../../records'
import { ok, refused } from '../../result'
import { type Change, type Command, type Context, merged, momentOf, putRecord, removeRecord } from '../change'
import { recipeFor, stepsOf } from '../of-episode'
import { settingsOf } from '../work/logged'
import { madeByHelper, roundEnded, roundOpened } from './helper-round'
import { isRound, nameOf, openCut, roundId } from './of-cut'

/** Minutes that a round of changes takes where none was logged yet. */
const usualRound = 60

/** What rounds took, as far as it was logged: minutes. */
function roundMinutes({ steps }: Pick<Records, 'steps'>): number {
  const took = [...steps.values()].flatMap((s) => (isRound(s) && s.doneAt && s.logged > 0 ? [s.logged] : []))
  return Math.max(5, Math.round((median(took) ?? usualRound) / 5) * 5)
}

/** The step that a further round brings, before what is left of the edit; nothing where its recipe has none. */
function roundStep(records: Records, cut: Cut, context: Context): Change[] {
  const at = momentOf(context)
  const episode = records.episodes.get(cut.episode)
  const recipe = episode && recipeFor(records, episode)
  const stage = recipe?.stages.find((s) => s.kind === 'edit')
  const id = roundId(cut.episode, cut.number + 1)
  if (!stage || records.steps.has(id)) return []
  const all = stepsOf(records, cut.episode)
  const mine = all.filter((s) => s.stage === stage.id)
  const open = mine.filter((s) => s.doneAt === undefined)
  const last = open.at(-1) ?? mine.at(-1)
  const step: Step = {
    id,
    episode: cut.episode,
    stage: stage.id,
    name: `Cut ${cut.number + 1}`,
    kind: 'edit',
    minutes: roundMinutes(records),
    logged: 0,
    lead: last?.lead ?? { kind: 'before', days: 1 },
    needs: [],
    owner: 'me',
    required: true,
    blocks: [],
    order: Math.max(0, ...all.map((s) => s.order + 1)),
    createdAt: at,
    updatedAt: at,
  }
  return [putRecord(records, 'steps', madeByHelper(records, step, cut, context))]
}

/**
 * Closes the round of a cut. `another`: there is to be a further one, which is a step of the edit from then on.
 * `approved`: it is the cut that goes out, and its length the edit's.
 *
 * Refused:
 * - “This cut is no longer there.”
 * - “The round of this cut is closed. Open it again first.”
 */
export const closeRound: Command<{ cut: Id; as: 'approved' | 'another' }> = (
  records,
  { cut: id, as },
  context,
) => {
  const cut = openCut(records, id)
  if (!cut.ok) return cut
  const at = momentOf(context)
  const { episode: of, length } = cut.value
  const closed = putRecord(records, 'cuts', { ...cut.value, closed: { kind: as, at }, updatedAt: at })
  if (as === 'another')
    return ok({
      changes: merged(
        [closed, ...roundStep(records, cut.value, context)],
        roundEnded(records, cut.value, as, context),
      ),
      sentence: `Asked for another round after ${nameOf(records, cut.value)}`,
      about: [of],
    })
  const episode = records.episodes.get(of)
  const isNew = length !== undefined && episode !== undefined && episode.cut.length !== Math.round(length)
  return ok({
    changes: [
      closed,
      ...(isNew
        ? [
            putRecord(records, 'episodes', {
              ...episode,
              cut: { ...episode.cut, length: Math.round(length) },
              updatedAt: at,
            }),
          ]
        : []),
      ...roundEnded(records, cut.value, as, context),
    ],
    sentence: `Approved ${nameOf(records, cut.value)}`,
    about: [of],
  })
}

/**
 * Opens the round of the last cut again. A further one that was asked for is no step of the edit any more, unless it was
 * worked on.
 *
 * Refused:
 * - “This cut is no longer there.”
 * - “Its round is open.”
 * - “Another cut came after it. Take that away first.”
 */
export const reopenRound: Command<{ cut: Id }> = (records, { cut: id }, context) => {
  const cut = records.cuts.get(id)
  if (!cut) return refused('This cut is no longer there.', 'cuts')
  if (!cut.closed) return refused('Its round is open.', 'cuts.closed')
  if ([...records.cuts.values()].some((c) => c.episode === cut.episode && c.number > cut.number))
    return refused('Another cut came after it. Take that away first.', 'cuts')
  const { closed: _closed, ...rest } = cut
  const round = records.steps.get(roundId(cut.episode, cut.number + 1))
  const isUntouched =
    round !== undefined &&
    round.doneAt === undefined &&
    round.logged === 0 &&
    settingsOf(records, context).running?.step !== round.id
  return ok({
    changes: [
      putRecord(records, 'cuts', { ...rest, updatedAt: momentOf(context) }),
      ...(isUntouched ? [removeRecord(records, 'steps', round.id)] : []),
      ...roundOpened(records, cut, context),
    ],
    sentence: `Opened ${nameOf(records, cut)} again`,
    about: [cut.episode],
  })
}
