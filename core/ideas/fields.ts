import { asForm, formNamed, formNames, formOf } from '../form'
import { importanceNames, importanceOf } from '../plan/importance'
import { Day, IdeaStanding, Month, type Episode, type Id } from '../records'
import { standingNames } from '../commands/ideas/standing-names'
import { withIdea } from '../commands/ideas/with-idea'
import { ok, refused, type Result } from '../result'
import { creatorZone, dayIn } from '../rhythm/creator'
import { releaseOf } from '../rhythm/slots'
import { sayNumber } from '../rhythm/numbering'
import { opportunitiesIn } from './opportunity'
import { effortOf } from './usable'
import { type FieldsOf, type Field, splitSeveral, ownFields } from './field'

const phaseNames: Readonly<Record<Episode['phase']['kind'], string>> = {
  idea: 'idea',
  work: 'in work',
  parked: 'parked',
  released: 'released',
  dropped: 'let go',
}

function whole(text: string, least: number, most: number, name: string): Result<number | undefined> {
  if (text.trim() === '') return ok(undefined)
  const n = Number(text.replace(',', '.'))
  return Number.isFinite(n) && n >= least && n <= most
    ? ok(Math.round(n))
    : refused(`“${text}” is no ${name}. Write a number from ${least} to ${most}.`)
}

function sayNature(e: Episode): string {
  if (e.nature.kind === 'evergreen') return 'evergreen'
  return [
    'topical',
    e.nature.notBefore && `from ${e.nature.notBefore}`,
    e.nature.staleAfter && `until ${e.nature.staleAfter}`,
  ]
    .filter(Boolean)
    .join(' ')
}

function readNature(text: string): Result<Episode['nature']> {
  const clean = text.trim().toLowerCase()
  if (clean === '' || clean === 'evergreen') return ok({ kind: 'evergreen' })
  const match = /^topical(?: from (\S+))?(?: until (\S+))?$/.exec(clean)
  const bad = [match?.[1], match?.[2]].find((d) => d !== undefined && !Day.safeParse(d).success)
  if (!match || bad !== undefined)
    return refused(`“${text}” is no nature. Write evergreen, or topical from 2026-12-01 until 2026-12-24.`)
  return ok({
    kind: 'topical',
    ...(match[1] ? { notBefore: match[1] } : {}),
    ...(match[2] ? { staleAfter: match[2] } : {}),
  })
}

