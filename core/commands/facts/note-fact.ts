import { Fact, mostFacts, type Day, type Episode, type Id, type Records } from '../../records'
import { ok, refused, type Result } from '../../result'
import { sayDay } from '../../rhythm/days'
import { type Command, type Context, momentOf, type Outcome, putRecord } from '../change'
import { todayOf } from '../step-of'

/**
 * Notes something in an episode that may change, and when to look at it again; under the id of one that is there, it becomes that.
 *
 * Refused:
 * - “This episode is no longer there.”
 * - “Say what may change.”
 * - “What may change is said in at most 300 characters.”
 * - “At most 60 things to look at again are noted in one episode.”
 */
export const noteFact: Command<{ episode: Id; fact: Fact }> = (records, { episode: id, fact }, context) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  const read = Fact.safeParse(fact)
  if (!read.success) return refused(read.error.issues[0]?.message ?? 'This cannot be kept.', 'episodes.facts')
  const facts = episode.facts ?? []
  const isThere = facts.some((f) => f.id === fact.id)
  if (!isThere && facts.length >= mostFacts)
    return refused('At most 60 things to look at again are noted in one episode.', 'episodes.facts')
  const kept = isThere ? facts.map((f) => (f.id === fact.id ? read.data : f)) : [...facts, read.data]
  return written(records, context, episode, kept, {
    sentence: `To look at again ${sayDay(read.data.on, todayOf(records, context))}: ${read.data.what}`,
    ...(isThere ? { merge: `fact ${fact.id}` } : {}),
  })
}

/**
 * Says of something that may change that it is looked at again on a later day, or on none: it is out of the list.
 *
 * Refused:
 * - “This is no longer noted in the episode.”
 */
export const lookedAt: Command<{ episode: Id; fact: Id; next: Day | undefined }> = (
  records,
  { episode: id, fact, next },
  context,
) => {
  const episode = records.episodes.get(id)
  const old = episode?.facts?.find((f) => f.id === fact)
  if (!episode || !old) return refused('This is no longer noted in the episode.', 'episodes.facts')
  const facts = (episode.facts ?? []).flatMap((f) =>
    f.id !== fact ? [f] : next === undefined ? [] : [{ ...f, on: next }],
  )
  return written(records, context, episode, facts, {
    sentence:
      next === undefined
        ? `No longer looked at again: ${old.what}`
        : `Still true, looked at again ${sayDay(next, todayOf(records, context))}: ${old.what}`,
  })
}

function written(
  records: Records,
  context: Context,
  episode: Episode,
  facts: Fact[],
  says: Pick<Outcome, 'sentence' | 'merge'>,
): Result<Outcome> {
  return ok({
    changes: [putRecord(records, 'episodes', { ...episode, facts, updatedAt: momentOf(context) })],
    ...says,
    about: [episode.id],
  })
}
