import {
  Day,
  type ClockTime,
  type Episode,
  type Id,
  type Recipe,
  type Records,
  type Show,
  type Step,
} from '../records'
import { ClockTime as Clock } from '../records'
import { titleOf } from '../release/parts'
import { fine, refused, type Result } from '../result'
import { scriptFrom, stepsToAdd } from '../recipe/apply'
import { outOfWindow } from '../ideas/usable'
import { sayDay } from '../rhythm/days'
import { beatOn, datesOf } from '../rhythm/rule'
import { filledSlots, openSlots, releaseOf, slotOn } from '../rhythm/slots'
import { momentAt } from '../rhythm/zone'
import { keptAlong, reservedBetween, unkept } from './promise'
import { applied, momentOf, putting, type Change, type Command, type Context } from './change'

/** The steps of one episode among the records. */
export function stepsOf(records: Records, episode: Id): Step[] {
  return [...records.steps.values()].filter((s) => s.episode === episode)
}

/** The recipe that an episode is made by: its own choice, else its show's first. */
export function recipeFor(
  records: Pick<Records, 'recipes' | 'shows'>,
  episode: Pick<Episode, 'show' | 'recipe'>,
): Recipe | undefined {
  return (
    records.recipes.get(episode.recipe ?? '') ??
    records.recipes.get(records.shows.get(episode.show)?.recipe ?? '')
  )
}

function found(records: Records, id: Id): Result<{ episode: Episode; show: Show }> {
  const episode = records.episodes.get(id)
  const show = episode && records.shows.get(episode.show)
  return episode && show ? fine({ episode, show }) : refused('This episode is no longer there.', 'episodes')
}

/** The changes that put an episode to work: its recipe's steps and script outline, those missing alone. */
function begun(records: Records, episode: Episode, context: Context): Change[] {
  const recipe = recipeFor(records, episode)
  if (!recipe) return []
  const at = momentOf(context)
  const steps = stepsToAdd(recipe, episode.id, stepsOf(records, episode.id), at)
  const script = records.scripts.has(episode.id)
    ? []
    : [putting(records, 'scripts', scriptFrom(recipe, episode, at))]
  return [...steps.map((s) => putting(records, 'steps', s)), ...script]
}

function working(episode: Episode, context: Context): Episode {
  const at = momentOf(context)
  return {
    ...episode,
    phase: episode.phase.name === 'work' ? episode.phase : { name: 'work', since: at },
    updatedAt: at,
  }
}

/**
 * Puts an episode on a slot of its show and to work, with its recipe's steps. A read that the slot is kept
 * for becomes the episode's; a slot kept for its own sponsor is kept where it goes. Refused when the slot
 * is skipped, taken or none of the rhythm's.
 */
export const placeOnSlot: Command<{ episode: Id; day: Day }> = (records, { episode: id, day }, context) => {
  const read = found(records, id)
  if (!read.ok) return read
  const { episode, show } = read.value
  if (episode.phase.name === 'released') return refused('It has already been released.', 'episodes.phase')
  if (!Day.safeParse(day).success)
    return refused('This is not a date that exists. Choose one of the open slots.', 'episodes.place.day')
  if (!datesOf(show.rhythm, day, day).includes(day))
    return refused(
      `${show.title} has no slot on ${sayDay(day)}. Choose one of the open slots.`,
      'episodes.place.day',
    )
  const slot = slotOn(show, day)
  if (slot.skipped)
    return refused(
      `The slot on ${sayDay(slot.day)} is skipped. Take it back first, or choose another.`,
      'episodes.place.day',
    )
  if (slot.at <= context.now)
    return refused(
      `The slot on ${sayDay(slot.day)} has passed. Choose one that is still to come.`,
      'episodes.place.day',
    )
  const there = filledSlots(show, records.episodes.values()).get(day)
  if (there && there.id !== id)
    return refused(
      `“${titleOf(there)}” is on ${sayDay(slot.day)} already. Move it first, or choose an open slot.`,
      'episodes.place.day',
    )
  const beat = beatOn(show.rhythm, day)
  const recipe =
    episode.recipe === undefined &&
    episode.phase.name === 'idea' &&
    beat?.recipe !== undefined &&
    records.recipes.has(beat.recipe)
      ? { recipe: beat.recipe }
      : {}
  const along = keptAlong(records, show, [{ episode, to: slot }], context)
  const kept = reservedBetween(records, show, slot.day, slot.day).get(day)
  const sponsor =
    kept?.reservation.is === 'sponsor' && !kept.byDeal && episode.sponsor === undefined
      ? kept.reservation.name
      : undefined
  const placed: Episode = {
    ...working(episode, context),
    ...recipe,
    ...(sponsor === undefined ? {} : { sponsor }),
    place: { on: 'slot', day },
    spare: false,
  }
  return fine({
    changes: [putting(records, 'episodes', placed), ...begun(records, placed, context), ...along],
    sentence: [
      `Put “${titleOf(episode)}” on ${sayDay(slot.day)}, ${slot.time}${sponsor === undefined ? '' : `, with the read for ${sponsor}`}${along.length > 0 ? '; what is kept for its sponsor moves with it' : ''}`,
      ...unkept(records, show, slot, placed),
    ].join('. '),
    about: [id],
  })
}

