import type { Episode, Handed, Id, Otherwise } from '../../records'
import { ok, refused } from '../../result'
import { sayDay } from '../../rhythm/days'
import { releaseOf } from '../../rhythm/slots'
import { dayAt } from '../../rhythm/zone'
import { type Command, momentOf, putRecord } from '../change'

/** How far something can be handed over, in the order in which that is said. */
export const handStates = ['prepared', 'uploaded', 'scheduled', 'live', 'told', 'safe'] as const
export type HandState = (typeof handStates)[number]
const sayings: Readonly<Record<HandState, string>> = {
  prepared: 'is prepared',
  uploaded: 'is uploaded',
  scheduled: 'is scheduled',
  live: 'was seen live',
  told: 'people were told of it',
  safe: 'its footage is kept safe',
}

function withHanded(episode: Episode, key: Id, handed: Handed): Episode {
  const all = { ...episode.handed, [key]: handed }
  return { ...episode, handed: all }
}

/**
 * Says how far something has been handed over to its outlet, at this moment; or takes that back.
 *
 * Refused:
 * - “This episode is no longer there.”
 */
export const handOver: Command<{
  episode: Id
  key: Id
  state: HandState
  on: boolean
  /** The moment at which it goes out, ms: what is scheduled is scheduled for that. */
  going?: number
}> = (records, { episode: id, key, state, on, going }, context) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  const outlet = records.outlets.get(key.split('/')[0] ?? '')
  const { [state]: _before, ...rest } = episode.handed?.[key] ?? {}
  const meant = state === 'scheduled' && going !== undefined ? { going: new Date(going).toISOString() } : {}
  const handed: Handed = on ? { ...rest, [state]: momentOf(context), ...meant } : rest
  // Where it is was said by the outlet when it took it.
  const address = on && state === 'live' && outlet?.id === key ? rest.taken?.address : undefined
  const lives = address === undefined ? {} : { addresses: { ...episode.addresses, [key]: address } }
  return ok({
    changes: [
      putRecord(records, 'episodes', {
        ...withHanded(episode, key, handed),
        ...lives,
        updatedAt: momentOf(context),
      }),
    ],
    sentence: `${outlet?.name ?? 'An outlet'}: ${on ? sayings[state] : `not so: ${sayings[state]}`}`,
    about: [id],
  })
}

/**
 * Notes that an outlet took something from the program, for the moment `going` (ms): it is uploaded and scheduled there.
 * At the show's first outlet the episode is scheduled with it.
 *
 * Refused:
 * - “This episode is no longer there.”
 */
export const noteTaken: Command<{ episode: Id; key: Id; address: string; going: number }> = (
  records,
  { episode: id, key, address, going },
  context,
) => {
  const episode = records.episodes.get(id)
  const show = episode && records.shows.get(episode.show)
  if (!episode || !show) return refused('This episode is no longer there.', 'episodes')
  const at = momentOf(context)
  const outlet = records.outlets.get(key.split('/')[0] ?? '')
  const after = withHanded(episode, key, {
    ...episode.handed?.[key],
    uploaded: at,
    scheduled: at,
    going: new Date(going).toISOString(),
    taken: { address, at, going: new Date(going).toISOString() },
  })
  const { phase } = episode
  const isFirst = key === show.outlets[0] && releaseOf(episode, show)?.at === going
  return ok({
    changes: [
      putRecord(records, 'episodes', {
        ...after,
        ...(isFirst && phase.kind === 'work'
          ? { phase: { ...phase, scheduled: new Date(going).toISOString() } }
          : {}),
        updatedAt: at,
      }),
    ],
    sentence: `${outlet?.name ?? 'The outlet'} took it, for ${sayDay(dayAt(going, show.zone))}`,
    about: [id],
  })
}

/**
 * Notes that a field was copied over to an outlet, or that all are to be copied anew (no field).
 *
 * Refused:
 * - “This episode is no longer there.”
 */
export const noteCopied: Command<{ episode: Id; key: Id; field: string | undefined }> = (
  records,
  { episode: id, key, field },
  context,
) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  const before = episode.handed?.[key] ?? {}
  const copied = field === undefined ? [] : [...new Set([...(before.copied ?? []), field])]
  return ok({
    changes: [
      putRecord(records, 'episodes', {
        ...withHanded(episode, key, { ...before, copied }),
        updatedAt: momentOf(context),
      }),
    ],
    sentence: field === undefined ? 'All fields are to be copied anew' : 'Copied a field over',
    about: [id],
    merge: `copied ${id} ${key}`,
  })
}

/**
 * Fixes when something goes out at its outlet, whatever becomes of the release; or lets it go with the release again.
 *
 * Refused:
 * - “This episode is no longer there.”
 */
export const fixMoment: Command<{ episode: Id; key: Id; fixed: Handed['fixed'] }> = (
  records,
  { episode: id, key, fixed },
  context,
) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  const { fixed: _before, ...rest } = episode.handed?.[key] ?? {}
  return ok({
    changes: [
      putRecord(records, 'episodes', {
        ...withHanded(episode, key, fixed ? { ...rest, fixed } : rest),
        updatedAt: momentOf(context),
      }),
    ],
    sentence: fixed ? `Fixed for ${sayDay(fixed.day)} ${fixed.time}` : 'Goes with the release again',
    about: [id],
  })
}

/**
 * Says something otherwise at one outlet: a shorter title, another description. What is blank is said as everywhere.
 *
 * Refused:
 * - “This episode or outlet is no longer there.”
 */
export const sayOtherwise: Command<{ episode: Id; outlet: Id; words: Otherwise }> = (
  records,
  { episode: id, outlet: at, words },
  context,
) => {
  const episode = records.episodes.get(id)
  const outlet = records.outlets.get(at)
  if (!episode || !outlet) return refused('This episode or outlet is no longer there.', 'episodes')
  const now = { ...episode.otherwise?.[at], ...words }
  const said = Object.fromEntries(Object.entries(now).filter(([, text]) => text.trim() !== ''))
  const { [at]: _before, ...others } = episode.otherwise ?? {}
  const all = Object.keys(said).length === 0 ? others : { ...others, [at]: said }
  return ok({
    changes: [
      putRecord(records, 'episodes', {
        ...episode,
        otherwise: Object.keys(all).length === 0 ? undefined : all,
        updatedAt: momentOf(context),
      }),
    ],
    sentence: `Said it otherwise for ${outlet.name}`,
    about: [id],
    merge: `otherwise ${id} ${at}`,
  })
}
