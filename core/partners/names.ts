import type { Person } from '../records'

/** A name as names are compared: case, width and spaces apart. */
export function folded(name: string): string {
  return name.normalize('NFKC').trim().replace(/\s+/g, ' ').toLowerCase()
}

/** Whether a name is one of somebody's. */
export function isNamed(person: Pick<Person, 'name' | 'also'>, name: string): boolean {
  const asked = folded(name)
  return [person.name, ...person.also].some((n) => folded(n) === asked)
}

/** People by each of their names, folded. A name that two have belongs to the one who was there first. */
export function byName(people: Iterable<Person>): Map<string, Person> {
  const by = new Map<string, Person>()
  const add = (name: string, person: Person) => {
    if (!by.has(folded(name))) by.set(folded(name), person)
  }
  const all = [...people].sort((a, b) => (a.createdAt < b.createdAt ? -1 : a.createdAt > b.createdAt ? 1 : 0))
  for (const p of all) add(p.name, p)
  for (const p of all) for (const name of p.also) add(name, p)
  return by
}

/** How many letters must be changed, put in or left out to make one name of another (Levenshtein 1966). */
function editDistance(a: string, b: string): number {
  let row = Array.from({ length: b.length + 1 }, (_, i) => i)
  for (let i = 1; i <= a.length; i++) {
    const next = [i]
    for (let j = 1; j <= b.length; j++)
      next.push(
        Math.min(
          (row[j] ?? 0) + 1,
          (next[j - 1] ?? 0) + 1,
          (row[j - 1] ?? 0) + (a[i - 1] === b[j - 1] ? 0 : 1),
        ),
      )
    row = next
  }
  return row[b.length] ?? 0
}

/**
 * Whether two different names may be the same person: one is a part of the other (“Ines” and “Ines Varga”), the last names are the
 * same and the first begin alike (“I. Varga”), or they are one letter apart, two in long ones.
 */
export function mayBeSame(one: string, other: string): boolean {
  const [a, b] = [folded(one), folded(other)]
  if (a === b || a === '' || b === '') return false
  const [few, many] = [a.split(' '), b.split(' ')].sort((x, y) => x.length - y.length)
  if (!few || !many) return false
  if (few.length < many.length && few.every((w) => w.length > 1 && many.includes(w))) return true
  const [firstA = '', firstB = ''] = [a.split(' ')[0], b.split(' ')[0]]
  const isAlike = firstA.startsWith(firstB.replace('.', '')) || firstB.startsWith(firstA.replace('.', ''))
  if (few.length > 1 && few.at(-1) === many.at(-1) && isAlike) return true
  const far = Math.min(a.length, b.length) >= 10 ? 2 : 1
  return (
    Math.min(a.length, b.length) >= 4 && Math.abs(a.length - b.length) <= far && editDistance(a, b) <= far
  )
}
