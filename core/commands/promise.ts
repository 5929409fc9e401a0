import { Launch, Reservation, type Day, type Episode, type Id, type Records, type Show } from '../records'
import { fine, refused } from '../result'
import { addDays, sayDay } from '../rhythm/days'
import { honours, reservedSlots, unhonoured, type Reserved } from '../rhythm/reserve'
import { filledSlots, slotsOf, type Slot } from '../rhythm/slots'
import { momentOf, putting, removing, type Change, type Command, type Context } from './change'

/** What the slots of a show are kept for between two dates, by original date. */
export function reservedBetween(
  records: Pick<Records, 'reservations' | 'launches' | 'episodes'>,
  show: Show,
  from: Day,
  to: Day,
  filled?: ReadonlyMap<Day, Episode>,
): Map<Day, Reserved> {
  const mine = [...records.reservations.values()].filter((r) => r.show === show.id)
  if (mine.length === 0) return new Map()
  // Deals go by whole months.
  const slots = slotsOf(
    show,
    `${from.slice(0, 7)}-01`,
    addDays(`${addDays(`${to.slice(0, 7)}-28`, 4).slice(0, 7)}-01`, -1),
  )
  const on = filled ?? filledSlots(show, records.episodes.values())
  return reservedSlots(slots, mine, (day) => on.get(day), records.launches)
}

/** What to say where an episode would not honour what a slot is kept for; nothing where it does. */
export function unkept(records: Records, show: Show, slot: Slot, episode: Episode): string[] {
  const kept = reservedBetween(records, show, slot.day, slot.day).get(slot.original)
  return kept && !honours(kept.reservation, episode, records.launches) ? [unhonoured(kept.reservation)] : []
}

/**
 * What is kept for the sponsors of episodes that move goes with them: the changes that put each such
 * reservation on the new slot. One that keeps the new slot already stays, and then the old one does too.
 */
export function keptAlong(
  records: Records,
  show: Show,
  moves: readonly { episode: Episode; to: Slot }[],
  context: Context,
): Change[] {
  const own = [...records.reservations.values()].filter((r) => r.show === show.id && r.kept.by === 'slot')
  const on = (day: Day) => own.find((r) => r.kept.by === 'slot' && r.kept.day === day)
  const going = moves.flatMap(({ episode, to }) => {
    const kept = episode.place.on === 'slot' ? on(episode.place.day) : undefined
    return kept?.is === 'sponsor' &&
      honours(kept, episode, records.launches) &&
      episode.place.on === 'slot' &&
      episode.place.day !== to.original
      ? [{ kept, to: to.original }]
      : []
  })
  const leaving = new Set(going.map((g) => g.kept.id))
  return going.flatMap(({ kept, to }) => {
    const there = on(to)
    return there && !leaving.has(there.id)
      ? []
      : [
          putting(records, 'reservations', {
            ...kept,
            kept: { by: 'slot', day: to },
            updatedAt: momentOf(context),
          }),
        ]
  })
}

/**
 * Keeps a slot, or so many slots a month, for a sponsor, a launch, a season or something else; or changes
 * what is kept.
 */
export const keepSlots: Command<
  { reservation?: Id | undefined } & Pick<Reservation, 'show' | 'name' | 'is' | 'launch' | 'kept' | 'note'>
> = (records, { reservation: id, show, name, is, launch, kept, note }, context) => {
  const at = momentOf(context)
  const old = id === undefined ? undefined : records.reservations.get(id)
  if (!records.shows.has(show)) return refused('This show is no longer there.', 'shows')
  const read = Reservation.safeParse({
    id: old?.id ?? context.id(),
    show,
    name,
    is,
    ...(launch === undefined ? {} : { launch }),
    kept,
    note: note.trim(),
    createdAt: old?.createdAt ?? at,
    updatedAt: at,
  })
  if (!read.success) return refused(read.error.issues[0]?.message ?? 'This cannot be kept.', 'reservations')
  const r = read.data
  if (r.kept.by === 'deal' && r.kept.to !== undefined && r.kept.to < r.kept.from)
    return refused(
      'The deal ends before it begins. Choose a later last date, or none.',
      'reservations.kept.to',
    )
  // A slot is kept for one thing.
  const others =
    r.kept.by === 'slot'
      ? [...records.reservations.values()]
          .filter(
            (o) =>
              o.id !== r.id &&
              o.show === show &&
              o.kept.by === 'slot' &&
              r.kept.by === 'slot' &&
              o.kept.day === r.kept.day,
          )
          .map((o) => removing(records, 'reservations', o.id))
      : []
  return fine({
    changes: [putting(records, 'reservations', r), ...others],
    sentence:
      r.kept.by === 'slot'
        ? `Kept ${sayDay(r.kept.day)} for ${r.name}`
        : `Kept ${r.kept.perMonth === 1 ? 'one slot' : `${r.kept.perMonth} slots`} a month for ${r.name}`,
    about: [],
  })
}

/** Lets a reservation go. */
export const letGo: Command<{ reservation: Id }> = (records, { reservation }, _context) => {
  const old = records.reservations.get(reservation)
  if (!old) return refused('Nothing is kept there any more.', 'reservations')
  return fine({
    changes: [removing(records, 'reservations', reservation)],
    sentence: `No longer kept for ${old.name}`,
    about: [],
  })
}

/** Adds a launch, or changes one. Refused when it ends before it begins. */
export const putLaunch: Command<
  { launch?: Id | undefined } & Pick<Launch, 'name' | 'from' | 'to' | 'runUp' | 'wanted' | 'note'>
> = (records, { launch: id, ...fields }, context) => {
  const at = momentOf(context)
  const old = id === undefined ? undefined : records.launches.get(id)
  const read = Launch.safeParse({
    id: old?.id ?? context.id(),
    episodes: old?.episodes ?? [],
    createdAt: old?.createdAt ?? at,
    updatedAt: at,
    ...fields,
  })
  if (!read.success) return refused(read.error.issues[0]?.message ?? 'This cannot be kept.', 'launches')
  return fine({
    changes: [putting(records, 'launches', read.data)],
    sentence: `${old ? 'Changed' : 'Added'} the launch “${read.data.name}”`,
    about: [],
  })
}

/** Takes a launch away; slots kept for it are kept no longer. */
export const removeLaunch: Command<{ launch: Id }> = (records, { launch: id }, _context) => {
  const old = records.launches.get(id)
  if (!old) return refused('This launch is no longer there.', 'launches')
  const kept = [...records.reservations.values()].filter((r) => r.launch === id)
  return fine({
    changes: [removing(records, 'launches', id), ...kept.map((r) => removing(records, 'reservations', r.id))],
    sentence: `Removed the launch “${old.name}”`,
    about: [],
  })
}

/** Lets an episode support a launch, or no longer. */
export const supportLaunch: Command<{ launch: Id; episode: Id; supports: boolean }> = (
  records,
  { launch: id, episode: of, supports },
  context,
) => {
  const launch = records.launches.get(id)
  const episode = records.episodes.get(of)
  if (!launch || !episode) return refused('It is no longer there.', 'launches')
  const episodes = supports ? [...new Set([...launch.episodes, of])] : launch.episodes.filter((e) => e !== of)
  return fine({
    changes: [putting(records, 'launches', { ...launch, episodes, updatedAt: momentOf(context) })],
    sentence: supports
      ? `“${episode.title}” supports “${launch.name}”`
      : `“${episode.title}” no longer supports “${launch.name}”`,
    about: [of],
  })
}
