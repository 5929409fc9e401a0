import type { Id, Outlet } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { firstOutlet } from './first-outlet'

/**
 * Adds an outlet to a show: one that another show uses already, or a new one, with the limits of the show's first.
 *
 * Refused:
 * - “This show is no longer there.”
 * - “… is among its outlets already.”
 */
export const addOutlet: Command<{ show: Id; id: Id; name: string }> = (
  records,
  { show: id, id: at, name },
  context,
) => {
  const show = records.shows.get(id)
  if (!show) return refused('This show is no longer there.', 'shows')
  const known = records.outlets.get(at)
  if (show.outlets.includes(at))
    return refused(`${known?.name ?? 'It'} is among its outlets already.`, 'shows.outlets')
  const now = momentOf(context)
  const first = records.outlets.get(show.outlets[0] ?? '')
  const fresh: Outlet = {
    ...firstOutlet(at, show.kind, now),
    ...(first ? { titleLimit: first.titleLimit, descriptionLimit: first.descriptionLimit } : {}),
    name: name.trim() || 'New outlet',
    required: ['title', 'description'],
  }
  return ok({
    changes: [
      ...(known ? [] : [putRecord(records, 'outlets', fresh)]),
      putRecord(records, 'shows', { ...show, outlets: [...show.outlets, at], updatedAt: now }),
    ],
    sentence: `${known?.name ?? fresh.name} is an outlet of ${show.title} now`,
    about: [],
  })
}

/**
 * Takes an outlet from a show; what was handed over to it stays known. The outlet itself stays for other shows.
 *
 * Refused:
 * - “This show has no such outlet.”
 * - “A show needs one outlet at least. Add another first.”
 */
export const dropOutlet: Command<{ show: Id; outlet: Id }> = (records, { show: id, outlet }, context) => {
  const show = records.shows.get(id)
  if (!show?.outlets.includes(outlet)) return refused('This show has no such outlet.', 'shows.outlets')
  if (show.outlets.length === 1)
    return refused('A show needs one outlet at least. Add another first.', 'shows.outlets')
  return ok({
    changes: [
      putRecord(records, 'shows', {
        ...show,
        outlets: show.outlets.filter((o) => o !== outlet),
        updatedAt: momentOf(context),
      }),
    ],
    sentence: `Took ${records.outlets.get(outlet)?.name ?? 'an outlet'} from ${show.title}`,
    about: [],
  })
}
