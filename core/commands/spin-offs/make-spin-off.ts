import { spinCode, spinStage, spinStep, spinWork } from '../../release/spin-offs'
import { titleOf } from '../../release/parts'
import { sayKind, waysAt } from '../../release/when'
import type { Episode, Id, Outlet, Records, SpinKind, SpinOff, When } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord, removeRecord } from '../change'
import { recipeFor, stepsOf } from '../of-episode'

/** When the next thing made for an outlet goes out: in the outlet's next place that nothing was made for, else a day behind the last. */
function nextWhen(episode: Episode, outlet: Outlet | undefined): When {
  if (!outlet) return { kind: 'days', days: 1, time: '12:00' }
  const ways = waysAt(episode, outlet)
  const own = [outlet.when ?? { kind: 'with' as const }, ...(outlet.more ?? [])]
  const made = ways.filter((w) => w.spin)
  const free = outlet.thing ? own[made.length] : undefined
  const last = made.at(-1)?.when
  if (free) return free
  if (last?.kind === 'days') return { ...last, days: Math.min(60, last.days + 1) }
  return made.length === 0 && outlet.when ? outlet.when : { kind: 'days', days: 1, time: '12:00' }
}

/** The outlet that something of a kind goes to by itself: one whose things are called so, else none. */
function outletFor(records: Records, episode: Episode, kind: SpinKind): Id | undefined {
  const outlets = (records.shows.get(episode.show)?.outlets ?? []).flatMap(
    (id) => records.outlets.get(id) ?? [],
  )
  const called = (name: string | undefined) => (name ?? '').toLowerCase().includes(kind)
  return (outlets.find((o) => called(o.thing)) ?? outlets.slice(1).find((o) => called(o.name)))?.id
}

/**
 * Makes something of an episode: by hand, or of a passage that was taken from its cut (`excerpt`); with a step of its own, due when it
 * goes out. Without an outlet it goes to the one that has such things.
 *
 * Refused:
 * - “This episode is no longer there.”, “This outlet is no longer there.” and “This excerpt is no longer there.”
 * - “At most 60 things are made of one episode.”
 */
export const makeSpinOff: Command<{
  episode: Id
  kind: SpinKind
  excerpt?: Id | undefined
  outlet?: Id | undefined
}> = (records, { episode: id, kind, excerpt, outlet: at }, context) => {
  const episode = records.episodes.get(id)
  const recipe = episode && recipeFor(records, episode)
  if (!episode || !recipe) return refused('This episode is no longer there.', 'episodes')
  if (at !== undefined && !records.outlets.has(at))
    return refused('This outlet is no longer there.', 'outlets')
  const passage = episode.excerpts?.find((e) => e.id === excerpt)
  if (excerpt !== undefined && !passage)
    return refused('This excerpt is no longer there.', 'episodes.excerpts')
  const all = episode.spinOffs ?? []
  if (all.length >= most) return refused('At most 60 things are made of one episode.', 'episodes.spinOffs')
  const outlet = at ?? outletFor(records, episode, kind)
  const now = momentOf(context)
  const spin: SpinOff = {
    ...{ id: context.id(), code: spinCode(episode), kind, title: '', made: now },
    text: passage && kind !== 'excerpt' && kind !== 'short' ? passage.text : '',
    when: nextWhen(episode, outlet === undefined ? undefined : records.outlets.get(outlet)),
    ...(excerpt === undefined ? {} : { excerpt }),
    ...(outlet === undefined ? {} : { outlet }),
  }
  const steps = stepsOf(records, id)
  const step = spinStep(id, spin, {
    stage: spinStage(recipe),
    minutes: spinWork[kind].minutes,
    order: Math.max(0, ...steps.map((s) => s.order + 1)),
    at: now,
  })
  return ok({
    changes: [
      putRecord(records, 'episodes', { ...episode, spinOffs: [...all, spin], updatedAt: now }),
      putRecord(records, 'steps', step),
    ],
    sentence: `${sayKind(kind)} ${spin.code} of “${titleOf(episode)}”`,
    about: [id],
  })
}
const most = 60

/**
 * Lets something that was made of an episode go, with its step. What the recipe has is only turned off, so that it is not made again.
 *
 * Refused:
 * - “This is no longer made of it.”
 */
export const dropSpinOff: Command<{ episode: Id; spin: Id }> = (
  records,
  { episode: id, spin: of },
  context,
) => {
  const episode = records.episodes.get(id)
  const spin = episode?.spinOffs?.find((s) => s.id === of)
  if (!episode || !spin) return refused('This is no longer made of it.', 'episodes.spinOffs')
  const now = momentOf(context)
  const isKept = spin.line !== undefined
  const others = (episode.spinOffs ?? []).flatMap((s) =>
    s.id !== of ? [s] : isKept ? [{ ...s, off: true }] : [],
  )
  return ok({
    changes: [
      putRecord(records, 'episodes', { ...episode, spinOffs: others, updatedAt: now }),
      ...(isKept
        ? []
        : stepsOf(records, id)
            .filter((s) => s.spin === of)
            .map((s) => removeRecord(records, 'steps', s.id))),
    ],
    sentence: `No ${spin.kind} ${spin.code} of “${titleOf(episode)}”`,
    about: [id],
  })
}
