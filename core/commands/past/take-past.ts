import { ascending } from 'd3-array'
import type { PastRow } from '../../past/row'
import type { Caption, Episode, Id, Records, Show } from '../../records'
import { blankEpisode } from '../../records/blank-episode'
import { ok, refused } from '../../result'
import { episodeNames, matchEpisode, plainName } from '../../results/match'
import { daysBetween } from '../../rhythm/days'
import { codeFor } from '../../rhythm/numbering'
import { dayAt } from '../../rhythm/zone'
import { type Command, type Context, momentOf, putRecord } from '../change'
import { codesOf } from '../ideas/new-idea'

/** What becomes of the rows: new episodes, those that say something new of one that is there, and the rest. */
export interface Taking {
  fresh: { row: PastRow; after: Episode }[]
  changed: { row: PastRow; before: Episode; after: Episode }[]
  same: number
  /** Rows that cannot be taken as they are: their number is another's. */
  faults: { line: number; sentence: string }[]
}

const day = 86_400_000

/** The released episode of a show that a row is about: by its address, its title, or its number on about the same day. */
function found(row: PastRow, show: Show, released: readonly Episode[], names: ReadonlyMap<string, Id>) {
  const by = matchEpisode(names, row.address ?? '') ?? matchEpisode(names, row.title)
  return released.find(
    (e) =>
      e.show === show.id &&
      (e.id === by ||
        (row.number !== undefined &&
          e.number === row.number &&
          e.phase.kind === 'released' &&
          Math.abs(Date.parse(e.phase.at) - row.at) <= 2 * day)),
  )
}

/** What a row says that its episode does not say yet; nothing that is there is written over. */
function filled(episode: Episode, row: PastRow, outlet: Id | undefined, age: number): Episode {
  const addresses =
    row.address !== undefined && outlet !== undefined && episode.addresses?.[outlet] === undefined
      ? { addresses: { ...episode.addresses, [outlet]: row.address } }
      : {}
  const isCounted =
    row.views === undefined || episode.figures.some((f) => f.age === age && f.outlet === undefined)
  return {
    ...episode,
    ...addresses,
    ...(episode.cut.length === undefined && row.length !== undefined
      ? { cut: { ...episode.cut, length: row.length } }
      : {}),
    ...(episode.topics.length === 0 ? { topics: row.topics } : {}),
    ...(episode.tags.length === 0 ? { tags: row.tags } : {}),
    ...(episode.brief.description === '' && row.description !== undefined
      ? { brief: { ...episode.brief, description: row.description } }
      : {}),
    ...(isCounted
      ? {}
      : { figures: [...episode.figures, { age, views: row.views }].sort((a, b) => a.age - b.age) }),
  }
}

/** Looks what rows would do to a show, without doing it; in whatever order they stand. */
export function takingOf(records: Records, show: Show, rows: readonly PastRow[], context: Context): Taking {
  const released = [...records.episodes.values()].filter(
    (e) => e.phase.kind === 'released' && e.show === show.id,
  )
  const names = new Map(episodeNames(released, records.shows))
  const numbers = new Map(
    [...records.episodes.values()].flatMap((e) =>
      e.show === show.id && e.number !== undefined ? [[e.number, e.title] as const] : [],
    ),
  )
  const taking: Taking = { fresh: [], changed: [], same: 0, faults: [] }
  const codes = codesOf(records)
  const outlet = show.outlets[0]
  const today = dayAt(context.now, show.zone)
  // The same episode twice in a file is one: its title on its day.
  const seen = new Set<string>()
  const ordered = [...rows].sort((a, b) => ascending(a.at, b.at) || ascending(a.title, b.title))
  for (const row of ordered) {
    const out = dayAt(row.at, show.zone)
    const key = `${out} ${plainName(row.title)}`
    if (seen.has(key)) {
      taking.same++
      continue
    }
    seen.add(key)
    const age = daysBetween(out, today)
    const before = found(row, show, released, names)
    if (before) {
      const after = filled(before, row, outlet, age)
      if (JSON.stringify(after) === JSON.stringify(before)) taking.same++
      else taking.changed.push({ row, before, after })
      continue
    }
    const whose = row.number === undefined ? undefined : numbers.get(row.number)
    if (whose !== undefined) {
      taking.faults.push({
        line: row.line,
        sentence: `Its number ${row.number ?? ''} is that of “${whose}”.`,
      })
      continue
    }
    if (row.number !== undefined) numbers.set(row.number, row.title)
    const id = context.id()
    const code = codeFor(id, codes)
    codes.add(code)
    const at = new Date(row.at).toISOString()
    const blank = blankEpisode({ id, show: show.id, code, title: row.title, at })
    const episode: Episode = {
      ...blank,
      phase: { kind: 'released', at },
      ...(row.number === undefined ? {} : { number: row.number }),
    }
    taking.fresh.push({ row, after: filled(episode, row, outlet, age) })
  }
  return taking
}

/**
 * Takes what is out already into the catalogue, as one step of undo: new episodes, and of those that are there what was not
 * known of them. Nothing that is there is written over; the same twice changes nothing.
 *
 * Refused:
 * - “This show is no longer there. Choose another one.”
 * - “Nothing in it is new.”
 */
export const takePast: Command<{ show: Id; rows: readonly PastRow[] }> = (
  records,
  { show: id, rows },
  context,
) => {
  const show = records.shows.get(id)
  if (!show) return refused('This show is no longer there. Choose another one.', 'episodes.show')
  const { fresh, changed } = takingOf(records, show, rows, context)
  if (fresh.length + changed.length === 0) return refused('Nothing in it is new.', 'file')
  const at = momentOf(context)
  const all = [
    ...fresh.map((f) => ({ ...f.after, updatedAt: at })),
    ...changed.map((c) => ({ ...c.after, updatedAt: at })),
  ]
  return ok({
    changes: all.map((e) => putRecord(records, 'episodes', e)),
    sentence: `Took in ${fresh.length} episodes of the past${changed.length > 0 ? `, ${changed.length} know more` : ''}`,
    about: all.slice(0, 20).map((e) => e.id),
  })
}

/**
 * Keeps what is heard in several episodes, where nothing was kept yet.
 *
 * Refused:
 * - “All of them have subtitles already.”
 * - “An episode is no longer there.”
 */
export const takeSubtitles: Command<{ files: readonly { episode: Id; captions: readonly Caption[] }[] }> = (
  records,
  { files },
  context,
) => {
  if (files.some((f) => !records.episodes.has(f.episode)))
    return refused('An episode is no longer there.', 'episodes')
  const fresh = files.filter(
    (f, i) =>
      !records.transcripts.has(f.episode) &&
      f.captions.length > 0 &&
      files.findIndex((o) => o.episode === f.episode) === i,
  )
  if (fresh.length === 0) return refused('All of them have subtitles already.', 'transcripts')
  const at = momentOf(context)
  return ok({
    changes: fresh.map(({ episode, captions }) =>
      putRecord(records, 'transcripts', {
        ...{ id: episode, made: 'read', captions: [...captions], createdAt: at, updatedAt: at },
      }),
    ),
    sentence: `Took in the subtitles of ${fresh.length} ${fresh.length === 1 ? 'episode' : 'episodes'}`,
    about: fresh.slice(0, 20).map((f) => f.episode),
  })
}
