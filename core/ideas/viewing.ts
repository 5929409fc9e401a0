import type { Episode, Group, Id, Test, View } from '../records'
import { addDays } from '../rhythm/days'
import { textOf, type Field } from './field'
import { rankOf } from './usable'

/** The comparisons that fit a field, with the words for them. */
export function howsOf(kind: Field['kind']): { how: Test['how']; says: string }[] {
  const there: { how: Test['how']; says: string }[] = [
    { how: 'filled', says: 'is filled in' },
    { how: 'empty', says: 'is empty' },
  ]
  switch (kind) {
    case 'text':
      return [
        { how: 'has', says: 'has' },
        { how: 'lacks', says: 'has not' },
        { how: 'is', says: 'is' },
        ...there,
      ]
    case 'number':
      return [
        { how: 'least', says: 'is at least' },
        { how: 'most', says: 'is at most' },
        { how: 'is', says: 'is' },
        ...there,
      ]
    case 'date':
      return [
        { how: 'least', says: 'is on or after' },
        { how: 'most', says: 'is on or before' },
        { how: 'is', says: 'is' },
        ...there,
      ]
    case 'choice':
      return [{ how: 'is', says: 'is' }, { how: 'not', says: 'is not' }, ...there]
    case 'several':
      return [{ how: 'has', says: 'has' }, { how: 'lacks', says: 'has not' }, ...there]
    case 'tick':
      return [
        { how: 'filled', says: 'is ticked' },
        { how: 'empty', says: 'is not ticked' },
      ]
  }
}

/** Whether a comparison takes a value. */
export function takesValue(how: Test['how']): boolean {
  return how !== 'filled' && how !== 'empty'
}

/** A date typed in a condition: itself, or days from today as `today`, `-30` or `+14`. */
export function dateMeant(text: string, today: string): string {
  const clean = text.trim().toLowerCase()
  if (clean === 'today') return today
  const days = /^([+-]\d{1,4})( ?d(ays?)?)?$/.exec(clean)
  return days?.[1] === undefined ? clean : addDays(today, Number(days[1]))
}

type Matcher = (episode: Episode) => boolean

/**
 * A condition as one function. A test on an unknown field, or one whose value is still blank, lets
 * everything through.
 */
export function matcherFor(group: Group, fields: ReadonlyMap<string, Field>, today: string): Matcher {
  const all = group.of.map((part) =>
    part.kind === 'group' ? matcherFor(part, fields, today) : tested(part, fields, today),
  )
  if (all.length === 0) return () => true
  return group.join === 'all' ? (e) => all.every((h) => h(e)) : (e) => all.some((h) => h(e))
}

function tested(test: Test, fields: ReadonlyMap<string, Field>, today: string): Matcher {
  const field = fields.get(test.field)
  if (!field || (takesValue(test.how) && test.value.trim() === '')) return () => true
  const wanted = test.value.trim().toLowerCase()
  const lower = (e: Episode) => textOf(field.of(e)).toLowerCase()
  const has = (e: Episode): boolean => {
    const value = field.of(e)
    return Array.isArray(value)
      ? value.some((v: string) => v.toLowerCase() === wanted)
      : lower(e).includes(wanted)
  }
  const number = field.kind === 'number'
  const bound = number ? Number(wanted.replace(',', '.')) : 0
  const date = dateMeant(wanted, today)
  const compared = (e: Episode): number | undefined => {
    const value = field.of(e)
    if (number) return typeof value === 'number' ? value - bound : undefined
    const text = textOf(value)
    return text === '' ? undefined : text < date ? -1 : text > date ? 1 : 0
  }
  switch (test.how) {
    case 'filled':
      return (e) => lower(e) !== ''
    case 'empty':
      return (e) => lower(e) === ''
    case 'has':
      return has
    case 'lacks':
      return (e) => !has(e)
    case 'is':
      return number || field.kind === 'date' ? (e) => compared(e) === 0 : (e) => lower(e) === wanted
    case 'not':
      return (e) => lower(e) !== wanted
    case 'least':
      return (e) => (compared(e) ?? -1) >= 0
    case 'most':
      return (e) => (compared(e) ?? 1) <= 0
  }
}

