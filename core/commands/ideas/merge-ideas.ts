import { folded } from '../../partners/names'
import { mostFacts, type Episode, type Id, type Visit } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { withIdea } from './with-idea'

/**
 * Makes one idea of two: the kept one gets the other's title and note below its own, its sources, who
 * asked, images, topics and keywords; the other is let go with the reason, so that nothing is lost. Only an
 * idea can be merged into something.
 *
 * Refused:
 * - “One of the two is no longer there.”
 * - ““…” is more than an idea; only ideas can be merged into another.”
 */
export const mergeIdeas: Command<{ into: Id; from: Id }> = (records, { into, from }, context) => {
  const kept = records.episodes.get(into)
  const other = records.episodes.get(from)
  if (!kept || !other || into === from) return refused('One of the two is no longer there.', 'episodes')
  if (other.phase.kind !== 'idea')
    return refused(
      `“${other.title}” is more than an idea; only ideas can be merged into another.`,
      'episodes.phase',
    )
  const at = momentOf(context)
  const [a, b] = [kept.idea, other.idea]
  const whole = withIdea(kept, {
    premise: joinedTexts(a.premise, b.premise),
    why: joinedTexts(a.why, b.why),
    series: a.series || b.series,
    sources: [...a.sources, ...b.sources],
    asked: [...a.asked, ...b.asked],
    images: [...a.images, ...b.images],
    files: [...a.files, ...b.files],
    keywords: [...new Set([...a.keywords, ...b.keywords])],
    own: { ...b.own, ...a.own },
    ...(a.rating === undefined && b.rating !== undefined ? { rating: b.rating } : {}),
    ...(a.occasion === undefined && b.occasion ? { occasion: b.occasion } : {}),
    ...(a.meant === undefined && b.meant ? { meant: b.meant } : {}),
  })
  const union = (x: readonly string[], y: readonly string[]) => [...new Set([...x, ...y])]
  return ok({
    changes: [
      putRecord(records, 'episodes', {
        ...whole,
        note: joinedTexts(
          kept.note,
          kept.title === other.title ? other.note : joinedTexts(other.title, other.note),
        ),
        topics: union(kept.topics, other.topics),
        guests: union(kept.guests, other.guests),
        ...(kept.visits || other.visits
          ? { visits: [...(kept.visits ?? []), ...visitsOf(other, kept)] }
          : {}),
        ...(kept.facts || other.facts
          ? { facts: [...(kept.facts ?? []), ...(other.facts ?? [])].slice(0, mostFacts) }
          : {}),
        links: [...kept.links, ...other.links],
        tags: union(kept.tags, other.tags),
        updatedAt: at,
      }),
      putRecord(records, 'episodes', {
        ...other,
        phase: { kind: 'dropped', why: `merged into “${kept.title}” (${kept.code})` },
        place: { kind: 'nothing' },
        updatedAt: at,
      }),
    ],
    sentence: `Merged “${other.title}” into “${kept.title}”`,
    about: [into, from],
  })
}

function joinedTexts(first: string, second: string): string {
  return [first, second].filter((t) => t.trim() !== '').join('\n')
}

/** How far guests of the other one are, of whom nothing is known in the first. */
function visitsOf(other: Episode, kept: Episode): Visit[] {
  const known = new Set((kept.visits ?? []).map((v) => folded(v.guest)))
  return (other.visits ?? []).filter((v) => !known.has(folded(v.guest)))
}
