import { Day, type Episode, type Id } from '../../records'
import { titleOf } from '../../release/parts'
import { ok, refused } from '../../result'
import { sayDay } from '../../rhythm/days'
import { extraRhythmOn, datesOf } from '../../rhythm/rule'
import { slotsTaken, slotOn } from '../../rhythm/slots'
import { type Command, putRecord } from '../change'
import { keptAlong, reservedBetween, unmetPromises } from './kept'
import { begun, found, working } from './placing'
import { todayOf } from '../step-of'

/**
 * Puts an episode on a slot of its show and to work, with its recipe's steps. A read that the slot is kept
 * for becomes the episode's; a slot kept for its own sponsor is kept where it goes. Refused when the slot
 * is skipped, taken or none of the rhythm's.
 *
 * Refused:
 * - “It has already been released.”
 * - “This is not a date that exists. Choose one of the open slots.”
 * - “… has no slot on …. Choose one of the open slots.”
 * - “The slot on … is skipped. Take it back first, or choose another.”
 * - “The slot on … has passed. Choose one that is still to come.”
 * - ““…” is on … already. Move it first, or choose an open slot.”
 * - and what `found` refuses
 */
export const placeOnSlot: Command<{ episode: Id; day: Day }> = (records, { episode: id, day }, context) => {
  const read = found(records, id)
  if (!read.ok) return read
  const { episode, show } = read.value
  if (episode.phase.kind === 'released') return refused('It has already been released.', 'episodes.phase')
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
  const there = slotsTaken(show, records.episodes).get(day)
  if (there && there.id !== id)
    return refused(
      `“${titleOf(there)}” is on ${sayDay(slot.day)} already. Move it first, or choose an open slot.`,
      'episodes.place.day',
    )
  const beat = extraRhythmOn(show.rhythm, day)
  const recipe =
    episode.recipe === undefined &&
    episode.phase.kind === 'idea' &&
    beat?.recipe !== undefined &&
    records.recipes.has(beat.recipe)
      ? { recipe: beat.recipe }
      : {}
  const along = keptAlong(records, show, [{ episode, to: slot }], context)
  const kept = reservedBetween(records, show, slot.day, slot.day).get(day)
  const sponsor =
    kept?.reservation.kind === 'sponsor' && !kept.byDeal && episode.sponsor === undefined
      ? kept.reservation.name
      : undefined
  const placed: Episode = {
    ...working(records, episode, context),
    ...recipe,
    ...(sponsor === undefined ? {} : { sponsor }),
    place: { kind: 'slot', day },
    placedOn: todayOf(records, context),
    spare: false,
  }
  return ok({
    changes: [putRecord(records, 'episodes', placed), ...begun(records, placed, context), ...along],
    sentence: [
      `Put “${titleOf(episode)}” on ${sayDay(slot.day)}, ${slot.time}${sponsor === undefined ? '' : `, with the read for ${sponsor}`}${along.length > 0 ? '; what is kept for its sponsor moves with it' : ''}`,
      ...unmetPromises(records, show, slot, placed),
    ].join('. '),
    about: [id],
  })
}
