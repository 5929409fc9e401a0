import type { Episode, Id, Material } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'

/** What people do to the materials of an episode. */
export type MaterialWish =
  | { kind: 'add'; materials: readonly Omit<Material, 'id'>[] }
  | { kind: 'change'; material: Id; to: Partial<Omit<Material, 'id'>> }
  | { kind: 'remove'; material: Id }
  | { kind: 'budget'; budget: number | undefined }

/**
 * Adds, changes or removes what an episode needs bought, lent or fetched, or says how much that may come to. What is
 * added twice under the same words is changed, so that a table that is read again changes nothing.
 *
 * Refused:
 * - “This episode is no longer there.”
 * - “This is no longer on the list; another change has taken it away.”
 */
export const editMaterials: Command<{ episode: Id; wish: MaterialWish }> = (
  records,
  { episode: id, wish },
  context,
) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  const all = episode.materials ?? []
  const named = 'material' in wish ? all.find((m) => m.id === wish.material) : undefined
  if ('material' in wish && !named)
    return refused('This is no longer on the list; another change has taken it away.', 'episodes.materials')
  const after: Episode = { ...episode, ...changed(all, wish, context.id), updatedAt: momentOf(context) }
  return ok({
    changes: [putRecord(records, 'episodes', after)],
    sentence: sentence(wish, named),
    about: [id],
    ...(wish.kind === 'change' || wish.kind === 'budget'
      ? { merge: `material ${id} ${wish.kind === 'change' ? wish.material : 'budget'}` }
      : {}),
  })
}

const nameOf = (m: Pick<Material, 'what'>) => m.what.trim().toLowerCase()

function changed(all: readonly Material[], wish: MaterialWish, newId: () => Id): Partial<Episode> {
  switch (wish.kind) {
    case 'budget':
      return { budget: wish.budget }
    case 'remove':
      return { materials: all.filter((m) => m.id !== wish.material) }
    case 'change':
      return { materials: all.map((m) => (m.id === wish.material ? { ...m, ...wish.to } : m)) }
    case 'add': {
      const given = new Map(wish.materials.map((m) => [nameOf(m), m]))
      const known = new Set(all.map(nameOf))
      return {
        materials: [
          ...all.map((m) => ({ ...m, ...given.get(nameOf(m)) })),
          ...[...given].flatMap(([name, m]) => (known.has(name) ? [] : [{ id: newId(), ...m }])),
        ],
      }
    }
  }
}

function sentence(wish: MaterialWish, named: Material | undefined): string {
  switch (wish.kind) {
    case 'add':
      return wish.materials.length === 1
        ? `“${wish.materials[0]?.what ?? ''}” is needed`
        : `${wish.materials.length} things are needed`
    case 'change':
      return wish.to.stand === 'here' ? `“${named?.what ?? ''}” is here` : `Changed “${named?.what ?? ''}”`
    case 'remove':
      return `“${named?.what ?? ''}” is not needed`
    case 'budget':
      return 'Changed the budget for materials'
  }
}
