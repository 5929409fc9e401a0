import { type Id, Reservation } from '../../records'
import { ok, refused } from '../../result'
import { sayDay } from '../../rhythm/days'
import { type Command, momentOf, putRecord, removeRecord } from '../change'

/**
 * Keeps a slot, or so many slots a month, for a sponsor, a launch, a season or something else; or changes
 * what is kept.
 *
 * Refused:
 * - “This show is no longer there.”
 * - “The deal ends before it begins. Choose a later last date, or none.”
 */
export const keepSlots: Command<
  { reservation?: Id | undefined } & Pick<Reservation, 'show' | 'name' | 'kind' | 'launch' | 'kept' | 'note'>
> = (records, { reservation: id, show, name, kind, launch, kept, note }, context) => {
  const at = momentOf(context)
  const old = id === undefined ? undefined : records.reservations.get(id)
  if (!records.shows.has(show)) return refused('This show is no longer there.', 'shows')
  const read = Reservation.safeParse({
    id: old?.id ?? context.id(),
    show,
    name,
    kind,
    ...(launch === undefined ? {} : { launch }),
    kept,
    note: note.trim(),
    createdAt: old?.createdAt ?? at,
    updatedAt: at,
  })
  if (!read.success) return refused(read.error.issues[0]?.message ?? 'This cannot be kept.', 'reservations')
  const r = read.data
  if (r.kept.kind === 'deal' && r.kept.to !== undefined && r.kept.to < r.kept.from)
    return refused(
      'The deal ends before it begins. Choose a later last date, or none.',
      'reservations.kept.to',
    )
  // A slot is kept for one thing.
  const others =
    r.kept.kind === 'slot'
      ? [...records.reservations.values()]
          .filter(
            (o) =>
              o.id !== r.id &&
              o.show === show &&
              o.kept.kind === 'slot' &&
              r.kept.kind === 'slot' &&
              o.kept.day === r.kept.day,
          )
          .map((o) => removeRecord(records, 'reservations', o.id))
      : []
  return ok({
    changes: [putRecord(records, 'reservations', r), ...others],
    sentence:
      r.kept.kind === 'slot'
        ? `Kept ${sayDay(r.kept.day)} for ${r.name}`
        : `Kept ${r.kept.perMonth === 1 ? 'one slot' : `${r.kept.perMonth} slots`} a month for ${r.name}`,
    about: [],
  })
}

/**
 * Lets a reservation go.
 *
 * Refused:
 * - “Nothing is kept there any more.”
 */
export const removeReservation: Command<{ reservation: Id }> = (records, { reservation }, _context) => {
  const old = records.reservations.get(reservation)
  if (!old) return refused('Nothing is kept there any more.', 'reservations')
  return ok({
    changes: [removeRecord(records, 'reservations', reservation)],
    sentence: `No longer kept for ${old.name}`,
    about: [],
  })
}