/** Every field, the creator's own ones of all shows last. Own fields of the same name are one. */
export function fieldsOf(of: FieldsOf): Map<string, Field> {
  const zone = creatorZone(of.shows.values())
  const show = (e: Episode) => of.shows.get(e.show)
  const byTitle = new Map([...of.shows.values()].map((s) => [s.title.toLowerCase(), s.id]))
  const byWords = new Map<Id, Map<string, Id>>()
  for (const k of of.keywords.values())
    (byWords.get(k.show) ?? byWords.set(k.show, new Map()).get(k.show))?.set(k.words.toLowerCase(), k.id)
  const text = (name: 'premise' | 'why' | 'series', label: string): Field => ({
    name,
    label,
    kind: 'text',
    of: (e) => e.idea[name],
    put: (e, t) => ok(withIdea(e, { [name]: t })),
  })
  const several = (name: 'topics' | 'guests' | 'tags', label: string): Field => ({
    name,
    label,
    kind: 'several',
    of: (e) => e[name],
    put: (e, t) => ok({ ...e, [name]: splitSeveral(t) }),
  })
  const standings = Object.values(standingNames)
  const fields: Field[] = [
    {
      name: 'title',
      label: 'Title',
      kind: 'text',
      of: (e) => e.title,
      put: (e, t) =>
        t.trim() === ''
          ? refused('An idea needs at least a word.')
          : t.length > 300
            ? refused('A title has at most 300 characters.')
            : ok({ ...e, title: t }),
    },
    { name: 'code', label: 'Code', kind: 'text', of: (e) => e.code },
    {
      name: 'number',
      label: 'Number',
      kind: 'text',
      of: (e) => {
        const s = show(e)
        const n = e.number ?? of.number(e)
        return s && n !== undefined ? sayNumber(s, n, e.code) : ''
      },
    },
    {
      name: 'show',
      label: 'Show',
      kind: 'choice',
      choices: [...of.shows.values()].map((s) => s.title),
      of: (e) => show(e)?.title,
      put: (e, t) => {
        const id = byTitle.get(t.trim().toLowerCase())
        return id === undefined
          ? refused(`There is no show “${t}”.`)
          : id === e.show || e.phase.kind === 'idea'
            ? ok({ ...e, show: id })
            : refused('Only an idea can go to another show.')
      },
    },
    {
      name: 'phase',
      label: 'Phase',
      kind: 'choice',
      choices: Object.values(phaseNames),
      of: (e) => phaseNames[e.phase.kind],
    },
    {
      name: 'standing',
      label: 'State',
      formerly: 'Standing',
      kind: 'choice',
      choices: standings,
      of: (e) => standingNames[e.idea.standing],
      put: (e, t) => {
        const found = IdeaStanding.options.find((s) => standingNames[s] === t.trim().toLowerCase())
        return t.trim() === '' || found
          ? ok(withIdea(e, { standing: found ?? 'unsorted' }))
          : refused(`“${t}” is no state of an idea. Write ${standings.join(', ')}.`)
      },
    },
    text('series', 'Series'),
    several('topics', 'Topics'),
    {
      name: 'nature',
      label: 'Nature',
      kind: 'text',
      of: sayNature,
      put: (e, t) => {
        const read = readNature(t)
        return read.ok ? ok({ ...e, nature: read.value }) : read
      },
    },
    {
      name: 'rating',
      label: 'Rating',
      kind: 'number',
      of: (e) => e.idea.rating,
      put: (e, t) => {
        const n = whole(t, 1, 5, 'rating')
        return n.ok ? ok(withIdea(e, { rating: n.value })) : n
      },
    },
    {
      name: 'effort',
      label: 'Minutes',
      kind: 'number',
      of: (e) => effortOf(e, of.recipes.get(show(e)?.recipe ?? '')),
      put: (e, t) => {
        const n = whole(t, 0, 6000, 'number of minutes')
        return n.ok
          ? ok(
              n.value === effortOf(e, of.recipes.get(show(e)?.recipe ?? ''))
                ? e
                : withIdea(e, { effort: n.value }),
            )
          : n
      },
    },
    {
      name: 'meant',
      label: 'Meant for',
      kind: 'text',
      of: (e) => e.idea.meant,
      put: (e, t) => {
        const m = Month.safeParse(t.trim())
        return t.trim() === ''
          ? ok(withIdea(e, { meant: undefined }))
          : m.success
            ? ok(withIdea(e, { meant: m.data }))
            : refused(`“${t}” is no month. Write it as 2027-03.`)
      },
    },
    { name: 'note', label: 'Note', kind: 'text', of: (e) => e.note, put: (e, t) => ok({ ...e, note: t }) },
    text('premise', 'Premise'),
    text('why', 'Why now'),
    several('guests', 'Guests'),
    several('tags', 'Tags'),
    {
      name: 'keywords',
      label: 'Keywords',
      kind: 'several',
      of: (e) => e.idea.keywords.flatMap((id) => of.keywords.get(id)?.words ?? []),
      put: (e, t) => {
        const words = splitSeveral(t)
        const ids = words.map((w) => byWords.get(e.show)?.get(w.toLowerCase()))
        const lost = words.find((_, i) => ids[i] === undefined)
        return lost === undefined
          ? ok(withIdea(e, { keywords: ids.flatMap((id) => id ?? []) }))
          : refused(`“${lost}” is not in the keyword table of this show. Add it there first.`)
      },
    },
    {
      name: 'opportunity',
      label: 'Opportunity',
      kind: 'number',
      of: (e) => {
        const all = e.idea.keywords.flatMap((id) => opportunitiesIn(of.keywords).get(id)?.value ?? [])
        return all.length === 0 ? undefined : Math.round(Math.max(...all))
      },
    },
    {
      name: 'form',
      label: 'Kind',
      kind: 'choice',
      choices: formNames(of.shows.values()),
      of: (e) => formOf(of.shows, e)?.name ?? '',
      put: (e, t) => {
        const s = show(e)
        const form = s && formNamed(s, t)
        if (t.trim() !== '' && !form)
          return refused(
            `“${t}” is no kind of episode of this show. ${
              s?.forms?.length
                ? `Write ${s.forms.map((f) => f.name).join(', ')}.`
                : 'Add it in Shows, then try again.'
            }`,
          )
        return ok(s ? asForm(e, s, form) : e)
      },
    },
    {
      name: 'importance',
      label: 'Importance',
      kind: 'choice',
      choices: Object.values(importanceNames),
      of: (e) => importanceNames[importanceOf(e, of.launches.values()).level],
      put: (e, t) => {
        const at = Object.values(importanceNames).indexOf(t.trim().toLowerCase())
        if (t.trim() !== '' && at < 0)
          return refused(`“${t}” is no importance. Write ${Object.values(importanceNames).join(', ')}.`)
        const { raised } = importanceOf(e, of.launches.values())
        return ok({ ...e, priority: Math.max(0, at - (raised.length > 0 ? 1 : 0)) })
      },
    },
    { name: 'asked', label: 'Asked for', kind: 'number', of: (e) => e.idea.asked.length || undefined },
    {
      name: 'occasion',
      label: 'Occasion',
      kind: 'text',
      of: (e) => (e.idea.occasion ? `${e.idea.occasion.name} ${e.idea.occasion.day}` : ''),
    },
    {
      name: 'release',
      label: 'Release',
      kind: 'date',
      of: (e) => {
        const s = show(e)
        return s && releaseOf(e, s)?.day
      },
    },
    { name: 'jotted', label: 'Jotted', kind: 'date', of: (e) => dayIn(e.createdAt, zone) },
    { name: 'changed', label: 'Changed', kind: 'date', of: (e) => dayIn(e.updatedAt, zone) },
    {
      name: 'rests',
      label: 'Rests until',
      kind: 'date',
      of: (e) => e.idea.restUntil,
      put: (e, t) => {
        const d = Day.safeParse(t.trim())
        return t.trim() === ''
          ? ok(withIdea(e, { restUntil: undefined }))
          : d.success
            ? ok(withIdea(e, { restUntil: d.data }))
            : refused(d.error.issues[0]?.message ?? '')
      },
    },
  ]
  return new Map([...fields, ...ownFields([...of.shows.values()])].map((f) => [f.name, f]))
}