/**
 * Gives an episode a release moment of its own, off the rhythm. Refused for an impossible date or one that
 * has passed.
 */
export const placeOnOwn: Command<{ episode: Id; day: Day; time: ClockTime }> = (
  records,
  { episode: id, day, time },
  context,
) => {
  const read = found(records, id)
  if (!read.ok) return read
  const { episode, show } = read.value
  if (episode.phase.name === 'released') return refused('It has already been released.', 'episodes.phase')
  const date = Day.safeParse(day)
  if (!date.success) return refused(date.error.issues[0]?.message ?? '', 'episodes.place.day')
  const clock = Clock.safeParse(time)
  if (!clock.success) return refused(clock.error.issues[0]?.message ?? '', 'episodes.place.time')
  if (momentAt(day, time, show.zone) <= context.now)
    return refused(`${sayDay(day)} ${time} has passed. Choose a moment still to come.`, 'episodes.place.day')
  return fine({
    changes: [
      putting(records, 'episodes', {
        ...working(episode, context),
        place: { on: 'own', day, time },
        spare: false,
      }),
      ...begun(records, episode, context),
    ],
    sentence: `Put “${titleOf(episode)}” on ${sayDay(day)}, ${time}`,
    about: [id],
  })
}

/** Starts an episode without a slot: it gets its steps, undated. */
export const startWork: Command<{ episode: Id }> = (records, { episode: id }, context) => {
  const read = found(records, id)
  if (!read.ok) return read
  const { episode } = read.value
  if (episode.phase.name === 'released') return refused('It has already been released.', 'episodes.phase')
  return fine({
    changes: [putting(records, 'episodes', working(episode, context)), ...begun(records, episode, context)],
    sentence: `Started “${titleOf(episode)}”`,
    about: [id],
  })
}

/**
 * Places several episodes of one show, in the order given, on its next open slots, as one step of undo.
 * Where their nature forbids a slot, it goes to the next in the row that may. Refused when a show is mixed
 * in, or when a slot is lacking.
 */
export const placeSeveral: Command<{ episodes: Id[] }> = (records, { episodes }, context) => {
  const found = episodes.flatMap((id) => records.episodes.get(id) ?? [])
  const show = records.shows.get(found[0]?.show ?? '')
  if (!show || found.length !== episodes.length)
    return refused('Some of them are no longer there.', 'episodes')
  if (found.some((e) => e.show !== show.id))
    return refused(
      'They belong to more than one show. Choose ideas of one show, then place them.',
      'episodes.show',
    )
  let now = records
  const changes: Change[] = []
  const left = [...found]
  for (const slot of openSlots(show, records.episodes.values(), context.now, found.length + 12)) {
    const at = left.findIndex((e) => outOfWindow(e.nature, slot.day) === undefined)
    const [next] = at < 0 ? [] : left.splice(at, 1)
    if (!next) continue
    const placed = placeOnSlot(now, { episode: next.id, day: slot.original }, context)
    if (!placed.ok) return placed
    changes.push(...placed.value.changes)
    now = applied(now, placed.value.changes)
    if (left.length === 0) break
  }
  if (left.length > 0)
    return refused(
      `“${left[0] ? titleOf(left[0]) : ''}” fits none of the next open slots of ${show.title}. Leave it out, or give it a date of its own.`,
      'episodes.place',
    )
  return fine({
    changes,
    sentence:
      found.length === 1
        ? `Put “${found[0] ? titleOf(found[0]) : ''}” on the next open slot`
        : `Put ${found.length} ideas on the next open slots`,
    about: episodes,
  })
}

