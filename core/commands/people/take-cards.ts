import type { Card } from '../../formats/vcard'
import { byName, folded } from '../../partners/names'
import { Person, type PersonRole } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { waysOnce } from './merge-people'

/**
 * Takes people from cards: who is new is kept, who is known gets the ways to reach them that were not there; nothing that stands is
 * written over. The same cards again change nothing.
 *
 * Refused:
 * - “All of this is kept already.”
 * - what a person's fields refuse, with the name
 */
export const takeCards: Command<{ cards: readonly Card[]; role: PersonRole }> = (
  records,
  { cards, role },
  context,
) => {
  const at = momentOf(context)
  const known = byName(records.people.values())
  const taken = new Map<string, Person>()
  for (const card of cards) {
    const there =
      [...taken.values()].find((p) => folded(p.name) === folded(card.name)) ?? known.get(folded(card.name))
    const ways = card.ways.map((w) => ({ ...w, id: context.id() }))
    const blank = { also: [], roles: [card.isFirm ? 'sponsor' : role], known: '', createdAt: at }
    const read = Person.safeParse({
      ...(there ?? { ...blank, id: context.id(), name: card.name }),
      work: there?.work || card.work.slice(0, 120),
      ways: waysOnce([...(there?.ways ?? []), ...ways]),
      ...(there?.zone === undefined && card.zone !== undefined ? { zone: card.zone } : {}),
      note: there?.note || card.note,
      updatedAt: at,
    })
    if (!read.success)
      return refused(`${card.name}: ${read.error.issues[0]?.message ?? 'this cannot be kept.'}`, 'people')
    const isSame = there && JSON.stringify(bare(there)) === JSON.stringify(bare(read.data))
    if (!isSame) taken.set(read.data.id, read.data)
  }
  if (taken.size === 0) return refused('All of this is kept already.', 'people')
  const fresh = [...taken.values()].filter((p) => !records.people.has(p.id)).length
  return ok({
    changes: [...taken.values()].map((p) => putRecord(records, 'people', p)),
    sentence: `Took ${taken.size} from cards, ${fresh} of them new`,
    about: [],
  })
}

/** Somebody without what changes by itself. */
const bare = ({ work, ways, zone, note }: Person) => ({
  work,
  ways: ways.map((w) => [w.kind, w.value]),
  zone,
  note,
})
