import {
  Day,
  type Episode,
  type Id,
  type Keyword,
  type Launch,
  type OwnField,
  type OwnValue,
  type Recipe,
  type Show,
} from '../records'
import { withIdea } from '../commands/ideas/with-idea'
import { ok, refused, type Result } from '../result'

/** What fields are read from beside the episode itself. */
export interface FieldsOf {
  shows: ReadonlyMap<Id, Show>
  recipes: ReadonlyMap<Id, Recipe>
  keywords: ReadonlyMap<Id, Keyword>
  launches: ReadonlyMap<Id, Launch>
  number: (episode: Episode) => number | undefined
}

export type FieldValue = string | number | boolean | readonly string[] | undefined

/** One thing that can be known of an episode: a column, a condition's subject, a group, a sort. */
export interface Field {
  name: string
  label: string
  /** What its column was called before; tables with it are read still. */
  formerly?: string
  kind: 'text' | 'number' | 'date' | 'choice' | 'several' | 'tick'
  of: (episode: Episode) => FieldValue
  choices?: readonly string[]
  /** Reads its text back; absent for what is derived. */
  put?: (episode: Episode, text: string) => Result<Episode>
}

/** Several values in one cell: joined by semicolons; one inside a value has a backslash before it. */
export function joinSeveral(values: readonly string[]): string {
  return values.map((v) => v.replace(/[\\;]/g, '\\$&')).join('; ')
}

/** The inverse of `joinSeveral`. */
export function splitSeveral(text: string): string[] {
  return (text.match(/(?:\\.|[^;\\]|\\$)+/gs) ?? [])
    .map((v) => v.trim().replace(/\\(.)/gs, '$1'))
    .filter((v) => v !== '')
}

/** A field's value as text, such as it stands in a cell or a file. */
export function textOf(value: FieldValue): string {
  if (value === undefined) return ''
  if (typeof value === 'string') return value
  if (typeof value === 'number') return String(Math.round(value * 100) / 100)
  if (typeof value === 'boolean') return value ? 'yes' : ''
  return joinSeveral(value)
}

const ownKinds: Readonly<Record<OwnField['kind'], Field['kind']>> = {
  text: 'text',
  number: 'number',
  date: 'date',
  choice: 'choice',
  tick: 'tick',
  stars: 'number',
  link: 'text',
}

/** The fields of the creator's own, by their name: shows that have one of the same name share it. */
export function ownFields(shows: readonly Show[]): Field[] {
  const byName = new Map<string, { shows: Map<Id, OwnField>; first: OwnField }>()
  for (const show of shows)
    for (const field of show.fields) {
      const row = byName.get(field.name) ?? { shows: new Map<Id, OwnField>(), first: field }
      byName.set(field.name, row)
      row.shows.set(show.id, field)
    }
  return [...byName].map(([name, { shows: of, first }]): Field => ({
    name: `own:${name}`,
    label: name,
    kind: ownKinds[first.kind],
    ...(first.kind === 'choice' ? { choices: first.choices } : {}),
    of: (e) => e.idea.own[of.get(e.show)?.id ?? ''],
    put: (e, text) => {
      const field = of.get(e.show)
      if (!field) return text.trim() === '' ? ok(e) : refused(`This show has no field “${name}”.`)
      const read = readOwn(field, text)
      if (!read.ok) return read
      const own = Object.fromEntries(Object.entries(e.idea.own).filter(([id]) => id !== field.id))
      return ok(withIdea(e, { own: read.value === undefined ? own : { ...own, [field.id]: read.value } }))
    },
  }))
}

/** Reads a typed text as the value of one of the creator's own fields; blank is no value. */
export function readOwn(field: OwnField, text: string): Result<OwnValue | undefined> {
  const clean = text.trim()
  if (clean === '') return ok(undefined)
  switch (field.kind) {
    case 'text':
      return ok(text)
    case 'number': {
      const n = Number(clean.replace(',', '.'))
      return Number.isFinite(n) ? ok(n) : refused(`“${clean}” is no number.`)
    }
    case 'date': {
      const d = Day.safeParse(clean)
      return d.success ? ok(d.data) : refused(d.error.issues[0]?.message ?? '')
    }
    case 'choice':
      return field.choices.includes(clean)
        ? ok(clean)
        : refused(`“${clean}” is none of the choices: ${field.choices.join(', ')}.`)
    case 'tick':
      return /^(yes|no|true|false|x|1|0)$/i.test(clean)
        ? ok(/^(yes|true|x|1)$/i.test(clean))
        : refused(`“${clean}” is no tick. Write yes, or leave it empty.`)
    case 'stars': {
      const n = Number(clean)
      return Number.isInteger(n) && n >= 1 && n <= 5
        ? ok(n)
        : refused(`“${clean}” is no number of stars. Write 1 to 5.`)
    }
    case 'link':
      return /^https?:\/\/\S+$/i.test(clean)
        ? ok(clean)
        : refused(`“${clean}” is no link. It begins with http:// or https://.`)
  }
}