/**
 * Parks an episode with a reason, and where it is to follow another, after that one. Its work is kept; it
 * leaves its slot.
 */
export const parkEpisode: Command<{ episode: Id; why: string; after?: Id | undefined }> = (
  records,
  { episode: id, why, after },
  context,
) => {
  const read = found(records, id)
  if (!read.ok) return read
  const { episode } = read.value
  if (episode.phase.name === 'released')
    return refused('It has been released, so it stays in the Catalogue.', 'episodes.phase')
  if (after === id)
    return refused('It cannot wait for itself. Choose another episode.', 'episodes.phase.after')
  const before = after === undefined ? undefined : records.episodes.get(after)
  if (after !== undefined && !before)
    return refused('The episode to wait for is no longer there.', 'episodes.phase.after')
  if (why.trim() === '' && !before)
    return refused('Say why, so that you know when to take it up again.', 'episodes.phase.why')
  return fine({
    changes: [
      putting(records, 'episodes', {
        ...episode,
        phase: { name: 'parked', why: why.trim(), ...(after === undefined ? {} : { after }) },
        place: { on: 'nothing' },
        spare: false,
        updatedAt: momentOf(context),
      }),
    ],
    sentence: `Parked “${titleOf(episode)}”${before ? ` until after “${titleOf(before)}”` : ''}`,
    about: [id],
  })
}

/** Takes an episode off its slot; it stays in work, its steps undated. */
export const takeOff: Command<{ episode: Id }> = (records, { episode: id }, context) => {
  const read = found(records, id)
  if (!read.ok) return read
  const { episode } = read.value
  if (episode.phase.name === 'released') return refused('It has already been released.', 'episodes.phase')
  return fine({
    changes: [
      putting(records, 'episodes', { ...episode, place: { on: 'nothing' }, updatedAt: momentOf(context) }),
    ],
    sentence: `Took “${titleOf(episode)}” off the schedule`,
    about: [id],
  })
}

/** Skips an open slot once, or takes the skip back. Refused while an episode stands on it. */
export const skipSlot: Command<{ show: Id; day: Day; skip: boolean }> = (
  records,
  { show: id, day, skip },
  context,
) => {
  const show = records.shows.get(id)
  if (!show) return refused('This show is no longer there.', 'shows')
  const there = filledSlots(show, records.episodes.values()).get(day)
  if (skip && there)
    return refused(`“${titleOf(there)}” stands on it. Move it first, then skip the slot.`, 'shows.skipped')
  const skipped = skip ? [...new Set([...show.skipped, day])].sort() : show.skipped.filter((d) => d !== day)
  return fine({
    changes: [putting(records, 'shows', { ...show, skipped, updatedAt: momentOf(context) })],
    sentence: `${skip ? 'Skipped' : 'Took back the skip of'} ${show.title} on ${sayDay(day)}`,
    about: [],
  })
}

/** Moves an unreleased episode that was not released in time onto the next open slot. */
export const moveToNextOpen: Command<{ episode: Id }> = (records, { episode: id }, context) => {
  const read = found(records, id)
  if (!read.ok) return read
  const { show } = read.value
  const next = openSlots(show, records.episodes.values(), context.now, 1)[0]
  return next
    ? placeOnSlot(records, { episode: id, day: next.original }, context)
    : refused(`${show.title} has no open slot in the next ten years.`, 'episodes.place')
}

/** Places displaced episodes, in order of release, on the nearest open slots of a changed show. */
export function replaced(
  records: Records,
  show: Show,
  displaced: readonly Episode[],
  context: Context,
): Change[] {
  const rest = [...records.episodes.values()].filter((e) => !displaced.includes(e))
  const open = openSlots(show, rest, context.now, displaced.length)
  return [...displaced]
    .sort((a, b) => (releaseOf(a, show)?.at ?? 0) - (releaseOf(b, show)?.at ?? 0))
    .flatMap((e, i) => {
      const slot = open[i]
      return [
        putting(records, 'episodes', {
          ...e,
          place: slot ? { on: 'slot', day: slot.original } : { on: 'nothing' },
          updatedAt: momentOf(context),
        }),
      ]
    })
}
