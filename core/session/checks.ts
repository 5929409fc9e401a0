import type { Id, Session, SessionKind } from '../records'
import type { Card } from '../views/card'
import type { Item } from './items'

/** Something looked at before the first shot, or before striking. */
export interface Check {
  id: Id
  text: string
  on: boolean
  /** The start is stopped once while it is open. */
  required: boolean
  /** It is ticked by itself: what it asks for is known. */
  known: boolean
}

/** An episode of a session, with the recipe whose checklists it has. */
export type Listed = Pick<Card, 'episode' | 'recipe'>

interface Usual {
  id: Id
  text: string
  required: boolean
}

const films: readonly Usual[] = [
  { id: 'power', text: 'Batteries charged, power laid', required: true },
  { id: 'cards', text: 'Cards empty, clock set', required: true },
  { id: 'sound', text: 'Sound tested, played back', required: true },
]
const records: readonly Usual[] = [
  { id: 'cards', text: 'Room on the recorder', required: true },
  { id: 'sound', text: 'Levels set, test played back', required: true },
  { id: 'quiet', text: 'Phone and machines off', required: false },
]
const usual: Readonly<Partial<Record<SessionKind, readonly Usual[]>>> = {
  film: films,
  stock: films,
  record: records,
}

/** What is looked at before striking, and the tick that says that the footage is in two places. */
export const copiedCheck = 'copied'

/** What the episodes of a session need laid out: by what, and whether all of it is here. */
function materialsOf(cards: readonly Listed[], checked: readonly string[]): Check[] {
  return cards.flatMap(({ episode }) => {
    const { materials = [] } = episode
    if (materials.length === 0) return []
    const id = `laid:${episode.id}`
    const names = materials.map((m) => m.what).join(', ')
    return [{ id, text: `Laid out: ${names}`, on: checked.includes(id), required: true, known: false }]
  })
}

/** Items of the recipes' own checklists for the stage in which a kind of session works, each once. */
function listed(session: Session, cards: readonly Listed[]): Check[] {
  const stage = session.kind === 'film' || session.kind === 'record' ? 'film' : undefined
  const found = new Map<Id, Check>()
  for (const { recipe, episode } of cards)
    for (const list of recipe.checklists ?? []) {
      if (list.copyEdit || recipe.stages.find((s) => s.id === list.stage)?.kind !== stage) continue
      for (const item of list.items) {
        const on = episode.ticked?.includes(item.id) ?? false
        const before = found.get(item.id)
        found.set(item.id, {
          id: item.id,
          text: item.text,
          on: on && (before?.on ?? true),
          required: true,
          known: false,
        })
      }
    }
  return [...found.values()]
}

/**
 * What is looked at before the first shot: the recipes' own lists for this stage, else power, cards and sound; and what
 * must be laid out. All of it but what is only usual stops the start once. Where nothing is filmed or recorded there is
 * nothing to look at.
 */
export function checksBefore(session: Session, cards: readonly Listed[]): Check[] {
  const kind = usual[session.kind]
  if (!kind) return []
  const own = kind.map((u) => ({
    ...u,
    on: session.checked.includes(u.id),
    known: false,
  }))
  const lists = listed(session, cards)
  return [...(lists.length > 0 ? lists : own), ...materialsOf(cards, session.checked)]
}

/** What is looked at before striking: must-haves got, copied to two places, batteries on charge. */
export function checksAfter(session: Session, items: readonly Item[]): Check[] {
  if (usual[session.kind] === undefined) return []
  const isOn = (id: Id) => session.checked.includes(id)
  const musts = items.filter((i) => i.shot.must)
  const check = (id: Id, text: string, required: boolean): Check => ({
    id,
    text,
    on: isOn(id),
    required,
    known: false,
  })
  return [
    {
      id: 'musts',
      text: 'All must-haves got',
      on: musts.every((i) => i.got),
      required: true,
      known: true,
    },
    check(copiedCheck, 'Cards copied to two places', true),
    ...(session.kind === 'record' ? [] : [check('charge', 'Batteries on charge', false)]),
  ]
}
