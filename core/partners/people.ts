import { ascending } from 'd3-array'
import type { Episode, Id, Job, Person, PersonRole, Records, Step } from '../records'
import { byName, folded, mayBeSame } from './names'

/** Somebody, with a record of their own or known by name alone, and where their name stands. */
export interface Known {
  /** The record's id, or `name:` and the folded name where there is none yet. */
  id: string
  name: string
  person: Person | undefined
  roles: ReadonlySet<PersonRole>
  /** Episodes that they are a guest of, and those with their read. */
  guestOf: Episode[]
  sponsorOf: Episode[]
  jobs: Job[]
  /** Steps that are theirs to do, and those that wait on them. */
  owns: Step[]
  holds: Step[]
}

/** Names that stand for nobody: the creator's own, and one who is still to be found. */
const nobody = new Set(['', 'me', 'someone'])

/** The id under which somebody is known who has no record. */
export function draftId(name: string): string {
  return `name:${folded(name)}`
}

/** Everybody whose name stands somewhere in the records, by name. Linear in episodes, steps and jobs. */
export function everyone(
  records: Pick<Records, 'people' | 'episodes' | 'steps' | 'jobs' | 'deals' | 'reservations'>,
): Known[] {
  const people = byName(records.people.values())
  const all = new Map<string, Known & { roles: Set<PersonRole> }>()
  const bare = (id: string, name: string, person?: Person) => ({
    ...{ id, name, person, roles: new Set<PersonRole>(person?.roles) },
    ...{ guestOf: [], sponsorOf: [], jobs: [], owns: [], holds: [] },
  })
  for (const p of records.people.values()) all.set(p.id, bare(p.id, p.name, p))
  const at = (name: string, role?: PersonRole) => {
    const person = people.get(folded(name))
    const id = person?.id ?? draftId(name)
    const known = all.get(id)
    if (known || nobody.has(folded(name)) || role === undefined) {
      if (role !== undefined) known?.roles.add(role)
      return known
    }
    const made = bare(id, name.trim())
    made.roles.add(role)
    all.set(id, made)
    return made
  }
  for (const e of records.episodes.values()) {
    if (e.phase.kind === 'dropped') continue
    for (const g of e.guests) at(g, 'guest')?.guestOf.push(e)
    if (e.sponsor !== undefined) at(e.sponsor, 'sponsor')?.sponsorOf.push(e)
  }
  for (const d of records.deals.values()) at(d.sponsor, 'sponsor')
  for (const r of records.reservations.values()) if (r.kind === 'sponsor') at(r.name, 'sponsor')
  for (const j of records.jobs.values()) at(j.who, j.kind === 'review' ? 'reviewer' : 'helper')?.jobs.push(j)
  for (const s of records.steps.values()) {
    if (s.owner !== 'me') at(s.owner, 'helper')?.owns.push(s)
    if (s.waiting && s.doneAt === undefined) at(s.waiting.who)?.holds.push(s)
  }
  return [...all.values()].sort((a, b) => ascending(folded(a.name), folded(b.name)))
}

/** Two names that may be one person. */
export interface LikelySame {
  keep: Known
  other: Known
}

/** Pairs of people who may be one, those with a record first in each; at most a dozen. */
export function likelySame(all: readonly Known[]): LikelySame[] {
  const pairs: LikelySame[] = []
  all.forEach((a, i) => {
    for (const b of all.slice(i + 1)) {
      if (!mayBeSame(a.name, b.name)) continue
      const [keep, other] = weight(a) >= weight(b) ? [a, b] : [b, a]
      pairs.push({ keep, other })
    }
  })
  return pairs.slice(0, 12)
}

/** Who is kept of two: the one with a record, then the one with the longer name. */
function weight({ person, name }: Known): number {
  return (person ? 1000 : 0) + name.length
}

/** The person with an id, or the one known by name alone. */
export function knownBy(all: readonly Known[], id: Id): Known | undefined {
  return all.find((k) => k.id === id)
}
