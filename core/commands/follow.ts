import type { Episode, FollowOn, Id, Recipe, Records, Step } from '../records'
import { progressOf } from '../recipe/lamps'
import { type EpisodeProgress } from '../recipe/progress'
import { stepId } from '../recipe/apply'
import { withChanges, merged, momentOf, putRecord, type Context, type Outcome } from './change'
import { recipeFor, stepsOf } from './of-episode'
import { slicedTo, sourcesOf } from './sources-of'
import { withLighting } from './lighting'
import { todayOf } from './step-of'

/** A follow-on as a sentence, by the names of its recipe. */
export function sayFollowOn(follow: FollowOn, recipe: Recipe): string {
  return `When ${sayWhen(follow, recipe)}, ${sayThen(follow, recipe)}.`
}

const lineName = (recipe: Recipe, id: Id) =>
  `“${recipe.lines.find((l) => l.id === id)?.name ?? 'a step that is gone'}”`
const stageName = (recipe: Recipe, id: Id) =>
  recipe.stages.find((s) => s.id === id)?.name ?? 'a stage that is gone'

function sayWhen({ when }: FollowOn, recipe: Recipe): string {
  return when.kind === 'lit'
    ? `${stageName(recipe, when.stage)} lights`
    : `${lineName(recipe, when.line)} is done`
}

function sayThen({ then }: FollowOn, recipe: Recipe): string {
  switch (then.kind) {
    case 'hand':
      return `hand ${lineName(recipe, then.line)} to ${then.to}`
    case 'add':
      return `add “${then.name}” to ${stageName(recipe, then.stage)}, ${then.minutes} min`
    case 'wait':
      return `${lineName(recipe, then.line)} waits on ${then.who}${then.what === '' ? '' : ` for ${then.what}`}`
    case 'folder':
      return 'prepare its folder'
    case 'note':
      return `put “${then.text}” on Today`
  }
}

/**
 * What a command does, with all that follows it by the recipes' follow-ons, as one step: stages that it
 * lights and steps that it gets done are found by comparing each touched episode in work before and after.
 * Each follow-on happens once per episode and is noted in the episode's log. What follows sets off nothing
 * further.
 */
export function withFollowOns(records: Records, command: Outcome, context: Context): Outcome {
  const touched = new Set(
    command.changes.flatMap((c) =>
      c.table === 'episodes' || c.table === 'scripts'
        ? [c.id]
        : c.table === 'steps'
          ? [(c.after ?? c.before)?.episode ?? '']
          : [],
    ),
  )
  const done = withLighting(records, command, touched, context)
  const asked = [...touched].filter((id) => {
    const e = records.episodes.get(id)
    return e?.phase.kind === 'work' && (recipeFor(records, e)?.follow?.length ?? 0) > 0
  })
  if (asked.length === 0) return done
  const before = slicedTo(records, new Set(asked))
  let next = withChanges(before, done.changes)
  let all = done
  for (const id of asked) {
    const [was, after] = [standing(before, id, context), standing(next, id, context)]
    if (!was || !after || after.episode.phase.kind !== 'work') continue
    for (const follow of after.recipe.follow ?? []) {
      if (
        after.episode.followed?.some((f) => f.follow === follow.id) ||
        !(comes(follow, after.standing) && !comes(follow, was.standing))
      )
        continue
      const effect = effectOf(follow, next, id, after.recipe, context)
      if (!effect) continue
      all = {
        ...all,
        changes: merged(all.changes, effect.changes),
        sentence: `${all.sentence}. ${effect.says}`,
      }
      next = withChanges(next, effect.changes)
    }
  }
  return all
}

function standing(
  records: Records,
  id: Id,
  context: Context,
): { episode: Episode; recipe: Recipe; standing: EpisodeProgress } | undefined {
  const sources = sourcesOf(records, id, context)
  return sources && { episode: sources.episode, recipe: sources.recipe, standing: progressOf(sources) }
}

function comes({ when }: FollowOn, standing: EpisodeProgress): boolean {
  return when.kind === 'lit'
    ? standing.stages.some((s) => s.stage.id === when.stage && s.lamp.state === 'lit')
    : standing.steps.some((s) => s.step.line === when.line && s.done)
}

function effectOf(
  follow: FollowOn,
  records: Records,
  id: Id,
  recipe: Recipe,
  context: Context,
): { changes: Outcome['changes']; says: string } | undefined {
  const episode = records.episodes.get(id)
  if (!episode) return undefined
  const at = momentOf(context)
  const { then } = follow
  const steps = stepsOf(records, id)
  const made = context.id()
  const log = (says: string, shows?: 'note' | 'folder') =>
    putRecord(records, 'episodes', {
      ...episode,
      followed: [
        ...(episode.followed ?? []),
        { id: made, follow: follow.id, at, says, ...(shows ? { shows } : {}) },
      ],
      updatedAt: at,
    })
  const noted = (says: string, ...changes: Outcome['changes']) => ({ changes: [log(says), ...changes], says })
  switch (then.kind) {
    case 'hand': {
      const step = steps.find((s) => s.line === then.line && s.doneAt === undefined)
      return (
        step &&
        noted(
          `Handed “${step.name}” to ${then.to}`,
          putRecord(records, 'steps', { ...step, owner: then.to, updatedAt: at }),
        )
      )
    }
    case 'wait': {
      const step = steps.find((s) => s.line === then.line && s.doneAt === undefined)
      return (
        step &&
        noted(
          `“${step.name}” waits on ${then.who}`,
          putRecord(records, 'steps', {
            ...step,
            waiting: {
              who: then.who,
              what: then.what,
              since: todayOf(records, context),
            },
            updatedAt: at,
          }),
        )
      )
    }
    case 'add': {
      const step: Step = {
        id: stepId(id, made),
        episode: id,
        stage: recipe.stages.some((s) => s.id === then.stage)
          ? then.stage
          : (recipe.stages.at(-1)?.id ?? then.stage),
        name: then.name,
        kind: 'admin',
        minutes: then.minutes,
        logged: 0,
        lead: { kind: 'before', days: 1 },
        needs: [],
        owner: 'me',
        required: true,
        blocks: [],
        order: Math.max(0, ...steps.map((s) => s.order + 1)),
        createdAt: at,
        updatedAt: at,
      }
      return noted(`Added “${then.name}”`, putRecord(records, 'steps', step))
    }
    case 'folder':
      return { changes: [log('Its folder is ready to be saved', 'folder')], says: 'Its folder is on Today' }
    case 'note':
      return { changes: [log(then.text, 'note')], says: 'A note is on Today' }
  }
}