/** Rows of a list: heads of groups and episodes, flat, so that a long list can be drawn in part. */
export type Row = { kind: 'head'; name: string; count: number } | { kind: 'episode'; episode: Episode }

/** What a view shows: its episodes in order, and the same with group heads. */
export interface IdeasViewed {
  episodes: Episode[]
  rows: Row[]
}

/**
 * Carries a view out: keeps what its condition (and `found`, the ids that full-text search found) lets
 * through, sorts, groups. An episode of several topics stands in the group of its first. Sorting by hand is
 * by the creator's own order.
 */
export function viewIdeas(
  view: Pick<View, 'where' | 'sort' | 'group'>,
  episodes: Iterable<Episode>,
  fields: ReadonlyMap<string, Field>,
  today: string,
  found?: ReadonlyMap<Id, unknown>,
): IdeasViewed {
  const lets = matcherFor(view.where, fields, today)
  const kept: Episode[] = []
  for (const e of episodes) if ((found === undefined || found.has(e.id)) && lets(e)) kept.push(e)
  const sorted = inSort(kept, view.sort, fields)
  const field = fields.get(view.group)
  if (!field) return { episodes: sorted, rows: sorted.map((episode) => ({ kind: 'episode', episode })) }
  const groups = new Map<string, Episode[]>()
  for (const e of sorted) {
    const value = field.of(e)
    const name = Array.isArray(value) ? String(value[0] ?? '') : textOf(value)
    const row = groups.get(name)
    if (row) row.push(e)
    else groups.set(name, [e])
  }
  const names = [...groups.keys()].sort((a, b) => (a === '' ? 1 : b === '' ? -1 : inChoices(field, a, b)))
  const inOrder = names.map((name) => ({ name, mine: groups.get(name) ?? [] }))
  return {
    episodes: inOrder.flatMap((g) => g.mine),
    rows: inOrder.flatMap(({ name, mine }): Row[] => [
      { kind: 'head', name: name === '' ? `No ${field.label.toLowerCase()}` : name, count: mine.length },
      ...mine.map((episode): Row => ({ kind: 'episode', episode })),
    ]),
  }
}

const collator = new Intl.Collator('en', { numeric: true, sensitivity: 'base' })

function inChoices(field: Field, a: string, b: string): number {
  const [i, j] = [field.choices?.indexOf(a) ?? -1, field.choices?.indexOf(b) ?? -1]
  return i >= 0 && j >= 0 ? i - j : collator.compare(a, b)
}

/** Sorts by a field; what lacks it comes last either way. The key of each is read once. */
function inSort(episodes: Episode[], sort: View['sort'], fields: ReadonlyMap<string, Field>): Episode[] {
  const way = sort.down ? -1 : 1
  if (sort.by === 'hand') return keyed(episodes, rankOf, (a, b) => a - b, 1)
  const field = fields.get(sort.by)
  if (!field) return episodes
  if (field.kind === 'number')
    return keyed(
      episodes,
      (e) => {
        const v = field.of(e)
        return typeof v === 'number' ? v : undefined
      },
      (a, b) => a - b,
      way,
    )
  const compare = field.choices
    ? (a: string, b: string) => inChoices(field, a, b)
    : field.kind === 'date'
      ? (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0)
      : (a: string, b: string) => collator.compare(a, b)
  return keyed(episodes, (e) => textOf(field.of(e)) || undefined, compare, way)
}

function keyed<K>(
  episodes: Episode[],
  key: (e: Episode) => K | undefined,
  compare: (a: K, b: K) => number,
  way: number,
): Episode[] {
  const rows = episodes.map((e) => ({ e, k: key(e) }))
  rows.sort((a, b) =>
    a.k === undefined ? (b.k === undefined ? 0 : 1) : b.k === undefined ? -1 : way * compare(a.k, b.k),
  )
  return rows.map((r) => r.e)
}
