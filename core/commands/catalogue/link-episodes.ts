import { leadsTo, linkTo, livesAt } from '../../catalogue/links'
import type { Episode, Id } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'

/**
 * Links an episode with others, both ways: each gets the other's address among its links, as far as that has one and the
 * link is not there yet. In descriptions that are out it stands only when somebody has put it there; until then it is
 * listed to be pasted.
 *
 * Refused:
 * - “This episode is no longer there.”
 * - “They are linked already.”
 * - “None of them has an address yet. Say where they live first.”
 */
export const linkEpisodes: Command<{ episode: Id; others: readonly Id[] }> = (
  records,
  { episode: id, others },
  context,
) => {
  const lives = livesAt(records.episodes.values())
  const all = new Map<Id, Episode>()
  for (const of of [id, ...others]) {
    const episode = records.episodes.get(of)
    if (!episode) return refused('This episode is no longer there.', 'episodes')
    all.set(of, episode)
  }
  let count = 0
  let known = 0
  const add = (from: Id, to: Id) => {
    const [of, other] = [all.get(from), all.get(to)]
    const show = other && records.shows.get(other.show)
    const link = show && linkTo(other, show)
    if (!of || !link || from === to) return
    if (of.links.some((l) => leadsTo(l, lives) === to)) {
      known++
      return
    }
    count++
    all.set(from, { ...of, links: [...of.links, { ...link, id: context.id() }] })
  }
  for (const other of others) {
    add(id, other)
    add(other, id)
  }
  if (count === 0)
    return known > 0
      ? refused('They are linked already.', 'episodes.links')
      : refused('None of them has an address yet. Say where they live first.', 'episodes.addresses')
  const at = momentOf(context)
  const changed = [...all.values()].filter((e) => e !== records.episodes.get(e.id))
  return ok({
    changes: changed.map((e) => putRecord(records, 'episodes', { ...e, updatedAt: at })),
    sentence: count === 1 ? 'Added a link' : `Added ${count} links`,
    about: changed.map((e) => e.id),
  })
}

/**
 * Notes that links stand in a description that is out, or that they do not after all.
 *
 * Refused:
 * - “This episode is no longer there.”
 */
export const notePasted: Command<{ episode: Id; links: readonly Id[]; pasted: boolean }> = (
  records,
  { episode: id, links, pasted },
  context,
) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  const at = momentOf(context)
  const now = episode.links.map((l) => {
    if (!links.includes(l.id)) return l
    const { pasted: _before, ...rest } = l
    return pasted ? { ...rest, pasted: at } : rest
  })
  return ok({
    changes: [putRecord(records, 'episodes', { ...episode, links: now, updatedAt: at })],
    sentence: pasted ? 'Noted that the links stand in its description' : 'The links are to be pasted',
    about: [id],
  })
}
